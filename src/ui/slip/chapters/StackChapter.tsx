"use client";

import { AutoComplete } from "antd";
import { useEffect, useRef, useState } from "react";
import {
  facesOf,
  platformFaces,
  platforms,
  stackFaults,
  stackMembers,
  writeStack,
  type MemberInfo,
  type StyleRow,
} from "@/core";
import { memberHere } from "@/preview/present";
import { specimenStack } from "@/preview/siteFonts";
import { Prose } from "../../shared/Prose";
import { comparedWith } from "../../shared/numbers";
import { useStyleTable } from "../../workspace/answers";
import { useWorkspace } from "../../workspace/context";
import { Trials } from "../Trials";
import { useSetting } from "../useSetting";
import { Doubt } from "./parts";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";
import { unwaited } from "../../shared/unwaited";

const genericNames = ["serif", "sans-serif", "monospace", "system-ui", "cursive"];

/** The stack member by member: order, faults, who gets what, and how the faces compare. */
export function StackChapter({ row, slip, draft, target, places }: ChapterProps) {
  const setting = useSetting(slip, places, "font-family");
  const own = useWorkspace((state) => state.ownFamilies);
  const stacks = stacksOf(useStyleTable() ?? []);
  const [typed, setTyped] = useState("");
  const [dragged, setDragged] = useState<number | null>(null);
  // A stack that is held in a custom property shows as it comes out, and what is added goes to all of it.
  const isHeld = /\bvar\(/i.test(draft.value);
  const members = stackMembers(isHeld || !draft.value ? row.computed : draft.value) ?? [];
  const here = memberHere(members, own);
  const info = new Map((setting?.stack?.members ?? []).map((member) => [member.name, member]));
  const first = setting?.stack?.members.find(({ metrics }) => metrics)?.metrics ?? null;
  const apply = (next: typeof members) => draft.attempt(writeStack(next));
  const { list, keepAt } = useKeptFocus(members);
  const move = (from: number, to: number) => {
    if (to < 0 || to >= members.length || from === to) return;
    keepAt(to);
    const next = members.toSpliced(from, 1);
    next.splice(to, 0, members[from]!);
    apply(next);
  };
  const add = (name: string) => {
    const clean = name.trim();
    if (!clean) return;
    const generic = genericNames.includes(clean.toLowerCase());
    const before = members.findIndex((member) => member.generic);
    const at = generic || before < 0 ? members.length : before;
    apply(members.toSpliced(at, 0, { name: generic ? clean.toLowerCase() : clean, generic }));
    setTyped("");
  };
  return (
    <div className={styles.chapter}>
      <ol ref={list} className={styles.members} aria-label="Members of the stack">
        {members.map(({ name, generic }, at) => {
          const known = info.get(name);
          const size = known?.metrics && first && known.metrics !== first ? comparedWith(known.metrics, first) : null;
          return (
            <li
              key={`${name} ${at}`}
              draggable
              onDragStart={() => setDragged(at)}
              onDragOver={(event) => event.preventDefault()}
              onDrop={() => {
                if (dragged !== null) move(dragged, at);
                setDragged(null);
              }}
              tabIndex={0}
              aria-label={`${name}, ${at + 1} of ${members.length}${at === here ? ", used on this machine" : ""}. Alt and arrows move it, Delete takes it out`}
              onKeyDown={(event) => {
                // Its tools have keys of their own.
                if (event.target !== event.currentTarget && !event.altKey && event.key !== "Escape") return;
                if (event.altKey && event.key === "ArrowUp") move(at, at - 1);
                else if (event.altKey && event.key === "ArrowDown") move(at, at + 1);
                else if (event.key === "Delete") apply(members.toSpliced(at, 1));
                else if (event.key === "Enter" && draft.tried) unwaited(draft.write(draft.value));
                else if (event.key === "Escape") draft.putBack();
                else return;
                event.preventDefault();
                event.stopPropagation();
              }}
            >
              <span style={{ fontFamily: specimenStack(writeStack([{ name, generic }])) }}>{name}</span>
              <em>
                {generic ? "generic" : sourceWords(known)}
                {size && ` · ${size}`}
              </em>
              {at === here && <b>used here</b>}
              <span className={styles.memberTools}>
                <button
                  type="button"
                  className="text-button"
                  aria-label={`Move ${name} up`}
                  disabled={at === 0}
                  onClick={() => move(at, at - 1)}
                >
                  up
                </button>
                <button
                  type="button"
                  className="text-button"
                  aria-label={`Move ${name} down`}
                  disabled={at === members.length - 1}
                  onClick={() => move(at, at + 1)}
                >
                  down
                </button>
                <button
                  type="button"
                  className="text-button"
                  aria-label={`Take ${name} out`}
                  disabled={members.length === 1}
                  onClick={() => apply(members.toSpliced(at, 1))}
                >
                  out
                </button>
              </span>
            </li>
          );
        })}
      </ol>
      {isHeld && (
        <p className="quiet">
          The stack stands in a custom property. What is changed here is written to this rule, in place of{" "}
          <code>{draft.value}</code>; the property keeps its own.
        </p>
      )}
      <span className={styles.addMember}>
        <AutoComplete
          size="small"
          aria-label="Add a face"
          value={typed}
          onChange={setTyped}
          onSelect={add}
          placeholder="Add a face"
          className={styles.adder}
          options={[...own, ...genericNames, ...platformFaces.map(({ family }) => family)]
            .filter(
              (name) =>
                name.toLowerCase().includes(typed.toLowerCase()) && !members.some((member) => member.name === name),
            )
            .slice(0, 40)
            .map((name) => ({ value: name }))}
          onKeyDown={(event) => {
            if (event.key === "Enter" && typed) add(typed);
            event.stopPropagation();
          }}
        />
        <button type="button" className="text-button" disabled={!typed.trim()} onClick={() => add(typed)}>
          Add
        </button>
        {draft.tried && (
          <button type="button" className="text-button" onClick={() => unwaited(draft.write(draft.value))}>
            Write the stack
          </button>
        )}
      </span>
      {stackFaults(members, own).map(({ kind, message, mended }) => (
        <Doubt
          key={message}
          label={mended ? `Write ${writeStack(mended)}` : undefined}
          onMend={mended ? () => unwaited(draft.write(writeStack(mended))) : undefined}
        >
          <Prose>{message}</Prose>
          {kind === "twice" && " It can be left out."}
        </Doubt>
      ))}
      {setting?.stack && !draft.tried && (
        <p className="quiet">{setting.stack.readers.map(({ label, face }) => `${label}: ${face}`).join(" · ")}</p>
      )}
      {stacks.length > 1 && (
        <Trials
          row={row}
          slip={slip}
          draft={draft}
          target={target}
          proposed={[
            ...new Set([draft.tried ? (row.written ?? row.computed) : draft.value || row.computed, ...stacks]),
          ].slice(0, 4)}
          figures={(stack) => <WhoGets stack={stack} own={own} />}
        />
      )}
    </div>
  );
}

/** Which face readers on which systems get of a stack. */
function WhoGets({ stack, own }: { stack: string; own: readonly string[] }) {
  const faces = facesOf(stackMembers(stack) ?? [], own);
  if (faces.length === 1) return <span>{faces[0]!.face} everywhere</span>;
  return (
    <>
      {faces.map(({ face, on }) => (
        <span key={face} className={styles.gets}>
          {face}: {on.join(", ")}
        </span>
      ))}
    </>
  );
}

/** The stacks the site uses as they come out, most places first. */
function stacksOf(table: readonly StyleRow[]): string[] {
  const uses = new Map<string, number>();
  for (const { stack, places } of table) uses.set(stack, (uses.get(stack) ?? 0) + places.length);
  return [...uses].sort((a, b) => b[1] - a[1]).map(([stack]) => stack);
}

/** Where a face comes from. */
function sourceWords(known: MemberInfo | undefined): string {
  if (known?.source === "site") return known.problem ?? "comes with the site";
  if (known?.source !== "system") return "comes with no system";
  return platforms
    .filter(({ platform }) => known.platforms.includes(platform))
    .map(({ label }) => label)
    .join(", ");
}

/** A member that is moved keeps the focus, on the same tool where that is still of use. */
function useKeptFocus(members: unknown) {
  const list = useRef<HTMLOListElement>(null);
  const kept = useRef<{ at: number; tool: number } | null>(null);
  useEffect(() => {
    if (!kept.current || !list.current) return;
    const member = list.current.children[kept.current.at] as HTMLElement | undefined;
    const tool = member?.querySelectorAll<HTMLButtonElement>("button")[kept.current.tool];
    (tool && !tool.disabled ? tool : member)?.focus();
    kept.current = null;
  }, [members]);
  const keepAt = (at: number) => {
    const member = document.activeElement?.closest("li");
    if (!member || !list.current?.contains(member)) return;
    kept.current = {
      at,
      tool: [...member.querySelectorAll("button")].indexOf(document.activeElement as HTMLButtonElement),
    };
  };
  return { list, keepAt };
}
