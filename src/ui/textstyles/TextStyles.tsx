"use client";

import { useMemo, useState } from "react";
import { contradictions, type Snapped, type StyleRow } from "@/core";
import { Choice } from "../shared/Choice";
import { SearchField } from "../shared/SearchField";
import { plural, showPx } from "../shared/numbers";
import { Reading, Space, View } from "../shared/View";
import { WriteChanges, type Proposal } from "../workspace/WriteChanges";
import { useStyleTable } from "../workspace/answers";
import { useWorkspace } from "../workspace/context";
import { Scale } from "./Scale";
import { SizeChart } from "./SizeChart";
import { StyleRows } from "./StyleRows";
import styles from "./TextStyles.module.css";

type Tool = "scale" | "chart";

/** Which text styles are shown. */
interface Chosen {
  page: string;
  show: string;
  search: string;
}

/** The Text styles view: every text style at true size on its true ground, largest first, tied to a size axis. */
export function TextStyles() {
  const rows = useStyleTable();
  const own = useWorkspace((state) => state.ownFamilies);
  const [chosen, setChosen] = useState<Chosen>({ page: "", show: "", search: "" });
  const [open, setOpen] = useState<string | null>(null);
  const [tool, setTool] = useState<Tool | null>(null);
  const [preview, setPreview] = useState<ReadonlyMap<string, Snapped>>(none);
  const [steps, setSteps] = useState<readonly number[]>([]);
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const shown = useMemo(() => (rows ?? []).filter((row) => fits(row, chosen)), [rows, chosen]);
  if (!rows) return <Reading label="Text styles" />;
  const odd = contradictions(rows);
  return (
    <View label="Text styles" bar={<Bar rows={rows} {...{ chosen, tool }} onChoose={setChosen} onTool={setTool} />}>
      <div className={styles.body}>
        {tool === "scale" && <Scale rows={shown} onPreview={setPreview} onSteps={setSteps} onPropose={setProposal} />}
        {tool === "chart" && <SizeChart rows={shown} />}
        {odd.map(({ level, px, above, abovePx }) => (
          <p key={level} className={styles.odd}>
            ◆ A heading of level {level} is set at {showPx(px)} px, larger than one of level {above} at{" "}
            {showPx(abovePx)} px: their order of size contradicts their order of level.
          </p>
        ))}
        <StyleRows
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

interface BarProps {
  rows: readonly StyleRow[];
  chosen: Chosen;
  onChoose(chosen: Chosen): void;
  tool: Tool | null;
  onTool(tool: Tool | null): void;
}

function Bar({ rows, chosen, onChoose, tool, onTool }: BarProps) {
  const pages = useWorkspace((state) => state.summary?.pages);
  const twins = rows.filter(({ twin }) => twin !== null).length;
  return (
    <>
      <b>{plural(rows.length, "text style")} set the whole site.</b>
      <span>Largest first, each in its own ink on its own ground, at true size.</span>
      <Space />
      <SearchField
        className={styles.search}
        value={chosen.search}
        onChange={(search) => onChoose({ ...chosen, search })}
      />
      <Choice
        aria-label="Pages"
        value={chosen.page}
        onChange={(page) => onChoose({ ...chosen, page })}
        options={[
          { value: "", label: "All pages" },
          ...(pages ?? []).map(({ path }) => ({ value: path, label: path })),
        ]}
      />
      <Choice
        aria-label="Show"
        value={chosen.show}
        onChange={(show) => onChoose({ ...chosen, show })}
        options={[
          { value: "", label: "All styles" },
          { value: "failing", label: "Those that fail" },
          { value: "headings", label: "Headings" },
          { value: "twins", label: `Near twins (${twins})` },
        ]}
      />
      {tools.map(({ id, label }) => (
        <button
          key={id}
          type="button"
          className="chip"
          aria-pressed={tool === id}
          onClick={() => onTool(tool === id ? null : id)}
        >
          {label}
        </button>
      ))}
    </>
  );
}

const tools: readonly { id: Tool; label: string }[] = [
  { id: "scale", label: "Line up steps" },
  { id: "chart", label: "Over widths" },
];

const none: ReadonlyMap<string, Snapped> = new Map();

function fits(row: StyleRow, { page, show, search }: Chosen): boolean {
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
