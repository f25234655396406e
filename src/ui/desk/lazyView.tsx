import { useEffect, useState, type ComponentType } from "react";

export interface LazyView {
  View: ComponentType;
  /** Loads it before it is shown. */
  load(): Promise<unknown>;
}

/**
 * A view that is loaded when it is shown first. One that was loaded before is there at once; one that cannot be loaded
 * throws, and is asked for again when it is put up again.
 */
export function lazyView(load: () => Promise<ComponentType>): LazyView {
  let known: ComponentType | null = null;
  const loaded = async () => (known ??= await load());
  function View() {
    const [Shown, setShown] = useState(() => known);
    const [failure, setFailure] = useState<Error | null>(null);
    useEffect(() => {
      if (!Shown) loaded().then((view) => setShown(() => view), setFailure);
    }, [Shown]);
    if (failure) throw failure;
    return Shown && <Shown />;
  }
  return { View, load: loaded };
}
