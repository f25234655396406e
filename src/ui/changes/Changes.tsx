"use client";

import { Segmented } from "antd";
import { useMemo, useState } from "react";
import type { StoredFile } from "@/core";
import { Choice } from "../shared/Choice";
import { showDate } from "../shared/numbers";
import { Space, View } from "../shared/View";
import { useWorkspace } from "../workspace/context";
import { WriteChanges, type Proposal } from "../workspace/WriteChanges";
import { FolderPart } from "./FolderPart";
import { Differences } from "./Differences";
import { KeepVersion } from "./KeepVersion";
import { PagesCompared } from "./PagesCompared";
import type { ChosenSide } from "./side";
import { VersionList } from "./VersionList";
import { filesNow, useVersionFiles, useVersions, wayTo, type VersionId } from "./versions";
import styles from "./Changes.module.css";

const parts = [
  { value: "differences", label: "Differences" },
  { value: "versions", label: "Versions" },
  { value: "folder", label: "Folder" },
];

/** What differs between two versions of the site, or between two of its pages; and the versions that are kept. */
export function Changes() {
  const files = useWorkspace((state) => state.files);
  const shown = useWorkspace((state) => state.page);
  const versions = useVersions();
  const [before, setBefore] = useState<VersionId>("opened");
  const [after, setAfter] = useState<VersionId>("now");
  const [chosenPage, setPage] = useState<string | null>(null);
  const [otherPage, setOther] = useState<string | null>(null);
  const [part, setPart] = useState("differences");
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const now = useMemo(() => filesNow(files), [files]);
  const page = chosenPage ?? shown ?? now.find(({ kind }) => kind === "html")?.path ?? null;
  const sides = {
    before: useChosen(before, now, otherPage === null ? null : page),
    after: useChosen(after, now, otherPage),
  };
  const options = [
    { value: "opened", label: "as it was opened" },
    { value: "now", label: "as it is now" },
    ...(versions ?? []).map(({ id, name, time }) => ({ value: id, label: name, title: `${name}, ${showDate(time)}` })),
  ];
  const pages = now.filter(({ kind }) => kind === "html").map(({ path }) => ({ value: path, label: path }));
  const goBack = async (title: string, then: Promise<Parameters<typeof wayTo>[0]>) => {
    setProposal({ title, ...wayTo(await then, now), counted: "change" });
  };
  return (
    <View
      label="Changes"
      className={styles.view ?? ""}
      bar={
        <>
          <label className={styles.choice}>
            Before
            <Choice size="middle" aria-label="Version before" value={before} options={options} onChange={setBefore} />
          </label>
          <label className={styles.choice}>
            After
            <Choice size="middle" aria-label="Version after" value={after} options={options} onChange={setAfter} />
          </label>
          <label className={styles.choice}>
            Page
            <Choice size="middle" aria-label="Page before" value={page} options={pages} onChange={setPage} />
          </label>
          <label className={styles.choice}>
            against
            <Choice
              size="middle"
              aria-label="Page after"
              value={otherPage ?? ""}
              options={[{ value: "", label: "the same page" }, ...pages.filter(({ value }) => value !== page)]}
              onChange={(value) => setOther(value || null)}
            />
          </label>
          <Space />
          <KeepVersion />
        </>
      }
    >
      <div className={styles.list}>
        <Segmented
          value={part}
          options={parts}
          onChange={(next) => setPart(String(next))}
          aria-label="What is told of the changes"
        />
        {part === "folder" && <FolderPart />}
        {part === "versions" && <VersionList versions={versions ?? []} onGoBack={goBack} onCompare={setBefore} />}
        {part === "differences" && sides.before && sides.after && (
          <Differences before={sides.before} after={sides.after} />
        )}
      </div>
      {page && sides.before && sides.after && (
        <PagesCompared before={{ ...sides.before, page }} after={{ ...sides.after, page: otherPage ?? page }} />
      )}
      <WriteChanges proposal={proposal} onClose={() => setProposal(null)} />
    </View>
  );
}

/** A version as a side of what is compared; null until it is read. */
function useChosen(id: VersionId, now: StoredFile[], page: string | null): ChosenSide | null {
  const kept = useVersionFiles(id);
  const files = id === "now" ? now : kept;
  const way = useMemo(() => files && wayTo(files, now), [files, now]);
  return useMemo(() => files && way && { id, files, way, page }, [id, files, way, page]);
}
