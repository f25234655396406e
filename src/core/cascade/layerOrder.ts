/** The order of cascade layers (CSS Cascade 5, 6.4). */
import type { SheetSource } from "../source/html/sheets";

/**
 * The layer a sheet was imported into, outermost first; null for none. One without a name is another each time its sheet
 * is met.
 * @param owner which of the page's links and `style` elements the sheet comes from
 */
export function layerPrefix({ imports }: SheetSource, owner: number): string | null {
  const parts = imports.flatMap(({ layer }, at) => {
    const way = imports.slice(0, at + 1).map(({ rule }) => rule.start);
    return layer === null ? [] : [layer || `(unnamed by ${[owner, ...way].join(" ")})`];
  });
  return parts.length ? parts.join(".") : null;
}

/** The layer of a rule within its sheet. @param sheet which of the page's sheets, each time it is met */
export const layerIn = (name: string | null, sheet: number): string | null =>
  name && name.replaceAll("(unnamed ", `(unnamed ${sheet} `);

/** A layer as it is told: what keeps layers without a name apart is left out. */
export const shownLayer = (name: string | null): string | null =>
  name && name.replace(/\(unnamed[^)]*\)/g, "(unnamed)");

/** The full name of a layer in another; null for none. */
export function layerWithin(outer: string | null, name: string): string;
export function layerWithin(outer: string | null, name: string | null): string | null;
export function layerWithin(outer: string | null, name: string | null): string | null {
  if (name === null) return outer;
  return outer === null ? name : `${outer}.${name}`;
}

/** Layers in the order in which they were first met; inner layers come before what stands in the outer one itself. */
export class LayerOrder {
  private readonly root: LayerNode = { name: "", children: new Map() };

  meet(name: string): void {
    let node = this.root;
    for (const part of splitLayer(name)) {
      let child = node.children.get(part);
      if (!child) {
        child = { name: node.name === "" ? part : `${node.name}.${part}`, children: new Map() };
        node.children.set(part, child);
      }
      node = child;
    }
  }

  ranks(): Map<string, number> {
    const ranks = new Map<string, number>();
    const visit = (node: LayerNode) => {
      for (const child of node.children.values()) visit(child);
      if (node !== this.root) ranks.set(node.name, ranks.size);
    };
    visit(this.root);
    return ranks;
  }
}

interface LayerNode {
  name: string;
  children: Map<string, LayerNode>;
}

function splitLayer(name: string): string[] {
  return name.match(/\([^)]*\)|[^.]+/g) ?? [];
}
