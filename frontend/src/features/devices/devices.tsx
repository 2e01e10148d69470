import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, unwrap } from "../../api/client";
import { cameraQuery, gaugeQuery, receiverQuery } from "../../api/queries";
import { Button, Choice, Field, Sideways, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { PageHead } from "../../ui/page-head";
import { parseDecimal } from "../../words/numbers";
import { PeopleNav } from "../people/people-nav";
import { positionSource, takePositionsFrom } from "./where";

/** The stand-ins: set them, and see what they send. */
export default function Devices() {
  const [source, setSource] = useState(positionSource());
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <PageHead
        title="Devices"
        lead="What ships with the application plays a receiver, a caliper and a camera, for practice. A real one takes the same place."
      />
      <PeopleNav />
      <div className="mt-4 max-w-xl">
        <Choice
          label="On this device, positions come from"
          value={source}
          options={[
            { value: "device", label: "the device itself" },
            { value: "stand-in", label: "the stand-in" },
          ]}
          onChange={(next) => {
            takePositionsFrom(next);
            setSource(next);
          }}
        />
        {source === "stand-in" && (
          <p className="mt-2 border-l-4 border-ochre pl-2">
            A tree tagged so says of its position that a stand-in gave it: worth nothing in a real wood.
          </p>
        )}
      </div>
      <div className="mt-6 grid grid-cols-1 gap-x-10 gap-y-6 wide:grid-cols-2">
        <Receiver />
        <div className="space-y-6">
          <Gauge />
          <Camera />
        </div>
      </div>
    </div>
  );
}

function Receiver() {
  const queries = useQueryClient();
  const now = useQuery({ ...receiverQuery, refetchInterval: 2000 });
  const [text, setText] = useState({ latitude: "47.12", longitude: "15.31", heading: "90", speed: "0", error: "4" });
  const set = useMutation({
    mutationFn: (lost: boolean) =>
      unwrap(
        client.PUT("/api/devices/receiver", {
          body: {
            latitude: parseDecimal(text.latitude) ?? Number.NaN,
            longitude: parseDecimal(text.longitude) ?? Number.NaN,
            heading: parseDecimal(text.heading) ?? 0,
            speed: parseDecimal(text.speed) ?? 0,
            error: parseDecimal(text.error) ?? 0,
            lost,
          },
        }),
      ),
    onSuccess: (view) => queries.setQueryData(receiverQuery.queryKey, view),
  });
  const field = (key: keyof typeof text, label: string) => (
    <Field label={label}>
      <NumberInput name={key} value={text[key]} onChange={(e) => setText({ ...text, [key]: e.target.value })} />
    </Field>
  );
  return (
    <section>
      <h2 className="border-b border-ink pb-1 text-lg">Position receiver</h2>
      <form
        className="mt-2 space-y-3"
        aria-label="The walk"
        onSubmit={(e: FormEvent) => {
          e.preventDefault();
          set.mutate(false);
        }}
      >
        <div className="grid grid-cols-2 gap-2">
          {field("latitude", "From latitude °")}
          {field("longitude", "From longitude °")}
        </div>
        <div className="grid grid-cols-3 gap-2">
          {field("heading", "Heading °")}
          {field("speed", "Metres a second")}
          {field("error", "Errs by, metres")}
        </div>
        {set.error && <Trouble error={set.error} />}
        <div className="flex flex-wrap gap-2">
          <Button type="submit" tone="ink" disabled={set.isPending}>
            Set out
          </Button>
          <Button disabled={set.isPending} onClick={() => set.mutate(true)}>
            Lose the signal
          </Button>
        </div>
      </form>
      {now.isError && <Trouble error={now.error} />}
      {now.data && (
        <div aria-live="polite">
          <p className="mt-3 font-semibold" data-receiver>
            {now.data.latitude != null && now.data.longitude != null
              ? `${now.data.latitude.toFixed(6)}°, ${now.data.longitude.toFixed(6)}°, within ${Math.round(now.data.uncertainty ?? 0)} m, ${now.data.satellites ?? 0} satellites`
              : now.data.because === "no-signal"
                ? "No signal"
                : "It sends nothing yet"}
          </p>
          <Sideways label="What it sends, NMEA 0183">
            <pre className="mt-1 border border-rule p-2 text-sm">{now.data.sentences.join("\n") || "…"}</pre>
          </Sideways>
        </div>
      )}
    </section>
  );
}

function Gauge() {
  const queries = useQueryClient();
  const now = useQuery(gaugeQuery);
  const [reading, setReading] = useState("23.4");
  const [unit, setUnit] = useState<"mm" | "cm" | "m" | "in">("mm");
  const set = useMutation({
    mutationFn: () => unwrap(client.PUT("/api/devices/gauge", { body: { reading: parseDecimal(reading) ?? Number.NaN, unit } })),
    onSuccess: (view) => queries.setQueryData(gaugeQuery.queryKey, view),
  });
  return (
    <section>
      <h2 className="border-b border-ink pb-1 text-lg">Caliper and tape</h2>
      <form
        className="mt-2 flex flex-wrap items-end gap-2"
        aria-label="The caliper"
        onSubmit={(e: FormEvent) => {
          e.preventDefault();
          set.mutate();
        }}
      >
        <div className="w-32">
          <Field label="Its jaws stand at">
            <NumberInput name="reading" value={reading} onChange={(e) => setReading(e.target.value)} />
          </Field>
        </div>
        <Choice label="Unit" value={unit} options={(["mm", "cm", "m", "in"] as const).map((u) => ({ value: u, label: u }))} onChange={setUnit} />
        <Button type="submit" tone="ink" disabled={set.isPending}>
          Set it
        </Button>
      </form>
      {set.error && <Trouble error={set.error} />}
      <p className="mt-2" role="status">
        {now.data?.raw ? (
          <>
            It sends <code className="border border-rule px-1">{now.data.raw}</code>. “From the caliper” puts it into an open field.
          </>
        ) : (
          "It sends nothing yet."
        )}
      </p>
    </section>
  );
}

function Camera() {
  const names = useQuery(cameraQuery);
  return (
    <section>
      <h2 className="border-b border-ink pb-1 text-lg">Camera</h2>
      <ul className="flex flex-wrap gap-2 py-2">
        {names.data?.map((name) => (
          <li key={name}>
            <img
              src={`/api/devices/camera/${name}`}
              alt={name.replace(/\.\w+$/, "").replaceAll("-", " ")}
              className="h-28 border border-ink"
              loading="lazy"
            />
          </li>
        ))}
      </ul>
      <p className="text-sm text-faded">The pictures of a folder. “From the camera” takes one wherever a picture can be added.</p>
    </section>
  );
}
