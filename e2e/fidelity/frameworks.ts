/** Pages of ours under real sheets: one of every element, and what each framework has classes for. */
import { readFileSync } from "node:fs";
import type { SiteFile } from "../../src/core";

const kitchen = `<header><hgroup><h1>Crossing to Ossel</h1><p>Two boats, eleven sailings</p></hgroup>
<nav aria-label="Main"><ul><li><a href="#a" aria-current="page">Sailings</a></li><li><a href="#b">Fares</a></li></ul></nav></header>
<main><h2>Winter <small>sailings</small></h2><p>From the first of <b>November</b> the <strong>late</strong> boat <em>leaves</em> at <i>half</i> past <u>six</u>,
<s>seven</s>, <del>eight</del> <ins>nine</ins>. <a href="#c">A link</a>, <a>no link</a>, <code>code</code>, <kbd>Tab</kbd>, <samp>out</samp>, <var>x</var>, <mark>marked</mark>,
<abbr title="Motor vessel">MV</abbr> <cite>Tern</cite>, <q>quoted</q>, H<sub>2</sub>O<sup>3</sup>, <dfn>term</dfn>, <time>14:20</time>, <small>small</small>, <bdi>bdi</bdi>, <bdo dir="rtl">bdo</bdo>, <data value="1">one</data>, <big>big</big>, <tt>tt</tt>, <strike>strike</strike>, <font color="red" size="5" face="Georgia">font</font>, <center>centred</center></p>
<h3>Level three</h3><h4>Level four</h4><h5>Level five</h5><h6>Level six</h6><section><h1>Nested heading</h1></section><article><h1>In an article</h1><aside><h1>Deeper</h1></aside></article>
<ul><li>One<ul><li>Nested<ol><li>Deeper</li></ol></li></ul></li></ul><ol><li>First</li><li><p>Second</p></li></ol><menu><li>Menu</li></menu><dl><dt>Boat</dt><dd>Tern</dd></dl>
<blockquote cite="#d"><p>I have turned back twice.</p><footer>The log of the <cite>Plover</cite></footer></blockquote><pre><code>pre code
lines</code></pre><pre>plain <b>pre</b></pre><hr><address>Pier Office</address>
<figure><img alt="Boat" width="10" height="10"><figcaption>A figure</figcaption></figure><picture><img alt=""></picture>
<table border="1"><caption>Sailings</caption><colgroup><col></colgroup><thead><tr><th scope="col">Departs</th><th>Arrives</th></tr></thead><tbody><tr><th>06:40</th><td>07:20</td></tr><tr><td colspan="2" align="right">08:30</td></tr></tbody><tfoot><tr><td>Foot</td><td>er</td></tr></tfoot></table>
<form><fieldset><legend>Book</legend><label for="n">Name</label> <input id="n" placeholder="Name" value="x"><input type="email" required><input type="password"><input type="number" value="3"><input type="search"><input type="date"><input type="range"><input type="color"><input type="file"><input type="checkbox" checked><input type="radio" name="r"><input type="submit" value="Send"><input type="reset"><input type="button" value="B"><input type="hidden"><input type="image" alt="i"><input disabled><input readonly value="r">
<select><option>Tern</option><optgroup label="Group"><option selected>Turnstone</option></optgroup></select><select multiple size="2"><option>a</option></select><textarea rows="2">text</textarea><button>Go</button><button type="reset" disabled>No</button><output>42</output><progress value="1" max="3"></progress><meter value=".5">half</meter><datalist><option value="a"></datalist></fieldset></form>
<details><summary>More</summary><p>Inside</p></details><details open><summary>Open</summary>Inside</details><dialog>Closed</dialog><dialog open>Open dialog</dialog>
<video controls></video><audio></audio><canvas></canvas><iframe></iframe><object></object><svg width="10" height="10"><title>t</title><g fill="red"><text x="1">svg</text><a href="#s"><circle r="1"/></a></g></svg><math><mi>x</mi><mo>=</mo><mfrac><mn>1</mn><mn>2</mn></mfrac></math>
<ruby>漢<rp>(</rp><rt>kan</rt><rp>)</rp></ruby><p dir="rtl">عربي <span>span</span></p><p lang="fr" hidden>caché</p><div contenteditable>edit</div><search>s</search><slot>slot</slot><noscript><p>No script</p></noscript><template><p>t</p></template><wbr><map><area href="#m"></map></main><footer><p>Foot <a href="#z">link</a></p></footer>`;

