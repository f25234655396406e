/** The shorthands that longhands are folded into, and how. */
import { shorthands } from "../cascade/properties/shorthands";

/** What can be folded: how the parts stand in the shorthand, and which have to be there. */
export const foldable: Readonly<
  Record<string, { needs: readonly string[]; compose(parts: Readonly<Record<string, string | undefined>>): string }>
> = {
  font: {
    needs: ["font-size", "font-family"],
    compose: (parts) => {
      const leading = parts["line-height"] && parts["line-height"] !== "normal" ? `/${parts["line-height"]}` : "";
      const before = ["font-style", "font-variant-caps", "font-weight", "font-stretch"]
        .map((name) => parts[name])
        .filter((value) => value && value !== "normal");
      return [...before, `${parts["font-size"]}${leading}`, parts["font-family"]].join(" ");
    },
  },
  "text-decoration": {
    needs: ["text-decoration-line"],
    compose: (parts) =>
      ["text-decoration-line", "text-decoration-style", "text-decoration-color", "text-decoration-thickness"]
        .map((name) => parts[name])
        .filter(Boolean)
        .join(" "),
  },
  margin: {
    needs: ["margin-top", "margin-right", "margin-bottom", "margin-left"],
    compose: (parts) => sides("margin", parts),
  },
  padding: {
    needs: ["padding-top", "padding-right", "padding-bottom", "padding-left"],
    compose: (parts) => sides("padding", parts),
  },
  background: {
    needs: ["background-color"],
    compose: (parts) => [parts["background-color"], parts["background-image"]].filter(Boolean).join(" "),
  },
};

function sides(name: string, parts: Readonly<Record<string, string | undefined>>): string {
  const [top, right, bottom, left] = ["top", "right", "bottom", "left"].map((side) => parts[`${name}-${side}`]!);
  if (left !== right) return `${top} ${right} ${bottom} ${left}`;
  if (top !== bottom) return `${top} ${right} ${bottom}`;
  return top === right ? top! : `${top} ${right}`;
}

/** The shorthand a longhand can be folded into; null when there is none. */
export function shorthandOf(longhand: string): string | null {
  return Object.keys(foldable).find((name) => shorthands.get(name)!.longhands.includes(longhand)) ?? null;
}
