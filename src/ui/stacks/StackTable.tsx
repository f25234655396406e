"use client";

import { platforms, writeStack, type MemberInfo, type StackUse } from "@/core";
import { memberHere } from "@/preview/present";
import { specimenStack } from "@/preview/siteFonts";
import { comparedWith, showNumber } from "../shared/numbers";
import { unwaited } from "../shared/unwaited";
import { useWorkspace } from "../workspace/context";
import { isMemberHere, ownFamilies } from "./here";
import styles from "./Stacks.module.css";

interface Props {
  use: StackUse;
  /** Matches a fallback to the measures of the first member. */
  onMatch(family: string): void;
}

/** A stack member by member: how it looks, who gets it, how it compares with the first. */
export function StackTable({ use, onMatch }: Props) {
  const { info, sample, declarations } = use;
  const own = ownFamilies(info.members);
  const here = memberHere(info.members, own);
  const [first] = info.members;
  return (
    <div className={styles.scroller}>
      <table>
        <thead>
          <tr>
            <th scope="col">Member</th>
            <th scope="col">As set, over the first</th>
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
                <AsSet
                  sample={sample}
                  isHere={isMemberHere(member, own)}
                  over={at > 0 && isMemberHere(first!, own) ? first! : null}
                />
              </td>
              {info.readers.map(({ platform, at: taken, face }) => (
                <td key={platform} className={taken === at ? styles.taken : undefined}>
                  {taken === at && (member.generic ? face : "gets it")}
                </td>
              ))}
              <td className={here === at ? styles.taken : undefined}>{here === at && "used"}</td>
              <td>
                {measureWords(member, info.members)}
                {at > 0 && canMatch(member, first!) && declarations.length > 0 && (
                  <button type="button" className={`text-button ${styles.match}`} onClick={() => onMatch(member.name)}>
                    Match to the first
                  </button>
                )}
              </td>
              <td>{!member.generic && <SwitchOff family={member.name} />}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Words set in a member; over the same in the first member, where both are there. */
function AsSet({ sample, isHere, over }: { sample: string; isHere: boolean; over: MemberInfo | null }) {
  if (!isHere) return <i>not on this machine</i>;
  if (!over) return sample;
  return (
    <span className={styles.over}>
      <span style={{ fontFamily: specimenStack(writeStack([over])) }} aria-hidden="true">
        {sample}
      </span>
      {sample}
    </span>
  );
}

/** How a member compares with the first that has measures; for that one, how high its small letters are. */
function measureWords({ metrics }: MemberInfo, members: readonly MemberInfo[]): string {
  const first = members.find((member) => member.metrics)?.metrics;
  if (!metrics) return "not known";
  if (first && metrics !== first) return comparedWith(metrics, first);
  return `x-height ${showNumber((metrics.xHeight / metrics.unitsPerEm) * 100, 0)}%`;
}

/** Whether a fallback can be given the measures of the first member: those of both must be known. */
const canMatch = (member: MemberInfo, first: MemberInfo) =>
  member.source === "system" && member.metrics !== null && first.metrics !== null;

/** Takes a family as if it were not there, everywhere. */
function SwitchOff({ family }: { family: string }) {
  const absent = useWorkspace((state) => state.conditions.absent);
  const setConditions = useWorkspace((state) => state.setConditions);
  const isOff = absent.includes(family);
  const toggle = () =>
    unwaited(setConditions({ absent: isOff ? absent.filter((one) => one !== family) : [...absent, family] }));
  return (
    <button type="button" className="chip" aria-pressed={isOff} onClick={toggle}>
      {isOff ? "Off" : "Switch off"}
    </button>
  );
}
