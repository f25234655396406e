// The fonts that tests see: those of a package, whatever the machine has.
import { mkdirSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";

const root = fileURLToPath(new URL("..", import.meta.url));

/**
 * Points fontconfig, for this process and those it starts, at the package's fonts and nothing else. With
 * HEVRET_FONTS=machine the machine's own are kept, to see that nothing depends on either.
 */
export function setTestFonts() {
  if (process.env.HEVRET_FONTS === "machine") return;
  const cache = join(root, "node_modules/.cache/hevret");
  const file = join(cache, "fonts.conf");
  mkdirSync(cache, { recursive: true });
  const alias = (generic, family) =>
    `<alias><family>${generic}</family><prefer><family>${family}</family></prefer></alias>`;
  writeFileSync(
    file,
    `<?xml version="1.0"?>
<!DOCTYPE fontconfig SYSTEM "fonts.dtd">
<fontconfig>
  <dir>${join(root, "node_modules/dejavu-fonts-ttf/ttf")}</dir>
  <cachedir>${join(cache, "fontconfig")}</cachedir>
  ${alias("sans-serif", "DejaVu Sans")}
  ${alias("serif", "DejaVu Serif")}
  ${alias("monospace", "DejaVu Sans Mono")}
  ${alias("system-ui", "DejaVu Sans")}
</fontconfig>
`,
  );
  process.env.FONTCONFIG_FILE = file;
}
