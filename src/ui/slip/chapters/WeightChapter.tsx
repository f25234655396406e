"use client";

import { isWeightFaked, weightTaken, type MemberInfo } from "@/core";
import { memberHere } from "@/preview/present";
import { weightWords } from "../../shared/numbers";
import { Trials } from "../Trials";
import { useSetting } from "../useSetting";
import { Doubt } from "./parts";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";

const names: Readonly<Record<number, string>> = {
  100: "thin",
  200: "extra light",
  300: "light",
  400: "regular",
  500: "medium",
  600: "semi-bold",
  700: "bold",
  800: "extra bold",
  900: "black",
};

const trials: Readonly<Record<string, readonly string[]>> = {
  weight: ["300", "400", "500", "600", "700"],
  style: ["normal", "italic", "oblique"],
  caps: ["normal", "small-caps", "all-small-caps", "titling-caps"],
};

/** Weight, slope and small capitals: what the faces of the stack really have, and what would be made up. */
export function WeightChapter({ row, slip, target, draft, places }: ChapterProps) {
  const setting = useSetting(slip, places, row.longhand);
  const members = setting?.stack?.members ?? [];
  const own = members.filter(({ source, problem }) => source === "site" && !problem).map(({ name }) => name);
  const at = memberHere(members, own);
  const weight = slip.rows.find(({ id }) => id === "weight")?.amount ?? 400;
  const asked = row.id === "weight" ? Number.parseInt(draft.value, 10) || weight : weight;
  return (
    <div className={styles.chapter}>
      <Trials
        row={row}
        slip={slip}
        draft={draft}
        target={target}
        proposed={[...new Set([...(row.id === "weight" ? [] : [row.written ?? row.computed]), ...trials[row.id]!])]}
        figures={(value) => (row.id === "weight" ? <span>{names[Number(value)]}</span> : null)}
      />
      <table className={styles.faces}>
        <thead>
          <tr>
            <th scope="col">Face</th>
            <th scope="col">Weights</th>
            <th scope="col">{row.id === "weight" ? `At ${asked}` : (formNames[row.id] ?? "Small capitals")}</th>
          </tr>
        </thead>
        <tbody>
          {members.map((member, index) => {
            const face = faceWords(row.id, member, asked);
            return (
              <tr key={`${member.name} ${index}`}>
                <th scope="row">
                  {member.name}
                  {index === at && " (used here)"}
                </th>
                <td>
                  {weightWords(member.weights)}
                  {member.axes.length > 0 &&
                    `; axes ${member.axes.map(({ tag, min, max }) => `${tag} ${min} to ${max}`).join(", ")}`}
                </td>
                <td className={face.startsWith("◆") ? "doubtful" : undefined}>{face}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {row.id === "weight" && asked < 300 && <Doubt>So light a weight is hard to read below about 24 px.</Doubt>}
    </div>
  );
}

const formNames: Readonly<Record<string, string>> = { style: "Italic", caps: "Small capitals" };

/** Whether a face has what a row asks for, or what the browser makes of it. */
function faceWords(row: string, member: MemberInfo, asked: number): string {
  if (row === "weight") return weightFaceWords(member, asked);
  const has = row === "style" ? member.italic : member.smallCaps;
  if (has === null) return "not known";
  if (has) return "real";
  return row === "style" ? "◆ made up by slanting" : "◆ made up by scaling";
}

function weightFaceWords(member: MemberInfo, asked: number): string {
  const taken = weightTaken(member, asked);
  if (taken === null) return "not known";
  if (isWeightFaked(member, asked)) return `◆ made up from ${taken}`;
  return taken === asked ? "real" : `takes ${taken}`;
}
