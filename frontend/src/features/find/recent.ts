/** What was looked at last on this device, the latest first. Titles of pages only; nothing of it goes anywhere. */
export type Recent = { to: string; title: string };

const KEY = "recent";
const MOST = 8;
const KEPT = /^\/(species|trees|examine|places|batches|recipes|decisions)\/[^/]+$/;

export function recent(): Recent[] {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? "[]") as unknown;
    return Array.isArray(kept) ? kept.filter((r): r is Recent => typeof r?.to === "string" && typeof r?.title === "string") : [];
  } catch {
    return [];
  }
}

/** A page of its own, remembered by its heading. */
export function remember(to: string, title: string) {
  if (!KEPT.test(to) || title === "") return;
  localStorage.setItem(KEY, JSON.stringify([{ to, title }, ...recent().filter((r) => r.to !== to)].slice(0, MOST)));
}

export const forget = () => localStorage.removeItem(KEY);
