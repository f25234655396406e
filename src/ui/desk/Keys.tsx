"use client";

import { useEffect, useState } from "react";
import { Dialog } from "../shared/Dialog";
import { MatButton } from "../shared/Mat";
import styles from "./Keys.module.css";
import { isTyping } from "../shared/isTyping";

/** What keys do, by where they do it. */
const places: readonly { where: string; keys: readonly (readonly [keys: string, does: string])[] }[] = [
  {
    where: "Everywhere",
    keys: [
      ["Ctrl Z", "Undo"],
      ["Ctrl Shift Z, Ctrl Y", "Redo"],
      ["?", "This list"],
    ],
  },
  {
    where: "On the page",
    keys: [
      ["↓ ↑", "The next text, the one before"],
      ["← →", "To the parent, and back"],
      ["Shift ← →", "Pick words; with Alt, where they begin"],
      ["Page ↓, Page ↑", "Scroll"],
      ["U", "Take the styles off, put them on"],
      ["T", "A page that is drawn smaller at its true size, and back"],
      ["G", "A glass over the picked text, and away"],
      ["Esc", "Pick nothing"],
    ],
  },
  {
    where: "In a value of the slip",
    keys: [
      ["↑ ↓", "Step a number by 1; with Shift by 10, with Alt by 0.1"],
      ["Enter", "Write it"],
      ["Esc", "Put it back"],
    ],
  },
  {
    where: "On trial",
    keys: [
      ["↓ ↑", "Choose a candidate"],
      ["Enter", "Write it"],
      ["Delete", "Drop it"],
      ["Esc", "Back to the page"],
    ],
  },
  {
    where: "Ruler",
    keys: [["← →", "The page wider or narrower by 1 px; with Shift by 10"]],
  },
  {
    where: "In the source",
    keys: [
      ["Ctrl Space", "What can be written here"],
      ["Ctrl /", "Comment round a declaration or rule, and off again"],
      ["Alt M", "Set right what was found in this line"],
      ["Ctrl F", "Find in the file"],
    ],
  },
  {
    where: "Findings",
    keys: [
      ["↓ ↑", "Walk"],
      ["Enter", "Write the way that is chosen"],
    ],
  },
];

/** All keys in one place, asked for by one. */
export function Keys() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== "?" || event.ctrlKey || event.metaKey || isTyping(event.target)) return;
      event.preventDefault();
      setOpen(true);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  return (
    <>
      <MatButton aria-haspopup="dialog" aria-label="Keys" onClick={() => setOpen(true)}>
        ?
      </MatButton>
      <Dialog title="Keys" open={open} footer={null} width="45rem" onCancel={() => setOpen(false)}>
        <div className={styles.places}>
          {places.map(({ where, keys }) => (
            <section key={where} aria-label={where}>
              <h3>{where}</h3>
              <dl>
                {keys.map(([key, does]) => (
                  <div key={key}>
                    <dt>
                      <kbd>{key}</kbd>
                    </dt>
                    <dd>{does}</dd>
                  </div>
                ))}
              </dl>
            </section>
          ))}
        </div>
      </Dialog>
    </>
  );
}
