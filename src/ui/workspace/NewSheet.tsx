"use client";

import { Checkbox, Input, Radio } from "antd";
import { useId, useState } from "react";
import type { SheetEdit } from "@/core";
import { Dialog } from "../shared/Dialog";
import { unwaited } from "../shared/unwaited";
import styles from "./NewSheet.module.css";

interface Props {
  pages: readonly string[];
  /** Those that are to link to it at first; all by default. */
  first?: readonly string[];
  onCancel(): void;
  /** @returns why it cannot be done; null where it can */
  onEdit(edit: SheetEdit): Promise<string | null>;
}

/** Asks how a new sheet is called, and which pages get it. */
export function NewSheet({ pages, first: asked = pages, onCancel, onEdit }: Props) {
  const [name, setName] = useState("styles.css");
  const [chosen, setChosen] = useState<readonly string[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const field = useId();
  const linked = chosen ?? asked;
  const [first, setFirst] = useState(false);
  const propose = async () => {
    const why = await onEdit({ kind: "new", sheet: name, pages: pages.filter((page) => linked.includes(page)), first });
    setProblem(why);
  };
  return (
    <Dialog
      open
      title="A new style sheet"
      okText="Look at it"
      cancelText="Cancel"
      onOk={() => unwaited(propose())}
      onCancel={onCancel}
    >
      <div className={styles.form}>
        <label htmlFor={field}>Name, with its folder</label>
        <Input
          id={field}
          value={name}
          aria-invalid={problem !== null}
          aria-describedby={`${field}-why`}
          onChange={({ target }) => setName(target.value)}
          onPressEnter={() => unwaited(propose())}
        />
        <p id={`${field}-why`} className="fails" role="alert">
          {problem}
        </p>
        <LinkedPages pages={pages} linked={linked} onChoose={setChosen} />
        <Radio.Group
          aria-label="Where they read it"
          value={first}
          onChange={({ target }) => setFirst(target.value === true)}
          options={[
            { value: false, label: "behind their other sheets, so that it wins a tie" },
            { value: true, label: "before them" },
          ]}
        />
      </div>
    </Dialog>
  );
}

interface LinkedPagesProps {
  pages: readonly string[];
  linked: readonly string[];
  onChoose(linked: readonly string[]): void;
}

/** Which pages link to it: all at once, or one by one. */
function LinkedPages({ pages, linked, onChoose }: LinkedPagesProps) {
  return (
    <fieldset>
      <legend>Pages that link to it</legend>
      <Checkbox
        checked={linked.length === pages.length}
        indeterminate={linked.length > 0 && linked.length < pages.length}
        onChange={({ target }) => onChoose(target.checked ? pages : [])}
      >
        All pages
      </Checkbox>
      <Checkbox.Group
        className={styles.pages}
        options={[...pages]}
        value={[...linked]}
        onChange={(values) => onChoose(values)}
      />
    </fieldset>
  );
}
