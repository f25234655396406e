/** A sentence of ours, with what stands in backticks set as source. */
export function Prose({ children }: { children: string }) {
  return children.split("`").map((part, at) => (at % 2 ? <code key={at}>{part}</code> : part));
}
