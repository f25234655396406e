/**
 * Kinds of grounds that were once told wrong while certain, a page each; `hidden` texts are not judged, `covered` ones
 * doubtful, those named `sure` certain.
 */
const svg = (body: string, attributes: string) =>
  `url("data:image/svg+xml,${encodeURIComponent(`<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${body}</svg>`)}")`;
const dots = svg('<rect width="12" height="12" fill="#c03030"/>', 'viewBox="0 0 24 12"');
const tile = svg('<rect width="17" height="13" fill="#204080"/>', 'width="34" height="26"');

const page = (css: string, body: string) =>
  `<!doctype html><html lang="en"><head><meta charset="utf-8"><style>body{margin:0;font:20px/1.5 sans-serif}div,p{margin:8px;padding:4px}${css}</style></head><body>${body}</body></html>`;

/** Lines whose height goes by what stands in them alone, over stripes that tell where they stand. */
const older = (doctype: string) =>
  `${doctype}<html><head><style>body{margin:0;font:16px/1.5 sans-serif;background:#fff}div:nth-child(odd){background:#def}small,code{font-size:9px}</style></head><body><div><small id=sure-a>small</small></div><div><code id=sure-b>code</code></div><div><img width=20 height=20 src="data:image/gif;base64,R0lGODlhAQABAAAAACw="></div><div><b id=sure-c>bold</b><br><br>end</div><table><tr><td><small id=sure-d>cell</small><td><img width=9 height=9 src="data:image/gif;base64,R0lGODlhAQABAAAAACw="></table><ul><li><small id=sure-e>item</small></ul><div><i style="padding:4px"><small id=sure-f>edged</small></i></div><div id=sure-g>last</div></body></html>`;

