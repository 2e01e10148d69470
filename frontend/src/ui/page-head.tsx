import type { ReactNode } from "react";
import { Field, fieldClass } from "./controls";

/** The head of a long list: what it is, in a line, if it is long a field to find things in it, and what else chooses the list. */
export function PageHead(p: { title: string; lead: string; sought?: string; onSeek?: (words: string) => void; children?: ReactNode }) {
  return (
    <div className="double-rule space-y-3 pb-3">
      <div>
        <h1 className="text-2xl">{p.title}</h1>
        <p className="text-sm text-faded">{p.lead}</p>
      </div>
      {(p.onSeek || p.children) && (
        <div className="grid gap-3 wide:grid-cols-[1fr_1fr] print:hidden">
          {p.onSeek && (
            <Field label="Find">
              <input className={fieldClass} value={p.sought ?? ""} onChange={(e) => p.onSeek?.(e.target.value)} />
            </Field>
          )}
          {p.children}
        </div>
      )}
    </div>
  );
}
