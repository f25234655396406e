"use client";

import { useState } from "react";
import type { OutlineChange, Slip } from "@/core";
import { Choice } from "../shared/Choice";
import { unwaited } from "../shared/unwaited";
import { useEngine } from "../workspace/context";
import { WriteChanges, type Proposal } from "../workspace/WriteChanges";
import styles from "./Slip.module.css";

/** What an element says of its words (HTML, 4.3.6, 4.4 and 4.5). */
const words: Readonly<Record<string, string>> = {
  p: "paragraph",
  div: "part without a meaning",
  em: "stressed words",
  strong: "important words",
  mark: "marked words",
  small: "small print",
  cite: "title of a work",
  code: "code",
  b: "words that stand out",
  i: "words in another voice",
  u: "words with a note",
  s: "words that no longer hold",
  span: "words without a meaning: for looks alone",
  ul: "list in any order",
  ol: "list in its order",
};

/** @param all what the element can be made */
function wordsFor(tag: string, all: readonly string[]): string {
  const isList = !all.includes("h1") && !all.includes("em");
  if (tag === "p" && isList) return "paragraphs instead of the list";
  if (tag === "ul" || tag === "ol") return `${isList ? "" : "these paragraphs in a row: "}${words[tag]}`;
  return words[tag] ?? `heading of level ${tag.slice(1)}`;
}

/** What becomes of the headings of a page. */
function Outline({ outline: { page, headings, warnings } }: { outline: OutlineChange }) {
  return (
    <section aria-label={`The headings of ${page}`}>
      <p>The headings of {page} then:</p>
      <ol className={styles.outline}>
        {headings.map(({ level, words: own }, at) => (
          <li key={at} style={{ paddingInlineStart: (level - 1) * 14 }}>
            <code>h{level}</code> {own}
          </li>
        ))}
      </ol>
      {warnings.map((warning) => (
        <p key={warning} className="doubtful">
          ◆ {warning}
        </p>
      ))}
    </section>
  );
}

/** What the picked element is, and what it can be made: this one, or all that are alike. */
export function TagSelect({ slip }: { slip: Slip }) {
  const engine = useEngine();
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const { ref, selector, otherTags } = slip;
  if (otherTags.length === 0) return <code>{selector}</code>;
  const propose = async (choice: string) => {
    const [reach, to] = choice.split(" ") as ["one" | "all", string];
    const { changes, outline, problem } = await engine.retag(ref, to, reach === "all");
    const title = reach === "all" ? `Make all ${selector} ${to}` : `Make this ${selector} ${to}`;
    const note = "Rules that name the tag no longer match; what comes out differently is counted above.";
    setProposal({
      title,
      changes,
      counted: "tag",
      proof: problem ? (
        <p className="fails">{problem}</p>
      ) : (
        <>
          <p>{note}</p>
          {outline && <Outline outline={outline} />}
        </>
      ),
    });
  };
  const options = (reach: "one" | "all") =>
    otherTags.map((tag) => ({
      value: `${reach} ${tag}`,
      label: (
        <>
          <code>{tag}</code> {wordsFor(tag, otherTags)}
        </>
      ),
    }));
  return (
    <>
      <Choice
        variant="borderless"
        className={styles.tag}
        aria-label="Element"
        value={selector}
        onChange={(choice: string) => unwaited(propose(choice))}
        labelRender={() => <code>{selector}</code>}
        options={[
          { label: "Make this one", options: options("one") },
          { label: "Make all that are alike", options: options("all") },
        ]}
      />
      <WriteChanges proposal={proposal} onClose={() => setProposal(null)} />
    </>
  );
}
