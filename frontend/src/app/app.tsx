import type { QueryClient } from "@tanstack/react-query";
import { lazy, Suspense, useEffect } from "react";
import { Link, NavLink, Route, Routes, useLocation } from "react-router";
import { examinationQuery, sessionQuery, todayQuery, useSession } from "../api/queries";
import { BeginSchool } from "../features/account/begin-school";
import { Person } from "../features/account/person";
import { SignIn } from "../features/account/signin";
import { FieldStrip } from "../features/along/strip";
import { Find } from "../features/find/find";
import { Loading, Trouble } from "../ui/controls";
import { writeDaysAs } from "../words/text";
import { Boundary } from "./boundary";

const today = () => import("../features/today/today");
const Today = lazy(today);
const Begin = lazy(() => import("../features/examine/begin"));
const examine = () => import("../features/examine/examine");
const Examine = lazy(examine);
const SpeciesIndex = lazy(() => import("../features/species/index"));
const ReviewPage = lazy(() => import("../features/review/review"));
const Terms = lazy(() => import("../features/terms/terms"));
const Running = lazy(() => import("../features/running/running"));
const Places = lazy(() => import("../features/trees/places"));
const Place = lazy(() => import("../features/trees/place"));
const Trees = lazy(() => import("../features/trees/trees"));
const Tree = lazy(() => import("../features/trees/tree"));
const Year = lazy(() => import("../features/year/year"));
const PlanPage = lazy(() => import("../features/year/plan"));
const Walk = lazy(() => import("../features/year/walk"));
const Phenology = lazy(() => import("../features/year/phenology"));
const Reckoning = lazy(() => import("../features/reckoning/index"));
const Measure = lazy(() => import("../features/reckoning/measure"));
const Recipes = lazy(() => import("../features/recipes/index"));
const RecipePage = lazy(() => import("../features/recipes/page"));
const Trials = lazy(() => import("../features/trials/index"));
const WoodBook = lazy(() => import("../features/species/wood"));
const HarvestLog = lazy(() => import("../features/harvest/log"));
const SeveralTrees = lazy(() => import("../features/harvest/several"));
const Batches = lazy(() => import("../features/batches/index"));
const BeginBatch = lazy(() => import("../features/batches/begin"));
const BatchPage = lazy(() => import("../features/batches/batch"));
const BatchLabels = lazy(() => import("../features/batches/labels"));
const Recalls = lazy(() => import("../features/batches/recalls"));
const Tags = lazy(() => import("../features/trees/tags"));
const Exchange = lazy(() => import("../features/exchange/exchange"));
const Decision = lazy(() => import("../features/decision/decision"));
const Devices = lazy(() => import("../features/devices/devices"));
const People = lazy(() => import("../features/people/people"));
const Join = lazy(() => import("../features/account/join"));
const Compare = lazy(() => import("../features/species/compare"));
const Along = lazy(() => import("../features/along/along"));
const SheetPage = lazy(() => import("../features/sheet/sheet"));
const EnterSheet = lazy(() => import("../features/sheet/enter"));
const SpeciesPage = lazy(() => import("../features/species/page"));

/** The page asked for is fetched beside the session, and what it asks first as soon as somebody is known to be signed in. */
export function ahead(path: string, queries: QueryClient) {
  const id = /^\/examine\/([0-9a-f-]{36})$/.exec(path)?.[1];
  if (path === "/") void today();
  else if (id) void examine();
  void queries.prefetchQuery(sessionQuery).then(() => {
    if (!queries.getQueryData(sessionQuery.queryKey)?.user) return;
    if (path === "/") void queries.prefetchQuery(todayQuery);
    else if (id) void queries.prefetchQuery(examinationQuery(id));
  });
}

const PLACES = [
  { to: "/", label: "Today" },
  { to: "/examine", label: "Examine" },
  { to: "/trees", label: "Trees" },
  { to: "/year", label: "Year", wide: true },
  { to: "/species", label: "Species" },
  { to: "/terms", label: "Terms", wide: true },
];

/** What the window is called, by the first word of the address. */
const CALLED: Record<string, string> = {
  "": "Today",
  phenology: "What came when",
  reckon: "Reckoning",
  compare: "Side by side",
  along: "Taken along",
  sheet: "A sheet of paper",
  review: "What they never show",
  plan: "A day out",
  measure: "Measuring",
  running: "How the server runs",
  exchange: "Files",
  jars: "A jar",
  recalls: "Called back",
};

function Nowhere() {
  const { pathname } = useLocation();
  return (
    <div className="mx-auto max-w-prose px-4 py-8" role="alert">
      <h1 className="text-2xl">There is nothing at this address</h1>
      <p className="py-2 break-words">
        “{pathname}” leads nowhere. If it came from a printed code, the tree or jar may be of another school; nothing is lost by that.
      </p>
      <Link to="/" className="inline-flex min-h-11 items-center underline underline-offset-4">
        To today
      </Link>
    </div>
  );
}

