import { useState } from "react";
import type { Flora } from "../../api/client";
import { Button, Dialog, Field, fieldClass, Name, Trouble } from "../../ui/controls";
import { capital } from "../../words/text";

type Props = {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  flora: Flora;
  current: { taxon: string; part: string } | null;
  onAsk: (taxon: string, part: string) => void;
  onDrop: () => void;
  error?: Error | null;
};

/** What is hoped for: a part of a taxon. The hunch is what the tool then tries to break. */
export function ClaimDialog(p: Props) {
  const [sought, setSought] = useState("");
  const words = sought.trim().toLowerCase();
  const taxa = p.flora.taxa.filter((t) => `${t.name} ${t.commonName} ${t.parts.map((x) => x.label).join(" ")}`.toLowerCase().includes(words));
  return (
    <Dialog
      open={p.open}
      onOpenChange={p.onOpenChange}
      title="Which part do you hope for?"
      description="A hunch is welcome: everything scored is held against it. Nothing is taken before the gate opens."
      wide
    >
      <Field label="Find">
        <input className={fieldClass} value={sought} onChange={(e) => setSought(e.target.value)} placeholder="elder, flower, Abies …" />
      </Field>
      {p.error && <Trouble error={p.error} />}
      <ul className="mt-3">
        {taxa.map((t) => (
          <li key={t.id} className="rule-b flex flex-wrap items-center justify-between gap-2 py-1.5">
            <span>
              <strong>{capital(t.commonName)}</strong> <Name>{t.name}</Name>
            </span>
            <span className="flex flex-wrap gap-1.5">
              {[...t.parts.filter((x) => !x.harmful), ...t.parts.filter((x) => x.harmful)].map((part) => (
                <Button
                  key={part.id}
                  tone={p.current?.taxon === t.id && p.current.part === part.id ? "ink" : "plain"}
                  onClick={() => p.onAsk(t.id, part.id)}
                  aria-label={`${t.commonName}, ${part.label}${part.harmful ? ", never taken" : ""}`}
                >
                  {part.label}
                  {part.harmful && <span className="text-sm font-bold text-berry">never taken</span>}
                </Button>
              ))}
            </span>
          </li>
        ))}
        {taxa.length === 0 && <li className="py-3 text-faded">Nothing in this flora goes by that.</li>}
      </ul>
      {p.current && (
        <Button className="mt-3" onClick={p.onDrop}>
          Ask for nothing
        </Button>
      )}
    </Dialog>
  );
}
