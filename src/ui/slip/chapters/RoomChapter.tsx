"use client";

import { useEffect, useMemo } from "react";
import type { MarginSide, MeetingMargins } from "@/core";
import type { ShownPage } from "@/preview/frame";
import { linesOf, zeroWidthOf } from "@/preview/measure";
import { plural, showNumber, showPx } from "../../shared/numbers";
import { useAnswer } from "../../workspace/answers";
import { useBench } from "../../workspace/bench";
import { useWorkspace } from "../../workspace/context";
import { Trials } from "../Trials";
import { useSetting } from "../useSetting";
import { Doubt, Outcomes, Spellings } from "./parts";
import { Rhythm } from "./Rhythm";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";

const lengths = ["0", "0.5em", "1em", "1.5em"];
const lines = ["none", "1px solid currentcolor", "3px solid currentcolor", "1px dotted currentcolor"];

/** What people try first, by the row or the row it is part of. */
const trials: Readonly<Record<string, readonly string[]>> = {
  above: ["0", "0.5em", "1em", "1.5em", "2em"],
  below: ["0", "0.25em", "0.5em", "1em", "1.5em"],
  padding: ["0", "0.5em 1em", "1em", "1em 1.5em", "2em"],
  edge: lines,
  corners: ["0", "3px", "0.5em", "1.5em"],
  "box-shadow": ["none", "0 1px 3px rgb(0 0 0 / 30%)", "0 4px 12px rgb(0 0 0 / 25%)", "inset 0 0 0 1px currentcolor"],
  outline: ["none", "2px solid currentcolor", "3px dotted currentcolor"],
  beside: ["0", "auto", "1em", "2em"],
  "box-width": ["auto", "50%", "100%", "fit-content"],
  "box-widest": ["none", "45ch", "60ch", "75ch"],
  "box-narrowest": ["auto", "10em", "min-content"],
  "box-height": ["auto", "fit-content"],
  "box-lowest": ["auto", "3em", "50vh"],
  float: ["none", "left", "right"],
  clear: ["none", "both", "left", "right"],
};

const notes: Readonly<Record<string, string>> = {
  outline:
    "It lies outside the box, takes no room, and shows where the focus is: without one a reader with keys is lost.",
  "box-height": "A box of a fixed height does not give way when its text grows. `min-height` does.",
  float: "What follows runs along it. A clear on what follows ends that.",
  clear: "It moves below what floats beside it.",
};

/** Rows about margins and paddings, which make the rhythm of a site. */
const isRoom = /^(?:above|below|beside|left|right|padding.*)$/;

/** Rows whose value is one length, in which it can be spelt otherwise. */
const isLength = /^(?:above|below|left|right|padding-.*|corners-.*|box-.*)$/;

/** The room in and around a box, its edges and its sizes: shown on the page while the chapter is open. */
export function RoomChapter({ row, slip, draft, target, places, shown }: ChapterProps) {
  const setting = useSetting(slip, places, row.longhand);
  useShownRoom();
  if (!setting) return null;
  const { size, root, leading } = setting;
  const px = row.amount;
  const line = leading ?? size * 1.2;
  const own = trials[row.id] ?? trials[row.part ?? ""] ?? lengths;
  const proposed = row.part && !row.sides ? lengths : own;
  const meets = { above: "top", below: "bottom" }[row.id] as MarginSide | undefined;
  return (
    <div className={styles.chapter}>
      {isLength.test(row.id) && px !== null && px !== 0 && (
        <>
          <Spellings
            label="The same in other units"
            texts={[
              `${showNumber(px, 2)}px`,
              `${showNumber(px / size, 3)}em`,
              `${showNumber(px / root, 3)}rem`,
              `${showNumber(px / line, 2)}lh`,
            ]}
            draft={draft}
          />
          <p className="quiet">
            {showPx(px)} px, {showNumber(px / size, 2)} of the size, {showNumber(px / line, 2)} lines.
          </p>
        </>
      )}
      {shown && <OnPage row={row} slip={slip} page={shown.page} />}
      {meets && <Meeting slip={slip} side={meets} />}
      {row.id === "box-widest" && <LineLengths {...{ slip, draft, shown, root }} />}
      <Trials
        row={row}
        slip={slip}
        draft={draft}
        target={target}
        side={row.id === "above" ? "before" : "after"}
        proposed={[...new Set([row.written ?? row.computed, ...proposed])].slice(0, 5)}
        figures={(one) => {
          const amount = /^(-?[\d.]+)(em|rem)$/.exec(one);
          if (!amount) return null;
          return <span>{showPx(Number(amount[1]) * (amount[2] === "em" ? size : root))} px</span>;
        }}
      />
      {isRoom.test(row.id) && <Rhythm px={px} line={line} draft={draft} />}
      {notes[row.id] && <p className="quiet">{notes[row.id]}</p>}
      {row.id === "box-height" && px !== null && (
        <Doubt>At {showPx(px)} px the box does not grow with its text: at twice the size words fall out of it.</Doubt>
      )}
      <Outcomes setting={setting} />
    </div>
  );
}

