import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import type { Character, Schemas } from "../../api/client";
import { picturesQuery } from "../../api/queries";
import { Button, Dialog } from "../../ui/controls";
import { dayWords } from "../../words/text";
import { MeasureOn } from "../pictures/measure-on";
import { AddPicture, Thumbs } from "../pictures/pictures";
import { useBench } from "./bench";

/** Pictures that are evidence of a score: shown small, and added to it. */
export function ScorePictures({ score }: { score: Schemas["ScoreView"] }) {
  const { e, locked } = useBench();
  const queries = useQueryClient();
  const own = (useQuery(picturesQuery({ tree: e.specimen.id })).data ?? []).filter((p) => p.score === score.id);
  if (locked && own.length === 0) return null;
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Thumbs pictures={own} />
      {!locked && (
        <AddPicture of={{ score: score.id }} onAdded={() => void queries.invalidateQueries({ queryKey: ["tree", e.specimen.id, "pictures"] })} />
      )}
    </div>
  );
}

/** A length measured on a picture in which a known length lies, put into the open field in its unit. */
export function FromPicture({ character, unit, onRead }: { character: Character; unit: string; onRead: (number: string) => void }) {
  const { e } = useBench();
  const queries = useQueryClient();
  const [open, setOpen] = useState(false);
  const [chosen, setChosen] = useState("");
  const pictures = (useQuery({ ...picturesQuery({ tree: e.specimen.id }), enabled: open }).data ?? []).filter((p) => p.width > 0);
  const picture = pictures.find((p) => p.id === chosen);
  const per = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 }[unit] ?? 1;
  return (
    <>
      <Button onClick={() => setOpen(true)}>On a picture</Button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title={`${character.label}, measured on a picture`}
        description="Something of known length must lie beside it: a rule, a coin, squared paper."
        wide
      >
        <ul className="mb-2 flex flex-wrap gap-2">
          {pictures.map((p) => (
            <li key={p.id}>
              <button
                type="button"
                aria-pressed={p.id === chosen}
                onClick={() => setChosen(p.id)}
                className={p.id === chosen ? "outline-3 outline-ink" : ""}
              >
                <img src={`/api/pictures/${p.id}/thumb`} alt={p.caption || `Picture of ${dayWords(p.takenOn)}`} className="h-20 border border-ink" />
              </button>
            </li>
          ))}
        </ul>
        <AddPicture
          of={{ examination: e.id }}
          onAdded={(p) => {
            void queries.invalidateQueries({ queryKey: ["tree", e.specimen.id, "pictures"] });
            setChosen(p.id);
          }}
        />
        {picture && (
          <MeasureOn
            key={picture.id}
            picture={picture}
            onScale={() => undefined}
            onLength={(mm) => {
              onRead(String(Number((mm / per).toPrecision(3))));
              setOpen(false);
            }}
          />
        )}
      </Dialog>
    </>
  );
}
