"use client";

import { useMemo } from "react";
import { Choice } from "../shared/Choice";
import { plural } from "../shared/numbers";
import { addressOf, goTo, Link, usePlace } from "../shared/place";
import { useBench } from "../workspace/bench";
import { useWorkspace } from "../workspace/context";
import { isAboutPage, troubles } from "../workspace/troubles";
import styles from "./PageBar.module.css";
import { mostWidths, nextWidth, type Look } from "./look";
import type { PanelName, Panels } from "./usePanels";
import { useTurns } from "./useTurns";
import { WidthField } from "./WidthField";
import { Rehearse } from "./Rehearse";
import { unwaited } from "../shared/unwaited";
import type { SiteSummary } from "@/engine/protocol";

interface Props {
  panels: Panels;
  onFold(panel: PanelName, folded: boolean): void;
  look: Look;
  onLook(more: Partial<Look>): void;
}

const panelNames: readonly PanelName[] = ["source", "slip"];

/** Over the page: which page, what it shares, what was found, and how it is looked at. */
export function PageBar({ panels, onFold, look, onLook }: Props) {
  const conditions = useWorkspace((state) => state.conditions);
  const setConditions = useWorkspace((state) => state.setConditions);
  const { set } = useBench();
  const hasPicked = useWorkspace((state) => state.picked?.page === state.page);
  return (
    <div className={styles.bar}>
      <PageChoice />
      {set ? (
        <>
          <span className={styles.share}>
            {set.heading} <code>{set.selector}</code>
          </span>
          <span className={styles.space} />
          <button type="button" className="chip" onClick={set.leave}>
            Back to the page
          </button>
        </>
      ) : (
        <>
          <Sharing />
          <FoundHere />
          <Reading />
          <Surveying />
          <span className={styles.space} />
        </>
      )}
      <Rehearse />
      <Choice
        aria-label="Colour scheme"
        value={conditions.scheme}
        onChange={(scheme) => unwaited(setConditions({ scheme }))}
        options={[
          { value: "light", label: "Light" },
          { value: "dark", label: "Dark" },
        ]}
      />
      {hasPicked && !set && (
        <button
          type="button"
          className={`text-button ${styles.glass}`}
          aria-pressed={look.glass}
          onClick={() => onLook({ glass: !look.glass })}
        >
          Glass <kbd>G</kbd>
        </button>
      )}
      <Widths look={look} onLook={onLook} onTrial={set !== null} />
      {panelNames
        .filter((name) => panels[name].folded)
        .map((name) => (
          <button key={name} type="button" className="chip" onClick={() => onFold(name, false)}>
            {name === "source" ? "↑ Source" : "← Slip"}
          </button>
        ))}
    </div>
  );
}

/** Which page is shown; the address follows. */
function PageChoice() {
  const page = useWorkspace((state) => state.page);
  const openPage = useWorkspace((state) => state.openPage);
  const files = useWorkspace((state) => state.files);
  const { path: here, asked } = usePlace();
  const pages = [...files.values()].filter(({ file }) => file.kind === "html").map(({ path }) => path);
  return (
    <Choice
      aria-label="Page"
      value={page}
      onChange={(path) => {
        unwaited(openPage(path));
        // Back leads to the one that was shown before.
        if (page && !asked.has("file")) goTo(addressOf(here, { file: page }), true);
        goTo(addressOf(here, { file: path }));
      }}
      options={pages.map((path) => ({ value: path, label: path }))}
    />
  );
}

/** The width of the page, and another beside it. */
function Widths({ look, onLook, onTrial }: Pick<Props, "look" | "onLook"> & { onTrial: boolean }) {
  const width = useWorkspace((state) => state.conditions.width);
  const turns = useTurns();
  return (
    <>
      <WidthField
        label="Page width in px"
        width={width}
        fits={look.width === null}
        turns={turns}
        canFit
        onWidth={(next) => onLook({ width: next })}
      />
      {!onTrial && look.beside.length + 1 < mostWidths && (
        <button
          type="button"
          className="chip"
          aria-label="See another width beside"
          onClick={() => onLook({ width, beside: [...look.beside, nextWidth([width, ...look.beside])] })}
        >
          +
        </button>
      )}
    </>
  );
}

function Sharing() {
  const summary = useWorkspace((state) => state.summary);
  const page = useWorkspace((state) => state.page);
  return summary && page && <span className={styles.share}>{sharingWords(summary, page)}</span>;
}

/** What a page has in common with others; nothing is said of a page that was not looked at yet. */
function sharingWords({ pages }: SiteSummary, page: string): string {
  const own = pages.find(({ path }) => path === page);
  if (!own) return "";
  const [main] = own.sheets;
  if (!main) return "no style sheet";
  const sharing = pages.filter(({ sheets }) => sheets.includes(main)).length;
  return `${plural(sharing, "page")} ${sharing === 1 ? "uses" : "share"} ${main}`;
}

/** How far the look under the texts of pages that are not shown is, and a way to stop it and go on. */
function Surveying() {
  const survey = useWorkspace((state) => state.survey);
  const pause = useWorkspace((state) => state.pauseSurvey);
  if (!survey) return null;
  const { done, of, paused } = survey;
  return (
    <span className={styles.progress}>
      <span>
        Seen {done} of {of} other pages
      </span>
      <button type="button" className="text-button" onClick={() => pause(!paused)}>
        {paused ? "Go on" : "Pause"}
      </button>
    </span>
  );
}

/** How far the look at all pages is, and a way to stop it and go on. */
function Reading() {
  const reading = useWorkspace((state) => state.reading);
  const pause = useWorkspace((state) => state.pauseReading);
  if (!reading) return null;
  const { done, of, paused } = reading;
  return (
    <span role="status" className={styles.progress}>
      <span>
        Reading page {done} of {of}
      </span>
      <button type="button" className="text-button" onClick={() => pause(!paused)}>
        {paused ? "Go on" : "Pause"}
      </button>
    </span>
  );
}

/** A step to what was found, with how much of it is about the page that is shown. */
function FoundHere() {
  const summary = useWorkspace((state) => state.summary);
  const record = useWorkspace((state) => state.record);
  const page = useWorkspace((state) => state.page);
  const count = useMemo(
    () =>
      page === null ? 0 : troubles({ summary, record }).filter(({ finding }) => isAboutPage(finding, page)).length,
    [summary, record, page],
  );
  if (!summary || count === 0) return null;
  return (
    <Link href={addressOf(`/site/${record!.id}/findings`, { page: page! })} className={`chip ${styles.doubt}`}>
      <span className={styles.count}>◆ {plural(count, "finding")}</span>
      <span className="visually-hidden"> about this page</span>
    </Link>
  );
}
