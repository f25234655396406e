"use client";

import { useMemo } from "react";
import {
  ladder,
  nearestPassingGround,
  nearestPassingInk,
  notationOf,
  paintOver,
  parseColor,
  spelledLike,
  ratioOn,
  ratioOver,
  showRatio,
  type Color,
  type InkOver,
  type InkThere,
  type Notation,
  type Space,
  type StandsOn,
} from "@/core";
import type { SiteColor } from "@/engine/protocol";
import { colorName } from "../../color/names";
import { Channels } from "../../color/Channels";
import { Ladder, type Rung, type Track } from "../../color/Ladder";
import { Notations } from "../../color/Notations";
import { Swatch } from "../../color/Swatch";
import { plural } from "../../shared/numbers";
import { useAnswer, useAnswered } from "../../workspace/answers";
import { useWorkspace } from "../../workspace/context";
import { Trials } from "../Trials";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";
import { unwaited } from "../../shared/unwaited";

/** What a colour of this row has to be read against. */
interface Against {
  tracks: Track[];
  nearest(color: Color): { color: Color; passes: boolean };
  /** The worst ratio with a colour, and what it needs there. */
  worst(color: Color): { ratio: number; needs: number } | null;
}

const none: readonly SiteColor[] = [];
const black: Color = { space: "srgb", channels: [0, 0, 0], alpha: 1 };
const white: Color = { space: "srgb", channels: [1, 1, 1], alpha: 1 };
const mostTracks = 6;

export function ColorChapter(props: ChapterProps) {
  const { row, slip, target, draft } = props;
  const own = row.own ?? row.computed;
  const color = useMemo(() => parseColor(draft.value) ?? parseColor(own) ?? black, [draft.value, own]);
  const written = notationOf(row.written ?? "") ?? { notation: "hex" as Notation, options: {} };
  const against = useAgainst(props);
  const colors = useAnswer("siteColors") ?? none;
  const spell = (one: Color) => spelledLike(row.written ?? "", one);

  const found = useMemo(() => against && nearestFor(against, parseColor(own) ?? black), [against, own]);
  const nearest = found && {
    ...found,
    label: found.passes
      ? `Write the nearest that passes: ${spell(found.color)}, ${showRatio(found.ratio)}`
      : `No lightness at this hue is enough everywhere. The best reaches ${showRatio(found.ratio)} of ${found.needs}.`,
  };
  const space = spaceOf(written.notation);
  const proposed = [
    ...new Set([row.written ?? own, ...(found?.passes ? [spell(found.color)] : []), ...bestOf(colors, against)]),
  ];

  return (
    <div className={styles.chapter}>
      <Ladder
        color={seenThrough(color, row) ?? color}
        tracks={against?.tracks ?? []}
        nearest={nearest}
        onTry={(one) => draft.attempt(spell(one))}
        onWrite={(one) => unwaited(draft.write(spell(one)))}
        onPutBack={draft.putBack}
      />
      <Trials row={row} slip={slip} draft={draft} target={target} proposed={proposed.slice(0, 5)} />
      <details className={styles.more}>
        <summary>Colours of the site</summary>
        <ul className={styles.colors} aria-label="Colours of the site">
          {colors.map((one) => (
            <li key={one.css}>
              <button type="button" onClick={() => draft.attempt(one.value)}>
                <Swatch css={one.css} size={1.125} />
                <code>{one.value}</code>
                <Figure value={one.value} against={against} />
              </button>
            </li>
          ))}
        </ul>
      </details>
      <details className={styles.more}>
        <summary>Channels and alpha</summary>
        <Channels
          color={color}
          space={space}
          onTry={(one) => draft.attempt(spell(one))}
          onWrite={() => unwaited(draft.write(draft.value))}
          onPutBack={draft.putBack}
        />
        <Pipette onTake={(one) => draft.attempt(spell(one))} />
      </details>
      <details className={styles.more}>
        <summary>In every notation</summary>
        <Notations
          color={color}
          current={draft.tried ? null : (notationOf(row.written ?? "")?.notation ?? null)}
          onWrite={(text) => unwaited(draft.write(text))}
        />
      </details>
    </div>
  );
}

/** What is clear is taken hold of as what is seen through it: in any lightness it would stay clear. */
const seenThrough = ({ alpha }: Color, { beneath }: ChapterProps["row"]): Color | null =>
  alpha === 0 && beneath !== null ? parseColor(beneath) : null;

/** The nearest colour that is enough everywhere, and what it comes to at worst; null where the colour is enough already. */
function nearestFor({ nearest, worst }: Against, color: Color) {
  const now = worst(color);
  if (!now || now.ratio >= now.needs) return null;
  const found = nearest(color);
  return { ...found, ...worst(found.color)! };
}

function Figure({ value, against }: { value: string; against: Against | null }) {
  const color = parseColor(value);
  const worst = color && against?.worst(color);
  if (!worst) return null;
  const passes = worst.ratio >= worst.needs;
  return (
    <b className={passes ? undefined : "fails"}>{passes ? showRatio(worst.ratio) : `▲ ${showRatio(worst.ratio)}`}</b>
  );
}

/** The site's own colours that are enough, those most used first. */
function bestOf(colors: readonly SiteColor[], against: Against | null): string[] {
  return colors.flatMap(({ value }) => {
    const color = parseColor(value);
    const worst = color && color.alpha === 1 && against?.worst(color);
    return worst && worst.ratio >= worst.needs ? [value] : [];
  });
}

