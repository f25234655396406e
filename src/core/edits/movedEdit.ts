import type { ElementRef } from "../text/refs";
import { EditError, type Edit, type Target } from "./types";

/**
 * An edit as it is to be made once others were. @param move where an element is then; null where it is gone
 * @throws EditError where all that it is about is gone
 */
export function movedEdit(edit: Edit, move: (ref: ElementRef) => ElementRef | null): Edit {
  const still = (ref: ElementRef): ElementRef => {
    const now = move(ref);
    if (!now) throw new EditError("What this is about was taken out by another of the edits.");
    return now;
  };
  switch (edit.kind) {
    case "declare":
      return {
        ...edit,
        target: movedTarget(edit.target, move, still),
        ...(edit.place && { place: move(edit.place) ?? undefined }),
      };
    case "toggle":
      return edit.element ? { ...edit, element: still(edit.element) } : edit;
    case "wrap":
    case "unwrap":
      return { ...edit, element: still(edit.element) };
    default:
      return edit;
  }
}

function movedTarget(
  target: Target,
  move: (ref: ElementRef) => ElementRef | null,
  still: (ref: ElementRef) => ElementRef,
): Target {
  switch (target.kind) {
    case "class":
      return { ...target, elements: target.elements.flatMap((ref) => move(ref) ?? []) };
    case "id":
    case "style-attribute":
      return { ...target, element: still(target.element) };
    default:
      return target;
  }
}
