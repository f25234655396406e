"use client";

import { Button, Input } from "antd";
import { useId, useMemo, useState } from "react";
import { groupBy, type OutlinePart, type OutlineRule, type SheetTableRow } from "@/core";
import { plural } from "../shared/numbers";
import { unwaited } from "../shared/unwaited";
import { useGradual } from "../shared/useGradual";
import { useAnswer } from "../workspace/answers";
import { useWorkspace } from "../workspace/context";
import { FindingLine } from "../workspace/FindingLine";
import { findingsIn, type KnownFinding } from "../workspace/troubles";
import { usePick } from "../workspace/usePick";
import { useSeeSource } from "../workspace/useSeeSource";
import type { SheetsEdit } from "../workspace/useSheetProposal";
import { Links } from "./Links";
import { RuleMenu } from "./RuleMenu";
import styles from "./Sheets.module.css";

interface Props {
  row: SheetTableRow;
  /** Of the whole site, as the row's cells go. */
  pages: readonly string[];
  /** @returns why it cannot be done; null where it can */
  onEdit(edit: SheetsEdit): Promise<string | null>;
}

/** A sheet: its rules in order under their comments, what each sets, how many places it has and what was found. */
export function SheetDetail({ row, pages: all, onEdit }: Props) {
  const { path, cells } = row;
  const parts = useAnswer("outline", path);
  const found = useFoundByLine(path);
  const see = useSeeSource();
  const pages = cells.filter((cell) => cell !== null).length;
  const { chosen, choose } = useChosenRules(parts);
  return (
    <section className={styles.detail} aria-label="Sheet">
      <div className={styles.head}>
        <h2 className="mono">{path}</h2>
        <span>{plural(pages, "page")}</span>
        <span className={styles.space} />
        <Links row={row} pages={all} onEdit={onEdit} />
        <Rename path={path} onEdit={onEdit} />
        <Button onClick={() => see(path, 1, 1)}>Open the source</Button>
      </div>
      {chosen.length > 0 && (
        <p className={styles.gathering}>
          <span>{plural(chosen.length, "rule")} chosen.</span>
          <Button
            size="small"
            disabled={chosen.length < 2}
            onClick={() => unwaited(onEdit({ kind: "gather-rules", path, starts: chosen }))}
          >
            Declare once what they have alike…
          </Button>
        </p>
      )}
      {!parts && <p role="status">Reading the rules…</p>}
      {parts?.length === 0 && (
        <p className={styles.none}>
          No rule stands here yet. Pick a text on the page and write to this sheet, or open the source and type.
        </p>
      )}
      {parts?.map(({ heading, rules }, at) => (
        <Part
          key={at}
          heading={heading}
          rules={rules}
          path={path}
          found={found}
          chosen={chosen}
          onChoose={choose}
          onEdit={onEdit}
        />
      ))}
    </section>
  );
}

interface PartProps extends Omit<RuleProps, "rule"> {
  heading: string | null;
  rules: readonly OutlineRule[];
}

function Part({ heading, rules, ...rest }: PartProps) {
  const { shown, end } = useGradual(rules);
  return (
    <div className={styles.part}>
      <h2>{heading ?? "No comment stands over these"}</h2>
      <ol>
        {shown.map((rule) => (
          <Rule key={rule.start} rule={rule} {...rest} />
        ))}
        {end}
      </ol>
    </div>
  );
}

/** What was found in a file that costs somebody something, by its lines. */
function useFoundByLine(path: string): ReadonlyMap<number, readonly KnownFinding[]> {
  const summary = useWorkspace((state) => state.summary);
  const record = useWorkspace((state) => state.record);
  return useMemo(() => {
    const own = findingsIn(path, { summary, record }).filter(({ finding }) => finding.level !== "note");
    return groupBy(own, ({ finding }) => finding.line);
  }, [summary, record, path]);
}

interface RuleProps {
  rule: OutlineRule;
  path: string;
  found: ReadonlyMap<number, readonly KnownFinding[]>;
  /** Starts of the rules that are chosen. */
  chosen: readonly number[];
  onChoose(start: number, isChosen: boolean): void;
  onEdit: Props["onEdit"];
}

function Rule({ rule, path, found, chosen, onChoose, onEdit }: RuleProps) {
  const see = useSeeSource();
  const pick = usePick();
  const { selector, start, line, lastLine, properties, under, places, first } = rule;
  const lines = Array.from({ length: lastLine - line + 1 }, (_, at) => line + at);
  const own = lines.flatMap((at) => found.get(at) ?? []);
  return (
    <li className={styles.rule}>
      <button type="button" className={`text-button mono ${styles.line}`} onClick={() => see(path, line, 1)}>
        <span className="visually-hidden">line </span>
        {line}
      </button>
      <div>
        {under.length > 0 && <small className="mono">{under.join(" ")}</small>}
        <code>{selector}</code>
        <small className="mono">{properties.join(" · ")}</small>
        {own.map((known) => (
          <div key={known.key} className={styles.found}>
            <FindingLine known={known} />
          </div>
        ))}
      </div>
      {first ? (
        <button type="button" className="text-button" onClick={() => pick(first)}>
          {plural(places, "place")}
        </button>
      ) : (
        <span className="doubtful">◆ nowhere</span>
      )}
      <RuleMenu
        rule={rule}
        path={path}
        isChosen={chosen.includes(start)}
        onChoose={(isChosen) => onChoose(start, isChosen)}
        onEdit={onEdit}
      />
    </li>
  );
}

/** The rules that are chosen to be gathered, as long as they are there. */
function useChosenRules(parts: readonly OutlinePart[] | null) {
  const [starts, setStarts] = useState<readonly number[]>([]);
  const known = new Set(parts?.flatMap(({ rules }) => rules.map(({ start }) => start)));
  const chosen = starts.filter((start) => known.has(start));
  const choose = (start: number, isChosen: boolean) =>
    setStarts(isChosen ? [...chosen, start] : chosen.filter((one) => one !== start));
  return { chosen, choose };
}

function Rename({ path, onEdit }: { path: string } & Pick<Props, "onEdit">) {
  const [name, setName] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const field = useId();
  if (name === null) return <Button onClick={() => setName(path)}>Rename…</Button>;
  const propose = async () => {
    const why = await onEdit({ kind: "rename", sheet: path, to: name });
    setProblem(why);
    if (why === null) setName(null);
  };
  return (
    <span className={styles.renaming}>
      <label htmlFor={field} className="visually-hidden">
        New name
      </label>
      <Input
        id={field}
        autoFocus
        value={name}
        aria-invalid={problem !== null}
        aria-describedby={`${field}-why`}
        onChange={({ target }) => setName(target.value)}
        onKeyDown={(event) => {
          if (event.key === "Enter") unwaited(propose());
          if (event.key === "Escape") setName(null);
        }}
      />
      <Button disabled={name.trim() === "" || name === path} onClick={() => unwaited(propose())}>
        Look at it
      </Button>
      <span id={`${field}-why`} className="fails" role="alert">
        {problem}
      </span>
    </span>
  );
}
