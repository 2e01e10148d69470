import { type ComponentType, type LazyExoticComponent, lazy, useState } from "react";

export type Paged = { loaded: ComponentType | null; later: LazyExoticComponent<ComponentType>; ahead: () => void };

/** A page with code of its own. */
export function page(load: () => Promise<{ default: ComponentType }>): Paged {
  const fetched = async () => {
    const module = await load();
    paged.loaded = module.default;
    return module;
  };
  // what cannot be fetched ahead is fetched again when it is drawn, and says so there
  const paged: Paged = { loaded: null, later: lazy(fetched), ahead: () => void fetched().catch(() => undefined) };
  return paged;
}

/**
 * One that has been loaded already is drawn at once: what is loaded lazily shows its stand-in first, and a stand-in that was shown stays for
 * a third of a second. For as long as it is shown it is the same one, or what is typed in it would be lost.
 */
export function Page({ of }: { of: Paged }) {
  const [Now] = useState<ComponentType>(() => of.loaded ?? of.later);
  return <Now />;
}
