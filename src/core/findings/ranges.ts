import { invalidReason } from "../cascade/declarations";
import { changed, quoted } from "./texts";
import { at, type Check, type Level } from "./types";

/** Values that browsers take but that can hardly be meant: out of range, or with their limits turned round. */
export const ranges: Check = {
  name: "range",
  group: "idle",
  inDeclaration: (declaration, block) => {
    const { property, valueText, value, start } = declaration;
    if (invalidReason(property, valueText) !== null) return [];
    const slip = slipOf(property, valueText);
    const meant = slip?.meant.filter((one) => invalidReason(property, one) === null) ?? [];
    if (!slip || meant.length === 0) return [];
    return [
      {
        level: slip.level,
        message: `${quoted(`${property}: ${valueText}`)} ${slip.why}. Meant: \`${meant[0]!}\`.`,
        because: slip.because,
        ...at(block.file, block.offset + start),
        ways: () =>
          meant.map((one) => ({
            label: `Write \`${one}\``,
            changes: [changed(block, value.start, value.end, one)],
          })),
      },
    ];
  },
};

interface Slip {
  level: Level;
  why: string;
  because: string;
  meant: readonly string[];
}

function slipOf(property: string, text: string): Slip | null {
  const clamp = /clamp\(\s*([\d.]+)([a-z%]+)\s*,([^,()]+),\s*([\d.]+)([a-z%]+)\s*\)/i.exec(text);
  if (clamp && clamp[2] === clamp[5] && Number(clamp[1]) > Number(clamp[4])) {
    const [whole, least, unit, middle, most] = clamp as unknown as string[];
    return {
      level: "error",
      why: `is always \`${least}${unit}\`: its limits are turned round`,
      because: "`clamp()` takes the least value, the one preferred, the largest; the least wins (CSS Values 4, 10.1).",
      meant: [text.replace(whole!, `clamp(${most}${unit},${middle}, ${least}${unit})`)],
    };
  }
  const number = /^[\d.]+$/.test(text.trim()) ? Number(text) : null;
  if (/^(?:opacity|fill-opacity|stroke-opacity)$/.test(property) && number !== null && number > 1)
    return {
      level: "error",
      why: "is as 1: opacity runs from 0 to 1",
      because: "What is more than 1 counts as 1 (CSS Color 4, 3.3).",
      meant: number <= 10 ? [String(number / 10), `${number}%`] : [String(number / 100), `${number}%`],
    };
  if (property === "line-height" && number !== null && number >= 5)
    return {
      level: "error",
      why: `is ${number} times the size of the letters: its unit is missing`,
      because: "A line height without a unit is so many times the size (CSS Inline 3, 4.1).",
      meant: number >= 90 ? [`${number}%`, `${number}px`] : [`${number}px`, String(number / 10)],
    };
  const channels = /rgba?\(\s*(\d+)\s*[,\s]\s*(\d+)\s*[,\s]\s*(\d+)/i.exec(text);
  if (channels && channels.slice(1).some((one) => Number(one) > 255)) {
    const cut = channels[0].replace(/\d+/g, (one) => String(Math.min(255, Number(one))));
    return {
      level: "warning",
      why: "has a channel over 255, which counts as 255",
      because: "Channels out of range are cut to it (CSS Color 4, 5.1).",
      meant: [text.replace(channels[0], cut)],
    };
  }
  const percent = /(hsla?\([^()]*?)\b(1[0-9]{2,}|[2-9]\d{2,})%/i.exec(text);
  if (percent && Number(percent[2]) > 100)
    return {
      level: "warning",
      why: "has a percentage over 100",
      because: "Saturation and lightness run from 0 to 100% (CSS Color 4, 7).",
      meant: [text.replace(percent[0], `${percent[1]}100%`)],
    };
  return null;
}
