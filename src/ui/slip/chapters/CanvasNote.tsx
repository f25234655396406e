"use client";

import { useState } from "react";
import type { ElementRef, Target, TargetOption } from "@/core";
import type { ShownPage } from "@/preview/frame";
import { canvasOf } from "@/preview/canvas";
import { Problem } from "../../shared/Problem";
import { unwaited } from "../../shared/unwaited";
import { useEngine, useWorkspace } from "../../workspace/context";

interface Props {
  page: ShownPage;
  /** The element that has the gradient or picture, and where that is written. */
  owner: ElementRef;
  target: Target | null;
}

/** A way to end that a ground starts anew: a declaration, for the root or for the element that has the ground. */
interface Way {
  label: string;
  property: string;
  value: string;
  isOfRoot: boolean;
}

const ways: readonly Way[] = [
  {
    label: "Let the page be as high as the window: min-height on html",
    property: "min-height",
    value: "100%",
    isOfRoot: true,
  },
  {
    label: "Hold it to the window while the page scrolls",
    property: "background-attachment",
    value: "fixed",
    isOfRoot: false,
  },
  {
    label: "Let it stand once, and the colour fill the rest",
    property: "background-repeat",
    value: "no-repeat",
    isOfRoot: false,
  },
];

/** A rule for the root alone, under no condition: one that is there, else a new one. */
function targetForRoot(options: readonly TargetOption[]): Target | null {
  const own = options.find(
    ({ target, label, condition }) => target.kind === "rule" && condition === null && /^(?:html|:root)$/i.test(label),
  );
  const made = options.find(({ target }) => target.kind === "new-rule" && /^html$/i.test(target.selector));
  return (own ?? made)?.target ?? null;
}

/** What becomes of the ground of the root or the body: it fills the window, and may start anew in it. */
export function CanvasNote({ page, owner, target }: Props) {
  const engine = useEngine();
  const write = useWorkspace((state) => state.write);
  const conditions = useWorkspace((state) => state.conditions);
  const [problem, setProblem] = useState<string | null>(null);
  const canvas = canvasOf(page, owner.index);
  if (!canvas) return null;
  const take = async ({ property, value, label, isOfRoot }: Way) => {
    const place = isOfRoot ? { page: owner.page, index: 0 } : owner;
    const at = isOfRoot ? targetForRoot((await engine.slip(place, conditions))?.targets ?? []) : target;
    if (!at) return setProblem("There is no rule or sheet to write this to.");
    const result = await write({ kind: "declare", target: at, property, value, place }, label);
    setProblem(result.problem);
  };
  const { by, height, window, isAnew } = canvas;
  return (
    <section aria-label="Where it is painted">
      <p className="quiet">
        It is the ground of {by}, and fills the whole window{by === "body" && ", since html has none of its own"}. A
        gradient or picture is laid out in the box of html, here {Math.round(height)} px high.
      </p>
      {isAnew && (
        <>
          <p className="doubtful">
            ◆ The window is {window} px high: below {Math.round(height)} px it starts anew.
          </p>
          {ways.map((way) => (
            <p key={way.property}>
              <button type="button" className="chip" onClick={() => unwaited(take(way))}>
                {way.label}
              </button>
            </p>
          ))}
        </>
      )}
      <Problem>{problem}</Problem>
    </section>
  );
}
