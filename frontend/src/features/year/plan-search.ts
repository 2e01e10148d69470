/** What a plan is asked for; it stands in the address, so that it can be passed on and outlives a reload. */
export type PlanAsked = {
  day: string;
  sites: string[];
  hopes: string[];
  skip: string[];
  done: string[];
  latitude: number | null;
  longitude: number | null;
  /** Where one is on the way: latitude and longitude. */
  at: [number, number] | null;
  zone: string;
};

const number = (text: string | null): number | null => (text === null || text === "" || !Number.isFinite(Number(text)) ? null : Number(text));

const pair = (text: string | null): [number, number] | null => {
  const [latitude, longitude] = (text ?? "").split(",").map((part) => number(part));
  return latitude == null || longitude == null ? null : [latitude, longitude];
};

export const planOf = (params: URLSearchParams): PlanAsked => ({
  day: params.get("day") ?? "",
  sites: params.getAll("site"),
  hopes: params.getAll("hope"),
  skip: params.getAll("skip"),
  done: params.getAll("done"),
  latitude: number(params.get("lat")),
  longitude: number(params.get("lon")),
  at: pair(params.get("at")),
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone || "UTC",
});

export function planSearch(asked: PlanAsked): string {
  const params = new URLSearchParams();
  if (asked.day) params.set("day", asked.day);
  for (const [key, values] of [
    ["site", asked.sites],
    ["hope", asked.hopes],
    ["skip", asked.skip],
    ["done", asked.done],
  ] as const)
    for (const value of values) params.append(key, value);
  if (asked.latitude !== null && asked.longitude !== null) {
    params.set("lat", String(asked.latitude));
    params.set("lon", String(asked.longitude));
  }
  if (asked.at) params.set("at", asked.at.join(","));
  return params.toString();
}

/** The same question in the names of the API. */
export const apiSearch = (asked: PlanAsked): string => {
  const query = new URLSearchParams({ ...(asked.day && { day: asked.day }), zone: asked.zone });
  for (const site of asked.sites) query.append("sites[]", site);
  for (const hope of asked.hopes) query.append("hopes[]", hope);
  for (const tree of asked.skip) query.append("skip[]", tree);
  for (const tree of asked.done) query.append("done[]", tree);
  if (asked.latitude !== null && asked.longitude !== null) {
    query.set("latitude", String(asked.latitude));
    query.set("longitude", String(asked.longitude));
  }
  return query.toString();
};
