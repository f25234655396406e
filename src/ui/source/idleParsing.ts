/**
 * Has the editor's library parse ahead while the browser is idle. Where a browser can say that input waits
 * (`isInputPending`), it parses for 100 ms at a time: what is typed into the slip would wait for it. It looks once, as it is
 * loaded: call this before.
 */
export function parseWhileIdle(): void {
  if ("scheduling" in navigator) Object.defineProperty(navigator, "scheduling", { value: undefined });
}
