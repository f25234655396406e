/** Pixels of pictures, from memory only: the frame shows nothing else. */
import { append, gridColumns, gridRows, type Box, type ImageLayout } from "@/core";

const loaded = new Map<string, Promise<HTMLImageElement | null>>();

/** A picture by its address; null when it cannot be shown. Only addresses in memory are asked. */
export function loadPicture(address: string): Promise<HTMLImageElement | null> {
  let picture = loaded.get(address);
  if (!picture) {
    picture = new Promise((resolve) => {
      if (!/^(?:blob|data):/.test(address)) return resolve(null);
      const image = new Image();
      image.onload = () => resolve(image);
      image.onerror = () => resolve(null);
      image.src = address;
    });
    loaded.set(address, picture);
  }
  return picture;
}

/** No tile is looked at in more pixels than this on a side. */
const finest = 400;

interface Raster {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

const rasters = new WeakMap<HTMLImageElement, Map<string, Raster | null>>();

function rasterOf(image: HTMLImageElement, tile: Box): Raster | null {
  const width = Math.max(1, Math.min(finest, Math.round(tile.width)));
  const height = Math.max(1, Math.min(finest, Math.round(tile.height)));
  const key = `${width} ${height}`;
  const known = rasters.get(image) ?? new Map<string, Raster | null>();
  rasters.set(image, known);
  if (!known.has(key)) {
    const canvas = new OffscreenCanvas(width, height);
    const context = canvas.getContext("2d", { willReadFrequently: true });
    try {
      context?.drawImage(image, 0, 0, width, height);
      known.set(key, context && { width, height, data: context.getImageData(0, 0, width, height).data });
    } catch {
      // A picture that the browser will not let be read.
      known.set(key, null);
    }
  }
  return known.get(key)!;
}

const luminance = (data: Uint8ClampedArray, at: number) =>
  (data[at]! * 0.2126 + data[at + 1]! * 0.7152 + data[at + 2]! * 0.0722) * (data[at + 3]! / 255) +
  (255 - data[at + 3]!);

/** Darkest and lightest pixel around each grid point of a text's box; see `ImageLayout.pixels`. */
export function pixelsUnder(text: Box, layout: Omit<ImageLayout, "pixels">, image: HTMLImageElement): number[] | null {
  const { tile, clip, repeatX, repeatY } = layout;
  const raster = rasterOf(image, tile);
  if (!raster || tile.width <= 0 || tile.height <= 0) return null;
  const { data, width, height } = raster;
  const pixels: number[] = [];
  const [stepX, stepY] = [text.width / (gridColumns - 1), text.height / (gridRows - 1)];
  for (let row = 0; row < gridRows; row += 1) {
    for (let column = 0; column < gridColumns; column += 1) {
      let darkest = -1;
      let lightest = -1;
      let [low, high] = [Infinity, -Infinity];
      let outside = false;
      // A few pixels of the cell around the point, but none outside of the text.
      for (let dy = -2; dy <= 2; dy += 1) {
        for (let dx = -2; dx <= 2; dx += 1) {
          const x = Math.min(text.left + text.width, Math.max(text.left, text.left + stepX * (column + dx / 4)));
          const y = Math.min(text.top + text.height, Math.max(text.top, text.top + stepY * (row + dy / 4)));
          const at = offsetIn(x, y, tile, clip, repeatX, repeatY, width, height);
          if (at === null) {
            outside = true;
            continue;
          }
          const light = luminance(data, at);
          if (light < low) [low, darkest] = [light, at];
          if (light > high) [high, lightest] = [light, at];
        }
      }
      append(pixels, darkest < 0 ? [0, 0, 0, 0] : data.subarray(darkest, darkest + 4));
      append(pixels, lightest < 0 || (outside && high < 250) ? [0, 0, 0, 0] : data.subarray(lightest, lightest + 4));
    }
  }
  return pixels;
}

function offsetIn(
  x: number,
  y: number,
  tile: Box,
  clip: Box,
  repeatX: boolean,
  repeatY: boolean,
  width: number,
  height: number,
): number | null {
  if (x < clip.left || x > clip.left + clip.width || y < clip.top || y > clip.top + clip.height) return null;
  const inside = (value: number, size: number, repeats: boolean) =>
    repeats ? value - Math.floor(value / size) * size : value;
  const tx = inside(x - tile.left, tile.width, repeatX);
  const ty = inside(y - tile.top, tile.height, repeatY);
  if (tx < 0 || tx > tile.width || ty < 0 || ty > tile.height) return null;
  const px = Math.min(width - 1, Math.floor((tx / tile.width) * width));
  const py = Math.min(height - 1, Math.floor((ty / tile.height) * height));
  return (py * width + px) * 4;
}
