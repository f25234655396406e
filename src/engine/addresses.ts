/** Addresses of pictures and fonts of the site, from memory; nothing else gets one. */
import { dataAddress, type StoredFile } from "@/core";

const mediaTypes: Readonly<Record<string, string>> = {
  png: "image/png",
  jpg: "image/jpeg",
  jpeg: "image/jpeg",
  gif: "image/gif",
  webp: "image/webp",
  avif: "image/avif",
  svg: "image/svg+xml",
  ico: "image/x-icon",
  woff2: "font/woff2",
  woff: "font/woff",
  ttf: "font/ttf",
  otf: "font/otf",
};

interface Kept {
  address: string;
  type: string;
  bytes: Uint8Array;
}

export class Addresses {
  private readonly kept = new Map<Uint8Array, Kept>();
  private readonly data = new Map<string, string>();

  /** Null for pages and sheets, for what is no picture and no font, and where there is no such file. */
  of(path: string, file: StoredFile | undefined): string | null {
    const type = mediaTypes[path.slice(path.lastIndexOf(".") + 1).toLowerCase()];
    if (file?.kind !== "other" || !type) return null;
    const { bytes } = file;
    let kept = this.kept.get(bytes);
    if (!kept) {
      const address = URL.createObjectURL(new Blob([bytes as BlobPart], { type }));
      this.kept.set(bytes, (kept = { address, type, bytes }));
    }
    return kept.address;
  }

  /** An address that was given, as one that holds all of the file; empty for any other. */
  asData(address: string): string {
    let data = this.data.get(address);
    if (data === undefined) {
      const kept = [...this.kept.values()].find((one) => one.address === address);
      data = kept ? dataAddress(kept.type, kept.bytes) : "data:,";
      this.data.set(address, data);
    }
    return data;
  }

  /** Lets go of all of them. */
  clear(): void {
    for (const { address } of this.kept.values()) URL.revokeObjectURL(address);
    this.kept.clear();
    this.data.clear();
  }
}
