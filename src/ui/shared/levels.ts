/** How the levels of findings are told: by shape first, then by word and colour. */
export const signs = { error: "\u25b2", warning: "\u25c6", note: "\u25c7" } as const;
export const levelWords = { error: "Error", warning: "Warning", note: "Note" } as const;
export const levelClass = { error: "fails", warning: "doubtful", note: "quiet" } as const;
