"use client";

import { Input } from "antd";
import { useId, useState } from "react";
import { readPasted, type Opened } from "@/store/read";
import { Dialog } from "../shared/Dialog";
import styles from "./Shelf.module.css";

interface Props {
  onClose(): void;
  onOpen(opened: Opened): void;
}

export function PasteDialog({ onClose, onOpen }: Props) {
  const id = useId();
  const [html, setHtml] = useState("");
  const [css, setCss] = useState("");
  return (
    <Dialog
      open
      title="Paste a page"
      okText="Open"
      width="40rem"
      onCancel={onClose}
      okButtonProps={{ disabled: html.trim() === "" }}
      onOk={() => {
        onClose();
        onOpen(readPasted(html, css));
      }}
    >
      <label htmlFor={`${id}-html`} className={styles.label}>
        HTML
      </label>
      <Input.TextArea
        id={`${id}-html`}
        rows={8}
        className="mono"
        spellCheck={false}
        value={html}
        onChange={(event) => setHtml(event.target.value)}
      />
      <label htmlFor={`${id}-css`} className={styles.label}>
        CSS
      </label>
      <Input.TextArea
        id={`${id}-css`}
        rows={8}
        className="mono"
        spellCheck={false}
        value={css}
        onChange={(event) => setCss(event.target.value)}
      />
    </Dialog>
  );
}
