import { Dialog as RadixDialog, ToggleGroup } from "radix-ui";
import type { ButtonHTMLAttributes, ReactNode } from "react";

type ButtonProps = ButtonHTMLAttributes<HTMLButtonElement> & { tone?: "ink" | "plain" | "leaf" | "quiet" };

export function Button({ tone = "plain", className = "", type = "button", ...rest }: ButtonProps) {
  const look = {
    ink: "border-ink bg-ink text-ground hover:opacity-90",
    leaf: "border-leaf bg-leaf text-sheet hover:opacity-90",
    plain: "border-ink bg-sheet hover:bg-pressed",
    quiet: "border-transparent underline decoration-1 underline-offset-4 hover:bg-pressed",
  }[tone];
  return (
    <button
      type={type}
      className={`inline-flex min-h-11 items-center justify-center gap-2 rounded-sm border px-3 whitespace-nowrap py-1.5 font-semibold disabled:opacity-60 ${look} ${className}`}
      {...rest}
    />
  );
}

/** The primitive takes an empty value for none; here it can be one of the words. */
const NOTHING = "-";

/** One of a few words. */
export function Choice<T extends string>(p: {
  label: string;
  value: T;
  options: readonly { value: T; label: string }[];
  onChange: (value: T) => void;
  hideLabel?: boolean;
}) {
  return (
    <div>
      <div className={p.hideLabel ? "sr-only" : "mb-1 text-sm text-faded"}>{p.label}</div>
      <ToggleGroup.Root
        type="single"
        value={p.value || NOTHING}
        onValueChange={(v) => v && p.onChange((v === NOTHING ? "" : v) as T)}
        aria-label={p.label}
        className="flex flex-wrap gap-1"
      >
        {p.options.map((o) => (
          <ToggleGroup.Item
            key={o.value}
            value={o.value || NOTHING}
            className="min-h-11 min-w-11 rounded-sm border border-ink px-2.5 data-[state=on]:bg-ink data-[state=on]:text-ground data-[state=off]:bg-sheet data-[state=off]:hover:bg-pressed"
          >
            {o.label}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}

/** Several of a few words. */
export function Choices(p: {
  label: string;
  value: string[];
  options: readonly { value: string; label: string }[];
  onChange: (value: string[]) => void;
}) {
  return (
    <div>
      <div className="mb-1 text-sm text-faded">{p.label}</div>
      <ToggleGroup.Root type="multiple" value={p.value} onValueChange={p.onChange} aria-label={p.label} className="flex flex-wrap gap-1.5">
        {p.options.map((o) => (
          <ToggleGroup.Item
            key={o.value}
            value={o.value}
            className="min-h-11 rounded-sm border border-ink px-3 data-[state=on]:bg-ink data-[state=on]:text-ground data-[state=off]:bg-sheet"
          >
            <span aria-hidden="true">{p.value.includes(o.value) ? "✓ " : ""}</span>
            {o.label}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}

/** Not on Close, where a typed space would shut it: in the first field, or on the title where a field would call up a keyboard over it. */
function startInside(event: Event): void {
  const dialog = event.currentTarget as HTMLElement;
  const field = matchMedia("(pointer: fine)").matches ? dialog.querySelector<HTMLElement>("input:not([type=hidden]), textarea, select") : null;
  const start = field ?? dialog.querySelector<HTMLElement>("h2");
  if (!start) return;
  event.preventDefault();
  start.focus();
}

export function Dialog(p: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  description?: string;
  children: ReactNode;
  wide?: boolean;
}) {
  return (
    <RadixDialog.Root open={p.open} onOpenChange={p.onOpenChange}>
      <RadixDialog.Portal>
        <RadixDialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <RadixDialog.Content
          className={`fixed inset-x-0 bottom-0 z-50 max-h-[92dvh] overflow-y-auto border-t-4 border-ink bg-sheet p-4 wide:inset-auto wide:top-1/2 wide:left-1/2 wide:max-h-[86dvh] wide:-translate-x-1/2 wide:-translate-y-1/2 wide:border wide:p-6 ${p.wide ? "wide:w-[52rem]" : "wide:w-[34rem]"}`}
          onOpenAutoFocus={startInside}
          {...(p.description ? {} : { "aria-describedby": undefined })}
        >
          <div className="double-rule mb-4 flex items-start justify-between gap-4 pb-2">
            <RadixDialog.Title tabIndex={-1} className="text-xl outline-none">
              {p.title}
            </RadixDialog.Title>
            <RadixDialog.Close className="-mt-1 min-h-11 min-w-11 rounded-sm border border-ink px-2">Close</RadixDialog.Close>
          </div>
          {p.description && <RadixDialog.Description className="mb-4 text-faded">{p.description}</RadixDialog.Description>}
          {p.children}
        </RadixDialog.Content>
      </RadixDialog.Portal>
    </RadixDialog.Root>
  );
}

/** What is wider than the page is moved sideways, by keyboard too. */
export const Sideways = ({ label, children }: { label: string; children: ReactNode }) => (
  // biome-ignore lint/a11y/noNoninteractiveTabindex: only what has the focus is moved by the arrow keys
  <section className="overflow-x-auto" aria-label={label} tabIndex={0}>
    {children}
  </section>
);

export const fieldClass = "min-h-11 w-full rounded-sm border border-ink bg-sheet px-3";

export function Field(p: { label: string; error?: string | undefined; hint?: string | undefined; children: ReactNode }) {
  return (
    // The control is given as a child, so the label wraps it.
    // biome-ignore lint/a11y/noLabelWithoutControl: see above
    <label className="block">
      <span className="mb-1 block text-sm text-faded">{p.label}</span>
      {p.children}
      {p.hint && <span className="mt-1 block text-sm text-faded">{p.hint}</span>}
      {p.error && <span className="mt-1 block font-semibold text-berry">{p.error}</span>}
    </label>
  );
}

/** What went wrong, and a way on. */
export function Trouble({ error, retry }: { error: Error; retry?: () => void }) {
  return (
    <div role="alert" className="border-2 border-berry bg-sheet p-3">
      <p className="font-semibold">{error.message}</p>
      {retry && (
        <Button className="mt-2" onClick={retry}>
          Try again
        </Button>
      )}
    </div>
  );
}

export const Loading = ({ what }: { what: string }) => (
  <p role="status" className="p-4 text-faded">
    Fetching {what} …
  </p>
);

/** Scientific names in the book face. */
export const Name = ({ children }: { children: ReactNode }) => <em className="font-book">{children}</em>;
