"use client";

import { Checkbox, InputNumber } from "antd";
import { useState } from "react";
import {
  eyes,
  eyesNamed,
  pairsLostTo,
  rehearsedIn,
  showRatio,
  usualConditions,
  type Conditions,
  type EyesName,
} from "@/core";
import { Choice } from "../shared/Choice";
import { PopOver } from "../shared/PopOver";
import { Swatch } from "../color/Swatch";
import { plural } from "../shared/numbers";
import { usePalette, useStacks } from "../workspace/answers";
import { useWorkspace } from "../workspace/context";
import styles from "./PageBar.module.css";
import { unwaited } from "../shared/unwaited";

const contrasts = [
  { value: "no-preference", label: "as it is" },
  { value: "more", label: "more" },
  { value: "less", label: "less" },
] as const;

/** What the page is looked at with, in few words; empty where nothing is rehearsed. */
function rehearsed(conditions: Conditions, unstyled: boolean, seenBy: EyesName | null): string {
  const parts = rehearsedIn(conditions).map((one) => one.words(conditions));
  return [...(unstyled ? ["without styles"] : []), ...(seenBy ? [seenBy] : []), ...parts].join(", ");
}

/** The page as some reader gets it: larger text, on paper, with more contrast, without styles. */
export function Rehearse() {
  const conditions = useWorkspace((state) => state.conditions);
  const setConditions = useWorkspace((state) => state.setConditions);
  const unstyled = useWorkspace((state) => state.unstyled);
  const setUnstyled = useWorkspace((state) => state.setUnstyled);
  const [open, setOpen] = useState(false);
  const eyesName = useWorkspace((state) => state.eyes);
  const setEyes = useWorkspace((state) => state.setEyes);
  const words = rehearsed(conditions, unstyled, eyesName);
  const reset = () => {
    setUnstyled(false);
    setEyes(null);
    unwaited(setConditions(usualConditions));
  };
  return (
    <PopOver
      label="Rehearse"
      open={open}
      onOpen={setOpen}
      className={`chip ${styles.rehearsed}`}
      pressed={words !== ""}
      words={`Rehearse${words && `: ${words}`}`}
    >
      <div className={styles.rehearse}>
        <OfReaders />
        <Checkbox checked={unstyled} onChange={({ target }) => setUnstyled(target.checked)}>
          Without styles (U on the page)
        </Checkbox>
        <label className={styles.field}>
          <span>Seen</span>
          <Choice
            value={eyesName ?? "own"}
            options={[
              { value: "own", label: "as you see it" },
              ...eyes.map(({ name, label }) => ({ value: name, label })),
            ]}
            aria-label="Seen"
            onChange={(name: EyesName | "own") => setEyes(name === "own" ? null : name)}
          />
        </label>
        {eyesName && <LostToThem name={eyesName} />}
        <Fonts />
        <button type="button" className="text-button" onClick={reset} disabled={words === ""}>
          Change nothing
        </button>
      </div>
    </PopOver>
  );
}

/** What readers set in their browser or have before them. */
function OfReaders() {
  const conditions = useWorkspace((state) => state.conditions);
  const setConditions = useWorkspace((state) => state.setConditions);
  return (
    <>
      <label className={styles.field}>
        <span>Reader’s text size</span>
        <InputNumber
          size="small"
          min={12}
          max={32}
          value={conditions.rootSize}
          suffix="px"
          aria-label="Reader’s text size in px"
          onChange={(size) => typeof size === "number" && unwaited(setConditions({ rootSize: size }))}
        />
      </label>
      <label className={styles.field}>
        <span>Contrast wished for</span>
        <Choice
          value={conditions.contrast}
          options={[...contrasts]}
          aria-label="Contrast wished for"
          onChange={(contrast) => unwaited(setConditions({ contrast }))}
        />
      </label>
      <Checkbox
        checked={conditions.medium === "print"}
        onChange={({ target }) => unwaited(setConditions({ medium: target.checked ? "print" : "screen" }))}
      >
        On paper
      </Checkbox>
      <Checkbox
        checked={conditions.reducedMotion}
        onChange={({ target }) => unwaited(setConditions({ reducedMotion: target.checked }))}
      >
        Less motion
      </Checkbox>
    </>
  );
}

/** Pairs of ink and ground that can be read, and cannot with other eyes. */
function LostToThem({ name }: { name: EyesName }) {
  const palette = usePalette();
  if (!palette) return null;
  const lost = pairsLostTo(palette.pairs, eyesNamed(name));
  return (
    <div role="group" aria-label="Lost to them alone">
      <span>
        {lost.length ? `${plural(lost.length, "pair")} fail only then:` : "No pair fails that does not anyway."}
      </span>
      {lost.map(({ pair, ratio }) => (
        <span key={`${pair.ink} ${pair.ground} ${pair.needs}`}>
          <Swatch css={pair.ink} /> <code>{pair.inkName}</code> on <code>{pair.groundName}</code>:{" "}
          {showRatio(pair.ratio)} becomes {showRatio(ratio)} of {pair.needs}
        </span>
      ))}
    </div>
  );
}

/** The fonts that stacks of the site name, each to be switched off as if it were not there. */
function Fonts() {
  const conditions = useWorkspace((state) => state.conditions);
  const setConditions = useWorkspace((state) => state.setConditions);
  const stacks = useStacks() ?? [];
  const families = [
    ...new Set(stacks.flatMap(({ info }) => info.members.filter(({ generic }) => !generic).map(({ name }) => name))),
  ];
  if (families.length === 0) return null;
  const { absent } = conditions;
  const toggle = (family: string) =>
    unwaited(
      setConditions({
        absent: absent.includes(family) ? absent.filter((one) => one !== family) : [...absent, family],
      }),
    );
  return (
    <div role="group" aria-label="Fonts that are not there">
      <span>Without the font</span>
      {families.map((family) => (
        <Checkbox key={family} checked={absent.includes(family)} onChange={() => toggle(family)}>
          {family}
        </Checkbox>
      ))}
    </div>
  );
}
