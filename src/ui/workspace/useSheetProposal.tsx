"use client";

import { useState } from "react";
import type { RuleEdit, SheetEdit } from "@/core";
import { unwaited } from "../shared/unwaited";
import { useEngine } from "./context";
import { Proof } from "./Proof";
import type { Proposal } from "./WriteChanges";

export type SheetsEdit = SheetEdit | RuleEdit;

interface SheetProposal extends Proposal {
  /** The sheet that is chosen once it is written; null where there is none. */
  sheet: string | null;
}

/** What is done to sheets and their rules: planned, ready to be looked at; the reason where it cannot be done. */
export function useSheetProposal() {
  const engine = useEngine();
  const [proposal, setProposal] = useState<SheetProposal | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const propose = async (edit: SheetsEdit): Promise<string | null> => {
    const { changes, files, problem: why } = await engine.planSheets(edit);
    // Who types something is told beside it.
    setProblem(isTyped(edit) ? null : why);
    if (why === null)
      setProposal({
        title: titleOf(edit),
        changes,
        files,
        counted: "change",
        sheet: sheetAfter(edit),
        proof: <Proof changes={changes} files={files} />,
      });
    return why;
  };
  return {
    proposal,
    problem,
    propose: (edit: SheetsEdit) => unwaitedWhy(propose(edit)),
    close: () => setProposal(null),
  };
}

/** The reason, for who waits for it; a failure is told to nobody else. */
function unwaitedWhy(why: Promise<string | null>): Promise<string | null> {
  unwaited(why);
  return why;
}

const typed: readonly SheetsEdit["kind"][] = [
  "new",
  "rename",
  "use",
  "from-elements",
  "copy-rule",
  "split-selectors",
  "split-properties",
];
const isTyped = ({ kind }: SheetsEdit): boolean => typed.includes(kind);

function sheetAfter(edit: SheetsEdit): string | null {
  if (edit.kind === "rename") return edit.to;
  if (edit.kind === "delete") return null;
  return "sheet" in edit ? edit.sheet : edit.path;
}

const onPages = (pages: readonly string[]): string => (pages.length === 1 ? pages[0]! : `${pages.length} pages`);

function titleOf(edit: SheetsEdit): string {
  switch (edit.kind) {
    case "link":
      return `Link ${onPages(edit.pages)} to ${edit.sheet}`;
    case "unlink":
      return `Take ${edit.sheet} off ${onPages(edit.pages)}`;
    case "move":
      return `Read ${edit.sheet} ${edit.by < 0 ? "earlier" : "later"} on ${onPages(edit.pages)}`;
    case "use":
      return `For whom ${edit.sheet} is, on ${onPages(edit.pages)}`;
    case "new":
      return `Make ${edit.sheet}`;
    case "rename":
      return `Rename ${edit.sheet} to ${edit.to}`;
    case "from-head":
      return `Move the rules in the head of ${edit.page} into ${edit.sheet}`;
    case "to-head":
      return `Move ${edit.sheet} into the head of ${edit.page}`;
    case "from-elements":
      return `Move the style attributes of ${edit.page} into ${edit.sheet}`;
    case "delete":
      return `Delete ${edit.sheet}`;
    case "split-selectors":
    case "split-properties":
      return "Split the rule in two";
    case "copy-rule":
      return `The same for ${edit.selectors}`;
    case "move-rule":
      return `Put the rule ${edit.by < 0 ? "earlier" : "later"}`;
    case "gather-rules":
      return "Declare once what the rules have alike";
  }
}
