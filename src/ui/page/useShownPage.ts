/** The page in its frame: built anew where its elements are others, dressed where only its sheets are, and looked at. */
import { useCallback, useEffect, useMemo, useRef, useState, type RefObject } from "react";
import type { Conditions } from "@/core";
import type { PageGlance, PlaceView } from "@/engine/protocol";
import { showNextPage, showPage, type Shown, type ShownPage } from "@/preview/frame";
import { lookAt } from "@/preview/look";
import { unwaited, unwaitedWhile } from "../shared/unwaited";
import { useWorkspace, useWorkspaceStore } from "../workspace/context";
import type { Workspace } from "../workspace/state";
import type { WorkspaceStore } from "../workspace/store";
import { calm } from "./calm";

/** A page that stands in the frame. */
interface Built {
  page: ShownPage;
  key: string;
}

/**
 * @param onShown told of the page whenever its layout may have changed, and of none while another is built
 * @param onScroll told whenever something in it was scrolled
 */
export function useShownPage(
  frame: RefObject<HTMLIFrameElement | null>,
  onShown: (shown: Shown | null) => void,
  onScroll: () => void,
): void {
  const layout = useRef(0);
  const relayout = useCallback(
    (page: ShownPage) => {
      layout.current += 1;
      onShown({ page, layout: layout.current });
    },
    [onShown],
  );
  const { page, key } = useBuilt(frame, relayout, onShown);
  useDressed(page, key, relayout, onScroll);
  useLookedAt(page, key);
}

/** Builds the page in the frame. */
function useBuilt(
  frame: RefObject<HTMLIFrameElement | null>,
  relayout: (page: ShownPage) => void,
  onShown: (shown: null) => void,
): { page: Built | null; key: string } {
  const view = useWorkspace((state) => state.view);
  const viewNumber = useWorkspace((state) => state.viewNumber);
  const rehearsal = useWorkspace((state) => state.rehearsal);
  const built = rehearsal?.patch.document ? rehearsal.patch : null;
  const toBuild = useMemo<PageGlance | null>(
    () => (built ? { ...built, document: built.document! } : view),
    [built, view],
  );
  const key = built ? built.structure : `${viewNumber}`;
  const [page, setPage] = useState<Built | null>(null);
  const latest = useRef(toBuild);
  useEffect(() => {
    latest.current = toBuild;
  }, [toBuild]);

  const ready = view !== null;
  useEffect(() => {
    if (!ready || !latest.current) return;
    let stale = false;
    const scroll = frame.current!.contentWindow?.scrollY ?? 0;
    const { path } = latest.current.document;
    const stay = frame.current!.dataset.path === path;
    // The texts of this page are not looked for in the one before.
    if (!stay) onShown(null);
    unwaitedWhile(
      () => frame.current?.isConnected === true,
      // The same page with other elements takes the place of what was there at once.
      (stay ? showNextPage : showPage)(frame.current!, latest.current).then((next) => {
        if (stale) return;
        frame.current!.dataset.path = path;
        if (stay) next.document.defaultView!.scrollTo(0, scroll);
        setPage({ page: next, key });
        relayout(next);
      }),
    );
    return () => {
      stale = true;
    };
  }, [frame, key, ready, relayout, onShown]);
  return { page, key };
}

/** Pictures are begun once nobody has typed, or pulled at an edge, for so long, ms: in between there is no time for them. */
const afterTyping = 200;

/** What the page wears, and the conditions under which it does. */
function useDress() {
  const { sheets, overrides, states } = useWorkspace((state) => state.rehearsal?.patch ?? state.view ?? nothing);
  const conditions = useWorkspace((state) => (state.rehearsal ?? state.view)?.conditions);
  const unstyled = useWorkspace((state) => state.unstyled);
  return { sheets, overrides, states, conditions, unstyled };
}

/** Gives the page its sheets, and tells whenever its layout may have changed. */
function useDressed(built: Built | null, key: string, relayout: (page: ShownPage) => void, onScroll: () => void): void {
  const { sheets, overrides, states, unstyled } = useDress();
  useEffect(() => {
    if (!built || built.key !== key || !sheets) return;
    const { page } = built;
    page.dress({ sheets, overrides, states, unstyled });
    let waiting = true;
    const measure = () => {
      if (waiting) relayout(page);
    };
    const { document } = page;
    onceLaidOut(document, measure);
    document.defaultView!.addEventListener("scroll", onScroll, true);
    document.defaultView!.addEventListener("resize", measure);
    return () => {
      waiting = false;
      document.defaultView?.removeEventListener("scroll", onScroll, true);
      document.defaultView?.removeEventListener("resize", measure);
    };
  }, [built, key, sheets, overrides, states, unstyled, relayout, onScroll]);
}

/** Looks at what lies under the texts of the page once it is dressed, and its window is as large as is said. */
function useLookedAt(built: Built | null, key: string): void {
  const store = useWorkspaceStore();
  const { sheets, overrides, states, conditions, unstyled } = useDress();
  const lookedUnder = useRef(conditions);
  useEffect(() => {
    if (!built || built.key !== key || !conditions || unstyled) return;
    const { page } = built;
    const { document } = page;
    // The edge of a window is pulled through many sizes.
    const isOther = (lookedUnder.current ?? conditions) !== conditions;
    lookedUnder.current = conditions;
    let waiting = true;
    let looks = 0;
    const isThere = () => document.defaultView !== null;
    const look = () => {
      if (!waiting || !isAsLargeAs(conditions, document)) return;
      const mine = (looks += 1);
      unwaitedWhile(
        isThere,
        lookUnder(() => waiting && isThere() && mine === looks),
      );
    };
    const lookUnder = async (stillThere: () => boolean) => {
      if (isOther || store.getState().rehearsal) await calm(afterTyping);
      const places = await knownPlaces(store);
      const { layOut, picture } = store.getState();
      await lookAt(page, places, picture, layOut, stillThere);
    };
    onceLaidOut(document, look);
    document.defaultView!.addEventListener("resize", look);
    return () => {
      waiting = false;
      document.defaultView?.removeEventListener("resize", look);
    };
  }, [store, built, key, sheets, overrides, states, conditions, unstyled]);
}

/** Whether the window of a page is as large as conditions say, but for what a zoomed screen rounds. */
const isAsLargeAs = ({ width, height }: Conditions, { defaultView }: Document): boolean =>
  defaultView !== null &&
  Math.abs(defaultView.innerWidth - width) <= 1 &&
  Math.abs(defaultView.innerHeight - height) <= 1;

/** The texts of what is shown, as soon as they are known. */
function knownPlaces(store: WorkspaceStore): Promise<readonly PlaceView[]> {
  const known = ({ rehearsal, view }: Workspace) => (rehearsal?.patch ?? view)?.places ?? null;
  return new Promise((resolve) => {
    const now = known(store.getState());
    if (now) return resolve(now);
    const stop = store.subscribe((state) => {
      const places = known(state);
      if (!places) return;
      stop();
      resolve(places);
    });
  });
}

const nothing = { sheets: undefined, overrides: [], states: [] };

/** Measuring after the browser has laid the page out costs nothing; before, it would hold up the frame. Once more with its fonts. */
function onceLaidOut(document: Document, work: () => void): void {
  requestAnimationFrame(() =>
    setTimeout(() => {
      work();
      if (document.fonts.status === "loading") unwaited(document.fonts.ready.then(work));
    }),
  );
}
