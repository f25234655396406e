/** The CSS-wide keywords, which every property takes (CSS Cascade 5, 7.3). */
export const wideKeywords = ["inherit", "initial", "unset", "revert", "revert-layer"] as const;

export type WideKeyword = (typeof wideKeywords)[number];

/** Whether a keyword can be no name of the author's (CSS Values 4, 4.2). @param keyword in lower case */
export const isReserved = (keyword: string): boolean => keyword === "default" || isWide(keyword);

const all: ReadonlySet<unknown> = new Set(wideKeywords);

/** @param keyword in lower case */
export const isWide = (keyword: string | null | undefined): keyword is WideKeyword => all.has(keyword);