/** What a percentage is of, and what it and `auto` come to on the page as it is laid out (CSS 2.2, 8.3, 8.4, 10). */
function OnPage({ row, slip, page }: Pick<ChapterProps, "row" | "slip"> & { page: ShownPage }) {
  const written = row.written ?? row.computed;
  const node = page.nodes[slip.ref.index];
  const view = page.document.defaultView;
  if (!/%|\bauto\b/.test(written) || !node || !view || slip.ref.pseudo !== undefined) return null;
  const names = row.sides?.flat() ?? [row.longhand];
  const used = names.map((name) => view.getComputedStyle(node).getPropertyValue(name));
  const around = node.parentElement;
  const isOfHeight = /height/.test(row.property);
  const basis = around && contentOf(around, view, isOfHeight ? "height" : "width");
  return (
    <p className="quiet" role="note">
      {written.includes("%") && basis !== null && (
        <>
          A percentage is of the {isOfHeight ? "height" : "width"} of what it stands in, the{" "}
          <code>{around!.localName}</code> of {showPx(basis)} px.{" "}
        </>
      )}
      On the page it comes to {[...new Set(used)].join(", ")}.
    </p>
  );
}

/** How wide or high what an element holds may be, CSS px. */
function contentOf(element: Element, view: Window, side: "width" | "height"): number {
  const style = view.getComputedStyle(element);
  const [inside, one, other] =
    side === "width"
      ? [element.clientWidth, style.paddingLeft, style.paddingRight]
      : [element.clientHeight, style.paddingTop, style.paddingBottom];
  return inside - Number.parseFloat(one) - Number.parseFloat(other);
}

/** Shows on the page how much room there is, while the chapter is open. */
function useShownRoom(): void {
  const { showRoom } = useBench();
  useEffect(() => showRoom(), [showRoom]);
}

const room = { top: "room above", bottom: "room below" } as const;

/** Margins that meet and are one: what becomes of each, and what would keep them apart (CSS 2.2, 8.3.1). */
function Meeting({ slip, side }: { slip: ChapterProps["slip"]; side: MarginSide }) {
  const conditions = useWorkspace((state) => state.conditions);
  const { page, index } = slip.ref;
  const found = useAnswer("margins", { page, index }, side, conditions);
  if (!found || found.margins.length < 2) return null;
  const { margins, px } = found;
  const told = (part: MeetingMargins["margins"][number]["part"]) =>
    margins
      .filter((one) => one.part === part)
      .map((one) => {
        const isOwn = one.index === index && one.side === side;
        return `${isOwn ? "this one" : `${room[one.side]} ${one.tag}`}, ${showPx(one.px)} px`;
      });
  const parts = (["counts", "taken off", "swallowed"] as const).flatMap((part) => {
    const list = told(part);
    return list.length ? [`${part}: ${list.join("; ")}`] : [];
  });
  return (
    <div className="quiet" role="note">
      <p>
        It meets {plural(margins.length - 1, "other margin")} here, and they are one of {showPx(px)} px.{" "}
        {parts.map((one) => one[0]!.toUpperCase() + one.slice(1)).join(". ")}.
      </p>
      <p>An edge, a padding or a line of text between them would keep each.</p>
    </div>
  );
}

const counts = [45, 60, 75];

/** How wide a box is for lines of so many characters of this text, in units to write it in. */
function LineLengths({ slip, draft, shown, root }: Pick<ChapterProps, "slip" | "draft" | "shown"> & { root: number }) {
  const { index } = slip.ref;
  const measured = useMemo(() => {
    const found = shown && linesOf(shown.page, index);
    const zero = shown && zeroWidthOf(shown.page, index);
    return found && zero ? { character: found.character, zero, longest: found.longest } : null;
  }, [shown, index]);
  if (!measured) return null;
  const { character, zero, longest } = measured;
  return (
    <>
      <p className="quiet">
        Its longest line holds {longest} characters of {showNumber(character, 1)} px on average; a <code>ch</code> is
        the {showNumber(zero, 1)} px of its 0.
      </p>
      {counts.map((count) => {
        const px = count * character;
        return (
          <div key={count} className={styles.lineLength}>
            <span>{count} characters</span>
            <Spellings
              label={`${count} characters a line`}
              texts={[`${Math.round(px / zero)}ch`, `${showNumber(px / root, 1)}rem`, `${Math.round(px)}px`]}
              draft={draft}
            />
          </div>
        );
      })}
    </>
  );
}
