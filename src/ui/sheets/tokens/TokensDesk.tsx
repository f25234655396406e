"use client";

import { Button } from "antd";
import { useMemo, useState } from "react";
import type { Held, Replacing } from "@/core";
import type { HeldAgainst } from "@/engine/protocol";
import { Problem } from "../../shared/Problem";
import { plural } from "../../shared/numbers";
import { Prose } from "../../shared/Prose";
import { unwaited } from "../../shared/unwaited";
import { Reading, Space, View } from "../../shared/View";
import { useAnswer } from "../../workspace/answers";
import { useEngine, useWorkspace } from "../../workspace/context";
import { Proof } from "../../workspace/Proof";
import { WriteChanges, type Proposal } from "../../workspace/WriteChanges";
import { heldGroups, isEqual, isSlip, keyOf } from "./groups";
import { HeldDetail } from "./HeldDetail";
import { HeldList } from "./HeldList";
import { OpenTokens } from "./OpenTokens";
import styles from "./Tokens.module.css";

/** What the site writes, held against a tokens file: what strays, the nearest token, and tokens put in its place. */
export function TokensDesk({ file }: { file: { name: string; text: string } }) {
  const answer = useAnswer("heldAgainst", file.text);
  if (!answer) return <Reading label="Sheets" />;
  if ("problem" in answer)
    return (
      <View label="Sheets" className={styles.refused ?? ""} bar={<Bar name={file.name} words="is no tokens file." />}>
        <div className={styles.none}>
          <Problem>{answer.problem}</Problem>
          <p>
            A tokens file is JSON in the format of the Design Tokens Community Group: an object of groups, in which
            every token has a `$value` and a `$type`.
          </p>
        </div>
      </View>
    );
  return <Against file={file} answer={answer} />;
}

function Against({ file, answer }: { file: { name: string; text: string }; answer: HeldAgainst }) {
  const engine = useEngine();
  const [chosen, setChosen] = useState<string | null>(null);
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const groups = useMemo(() => heldGroups(answer.held), [answer]);
  const rows = groups.flatMap(({ held }) => held);
  const current = rows.find((one) => keyOf(one) === chosen) ?? rows[0] ?? null;
  const propose = async (title: string, wanted: readonly Held[], how: Replacing) => {
    const named = wanted.map(({ kind, value }) => ({ kind, value }));
    const { changes, problem: why } = await engine.replaceByTokens(file.text, named, how);
    setProblem(why);
    if (why === null) setProposal({ title, changes, counted: "change", proof: <Proof changes={changes} files={[]} /> });
  };
  const [slips, equal] = [rows.filter(isSlip), rows.filter(isEqual)];
  return (
    <View
      label="Sheets"
      className={styles.view ?? ""}
      bar={
        <Bar name={file.name} words={summaryOf(answer)}>
          {slips.length > 0 && (
            <Button
              onClick={() =>
                unwaited(propose(`Bring ${plural(slips.length, "value")} to their tokens`, slips, "property"))
              }
            >
              Bring {slips.length} nearly equal to their tokens
            </Button>
          )}
          {equal.length > 0 && (
            <Button
              onClick={() => unwaited(propose(`Name ${plural(equal.length, "value")} by tokens`, equal, "property"))}
            >
              Name {equal.length} that are equal
            </Button>
          )}
        </Bar>
      }
    >
      <div className={styles.list}>
        <Problem>{problem}</Problem>
        <HeldList groups={groups} chosen={current && keyOf(current)} onChoose={setChosen} />
        {rows.length === 0 && (
          <p className={styles.none}>The site writes nothing of the kinds that these tokens are of, but by name.</p>
        )}
        <Unread answer={answer} />
      </div>
      {current ? (
        <HeldDetail
          key={keyOf(current)}
          held={current}
          onReplace={(how) =>
            unwaited(propose(`${current.nearest!.token} instead of ${current.value}`, [current], how))
          }
        />
      ) : (
        <div className={styles.detail} />
      )}
      <WriteChanges proposal={proposal} onClose={() => setProposal(null)} />
    </View>
  );
}

function Bar({ name, words, children }: { name: string; words: string; children?: React.ReactNode }) {
  const holdAgainst = useWorkspace((state) => state.holdAgainst);
  return (
    <>
      <b>{name}</b>
      <span>{words}</span>
      <Space />
      {children}
      <OpenTokens label="Another file…" />
      <Button onClick={() => holdAgainst(null)}>Back to the sheets</Button>
    </>
  );
}

function summaryOf({ tokens, held }: HeldAgainst): string {
  const strays = held.filter((one) => !isEqual(one)).length;
  const stray = strays === 0 ? "nothing strays" : `${plural(strays, "value")} ${strays === 1 ? "strays" : "stray"}`;
  return `${plural(tokens, "token")}; ${stray}.`;
}

/** Tokens that could not be read, and those of kinds that nothing is held against. */
function Unread({ answer: { problems, others } }: { answer: HeldAgainst }) {
  if (problems.length === 0 && others === 0) return null;
  return (
    <details className={styles.unread}>
      <summary>
        {[
          problems.length > 0 && `${plural(problems.length, "token")} could not be read`,
          others > 0 && `${plural(others, "token")} of other kinds`,
        ]
          .filter(Boolean)
          .join(", ")}
      </summary>
      <ul>
        {problems.map(({ name, problem }) => (
          <li key={name}>
            <code>{name}</code>: <Prose>{problem}</Prose>
          </li>
        ))}
        {others > 0 && <li>Shadows, borders, durations and the like are not held against the site.</li>}
      </ul>
    </details>
  );
}
