import { useQuery } from "@tanstack/react-query";
import { QRCodeSVG } from "qrcode.react";
import { useState } from "react";
import { useParams } from "react-router";
import { batchQuery } from "../../api/queries";
import { Button, Choice, Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { DOUBT } from "../../words/batches";
import { dayWords } from "../../words/text";

/** Millimetres of usual label sheets of A4: columns × rows, as they come in shops (common practice). */
const SHEETS = {
  "2x4": { label: "99 × 68 mm, eight to a sheet", width: 99, height: 67.7, code: 24 },
  "2x7": { label: "99 × 38 mm, fourteen to a sheet", width: 99, height: 38.1, code: 22 },
  "3x8": { label: "70 × 37 mm, twenty-four to a sheet", width: 70, height: 37, code: 18 },
} as const;

/** Labels for jars: contents, kind in Latin, tree, date, decision, what to mind, allergens, best before, and a code. */
export default function Labels() {
  const { id = "" } = useParams();
  const batch = useQuery(batchQuery(id));
  const [size, setSize] = useState<keyof typeof SHEETS>("2x4");
  if (batch.isPending) return <Loading what="the labels" />;
  if (batch.isError) return <Trouble error={batch.error} />;
  const b = batch.data;
  const s = SHEETS[size];
  const jars = b.doubt ? [] : b.units.filter((u) => !u.recalledAt);
  const kinds = [...new Set(b.sources.map((x) => x.latin))].join(", ");
  const trees = [...new Set(b.sources.map((x) => x.tag))].join(", ");
  const decided = [...new Set(b.sources.map((x) => dayWords(x.decidedOn)))].join(", ");
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6 print:p-0">
      <div className="print:hidden">
        <PageHead title={`Labels: ${b.name}`} lead="The code opens what the jar is of: the trees, the decisions, the people." />
        {b.doubt && (
          <p role="alert" className="mt-2 font-semibold text-berry">
            {DOUBT[b.doubt]} Nothing of this is labelled.
          </p>
        )}
        <div className="mt-3 flex flex-wrap items-end gap-3">
          <Choice
            label="Sheet"
            value={size}
            options={(Object.keys(SHEETS) as (keyof typeof SHEETS)[]).map((value) => ({ value, label: SHEETS[value].label }))}
            onChange={setSize}
          />
          <Button tone="ink" disabled={jars.length === 0} onClick={() => window.print()}>
            Print {jars.length === 1 ? "it" : `these ${jars.length}`}
          </Button>
        </div>
      </div>
      <ul className="mt-4 flex flex-wrap print:m-0">
        {jars.map((u) => (
          <li
            key={u.id}
            data-label={u.number}
            className="flex break-inside-avoid gap-[2mm] overflow-hidden border border-black bg-white text-black print:border-0"
            style={{ width: `${s.width}mm`, height: `${s.height}mm`, padding: "3mm", fontSize: size === "2x4" ? "3.3mm" : "2.5mm", lineHeight: 1.25 }}
          >
            <QRCodeSVG
              value={`${window.location.origin}/jars/${u.id}`}
              level="M"
              style={{ width: `${s.code}mm`, height: `${s.code}mm`, flexShrink: 0 }}
              title={`Jar ${u.number} of ${b.name}`}
            />
            <span className="min-w-0">
              <strong className="block" style={{ fontSize: size === "2x4" ? "5.5mm" : "4mm" }}>
                {u.contents}
              </strong>
              <em className="block font-book">{kinds}</em>
              <span className="block">
                Tree {trees}; cleared {decided}
              </span>
              <span className="block">
                Made {dayWords(u.madeOn)}, jar {u.number}. <strong>Best before {dayWords(u.bestBefore)}</strong>
              </span>
              {b.allergens.length > 0 && <strong className="block">Allergens: {b.allergens.join(", ")}</strong>}
              {size === "2x4" && b.cautions.length > 0 && <span className="block">{b.cautions.join(" ")}</span>}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
