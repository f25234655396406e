"use client";

import { Checkbox, InputNumber } from "antd";
import { useState } from "react";
import {
  notations,
  rewriteColors,
  takesCommas,
  type FormatOptions,
  type Notation,
  type PaletteValue,
  type Rewriting,
} from "@/core";
import { Choice } from "../shared/Choice";
import { plural, showDistance } from "../shared/numbers";
import { PopOver } from "../shared/PopOver";
import type { Proposal } from "../workspace/WriteChanges";
import styles from "./Colors.module.css";

interface Props {
  values: readonly PaletteValue[];
  /** Whether nothing is selected, so that all are meant. */
  all: boolean;
  onPropose(proposal: Proposal): void;
}

/** Values written in another notation and style. */
export function RewriteMenu({ values, all, onPropose }: Props) {
  const [open, setOpen] = useState(false);
  const [notation, setNotation] = useState<Notation>("oklch");
  const [options, setOptions] = useState<FormatOptions>({});
  const propose = () => {
    const result = rewriteColors(
      values.flatMap(({ uses }) => uses),
      notation,
      options,
    );
    setOpen(false);
    const label = notations.find((one) => one.notation === notation)!.label;
    onPropose({
      title: `Write ${all ? "all colours" : plural(values.length, "value")} as ${label}`,
      label: `Write colours as ${label}`,
      changes: result.changes,
      proof: <Proof result={result} />,
    });
  };
  return (
    <PopOver label="Rewrite" open={open} onOpen={setOpen} words={`Rewrite ${all ? "all" : "selected"}…`}>
      <div className={styles.form}>
        <Choice
          aria-label="Notation"
          value={notation}
          onChange={setNotation}
          options={notations.map((one) => ({ value: one.notation, label: one.label }))}
        />
        <Style notation={notation} options={options} onSet={(more) => setOptions({ ...options, ...more })} />
        <button type="button" className="chip" onClick={propose}>
          Show what changes
        </button>
      </div>
    </PopOver>
  );
}

interface StyleProps {
  notation: Notation;
  options: FormatOptions;
  onSet(more: FormatOptions): void;
}

/** How a notation is written, as far as it leaves a choice. */
function Style({ notation, options, onSet }: StyleProps) {
  const isHex = notation === "hex";
  const hasNumbers = !isHex && notation !== "name";
  return (
    <>
      {isHex && (
        <Checkbox checked={options.upper ?? false} onChange={({ target }) => onSet({ upper: target.checked })}>
          Capital letters
        </Checkbox>
      )}
      {isHex && (
        <Checkbox checked={options.short ?? false} onChange={({ target }) => onSet({ short: target.checked })}>
          Short where it is exact
        </Checkbox>
      )}
      {takesCommas(notation) && (
        <Checkbox checked={options.commas ?? false} onChange={({ target }) => onSet({ commas: target.checked })}>
          With commas, as older browsers need
        </Checkbox>
      )}
      {hasNumbers && (
        <Checkbox
          checked={options.percentAlpha ?? false}
          onChange={({ target }) => onSet({ percentAlpha: target.checked })}
        >
          Alpha in percent
        </Checkbox>
      )}
      {hasNumbers && (
        <label>
          Digits{" "}
          <InputNumber
            size="small"
            aria-label="Digits"
            min={0}
            max={6}
            placeholder="exact"
            value={options.digits ?? null}
            onChange={(digits) => onSet({ digits: typeof digits === "number" ? digits : undefined })}
            className={styles.within}
          />
        </label>
      )}
    </>
  );
}

/** What the rewriting does to what is seen. */
export function Proof({ result: { same, different, left, changes } }: { result: Rewriting }) {
  return (
    <>
      <p className={styles.proof}>
        {plural(changes.length, "value")} written anew
        {different.length === 0
          ? ", none changes on screen."
          : `; ${plural(different.length, "value")} would change on screen:`}
        {same > changes.length &&
          different.length === 0 &&
          ` ${plural(same - changes.length, "is", "are")} so already.`}
      </p>
      {different.slice(0, 12).map(({ value, written, distance, path, line }) => (
        <p key={`${path} ${line} ${value}`} className="fails">
          ▲ <code>{value}</code> would be <code>{written}</code>, {showDistance(distance)} off, in {path} line {line}.
        </p>
      ))}
      {left.slice(0, 12).map(({ value, reason, path, line }, at) => (
        <p key={at} className="doubtful">
          ◆ <code>{value}</code> in {path} line {line} stays: {reason}
        </p>
      ))}
    </>
  );
}
