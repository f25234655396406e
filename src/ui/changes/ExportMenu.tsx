"use client";

import { Dropdown } from "antd";
import { reportGroups } from "@/core";
import { isChanged } from "@/store/write";
import { MatButton } from "../shared/Mat";
import { useAnswer } from "../workspace/answers";
import { useWorkspace } from "../workspace/context";
import { unwaited } from "../shared/unwaited";
import styles from "./ExportMenu.module.css";
import { useExport } from "./waysOut";

export function ExportMenu() {
  const files = useWorkspace((state) => state.files);
  const gone = useWorkspace((state) => state.gone);
  const record = useWorkspace((state) => state.record);
  const { saveZip, saveFile, saveBack, saveReport, saveDiff, saveWords } = useExport();
  const reports = useAnswer("reports") ?? [];
  const changed = [...files.values()].filter(isChanged);
  const none = changed.length + gone.size === 0;
  const groups = [
    {
      title: "The files",
      items: [
        way(
          "changed",
          `Changed files as zip (${changed.length})`,
          "What was edited, under its own names",
          saveZip,
          changed.length === 0,
        ),
        way("all", "Whole site as zip", "Every file as it is now", saveZip),
        ...(record?.folder
          ? [way("folder", `Write back into ${record.folder.name}`, "Over the files it was opened from", saveBack)]
          : []),
      ],
    },
    {
      title: "What was changed",
      items: [
        way("diff", "Changes as a unified diff, for git apply", "Line by line, for a repository", saveDiff, none),
        way("words", "Changes in words, for a message", "What was, what is, and how many places", saveWords, none),
      ],
    },
    ...reportGroups.map(({ id: group, title }) => ({
      title,
      items: reports
        .filter((report) => report.group === group)
        .map(({ id, label, hint }) => way(id, label, hint, () => saveReport(id, label))),
    })),
    { title: "Single files", items: changed.map(({ path }) => way(path, path, null, saveFile)) },
  ];
  const items = groups
    .filter((group) => group.items.length > 0)
    .map((group) => ({ type: "group" as const, key: group.title, label: group.title, children: group.items }));
  return (
    <Dropdown
      trigger={["click"]}
      placement="bottomRight"
      menu={{ items, className: styles.menu ?? "" }}
      destroyOnHidden
    >
      <MatButton filled>Export</MatButton>
    </Dropdown>
  );
}

/** One way out, with a word on what it is good for. */
function way<Key extends string>(
  key: Key,
  label: string,
  hint: string | null,
  take: (key: Key) => unknown,
  disabled = false,
) {
  return {
    key,
    disabled,
    label: (
      <>
        {label}
        {hint !== null && <small>{hint}</small>}
      </>
    ),
    onClick: () => unwaited(Promise.resolve(take(key))),
  };
}
