"use client";

import { useState } from "react";
import type { Slip } from "@/core";
import type { ShownPage } from "@/preview/frame";
import { Problem } from "../../shared/Problem";
import { unwaited } from "../../shared/unwaited";
import { useEngine, useWorkspace } from "../../workspace/context";

interface Props {
  page: ShownPage;
  ground: Slip["ground"];
}

/**
 * What becomes of the ground of the root, or of the body where the root has none: it fills the window, but is as large
 * as the root's box, and starts anew where that ends (CSS Backgrounds 3, 2.11.1 and 2.11.2).
 */
export function CanvasNote({ page, ground }: Props) {
  const engine = useEngine();
  const write = useWorkspace((state) => state.write);
  const path = useWorkspace((state) => state.page)!;
  const conditions = useWorkspace((state) => state.conditions);
  const [problem, setProblem] = useState<string | null>(null);
  const node = ground.from === null ? null : page.nodes[ground.from];
  const root = page.document.documentElement;
  const isBody = node === page.document.body && node !== null;
  if (!node || (!isBody && node !== root)) return null;
  const view = page.document.defaultView!;
  const carried = !isBody || view.getComputedStyle(root).backgroundImage === "none";
  if (!carried) return null;
  const height = root.getBoundingClientRect().height;
  const style = view.getComputedStyle(node);
  const tiles =
    height < view.innerHeight - 1 && style.backgroundRepeat !== "no-repeat" && style.backgroundAttachment !== "fixed";
  const rootIndex = page.nodes.indexOf(root);
  const ways: readonly { label: string; index: number; property: string; value: string }[] = [
    {
      label: "Let the page be as high as the window: min-height on html",
      index: rootIndex,
      property: "min-height",
      value: "100%",
    },
    {
      label: "Hold it to the window while the page scrolls",
      index: ground.from!,
      property: "background-attachment",
      value: "fixed",
    },
    {
      label: "Let it stand once, and the colour fill the rest",
      index: ground.from!,
      property: "background-repeat",
      value: "no-repeat",
    },
  ];
  const take = async ({ index, property, value, label }: (typeof ways)[number]) => {
    const ref = { page: path, index };
    const targets = (await engine.slip(ref, conditions))?.targets ?? [];
    const inRules = targets.find(({ target: one }) => one.kind === "rule" || one.kind === "new-rule");
    const target = (inRules ?? targets[0])?.target;
    if (!target) return setProblem("There is no rule or sheet to write this to.");
    const result = await write({ kind: "declare", target, property, value, place: ref }, label);
    setProblem(result.problem);
  };
  return (
    <section aria-label="Where it is painted">
      <p className="quiet">
        {isBody
          ? "It is the ground of body, and fills the whole window, since html has none of its own."
          : "It is the ground of html, and fills the whole window."}{" "}
        A gradient or picture is laid out in the box of html, here {Math.round(height)} px high.
      </p>
      {tiles && (
        <>
          <p className="doubtful">
            ◆ The window is {view.innerHeight} px high: below {Math.round(height)} px it starts anew.
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
