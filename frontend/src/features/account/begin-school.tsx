import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, Problem, type Schemas, unwrap } from "../../api/client";
import { florasQuery } from "../../api/queries";
import { Button, Choice, Field, fieldClass, Trouble } from "../../ui/controls";
import { parseDecimal } from "../../words/numbers";
import { HereButton, type Spot } from "../devices/where";

type NewSchool = Schemas["NewSchool"];

const WHOSE = [
  { value: "group" as const, label: "a school or group" },
  { value: "alone" as const, label: "for myself alone" },
];
const UNITS = [
  { value: "metric" as const, label: "metric" },
  { value: "imperial" as const, label: "imperial" },
];
const DATES: { value: Schemas["Dates"]; label: string }[] = [
  { value: "day", label: "14 June 2027" },
  { value: "month", label: "June 14, 2027" },
  { value: "iso", label: "2027-06-14" },
];

/** The first page of an empty school: one page, ten fields, and one is in. */
export default function BeginSchool() {
  const queries = useQueryClient();
  const floras = useQuery(florasQuery);
  const [whose, setWhose] = useState<"group" | "alone">("group");
  const [text, setText] = useState({ word: "", name: "", place: "", latitude: "", longitude: "", altitude: "", person: "", email: "", password: "" });
  const [flora, setFlora] = useState("");
  const [units, setUnits] = useState<"metric" | "imperial">("metric");
  const [dates, setDates] = useState<Schemas["Dates"]>("day");
  const begin = useMutation({
    mutationFn: (body: NewSchool) => unwrap(client.POST("/api/begin", { body })),
    onSuccess: (session) => queries.setQueryData(["session"], session),
  });
  const fields = begin.error instanceof Problem ? begin.error.fields : {};
  const field = (key: keyof typeof text, label: string, more: React.InputHTMLAttributes<HTMLInputElement> = {}, hint?: string) => (
    <Field label={label} error={fields[key]} hint={hint}>
      <input
        className={fieldClass}
        name={key}
        required
        value={text[key]}
        onChange={(e) => setText({ ...text, [key]: e.target.value })}
        aria-invalid={fields[key] !== undefined}
        {...more}
      />
    </Field>
  );
  const here = (spot: Spot) =>
    setText((t) => ({
      ...t,
      latitude: spot.latitude.toFixed(5),
      longitude: spot.longitude.toFixed(5),
      altitude: spot.altitude === null ? t.altitude : String(Math.round(spot.altitude / (units === "imperial" ? 0.3048 : 1))),
    }));
  const submit = (event: FormEvent) => {
    event.preventDefault();
    begin.mutate({
      ...text,
      name: whose === "alone" ? "" : text.name,
      latitude: parseDecimal(text.latitude) ?? Number.NaN,
      longitude: parseDecimal(text.longitude) ?? Number.NaN,
      altitude: (parseDecimal(text.altitude) ?? Number.NaN) * (units === "imperial" ? 0.3048 : 1),
      flora: flora || floras.data?.[0]?.name || "",
      units,
      dates,
      ofOne: whose === "alone",
    });
  };
  const chosen = floras.data?.find((f) => f.name === (flora || floras.data?.[0]?.name));
  return (
    <main className="mx-auto max-w-4xl p-4 wide:p-8">
      <h1 className="double-rule pb-3 text-3xl">Begin</h1>
      <p className="mt-3 max-w-prose">
        Nobody has an account here yet. Whoever fills this in looks after everything: people, places, trees. The word was printed where the server was
        started; <code className="bg-pressed px-1">bin/console hylognosis:begin</code> prints a new one.
      </p>
      <form onSubmit={submit} className="mt-5 grid gap-x-10 gap-y-6 wide:grid-cols-2">
        <fieldset className="space-y-3">
          <legend className="mb-2 text-lg font-bold">What for</legend>
          {field("word", "The word", { autoComplete: "off", spellCheck: false, placeholder: "four groups of four letters" })}
          <Choice label="It is" value={whose} options={WHOSE} onChange={setWhose} />
          {whose === "group" && field("name", "Name of the school", { maxLength: 120 })}
          {field("place", "Place the seasons are told for", { maxLength: 120, placeholder: "the valley, the village" })}
          <div className="grid grid-cols-3 gap-2">
            {field("latitude", "Latitude °", { inputMode: "decimal" })}
            {field("longitude", "Longitude °", { inputMode: "decimal" })}
            {field("altitude", units === "imperial" ? "Height, feet" : "Height, metres", { inputMode: "decimal" })}
          </div>
          <HereButton onFound={here} />
          <Field
            label="Flora to begin with"
            error={fields.flora}
            hint={chosen ? `${chosen.taxa} kinds, ${chosen.dangerous} of them dangerous. Made for ${chosen.region}.` : undefined}
          >
            <select className={fieldClass} value={chosen?.name ?? ""} onChange={(e) => setFlora(e.target.value)}>
              {floras.data?.map((f) => (
                <option key={f.name} value={f.name}>
                  {f.title}
                </option>
              ))}
            </select>
          </Field>
          {floras.error && <Trouble error={floras.error} retry={() => void floras.refetch()} />}
          <Choice label="Units" value={units} options={UNITS} onChange={setUnits} />
          <Choice label="A day is written" value={dates} options={DATES} onChange={setDates} />
        </fieldset>
        <fieldset className="space-y-3">
          <legend className="mb-2 text-lg font-bold">You</legend>
          {field("person", "Your name", { autoComplete: "name", maxLength: 120 }, "Everything you decide stands under it.")}
          {field("email", "E-mail you sign in with", { type: "email", autoComplete: "username" }, "Nothing is sent to it.")}
          {field(
            "password",
            "Password",
            { type: "password", autoComplete: "new-password", minLength: 12 },
            "Twelve letters or more; a sentence is best.",
          )}
          {begin.error && Object.keys(fields).length === 0 && <Trouble error={begin.error} />}
          <Button type="submit" tone="ink" className="w-full" disabled={begin.isPending || !floras.data}>
            {begin.isPending ? "Beginning …" : "Begin"}
          </Button>
          <p className="text-sm text-faded">
            It proves no safety. Local law, the landowner and licensed people come first. If something was swallowed: keep a sample, note the time,
            call the poison centre or the emergency number.
          </p>
        </fieldset>
      </form>
    </main>
  );
}
