import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { cameraQuery, picturesQuery } from "../../api/queries";
import { Button, Dialog, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { dayWords } from "../../words/text";
import { MeasureOn } from "./measure-on";
import { addPicture, type Of } from "./upload";

type Picture = Schemas["PictureView"];

/** Pictures of a tree with its scores and harvests, of one harvest, or of something that is made. */
export function Pictures({ of, mayAdd, title }: { of: { tree: string } | { harvest: string } | { batch: string }; mayAdd: boolean; title: string }) {
  const pictures = useQuery(picturesQuery(of));
  const queries = useQueryClient();
  const [shown, setShown] = useState("");
  const [back, setBack] = useState<Picture | null>(null);
  const anew = () => {
    void queries.invalidateQueries({ queryKey: picturesQuery(of).queryKey });
    if ("tree" in of) void queries.invalidateQueries({ queryKey: ["tree", of.tree, "years"] });
  };
  const restore = useMutation({
    mutationFn: (id: string) => unwrap(client.POST("/api/pictures/{id}/restore", { params: { path: { id } } })),
    onSuccess: () => {
      setBack(null);
      anew();
    },
  });
  const all = pictures.data ?? [];
  const one = all.find((p) => p.id === shown);
  return (
    <section>
      <h2 className="border-b border-ink pb-1 text-lg">{title}</h2>
      {pictures.isPending && <Loading what="the pictures" />}
      {pictures.isError && <Trouble error={pictures.error} retry={() => void pictures.refetch()} />}
      {pictures.data && all.length === 0 && <p className="py-2 text-faded">No picture yet.</p>}
      <ul className="flex flex-wrap gap-3 py-2">
        {all.map((p) => (
          <li key={p.id}>
            <button type="button" className="block max-w-40 text-left" onClick={() => setShown(p.id)} data-picture={p.id}>
              <img
                src={`/api/pictures/${p.id}/thumb`}
                alt={p.caption || `Picture of ${dayWords(p.takenOn)}`}
                className="h-32 border border-ink object-cover"
                loading="lazy"
              />
              <span className="block text-sm text-faded">
                {p.score ? "to a score, " : p.harvest ? "to a harvest, " : p.sign ? "of a sign of illness, " : ""}
                {dayWords(p.takenOn)}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {back && (
        <p role="status" className="flex flex-wrap items-center gap-2">
          The picture is taken away.
          <Button disabled={restore.isPending} onClick={() => restore.mutate(back.id)}>
            Put it back
          </Button>
        </p>
      )}
      {mayAdd && <AddPicture of={of} onAdded={anew} />}
      {one && (
        <Shown
          key={one.id}
          picture={one}
          mayChange={mayAdd}
          close={() => setShown("")}
          onChanged={anew}
          onRemoved={(picture) => {
            setShown("");
            setBack(picture);
            anew();
          }}
        />
      )}
    </section>
  );
}

/** Pictures small, each opened whole by a press. */
export function Thumbs({ pictures }: { pictures: Picture[] }) {
  return pictures.map((p) => (
    <a key={p.id} href={`/api/pictures/${p.id}/full`} target="_blank" rel="noreferrer">
      <img
        src={`/api/pictures/${p.id}/thumb`}
        alt={p.caption || `Picture of ${dayWords(p.takenOn)}`}
        className="h-16 border border-ink"
        loading="lazy"
      />
    </a>
  ));
}

/** From a file or this device's camera, or from the camera that stands in for one. */
export function AddPicture({
  of,
  onAdded,
  pdf = false,
  label = "Add a picture",
}: {
  of: Of;
  onAdded: (picture: Picture) => void;
  pdf?: boolean;
  label?: string;
}) {
  const [picking, setPicking] = useState(false);
  const names = useQuery({ ...cameraQuery, enabled: picking });
  const add = useMutation({
    mutationFn: (file: Blob) => addPicture(of, file, "", null),
    onSuccess: (picture) => {
      setPicking(false);
      onAdded(picture);
    },
  });
  const fromCamera = useMutation({
    mutationFn: async (name: string) => add.mutateAsync(await (await fetch(`/api/devices/camera/${name}`)).blob()),
  });
  return (
    <div className="py-1">
      <div className="flex flex-wrap items-center gap-2">
        <label className="inline-flex min-h-11 cursor-pointer items-center rounded-sm border border-ink bg-sheet px-3 font-semibold hover:bg-pressed focus-within:outline-3 focus-within:outline-ink">
          {add.isPending ? "Sending …" : label}
          <input
            type="file"
            className="sr-only"
            accept={`image/jpeg,image/png,image/webp${pdf ? ",application/pdf" : ""}`}
            disabled={add.isPending}
            onChange={(e) => {
              const file = e.target.files?.[0];
              e.target.value = "";
              if (file) add.mutate(file);
            }}
          />
        </label>
        {!pdf && <Button onClick={() => setPicking(true)}>From the camera</Button>}
      </div>
      {add.error && <Trouble error={add.error} />}
      <Dialog
        open={picking}
        onOpenChange={setPicking}
        title="Pictures in the camera"
        description="The camera that ships plays one: its pictures lie in a folder."
      >
        {names.isPending && <Loading what="the camera" />}
        {names.data?.length === 0 && <p>There is none in it.</p>}
        <ul className="flex flex-wrap gap-3">
          {names.data?.map((name) => (
            <li key={name}>
              <button type="button" disabled={fromCamera.isPending || add.isPending} onClick={() => fromCamera.mutate(name)} data-camera={name}>
                <img src={`/api/devices/camera/${name}`} alt={name.replace(/\.\w+$/, "").replaceAll("-", " ")} className="h-32 border border-ink" />
              </button>
            </li>
          ))}
        </ul>
        {add.error && <Trouble error={add.error} />}
      </Dialog>
    </div>
  );
}

function Shown(p: { picture: Picture; mayChange: boolean; close: () => void; onChanged: () => void; onRemoved: (picture: Picture) => void }) {
  const [caption, setCaption] = useState(p.picture.caption);
  const params = { path: { id: p.picture.id } };
  const change = useMutation({
    mutationFn: (body: { caption: string; pixelsPerMillimetre: number | null }) => unwrap(client.PATCH("/api/pictures/{id}", { params, body })),
    onSuccess: p.onChanged,
  });
  const remove = useMutation({
    mutationFn: () => unwrap(client.DELETE("/api/pictures/{id}", { params })),
    onSuccess: p.onRemoved,
  });
  return (
    <Dialog open onOpenChange={(o) => !o && p.close()} title={p.picture.caption || `Picture of ${dayWords(p.picture.takenOn)}`} wide>
      <MeasureOn
        picture={p.picture}
        onScale={p.mayChange ? (scale) => change.mutate({ caption, pixelsPerMillimetre: scale }) : null}
        onLength={null}
      />
      <p className="text-sm text-faded">
        {dayWords(p.picture.takenOn)}, {p.picture.by}. Place and serial numbers the camera wrote are not kept.
      </p>
      {p.mayChange && (
        <form
          className="mt-3 flex flex-wrap items-end gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            change.mutate({ caption, pixelsPerMillimetre: p.picture.pixelsPerMillimetre ?? null });
          }}
        >
          <div className="min-w-48 flex-1">
            <Field label="What it shows">
              <input className={fieldClass} name="caption" maxLength={300} value={caption} onChange={(e) => setCaption(e.target.value)} />
            </Field>
          </div>
          <Button type="submit" disabled={change.isPending}>
            Keep it
          </Button>
          <Button disabled={remove.isPending} onClick={() => remove.mutate()}>
            Take it away
          </Button>
        </form>
      )}
      {(change.error ?? remove.error) && <Trouble error={(change.error ?? remove.error) as Error} />}
    </Dialog>
  );
}
