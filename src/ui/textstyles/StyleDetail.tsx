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

/** An open style: its places, its twin, and its settings for another. */
export function StyleDetail({ row, twin, all, onPropose }: Props) {
  const pick = usePick();
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  const [to, setTo] = useState<string | null>(null);
  const [chosen, setChosen] = useState<readonly Property[]>(["font-size", "line-height", "font-weight"]);
  const [problem, setProblem] = useState<string | null>(null);
  const name = (one: StyleRow) => `${one.selector}, ${showPx(one.sizePx)} px`;

  const valueOf = (from: StyleRow, property: Property, target: StyleRow): string => {
    if (property === "font-size") {
      const unit = unitOf(target.sizeFrom?.written ?? "") ?? "px";
      return sizeIn(from.sizePx, unit, { parent: target.parentPx, root: target.rootPx, width: conditions.width });
    }
    if (property === "line-height") return from.leading === null ? "normal" : String(Number(from.leading.toFixed(3)));
    if (property === "color") return from.color;
    return from.specimen.find(([one]) => one === property)?.[1] ?? "initial";
  };
  const copy = async (from: StyleRow, target: StyleRow, properties: readonly Property[]) => {
    const { edits, problem: why } = await engine.editsOn(
      [
        {
          ref: target.places[0]!,
          declarations: properties.map((property) => [property, valueOf(from, property, target)]),
        },
      ],
      conditions,
    );
    const result = await engine.combine(edits);
    setProblem(why ?? result.problem);
    if (why || result.problem) return;
    onPropose({ title: `${name(target)} set as ${name(from)}`, changes: result.changes, count: edits.length });
  };
  const target = all.find(({ key }) => key === to);
  return (
    <div className={styles.detail}>
      {twin && (
        <p>
          <b className="doubtful">◆ So like {name(twin)} that one would do.</b>{" "}
          <button
            type="button"
            className="text-button"
            onClick={() => unwaited(copy(twin, row, ["font-size", "line-height", "color"]))}
          >
            Set this one as {showPx(twin.sizePx)} px
          </button>{" "}
          <button
            type="button"
            className="text-button"
            onClick={() => unwaited(copy(row, twin, ["font-size", "line-height", "color"]))}
          >
            Set the other as {showPx(row.sizePx)} px
          </button>
        </p>
      )}
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
          size="small"
          aria-label="Copy to"
          className={styles.copyTo}
          value={to}
          onChange={setTo}
          placeholder="another style"
          options={all.filter(({ key }) => key !== row.key).map((one) => ({ value: one.key, label: name(one) }))}
          popupMatchSelectWidth={false}
        />
        <button
          type="button"
          className="chip"
          disabled={!target || chosen.length === 0}
          onClick={() => target && unwaited(copy(row, target, chosen))}
        >
          Show what changes
        </button>
      </p>
      <Problem>{problem}</Problem>
      <PlaceList className={styles.places} label="Places" places={row.places} most={24} onPick={pick} />
    </div>
  );
}
