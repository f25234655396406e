import { lazy, useState, type ComponentType } from "react";

interface LazyView {
  View: ComponentType;
  /** Loads it before it is shown. */
  load(): Promise<unknown>;
}

/** A view that is loaded when it is shown first. One that was loaded before is there at once, with nothing in between. */
export function lazyView(load: () => Promise<ComponentType>): LazyView {
  let known: ComponentType | null = null;
  const loaded = async () => ({ default: (known = await load()) });
  const Later = lazy(loaded);
  function View() {
    // Put up as the one, it does not become the other.
    const [Shown] = useState<ComponentType>(() => known ?? Later);
    return <Shown />;
  }
  return { View, load: loaded };
}
