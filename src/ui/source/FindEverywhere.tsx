"use client";

import { Button, Checkbox, Input } from "antd";
import { useEffect, useState, type ReactNode } from "react";
import type { FileHits, Hit, Search } from "@/core";
import { Dialog } from "../shared/Dialog";
import { plural } from "../shared/numbers";
import { unwaited } from "../shared/unwaited";
import { useEngine, useWorkspace } from "../workspace/context";
import { useSeeSource } from "../workspace/useSeeSource";
import { WriteChanges, type Proposal } from "../workspace/WriteChanges";
import styles from "./FindEverywhere.module.css";

/** Finds words in all pages and sheets, steps to them, and puts others in their place after a look at every line. */
export function FindEverywhere({ open, onClose }: { open: boolean; onClose(): void }) {
  return (
    <Dialog open={open} title="Find in all files" onCancel={onClose} footer={null} width="45rem" destroyOnHidden>
      <Finder onClose={onClose} />
    </Dialog>
  );
}

function Finder({ onClose }: { onClose(): void }) {
  const engine = useEngine();
  const files = useWorkspace((state) => state.files);
  const [asked, setAsked] = useState<Search>({ text: "", matchCase: false, wholeWords: false });
  const [by, setBy] = useState("");
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [found, setFound] = useState<readonly FileHits[]>([]);
  const [proposal, setProposal] = useState<Proposal | null>(null);
  useEffect(() => {
    unwaited(engine.find(asked).then((files) => files && setFound(files)));
  }, [engine, files, asked]);

  const chosen = found.map(({ path }) => path).filter((path) => !left.has(path));
  const replace = async () => {
    const changes = await engine.replaceFound(asked, by, chosen);
    setProposal({ title: `Put \u201c${by}\u201d for \u201c${asked.text}\u201d`, changes, counted: "place" });
  };
  const leave = (path: string, isChosen: boolean) =>
    setLeft(new Set(isChosen ? [...left].filter((one) => one !== path) : [...left, path]));
  return (
    <div className={styles.finder}>
      <Fields asked={asked} onAsk={setAsked} by={by} onBy={setBy}>
        <Button disabled={asked.text === "" || chosen.length === 0} onClick={() => unwaited(replace())}>
          Look at what would change…
        </Button>
      </Fields>
      <p role="status" className="quiet">
        {foundWords(asked.text, found)}
      </p>
      <div className={styles.hits}>
        {found.map(({ path, count, hits }) => (
          <section key={path} aria-label={path}>
            <Checkbox checked={!left.has(path)} onChange={(event) => leave(path, event.target.checked)}>
              <span className="mono">{path}</span> {plural(count, "place")}
            </Checkbox>
            <Hits hits={hits} count={count} onSeen={onClose} />
          </section>
        ))}
      </div>
      <WriteChanges proposal={proposal} onClose={(written) => (written ? onClose() : setProposal(null))} />
    </div>
  );
}

interface FieldsProps {
  asked: Search;
  onAsk(asked: Search): void;
  by: string;
  onBy(by: string): void;
  children: ReactNode;
}

/** What is looked for and how, and what is put instead. */
function Fields({ asked, onAsk, by, onBy, children }: FieldsProps) {
  const { text, matchCase, wholeWords } = asked;
  return (
    <div className={styles.fields}>
      <label>
        Find
        <Input
          className="mono"
          value={text}
          spellCheck={false}
          onChange={(event) => onAsk({ ...asked, text: event.target.value })}
        />
      </label>
      <label>
        Put instead
        <Input className="mono" value={by} spellCheck={false} onChange={(event) => onBy(event.target.value)} />
      </label>
      <span className={styles.ways}>
        <Checkbox checked={matchCase} onChange={(event) => onAsk({ ...asked, matchCase: event.target.checked })}>
          As it is written
        </Checkbox>
        <Checkbox checked={wholeWords} onChange={(event) => onAsk({ ...asked, wholeWords: event.target.checked })}>
          Whole words
        </Checkbox>
        {children}
      </span>
    </div>
  );
}

/** Places in a file, each a step to it. */
function Hits({ hits, count, onSeen }: { hits: readonly Hit[]; count: number; onSeen(): void }) {
  const seeSource = useSeeSource();
  const see = ({ path, line, column }: Hit) => {
    seeSource(path, line, column);
    onSeen();
  };
  return (
    <>
      <ul>
        {hits.map((hit) => (
          <li key={hit.start}>
            <button type="button" onClick={() => see(hit)}>
              <span>{hit.line}</span>
              <HitLine hit={hit} />
            </button>
          </li>
        ))}
      </ul>
      {count > hits.length && <p className="quiet">and {count - hits.length} more</p>}
    </>
  );
}

function foundWords(text: string, found: readonly FileHits[]): string {
  const places = found.reduce((sum, { count }) => sum + count, 0);
  if (text === "") return "Pages and style sheets are looked through.";
  return places === 0 ? "Nothing is found." : `${plural(places, "place")} in ${plural(found.length, "file")}.`;
}

function HitLine({ hit: { before, found, after } }: { hit: Hit }) {
  return (
    <code>
      {before.trimStart()}
      <mark>{found}</mark>
      {after}
    </code>
  );
}
