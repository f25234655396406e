"use client";

import { Input } from "antd";
import { useLayoutEffect, useMemo, useRef, useState } from "react";
import { contradictions, showRatio, stackMembers, type Snapped, type StyleRow } from "@/core";
import { memberHere } from "@/preview/present";
import { Choice } from "../shared/Choice";
import { plural, showNumber, showPx } from "../shared/numbers";
import { useRem } from "../shared/rem";
import { Specimen } from "../workspace/Specimen";
import { Reading, Space, View } from "../shared/View";
import { WriteChanges, type Proposal } from "../workspace/WriteChanges";
import { useStyleTable } from "../workspace/answers";
import { useWorkspace } from "../workspace/context";
import { Scale } from "./Scale";
import { SizeChart } from "./SizeChart";
import { StyleDetail } from "./StyleDetail";
import { useGradual } from "../shared/useGradual";
import styles from "./TextStyles.module.css";

/** The Text styles view: every text style at true size on its true ground, largest first, tied to a size axis. */
export function TextStyles() {
  const rows = useStyleTable();
  const own = useWorkspace((state) => state.ownFamilies);
  const [page, setPage] = useState("");
  const [show, setShow] = useState("");
  const [search, setSearch] = useState("");
  const [open, setOpen] = useState<string | null>(null);
  const [tool, setTool] = useState<"scale" | "chart" | null>(null);
  const [preview, setPreview] = useState<ReadonlyMap<string, Snapped>>(none);
  const [steps, setSteps] = useState<readonly number[]>([]);
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const pages = useWorkspace((state) => state.summary?.pages);
  const shown = useMemo(() => (rows ?? []).filter((row) => fits(row, page, show, search)), [rows, page, show, search]);
  if (!rows) return <Reading label="Text styles" />;
  const twins = rows.filter(({ twin }) => twin !== null).length;
  const odd = contradictions(rows);
  return (
    <View
      label="Text styles"
      bar={
        <>
          <b>{plural(rows.length, "text style")} set the whole site.</b>
          <span>Largest first, each in its own ink on its own ground, at true size.</span>
          <Space />
          <Input
            size="small"
            aria-label="Search"
            placeholder="Search"
            className={styles.search}
            value={search}
            onChange={({ target }) => setSearch(target.value)}
            allowClear
          />
          <Choice
            size="small"
            aria-label="Pages"
            value={page}
            onChange={setPage}
            popupMatchSelectWidth={false}
            options={[
              { value: "", label: "All pages" },
              ...(pages ?? []).map(({ path }) => ({ value: path, label: path })),
            ]}
          />
          <Choice
            size="small"
            aria-label="Show"
            value={show}
            onChange={setShow}
            popupMatchSelectWidth={false}
            options={[
              { value: "", label: "All styles" },
              { value: "failing", label: "Those that fail" },
              { value: "headings", label: "Headings" },
              { value: "twins", label: `Near twins (${twins})` },
            ]}
          />
          <button
            type="button"
            className="chip"
            aria-pressed={tool === "scale"}
            onClick={() => setTool(tool === "scale" ? null : "scale")}
          >
            Line up steps
          </button>
          <button
            type="button"
            className="chip"
            aria-pressed={tool === "chart"}
            onClick={() => setTool(tool === "chart" ? null : "chart")}
          >
            Over widths
          </button>
        </>
      }
    >
      <div className={styles.body}>
        {tool === "scale" && <Scale rows={shown} onPreview={setPreview} onSteps={setSteps} onPropose={setProposal} />}
        {tool === "chart" && <SizeChart rows={shown} />}
        {odd.map(({ level, px, above, abovePx }) => (
          <p key={level} className={styles.odd}>
            ◆ A heading of level {level} is set at {showPx(px)} px, larger than one of level {above} at{" "}
            {showPx(abovePx)} px: their order of size contradicts their order of level.
          </p>
        ))}
        <Table
          rows={shown}
          all={rows}
          own={own}
          open={open}
          onOpen={setOpen}
          preview={tool === "scale" ? preview : none}
          steps={tool === "scale" ? steps : []}
          onPropose={setProposal}
        />
        {shown.length === 0 && (
          <p className={styles.odd}>
            {rows.length > 0
              ? "No text style is like that."
              : "Every look that text has on a page stands here once, largest first, at its true size. The pages of this site show no text yet."}
          </p>
        )}
      </div>
      <WriteChanges proposal={proposal} onClose={() => setProposal(null)} />
    </View>
  );
}

const oneLine = [
  ["white-space", "nowrap"],
  ["overflow", "hidden"],
] as const;
const none: ReadonlyMap<string, Snapped> = new Map();

/** Whether the other scheme has to be told of: what is the same there is told already. */
const isWorseInOther = ({ verdict, ratio, inOther }: StyleRow) =>
  inOther !== null && inOther.verdict !== "passes" && (verdict === "passes" || inOther.ratio < ratio - 0.05);

