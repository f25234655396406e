"use client";

import { Checkbox } from "antd";
import { useState } from "react";
import { sizeIn, unitOf, type StyleRow } from "@/core";
import { Choice } from "../shared/Choice";
import { showPx } from "../shared/numbers";
import { Problem } from "../shared/Problem";
import type { Proposal } from "../workspace/WriteChanges";
import { usePick } from "../workspace/usePick";
import { useEngine, useWorkspace } from "../workspace/context";
import { PlaceList } from "../workspace/PlaceList";
import styles from "./TextStyles.module.css";
import { unwaited } from "../shared/unwaited";

/** What can be copied from one style to another. */
const settings = [
  { property: "font-size", label: "size" },
  { property: "line-height", label: "leading" },
  { property: "font-weight", label: "weight" },
  { property: "font-family", label: "stack" },
  { property: "letter-spacing", label: "letter spacing" },
  { property: "text-transform", label: "case" },
  { property: "color", label: "ink" },
] as const;

type Property = (typeof settings)[number]["property"];

interface Props {
  row: StyleRow;
  twin: StyleRow | null;
  all: readonly StyleRow[];
  onPropose(proposal: Proposal): void;
}

const nameOf = (one: StyleRow) => `${one.selector}, ${showPx(one.sizePx)} px`;

const alikeProperties: readonly Property[] = ["font-size", "line-height", "color"];

/** An open style: its places, its twin, and its settings for another. */
export function StyleDetail({ row, twin, all, onPropose }: Props) {
  const pick = usePick();
  const { copy, problem } = useCopy(onPropose);
  return (
    <div className={styles.detail}>
      {twin && (
        <p>
          <b className="doubtful">◆ So like {nameOf(twin)} that one would do.</b>{" "}
          <button type="button" className="text-button" onClick={() => unwaited(copy(twin, row, alikeProperties))}>
            Set this one as {showPx(twin.sizePx)} px
          </button>{" "}
          <button type="button" className="text-button" onClick={() => unwaited(copy(row, twin, alikeProperties))}>
            Set the other as {showPx(row.sizePx)} px
          </button>
        </p>
      )}
      <CopyTo
        others={all.filter(({ key }) => key !== row.key)}
        onCopy={(target, properties) => unwaited(copy(row, target, properties))}
      />
      <Problem>{problem}</Problem>
      <PlaceList className={styles.places} label="Places" places={row.places} most={24} onPick={pick} />
    </div>
  );
}

type Copy = (from: StyleRow, target: StyleRow, properties: readonly Property[]) => Promise<void>;

/** Proposes settings of one style for another. */
function useCopy(onPropose: Props["onPropose"]): { copy: Copy; problem: string | null } {
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  const [problem, setProblem] = useState<string | null>(null);
  const copy: Copy = async (from, target, properties) => {
    const declarations = properties.map((one): [string, string] => [
      one,
      valueFor(from, one, target, conditions.width),
    ]);
    const { edits, problem: why } = await engine.editsOn([{ ref: target.places[0]!, declarations }], conditions);
    const result = await engine.combine(edits);
    setProblem(why ?? result.problem);
    if (why || result.problem) return;
    onPropose({ title: `${nameOf(target)} set as ${nameOf(from)}`, changes: result.changes, count: edits.length });
  };
  return { copy, problem };
}

/** A setting of one style as another would have it written. @param width of the window, CSS px */
function valueFor(from: StyleRow, property: Property, target: StyleRow, width: number): string {
  if (property === "font-size") {
    const unit = unitOf(target.sizeFrom?.written ?? "") ?? "px";
    return sizeIn(from.sizePx, unit, { parent: target.parentPx, root: target.rootPx, width });
  }
  if (property === "line-height") return from.leading === null ? "normal" : String(Number(from.leading.toFixed(3)));
  if (property === "color") return from.color;
  return from.specimen.find(([one]) => one === property)?.[1] ?? "initial";
}

interface CopyToProps {
  others: readonly StyleRow[];
  onCopy(target: StyleRow, properties: readonly Property[]): void;
}

/** Which settings are copied, and to which style. */
function CopyTo({ others, onCopy }: CopyToProps) {
  const [to, setTo] = useState<string | null>(null);
  const [chosen, setChosen] = useState<readonly Property[]>(["font-size", "line-height", "font-weight"]);
  const target = others.find(({ key }) => key === to);
  return (
    <p className={styles.copy}>
      <span>Copy its</span>
      {settings.map(({ property, label }) => (
        <Checkbox
          key={property}
          checked={chosen.includes(property)}
          onChange={({ target: box }) =>
            setChosen(box.checked ? [...chosen, property] : chosen.filter((one) => one !== property))
          }
        >
          {label}
        </Checkbox>
      ))}
      <span>to</span>
      <Choice
        aria-label="Copy to"
        className={styles.copyTo}
        value={to}
        onChange={setTo}
        placeholder="another style"
        options={others.map((one) => ({ value: one.key, label: nameOf(one) }))}
      />
      <button
        type="button"
        className="chip"
        disabled={!target || chosen.length === 0}
        onClick={() => target && onCopy(target, chosen)}
      >
        Show what changes
      </button>
    </p>
  );
}
