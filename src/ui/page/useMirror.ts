"use client";

/** The page as it is now, also while something is tried, in a further frame. */
import { useEffect, useRef, useState, type RefObject } from "react";
import { showPage, type Dress, type ShownPage } from "@/preview/frame";
import { settle } from "@/preview/settle";
import { unwaitedWhile } from "../shared/unwaited";
import { useEngine, useWorkspace } from "../workspace/context";

/** A page in a further frame; another object each time it was dressed and its fonts are there. */
export interface Mirrored {
  page: ShownPage;
}

/** @param width - how wide the window is that it is seen in, CSS px */
export function useMirror(frame: RefObject<HTMLIFrameElement | null>, width: number): Mirrored | null {
  const view = useWorkspace((state) => state.view);
  const patch = useWorkspace((state) => state.rehearsal?.patch ?? null);
  const document = patch?.document ?? view?.document ?? null;
  const dress = useDress(patch ?? view, width);
  const [page, setPage] = useState<ShownPage | null>(null);
  const [mirrored, setMirrored] = useState<Mirrored | null>(null);
  const latest = useRef(patch ?? view);
  useEffect(() => {
    latest.current = patch ?? view;
  });
  useEffect(() => {
    if (!document) return;
    let current = true;
    unwaitedWhile(
      () => frame.current?.isConnected === true,
      showPage(frame.current!, { ...latest.current!, document }).then((shown) => current && setPage(shown)),
    );
    return () => {
      current = false;
    };
  }, [frame, document]);
  useEffect(() => {
    if (!page || !dress) return;
    let current = true;
    page.dress({ ...dress, unstyled: false });
    settle(page.document);
    unwaitedWhile(
      () => frame.current?.isConnected === true,
      page.document.fonts.ready.then(() => current && setMirrored({ page })),
    );
    return () => {
      current = false;
    };
  }, [frame, page, dress]);
  return mirrored;
}

type Worn = Pick<Dress, "sheets" | "overrides" | "states">;

/** What the page wears at a width. Its sheets are the same at all of them; what a rehearsal writes over them is not. */
function useDress(worn: Worn | null, width: number): Worn | null {
  const engine = useEngine();
  const path = useWorkspace((state) => state.page);
  const plan = useWorkspace((state) => state.rehearsal?.plan);
  const conditions = useWorkspace((state) => state.conditions);
  const differs = worn !== null && worn.overrides.length > 0 && width !== conditions.width;
  const [asked, setAsked] = useState<{ worn: Worn; width: number; answer: Worn } | null>(null);
  useEffect(() => {
    if (!differs || path === null) return;
    let current = true;
    unwaitedWhile(
      () => current,
      engine
        .variant(path, plan?.changes ?? [], { ...conditions, width })
        .then((answer) => current && setAsked({ worn, width, answer })),
    );
    return () => {
      current = false;
    };
  }, [engine, path, plan, conditions, differs, worn, width]);
  if (!differs) return worn;
  return asked?.worn === worn && asked.width === width ? asked.answer : null;
}
