/** What a plan is asked for; it stands in the address, so that it can be passed on and outlives a reload. */
export type PlanAsked = {
  day: string;
  sites: string[];
  skip: string[];
  done: string[];
  latitude: number | null;
  longitude: number | null;
  zone: string;
};

const number = (text: string | null): number | null => (text === null || text === "" || !Number.isFinite(Number(text)) ? null : Number(text));

export const planOf = (params: URLSearchParams): PlanAsked => ({
  day: params.get("day") ?? "",
  sites: params.getAll("site"),
  skip: params.getAll("skip"),
  done: params.getAll("done"),
  latitude: number(params.get("lat")),
  longitude: number(params.get("lon")),
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone || "UTC",
});

export function planSearch(asked: PlanAsked): string {
  const params = new URLSearchParams();
  if (asked.day) params.set("day", asked.day);
  for (const [key, values] of [
    ["site", asked.sites],
    ["skip", asked.skip],
    ["done", asked.done],
  ] as const)
    for (const value of values) params.append(key, value);
  if (asked.latitude !== null && asked.longitude !== null) {
    params.set("lat", String(asked.latitude));
    params.set("lon", String(asked.longitude));
  }
  return params.toString();
}
