"use client";

import { Checkbox, InputNumber } from "antd";
import { useId, useState } from "react";
import { ValidationError } from "yup";
import type { Opened } from "@/store/read";
import { wordCount } from "@/store/schemas";
import { specimenParts, specimenSite, type SpecimenPart } from "@/store/specimen";
import { Dialog } from "../shared/Dialog";
import styles from "./Shelf.module.css";

interface Props {
  onClose(): void;
  onOpen(opened: Opened): void;
}

const labels: Readonly<Record<SpecimenPart, string>> = {
  headings: "Headings, each with a paragraph",
  text: "Running text with strong and stressed words",
  links: "Links, in a sentence and in a row",
  lists: "Lists",
  quotation: "A quotation",
  table: "A table",
  form: "A form",
};

const allLevels = [1, 2, 3, 4, 5, 6];

/** Asks what the specimen page is to have. */
export function SpecimenDialog({ onClose, onOpen }: Props) {
  const id = useId();
  const [count, setCount] = useState<number | null>(200);
  const [parts, setParts] = useState<readonly SpecimenPart[]>(specimenParts);
  const [levels, setLevels] = useState<readonly number[]>(allLevels);
  const [sheet, setSheet] = useState(true);
  const [problem, setProblem] = useState<string | null>(null);
  const make = () => {
    try {
      const words = wordCount.validateSync(count);
      if (parts.length === 0) return setProblem("Choose one part at least.");
      onClose();
      onOpen(specimenSite({ words, parts, levels, sheet }));
    } catch (error) {
      if (!(error instanceof ValidationError)) throw error;
      setProblem(count === null ? "A number of words is missing." : error.message);
    }
  };
  return (
    <Dialog open title="Specimen page" okText="Open" width="26.25rem" onCancel={onClose} onOk={make}>
      <div className={styles.form}>
        <label htmlFor={id} className={styles.label}>
          Words of filler text
        </label>
        <InputNumber id={id} value={count} onChange={setCount} onPressEnter={make} />
        <fieldset>
          <legend>What it has</legend>
          <Checkbox.Group
            className={styles.stack}
            options={specimenParts.map((value) => ({ value, label: labels[value] }))}
            value={[...parts]}
            onChange={(values) => setParts(values)}
          />
        </fieldset>
        {parts.includes("headings") && (
          <fieldset>
            <legend>Levels of headings</legend>
            <Checkbox.Group
              options={allLevels.map((value) => ({ value, label: `h${value}` }))}
              value={[...levels]}
              onChange={(values) => setLevels(values)}
            />
          </fieldset>
        )}
        <Checkbox checked={sheet} onChange={({ target }) => setSheet(target.checked)}>
          A style sheet of its own, linked
        </Checkbox>
        {problem && (
          <p role="alert" className={styles.problem}>
            {problem}
          </p>
        )}
      </div>
    </Dialog>
  );
}
