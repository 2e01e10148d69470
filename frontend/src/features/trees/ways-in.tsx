import { useMutation } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { Button, Dialog, Field, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { parseDecimal } from "../../words/numbers";
import { HereButton } from "../devices/where";

type Page = Schemas["SitePageView"];
const WAYS = [
  ["entrance", "One goes in at"],
  ["car", "The car stays at"],
] as const;

/** Where one goes in, and where the car stays: a day out begins and ends there. */
export function WaysIn({ page, onKept }: { page: Page; onKept: (page: Page) => void }) {
  const [changing, setChanging] = useState(false);
  return (
    <>
      <dl className="grid grid-cols-[8rem_1fr] gap-y-1 py-2">
        {WAYS.map(([key, label]) => (
          <div key={key} className="contents">
            <dt className="text-faded">{label}</dt>
            <dd className={page[key].length === 0 ? "text-faded" : "figures"}>
              {page[key].length === 0 ? "not said" : `${page[key][1]?.toFixed(5)}°, ${page[key][0]?.toFixed(5)}°`}
            </dd>
          </div>
        ))}
      </dl>
      {page.mayChange && <Button onClick={() => setChanging(true)}>Say where one goes in</Button>}
      <Dialog
        open={changing}
        onOpenChange={setChanging}
        title={`Ways into ${page.site.name}`}
        description="A day out begins and ends at the entrance; without one, at the car."
      >
        <Form
          page={page}
          onKept={(kept) => {
            setChanging(false);
            onKept(kept);
          }}
        />
      </Dialog>
    </>
  );
}

function Form({ page, onKept }: { page: Page; onKept: (page: Page) => void }) {
  const typed = (point: number[]) => (point.length === 2 ? [String(point[1]), String(point[0])] : ["", ""]) as [string, string];
  const [points, setPoints] = useState({ entrance: typed(page.entrance), car: typed(page.car) });
  const [said, setSaid] = useState("");
  const keep = useMutation({
    mutationFn: (body: Schemas["WaysIn"]) => unwrap(client.PUT("/api/sites/{id}/ways-in", { params: { path: { id: page.site.id } }, body })),
    onSuccess: onKept,
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const body: Schemas["WaysIn"] = { entrance: [], car: [] };
    for (const [key] of WAYS) {
      if (points[key].every((t) => t.trim() === "")) continue;
      const [latitude, longitude] = points[key].map((t) => parseDecimal(t));
      if (latitude == null || longitude == null || Math.abs(latitude) > 90 || Math.abs(longitude) > 180)
        return setSaid("A point is two numbers in degrees, such as 47,1203 and 15,3091; or both stay empty.");
      body[key] = [longitude, latitude];
    }
    setSaid("");
    keep.mutate(body);
  };
  return (
    <form onSubmit={submit} className="space-y-4">
      {WAYS.map(([key, label]) => (
        <fieldset key={key} className="flex flex-wrap items-end gap-2">
          <legend className="font-semibold">{label}</legend>
          {(["Latitude °", "Longitude °"] as const).map((name, i) => (
            <div key={name} className="w-36">
              <Field label={name}>
                <NumberInput
                  name={`${key}-${i}`}
                  unit="°"
                  value={points[key][i] ?? ""}
                  onChange={(e) => {
                    const next = [...points[key]] as [string, string];
                    next[i] = e.target.value;
                    setPoints({ ...points, [key]: next });
                  }}
                />
              </Field>
            </div>
          ))}
          <HereButton
            label="Where I stand"
            onFound={(spot) => setPoints({ ...points, [key]: [spot.latitude.toFixed(6), spot.longitude.toFixed(6)] })}
          />
        </fieldset>
      ))}
      {said && <p role="alert">{said}</p>}
      {keep.error && <Trouble error={keep.error} />}
      <Button tone="ink" type="submit" disabled={keep.isPending}>
        Keep it
      </Button>
    </form>
  );
}
