import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { Choice, Dialog, Field, fieldClass, Trouble } from "../../ui/controls";
import { dayWords } from "../../words/text";
import { FloraChoice } from "../floras/flora-choice";
import { OwnAccount } from "./own-account";

/** Who is signed in, and what they have chosen: units, flora, light. */
export function Person(p: { name: string; role: string; units: Schemas["Units"]; today: string; demo: boolean }) {
  const [open, setOpen] = useState(false);
  const [theme, setTheme] = useState(document.documentElement.dataset.theme ?? "day");
  const queries = useQueryClient();
  const [error, setError] = useState<Error | null>(null);
  const act = (work: () => Promise<unknown>) => {
    setError(null);
    work()
      .then(() => queries.invalidateQueries())
      .catch(setError);
  };
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        className="flex min-h-11 flex-col items-end justify-center text-right text-sm leading-tight"
      >
        <span className="font-semibold">
          <span className="wide:hidden">{p.name.split(" ")[0]}</span>
          <span className="hidden wide:inline">{p.name}</span>
        </span>
        <span className="text-faded max-wide:hidden">
          {p.role}
          <span className="hidden wide:inline">
            {" "}
            · {p.demo ? "demo day " : ""}
            {dayWords(p.today)}
          </span>
        </span>
      </button>
      <Dialog open={open} onOpenChange={setOpen} title={`${p.name}, ${p.role}`}>
        <div className="space-y-4">
          {error && <Trouble error={error} />}
          <Choice
            label="Units"
            value={p.units}
            options={[
              { value: "metric", label: "metric" },
              { value: "imperial", label: "imperial" },
            ]}
            onChange={(units) => act(() => unwrap(client.PUT("/api/preferences", { body: { units } })))}
          />
          <FloraChoice label="Flora I work with" />
          <Choice
            label="Light"
            value={theme}
            options={[
              { value: "day", label: "day" },
              { value: "dusk", label: "dusk" },
            ]}
            onChange={(next) => {
              setTheme(next);
              document.documentElement.dataset.theme = next;
              localStorage.setItem("theme", next);
            }}
          />
          {p.demo && (
            <Field label="The day the demo takes for today" hint="June for elder flowers, October for chestnuts.">
              <input
                type="date"
                className={fieldClass}
                value={p.today}
                onChange={(e) => e.target.value && act(() => unwrap(client.PUT("/api/demo/day", { body: { day: e.target.value } })))}
              />
            </Field>
          )}
          <p>
            <Link to="/along" className="inline-flex min-h-11 items-center underline underline-offset-4" onClick={() => setOpen(false)}>
              Taken along: what this device has without a network
            </Link>
          </p>
          <p className="wide:hidden">
            <Link to="/terms" className="inline-flex min-h-11 items-center underline underline-offset-4" onClick={() => setOpen(false)}>
              Terms
            </Link>
          </p>
          <p>
            <Link
              to={p.role === "instructor" ? "/people" : "/people/devices"}
              className="inline-flex min-h-11 items-center underline underline-offset-4"
              onClick={() => setOpen(false)}
            >
              {p.role === "instructor" ? "People, devices, copies" : "Devices"}
            </Link>
          </p>
          <OwnAccount />
        </div>
      </Dialog>
    </>
  );
}
