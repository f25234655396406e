"use client";

import type { Heir } from "@/core";
import { plural, showNumber, showPx } from "../../shared/numbers";
import { useWorkspace } from "../../workspace/context";
import { Trials } from "../Trials";
import { useSetting } from "../useSetting";
import { Doubt, Outcomes, Spellings } from "./parts";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";
import { unwaited } from "../../shared/unwaited";

const mostHeirs = 4;

/** "Heading, level 3 at 24 px: 0.83 of the size (3 places)". */
function heirWords({ role, sizePx, leadingPx, places }: Heir): string {
  return `${role.toLowerCase()} at ${showPx(sizePx)} px: ${showNumber(leadingPx / sizePx, 2)} of the size (${plural(places.length, "place")})`;
}

const steps = [1, 1.15, 1.3, 1.45, 1.6];

export function LeadingChapter({ row, slip, draft, target, places }: ChapterProps) {
  const setting = useSetting(slip, places, "line-height");
  if (!setting) return null;
  const { size, leading, stack } = setting;
  const px = leading ?? size * 1.2;
  const ratio = px / size;
  const plain = showNumber(ratio, 3);
  const written = row.written ?? "";
  const isLength = /[a-z%]$/i.test(written) && written !== "normal";
  const metrics = stack?.members.find((member) => member.metrics)?.metrics ?? null;
  const needed = metrics ? (metrics.ascent - metrics.descent) / metrics.unitsPerEm : null;
  const inUnit = (text: number) => {
    if (isLength && written.endsWith("px")) return `${showNumber(text * size, 1)}px`;
    if (isLength && written.endsWith("%")) return `${showNumber(text * 100, 1)}%`;
    return isLength && written.endsWith("em") ? `${showNumber(text, 3)}em` : String(text);
  };
  return (
    <div className={styles.chapter}>
      <Spellings
        label="The same leading in other units"
        texts={[plain, `${showNumber(ratio, 3)}em`, `${showPx(px)}px`, `${showNumber(ratio * 100, 1)}%`]}
        draft={draft}
      />
      <p className="quiet">
        {leading === null ? "The font decides: " : ""}
        {showPx(px)} px, {plain} of the size.
        {needed !== null &&
          (ratio < needed - 0.005
            ? ` Below ${showNumber(needed, 2)} descenders and the ascenders of the next line may meet in ${metrics!.family}.`
            : ` Descenders and ascenders of ${metrics!.family} stay apart from ${showNumber(needed, 2)} on.`)}
      </p>
      <CentredByLeading slip={slip} draft={draft} px={px} size={size} />
      {isLength && !written.startsWith("0") && <AsLength {...{ row, slip, draft, setting, px, plain }} />}
      <Outcomes setting={setting} />
      <Trials
        row={row}
        slip={slip}
        draft={draft}
        target={target}
        proposed={[
          ...new Set([written || plain, ...steps.filter((step) => Math.abs(step - ratio) > 0.04).map(inUnit)]),
        ].slice(0, 5)}
        figures={(value) => {
          const number = Number.parseFloat(value);
          if (!Number.isFinite(number)) return null;
          const relative = value.endsWith("%") ? (number * size) / 100 : number * size;
          const of = value.endsWith("px") ? number : relative;
          return <span>{value.endsWith("px") ? showNumber(of / size, 2) : `${showPx(of)} px`}</span>;
        }}
      />
    </div>
  );
}

interface AsLengthProps extends Pick<ChapterProps, "row" | "slip" | "draft"> {
  setting: NonNullable<ReturnType<typeof useSetting>>;
  /** The leading, CSS px, and as a number. */
  px: number;
  plain: string;
}

/** A leading that is a length: what it comes to in texts of other sizes inside, and a number instead. */
function AsLength({ row, slip, draft, setting: { declaredAt, heirs }, px, plain }: AsLengthProps) {
  const write = useWorkspace((state) => state.write);
  const source = row.from === "inherited" ? row.contenders.find(({ lost }) => lost === null) : null;
  const start = source?.place?.rule ?? null;
  const value = showNumber(px / declaredAt, 3);
  // Where the length is inherited, the number belongs into the rule that gives it.
  const mend =
    source?.place && start !== null
      ? {
          label: `Write ${value} in ${source.selector}`,
          target: { kind: "rule", path: source.place.path, start } as const,
        }
      : null;
  const onMend = () =>
    mend
      ? write(
          { kind: "declare", target: mend.target, property: "line-height", value, place: slip.ref },
          `line-height: ${value}`,
        )
      : draft.write(plain);
  return (
    <Doubt label={mend?.label ?? `Write ${plain}`} onMend={() => unwaited(onMend())}>
      As a length it is inherited as {showPx(px)} px, whatever size the text inside has. A number is worked out anew for
      each.
      {heirs.length > 0 &&
        ` So it is in ${heirs.slice(0, mostHeirs).map(heirWords).join("; ")}${heirs.length > mostHeirs ? "; and others" : ""}.`}
    </Doubt>
  );
}

interface CentredProps extends Pick<ChapterProps, "slip" | "draft"> {
  /** The leading and the size, CSS px. */
  px: number;
  size: number;
}

/** A line that is centred by a leading as high as its box: what breaks that, and room above and below instead. */
function CentredByLeading({ slip, draft, px, size }: CentredProps) {
  const heights = slip.rows.filter(({ id }) => id === "box-height" || id === "box-lowest");
  const isAsHigh = heights.some(({ amount }) => amount !== null && Math.abs(amount - px) < 1);
  if (!isAsHigh || px / size < 1.6) return null;
  const room = showNumber((px - 1.3 * size) / 2, 1);
  return (
    <Doubt
      label={`Write 1.3 with ${room} px of room above and below`}
      onMend={() => unwaited(draft.write(`1.3; height: auto; padding-block: ${room}px`, "candidate"))}
    >
      The leading is as high as the box: that centres one line. A second line, or larger text, falls out of it.
    </Doubt>
  );
}
