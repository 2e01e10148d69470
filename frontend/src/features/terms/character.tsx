import type { Schemas } from "../../api/client";
import { Tile } from "../../plates/tile";

/** What one can score in a character, each state drawn and defined. */
export function States({ character }: { character: Schemas["CharacterView"] }) {
  if (character.states.length === 0) return <p className="text-sm text-faded">{character.unit ? `Measured in ${character.unit}.` : "Counted."}</p>;
  return (
    <ul className="mt-1 grid gap-x-4 gap-y-1 wide:grid-cols-3">
      {character.states.map((s) => (
        <li key={s.id} className="flex items-center gap-2">
          <Tile character={character.id} state={s.id} drawing={s.drawing} size={44} className="shrink-0" />
          <span className="leading-tight">
            <strong className="block text-sm font-semibold">{s.label}</strong>
            <span className="block text-xs text-faded">{s.definition}</span>
          </span>
        </li>
      ))}
    </ul>
  );
}
