"use client";

import { App, Button, Input } from "antd";
import { useState } from "react";
import { keepVersion } from "@/store/versions";
import { Dialog } from "../shared/Dialog";
import { Problem } from "../shared/Problem";
import { showDate } from "../shared/numbers";
import { unwaited } from "../shared/unwaited";
import { useWorkspaceStore } from "../workspace/context";
import { filesNow } from "./versions";
import styles from "./Changes.module.css";

/** Keeps the site as it is now under a name. */
export function KeepVersion() {
  const store = useWorkspaceStore();
  const { message } = App.useApp();
  const [name, setName] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const keep = async () => {
    const { record, files } = store.getState();
    try {
      await keepVersion(record!.id, name ?? "", filesNow(files));
      message.success("The version is kept with the site.");
      setName(null);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <>
      <Button
        onClick={() => {
          setProblem(null);
          setName(showDate(Date.now()));
        }}
      >
        Keep this version…
      </Button>
      <Dialog
        open={name !== null}
        title="Keep the site as it is now"
        okText="Keep"
        cancelText="Cancel"
        onCancel={() => setName(null)}
        onOk={() => unwaited(keep())}
        destroyOnHidden
      >
        <label className={styles.field}>
          Under this name
          <Input
            autoFocus
            aria-label="Name of the version"
            maxLength={200}
            value={name ?? ""}
            status={problem ? "error" : ""}
            onChange={({ target }) => setName(target.value)}
            onPressEnter={() => unwaited(keep())}
          />
        </label>
        <Problem>{problem}</Problem>
      </Dialog>
    </>
  );
}
