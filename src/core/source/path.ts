/** Addresses inside a site: paths with forward slashes, relative to the site's root, no leading slash. */

/** What an address in a page or sheet points to. */
export type Address =
  { kind: "file"; path: string } | { kind: "remote"; url: string } | { kind: "data"; url: string } | { kind: "none" };

/** The folder of a path, "" at the top; without a slash at its end. */
export function folderOf(path: string): string {
  return path.slice(0, path.lastIndexOf("/") + 1);
}

/** What the name of a file that is made here has none of: some systems, or addresses, take it for something else. */
export const barredInPaths = /[\\?#*:|"<>\u0000-\u001f]/;

/** Resolves `.` and `..`; steps above the root stay at the root, as in URLs. */
export function normalisePath(path: string): string {
  const parts: string[] = [];
  for (const part of path.replaceAll("\\", "/").split("/")) {
    if (part === "..") parts.pop();
    else if (part !== "" && part !== ".") parts.push(part);
  }
  return parts.join("/");
}

/**
 * Where an address leads, seen from a file (URL standard, 4.4, over a site whose root is its folder).
 * @param base the path of the file the address stands in, or a folder ending in "/"
 */
export function resolveAddress(address: string, base: string): Address {
  const text = address.trim();
  if (/^data:/i.test(text)) return { kind: "data", url: text };
  if (/^(?:[a-z][a-z0-9+.-]*:|\/\/|\\\\)/i.test(text)) return { kind: "remote", url: text };
  const bare = text.replace(/[?#].*$/s, "");
  if (bare === "") return { kind: "none" };
  const decoded = decodePercent(bare);
  return { kind: "file", path: normalisePath(decoded.startsWith("/") ? decoded : folderOf(base) + decoded) };
}

function decodePercent(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

/** The path among `paths` that was most likely meant by `wanted`; null when nothing is close. */
export function nearestPath(wanted: string, paths: Iterable<string>): string | null {
  const name = wanted.slice(wanted.lastIndexOf("/") + 1).toLowerCase();
  let best: string | null = null;
  let bestDistance = Math.max(2, Math.ceil(name.length / 3)) + 0.5;
  for (const path of paths) {
    const other = path.slice(path.lastIndexOf("/") + 1).toLowerCase();
    const distance = editDistance(name, other) + (folderOf(path) === folderOf(wanted) ? 0 : 0.25);
    if (distance < bestDistance) {
      best = path;
      bestDistance = distance;
    }
  }
  return best;
}

/** Insertions, deletions, replacements and swaps of neighbours needed to turn one word into the other. */
export function editDistance(a: string, b: string): number {
  let [start, endOfA, endOfB] = [0, a.length, b.length];
  while (start < endOfA && start < endOfB && a[start] === b[start]) start += 1;
  while (start < endOfA && start < endOfB && a[endOfA - 1] === b[endOfB - 1]) {
    endOfA -= 1;
    endOfB -= 1;
  }
  return start === endOfA || start === endOfB
    ? Math.max(endOfA, endOfB) - start
    : distanceOf(a.slice(start, endOfA), b.slice(start, endOfB));
}

function distanceOf(a: string, b: string): number {
  const rows: number[][] = [Array.from({ length: b.length + 1 }, (_, column) => column)];
  for (let i = 1; i <= a.length; i += 1) {
    const row = [i];
    for (let j = 1; j <= b.length; j += 1) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1;
      let least = Math.min(rows[i - 1]![j]! + 1, row[j - 1]! + 1, rows[i - 1]![j - 1]! + same);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        least = Math.min(least, rows[i - 2]![j - 2]! + 1);
      row.push(least);
    }
    rows.push(row);
  }
  return rows[a.length]![b.length]!;
}

/** Signs that end an address, or the quotation marks or parentheses it may stand in. */
const ending = /[?#'()]/g;

/**
 * The address by which a file asks for another, both in the same site: relative, with `../` for each step up, escaped so
 * that it can stand in an attribute, a string or `url()` (URL standard, 1.3).
 */
export function addressFrom(base: string, path: string): string {
  const [from, to] = [folderOf(base).split("/").slice(0, -1), path.split("/")];
  let same = 0;
  while (same < from.length && same < to.length - 1 && from[same] === to[same]) same += 1;
  const address = encodeURI([...from.slice(same).map(() => ".."), ...to.slice(same)].join("/"));
  const escaped = address.replace(ending, (sign) => `%${sign.charCodeAt(0).toString(16).toUpperCase()}`);
  // A colon in the first part would be read as that of a scheme.
  return /^[^/]*:/.test(escaped) ? `./${escaped}` : escaped;
}
