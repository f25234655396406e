/** What is marked in the margin of the page: one mark a place, its worst sign first. */
import type { Finding } from "@/core";
import type { PlaceView } from "@/engine/protocol";
import type { KnownFinding } from "../workspace/troubles";

export interface MarkedPlace {
  index: number;
  pseudo: string | null;
  /** The text there; null where the element shows none of its own. */
  place: PlaceView | null;
  /** Whether its contrast is told: it fails or is doubtful. */
  contrast: boolean;
  /** Whether its size does not follow the reader's while that is rehearsed. */
  fixed: boolean;
  findings: KnownFinding[];
}

const keyOf = (index: number, pseudo: string | null | undefined) => `${index} ${pseudo ?? ""}`;

/** So many places of one finding are marked on a page; where each stands has to be asked of the page. */
const mostMarked = 12;

/** The places of a finding on a page: of what is only noted the first. */
function placesOf({ level, places }: Finding, page: string): Finding["places"] {
  const most = level === "note" ? 1 : mostMarked;
  const own: Finding["places"] = [];
  for (const place of places) {
    if (own.length >= most) break;
    if (place.page === page) own.push(place);
  }
  return own;
}

/** All marks of a page, in no order; contrast is told by the texts themselves, as they are shown now. */
export function markedPlaces(
  page: string,
  places: readonly PlaceView[],
  known: readonly KnownFinding[],
): MarkedPlace[] {
  const marked = new Map<string, MarkedPlace>();
  const byKey = new Map(places.map((place) => [keyOf(place.index, place.pseudo), place]));
  const at = (index: number, pseudo: string | null) => {
    const key = keyOf(index, pseudo);
    let mark = marked.get(key);
    if (!mark) {
      mark = { index, pseudo, place: byKey.get(key) ?? null, contrast: false, fixed: false, findings: [] };
      marked.set(key, mark);
    }
    return mark;
  };
  for (const { index, pseudo, verdict, fixed } of places) {
    const contrast = verdict === "fails" || verdict === "doubtful";
    if (contrast || fixed) Object.assign(at(index, pseudo), { contrast, fixed });
  }
  for (const one of known) {
    if (one.left !== null || one.finding.check === "contrast") continue;
    for (const { index, pseudo } of placesOf(one.finding, page)) at(index, pseudo ?? null).findings.push(one);
  }
  return [...marked.values()];
}
