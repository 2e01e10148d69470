import { useQueryClient } from "@tanstack/react-query";
import { lazy, Suspense, useEffect, useState } from "react";
import { Link, Navigate, NavLink, Route, Routes, useLocation } from "react-router";
import { client, type Schemas, unwrap } from "./api/client";
import { useSession } from "./api/queries";
import { Button, Choice, Dialog, dayWords, Field, fieldClass, Loading, Trouble } from "./ui/controls";
import { SignIn } from "./views/signin/signin";
import { FloraChoice } from "./views/species/flora-choice";

const Today = lazy(() => import("./views/today/today"));
const Begin = lazy(() => import("./views/examine/begin"));
const Examine = lazy(() => import("./views/examine/examine"));
const SpeciesIndex = lazy(() => import("./views/species/index"));
const ReviewPage = lazy(() => import("./views/species/review"));
const Terms = lazy(() => import("./views/terms/terms"));
const Running = lazy(() => import("./views/running/running"));
const SpeciesPage = lazy(() => import("./views/species/page"));

const PLACES = [
  { to: "/", label: "Today" },
  { to: "/examine", label: "Examine" },
  { to: "/species", label: "Species" },
  { to: "/terms", label: "Terms" },
];

export function App() {
  const session = useSession();
  const { pathname } = useLocation();
  useEffect(() => {
    document.documentElement.dataset.theme = localStorage.getItem("theme") ?? (matchMedia("(prefers-color-scheme: dark)").matches ? "dusk" : "day");
  }, []);
  if (session.isPending) return <Loading what="the school" />;
  if (session.isError) return <Trouble error={session.error} retry={() => void session.refetch()} />;
  if (!session.data.user) return <SignIn session={session.data} />;
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-3">
        To the content
      </a>
      <header className="rule-b flex print:hidden items-center justify-between gap-1 px-2 wide:gap-2 wide:px-5">
        <Link to="/" className="hidden items-center gap-2 py-2 font-bold tracking-wide wide:flex">
          <img src="/favicon.svg" width="26" height="26" alt="" />
          Hylognosis
        </Link>
        <nav aria-label="Main" className="flex">
          {PLACES.map((place) => (
            <NavLink
              key={place.to}
              to={place.to}
              end={place.to === "/"}
              className={({ isActive }) =>
                `flex min-h-11 items-center border-b-4 px-2 font-semibold wide:px-3 ${isActive ? "border-ink" : "border-transparent hover:border-rule"}`
              }
            >
              {place.label}
            </NavLink>
          ))}
        </nav>
        <Person
          name={session.data.user.name}
          role={session.data.user.role}
          units={session.data.user.units}
          today={session.data.today}
          demo={session.data.demo}
        />
      </header>
      <main id="main" className="flex-1" tabIndex={-1} key={pathname.split("/")[1]}>
        <Suspense fallback={<Loading what="the page" />}>
          <Routes>
            <Route path="/" element={<Today />} />
            <Route path="/examine" element={<Begin />} />
            <Route path="/examine/:id" element={<Examine />} />
            <Route path="/species" element={<SpeciesIndex />} />
            <Route path="/species/:id" element={<SpeciesPage />} />
            <Route path="/review/:flora" element={<ReviewPage />} />
            <Route path="/terms" element={<Terms />} />
            <Route path="/running" element={<Running />} />
            <Route path="*" element={<Navigate to="/" replace />} />
          </Routes>
        </Suspense>
      </main>
    </div>
  );
}

function Person(p: { name: string; role: string; units: Schemas["Units"]; today: string; demo: boolean }) {
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
        <span className="text-faded">
          {p.role}
          <span className="hidden wide:inline">
            {" "}
            · {p.demo ? "demo day " : ""}
            {dayWords(p.today)}
          </span>
        </span>
      </button>
      <Dialog open={open} onOpenChange={setOpen} title={p.name}>
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
          {p.role === "instructor" && (
            <p>
              <Link to="/running" className="inline-flex min-h-11 items-center underline underline-offset-4" onClick={() => setOpen(false)}>
                How the server runs
              </Link>
            </p>
          )}
          <Button
            onClick={() =>
              act(async () => {
                await client.POST("/api/logout" as never, {} as never).catch(() => undefined);
                window.location.assign("/");
              })
            }
          >
            Sign out
          </Button>
        </div>
      </Dialog>
    </>
  );
}
