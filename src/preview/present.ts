/** Which fonts this machine has, told by how wide text comes out in them. */

const generics = ["monospace", "serif", "sans-serif"];
const sample = "mmmmmmmmmmlli1WQgy@%";
const known = new Map<string, boolean>();
let drawing: OffscreenCanvasRenderingContext2D | null = null;

const quoted = (family: string) => `"${family.replace(/["\\]/g, "\\$&")}"`;

function widthIn(stack: string): number {
  drawing ??= new OffscreenCanvas(1, 1).getContext("2d");
  drawing!.font = `72px ${stack}`;
  return drawing!.measureText(sample).width;
}

/** Whether text in a family comes out in another width than in the generic families behind it. */
export function isPresent(family: string): boolean {
  let present = known.get(family);
  if (present === undefined) {
    present = generics.some((generic) => widthIn(`${quoted(family)}, ${generic}`) !== widthIn(generic));
    known.set(family, present);
  }
  return present;
}

/** The member of a stack that text is set in here; null when none is present. @param own families loaded with the page */
export function memberHere(
  members: readonly { name: string; generic: boolean }[],
  own: readonly string[],
): number | null {
  const loaded = new Set(own.map((name) => name.toLowerCase()));
  const at = members.findIndex(({ name, generic }) => generic || loaded.has(name.toLowerCase()) || isPresent(name));
  return at < 0 ? null : at;
}
