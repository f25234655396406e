"use client";

import { InputNumber, Modal } from "antd";
import { useId, useState } from "react";
import { ValidationError } from "yup";
import type { Opened } from "@/store/read";
import { wordCount } from "@/store/schemas";
import { specimenSite } from "@/store/specimen";
import styles from "./Shelf.module.css";

interface Props {
  onClose(): void;
  onOpen(opened: Opened): void;
}

export function SpecimenDialog({ onClose, onOpen }: Props) {
  const id = useId();
  const [count, setCount] = useState<number | null>(200);
  const [problem, setProblem] = useState<string | null>(null);
  const make = () => {
    try {
      const words = wordCount.validateSync(count);
      onClose();
      onOpen(specimenSite(words));
    } catch (error) {
      if (!(error instanceof ValidationError)) throw error;
      setProblem(count === null ? "A number of words is missing." : error.message);
    }
  };
  return (
    <Modal open title="Specimen page" okText="Open" width={420} onCancel={onClose} onOk={make}>
      <label htmlFor={id} className={styles.label}>
        Words of filler text
      </label>
      <InputNumber id={id} value={count} onChange={setCount} onPressEnter={make} />
      {problem && (
        <p role="alert" className={styles.problem}>
          {problem}
        </p>
      )}
    </Modal>
  );
}
