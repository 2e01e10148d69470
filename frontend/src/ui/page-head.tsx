import { Field, fieldClass } from "./controls";

/** The head of a long list: what it is, in a line, and a field to find things in it. */
export function PageHead(p: { title: string; lead: string; sought: string; onSeek: (words: string) => void }) {
  return (
    <div className="double-rule flex flex-wrap items-end justify-between gap-3 pb-2">
      <div>
        <h1 className="text-2xl">{p.title}</h1>
        <p className="text-sm text-faded">{p.lead}</p>
      </div>
      <div className="w-full wide:w-64">
        <Field label="Find">
          <input className={fieldClass} value={p.sought} onChange={(e) => p.onSeek(e.target.value)} />
        </Field>
      </div>
    </div>
  );
}
