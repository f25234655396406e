"use client";

/** The members of a stack in their order, moved and taken out by keys, by buttons or by dragging. */
import { useEffect, useRef, useState } from "react";
import { platforms, stackMembers, writeStack, type MemberInfo } from "@/core";
import { memberHere } from "@/preview/present";
import { specimenStack } from "@/preview/siteFonts";
import { comparedWith } from "../../shared/numbers";
import styles from "./Chapter.module.css";

export type Members = NonNullable<ReturnType<typeof stackMembers>>;

interface Props {
  members: Members;
  /** What is known of them, in any order. */
  infos: readonly MemberInfo[];
  /** Families that come with the site and are loaded. */
  own: readonly string[];
  onChange(members: Members): void;
  onWrite(): void;
  onPutBack(): void;
}

export function StackMembers({ members, infos, own, onChange, onWrite, onPutBack }: Props) {
  const [dragged, setDragged] = useState<number | null>(null);
  const here = memberHere(members, own);
  const first = infos.find(({ metrics }) => metrics)?.metrics ?? null;
  const { list, keepAt } = useKeptFocus(members);
  const move = (from: number, to: number) => {
    if (to < 0 || to >= members.length || from === to) return;
    keepAt(to, members[from]!.name);
    const next = members.toSpliced(from, 1);
    next.splice(to, 0, members[from]!);
    onChange(next);
  };
  const takeOut = (at: number) => onChange(members.toSpliced(at, 1));
  const onKeyDown = (event: React.KeyboardEvent, at: number) => {
    // Its tools have keys of their own.
    if (event.target !== event.currentTarget && !event.altKey && event.key !== "Escape") return;
    if (event.altKey && event.key === "ArrowUp") move(at, at - 1);
    else if (event.altKey && event.key === "ArrowDown") move(at, at + 1);
    else if (event.key === "Delete") takeOut(at);
    else if (event.key === "Enter") onWrite();
    else if (event.key === "Escape") onPutBack();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <ol ref={list} className={styles.members} aria-label="Members of the stack">
      {members.map(({ name, generic }, at) => {
        const known = infos.find((one) => one.name === name);
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
            onKeyDown={(event) => onKeyDown(event, at)}
          >
            <span style={{ fontFamily: specimenStack(writeStack([{ name, generic }])) }}>{name}</span>
            <em>
              {generic ? "generic" : sourceWords(known)}
              {size && ` · ${size}`}
            </em>
            {at === here && <b>used here</b>}
            <MemberTools
              name={name}
              at={at}
              count={members.length}
              onMove={(to) => move(at, to)}
              onOut={() => takeOut(at)}
            />
          </li>
        );
      })}
    </ol>
  );
}

interface ToolsProps {
  name: string;
  at: number;
  count: number;
  onMove(to: number): void;
  onOut(): void;
}

function MemberTools({ name, at, count, onMove, onOut }: ToolsProps) {
  const tool = (label: string, words: string, isOff: boolean, act: () => void) => (
    <button type="button" className="text-button" aria-label={label} disabled={isOff} onClick={act}>
      {words}
    </button>
  );
  return (
    <span className={styles.memberTools}>
      {tool(`Move ${name} up`, "up", at === 0, () => onMove(at - 1))}
      {tool(`Move ${name} down`, "down", at === count - 1, () => onMove(at + 1))}
      {tool(`Take ${name} out`, "out", count === 1, onOut)}
    </span>
  );
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
function useKeptFocus(members: Members) {
  const list = useRef<HTMLOListElement>(null);
  const kept = useRef<{ at: number; name: string; tool: number } | null>(null);
  useEffect(() => {
    if (!kept.current || !list.current) return;
    const { at, name, tool } = kept.current;
    const focused = document.activeElement;
    // Who went elsewhere meanwhile is not fetched back.
    if (focused !== document.body && !list.current.contains(focused)) kept.current = null;
    // Shown once more before it is moved, it waits.
    else if (members[at]?.name === name) {
      const member = list.current.children[at] as HTMLElement;
      const button = member.querySelectorAll<HTMLButtonElement>("button")[tool];
      (button && !button.disabled ? button : member).focus();
      kept.current = null;
    }
  }, [members]);
  const keepAt = (at: number, name: string) => {
    const member = document.activeElement?.closest("li");
    if (!member || !list.current?.contains(member)) return;
    kept.current = {
      at,
      name,
      tool: [...member.querySelectorAll("button")].indexOf(document.activeElement as HTMLButtonElement),
    };
  };
  return { list, keepAt };
}