export const groundKinds: readonly (readonly [name: string, html: string])[] = [
  [
    "colours whose blue is 0",
    page(
      "#a{background:rgb(0,0,0);color:#fff}#b{background:#ff0}#c{background:#ffc800}",
      "<p id=a>black</p><p id=b>yellow</p><p id=c>amber</p><p><mark id=d>marked</mark></p>",
    ),
  ],
  [
    "generated boxes",
    page(
      '#a{position:relative;z-index:0}#a::before{content:"";position:absolute;inset:0;background:#204060;z-index:-1}#b{position:relative}#b::after{content:"";position:absolute;inset:0;background:rgb(255 255 0/60%)}#c::before{content:"note";background:#060;color:#dfd}#d::first-line{background:#fdd}li::marker{color:#b00}',
      "<p id=a>under</p><p id=b>veil</p><p id=c> in the flow</p><p id=d>first line</p><ul><li id=e>item</ul>",
    ),
  ],
  [
    "stacking contexts",
    page(
      "div{position:relative}div>i{position:absolute;inset:0;z-index:-1;background:#048}#a{will-change:transform}#b{contain:paint}#c{perspective:10px}#d{translate:1px}#e{transform-style:preserve-3d}#f{view-transition-name:x}#g{backdrop-filter:blur(1px)}#h{isolation:isolate}",
      [..."abcdefgh"].map((id) => `<div id=${id}><i></i>text ${id}</div>`).join(""),
    ),
  ],
  [
    "where scripts run",
    page(
      "body{background:repeating-linear-gradient(#fff 0 60px,#300 60px 120px)}canvas{max-width:50%}#b{color:#fff}",
      '<noscript><p id=n>No scripts</p></noscript><canvas width="600" height="90">A fallback</canvas><canvas></canvas><p id=a>after two drawings</p><canvas style="display:block;width:100px" height="400"></canvas><p id=b>after a third</p>',
    ),
  ],
  [
    "what sticks within its margins",
    page(
      "section{padding:8px;background:#fff}#a{position:sticky;left:40px;top:5px;margin:12px;border:7px solid #714;background:#058;color:#fff;text-align:right}#a b{background:#fc8;color:#000}",
      "<section><div id=a>aboard <b id=b>when the harbour</b></div></section><div style='height:1200px'></div>",
    ),
  ],
  [
    "masks upon lines, and blends in blends",
    page(
      "span{background:#f03;mask-image:linear-gradient(#000,transparent)}#s{background:#0fc}section{mix-blend-mode:multiply;background:#fd8;opacity:.6;margin:0}#c{background:linear-gradient(#04a,#0fa),#fe0;background-blend-mode:difference}",
      "<p id=s>Two boats <span id=a>every day</span></p><section><p id=b>a day</p><p id=c>or two</p></section>",
    ),
  ],
  [
    "a filter of what lies under, and what stands out of it",
    page(
      "#h{backdrop-filter:invert(1);height:30px}#h p{margin-top:50px;background:rgb(0 0 0/20%)}main{background:#fe9}",
      "<main><div id=h><b id=a>inside</b><p id=b>below its box</p></div><p id=c>after</p></main>",
    ),
  ],
  [
    "clipping",
    page(
      "#a{overflow:hidden;height:40px;background:#ddd}#a i{position:absolute;background:#300}#b{clip-path:inset(50%)}#c{border-radius:40px;background:#246;color:#fff;width:90px;padding:20px}#d{overflow:auto;height:30px;background:#eef}",
      "<div id=a>seen</div><p id=b class=hidden>gone</p><p id=c>round</p><div id=d><div style='height:200px'></div><p id=e>further down</p></div>",
    ),
  ],
  [
    "filters, blends and masks",
    page(
      "#a{filter:invert(1);background:#fed}#s{filter:brightness(.5);background:#8cf}#c{mix-blend-mode:multiply;background:#fc8}#d{mask-image:linear-gradient(#000,#000);background:#cfc}section{background:#88f;margin:0}#e{mix-blend-mode:difference;background:#ff0}",
      "<p id=a>turned</p><div id=s><p id=b>darker</p></div><section><p id=c>multiplied</p></section><p id=d>masked</p><section><p id=e>difference</p></section>",
    ),
  ],
  [
    "covers and veils",
    page(
      "div{position:relative}i{position:absolute;inset:0;background:#123}#v i{background:rgb(20 40 60/50%)}",
      "<div id=a><b id=covered>covered</b><i></i></div><div id=v><b id=veiled>veiled</b><i></i></div>",
    ),
  ],
  [
    "a gradient to the edge",
    page(
      "#a{background:linear-gradient(to right,#000 50%,#fff);width:max-content;padding:0}#b{background:linear-gradient(#300,#fdd);padding:0;line-height:1}",
      "<p id=a>flush with the right</p><p id=b>flush with the bottom</p>",
    ),
  ],
  [
    "attachments and the canvas",
    page(
      "html{padding:10px}body{background:linear-gradient(90deg,#fdd,#ddf) fixed}#a{background:linear-gradient(#000,#666) local;color:#fff;height:60px;overflow:auto}",
      "<p id=b>over the canvas</p><div id=a>local</div>",
    ),
  ],
  [
    "the canvas's origin",
    page(
      "html{margin:20px;border:5px solid #999}body{background:linear-gradient(#400,#fcc) 0 0/100% 60px;height:90px}",
      "<p id=a>carried from body</p><p id=b>and further</p>",
    ),
  ],
  [
    "several lines",
    page(
      "#a{width:160px}#a b{background:#035;color:#fff;font-weight:400}#c{width:200px;background:linear-gradient(#fff 60%,#000 60%)}",
      "<p id=a>one <b id=b>wrapped over several lines of this text</b> end</p><p id=c>long first line and short last</p>",
    ),
  ],
  [
    "pictures laid in other ways",
    page(
      `#a{background:${tile} space #eee;width:300px}#b{background:${tile} round #eee;width:300px}#c{background:${dots} no-repeat #eee;width:300px}div{position:relative;width:200px;height:40px}img{position:absolute;left:0;top:0;width:200px;height:40px;background:#fc0}#d{position:relative}`,
      `<p id=a>spaced</p><p id=b>rounded</p><p id=c>by its proportions</p><div><img style="object-fit:none" src='${tile.slice(5, -2)}'><b id=d>not fitted</b></div><div><img style="object-fit:scale-down" src='${tile.slice(5, -2)}'><b id=e style="position:relative">scaled down</b></div>`,
    ),
  ],
  [
    "paint that is no background",
    page(
      "#a{box-shadow:inset 0 0 0 40px #135;color:#fff}#x{box-shadow:0 50px 0 #531;height:20px;margin:0 8px}#b{position:relative;z-index:1;height:40px;margin:0 8px}#c{border:20px solid #262;height:0;padding:0;width:200px;line-height:0}#d{border-image:linear-gradient(#808,#808) 30 fill;border:1px solid}#o{outline:30px solid #dd0;outline-offset:-30px}fieldset{border:14px solid #aaa}legend{padding:0}",
      "<p id=a>inset</p><div id=x></div><p id=b>on a shadow</p><p id=d>border image</p><div id=o>outline</div><fieldset><legend id=e>legend on the edge</legend>x</fieldset>",
    ),
  ],
  [
    "order and shape",
    page(
      "#f{display:flex}#f b{flex:none;width:120px;margin-right:-60px;background:#eee}#f .z{order:2;background:#00f;opacity:.6}#m{transform:scaleX(-1);background:linear-gradient(90deg,#000,#fff);width:300px}#k{animation:k 1s forwards}@keyframes k{to{background:#030;color:#fff}}#g{display:contents;opacity:.3;background:#f00}",
      "<div id=f><b class=z id=a>later item</b><b id=b>first item</b></div><p id=m>mirrored</p><p id=k>ended</p><p><span id=g>boxless</span></p>",
    ),
  ],
  [
    "texts that nobody sees",
    page(
      "#a{opacity:0}#b{font-size:0}#c{position:absolute;left:-9999px}#d{content-visibility:hidden}#e{mask-image:linear-gradient(transparent,transparent)}#s{position:absolute;width:1px;height:1px;overflow:hidden;clip:rect(0 0 0 0)}",
      "<p id=a class=hidden>x</p><p id=b class=hidden>x</p><p id=c class=hidden>x</p><div id=d><p class=hidden id=d2>x</p></div><p id=e class=hidden>x</p><p id=s class=hidden>x</p><details><summary id=sum>seen</summary><p id=f class=hidden>x</p></details><button id=off disabled class=hidden>out of use</button>",
    ),
  ],
  [
    "controls",
    page(
      "input,select,textarea{font-size:20px}#a{background:#123;color:#fff}#b::placeholder{color:#999}#c{background:#fed}",
      "<input id=a value='written'><input id=b placeholder='hint'><select id=c><option>chosen</select><textarea id=d>several words</textarea><input type=submit id=e value='Send'><button id=f>Go</button>",
    ),
  ],
  [
    "what leaves room for scroll bars, and what has no box",
    page(
      "#sure-a{background:#fd8}#g,#sure-d{display:contents;color:#063;padding:9px;border:3px solid;box-shadow:inset 0 0 9px 30px #f00}#row{display:flex;background:#cde}#grid{display:grid;background:#246;color:#fff}.no{display:contents;background:#f00}#sure-e{background:#fdb}.in-grid{display:grid;background:#246;color:#fff}#gen{display:contents}#gen::before{content:'+'}#sure-f{background:#dfb}#sure-d{height:90px;overflow:clip;transform:scale(.5);z-index:-1;translate:0 40px}",
      "<form><textarea rows=2>words</textarea><output id=sure-a>42</output></form><p><span id=g>boxless <b id=sure-b>words</b></span></p><p id=sure-c>after</p><div id=row><span id=sure-d>boxless in a row</span></div><div id=grid>words <span class=no>joined</span> <b>a box</b> <i class=no>after it</i><!-- --><i class=no>twice</i></div><p id=sure-e>under it</p><div class=in-grid><span id=gen>generated</span></div><p id=sure-f>under that</p>",
    ),
  ],
  ["lines in quirks mode", older("")],
  ["lines in limited quirks mode", older('<!doctype html public "-//W3C//DTD XHTML 1.0 Transitional//EN" "">')],
];
