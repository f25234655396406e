"use client";

import { Input } from "antd";
import { useState } from "react";
import { platforms, stackMembers, writeStack, type MemberInfo, type StackUse } from "@/core";
import { isPresent, memberHere } from "@/preview/present";
import { specimenStack } from "@/preview/siteFonts";
import { Problem } from "../shared/Problem";
import { Prose } from "../shared/Prose";
import { comparedWith, plural, showNumber, weightWords } from "../shared/numbers";
import { usePick } from "../shared/usePick";
import { Reading, Space, View } from "../shared/View";
import { WriteChanges, type Proposal } from "../shared/WriteChanges";
import { useStacks } from "../workspace/answers";
import { useEngine, useWorkspace } from "../workspace/context";
import { FontFindings } from "./FontFindings";
import { Shifts, withoutMembers } from "./Shifts";
import styles from "./Stacks.module.css";
import { unwaited } from "../shared/unwaited";

/** The Stacks view: every distinct stack, member by member, and who gets what. */
export function Stacks() {
  const stacks = useStacks();
  const [proposal, setProposal] = useState<Proposal | null>(null);
  if (!stacks) return <Reading label="Stacks" />;
  return (
    <View
      label="Stacks"
      bar={
        <>
          <b>{plural(stacks.length, "stack")} in use.</b>
          <span>Who gets which face, and how it compares with the first.</span>
          <Space />
          <AddFont onPropose={setProposal} />
        </>
      }
    >
      <div className={styles.list}>
        <FontFindings />
        {stacks.map((stack) => (
          <StackCard key={stack.stack} use={stack} onPropose={setProposal} />
        ))}
      </div>
      <WriteChanges proposal={proposal} onClose={() => setProposal(null)} />
    </View>
  );
}

/** Shows the rule that declares a font file; it is put into the site with it. */
function AddFont({ onPropose }: { onPropose(proposal: Proposal): void }) {
  const fontToAdd = useWorkspace((state) => state.fontToAdd);
  const [said, setProblem] = useState<string | null>(null);
  const take = async (file: File) => {
    const { family, changes, files, problem } = await fontToAdd(file.name, new Uint8Array(await file.arrayBuffer()));
    setProblem(problem && `${file.name}: ${problem}`);
    if (!problem) onPropose({ title: `Add ${family}`, changes, files });
  };
  return (
    <>
      <label className={`chip ${styles.addFont}`}>
        Add a font file
        <input
          type="file"
          className="visually-hidden"
          aria-label="Font file to add"
          accept=".woff2,.woff,.ttf,.otf"
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = "";
            if (file) unwaited(take(file));
          }}
        />
      </label>
      <Problem>{said}</Problem>
    </>
  );
}

