import type { Character } from "../../api/client";
import { Button } from "../../ui/controls";
import { useBench } from "./bench";
import { isComplete, isNumeric } from "./draft";
import { draftOf } from "./table";

/** Records what is drafted; where more were looked at than tapped, as many as are needed in one press. */
export function RecordButtons({ character, thumb = false }: { character: Character; thumb?: boolean }) {
  const { table, units, busy, required, record } = useBench();
  const draft = draftOf(table, character.id);
  const wants = required.get(character.id)?.samples ?? 1;
  const complete = isComplete(character, draft, units);
  const look = thumb ? "min-h-13 flex-1" : "min-w-28";
  const more = complete && !isNumeric(character) && draft.samples < wants;
  return (
    <>
      <Button tone={more && thumb ? "plain" : "ink"} className={look} disabled={busy || !complete} onClick={() => record(character)}>
        Record{thumb && !isNumeric(character) ? `: on ${draft.samples}` : ""}
      </Button>
      {more && (
        <Button tone={thumb ? "ink" : "plain"} className={thumb ? look : ""} disabled={busy} onClick={() => record(character, wants)}>
          Seen on {wants}: record
        </Button>
      )}
    </>
  );
}
