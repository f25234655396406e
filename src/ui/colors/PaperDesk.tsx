"use client";

import { Checkbox, InputNumber } from "antd";
import { useMemo, useState } from "react";
import { useEngine } from "../workspace/context";
import { unwaited } from "../shared/unwaited";
import { usePlace } from "./usePlace";
import styles from "./Schemes.module.css";
import { SideBySide, useConditionsOf } from "./SideBySide";

const onPaper = { medium: "print", scheme: "light" } as const;

/** A sheet that a draft for paper is looked at in, before it is said where it goes. */
const apart = "drafted-for-paper.css";

/** How the site comes out on paper, and how it would with a draft for it. */
export function PaperDesk() {
  const engine = useEngine();
  const [size, setSize] = useState(11);
  const [addresses, setAddresses] = useState(true);
  const place = usePlace("print.css");
  const paper = useConditionsOf(onPaper);
  const sides = useMemo(
    () => [
      { title: "On paper, as it is", conditions: paper, view: (path: string) => engine.variant(path, [], paper) },
      {
        title: "On paper, drafted",
        conditions: paper,
        view: async (path: string) => {
          const { changes, files } = await engine.writePaper({ size, addresses, sheet: apart }, paper);
          return engine.variant(path, changes, paper, files);
        },
      },
    ],
    [engine, paper, size, addresses],
  );
  return (
    <div className={styles.desk}>
      <div className={styles.list}>
        <p>
          Ink on white, no grounds and no shadows; headings stay with what follows them; sizes in points, all in
          proportion to that of most of the text.
        </p>
        <form
          className={styles.writing}
          aria-label="How it is written"
          onSubmit={(event) => {
            event.preventDefault();
            const asked = engine.writePaper({ size, addresses, sheet: place.sheet }, paper);
            unwaited(place.propose("Write how it comes out on paper", asked, null));
          }}
        >
          <label className={styles.field}>
            <span>Most of the text</span>
            <InputNumber
              size="small"
              min={6}
              max={24}
              step={0.5}
              value={size}
              suffix="pt"
              aria-label="Size of most of the text in pt"
              onChange={(next) => typeof next === "number" && setSize(next)}
            />
          </label>
          <Checkbox checked={addresses} onChange={({ target }) => setAddresses(target.checked)}>
            Addresses behind links to other sites
          </Checkbox>
          {place.fields}
        </form>
      </div>
      <SideBySide sides={sides} />
    </div>
  );
}
