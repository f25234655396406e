"use client";

import { App } from "antd";
import { useState } from "react";
import { FileChooser } from "../shared/FileChooser";
import { Problem } from "../shared/Problem";
import { plural } from "../shared/numbers";
import { unwaited } from "../shared/unwaited";
import styles from "./Shelf.module.css";

/** The whole shelf out as one archive, and in again: for another browser, or to be kept. */
export function ShelfArchive() {
  const { message } = App.useApp();
  const [problem, setProblem] = useState<string | null>(null);
  const out = async () => {
    const [{ takeShelfOut }, { download }] = await Promise.all([import("@/store/archive"), import("@/store/write")]);
    download("hevret-shelf.zip", await takeShelfOut(new Date()), "application/zip");
  };
  const takeIn = async (file: File) => {
    setProblem(null);
    try {
      const { takeShelfIn } = await import("@/store/archive");
      const count = await takeShelfIn(file.name, new Uint8Array(await file.arrayBuffer()));
      message.success(`${plural(count, "site")} taken in.`);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <div className={styles.archive}>
      <p>
        <button type="button" className="text-button" onClick={() => unwaited(out())}>
          Take the whole shelf out
        </button>{" "}
        with history and versions, as one file.{" "}
        <FileChooser
          className="text-button"
          name="Shelf to take in"
          accept=".zip"
          onFiles={([file]) => unwaited(takeIn(file))}
        >
          Take a shelf in…
        </FileChooser>
      </p>
      <Problem>{problem}</Problem>
    </div>
  );
}