function spaceOf(notation: Notation): Space {
  return notation === "hex" || notation === "name" || notation === "rgb" || notation.startsWith("xyz")
    ? "srgb"
    : (notation as Space);
}

/** The grounds of an ink, or the inks on a ground. */
function useAgainst({ row, slip, places }: ChapterProps): Against | null {
  const conditions = useWorkspace((state) => state.conditions);
  const picked = { page: slip.ref.page, index: slip.ref.index };
  const isInk = row.id === "ink";
  const ground = row.id === "own-ground" ? "own" : "given";
  const grounds = useAnswered("grounds", isInk ? [picked, places, conditions] : null)?.answer;
  const inks = useAnswered("inks", isInk ? null : [picked, ground, conditions])?.answer;
  const { beneath } = row;
  return useMemo(() => {
    if (isInk) return grounds ? againstGrounds(grounds) : null;
    return inks ? againstInks(inks, parseColor(beneath ?? "") ?? white) : null;
  }, [isInk, grounds, inks, beneath]);
}

function againstGrounds(grounds: readonly StandsOn[]): Against {
  const needs = grounds.flatMap((ground) => ground.needs);
  const sorted = [...grounds].sort((a, b) => a.ratio - b.ratio);
  return {
    nearest: (ink) => nearestPassingInk(ink, needs),
    worst: (ink) => worstOf(needs.map((need) => ({ ratio: ratioOn(ink, need), needs: need.needs }))),
    tracks: sorted.slice(0, mostTracks).map((ground): Track => {
      const lowest = (ink: Color) => Math.min(...ground.needs.map((need) => ratioOn(ink, need)));
      const need = ground.needs[0]!.needs;
      return {
        key: `${ground.name} ${ground.css} ${need}`,
        label: `on ${ground.range ? ground.name : `${colorName(ground.css)}, ${ground.name}`} · ${plural(ground.places.length, "place")} · needs ${need}${ground.certain ? "" : " · not certain"}`,
        ratio: lowest,
        enough: (ink) => lowest(ink) >= need,
        rungs: (ink) => rungsOf(ground, ink),
      };
    }),
  };
}

/** On a ground that varies a ratio counts where it is reached on all of it. */
function rungsOf(ground: StandsOn, color: Color): Rung[] {
  const all = ground.needs.map((need) => ladder(color, need));
  return all[0]!.flatMap(({ ratio, side }) => {
    const same = all.map((rungs) => rungs.find((rung) => rung.ratio === ratio && rung.side === side));
    if (same.includes(undefined)) return [];
    const lightness = (side === "darker" ? Math.min : Math.max)(...same.map((rung) => rung!.lightness));
    return [{ lightness, label: String(ratio) }];
  });
}

/** @param beneath what a translucent ground lies on */
function againstInks(inks: readonly InkThere[], beneath: Color): Against {
  const seen = (ground: Color) => paintOver(ground, beneath);
  const ratioWith = (ground: Color, { over }: InkThere) => Math.min(...over.map((one) => ratioOver(seen(ground), one)));
  // What cannot be read on black, nor on white, is not to be mended by a ground.
  const mendable = inks.filter((ink) => Math.max(ratioWith(black, ink), ratioWith(white, ink)) >= ink.needs);
  const needs = mendable.flatMap(({ over, needs: ratio }) => over.map((one): InkOver => ({ ...one, needs: ratio })));
  return {
    nearest: (ground) => nearestPassingGround((ground.alpha ?? 0) < 1 ? seen(ground) : ground, needs),
    worst: (ground) => worstOf(mendable.map((ink) => ({ ratio: ratioWith(ground, ink), needs: ink.needs }))),
    tracks: inks.slice(0, mostTracks).map((ink, at): Track => ({
      key: `${ink.css} ${ink.needs} ${at}`,
      label: `under ${colorName(ink.css)}, ${ink.role.toLowerCase()} · ${plural(ink.places.length, "place")} · needs ${ink.needs}`,
      ratio: (ground) => ratioWith(ground, ink),
      enough: (ground) => ratioWith(ground, ink) >= ink.needs,
      rungs: () => [],
    })),
  };
}

function worstOf(list: readonly { ratio: number; needs: number }[]): { ratio: number; needs: number } | null {
  return list.reduce<{ ratio: number; needs: number } | null>(
    (worst, one) => (worst && worst.ratio / worst.needs <= one.ratio / one.needs ? worst : one),
    null,
  );
}

interface EyeDropperLike {
  open(): Promise<{ sRGBHex: string }>;
}

/** Takes a colour from anywhere on the screen, where the browser lets it be taken. */
function Pipette({ onTake }: { onTake(color: Color): void }) {
  const Dropper = (globalThis as { EyeDropper?: new () => EyeDropperLike }).EyeDropper;
  if (!Dropper) return null;
  const take = async () => {
    try {
      const { sRGBHex } = await new Dropper().open();
      const color = parseColor(sRGBHex);
      if (color) onTake(color);
    } catch {
      // The choice was given up.
    }
  };
  return (
    <button type="button" className="chip" onClick={() => unwaited(take())}>
      Take from the screen
    </button>
  );
}
