"use client";

import { Input } from "antd";
import { useState } from "react";
import type { SiteRecord } from "@/store/database";
import { renameSite } from "@/store/sites";
import { Dialog } from "../shared/Dialog";
import { unwaited } from "../shared/unwaited";
import styles from "./Shelf.module.css";

export function RenameDialog({ site, onClose }: { site: SiteRecord; onClose(): void }) {
  const [name, setName] = useState(site.name);
  const [problem, setProblem] = useState<string | null>(null);
  const rename = async () => {
    try {
      await renameSite(site.id, name);
      onClose();
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <Dialog
      open
      title="Rename the site"
      okText="Rename"
      onOk={() => unwaited(rename())}
      onCancel={onClose}
      width="26.25rem"
    >
      <label>
        Name
        <Input value={name} onChange={(event) => setName(event.target.value)} onPressEnter={() => unwaited(rename())} />
      </label>
      {problem && (
        <p role="alert" className={styles.problem}>
          {problem}
        </p>
      )}
    </Dialog>
  );
}
