import { useQuery } from "@tanstack/react-query";
import { Dialog as RadixDialog } from "radix-ui";
import { type KeyboardEvent, useDeferredValue, useEffect, useId, useState } from "react";
import { useLocation, useNavigate } from "react-router";
import type { Schemas } from "../../api/client";
import { findQuery } from "../../api/queries";
import { Name, Trouble } from "../../ui/controls";
import { HarmMark } from "../../ui/marks";
import { capital } from "../../words/text";
import { recent, remember } from "./recent";

type Line = { to: string; key: string; group: string; kind?: Schemas["FoundKindView"]; title: string; beside: string };

const PLACES: { to: string; title: string }[] = [
  { to: "/examine", title: "Examine a tree" },
  { to: "/along", title: "Taken along" },
  { to: "/sheet", title: "A sheet of paper" },
  { to: "/plan", title: "A day out" },
  { to: "/compare", title: "Side by side" },
  { to: "/harvests", title: "What was taken" },
  { to: "/batches", title: "In the making" },
  { to: "/recipes", title: "Recipes" },
  { to: "/reckon", title: "Reckoning" },
  { to: "/measure", title: "Measuring" },
  { to: "/exchange", title: "Files in and out" },
  { to: "/terms", title: "Terms" },
];

/** One search over everything, from anywhere: by press, or by the key “/”. */
export function Find() {
  const [open, setOpen] = useState(false);
  const { pathname } = useLocation();
  useEffect(() => {
    const listen = (event: globalThis.KeyboardEvent) => {
      const typing = (event.target as HTMLElement).closest("input, textarea, select, [role=dialog]") !== null;
      const asked = (event.key === "/" && !typing) || (event.key === "k" && (event.ctrlKey || event.metaKey));
      if (!asked || event.altKey) return;
      event.preventDefault();
      setOpen(true);
    };
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, []);
  useEffect(() => {
    // the heading comes with what the page fetches
    const timer = setTimeout(() => remember(pathname, document.querySelector("main h1")?.textContent?.trim() ?? ""), 1500);
    return () => clearTimeout(timer);
  }, [pathname]);
  return (
    <RadixDialog.Root open={open} onOpenChange={setOpen}>
      <RadixDialog.Trigger
        className="flex min-h-11 min-w-9 items-center justify-center rounded-sm font-semibold wide:px-2 underline-offset-4 hover:underline"
        aria-keyshortcuts="/"
      >
        <span className="max-wide:sr-only">Find</span>
        <svg
          viewBox="0 0 24 24"
          width="22"
          height="22"
          className="wide:hidden"
          aria-hidden="true"
          fill="none"
          stroke="currentColor"
          strokeWidth="2.4"
        >
          <circle cx="10" cy="10" r="6" />
          <path d="M14.5 14.5 21 21" strokeLinecap="round" />
        </svg>
      </RadixDialog.Trigger>
      <RadixDialog.Portal>
        <RadixDialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <RadixDialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-0 top-0 z-50 flex max-h-dvh flex-col border-b-4 border-ink bg-sheet p-3 wide:inset-x-auto wide:top-[8dvh] wide:left-1/2 wide:max-h-[80dvh] wide:w-[44rem] wide:-translate-x-1/2 wide:border wide:p-4"
        >
          <RadixDialog.Title className="sr-only">Find</RadixDialog.Title>
          <Inside close={() => setOpen(false)} />
        </RadixDialog.Content>
      </RadixDialog.Portal>
    </RadixDialog.Root>
  );
}

function Inside({ close }: { close: () => void }) {
  const [typed, setTyped] = useState("");
  const sought = useDeferredValue(typed.trim());
  const found = useQuery({ ...findQuery(sought), enabled: sought !== "" });
  const [at, setAt] = useState(0);
  const navigate = useNavigate();
  const list = useId();
  const lines = sought === "" ? before() : found.data ? linesOf(found.data, sought) : [];
  const chosen = Math.min(at, lines.length - 1);
  const go = (line: Line | undefined) => {
    if (!line) return;
    close();
    navigate(line.to);
  };
  const press = (event: KeyboardEvent) => {
    const by = event.key === "ArrowDown" ? 1 : event.key === "ArrowUp" ? -1 : 0;
    if (by !== 0) {
      event.preventDefault();
      const next = lines.length === 0 ? 0 : (chosen + by + lines.length) % lines.length;
      setAt(next);
      document.getElementById(`${list}-${next}`)?.scrollIntoView({ block: "nearest" });
    } else if (event.key === "Enter") {
      event.preventDefault();
      go(lines[chosen]);
    }
  };
  return (
    <>
      <div className="flex gap-2">
        <input
          type="search"
          role="combobox"
          aria-label="Find kinds, trees, places, pages"
          aria-expanded={lines.length > 0}
          aria-controls={list}
          aria-activedescendant={lines.length > 0 ? `${list}-${chosen}` : undefined}
          autoComplete="off"
          maxLength={100}
          className="min-h-12 w-full rounded-sm border border-ink bg-ground px-3 text-lg"
          placeholder="elder · white hanging berries, alternate · cattle · M-01"
          value={typed}
          onChange={(e) => {
            setTyped(e.target.value);
            setAt(0);
          }}
          onKeyDown={press}
        />
        <RadixDialog.Close className="min-h-12 shrink-0 rounded-sm border border-ink px-3">Close</RadixDialog.Close>
      </div>
      {found.isError && sought !== "" && <Trouble error={found.error} retry={() => void found.refetch()} />}
      <div id={list} role="listbox" aria-label="Found" className="mt-2 overflow-y-auto" tabIndex={-1}>
        {lines.map((line, i) => (
          <div key={line.key}>
            {line.group !== lines[i - 1]?.group && (
              <p role="presentation" className="border-b border-ink pt-2 text-sm font-semibold text-faded">
                {line.group}
              </p>
            )}
            {/* biome-ignore lint/a11y/useKeyWithClickEvents: the keys are those of the field, as in every combobox */}
            <div
              id={`${list}-${i}`}
              role="option"
              tabIndex={-1}
              aria-selected={i === chosen}
              onClick={() => go(line)}
              onPointerMove={() => setAt(i)}
              className="rule-b flex min-h-11 cursor-pointer flex-wrap items-center gap-x-3 px-2 py-1 aria-selected:bg-pressed"
            >
              <strong>{line.title}</strong>
              {line.kind && <Name>{line.kind.name}</Name>}
              {line.kind && <HarmMark severity={line.kind.severity} harms={line.kind.harms} />}
              {line.beside && <span className="w-full text-sm text-faded">{line.beside}</span>}
            </div>
          </div>
        ))}
      </div>
      {sought !== "" && found.data && lines.length === 0 && (
        <p role="status" className="py-3">
          Nothing answers to that. Every word has to meet something: take one away, or say it otherwise.
        </p>
      )}
      {sought !== "" && found.isPending && <p className="py-3 text-faded">Looking …</p>}
    </>
  );
}

/** Before anything is typed: what was looked at last, and where one can go. */
function before(): Line[] {
  return [
    ...recent().map((r) => ({ to: r.to, key: `r${r.to}`, group: "Looked at last", title: r.title, beside: "" })),
    ...PLACES.map((p) => ({ to: p.to, key: p.to, group: "Pages", title: p.title, beside: "" })),
  ];
}

function linesOf(found: Schemas["FindView"], sought: string): Line[] {
  const words = sought.toLowerCase().split(/\s+/);
  return [
    ...found.kinds.map((kind) => ({
      to: `/species/${kind.taxon}`,
      key: kind.taxon,
      group: "Kinds",
      kind,
      title: capital(kind.commonName),
      beside: kind.why.join(" · "),
    })),
    ...found.examinations.map((e) => ({
      to: `/examine/${e.id}`,
      key: e.id,
      group: "Begun and not signed",
      title: `${e.tag}${e.claim ? `: ${e.claim}` : ""}`,
      beside: e.site,
    })),
    ...found.trees.map((t) => ({
      to: `/trees/${t.id}`,
      key: t.id,
      group: "Trees",
      title: t.tag,
      beside: [t.site.name, t.whereabouts, t.kind && `held to be ${t.kind}`].filter(Boolean).join(" · "),
    })),
    ...found.places.map((s) => ({ to: `/places/${s.id}`, key: s.id, group: "Places", title: s.name, beside: s.owner })),
    ...PLACES.filter((p) => words.every((w) => p.title.toLowerCase().includes(w))).map((p) => ({
      to: p.to,
      key: p.to,
      group: "Pages",
      title: p.title,
      beside: "",
    })),
  ];
}
