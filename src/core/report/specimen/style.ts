/** How the sheet itself is set: on screen, and on A4 paper. Nothing of it reaches into a specimen but its width. */
export const sheetStyle = `
@page { size: A4; margin: 16mm 16mm 18mm }
* { box-sizing: border-box }
html { background: #f8f8f7; color: #171918; font: 13px/18px "Atkinson Hyperlegible Next", system-ui, sans-serif; print-color-adjust: exact }
body { max-width: 60rem; margin: 0 auto; padding: 32px 24px 64px }
header { margin-bottom: 32px }
h1 { margin: 0 0 4px; font-size: 24px; line-height: 30px; font-weight: 600 }
h2 { margin: 40px 0 2px; padding-top: 8px; border-top: 1px solid #171918; font-size: 17px; line-height: 24px; font-weight: 600; break-after: avoid }
h3 { margin: 16px 0 4px; font-size: 13px; font-weight: 600; break-after: avoid }
p { margin: 0 }
.lead { margin-bottom: 16px; color: #525855; break-after: avoid }
nav { display: flex; flex-wrap: wrap; gap: 4px 16px; margin-top: 12px }
nav a { color: #0b6b4e }
.plain { margin: 0; padding: 0; list-style: none }
.plain > li { padding: 4px 0 }
.whole { break-inside: avoid; margin-bottom: 20px }
.strip { margin: 0 0 4px }
figcaption { color: #525855; font-size: 12px }
.ground { padding: 12px 14px; overflow: hidden; outline: 1px solid #cfd2d0; outline-offset: -1px }
.ground > p { overflow-wrap: anywhere }
.figures { font-size: 12px; line-height: 16px; color: #525855; font-variant-numeric: tabular-nums }
.figures b { color: #171918; font-weight: 600 }
.figures span { margin-left: 12px }
.states { display: grid; grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr)); gap: 4px 12px }
.stack { font-size: 28px; line-height: 36px; overflow-wrap: anywhere }
code { font: 12px/16px "Atkinson Hyperlegible Mono", ui-monospace, monospace; overflow-wrap: anywhere }
table { width: 100%; border-collapse: collapse; font-size: 12px; line-height: 16px }
thead { display: table-header-group }
th { font-weight: 600; text-align: left }
th, td { padding: 4px 12px 4px 0; border-bottom: 1px solid #e1e3e2; vertical-align: top }
tr { break-inside: avoid }
.wide { width: 40% }
.faces { width: auto; margin-top: 4px }
.figure { font-variant-numeric: tabular-nums; white-space: nowrap }
.chip { display: inline-block; min-width: 40px; height: 20px; padding: 0 8px; border: 1px solid #cfd2d0; line-height: 18px; text-align: center }
.bar { display: inline-block; height: 8px; background: #171918 }
.where { color: #525855 }
@media print {
  html { background: none }
  body { max-width: none; padding: 0 }
  nav { display: none }
}
`;
