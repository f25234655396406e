/** Large sites made from a seed, to measure on: a ferry line's handbook, its parts styled as such handbooks are. */

export interface SiteSize {
  pages: number;
  /** UTF-16 units of all sheets together, about. */
  css: number;
  seed: number;
}

/** Mulberry32: the same numbers for the same seed, 0 to 1. */
function random(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

const words =
  "boat pier tide crew island morning harbour ticket bicycle deck sailing fare weather buoy rope engine lamp coast wind timetable luggage winter summer quay passenger".split(
    " ",
  );
const parts =
  "nav side card hero note table list field panel banner tabs menu badge fare pier crew deck plan alert quote".split(
    " ",
  );
const inner = ["head", "body", "title", "text", "link", "icon", "meta", "foot", "item", "mark"];
const levels = ["calm", "warn", "storm", "info"];
const spaces = [0, 1, 2, 3, 4, 6, 8, 12];
const steps = [50, 100, 200, 300, 400, 500, 600, 700, 800, 900];
const hues = { sea: 210, sand: 40, moss: 130, rust: 15, night: 250, fog: 220 };

export function handbook({ pages, css, seed }: SiteSize): { path: string; text: string }[] {
  const next = random(seed);
  const any = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
  const sentence = (length: number) =>
    `${Array.from({ length }, () => any(words)).join(" ")}.`.replace(/^./, (first) => first.toUpperCase());
  const titles = Array.from({ length: pages }, (_, at) => `${sentence(2).slice(0, -1)} ${at + 1}`);
  const pathOf = (at: number) => (at === 0 ? "index.html" : `guide/page-${at}.html`);
  return [
    ...Array.from({ length: pages }, (_, at) => ({ path: pathOf(at), text: page(at) })),
    { path: "css/base.css", text: base() },
    { path: "css/parts.css", text: sheetOf(css * 0.55, partRule) },
    { path: "css/utilities.css", text: sheetOf(css * 0.4, utilityRule) },
  ];

  function page(at: number): string {
    const up = at === 0 ? "" : "../";
    const near = Array.from({ length: Math.min(pages, 40) }, (_, step) => (at + step) % pages);
    const links = near.map(
      (one) =>
        `<li class="side__item"><a class="side__link${one === at ? " is-current" : ""}" href="${up}${pathOf(one)}">${titles[one]}</a></li>`,
    );
    return `<!doctype html>
<html lang="en" data-theme="light">
<head>
<meta charset="utf-8">
<title>${titles[at]} · Ossel Island Ferries</title>
${["base", "parts", "utilities"].map((name) => `<link rel="stylesheet" href="${up}css/${name}.css">`).join("\n")}
</head>
<body class="page page--guide">
<header class="nav"><div class="nav__body"><a class="nav__title" href="${up}index.html">Ossel Island Ferries</a><nav class="nav__foot">${["Sailings", "Fares", "Piers"].map((name) => `<a class="nav__link text-sea-700 p-2" href="#">${name}</a>`).join("")}</nav></div></header>
<div class="layout"><aside class="side"><h2 class="side__title">Handbook</h2><ul class="side__list">
${links.join("\n")}
</ul></aside>
<main class="content">
<h1 class="content__title">${titles[at]}</h1>
<p class="lead text-night-800">${sentence(18)}</p>
${Array.from({ length: 5 }, (_, one) => section(one)).join("\n")}
</main></div>
<footer class="foot bg-night-900 text-fog-100"><p class="foot__text">Made for the crew. <a class="foot__link" href="#">Write to us</a></p></footer>
</body></html>`;
  }

  function section(at: number): string {
    const part = any(parts);
    const hue = any(Object.keys(hues));
    return `<section class="section mt-${any(spaces)}" id="part-${at}">
<h2 class="section__title">${sentence(3)}<a class="anchor" href="#part-${at}">#</a></h2>
<p>${sentence(24)} <code class="code">${any(words)}</code> ${sentence(12)} <a href="#" class="text-${hue}-${any(steps)}">${any(words)}</a></p>
<div class="${part} ${part}--${any(levels)} p-${any(spaces)}"><div class="${part}__head"><h3 class="${part}__title">${sentence(3)}</h3><span class="badge badge--${any(levels)}">${any(words)}</span></div>
<div class="${part}__body"><p class="${part}__text">${sentence(16)}</p><ul class="${part}__list"><li class="${part}__item">${sentence(5)}</li><li class="${part}__item">${sentence(4)} <strong>${any(words)}</strong></li></ul></div></div>
<table class="table bg-${hue}-100"><thead><tr><th>Leaves</th><th>Arrives</th></tr></thead><tbody>${Array.from({ length: 3 }, () => `<tr><td>${6 + Math.floor(next() * 12)}:40</td><td class="table__text">${any(words)}</td></tr>`).join("")}</tbody></table>
<pre class="code-block"><code><span class="tok tok--name">sail</span> <span class="tok tok--text">${any(words)}</span></code></pre>
</section>`;
  }

  function base(): string {
    const names = Object.entries(hues).flatMap(([name, hue]) =>
      steps.map((step) => `  --${name}-${step}: hsl(${hue} 50% ${Math.round(98 - step / 10)}%);`),
    );
    return `:root {
${names.join("\n")}
  --text: var(--night-900);
  --ground: var(--fog-50);
}
[data-theme="dark"] { --text: var(--fog-100); --ground: var(--night-900); }
* { box-sizing: border-box; }
body { margin: 0; font: 16px/1.6 Georgia, "Times New Roman", serif; color: var(--text); background: var(--ground); }
h1, h2, h3 { font-family: Verdana, sans-serif; line-height: 1.2; color: var(--sea-900); }
h1 { font-size: 2.5rem; } h2 { font-size: 1.75rem; } h3 { font-size: 1.25rem; }
a { color: var(--sea-700); } a:hover { color: var(--sea-900); text-decoration: none; }
.layout { display: grid; grid-template-columns: 16rem 1fr; gap: 2rem; max-width: 80rem; margin: 0 auto; }
.lead { font-size: 1.25em; }
.content p:not(.lead) { max-width: 65ch; }
.section > .section__title:first-child { margin-top: 0; }
.table { border-collapse: collapse; } .table th { text-align: left; } .table tr:nth-child(2n) td { background: var(--fog-100); }
.code, .code-block { font-family: "Courier New", monospace; font-size: 0.875em; } .code-block { padding: 1rem; background: var(--night-800); color: var(--fog-100); }
@media (max-width: 40em) { .layout { display: block; } h1 { font-size: 2rem; } }
`;
  }

  function sheetOf(length: number, rule: (at: number) => string): string {
    let text = "";
    for (let at = 0; text.length < length; at += 1) text += rule(at);
    return text;
  }

  function partRule(at: number): string {
    const part = at < parts.length * 12 ? parts[at % parts.length]! : `${any(parts)}-${Math.floor(at / 40)}`;
    const piece = any(inner);
    const level = any(levels);
    const color = `var(--${any(Object.keys(hues))}-${any(steps)})`;
    const selector = any([
      `.${part}`,
      `.${part}__${piece}`,
      `.${part}--${level} .${part}__${piece}`,
      `.${part}__body .${part}__list > .${part}__item`,
      `.content .${part} .${part}__head h3`,
      `.${part}__link:hover, .${part}__link:focus-visible`,
      `.${part}__item:not(:last-child)`,
      `.${part}__title::before`,
      `.page--guide .${part}[data-level="${level}"] a:first-child`,
      `.${part}.is-open + .${part}__${piece}`,
    ]);
    const declarations = any([
      `color: ${color};\n  margin: 0 0 ${any(spaces) / 4}rem`,
      `background-color: ${color};\n  padding: ${any(spaces) / 4}rem;\n  border-radius: 4px`,
      `font-size: ${(0.75 + next()).toFixed(3)}rem;\n  font-weight: ${any([400, 500, 600, 700])};\n  line-height: ${(1 + next()).toFixed(2)}`,
      `border: 1px solid ${color};\n  display: flex;\n  gap: 0.5rem`,
    ]);
    const rule = `${selector} {\n  ${declarations};\n}\n`;
    return at % 9 === 8 ? `@media (min-width: ${any([480, 768, 1024, 1600])}px) {\n${rule}}\n` : rule;
  }

  function utilityRule(at: number): string {
    const hue = Object.keys(hues)[at % 6]!;
    const step = steps[Math.floor(at / 6) % steps.length]!;
    const round = Math.floor(at / 60);
    const state = ["", "hover\\:", "focus\\:", "md\\:", "lg\\:", "dark\\:", "print\\:"][round % 7]!;
    const kind = ["text", "bg", "border", "mt", "p"][Math.floor(round / 7) % 5]!;
    const times = Math.floor(round / 35);
    const tail = times ? `-${times}` : "";
    const pseudo = state.startsWith("hover") ? ":hover" : state.startsWith("focus") ? ":focus" : "";
    const value = `var(--${hue}-${step})`;
    const size = `${spaces[at % spaces.length]! / 4 + times}rem`;
    const body =
      kind === "text"
        ? `color: ${value}`
        : kind === "bg"
          ? `background-color: ${value}`
          : kind === "border"
            ? `border-color: ${value}`
            : `${kind === "mt" ? "margin-top" : "padding"}: ${size}`;
    const name = kind === "mt" || kind === "p" ? `${kind}-${spaces[at % spaces.length]!}` : `${kind}-${hue}-${step}`;
    return `.${state}${name}${tail}${pseudo} { ${body}; }\n`;
  }
}
