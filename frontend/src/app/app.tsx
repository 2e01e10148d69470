import type { QueryClient } from "@tanstack/react-query";
import { Suspense, useEffect } from "react";
import { Link, matchPath, NavLink, Route, Routes, useLocation } from "react-router";
import { examinationQuery, sessionQuery, todayQuery, useSession } from "../api/queries";
import { Person } from "../features/account/person";
import { FieldStrip } from "../features/along/strip";
import { Find } from "../features/find/find";
import { Loading, Trouble } from "../ui/controls";
import { writeDaysAs } from "../words/text";
import { Boundary } from "./boundary";
import { Page, page } from "./page";

/** Every page by its address; loaded when somebody goes there. */
const PAGES = {
  "/": page(() => import("../features/today/today")),
  "/examine": page(() => import("../features/examine/begin")),
  "/examine/:id": page(() => import("../features/examine/examine")),
  "/species": page(() => import("../features/species/index")),
  "/species/:id": page(() => import("../features/species/page")),
  "/compare": page(() => import("../features/species/compare")),
  "/review/:flora": page(() => import("../features/review/review")),
  "/sheet": page(() => import("../features/sheet/sheet")),
  "/sheet/enter": page(() => import("../features/sheet/enter")),
  "/along": page(() => import("../features/along/along")),
  "/year": page(() => import("../features/year/year")),
  "/plan": page(() => import("../features/year/plan")),
  "/plan/walk": page(() => import("../features/year/walk")),
  "/phenology": page(() => import("../features/year/phenology")),
  "/reckon": page(() => import("../features/reckoning/index")),
  "/recipes": page(() => import("../features/recipes/index")),
  "/recipes/:id": page(() => import("../features/recipes/page")),
  "/stock": page(() => import("../features/stock/stock")),
  "/practice": page(() => import("../features/learning/practice")),
  "/practice/:code": page(() => import("../features/learning/practice-tree")),
  "/drills": page(() => import("../features/learning/drills")),
  "/trust": page(() => import("../features/learning/trust")),
  "/rates": page(() => import("../features/learning/rates")),
  "/cards": page(() => import("../features/learning/cards")),
  "/groups": page(() => import("../features/teaching/groups")),
  "/groups/:id": page(() => import("../features/teaching/group")),
  "/my-tree": page(() => import("../features/teaching/my-tree")),
  "/agreement": page(() => import("../features/learning/agreement")),
  "/learning": page(() => import("../features/learning/learning")),
  "/learning/:id": page(() => import("../features/learning/learning")),
  "/surveys": page(() => import("../features/ground/surveys")),
  "/surveys/:id": page(() => import("../features/ground/survey")),
  "/pastures": page(() => import("../features/ground/pastures")),
  "/storms": page(() => import("../features/ground/storms")),
  "/storms/:id": page(() => import("../features/ground/storm")),
  "/hazards": page(() => import("../features/ground/day")),
  "/swallowed": page(() => import("../features/ground/swallowed")),
  "/trials": page(() => import("../features/trials/index")),
  "/woods": page(() => import("../features/species/wood")),
  "/measure": page(() => import("../features/reckoning/measure")),
  "/harvests": page(() => import("../features/harvest/log")),
  "/harvests/several": page(() => import("../features/harvest/several")),
  "/batches": page(() => import("../features/batches/index")),
  "/batches/new": page(() => import("../features/batches/begin")),
  "/batches/:id": page(() => import("../features/batches/batch")),
  "/batches/:id/labels": page(() => import("../features/batches/labels")),
  "/jars/:id": page(() => import("../features/batches/batch").then((m) => ({ default: () => <m.default unit /> }))),
  "/recalls": page(() => import("../features/batches/recalls")),
  "/terms": page(() => import("../features/terms/terms")),
  "/running": page(() => import("../features/running/running")),
  "/people": page(() => import("../features/people/people")),
  "/people/devices": page(() => import("../features/devices/devices")),
  "/trees": page(() => import("../features/trees/trees")),
  "/trees/:id": page(() => import("../features/trees/tree")),
  "/tags": page(() => import("../features/trees/tags")),
  "/exchange": page(() => import("../features/exchange/exchange")),
  "/decisions/:id": page(() => import("../features/decision/decision")),
  "/places": page(() => import("../features/trees/places")),
  "/places/:id": page(() => import("../features/trees/place")),
};
const DOOR = page(() => import("../features/account/signin"));
const BEGINNING = page(() => import("../features/account/begin-school"));
const JOINING = page(() => import("../features/account/join"));

/** The page asked for is fetched beside the session, and what it asks first as soon as somebody is known to be signed in. */
export function ahead(path: string, queries: QueryClient) {
  Object.entries(PAGES)
    .find(([pattern]) => matchPath(pattern, path))?.[1]
    .ahead();
  const id = /^\/examine\/([0-9a-f-]{36})$/.exec(path)?.[1];
  void queries.prefetchQuery(sessionQuery).then(() => {
    const session = queries.getQueryData(sessionQuery.queryKey);
    if (session && !session.user) (session.begun ? DOOR : BEGINNING).ahead();
    if (!session?.user) return;
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
  { to: "/surveys", label: "Ground", wide: true, also: ["/pastures", "/storms", "/stock", "/hazards", "/swallowed"] },
  { to: "/practice", label: "Learn", wide: true, also: ["/drills", "/learning", "/trust", "/cards", "/groups", "/my-tree", "/agreement", "/rates"] },
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
  stock: "Poison for animals",
  practice: "Practice trees",
  drills: "Two minutes",
  learning: "What I confuse",
  trust: "Trust",
  rates: "What the school misreads",
  cards: "Cards and sheets",
  groups: "Groups",
  "my-tree": "One tree, a whole year",
  agreement: "Do we agree?",
  surveys: "Walk a place",
  storms: "After a storm",
  hazards: "A day’s hazards",
  swallowed: "Something was swallowed",
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
          <Route path="/join/:secret" element={<Page of={JOINING} />} />
        </Routes>
      </Suspense>
    );
  if (!session.data.begun)
    return (
      <Suspense fallback={<Loading what="the page" />}>
        <Page of={BEGINNING} />
      </Suspense>
    );
  if (!session.data.user)
    return (
      <>
        <FieldStrip />
        <Suspense fallback={<Loading what="the page" />}>
          <Page of={DOOR} />
        </Suspense>
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
                `${place.wide ? "hidden wide:flex" : "flex"} min-h-11 items-center border-b-4 px-1.5 font-semibold max-[22rem]:px-1 max-[22rem]:text-sm wide:px-3 ${isActive || place.also?.some((path) => pathname.startsWith(path)) ? "border-ink" : "border-transparent hover:border-rule"}`
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
              {Object.entries(PAGES).map(([path, of]) => (
                <Route key={path} path={path} element={<Page key={path} of={of} />} />
              ))}
              <Route path="*" element={<Nowhere />} />
            </Routes>
          </Suspense>
        </Boundary>
      </main>
    </div>
  );
}
