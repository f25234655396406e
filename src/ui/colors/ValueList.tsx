"use client";

import { InputNumber } from "antd";
import { Fragment, useMemo, useState } from "react";
import { joinColors, twinsIn, type PaletteValue, type Twins } from "@/core";
import { Choice } from "../shared/Choice";
import { Swatch } from "../color/Swatch";
import { plural, showDistance } from "../shared/numbers";
import type { Proposal } from "../workspace/WriteChanges";
import { useGradual } from "../shared/useGradual";
import styles from "./Colors.module.css";

interface Props {
  values: readonly PaletteValue[];
  current: string | null;
  selected: ReadonlySet<string>;
  /** Colours no further apart than this are twins; OKLab. */
  within: number;
  onCurrent(value: string): void;
  onSelected(values: ReadonlySet<string>): void;
  onWithin(within: number): void;
  onPropose(proposal: Proposal): void;
}

const orders = [
  { value: "use", label: "Most used first" },
  { value: "hue", label: "By hue" },
  { value: "lightness", label: "By lightness" },
] as const;

type Order = (typeof orders)[number]["value"];

const greyBelow = 0.02;

function sorted(values: readonly PaletteValue[], order: Order): PaletteValue[] {
  const keys: Record<Order, (one: PaletteValue) => number> = {
    use: () => 0,
    // Greys have no hue worth the name: they come last, by lightness.
    hue: ({ hue, chroma, lightness }) => {
      if (hue === null) return 3000;
      return chroma! < greyBelow ? 1000 + lightness! * 100 : hue;
    },
    lightness: ({ lightness }) => lightness ?? 2,
  };
  return [...values].sort((a, b) => keys[order](a) - keys[order](b));
}

const filters = [
  { value: "", label: "All values" },
  { value: "failing", label: "Those that fail" },
  ...["ink", "ground", "edge", "line", "shadow", "named"].map((role) => ({
    value: `role ${role}`,
    label: role === "named" ? "In custom properties" : `Used as ${role}`,
  })),
];

/** Every colour value as it is written; spellings of one colour stand together, twins are offered for joining. */
export function ValueList({ values, current, selected, within, onCurrent, onSelected, onWithin, onPropose }: Props) {
  const [order, setOrder] = useState<Order>("use");
  const [filter, setFilter] = useState("");
  const shown = useMemo(
    () =>
      together(
        sorted(
          values.filter((value) => isChosen(value, filter)),
          order,
        ),
      ),
    [values, order, filter],
  );
  const twins = useMemo(() => twinsIn(values, within), [values, within]);
  const beside = useMemo(() => twinsBeside(twins, shown), [twins, shown]);
  const { shown: rows, end } = useGradual(shown);

  const toggle = (value: string) => {
    const next = new Set(selected);
    if (!next.delete(value)) next.add(value);
    onSelected(next);
  };
  return (
    <section className={styles.values} aria-label="Values">
      <Tools {...{ values, order, filter, within, onWithin }} onOrder={setOrder} onFilter={setFilter} />
      <ul>
        {rows.map((value, at) => {
          const before = shown[at - 1];
          const same = before?.css != null && before.css === value.css;
          return (
            <Fragment key={value.value}>
              <ValueLine
                value={value}
                same={same}
                isCurrent={value.value === current}
                isSelected={selected.has(value.value)}
                onCurrent={() => onCurrent(value.value)}
                onSelect={() => toggle(value.value)}
              />
              {same && <SameColor a={before!} b={value} onPropose={onPropose} />}
              <TwinLines pairs={beside.get(value.value) ?? []} values={values} onPropose={onPropose} />
            </Fragment>
          );
        })}
        {end}
      </ul>
      {shown.length === 0 && (
        <p className={styles.none}>
          {values.length > 0
            ? "No value is like that."
            : "Every colour that the sheets write stands here, with what it is used for. None is written yet: pick a text on the page, and give it an ink or a ground."}
        </p>
      )}
    </section>
  );
}

function isChosen({ failing, roles, notation }: PaletteValue, filter: string): boolean {
  if (filter === "failing") return failing;
  if (filter.startsWith("role ")) return roles.includes(filter.slice(5) as PaletteValue["roles"][number]);
  return !filter.startsWith("in ") || notation === filter.slice(3);
}

interface ToolsProps extends Pick<Props, "values" | "within" | "onWithin"> {
  order: Order;
  filter: string;
  onOrder(order: Order): void;
  onFilter(filter: string): void;
}