const bootstrap = `<div class="container-fluid py-3"><nav class="navbar navbar-expand-lg bg-body-tertiary"><a class="navbar-brand" href="#">Ferry</a><ul class="navbar-nav"><li class="nav-item"><a class="nav-link active" href="#">A</a></li><li class="nav-item"><a class="nav-link disabled">B</a></li></ul></nav>
<div class="row g-2"><div class="col-md-4 offset-md-1 text-center"><h1 class="display-4 fw-light">Display</h1><p class="lead text-body-secondary">Lead</p></div><div class="col"><div class="card text-bg-dark mb-3"><div class="card-header">H</div><div class="card-body"><h5 class="card-title">Title</h5><p class="card-text">Text</p><a href="#" class="btn btn-primary btn-lg">Go</a> <a class="btn btn-outline-danger disabled">No</a></div></div></div></div>
<div class="alert alert-warning alert-dismissible" role="alert"><h4 class="alert-heading">Wind</h4>Boats may <a href="#" class="alert-link">not sail</a><button class="btn-close"></button></div><span class="badge rounded-pill text-bg-success">ok</span><ul class="list-group list-group-flush"><li class="list-group-item active">1</li><li class="list-group-item list-group-item-info">2</li></ul>
<table class="table table-striped table-hover table-bordered caption-top"><caption>c</caption><thead class="table-light"><tr><th>1</th></tr></thead><tbody class="table-group-divider"><tr class="table-active"><td>2</td></tr><tr><td>3</td></tr></tbody></table><form class="was-validated"><label class="form-label">L</label><input class="form-control is-invalid" required><div class="invalid-feedback">bad</div><select class="form-select form-select-sm"><option>o</option></select><div class="form-check form-switch"><input class="form-check-input" type="checkbox" checked><label class="form-check-label">c</label></div></form>
<blockquote class="blockquote"><p>q</p></blockquote><figcaption class="blockquote-footer">f</figcaption><p class="fs-1 text-uppercase text-decoration-underline fst-italic lh-lg font-monospace text-truncate opacity-75">utilities</p><div class="progress"><div class="progress-bar bg-info" style="width:25%">25%</div></div><ol class="breadcrumb"><li class="breadcrumb-item active">b</li></ol><div class="accordion"><div class="accordion-item"><h2 class="accordion-header"><button class="accordion-button collapsed">a</button></h2></div></div><div data-bs-theme="dark" class="p-2 text-bg-body"><p class="text-primary-emphasis">dark</p><button class="btn btn-link">x</button></div></div>`;

const bulma = `<section class="hero is-primary is-medium"><div class="hero-body"><p class="title is-1">Hero</p><p class="subtitle">sub</p></div></section><section class="section"><div class="columns is-mobile"><div class="column is-half"><div class="box"><article class="media"><div class="media-content content is-large"><h1>H</h1><p>p <strong>s</strong> <code>c</code></p><blockquote>q</blockquote><ul><li>l</li></ul><table><tr><th>h</th><td>d</td></tr></table></div></article></div></div><div class="column"><button class="button is-link is-outlined is-large">B</button><button class="button is-loading is-static" disabled>C</button><a class="tag is-warning is-light">t</a><div class="notification is-danger"><button class="delete"></button>n <a href="#">l</a></div></div></div>
<nav class="navbar is-dark"><div class="navbar-menu is-active"><a class="navbar-item is-active" href="#">i</a></div></nav><table class="table is-striped is-bordered is-fullwidth"><thead><tr><th><abbr title="x">a</abbr></th></tr></thead><tbody><tr class="is-selected"><td>s</td></tr><tr><td>t</td></tr></tbody></table><div class="field"><label class="label">L</label><div class="control has-icons-left"><input class="input is-danger is-rounded" placeholder="p"></div><p class="help is-danger">h</p></div><div class="select is-multiple"><select multiple><option>o</option></select></div><aside class="menu"><p class="menu-label">m</p><ul class="menu-list"><li><a class="is-active">a</a></li></ul></aside><div class="tabs is-boxed"><ul><li class="is-active"><a>t</a></li></ul></div><progress class="progress is-success" value="3" max="9">3</progress><div class="message is-info"><div class="message-header">h</div><div class="message-body">b</div></div><p class="has-text-grey-light is-size-4 is-uppercase has-text-weight-bold is-family-code has-background-black">u</p></section>`;