/** How it is read in the other scheme, where that is not enough. */
function InOther({
  row,
  inOther: { scheme, ratio, verdict },
}: {
  row: StyleRow;
  inOther: StyleRow["inOther"] & object;
}) {
  return (
    <b className={verdict === "fails" ? "fails" : "doubtful"}>
      {verdict === "fails" ? "▲" : "◆"} {showRatio(ratio)} of {row.needs},{" "}
      {scheme === "dark" ? "in the dark" : "in light"}
    </b>
  );
}

function fits(row: StyleRow, page: string, show: string, search: string): boolean {
  if (page && !row.pages.includes(page)) return false;
  const fails = row.verdict !== "passes" || (row.inOther !== null && row.inOther.verdict !== "passes");
  if (show === "failing" && !fails) return false;
  if (show === "headings" && row.level === null) return false;
  if (show === "twins" && row.twin === null) return false;
  const words = search.trim().toLowerCase();
  return (
    words === "" ||
    [row.role, row.selector, row.text, row.stack, `${row.sizePx}`].some((text) => text.toLowerCase().includes(words))
  );
}

interface TableProps {
  rows: readonly StyleRow[];
  all: readonly StyleRow[];
  own: readonly string[];
  open: string | null;
  onOpen(key: string | null): void;
  /** What is tried, by key. */
  preview: ReadonlyMap<string, Snapped>;
  steps: readonly number[];
  onPropose(proposal: Proposal): void;
}

function Table({ rows: whole, all, own, open, onOpen, preview, steps, onPropose }: TableProps) {
  const { shown: rows, end } = useGradual(whole, "div");
  const list = useRef<HTMLDivElement>(null);
  const [centres, setCentres] = useState<readonly number[]>([]);
  const [height, setHeight] = useState(0);
  useLayoutEffect(() => {
    const measure = () => {
      const top = list.current!.getBoundingClientRect().top;
      const next = [...list.current!.querySelectorAll<HTMLElement>("[data-row]")].map((node) => {
        const box = node.getBoundingClientRect();
        return box.top - top + box.height / 2;
      });
      setCentres(next);
      setHeight(list.current!.scrollHeight);
    };
    const observer = new ResizeObserver(measure);
    observer.observe(list.current!);
    for (const node of list.current!.querySelectorAll("[data-row]")) observer.observe(node);
    return () => observer.disconnect();
  }, [rows, open, preview]);
  const sizeOf = (row: StyleRow) => preview.get(row.key)?.sizePx ?? row.sizePx;
  return (
    <div className={styles.table}>
      <Axis
        sizes={rows.map(sizeOf)}
        odd={rows.map(({ twin }) => twin !== null)}
        centres={centres}
        height={height}
        steps={steps}
      />
      <div className={styles.rows} ref={list} role="table" aria-label="Text styles">
        <div className={styles.head} role="row">
          {columns.map((name) => (
            <span key={name} role="columnheader" className={name === "Size" ? styles.size : undefined}>
              {name}
            </span>
          ))}
        </div>
        {rows.map((row) => {
          const members = stackMembers(row.stack) ?? [];
          const here = memberHere(members, own);
          const twin = row.twin ? all.find(({ key }) => key === row.twin) : null;
          const tried = preview.get(row.key);
          const leading = tried ? tried.leading : row.leading;
          const declarations = tried ? row.specimen.map((one) => triedIn(one, tried.sizePx, leading)) : row.specimen;
          return (
            <div
              key={row.key}
              role="rowgroup"
              className={row.key === open ? `${styles.entry} ${styles.open}` : styles.entry}
            >
              <div
                data-row
                className={styles.row}
                role="row"
                tabIndex={0}
                aria-expanded={row.key === open}
                aria-label={`${row.role}, ${showPx(sizeOf(row))} px, ${plural(row.places.length, "place")}`}
                onClick={() => onOpen(row.key === open ? null : row.key)}
                onKeyDown={(event) => {
                  if (event.target !== event.currentTarget || (event.key !== "Enter" && event.key !== " ")) return;
                  event.preventDefault();
                  onOpen(row.key === open ? null : row.key);
                }}
              >
                <span role="cell">
                  <Specimen
                    className={styles.sample}
                    text={row.text}
                    declarations={[...declarations, ["color", row.ink], ...oneLine]}
                    ground={row.range ?? row.ground}
                  />
                </span>
                <span role="cell" className={styles.size}>
                  {showPx(sizeOf(row))} px
                </span>
                <span role="cell">{leading === null ? "normal" : showNumber(leading, 2)}</span>
                <span role="cell">{row.weight}</span>
                <span role="cell">{here === null ? "standard" : members[here]!.name}</span>
                <span role="cell">
                  {row.verdict === "passes" ? (
                    showRatio(row.ratio)
                  ) : (
                    <b className={row.verdict === "fails" ? "fails" : "doubtful"}>
                      {row.verdict === "fails" ? "▲" : "◆"} {showRatio(row.ratio)} of {row.needs}
                    </b>
                  )}
                  {isWorseInOther(row) && <InOther row={row} inOther={row.inOther!} />}
                  {twin && <b className="doubtful">◆ twin of {showPx(twin.sizePx)}</b>}
                </span>
                <span role="cell">{row.longest === null ? "not laid out" : `${row.longest} ch`}</span>
                <span role="cell" className={styles.where}>
                  {row.selector} · {plural(row.places.length, "place")}
                </span>
              </div>
              {row.key === open && (
                <div role="row">
                  <div role="cell" aria-colspan={columns.length}>
                    <StyleDetail row={row} twin={twin ?? null} all={all} onPropose={onPropose} />
                  </div>
                </div>
              )}
            </div>
          );
        })}
        {end}
      </div>
    </div>
  );
}

