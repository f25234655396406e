"use client";

import type { MemberInfo } from "@/core";
import { showNumber, weightWords } from "../shared/numbers";

const measures = [
  ["xHeight", "x-height"],
  ["capHeight", "Capitals"],
  ["ascent", "Ascent"],
  ["descent", "Descent"],
  ["lineGap", "Line gap"],
  ["averageWidth", "Usual width"],
] as const;

/** What is known of the faces' measures, in hundredths of their size. */
export function FaceMeasures({ members }: { members: readonly MemberInfo[] }) {
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
