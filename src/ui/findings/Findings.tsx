"use client";

import { useMemo, useState } from "react";
import { findingGroups } from "@/core";
import { Choice } from "../shared/Choice";
import { SearchField } from "../shared/SearchField";
import { plural } from "../shared/numbers";
import { usePlace } from "../shared/place";
import { Reading, Space, View } from "../shared/View";
import { useWorkspace } from "../workspace/context";
import { knownFindings, type KnownFinding } from "../workspace/troubles";
import { FindingDetail } from "./FindingDetail";
import { FindingList } from "./FindingList";
import { everything, shownGroups, type Filter } from "./shown";
import styles from "./Findings.module.css";

/** The Findings view: everything wrong or doubtful on the whole site, by what it costs, and the way to set it right. */
export function Findings() {
  const summary = useWorkspace((state) => state.summary);
  const record = useWorkspace((state) => state.record);
  const { asked } = usePlace();
  const [filter, setFilter] = useState<Filter>({ ...everything, page: asked.get("page") ?? "" });
  const [chosen, setChosen] = useState<string | null>(asked.get("finding"));
  const all = useMemo(() => knownFindings({ summary, record }), [summary, record]);
  const groups = useMemo(() => shownGroups(all, filter), [all, filter]);
  if (!summary) return <Reading label="Findings" />;
  const rows = groups.flatMap(({ findings }) => findings);
  const current = rows.find(({ key }) => key === chosen) ?? rows[0] ?? null;
  /** Once a finding is gone, or left, the next one is chosen. */
  const next = () => {
    const at = rows.findIndex((one) => one === current);
    setChosen((rows[at + 1] ?? rows[at - 1])?.key ?? null);
  };
  return (
    <View label="Findings" bar={<Bar all={all} filter={filter} onFilter={setFilter} />} className={styles.view}>
      <div className={styles.list}>
        {record!.refused.length > 0 && <LeftOut refused={record!.refused} />}
        <FindingList groups={groups} chosen={current?.key ?? null} onChoose={setChosen} />
        {rows.length === 0 && (
          <p className={styles.none}>
            {all.length > 0
              ? "Nothing is like that."
              : "Nothing was found wrong or doubtful. What cannot be read, does nothing, is lost for some readers or could be tidier would stand here, with ways to set it right."}
          </p>
        )}
      </div>
      {current ? (
        <FindingDetail key={current.key} known={current} all={all} onDone={next} />
      ) : (
        <div className={styles.detail} />
      )}
    </View>
  );
}

/** How many pages are still to be looked at as they are laid out, or as some readers have them: what is found there comes then. */
function Unseen() {
  const pages = useWorkspace(({ survey, unstressed }) => Math.max(survey ? survey.of - survey.done : 0, unstressed));
  if (pages === 0) return null;
  return <span role="status">{plural(pages, "page")} still to be seen as readers have them.</span>;
}

interface BarProps {
  all: readonly KnownFinding[];
  filter: Filter;
  onFilter(filter: Filter): void;
}

function Bar({ all, filter, onFilter }: BarProps) {
  const summary = useWorkspace((state) => state.summary!);
  const open = all.filter(({ left }) => left === null);
  const count = (level: string) => open.filter(({ finding }) => finding.level === level).length;
  const left = all.length - open.length;
  const words = [
    count("error") > 0 && plural(count("error"), "error"),
    count("warning") > 0 && plural(count("warning"), "warning"),
    count("note") > 0 && plural(count("note"), "note"),
  ].filter(Boolean);
  const put = (part: Partial<Filter>) => onFilter({ ...filter, ...part });
  const select = (
    label: string,
    value: string,
    whole: string,
    values: readonly (readonly [value: string, label: string])[],
    set: (value: string) => void,
  ) => (
    <Choice
      aria-label={label}
      value={value}
      onChange={set}
      options={[{ value: "", label: whole }, ...values.map(([own, text]) => ({ value: own, label: text }))]}
    />
  );
  return (
    <>
      <b>
        {plural(open.length, "finding")} on {plural(summary.pages.length, "page")}.
      </b>
      <span>
        {words.join(", ")}
        {words.length > 0 && "."} {left > 0 && `${left} left as they are.`}
      </span>
      <Unseen />
      <Space />
      {select(
        "Group",
        filter.group,
        "All groups",
        findingGroups.map(({ id, title }) => [id, title]),
        (group) => put({ group: group as Filter["group"] }),
      )}
      {select(
        "Pages",
        filter.page,
        "All pages",
        summary.pages.map(({ path }) => [path, path]),
        (page) => put({ page }),
      )}
      {select(
        "Sheets",
        filter.sheet,
        "All sheets",
        summary.sheets.map((path) => [path, path]),
        (sheet) => put({ sheet }),
      )}
      <SearchField className={styles.search} value={filter.search} onChange={(search) => put({ search })} />
    </>
  );
}

/** Files that could not be taken in on opening. */
function LeftOut({ refused }: { refused: readonly { path: string; reason: string }[] }) {
  return (
    <details className={styles.refused}>
      <summary>{plural(refused.length, "file was", "files were")} left out on opening</summary>
      <ul>
        {refused.map(({ path, reason }) => (
          <li key={path}>
            <code>{path}</code> {reason}
          </li>
        ))}
      </ul>
    </details>
  );
}
