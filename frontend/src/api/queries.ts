import { infiniteQueryOptions, keepPreviousData, queryOptions, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import type { PlanAsked } from "../features/year/plan-search";
import { client, type Examination, Problem, type Schemas, unwrap } from "./client";

export const sessionQuery = queryOptions({ queryKey: ["session"], queryFn: () => unwrap(client.GET("/api/session")), staleTime: 60_000 });
/** One flora; without a name the one this person works with. */
export const floraQuery = (name?: string) =>
  queryOptions({
    queryKey: ["flora", name ?? ""],
    queryFn: () => unwrap(client.GET("/api/flora", { params: { query: name ? { flora: name } : {} } })),
    staleTime: Number.POSITIVE_INFINITY,
  });
export const florasQuery = queryOptions({
  queryKey: ["floras"],
  queryFn: () => unwrap(client.GET("/api/floras")),
  staleTime: Number.POSITIVE_INFINITY,
});
export const todayQuery = queryOptions({ queryKey: ["today"], queryFn: () => unwrap(client.GET("/api/today")) });
export const termsQuery = queryOptions({ queryKey: ["terms"], queryFn: () => unwrap(client.GET("/api/terms")), staleTime: Number.POSITIVE_INFINITY });
/** Which trees are wanted: words, a place, a danger; those that are there, or those that are gone. */
export type Selection = { q: string; site: string; danger: Schemas["TreeDanger"] | ""; gone: boolean };
export const EVERY_TREE: Selection = { q: "", site: "", danger: "", gone: false };
const asked = ({ q, site, danger, gone }: Selection) => ({
  ...(q && { q }),
  ...(site && { site }),
  ...(danger && { danger }),
  ...(gone && { gone }),
});
/** Trees of a selection, page by page. */
export const treesQuery = (selection: Selection) =>
  infiniteQueryOptions({
    queryKey: ["specimens", selection],
    queryFn: ({ pageParam }) => unwrap(client.GET("/api/specimens", { params: { query: { ...asked(selection), after: pageParam } as never } })),
    initialPageParam: "",
    getNextPageParam: (page) => page.next,
    placeholderData: keepPreviousData,
  });
export const treeQuery = (id: string) =>
  queryOptions({
    queryKey: ["specimen", id],
    queryFn: () => unwrap(client.GET("/api/specimens/{id}", { params: { path: { id } } })),
    enabled: id !== "",
  });
/** The same trees on the ground. */
export const mapTreesQuery = (selection: Selection) =>
  queryOptions({
    queryKey: ["map-trees", selection],
    queryFn: () => unwrap(client.GET("/api/map/trees", { params: { query: asked(selection) as never } })),
    placeholderData: keepPreviousData,
  });
export const baseMapQuery = queryOptions({
  queryKey: ["map-base"],
  queryFn: () => unwrap(client.GET("/api/map/base")) as Promise<unknown> as Promise<GeoJSON.FeatureCollection>,
  staleTime: Number.POSITIVE_INFINITY,
});
const ofTree = (id: string) => ({ params: { path: { id } } });
export const treePageQuery = (id: string) =>
  queryOptions({ queryKey: ["tree", id, "page"], queryFn: () => unwrap(client.GET("/api/specimens/{id}/page", ofTree(id))), retry: false });
export const treeKnownQuery = (id: string) =>
  queryOptions({ queryKey: ["tree", id, "known"], queryFn: () => unwrap(client.GET("/api/specimens/{id}/known", ofTree(id))) });
export const treeYearsQuery = (id: string) =>
  queryOptions({ queryKey: ["tree", id, "years"], queryFn: () => unwrap(client.GET("/api/specimens/{id}/years", ofTree(id))) });
/** Of a tree with its scores and harvests, of one harvest, or of something that is made. */
export const picturesQuery = (of: { tree: string } | { harvest: string } | { batch: string }) => {
  const [[what, id] = ["", ""]] = Object.entries(of);
  return queryOptions({
    queryKey: [what, id, "pictures"],
    queryFn: () =>
      unwrap(
        "tree" in of
          ? client.GET("/api/specimens/{id}/pictures", ofTree(id))
          : "harvest" in of
            ? client.GET("/api/harvests/{id}/pictures", ofTree(id))
            : client.GET("/api/batches/{id}/pictures", ofTree(id)),
      ),
  });
};
export const treePartnersQuery = (id: string) =>
  queryOptions({ queryKey: ["tree", id, "partners"], queryFn: () => unwrap(client.GET("/api/specimens/{id}/partners", ofTree(id))) });
export const papersQuery = (site: string) =>
  queryOptions({ queryKey: ["site", site, "papers"], queryFn: () => unwrap(client.GET("/api/sites/{id}/papers", ofTree(site))) });
export const decisionQuery = (id: string) =>
  queryOptions({ queryKey: ["decision", id], queryFn: () => unwrap(client.GET("/api/decisions/{id}", ofTree(id))), retry: false });
export const receiverQuery = queryOptions({ queryKey: ["receiver"], queryFn: () => unwrap(client.GET("/api/devices/receiver")) });
export const gaugeQuery = queryOptions({ queryKey: ["gauge"], queryFn: () => unwrap(client.GET("/api/devices/gauge")) });
export const cameraQuery = queryOptions({ queryKey: ["camera"], queryFn: () => unwrap(client.GET("/api/devices/camera")) });
export const copiesQuery = queryOptions({ queryKey: ["copies"], queryFn: () => unwrap(client.GET("/api/copies")) });
export const siteQuery = (id: string) =>
  queryOptions({ queryKey: ["site", id], queryFn: () => unwrap(client.GET("/api/sites/{id}", { params: { path: { id } } })) });
export const sitesQuery = queryOptions({ queryKey: ["sites"], queryFn: () => unwrap(client.GET("/api/sites")) });
export const taxonQuery = (id: string, flora?: string) =>
  queryOptions({
    queryKey: ["taxon", id, flora ?? ""],
    queryFn: () => unwrap(client.GET("/api/flora/taxa/{id}", { params: { path: { id }, query: flora ? { flora } : {} } })),
  });
/** What parts kinds laid side by side. */
export const comparisonQuery = (taxa: string[], flora: string, stage: Schemas["LifeStage"], site = "") =>
  queryOptions({
    queryKey: ["comparison", taxa.join(), flora, stage, site],
    queryFn: () =>
      unwrap(client.GET("/api/flora/compare", { params: { query: { taxa: taxa.join(), stage, ...(flora && { flora }), ...(site && { site }) } } })),
  });
export const examinationQuery = (id: string) =>
  queryOptions({
    queryKey: ["examination", id],
    queryFn: () => unwrap(client.GET("/api/examinations/{id}", { params: { path: { id } } })),
    retry: false,
  });

/** What harms animals, by the flora one works with. */
export const stockQuery = queryOptions({ queryKey: ["stock"], queryFn: () => unwrap(client.GET("/api/stock")), staleTime: 60_000 });

/** One search over everything. */
export const findQuery = (q: string, most = 12) =>
  queryOptions({
    queryKey: ["find", q, most],
    queryFn: () => unwrap(client.GET("/api/find", { params: { query: { q, most } } })),
    placeholderData: keepPreviousData,
    staleTime: 60_000,
  });

/** What a sheet of paper needs; without a part one for a tree nobody knows. */
export const fieldSheetQuery = (taxon: string, part: string, site: string, flora: string) =>
  queryOptions({
    queryKey: ["field-sheet", taxon, part, site, flora],
    queryFn: () => unwrap(client.GET("/api/field/sheet", { params: { query: { taxon, part, site, flora } } })),
  });

/** What the dangerous kinds of a flora never show, with who has read it. */
export const neversQuery = (flora: string) =>
  queryOptions({
    queryKey: ["nevers", flora],
    queryFn: () => unwrap(client.GET("/api/floras/{name}/nevers", { params: { path: { name: flora } } })),
  });

/** How the server does, over the last days. */
export const runningQuery = (days: number) =>
  queryOptions({
    queryKey: ["running", days],
    queryFn: () => unwrap(client.GET("/api/running", { params: { query: { days } } })),
    placeholderData: keepPreviousData,
    refetchInterval: 30_000,
  });

/** Everybody, for those who look after the school. */
export const peopleQuery = queryOptions({ queryKey: ["people"], queryFn: () => unwrap(client.GET("/api/people")) });
export const examinersQuery = queryOptions({ queryKey: ["examiners"], queryFn: () => unwrap(client.GET("/api/examiners")) });
export const welcomeQuery = (secret: string) =>
  queryOptions({
    queryKey: ["welcome", secret],
    queryFn: () => unwrap(client.GET("/api/join/{secret}", { params: { path: { secret } } })),
    retry: false,
  });

/** What an answer leans on is fetched apart, when somebody asks; with the next score it is out of date. */
const accountOf = (id: string) => ["account", id] as const;

export const pointsQuery = (id: string) =>
  queryOptions({
    queryKey: [...accountOf(id), "points"],
    queryFn: () => unwrap(client.GET("/api/examinations/{id}/points", { params: { path: { id } } })),
  });
export const dangerQuery = (id: string, taxon: string) =>
  queryOptions({
    queryKey: [...accountOf(id), "danger", taxon],
    queryFn: () => unwrap(client.GET("/api/examinations/{id}/dangers/{taxon}", { params: { path: { id, taxon } } })),
  });
export const contrastQuery = (id: string, one: string, other: string) =>
  queryOptions({
    queryKey: [...accountOf(id), "evidence", one, other],
    queryFn: () => unwrap(client.GET("/api/examinations/{id}/evidence/{for}/{against}", { params: { path: { id, for: one, against: other } } })),
  });

export const useSession = () => useQuery(sessionQuery);

/** Everything that can be done to one examination; each answer is the whole examination anew. */
export function useExamination(id: string) {
  const queries = useQueryClient();
  const params = { path: { id } };
  const keep = (examination: Examination) => {
    queries.setQueryData(["examination", id], examination);
    void queries.invalidateQueries({ queryKey: accountOf(id) });
    void queries.invalidateQueries({ queryKey: ["today"] });
  };
  return {
    change: useMutation({
      mutationFn: (body: Partial<Schemas["ExaminationChange"]>) =>
        unwrap(client.PATCH("/api/examinations/{id}", { params, body: body as Schemas["ExaminationChange"] })),
      onSuccess: keep,
    }),
    score: useMutation({
      mutationFn: (body: Schemas["NewScore"]) => unwrap(client.POST("/api/examinations/{id}/scores", { params, body })),
      onSuccess: keep,
    }),
    takeBack: useMutation({
      mutationFn: (score: string) => unwrap(client.DELETE("/api/examinations/{id}/scores/{score}", { params: { path: { id, score } } })),
      onSuccess: keep,
    }),
    restore: useMutation({
      mutationFn: (score: string) => unwrap(client.POST("/api/examinations/{id}/scores/{score}/restore", { params: { path: { id, score } } })),
      onSuccess: keep,
    }),
    reconsider: useMutation({
      mutationFn: (because: string) => unwrap(client.POST("/api/examinations/{id}/reconsider", { params, body: { because } })),
      onSuccess: keep,
    }),
    sign: useMutation({ mutationFn: () => unwrap(client.POST("/api/examinations/{id}/sign", { params })), onSuccess: keep }),
    harvest: useMutation({
      mutationFn: (body: Schemas["Taken"]) => unwrap(client.POST("/api/examinations/{id}/harvests", { params, body })),
      onSuccess: (examination) => {
        keep(examination);
        for (const key of ["taxon", "harvests", "free-harvests", "open-gates"]) void queries.invalidateQueries({ queryKey: [key] });
      },
    }),
  };
}

export const yearQuery = (site: string, of: number, all: boolean) =>
  queryOptions({
    queryKey: ["year", site, of, all],
    queryFn: () => unwrap(client.GET("/api/year", { params: { query: { site, of, all } } })),
  });
export const treeSeasonQuery = (id: string) =>
  queryOptions({ queryKey: ["tree", id, "season"], queryFn: () => unwrap(client.GET("/api/specimens/{id}/season", ofTree(id))) });
export const treeCropsQuery = (id: string) =>
  queryOptions({ queryKey: ["tree", id, "crops"], queryFn: () => unwrap(client.GET("/api/specimens/{id}/crops", ofTree(id))) });
export const plannedDaysQuery = queryOptions({ queryKey: ["planned-days"], queryFn: () => unwrap(client.GET("/api/plan/days")) });
export const recipesQuery = (taxon = "") =>
  queryOptions({
    queryKey: ["recipes", taxon],
    queryFn: () => unwrap(client.GET("/api/recipes", { params: { query: taxon ? { taxon } : {} } })),
    staleTime: Number.POSITIVE_INFINITY,
  });
export const recipeQuery = (id: string, ways: string[], grams: number | null) =>
  queryOptions({
    queryKey: ["recipe", id, ways, grams],
    queryFn: () => unwrap(client.GET("/api/recipes/{id}", { params: { path: { id }, query: { "ways[]": ways, grams } } })),
    placeholderData: (before) => before,
  });
export const batchesQuery = queryOptions({ queryKey: ["batches"], queryFn: () => unwrap(client.GET("/api/batches")) });
export const batchQuery = (id: string) =>
  queryOptions({ queryKey: ["batch", id], queryFn: () => unwrap(client.GET("/api/batches/{id}", ofTree(id))) });
export const trialsQuery = (of: Schemas["TrialOf"]) =>
  queryOptions({ queryKey: ["trials", of], queryFn: () => unwrap(client.GET("/api/trials", { params: { query: { of } } })) });
export const woodQuery = queryOptions({ queryKey: ["woods"], queryFn: () => unwrap(client.GET("/api/woods")), staleTime: Number.POSITIVE_INFINITY });
export const batchesOfKindQuery = (taxon: string) =>
  queryOptions({ queryKey: ["batches", taxon], queryFn: () => unwrap(client.GET("/api/batches", { params: { query: { taxon } } })) });
export const harvestsQuery = (by: Schemas["GroupBy"], taxon = "") =>
  queryOptions({
    queryKey: ["harvests", by, taxon],
    queryFn: () => unwrap(client.GET("/api/harvests", { params: { query: { by, ...(taxon && { taxon }) } } })),
    placeholderData: (before) => before,
  });
export const windowsOfQuery = (id: string) =>
  queryOptions({ queryKey: ["taxon", id, "windows"], queryFn: () => unwrap(client.GET("/api/flora/taxa/{id}/windows", ofTree(id))) });
export const openGatesQuery = queryOptions({ queryKey: ["open-gates"], queryFn: () => unwrap(client.GET("/api/harvests/open")) });
export const measuresQuery = queryOptions({ queryKey: ["measures"], queryFn: () => unwrap(client.GET("/api/measures")) });
export const freeHarvestsQuery = queryOptions({
  queryKey: ["free-harvests"],
  queryFn: () => unwrap(client.GET("/api/batches/harvests")),
});
export const recallsQuery = queryOptions({ queryKey: ["recalls"], queryFn: () => unwrap(client.GET("/api/recalls")) });
export const phenologyQuery = queryOptions({ queryKey: ["phenology"], queryFn: () => unwrap(client.GET("/api/phenology")) });

export const planQuery = (asked: PlanAsked) =>
  queryOptions({
    queryKey: ["plan", asked],
    queryFn: () =>
      unwrap(
        client.GET("/api/plan", {
          params: {
            query: {
              ...(asked.day && { day: asked.day }),
              "sites[]": asked.sites,
              "hopes[]": asked.hopes,
              "skip[]": asked.skip,
              "done[]": asked.done,
              latitude: asked.latitude,
              longitude: asked.longitude,
              fromLatitude: asked.at?.[0] ?? null,
              fromLongitude: asked.at?.[1] ?? null,
              zone: asked.zone,
            },
          },
        }),
      ),
    placeholderData: (before) => before,
  });

export const feedQuery = queryOptions({
  queryKey: ["feed"],
  queryFn: () => unwrap(client.GET("/api/calendar")),
  staleTime: Number.POSITIVE_INFINITY,
});

export const weatherQuery = (site: string) =>
  queryOptions({ queryKey: ["weather", site], queryFn: () => unwrap(client.GET("/api/sites/{id}/weather", ofTree(site))) });
/** Walks through places, and one of them with its sheets. */
export const surveysQuery = queryOptions({ queryKey: ["surveys"], queryFn: () => unwrap(client.GET("/api/surveys")) });
export const surveyQuery = (id: string) =>
  queryOptions({ queryKey: ["survey", id], queryFn: () => unwrap(client.GET("/api/surveys/{id}", ofTree(id))), retry: false });
/** Pastures on a day; without one, today. */
export const pasturesQuery = (day = "") =>
  queryOptions({
    queryKey: ["pastures", day],
    queryFn: () => unwrap(client.GET("/api/pastures", { params: { query: day ? { day } : {} } })),
    placeholderData: keepPreviousData,
  });
const STORMS_KEPT = "storms-kept";
/** Rounds after storms. What was fetched last stays readable where there is no connection: that is where they are walked. */
export const stormsQuery = queryOptions({
  queryKey: ["storms"],
  queryFn: async () => {
    try {
      const storms = await unwrap(client.GET("/api/storms"));
      localStorage.setItem(STORMS_KEPT, JSON.stringify(storms));
      return storms;
    } catch (e) {
      const kept = localStorage.getItem(STORMS_KEPT);
      if (kept === null || !(e instanceof Problem) || (e.status > 0 && e.status < 500)) throw e;
      return JSON.parse(kept) as Schemas["StormsView"];
    }
  },
});
export const treeStormsQuery = (id: string) =>
  queryOptions({ queryKey: ["tree", id, "storms"], queryFn: () => unwrap(client.GET("/api/specimens/{id}/storms", ofTree(id))) });
export const treeHealthQuery = (id: string) =>
  queryOptions({ queryKey: ["tree", id, "health"], queryFn: () => unwrap(client.GET("/api/specimens/{id}/health", ofTree(id))) });
export const careQuery = (id: string) =>
  queryOptions({ queryKey: ["care", id], queryFn: () => unwrap(client.GET("/api/flora/taxa/{id}/care", { params: { path: { id } } })) });
/** What a group meets at a place on a day; allergies without names. */
export const dayHazardsQuery = (site: string, day: string, allergies: string[]) =>
  queryOptions({
    queryKey: ["day-hazards", site, day, allergies.join()],
    queryFn: () =>
      unwrap(
        client.GET("/api/hazards/day", {
          params: { query: { site, ...(day && { day }), ...(allergies.length > 0 && { allergies: allergies.join() }) } },
        }),
      ),
    enabled: site !== "",
    placeholderData: keepPreviousData,
  });
export const trustQuery = queryOptions({ queryKey: ["trust"], queryFn: () => unwrap(client.GET("/api/trust")) });
export const groupsQuery = queryOptions({ queryKey: ["groups"], queryFn: () => unwrap(client.GET("/api/groups")) });
export const adoptedQuery = queryOptions({ queryKey: ["adopted"], queryFn: () => unwrap(client.GET("/api/adopted")) });