function StackCard({ use, onPropose }: { use: StackUse; onPropose(proposal: Proposal): void }) {
  const engine = useEngine();
  const pick = usePick();
  const conditions = useWorkspace((state) => state.conditions);
  const { absent } = conditions;
  const setConditions = useWorkspace((state) => state.setConditions);
  const [typed, setTyped] = useState<string | null>(null);
  const [name, setName] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [shifting, setShifting] = useState(false);
  const { info, places, sample } = use;
  const pages = new Set(places.map(({ page }) => page)).size;
  const own = info.members
    .filter(({ source, problem: broken }) => source === "site" && !broken)
    .map((member) => member.name);
  const here = memberHere(info.members, own);
  const first = info.members.find(({ metrics }) => metrics)?.metrics ?? null;
  const present = (member: { name: string; generic: boolean }) => member.generic || memberHere([member], own) !== null;
  const without = withoutMembers(use, present);
  const rewrite = async (text: string, title: string) => {
    if (!stackMembers(text))
      return setProblem(
        "This is not a font stack: names are parted by commas, and names of several words stand in quotes.",
      );
    const result = await engine.restack(use.stack, text);
    if (result.problem) return setProblem(result.problem);
    setProblem(null);
    setTyped(null);
    onPropose({ title, changes: result.changes });
  };
  const match = async (family: string) => {
    const result = await engine.matchFallback(use.stack, family, conditions);
    if (result.problem) return setProblem(result.problem);
    setProblem(null);
    const wanted = info.members[0]!.name;
    const proof = !isPresent(family) ? (
      <p className="quiet">{family} is not on this machine, so what it brings back cannot be measured here.</p>
    ) : (
      <Shifts
        places={places}
        assumptions={[
          { label: `without ${wanted}, as the stack is`, absent: [wanted], changes: [] },
          { label: `without ${wanted}, with the matched fallback`, absent: [wanted], changes: result.changes },
        ]}
      />
    );
    onPropose({
      title: `A fallback from ${family} with the measures of ${wanted}`,
      label: `Match ${family} to ${wanted}`,
      changes: result.changes,
      proof,
    });
  };
  const define = async () => {
    const result = await engine.nameStack(use.stack, (name ?? "").trim());
    if (result.problem) return setProblem(result.problem);
    setProblem(null);
    setName(null);
    onPropose({ title: `Name the stack ${name}`, changes: result.changes });
  };
  const toggle = (family: string) =>
    unwaited(
      setConditions({
        absent: absent.includes(family) ? absent.filter((one) => one !== family) : [...absent, family],
      }),
    );
  return (
    <section className={styles.stack} aria-label={`Stack ${use.stack}`}>
      <h2>
        <code>{use.stack}</code>
        <span>
          {plural(places.length, "place")} on {plural(pages, "page")}, {plural(use.declarations.length, "declaration")},{" "}
          <button type="button" className="text-button" onClick={() => pick(places[0]!)}>
            see one
          </button>
        </span>
      </h2>
      <div className={styles.scroller}>
        <table>
          <thead>
            <tr>
              <th scope="col">Member</th>
              <th scope="col">As set</th>
              {platforms.map(({ platform, label }) => (
                <th key={platform} scope="col">
                  {label}
                </th>
              ))}
              <th scope="col">Here</th>
              <th scope="col">To the first</th>
              <th scope="col">Rehearse</th>
            </tr>
          </thead>
          <tbody>
            {info.members.map((member, at) => (
              <tr key={`${member.name} ${at}`}>
                <th scope="row">
                  {member.name}
                  {member.problem && <em className="doubtful"> ◆ {member.problem}</em>}
                  {member.since && <em> from {member.since}</em>}
                </th>
                <td className={styles.asSet} style={{ fontFamily: specimenStack(writeStack([member])) }}>
                  {!present(member) ? (
                    <i>not on this machine</i>
                  ) : at > 0 && present(info.members[0]!) ? (
                    <span className={styles.over} title="Set over the first member">
                      <span style={{ fontFamily: specimenStack(writeStack([info.members[0]!])) }} aria-hidden="true">
                        {sample}
                      </span>
                      {sample}
                    </span>
                  ) : (
                    sample
                  )}
                </td>
                {info.readers.map(({ platform, at: taken, face }) => (
                  <td key={platform} className={taken === at ? styles.taken : undefined}>
                    {taken === at ? (member.generic ? face : "gets it") : ""}
                  </td>
                ))}
                <td className={here === at ? styles.taken : undefined}>{here === at ? "used" : ""}</td>
                <td>
                  {member.metrics && first && member.metrics !== first
                    ? comparedWith(member.metrics, first)
                    : member.metrics
                      ? `x-height ${showNumber((member.metrics.xHeight / member.metrics.unitsPerEm) * 100, 0)}%`
                      : "not known"}
                  {at > 0 &&
                    member.source === "system" &&
                    member.metrics &&
                    info.members[0]!.metrics &&
                    use.declarations.length > 0 && (
                      <button
                        type="button"
                        className={`text-button ${styles.match}`}
                        onClick={() => unwaited(match(member.name))}
                      >
                        Match to the first
                      </button>
                    )}
                </td>
                <td>
                  {!member.generic && (
                    <button
                      type="button"
                      className="chip"
                      aria-pressed={absent.includes(member.name)}
                      onClick={() => toggle(member.name)}
                    >
                      {absent.includes(member.name) ? "Off" : "Switch off"}
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Metrics members={info.members} />
      {without.length > 0 && (
        <p>
          <button type="button" className="text-button" aria-expanded={shifting} onClick={() => setShifting(!shifting)}>
            What shifts without the first {without.length === 1 ? "member" : "members"}
          </button>
        </p>
      )}
      {shifting && <Shifts places={places} assumptions={without} />}
      {use.declarations.length === 0 && (
        <p className="quiet">
          No sheet writes this stack as it stands: it is the browser’s own, or comes from a custom property. Pick a
          place to set one.
        </p>
      )}
      {(use.declarations.length ? info.faults : []).map(({ message, mended }) => (
        <p key={message} className="doubtful">
          ◆ <Prose>{message}</Prose>{" "}
          {mended && (
            <button
              type="button"
              className="text-button"
              onClick={() => unwaited(rewrite(writeStack(mended), `Write ${writeStack(mended)}`))}
            >
              Write {writeStack(mended)}
            </button>
          )}
        </p>
      ))}
      {use.declarations.length > 0 && (
        <p className={styles.edit}>
          <Input
            size="small"
            className="mono"
            aria-label={`Stack instead of ${use.stack}`}
            value={typed ?? use.stack}
            onChange={({ target }) => setTyped(target.value)}
            spellCheck={false}
            onPressEnter={() => typed && unwaited(rewrite(typed, `Write ${typed}`))}
          />
          <button
            type="button"
            className="chip"
            disabled={typed === null || typed === use.stack}
            onClick={() => typed && unwaited(rewrite(typed, `Write ${typed}`))}
          >
            Write everywhere…
          </button>
          <Input
            size="small"
            className={`mono ${styles.name}`}
            aria-label={`Name for ${use.stack}`}
            placeholder="--stack-name"
            value={name ?? ""}
            onChange={({ target }) => setName(target.value)}
            spellCheck={false}
          />
          <button type="button" className="chip" disabled={!name?.trim()} onClick={() => unwaited(define())}>
            Name it…
          </button>
        </p>
      )}
      <Problem>{problem}</Problem>
    </section>
  );
}

const measures = [
  ["xHeight", "x-height"],
  ["capHeight", "Capitals"],
  ["ascent", "Ascent"],
  ["descent", "Descent"],
  ["lineGap", "Line gap"],
  ["averageWidth", "Usual width"],
] as const;

/** What is known of the faces' measures, in hundredths of their size. */
function Metrics({ members }: { members: readonly MemberInfo[] }) {
  const known = members.flatMap(({ name, metrics }) => (metrics ? [{ name, metrics }] : []));
  if (known.length === 0) return null;
  return (
    <details>
      <summary>Measures of the faces</summary>
      <table>
        <thead>
          <tr>
            <th scope="col">Hundredths of the size</th>
            {measures.map(([, label]) => (
              <th key={label} scope="col">
                {label}
              </th>
            ))}
            <th scope="col">Weights</th>
          </tr>
        </thead>
        <tbody>
          {known.map(({ name, metrics }) => (
            <tr key={name}>
              <th scope="row">{metrics.family === name ? name : `${name} (${metrics.family})`}</th>
              {measures.map(([measure]) => (
                <td key={measure}>{showNumber((metrics[measure] / metrics.unitsPerEm) * 100, 1)}</td>
              ))}
              <td>{weightWords(members.find((member) => member.name === name)!.weights)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