/** In which order values stand, which of them, and what counts as twins. */
function Tools({ values, order, filter, within, onOrder, onFilter, onWithin }: ToolsProps) {
  const notations = [...new Set(values.map(({ notation }) => notation))].sort();
  return (
    <div className={styles.tools}>
      <Choice aria-label="Order" value={order} options={[...orders]} onChange={onOrder} />
      <Choice
        aria-label="Show"
        value={filter}
        onChange={onFilter}
        options={[
          ...filters,
          ...notations.map((notation) => ({ value: `in ${notation}`, label: `Written in ${notation}` })),
        ]}
      />
      <label>
        Twins within ΔE OK{" "}
        <InputNumber
          size="small"
          aria-label="Twins within"
          min={0}
          max={0.2}
          step={0.005}
          value={within}
          onChange={(next) => typeof next === "number" && onWithin(next)}
          className={styles.within}
        />
      </label>
    </div>
  );
}

interface ValueLineProps {
  value: PaletteValue;
  /** Whether it is the colour of the one before it in another spelling. */
  same: boolean;
  isCurrent: boolean;
  isSelected: boolean;
  onCurrent(): void;
  onSelect(): void;
}

function ValueLine({ value: { value, css, words, failing, places }, same, ...line }: ValueLineProps) {
  const { isCurrent, isSelected, onCurrent, onSelect } = line;
  return (
    <li className={isCurrent ? `${styles.value} ${styles.currentValue}` : styles.value}>
      <label className={styles.select}>
        <input type="checkbox" aria-label={`Select ${value}`} checked={isSelected} onChange={onSelect} />
      </label>
      <button type="button" onClick={onCurrent} aria-current={isCurrent || undefined}>
        <Swatch css={css} size={1.875} />
        <code>{value}</code>
        <span className={styles.words}>
          {same && <em>the same colour, </em>}
          {words}
        </span>
        {failing && (
          <span className="fails">
            ▲<span className="visually-hidden"> fails somewhere</span>
          </span>
        )}
        <b>{places}</b>
      </button>
    </li>
  );
}

/** Spellings of one colour stand behind the first of them. */
function together(values: readonly PaletteValue[]): PaletteValue[] {
  const groups = new Map<string, PaletteValue[]>();
  for (const value of values) {
    const key = value.css ?? `as written ${value.value}`;
    groups.set(key, [...(groups.get(key) ?? []), value]);
  }
  return [...groups.values()].flat();
}

/** A pair of twins is told once, under the lower of the two that are shown. */
function twinsBeside(twins: readonly Twins[], shown: readonly PaletteValue[]): Map<string, Twins[]> {
  const order = new Map(shown.map(({ value }, at) => [value, at]));
  const beside = new Map<string, Twins[]>();
  for (const pair of twins) {
    const [a, b] = [order.get(pair.a), order.get(pair.b)];
    if (a === undefined || b === undefined) continue;
    const lower = a > b ? pair.a : pair.b;
    beside.set(lower, [...(beside.get(lower) ?? []), pair]);
  }
  return beside;
}

function proposeJoin(from: PaletteValue, into: PaletteValue, onPropose: (proposal: Proposal) => void): void {
  const changes = joinColors(from.uses, into.value);
  onPropose({
    title: `Write ${into.value} for ${from.value}`,
    label: `Join ${from.value} with ${into.value}`,
    changes,
  });
}

function SameColor({ a, b, onPropose }: { a: PaletteValue; b: PaletteValue; onPropose(proposal: Proposal): void }) {
  return (
    <li className={styles.same}>
      One colour in two spellings.{" "}
      <button type="button" className="text-button" onClick={() => proposeJoin(b, a, onPropose)}>
        Write {a.value} for both
      </button>
    </li>
  );
}

/** Twins told under one value; the others are counted. */
const mostTwins = 3;

/** The nearest twins of a value among those above it. */
function TwinLines({ pairs, ...rest }: Omit<Parameters<typeof TwinLine>[0], "pair"> & { pairs: readonly Twins[] }) {
  const more = pairs.length - mostTwins;
  return (
    <>
      {pairs.slice(0, mostTwins).map((pair) => (
        <TwinLine key={`${pair.a} ${pair.b}`} pair={pair} {...rest} />
      ))}
      {more > 0 && <li className={styles.twins}>◆ {plural(more, "other value")} above can hardly be told from it.</li>}
    </>
  );
}

function TwinLine({
  pair,
  values,
  onPropose,
}: {
  pair: Twins;
  values: readonly PaletteValue[];
  onPropose(proposal: Proposal): void;
}) {
  const a = values.find(({ value }) => value === pair.a)!;
  const b = values.find(({ value }) => value === pair.b)!;
  return (
    <li className={styles.twins}>
      <span>
        ◆ {pair.a} and {pair.b} can hardly be told apart ({showDistance(pair.distance)}).
      </span>
      <button type="button" className="text-button" onClick={() => proposeJoin(b, a, onPropose)}>
        Use {pair.a} for both
      </button>
      <button type="button" className="text-button" onClick={() => proposeJoin(a, b, onPropose)}>
        Use {pair.b} for both
      </button>
    </li>
  );
}
