import { infiniteQueryOptions, keepPreviousData, queryOptions, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { client, type Examination, type Schemas, unwrap } from "./client";

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
/** Trees page by page, those in which every word is found. */
export const treesQuery = (words: string) =>
  infiniteQueryOptions({
    queryKey: ["specimens", words],
    queryFn: ({ pageParam }) => unwrap(client.GET("/api/specimens", { params: { query: { q: words, after: pageParam } } })),
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
export const sitesQuery = queryOptions({ queryKey: ["sites"], queryFn: () => unwrap(client.GET("/api/sites")) });
export const taxonQuery = (id: string, flora?: string) =>
  queryOptions({
    queryKey: ["taxon", id, flora ?? ""],
    queryFn: () => unwrap(client.GET("/api/flora/taxa/{id}", { params: { path: { id }, query: flora ? { flora } : {} } })),
  });
export const examinationQuery = (id: string) =>
  queryOptions({
    queryKey: ["examination", id],
    queryFn: () => unwrap(client.GET("/api/examinations/{id}", { params: { path: { id } } })),
    retry: false,
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

export const contrastQuery = (id: string, one: string, other: string) =>
  queryOptions({
    queryKey: ["examination", id, "evidence", one, other],
    queryFn: () => unwrap(client.GET("/api/examinations/{id}/evidence/{for}/{against}", { params: { path: { id, for: one, against: other } } })),
  });

export const useSession = () => useQuery(sessionQuery);

/** Everything that can be done to one examination; each answer is the whole examination anew. */
export function useExamination(id: string) {
  const queries = useQueryClient();
  const params = { path: { id } };
  const keep = (examination: Examination) => {
    queries.setQueryData(["examination", id], examination);
    void queries.invalidateQueries({ queryKey: ["examination", id, "evidence"] });
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
      mutationFn: (body: Schemas["NewHarvest"]) => unwrap(client.POST("/api/examinations/{id}/harvests", { params, body })),
      onSuccess: (examination) => {
        keep(examination);
        void queries.invalidateQueries({ queryKey: ["taxon"] });
      },
    }),
  };
}
