"use client";

import { AutoComplete } from "antd";
import { useState } from "react";
import { facesOf, platformFaces, stackFaults, stackMembers, writeStack, type StyleRow } from "@/core";
import { Prose } from "../../shared/Prose";
import { useStyleTable } from "../../workspace/answers";
import { useWorkspace } from "../../workspace/context";
import { Trials } from "../Trials";
import { useSetting } from "../useSetting";
import { Doubt } from "./parts";
import { StackMembers, type Members } from "./StackMembers";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";
import { unwaited } from "../../shared/unwaited";

const genericNames = ["serif", "sans-serif", "monospace", "system-ui", "cursive"];

/** The stack member by member: order, faults, who gets what, and how the faces compare. */
export function StackChapter({ row, slip, draft, target, places }: ChapterProps) {
  const setting = useSetting(slip, places, "font-family");
  const own = useWorkspace((state) => state.ownFamilies);
  const stacks = stacksOf(useStyleTable() ?? []);
  // A stack that is held in a custom property shows as it comes out, and what is added goes to all of it.
  const isHeld = /\bvar\(/i.test(draft.value);
  const members = stackMembers(isHeld || !draft.value ? row.computed : draft.value) ?? [];
  const apply = (next: Members) => draft.attempt(writeStack(next));
  const now = draft.tried ? (row.written ?? row.computed) : draft.value || row.computed;
  return (
    <div className={styles.chapter}>
      <StackMembers
        members={members}
        infos={setting?.stack?.members ?? []}
        own={own}
        onChange={apply}
        onWrite={() => draft.tried && unwaited(draft.write(draft.value))}
        onPutBack={draft.putBack}
      />
      {isHeld && (
        <p className="quiet">
          The stack stands in a custom property. What is changed here is written to this rule, in place of{" "}
          <code>{draft.value}</code>; the property keeps its own.
        </p>
      )}
      <span className={styles.addMember}>
        <AddMember members={members} own={own} onChange={apply} />
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
          proposed={[...new Set([now, ...stacks])].slice(0, 4)}
          figures={(stack) => <WhoGets stack={stack} own={own} />}
        />
      )}
    </div>
  );
}

interface AddMemberProps {
  members: Members;
  own: readonly string[];
  onChange(members: Members): void;
}

/** A field for a further face: before the generic one, which stays the last. */
function AddMember({ members, own, onChange }: AddMemberProps) {
  const [typed, setTyped] = useState("");
  const add = (name: string) => {
    const clean = name.trim();
    if (!clean) return;
    const generic = genericNames.includes(clean.toLowerCase());
    const before = members.findIndex((member) => member.generic);
    const at = generic || before < 0 ? members.length : before;
    onChange(members.toSpliced(at, 0, { name: generic ? clean.toLowerCase() : clean, generic }));
    setTyped("");
  };
  const isOffered = (name: string) =>
    name.toLowerCase().includes(typed.toLowerCase()) && !members.some((member) => member.name === name);
  return (
    <>
      <AutoComplete
        size="small"
        aria-label="Add a face"
        value={typed}
        onChange={setTyped}
        onSelect={add}
        placeholder="Add a face"
        className={styles.adder}
        options={[...own, ...genericNames, ...platformFaces.map(({ family }) => family)]
          .filter(isOffered)
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
    </>
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
