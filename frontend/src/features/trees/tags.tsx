import { useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { QRCodeSVG } from "qrcode.react";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { EVERY_TREE, sitesQuery, treeQuery, treesQuery } from "../../api/queries";
import { Button, Choice, Field, fieldClass } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { TreesNav } from "./trees-nav";

/** Width and height in millimetres: what weatherproof blanks and labels come in (common practice). */
const SIZES = {
  small: { label: "40 × 20 mm", width: 40, height: 20, code: 15 },
  middle: { label: "60 × 30 mm", width: 60, height: 30, code: 24 },
  large: { label: "85 × 55 mm", width: 85, height: 55, code: 40 },
} as const;

/** Tags to print: the tag in large letters, and its page as a square code. Nothing of the kind: whoever reads it must look. */
export default function Tags() {
  const [params, setParams] = useSearchParams();
  const one = params.get("tree") ?? "";
  const sites = useQuery(sitesQuery);
  const [size, setSize] = useState<keyof typeof SIZES>("middle");
  const [words, setWords] = useState("");
  const site = params.get("site") ?? "";
  const tree = useQuery(treeQuery(one));
  const found = useInfiniteQuery({ ...treesQuery({ ...EVERY_TREE, site, q: words.trim() }), enabled: one === "" });
  const trees = one ? (tree.data ? [tree.data] : []) : (found.data?.pages.flatMap((p) => p.trees) ?? []);
  const s = SIZES[size];
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6 print:p-0">
      <div className="print:hidden">
        <PageHead
          title="Tags to print"
          lead="On weatherproof film or engraver’s blanks. The code opens the tree’s page; the kind does not stand on it, for whoever reads it must look."
        />
        <TreesNav />
        <div className="mt-3 flex flex-wrap items-end gap-3">
          <Choice
            label="Size"
            value={size}
            options={(Object.keys(SIZES) as (keyof typeof SIZES)[]).map((value) => ({ value, label: SIZES[value].label }))}
            onChange={setSize}
          />
          {one === "" && (
            <>
              <Field label="Place">
                <select
                  className={fieldClass}
                  value={site}
                  onChange={(e) => setParams(e.target.value ? { site: e.target.value } : {}, { replace: true })}
                >
                  <option value="">all</option>
                  {sites.data?.map((x) => (
                    <option key={x.id} value={x.id}>
                      {x.name}
                    </option>
                  ))}
                </select>
              </Field>
              <Field label="Tag or words">
                <input type="search" className={fieldClass} value={words} onChange={(e) => setWords(e.target.value)} />
              </Field>
            </>
          )}
          {one !== "" && <Button onClick={() => setParams({}, { replace: true })}>All trees</Button>}
          <Button tone="ink" disabled={trees.length === 0} onClick={() => window.print()}>
            Print {trees.length === 1 ? "it" : `these ${trees.length}`}
          </Button>
          {found.hasNextPage && (
            <Button disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
              More trees
            </Button>
          )}
        </div>
      </div>
      <ul className="mt-4 flex flex-wrap gap-[3mm] print:m-0">
        {trees.map((t) => (
          <li
            key={t.id}
            data-tag={t.tag}
            className="flex break-inside-avoid items-center gap-[2mm] overflow-hidden border border-black bg-white text-black"
            style={{ width: `${s.width}mm`, height: `${s.height}mm`, padding: "2mm" }}
          >
            <QRCodeSVG
              value={`${window.location.origin}/trees/${t.id}`}
              level="Q"
              style={{ width: `${s.code}mm`, height: `${s.code}mm`, flexShrink: 0 }}
              title={`The page of ${t.tag}`}
            />
            <span className="min-w-0">
              <strong
                className="block leading-none"
                style={{ fontSize: `${Math.min(s.height / 3.2, (s.width - s.code - 7) / (t.tag.length * 0.62))}mm` }}
              >
                {t.tag}
              </strong>
              {size !== "small" && (
                <span className="block truncate" style={{ fontSize: size === "large" ? "4mm" : "2.6mm" }}>
                  {t.site.name}
                </span>
              )}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
