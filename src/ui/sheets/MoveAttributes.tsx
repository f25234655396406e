"use client";

import { Input } from "antd";
import { useEffect, useState } from "react";
import type { AttributeGroup } from "@/core";
import { Dialog } from "../shared/Dialog";
import { plural } from "../shared/numbers";
import { unwaited } from "../shared/unwaited";
import { useEngine } from "../workspace/context";
import type { SheetsEdit } from "../workspace/useSheetProposal";
import styles from "./Sheets.module.css";

interface Props {
  page: string;
  sheet: string;
  onClose(): void;
  /** @returns why it cannot be done; null where it can */
  onEdit(edit: SheetsEdit): Promise<string | null>;
}

const howWords: Readonly<Record<AttributeGroup["how"], string>> = {
  rule: "a rule that reaches just these",
  apart: "tells them apart already",
  class: "a new class",
};

/** The style attributes of a page, equal ones together, each with the selector that its rule will have. */
export function MoveAttributes({ page, sheet, onClose, onEdit }: Props) {
  const engine = useEngine();
  const [groups, setGroups] = useState<readonly AttributeGroup[] | null>(null);
  const [selectors, setSelectors] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    unwaited(
      engine.attributeGroups(page, sheet).then((found) => {
        if (!found) return;
        setGroups(found);
        setSelectors(found.map(({ selector }) => selector));
      }),
    );
  }, [engine, page, sheet]);
  const propose = async () => {
    const why = await onEdit({ kind: "from-elements", page, sheet, selectors });
    setProblem(why);
    if (why === null) onClose();
  };
  return (
    <Dialog
      open
      width="42.5rem"
      title={`Style attributes of ${page} into ${sheet}`}
      okText="Look at it"
      cancelText="Cancel"
      okButtonProps={{ disabled: !groups?.length }}
      onOk={() => unwaited(propose())}
      onCancel={onClose}
    >
      {!groups && <p role="status">Looking for what tells these elements apart…</p>}
      <ul className={styles.groups}>
        {groups?.map(({ declarations, elements, first, how, selector }, at) => (
          <li key={declarations}>
            <code>{declarations}</code>
            <span className="quiet">
              on {plural(elements, "element")}, the first a <code>{first}</code>
            </span>
            <Input
              className="mono"
              aria-label={`Selector for ${declarations}`}
              spellCheck={false}
              value={selectors[at] ?? ""}
              onChange={({ target }) => setSelectors(selectors.map((one, own) => (own === at ? target.value : one)))}
              onPressEnter={() => unwaited(propose())}
            />
            <span className="quiet">{selectors[at] === selector ? howWords[how] : ""}</span>
          </li>
        ))}
      </ul>
      <p className="fails" role="alert">
        {problem}
      </p>
    </Dialog>
  );
}
