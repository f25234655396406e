/** Arrow keys step the number under the caret, keeping its unit: by 1, with Shift by 10, with Alt by 0.1. */
export interface Stepped {
  text: string;
  caret: number;
}

export function stepNumber(text: string, caret: number, direction: 1 | -1, size: 1 | 10 | 0.1): Stepped | null {
  for (const match of text.matchAll(/(?<![\w#.])[-+]?(?:\d*\.\d+|\d+)/g)) {
    const start = match.index;
    const unit = /^(?:%|[a-z]+)?/i.exec(text.slice(start + match[0].length))![0];
    const end = start + match[0].length;
    if (caret < start || caret > end + unit.length) continue;
    const decimals = Math.max(/\.(\d+)/.exec(match[0])?.[1]?.length ?? 0, size === 0.1 ? 1 : 0);
    const next = Number((Number(match[0]) + direction * size).toFixed(decimals));
    const written = String(next);
    return { text: text.slice(0, start) + written + text.slice(end), caret: start + written.length };
  }
  return null;
}
