"use client";

import { useEffect, useState, type ReactNode } from "react";
import { refKey, showRatio, type Compared, type Finding, type StoredFile, type StyleRow } from "@/core";
import { Swatch } from "../color/Swatch";
import { LineDifference } from "../shared/LineDifference";
import { plural, showPx } from "../shared/numbers";
import { Prose } from "../shared/Prose";
import { Sign } from "../shared/Sign";
import { unwaited } from "../shared/unwaited";
import { useEngine, useWorkspace } from "../workspace/context";
import { Specimen } from "../workspace/Specimen";
import { useExport } from "./waysOut";
import type { ChosenSide } from "./side";
import styles from "./Changes.module.css";

interface Props {
  before: ChosenSide;
  after: ChosenSide;
}

/** Files line by line, then text styles, colours and findings that one side alone has. */
export function Differences(props: Props) {
  const told = useCompared(props);
  if (!told)
    return (
      <p role="status" className={styles.lead}>
        Comparing…
      </p>
    );
  const { before, after } = told;
  const { files, styles: rows, colors, findings } = told.compared;
  return (
    <>
      {before.page === after.page && (
        <>
          <h2>{files.length === 0 ? "Nothing is changed." : `${plural(files.length, "file")} changed.`}</h2>
          {files.length === 0 && <p className={styles.lead}>What you edit shows up here, line by line.</p>}
          {files.map(({ path }) => (
            <FileDifference
              key={path}
              path={path}
              before={fileIn(before, path)}
              after={fileIn(after, path)}
              isNow={after.id === "now"}
            />
          ))}
        </>
      )}
      <Part title="Text styles" count={rows.changed.length + rows.gone.length + rows.come.length} kept={rows.kept}>
        {rows.changed.map(({ before: was, after: is }) => (
          <li key={is.key}>
            <Style row={was} sign="−" />
            <Style row={is} sign="+" />
          </li>
        ))}
        {rows.gone.map((row) => (
          <li key={row.key}>
            <Style row={row} sign="−" />
          </li>
        ))}
        {rows.come.map((row) => (
          <li key={row.key}>
            <Style row={row} sign="+" />
          </li>
        ))}
      </Part>
      <Part title="Colour values" count={colors.gone.length + colors.come.length} kept={colors.kept}>
        {(["gone", "come"] as const).flatMap((kind) =>
          colors[kind].map(({ value, css, words }) => (
            <li key={`${kind} ${value}`}>
              <Mark sign={kind === "gone" ? "−" : "+"} /> <Swatch css={css} /> <code>{value}</code> {words}
            </li>
          )),
        )}
      </Part>
      <Part
        title="Findings"
        count={findings.gone.length + findings.come.length}
        kept={findings.kept}
        // Versions are not laid out: what only shows then is in neither.
        which=" that the files alone tell"
      >
        {findings.come.map((finding, at) => (
          <Found key={`come ${at}`} finding={finding} sign="+" />
        ))}
        {findings.gone.map((finding, at) => (
          <Found key={`gone ${at}`} finding={finding} sign="−" />
        ))}
      </Part>
    </>
  );
}

/** What differs, with the sides it was told of: what was told before stays until it is reckoned anew. */
function useCompared({ before, after }: Props): (Props & { compared: Compared }) | null {
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  const [told, setTold] = useState<(Props & { compared: Compared }) | null>(null);
  useEffect(() => {
    let current = true;
    const sideOf = ({ way, page }: ChosenSide) => ({ ...way, page });
    unwaited(
      engine
        .compare(sideOf(before), sideOf(after), conditions)
        .then((answer) => current && answer && setTold({ before, after, compared: answer })),
    );
    return () => {
      current = false;
    };
  }, [engine, conditions, before, after]);
  return told;
}

const fileIn = ({ files }: ChosenSide, path: string): StoredFile | null =>
  files.find((file) => file.path === path) ?? null;

const textOf = (file: StoredFile | null): string => (file && file.kind !== "other" ? file.text : "");

function fileWords(before: StoredFile | null, after: StoredFile | null): string | null {
  if (!after) return "A file that is gone.";
  if (!before) return "A new file.";
  return after.kind === "other" ? "Another file of the same name." : null;
}

interface FileProps {
  path: string;
  before: StoredFile | null;
  after: StoredFile | null;
  isNow: boolean;
}

function FileDifference({ path, before, after, isNow }: FileProps) {
  const { saveFile } = useExport();
  const words = fileWords(before, after);
  return (
    <article aria-label={path}>
      <h3>
        <code>{path}</code>
        {isNow && after && (
          <button type="button" className="text-button" onClick={() => saveFile(path)}>
            Save this file
          </button>
        )}
      </h3>
      {words && <p>{words}</p>}
      {(before ?? after)!.kind !== "other" && <LineDifference before={textOf(before)} after={textOf(after)} />}
    </article>
  );
}

interface PartProps {
  title: string;
  count: number;
  kept: number;
  /** Which of them are told of, where it is not all. */
  which?: string;
  children: ReactNode;
}

function Part({ title, count, kept, which = "", children }: PartProps) {
  return (
    <section className={styles.part} aria-label={title}>
      <h2>{title}</h2>
      <p className={styles.lead}>
        {count === 0 ? `All ${kept}${which} are the same.` : `${count} differ, ${kept}${which} are the same.`}
      </p>
      <ul>{children}</ul>
    </section>
  );
}

const signWords = { "−": "before: ", "+": "after: " } as const;

function Mark({ sign }: { sign: keyof typeof signWords }) {
  return (
    <span className={styles.sign}>
      <span aria-hidden="true">{sign}</span>
      <span className="visually-hidden">{signWords[sign]}</span>
    </span>
  );
}

/** A text style as it looks, with its figures. */
function Style({ row, sign }: { row: StyleRow; sign: keyof typeof signWords }) {
  const { role, text, specimen, color, ground, range, sizePx, leading, weight, ratio, places } = row;
  return (
    <div className={styles.style}>
      <Mark sign={sign} />
      <span className={styles.figures}>
        <b>{role}</b> {showPx(sizePx)} px, leading {leading === null ? "normal" : showPx(leading)}, {weight},{" "}
        {showRatio(ratio)} to 1, {plural(places.length, "place")}
      </span>
      <Specimen
        className={styles.specimen}
        text={text}
        declarations={[...specimen, ["color", color]]}
        ground={range ?? ground}
      />
    </div>
  );
}

function Found({ finding, sign }: { finding: Finding; sign: keyof typeof signWords }) {
  const { level, message, path, line, places } = finding;
  return (
    <li>
      <Mark sign={sign} /> <Sign level={level} /> <Prose>{message}</Prose>{" "}
      <span className={styles.lead}>
        {path} line {line}
        {places.length > 1 && `, ${plural(new Set(places.map(refKey)).size, "place")}`}
      </span>
    </li>
  );
}
