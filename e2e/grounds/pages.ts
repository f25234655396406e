/** Small pages about what lies under a text: name, page, and by how much a byte may be off (gradients are sampled). */
const svg = (body: string, size = "40 40") =>
  `data:image/svg+xml,${encodeURIComponent(`<svg xmlns="http://www.w3.org/2000/svg" width="${size.split(" ")[0]}" height="${size.split(" ")[1]}">${body}</svg>`)}`;
const stripes = svg(
  '<rect width="20" height="40" fill="#c03030"/><rect x="20" width="20" height="40" fill="#204080"/>',
);
const dot = svg('<circle cx="20" cy="20" r="20" fill="#e0c040"/>');

const page = (css: string, body: string) =>
  `<!doctype html><html><head><meta charset="utf-8"><style>body{margin:0;font:20px/1.5 monospace}p{margin:10px;width:400px}${css}</style></head><body>${body}</body></html>`;

export const groundPages: readonly [name: string, html: string, tolerance: number][] = [
  [
    "flat and translucent",
    page(
      "body{background:#eee}#a{background:#123456}#b{background:rgb(0 0 0/40%)}section{background:#fc8}#c{background:rgb(255 255 255/30%)}#d{background:hsl(200 50% 40%/.7)}",
      "<p id=a>flat</p><p id=b>translucent</p><section><p id=c>two layers</p><p><span id=d>inline ground</span> <b id=e>none</b></p></section>",
    ),
    1,
  ],
  [
    "groups of opacity",
    page(
      "body{background:#fff}#g{background:#204060;opacity:.6}#h{background:#f0e0d0;opacity:.5}#i{opacity:.3}section{background:#804000;opacity:.7;padding:5px}",
      "<div id=g><p id=a>faded</p><p id=h>twice faded</p></div><p id=i>only text fades</p><section><div id=g2 style='background:#fff;opacity:.5'><p id=j>group in a group</p></div></section>",
    ),
    2,
  ],
  [
    "the canvas",
    page(
      ":root{color-scheme:light dark}",
      "<p id=a>canvas</p><p id=b style='background:canvas'>system</p><p id=c style='background:color-mix(in srgb, canvastext 20%, canvas)'>mixed</p>",
    ),
    1,
  ],
  [
    "a ground carried to the canvas",
    page(
      "html{background:#e8e0d8}body{background:#304050;height:60px;width:300px}p{width:200px}",
      "<p id=a>in the body</p><p id=b style='margin-top:60px'>below the body</p>",
    ),
    1,
  ],
  [
    "linear gradients",
    page(
      "p{padding:10px}#a{background:linear-gradient(#2a5d78,#7fa8b9)}#b{background:linear-gradient(to right,red,blue)}#c{background:linear-gradient(45deg,#fff 20%,#000 80%)}#d{background:linear-gradient(to top left,#ff0,#0ff)}#e{background:linear-gradient(.25turn,#000,30%,#fff)}#f{background:linear-gradient(90deg,red 30px,lime 0 60%,blue)}#g{background:linear-gradient(rgb(0 0 0/0),rgb(0 0 0/.8)),#abc}#h{background:linear-gradient(in oklch longer hue 90deg,#a77,#78a)}#i{background:linear-gradient(90deg in oklab,#c33,#36c)}#j{background:linear-gradient(90deg,oklch(60% .15 20),oklch(80% .1 200))}",
      [..."abcdefghij"].map((id) => `<p id=${id}>gradient ${id} here</p>`).join(""),
    ),
    14,
  ],
  [
    "radial and conic gradients",
    page(
      "p{padding:10px}#a{background:radial-gradient(#fff,#333)}#b{background:radial-gradient(circle closest-side at 30% 50%,#fc0,#03c)}#c{background:radial-gradient(80px 20px at left 100px top 20px,#fff,#222)}#d{background:radial-gradient(farthest-side at 0 0,#a33,#3a3)}#e{background:conic-gradient(#f00,#0f0,#00f,#f00)}#f{background:conic-gradient(from 90deg at 20% 50%,#fff,#000)}",
      [..."abcdef"].map((id) => `<p id=${id}>gradient ${id} here</p>`).join(""),
    ),
    22,
  ],
  [
    "repeating and sized gradients",
    page(
      "p{padding:10px}#a{background:repeating-linear-gradient(90deg,#333 0 80px,#ddd 80px 160px)}#b{background:linear-gradient(90deg,#800,#008) 0 0/120px 100%}#c{background:linear-gradient(#0a0,#00a) no-repeat 50% 0/200px 30px,#eee}#d{background:repeating-radial-gradient(circle at 0 50%,#333 0 60px,#ddd 60px 120px)}",
      [..."abcd"].map((id) => `<p id=${id}>a pattern under ${id} that is long</p>`).join(""),
    ),
    16,
  ],
  [
    "clipping and origin",
    page(
      "p{padding:20px;border:10px solid #0008}#a{background:#c33;background-clip:padding-box}#b{background:linear-gradient(90deg,#000,#fff) content-box}#c{background:#fff linear-gradient(90deg,#300,#f99);background-origin:border-box}",
      [..."abc"].map((id) => `<p id=${id}>clipped ${id}</p>`).join(""),
    ),
    14,
  ],
  [
    "pictures",
    page(
      `p{padding:10px}#a{background:url("${stripes}")}#b{background:#fff url("${dot}") no-repeat 0 50%/40px}#c{background:url("${stripes}") 0 0/cover}#d{background:linear-gradient(#000a,#000a),url("${stripes}")}#e{background:#dde url("${dot}") no-repeat right 10px center}`,
      [..."abcde"].map((id) => `<p id=${id}>over a picture ${id}</p>`).join(""),
    ),
    24,
  ],
  [
    "placed by sums",
    page(
      "p{padding:10px}#a{background:linear-gradient(90deg,#000,#fff) no-repeat calc(100% - 40px) 0/200px 100%,#fdb}#b{background:linear-gradient(90deg,#800,#08f) no-repeat calc(50% + 20px - 10px) calc(100% - 4px)/120px 60%,#fff}#c{background:linear-gradient(#000,#fff) no-repeat right 30px bottom -10px/150px 100%,#cfc}",
      [..."abc"].map((id) => `<p id=${id}>a gradient placed by a sum, ${id}</p>`).join(""),
    ),
    16,
  ],
  [
    "over and under by position",
    page(
      "div{position:relative;height:60px}.u{position:absolute;inset:0 auto auto 0;width:500px;height:50px;background:#264}.z{z-index:-1}.t{position:relative;z-index:1}.half{width:60px}#f{float:left;background:#cde;width:300px;height:40px}",
      `<div><span class="u"></span><p id=a class=t>over a placed box</p></div><div style="isolation:isolate;background:#fdb"><span class="u z"></span><p id=b>over one below</p></div><div><span class="u half"></span><p id=c class=t>partly over one</p></div><div><img class=u src="${stripes}" alt=""><p id=d class=t>over an img</p></div><div><p id=doubt1>under a placed box</p><span class="u"></span></div><div style="position:static"><i id=f></i><p id=e>beside a float that lies under its block</p></div>`,
    ),
    3,
  ],
  [
    "what sticks and holds a ground behind its text",
    page(
      "section{background:tomato;position:sticky;top:30px;padding:9px}b::before{content:'';position:absolute;inset:0;z-index:-1;background:#ffc800}",
      "<section>on what <b id=a>is behind it</b></section>",
    ),
    1,
  ],
  [
    "what cannot be told",
    page(
      "#doubt1{mix-blend-mode:multiply;background:#fcc}#doubt2{background:linear-gradient(red,blue),#fff;background-blend-mode:screen}#doubt3{background:url(nowhere.png),#fff}#doubt4{filter:invert(1);background:#fcc}nav{position:sticky;top:0;background:rgb(0 0 0/50%)}",
      "<p id=doubt1>blended</p><p id=doubt2>blended layers</p><p id=doubt3>a picture that is not there</p><p id=doubt4>filtered</p><nav><p id=doubt5>floats over the page</p><p id=a style='background:#333'>has its own</p></nav>",
    ),
    1,
  ],
];
