/** Axes of variable fonts as they are written (CSS Fonts 4, 6.13). */
import { componentsOf, splitAt } from "../source/css/components";

export interface AxisSetting {
  tag: string;
  value: number;
}

/** The axes a value of `font-variation-settings` sets; null for what cannot be taken apart. */
export function axisSettings(text: string): AxisSetting[] | null {
  const parts = componentsOf(text);
  if (parts.length === 0) return null;
  if (parts.length === 1 && parts[0]!.type === "ident") return parts[0]!.name.toLowerCase() === "normal" ? [] : null;
  const settings: AxisSetting[] = [];
  for (const [tag, amount, more] of splitAt(parts, ",")) {
    if (more || tag?.type !== "string" || amount?.type !== "number") return null;
    settings.push({ tag: tag.value, value: amount.value });
  }
  return settings;
}

/** `font-variation-settings` with one axis set otherwise; null takes it out. */
export function withAxis(settings: readonly AxisSetting[], tag: string, value: number | null): string {
  const others = settings.filter((one) => one.tag !== tag);
  const put = (own: number) =>
    settings.some((one) => one.tag === tag)
      ? settings.map((one) => (one.tag === tag ? { tag, value: own } : one))
      : [...others, { tag, value: own }];
  const all = value === null ? others : put(value);
  return all.map((one) => `"${one.tag}" ${Number(one.value.toFixed(2))}`).join(", ") || "normal";
}
