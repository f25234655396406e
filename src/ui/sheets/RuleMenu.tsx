"use client";

import { Checkbox, Input } from "antd";
import { useId, useState } from "react";
import type { OutlineRule, RuleEdit } from "@/core";
import { Dialog } from "../shared/Dialog";
import { Menu } from "../shared/Menu";
import { unwaited } from "../shared/unwaited";
import type { SheetsEdit } from "../workspace/useSheetProposal";
import styles from "./Sheets.module.css";

interface Props {
  rule: OutlineRule;
  path: string;
  isChosen: boolean;
  onChoose(isChosen: boolean): void;
  /** @returns why it cannot be done; null where it can */
  onEdit(edit: SheetsEdit): Promise<string | null>;
}

type Asking = "copy" | "selectors" | "properties";

/** What can be done with a rule by hand. */
export function RuleMenu({ rule, path, isChosen, onChoose, onEdit }: Props) {
  const [asking, setAsking] = useState<Asking | null>(null);
  const { selector, selectors, properties, start } = rule;
  return (
    <>
      <Menu
        group="rule-menu"
        name={`What can be done with ${selector}`}
        className={styles.more}
        summary="…"
        label={`Rule ${selector}`}
      >
        <button type="button" onClick={() => setAsking("copy")}>
          The same for another selector…
        </button>
        {selectors.length > 1 && (
          <button type="button" onClick={() => setAsking("selectors")}>
            Split by selector…
          </button>
        )}
        {properties.length > 1 && (
          <button type="button" onClick={() => setAsking("properties")}>
            Split by property…
          </button>
        )}
        <button type="button" onClick={() => unwaited(onEdit({ kind: "move-rule", path, start, by: -1 }))}>
          Put it before the one above
        </button>
        <button type="button" onClick={() => unwaited(onEdit({ kind: "move-rule", path, start, by: 1 }))}>
          Put it behind the one below
        </button>
        <button type="button" aria-pressed={isChosen} onClick={() => onChoose(!isChosen)}>
          {isChosen ? "Choose it no more" : "Choose it, to gather with others"}
        </button>
      </Menu>
      {asking && <RuleDialog rule={rule} path={path} asking={asking} onClose={() => setAsking(null)} onEdit={onEdit} />}
    </>
  );
}

const titles: Readonly<Record<Asking, string>> = {
  copy: "The same for another selector",
  selectors: "Split by selector",
  properties: "Split by property",
};

interface DialogProps extends Pick<Props, "rule" | "path" | "onEdit"> {
  asking: Asking;
  onClose(): void;
}

/** Asks for the selector of the copy, or for what goes into a rule of its own. */
function RuleDialog({ rule, path, asking, onClose, onEdit }: DialogProps) {
  const { selector, selectors, properties, start } = rule;
  const [typed, setTyped] = useState(selector);
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const field = useId();
  const all = asking === "selectors" ? selectors : properties;
  const edits: Readonly<Record<Asking, () => RuleEdit>> = {
    copy: () => ({ kind: "copy-rule", path, start, selectors: typed }),
    selectors: () => ({
      kind: "split-selectors",
      path,
      start,
      selectors: selectors.flatMap((one, at) => (chosen.includes(one) ? [at] : [])),
    }),
    properties: () => ({ kind: "split-properties", path, start, properties: chosen }),
  };
  const propose = async () => {
    const why = await onEdit(edits[asking]());
    setProblem(why);
    if (why === null) onClose();
  };
  return (
    <Dialog
      open
      title={`${titles[asking]}: ${selector}`}
      okText="Look at it"
      cancelText="Cancel"
      onOk={() => unwaited(propose())}
      onCancel={onClose}
    >
      {asking === "copy" ? (
        <>
          <label htmlFor={field}>Selectors of the new rule</label>
          <Input
            id={field}
            className="mono"
            spellCheck={false}
            value={typed}
            onChange={({ target }) => setTyped(target.value)}
            onPressEnter={() => unwaited(propose())}
          />
        </>
      ) : (
        <fieldset className={styles.choices}>
          <legend>What goes into a rule of its own</legend>
          <Checkbox.Group
            options={all.map((value) => ({ value, label: <code>{value}</code> }))}
            value={[...chosen]}
            onChange={(values) => setChosen(values)}
          />
        </fieldset>
      )}
      <p className="fails" role="alert">
        {problem}
      </p>
    </Dialog>
  );
}
