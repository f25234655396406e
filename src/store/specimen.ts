/** A blank page with one of everything, to try a sheet on. All of its text is ours. */
import { readFile, type StoredFile } from "@/core/files";
import type { Opened } from "./read";

const words = (
  "the boat leaves when the tide is right and the crew has had its tea nobody on the pier looks at the clock they look at the water " +
  "which is grey in the morning green at noon and no colour at all when it rains a rope is thrown a gate is shut and the island begins to " +
  "move away or so it seems to those on deck who wave at the sheep and at the two benches outside the hall where the post is sorted and the " +
  "news is made longer by each who tells it"
).split(" ");

/** Filler of so many words, in sentences of five to fourteen. */
export function fillerText(count: number): string {
  const parts: string[] = [];
  let length = 0;
  let sentence = 9;
  for (let at = 0; at < count; at += 1) {
    const word = words[at % words.length]!;
    const first = length === 0;
    length += 1;
    const last = length >= sentence || at === count - 1;
    parts.push((first ? word[0]!.toUpperCase() + word.slice(1) : word) + (last ? "." : ""));
    if (last) {
      length = 0;
      sentence = 5 + ((sentence * 7) % 10);
    }
  }
  return parts.join(" ");
}

export function specimenSite(wordCount: number): Opened {
  const text = (share: number) => fillerText(Math.max(4, Math.round(wordCount * share)));
  const headings = [1, 2, 3, 4, 5, 6]
    .map((level) => `<h${level}>Heading of level ${level}</h${level}>\n<p>${text(0.1)}</p>`)
    .join("\n");
  const html = `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Specimen page</title>
<link rel="stylesheet" href="style.css">
</head>
<body>
<main>
${headings}
<p>${text(0.25)} A <a href="#lists">link in running text</a>, <strong>strong words</strong>, <em>stressed words</em>, <code>code</code> and <small>small print</small>.</p>
<h2 id="lists">Lists</h2>
<ul>
<li>${fillerText(6)}</li>
<li>${fillerText(9)}</li>
</ul>
<ol>
<li>${fillerText(5)}</li>
<li>${fillerText(8)}</li>
</ol>
<blockquote><p>${text(0.1)}</p></blockquote>
<table>
<caption>Sailings</caption>
<thead><tr><th>Departs</th><th>Arrives</th><th>Boat</th></tr></thead>
<tbody><tr><td>08:30</td><td>09:10</td><td>Tern</td></tr><tr><td>11:00</td><td>11:40</td><td>Turnstone</td></tr></tbody>
</table>
<form>
<label for="name">Name</label> <input id="name" value="Words in a field">
<label for="boat">Boat</label> <select id="boat"><option>Tern</option><option>Turnstone</option></select>
<button>Send</button>
</form>
</main>
</body>
</html>
`;
  const files = [
    { path: "specimen.html", text: html },
    { path: "style.css", text: "body {\n  font-family: Georgia, serif;\n  line-height: 1.4;\n}\n" },
  ];
  return { name: "Specimen page", files: files.map((file) => readFile(file) as StoredFile), refused: [], folder: null };
}
