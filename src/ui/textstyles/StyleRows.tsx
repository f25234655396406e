"use client";

import { useLayoutEffect, useRef, useState, type RefObject } from "react";
import { showRatio, stackMembers, type Snapped, type StyleRow } from "@/core";
import { memberHere } from "@/preview/present";
import { plural, showNumber, showPx } from "../shared/numbers";
import { useGradual } from "../shared/useGradual";
import { Specimen } from "../workspace/Specimen";
import type { Proposal } from "../workspace/WriteChanges";
import { SizeAxis } from "./SizeAxis";
import { StyleDetail } from "./StyleDetail";
import styles from "./TextStyles.module.css";

interface Props {
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

/** The axis shows the sizes where there is room for it. */
const columns = ["As set", "Size", "Leading", "Weight", "Face in use", "Contrast", "Longest line", "Where"];

/** Text styles, each a row that opens. */
export function StyleRows({ rows: whole, all, own, open, onOpen, preview, steps, onPropose }: Props) {
  const { shown: rows, end } = useGradual(whole, "div");
  const list = useRef<HTMLDivElement>(null);
  const { centres, height } = useCentres(list, rows, open, preview);
  return (
    <div className={styles.table}>
      <SizeAxis
        sizes={rows.map((row) => preview.get(row.key)?.sizePx ?? row.sizePx)}
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
          const twin = row.twin ? (all.find(({ key }) => key === row.twin) ?? null) : null;
          const isOpen = row.key === open;
          return (
            <div key={row.key} role="rowgroup" className={isOpen ? `${styles.entry} ${styles.open}` : styles.entry}>
              <Row
                row={row}
                twin={twin}
                own={own}
                tried={preview.get(row.key) ?? null}
                isOpen={isOpen}
                onOpen={() => onOpen(isOpen ? null : row.key)}
              />
              {isOpen && (
                <div role="row">
                  <div role="cell" aria-colspan={columns.length}>
                    <StyleDetail row={row} twin={twin} all={all} onPropose={onPropose} />
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

/** Where rows have their middle, from the top of their list, and how high it is, CSS px; measured anew when they are others. */
function useCentres(
  list: RefObject<HTMLDivElement | null>,
  rows: Props["rows"],
  open: Props["open"],
  preview: Props["preview"],
) {
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
  }, [list, rows, open, preview]);
  return { centres, height };
}

interface RowProps {
  row: StyleRow;
  twin: StyleRow | null;
  own: readonly string[];
  tried: Snapped | null;
  isOpen: boolean;
  onOpen(): void;
}

function Row({ row, twin, own, tried, isOpen, onOpen }: RowProps) {
  const members = stackMembers(row.stack) ?? [];
  const here = memberHere(members, own);
  const { sizePx, leading } = tried ?? row;
  const declarations = tried ? row.specimen.map((one) => triedIn(one, sizePx, leading)) : row.specimen;
  return (
    <div
      data-row
      className={styles.row}
      role="row"
      tabIndex={0}
      aria-expanded={isOpen}
      aria-label={`${row.role}, ${showPx(sizePx)} px, ${plural(row.places.length, "place")}`}
      onClick={onOpen}
      onKeyDown={(event) => {
        if (event.target !== event.currentTarget || (event.key !== "Enter" && event.key !== " ")) return;
        event.preventDefault();
        onOpen();
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
        {showPx(sizePx)} px
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
  );
}

const oneLine = [
  ["white-space", "nowrap"],
  ["overflow", "hidden"],
] as const;

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

/** A declaration of a specimen with the size and leading that are tried. @param leading null leaves it */
function triedIn(
  [name, value]: readonly [string, string],
  sizePx: number,
  leading: number | null,
): readonly [string, string] {
  if (name === "font-size") return [name, `${sizePx}px`];
  return [name, name === "line-height" && leading !== null ? String(leading) : value];
}
