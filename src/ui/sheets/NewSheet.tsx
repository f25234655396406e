"use client";

import { Checkbox, Input, Modal } from "antd";
import { useId, useState } from "react";
import type { SheetEdit } from "@/core";
import { unwaited } from "../shared/unwaited";
import styles from "./Sheets.module.css";

interface Props {
  pages: readonly string[];
  onClose(): void;
  /** @returns why it cannot be done; null where it can */
  onEdit(edit: SheetEdit): Promise<string | null>;
}

/** Asks how a new sheet is called, and which pages get it. */
export function NewSheet({ pages, onClose, onEdit }: Props) {
  const [name, setName] = useState("styles.css");
  const [chosen, setChosen] = useState<readonly string[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const field = useId();
  const linked = chosen ?? pages;
  const propose = async () => {
    const why = await onEdit({ kind: "new", sheet: name, pages: pages.filter((page) => linked.includes(page)) });
    setProblem(why);
    if (why === null) onClose();
  };
  return (
    <Modal
      open
      title="A new style sheet"
      okText="Look at it"
      cancelText="Cancel"
      onOk={() => unwaited(propose())}
      onCancel={onClose}
    >
      <div className={styles.form}>
        <label htmlFor={field}>Name, with its folder</label>
        <Input
          id={field}
          autoFocus
          value={name}
          aria-invalid={problem !== null}
          aria-describedby={`${field}-why`}
          onChange={({ target }) => setName(target.value)}
          onPressEnter={() => unwaited(propose())}
        />
        <p id={`${field}-why`} className="fails" role="alert">
          {problem}
        </p>
        <fieldset>
          <legend>Pages that link to it, behind their other sheets</legend>
          <Checkbox
            checked={linked.length === pages.length}
            indeterminate={linked.length > 0 && linked.length < pages.length}
            onChange={({ target }) => setChosen(target.checked ? pages : [])}
          >
            All pages
          </Checkbox>
          <Checkbox.Group
            className={styles.pages}
            options={[...pages]}
            value={[...linked]}
            onChange={(values) => setChosen(values)}
          />
        </fieldset>
      </div>
    </Modal>
  );
}
