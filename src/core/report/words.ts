/** "1 text", "12 texts". */
export const counted = (count: number, one: string): string => `${count} ${one}${count === 1 ? "" : "s"}`;
