/** What the product says of grounds, counted against the pixels that were seen. */
import { apart, off, type SeenGround } from "./look";

/** Bytes that a flat ground, and one that varies, may differ by. */
const within = { flat: 2, varied: 6 };

export class GroundCounts {
  private readonly counts = { right: 0, inside: 0, outside: 0, unjudged: 0, unseen: 0 };
  private readonly reasons = new Map<string, number>();
  /** Wrong while certain, in words. */
  readonly wrong: string[] = [];
  /** Uncertain, and the truth not among what was said, in words. */
  readonly uncertain: string[] = [];

  add(list: readonly SeenGround[], where: string): void {
    for (const one of list) {
      const { id, certain, doubt, darkest, lightest, seenDarkest, seenLightest, unjudged } = one;
      const reason = unjudged ?? doubt;
      if (reason) this.reasons.set(reason, (this.reasons.get(reason) ?? 0) + 1);
      if (unjudged) this.counts.unjudged += 1;
      else if (!seenDarkest || !seenLightest) this.counts.unseen += 1;
      else {
        const flat = off(seenDarkest, seenLightest) <= within.flat;
        const differs = one.seen < 1 ? 0 : Math.max(apart(darkest, seenDarkest), apart(lightest, seenLightest));
        const words = `${where}, ${id}: said ${darkest} to ${lightest}, seen ${seenDarkest} to ${seenLightest}`;
        if (certain && differs <= (flat ? within.flat : within.varied)) this.counts.right += 1;
        else if (certain) this.wrong.push(words);
        else if (differs <= within.varied) this.counts.inside += 1;
        else {
          this.counts.outside += 1;
          this.uncertain.push(`uncertain: ${doubt}: ${words}`);
        }
      }
    }
  }

  words(name: string): string {
    const { right, inside, outside, unjudged, unseen } = this.counts;
    const reasons = [...this.reasons].sort((a, b) => b[1] - a[1]).map(([reason, count]) => `  ${count}: ${reason}`);
    const sums = `Grounds of ${name}: ${right} right and certain, ${inside} uncertain with the truth inside, ${outside} uncertain otherwise, ${this.wrong.length} wrong while certain; ${unjudged} not judged, ${unseen} off the page.`;
    return [sums, ...reasons, ...(process.env.HEVRET_SHOW ? this.uncertain : [])].join("\n");
  }
}