const utilities = `<div class="mw8 center pa4 sans-serif bg-near-white"><h1 class="f1 lh-title fw9 mb3 mt0 avenir navy tracked-tight">U</h1><p class="measure lh-copy f5 dark-gray i ttu tracked underline">text</p><a class="f6 link dim br3 ph3 pv2 mb2 dib white bg-dark-blue no-underline" href="#">link</a><dl class="dib mr5"><dd class="f6 f5-ns b ml0 o-50">d</dd><dd class="f3 f2-ns b ml0 hover-red">e</dd></dl><blockquote class="athelas ml0 mt0 pl4 black-90 bl bw2 b--blue"><p class="f5 f4-m f3-l lh-copy measure mt0">q</p><cite class="f6 ttu tracked fs-normal">c</cite></blockquote><div class="flex flex-wrap items-center"><span class="flex-auto tr small-caps code strike v-mid pre nowrap">s</span></div><table class="collapse ba br2 b--black-10 pv2 ph3"><tr class="striped--light-gray"><th class="pv2 ph3 tl f6 fw6 ttu">t</th></tr></table></div>`;

const grids = `<div class="container grid pure-g row columns columns-4"><div class="pure-u-1-3 column column-50 col-6 col-mx-auto"><a class="pure-button pure-button-primary button button-outline btn btn-primary btn-lg" href="#">b</a><form class="pure-form pure-form-stacked form-group has-error"><fieldset><label class="form-label">l</label><input class="form-input is-error"><select class="form-select"><option>o</option></select></fieldset></form><table class="pure-table pure-table-bordered table table-striped"><thead><tr><th>h</th></tr></thead><tbody><tr class="pure-table-odd active"><td>d</td></tr></tbody></table><div class="pure-menu pure-menu-horizontal"><a class="pure-menu-heading pure-menu-link" href="#">m</a></div><div class="toast toast-error"><button class="btn btn-clear"></button>t</div><span class="label label-rounded chip badge" data-badge="8">x</span><div class="hero bg-gray text-primary h1"><div class="empty-title h5">e</div></div><p class="notice">n</p><article class="card"><div class="card-header text-ellipsis text-bold">c</div></article></div></div><nav class="navbar secondary contrast outline"><a role="button" class="secondary outline" href="#">r</a></nav><article data-theme="dark"><h2>d</h2><p>dark <a href="#">x</a> <button class="contrast">c</button></p></article>`;

const sheets: Record<string, string> = {
  "normalize.css/normalize.css": "",
  "modern-normalize/modern-normalize.css": "",
  "sanitize.css/sanitize.css": "",
  "@picocss/pico/css/pico.css": grids,
  "water.css/out/water.css": "",
  "milligram/dist/milligram.css": grids,
  "mvp.css/mvp.css": "",
  "simpledotcss/simple.css": grids,
  "purecss/build/pure.css": grids,
  "spectre.css/dist/spectre.css": grids,
  "tachyons/css/tachyons.css": utilities,
  "bootstrap/dist/css/bootstrap.css": bootstrap,
  "bulma/css/bulma.css": bulma,
};

/** One page a sheet, and one without any; half of them in the order sheet first, then a few rules of our own. */
export function frameworkPages(): SiteFile[] {
  const files: SiteFile[] = [];
  const page = (name: string, head: string, extra: string) =>
    files.push({
      path: `${name}.html`,
      text: `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${name}</title>${head}</head><body>${kitchen}${extra}</body></html>`,
    });
  page("plain", "", "");
  files.push({
    path: "quirks.html",
    text: `<html><head><title>q</title><style>.Big{color:red} #ID{color:blue} code{font-family:monospace;font-size:x-small} kbd{font-size:small} samp{font-size:xxx-large}</style></head><body text="#333" bgcolor="ivory" link="green"><p class="big" id="id">Quirks</p>${kitchen}<code>a</code><kbd>b</kbd><samp>c</samp></body></html>`,
  });
  for (const [sheet, extra] of Object.entries(sheets)) {
    const path = `sheets/${sheet.replaceAll("/", "-")}`;
    files.push({ path, text: readFileSync(new URL(`../../node_modules/${sheet}`, import.meta.url), "utf8") });
    page(
      sheet.split("/")[0] === "@picocss" ? "pico" : sheet.split(/[/.]/)[0]!,
      `<link rel="stylesheet" href="${path}">`,
      extra,
    );
  }
  return files;
}
