/** How texts are referred to. */

/** An element of a page. */
export interface ElementRef {
  page: string;
  /** Position in `document.querySelectorAll("*")`. */
  index: number;
  /** The pseudo-element of it that is meant: "before". */
  pseudo?: string;
}

/** Equal for what is one element, or one pseudo-element. */
export const refKey = ({ page, index, pseudo }: ElementRef): string => `${page} ${index} ${pseudo ?? ""}`;