/** The axis shows the sizes where there is room for it. */
const columns = ["As set", "Size", "Leading", "Weight", "Face in use", "Contrast", "Longest line", "Where"];

/** Where the axis stands, and how wide it is with its ties, rem. */
const axisAt = 2.5;
const axisWidth = 7.375;
const apart = 0.9375;

/** The sizes on a scale of their own, each tied to the rows that have it. */
function Axis({
  sizes,
  odd,
  centres,
  height,
  steps,
}: {
  sizes: readonly number[];
  odd: readonly boolean[];
  centres: readonly number[];
  height: number;
  steps: readonly number[];
}) {
  const rem = useRem();
  if (centres.length !== sizes.length || sizes.length === 0) return <div className={styles.axis} />;
  const [axisX, gutter, unit] = [rem(axisAt), rem(axisWidth), rem(1 / 16)];
  const top = centres[0]!;
  const bottom = centres[centres.length - 1]!;
  // A size of nothing has no place on the axis: it stands at its end.
  const seen = sizes.filter((size) => size > 0);
  const [largest, smallest] = [Math.max(...seen, 0.01), Math.min(...seen, Infinity)];
  const place = (size: number) => {
    if (size <= 0) return bottom;
    if (largest <= smallest) return (top + bottom) / 2;
    return top + ((Math.log(largest) - Math.log(size)) / (Math.log(largest) - Math.log(smallest))) * (bottom - top);
  };
  // The scale gives way to the rows, so that no tie has to go far.
  const between = (size: number) => {
    const own = centres.filter((_, at) => sizes[at] === size);
    return place(size) * 0.25 + (own.reduce((sum, y) => sum + y, 0) / own.length) * 0.75;
  };
  // Labels that would lie on each other are moved down; the lines still start where the size is.
  const labels: { size: number; y: number; odd: boolean }[] = [];
  for (const size of [...new Set(sizes)].sort((a, b) => b - a)) {
    const y = Math.max(between(size), (labels.at(-1)?.y ?? -Infinity) + rem(apart));
    labels.push({ size, y, odd: sizes.every((other, at) => other !== size || odd[at]) });
  }
  return (
    <svg
      className={styles.axis}
      width={gutter}
      height={Math.max(height, (labels.at(-1)?.y ?? 0) + 20 * unit)}
      aria-hidden="true"
    >
      <text x={10 * unit} y={20 * unit}>
        px
      </text>
      <line x1={axisX} x2={axisX} y1={30 * unit} y2={height - 8} />
      {labels
        .filter(({ size }) => steps.some((step) => Math.abs(step - size) < 0.005))
        .map(({ size, y }) => (
          <circle key={size} className={styles.step} cx={axisX} cy={y} r={3.5} />
        ))}
      {labels.map(({ size, y, odd: isOdd }) => (
        <text
          key={size}
          x={axisX - 8 * unit}
          y={y + 4 * unit}
          textAnchor="end"
          className={isOdd ? styles.oddLabel : undefined}
        >
          {showNumber(size, 1)}
        </text>
      ))}
      {sizes.map((size, at) => {
        const from = labels.find((label) => label.size === size)!.y;
        return (
          <path
            key={at}
            className={odd[at] ? styles.oddTie : styles.tie}
            d={`M${axisX},${from} H${axisX + 10 * unit} C${axisX + 45 * unit},${from} ${axisX + 45 * unit},${centres[at]} ${gutter},${centres[at]}`}
          />
        );
      })}
    </svg>
  );
}

/** A declaration of a specimen with the size and leading that are tried. @param leading null leaves it */
function triedIn(
  [name, value]: readonly [string, string],
  sizePx: number,
  leading: number | null,
): readonly [string, string] {
  if (name === "font-size") return [name, `${sizePx}px`];
  return [name, name === "line-height" && leading !== null ? String(leading) : value];
}
