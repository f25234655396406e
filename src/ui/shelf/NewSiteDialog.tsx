"use client";

import { Input } from "antd";
import { useId, useState } from "react";
import { ValidationError } from "yup";
import { newSite, type NewSite } from "@/store/newSite";
import type { Opened } from "@/store/read";
import { Dialog } from "../shared/Dialog";
import styles from "./Shelf.module.css";

interface Props {
  onClose(): void;
  onOpen(opened: Opened): void;
}

const fields: readonly { name: keyof NewSite; label: string }[] = [
  { name: "name", label: "Name of the site" },
  { name: "page", label: "Its page" },
  { name: "sheet", label: "Its style sheet, linked; empty for none" },
  { name: "language", label: "Language of the page" },
];

/** Asks how a site from scratch and its files are called. */
export function NewSiteDialog({ onClose, onOpen }: Props) {
  const id = useId();
  const [asked, setAsked] = useState<NewSite>({
    name: "New site",
    page: "index.html",
    sheet: "css/style.css",
    language: "en",
  });
  const [problem, setProblem] = useState<{ field: string; words: string } | null>(null);
  const make = () => {
    try {
      const opened = newSite(asked);
      onClose();
      onOpen(opened);
    } catch (error) {
      if (!(error instanceof ValidationError)) throw error;
      setProblem({ field: error.path ?? "", words: error.message });
    }
  };
  return (
    <Dialog open title="A new site" okText="Open" width="26.25rem" onCancel={onClose} onOk={make}>
      <div className={styles.form}>
        {fields.map(({ name, label }) => (
          <div key={name}>
            <label htmlFor={`${id}-${name}`} className={styles.label}>
              {label}
            </label>
            <Input
              id={`${id}-${name}`}
              spellCheck={false}
              value={asked[name]}
              aria-invalid={problem?.field === name}
              onChange={({ target }) => setAsked({ ...asked, [name]: target.value })}
              onPressEnter={make}
            />
            {problem?.field === name && (
              <p role="alert" className={styles.problem}>
                {problem.words}
              </p>
            )}
          </div>
        ))}
      </div>
    </Dialog>
  );
}
