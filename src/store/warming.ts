/** A site to make a worker ready with: what a browser has run before, it runs several times faster. */
import { readFile, type StoredFile } from "@/core/files";
import type { Opened } from "./read";
import { specimenParts, specimenSite } from "./specimen";

/** Of most that sheets are made of a little. */
const sheet = `
@layer base, parts;
:root {
  --sea: #17445c;
  --gap: 1rem;
  --face: Georgia, "Times New Roman", serif;
  color-scheme: light dark;
}
*, ::before, ::after {
  box-sizing: border-box;
}
@font-face {
  font-family: Tern;
  src: url(tern.woff2) format("woff2");
  font-weight: 400 700;
  font-display: swap;
}
@layer base {
  body {
    margin: 0;
    font: 400 1rem/1.5 var(--face);
    color: #333;
    background: #fff;
    -webkit-text-size-adjust: 100%;
  }
  h1, h2, h3 {
    margin: 0 0 .5em;
    font-family: Tern, var(--face);
    line-height: 1.2;
    text-wrap: balance;
  }
  h1 {
    font-size: clamp(1.5rem, 1rem + 2vw, 2.5rem);
    letter-spacing: -0.02em;
  }
  a {
    color: var(--sea);
    text-decoration: underline 1px;
    text-underline-offset: .2em;
    transition: color .2s ease;
  }
  a:hover, a:focus-visible {
    color: rgb(from var(--sea) r g calc(b + 40));
    outline: 2px solid currentcolor;
  }
  ul > li + li {
    margin-top: .25rem;
  }
  li::marker {
    color: hsl(200 50% 40%);
  }
  li:nth-child(2n + 1):not(:last-child) {
    font-weight: bolder;
  }
  blockquote {
    margin: var(--gap) 2em;
    padding-left: 1em;
    border-left: 4px solid color-mix(in oklab, var(--sea) 40%, white);
    font-style: italic;
  }
  table {
    border-collapse: collapse;
    width: 100%;
  }
  td, th {
    padding: .5rem .75rem;
    border: 1px solid rgba(0, 0, 0, .1);
    text-align: start;
  }
  th {
    text-transform: uppercase;
    font-size: 80%;
    background: linear-gradient(to bottom, #eef 0%, rgb(255 255 255 / .5) 100%);
  }
}
@layer parts {
  main {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: var(--gap, 1rem);
    max-width: 60ch;
    padding: calc(var(--gap) * 2) 1rem;
  }
  main > :is(p, ul, form) {
    display: flex;
    flex-wrap: wrap;
    border-radius: .25rem .5rem;
    box-shadow: 0 1px 2px rgb(0 0 0 / 20%);
    opacity: .95;
  }
  form:has(input) label::after {
    content: ":";
    color: #5a646a !important;
  }
  input, select, button {
    font: inherit;
    padding: .25em .5em;
    border: 1px solid #8a9aa6;
  }
  button {
    background-color: var(--sea);
    color: oklch(.98 .01 90);
    text-shadow: 0 1px 0 #0003;
    &:disabled {
      opacity: .5;
    }
  }
}
@media (min-width: 40em) and (prefers-color-scheme: dark) {
  body {
    background: #10191e;
    color: light-dark(#333, #e6ecef);
  }
}
@media (max-width: 640px) {
  main {
    grid-template-columns: 1fr;
  }
  h1 {
    font-size: 1.5rem;
  }
}
@supports (display: grid) {
  p {
    margin: 0 0 1em;
    hyphens: auto;
    text-align: justify;
    white-space: normal;
    word-break: break-word;
    overflow-wrap: anywhere;
  }
}
`;

/** A small site with something of everything, for a worker to work through before one is opened. */
export function siteToWarmOn(): Opened {
  const { files, ...rest } = specimenSite({ words: 60, parts: specimenParts, levels: [1, 2, 3], sheet: true });
  const rich = readFile({ path: "style.css", text: sheet }) as StoredFile;
  return { ...rest, files: files.map((file) => (file.path === rich.path ? rich : file)) };
}