export function App() {
  const session = useSession();
  const { pathname } = useLocation();
  useEffect(() => {
    document.documentElement.dataset.theme = localStorage.getItem("theme") ?? (matchMedia("(prefers-color-scheme: dark)").matches ? "dusk" : "day");
  }, []);
  useEffect(() => {
    const word = pathname.split("/")[1] ?? "";
    const called = CALLED[word] ?? word.charAt(0).toUpperCase() + word.slice(1);
    document.title = `${called} · Hylognosis`;
  }, [pathname]);
  const known = session.data?.user?.id;
  useEffect(() => {
    if (known) localStorage.setItem("was-in", known);
  }, [known]);
  if (session.isPending) return <Loading what="the school" />;
  if (session.isError) return <Trouble error={session.error} retry={() => void session.refetch()} />;
  if (pathname.startsWith("/join/"))
    return (
      <Suspense fallback={<Loading what="the page" />}>
        <Routes>
          <Route path="/join/:secret" element={<Join />} />
        </Routes>
      </Suspense>
    );
  if (!session.data.begun) return <BeginSchool />;
  if (!session.data.user)
    return (
      <>
        <FieldStrip />
        <SignIn session={session.data} />
      </>
    );
  writeDaysAs(session.data.school?.dates ?? "day");
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
          {PLACES.filter((place) => place.to !== "/examine" || session.data.user?.role !== "guest").map((place) => (
            <NavLink
              key={place.to}
              to={place.to}
              end={place.to === "/"}
              className={({ isActive }) =>
                `${place.wide ? "hidden wide:flex" : "flex"} min-h-11 items-center border-b-4 px-1.5 font-semibold max-[22rem]:px-1 max-[22rem]:text-sm wide:px-3 ${isActive ? "border-ink" : "border-transparent hover:border-rule"}`
              }
            >
              {place.label}
            </NavLink>
          ))}
        </nav>
        <span className="ml-auto">
          <Find />
        </span>
        <Person
          name={session.data.user.name}
          role={session.data.user.role}
          units={session.data.user.units}
          today={session.data.today}
          demo={session.data.demo}
        />
      </header>
      <FieldStrip />
      <main id="main" className="flex-1" tabIndex={-1} key={pathname.split("/")[1]}>
        <Boundary at={pathname}>
          <Suspense fallback={<Loading what="the page" />}>
            <Routes>
              <Route path="/" element={<Today />} />
              <Route path="/examine" element={<Begin />} />
              <Route path="/examine/:id" element={<Examine />} />
              <Route path="/species" element={<SpeciesIndex />} />
              <Route path="/species/:id" element={<SpeciesPage />} />
              <Route path="/compare" element={<Compare />} />
              <Route path="/review/:flora" element={<ReviewPage />} />
              <Route path="/sheet" element={<SheetPage />} />
              <Route path="/sheet/enter" element={<EnterSheet />} />
              <Route path="/along" element={<Along />} />
              <Route path="/year" element={<Year />} />
              <Route path="/plan" element={<PlanPage />} />
              <Route path="/plan/walk" element={<Walk />} />
              <Route path="/phenology" element={<Phenology />} />
              <Route path="/reckon" element={<Reckoning />} />
              <Route path="/recipes" element={<Recipes />} />
              <Route path="/recipes/:id" element={<RecipePage />} />
              <Route path="/trials" element={<Trials />} />
              <Route path="/woods" element={<WoodBook />} />
              <Route path="/measure" element={<Measure />} />
              <Route path="/harvests" element={<HarvestLog />} />
              <Route path="/harvests/several" element={<SeveralTrees />} />
              <Route path="/batches" element={<Batches />} />
              <Route path="/batches/new" element={<BeginBatch />} />
              <Route path="/batches/:id" element={<BatchPage />} />
              <Route path="/batches/:id/labels" element={<BatchLabels />} />
              <Route path="/jars/:id" element={<BatchPage unit />} />
              <Route path="/recalls" element={<Recalls />} />
              <Route path="/terms" element={<Terms />} />
              <Route path="/running" element={<Running />} />
              <Route path="/people" element={<People />} />
              <Route path="/people/devices" element={<Devices />} />
              <Route path="/trees" element={<Trees />} />
              <Route path="/trees/:id" element={<Tree />} />
              <Route path="/tags" element={<Tags />} />
              <Route path="/exchange" element={<Exchange />} />
              <Route path="/decisions/:id" element={<Decision />} />
              <Route path="/places" element={<Places />} />
              <Route path="/places/:id" element={<Place />} />
              <Route path="*" element={<Nowhere />} />
            </Routes>
          </Suspense>
        </Boundary>
      </main>
    </div>
  );
}
