const controls =
  "hidden text search tel url email password date month week time datetime-local number range color checkbox radio file submit image reset button";

/** Elements as the browser's own sheet and attributes set them. */
const everyElement = [
  ..."a abbr address article aside b bdi bdo big blockquote button canvas center cite code del details dfn dialog dir div dl em embed fieldset figure font footer form h1 h2 h3 h4 h5 h6 header hgroup i iframe ins kbd label listing main mark marquee menu meter nav nobr object ol output p pre progress q ruby s samp search section select small span strike strong sub summary sup svg textarea time tt u ul var video xmp"
    .split(" ")
    .map((tag) => `<${tag}>${tag === "select" || tag === "iframe" ? "" : "x"}</${tag}>`),
  ...controls.split(" ").map((type) => `<input type="${type}">`),
  "<ul><li>x<ul><li>y<ul><li>z</ul><ol><li>w<dir><li>v</dir></ol></ul></ul><ol type=A><li type=circle>x</ol><ol type=i></ol><ul type=square></ul><menu><ul></ul></menu>",
  "<table cellspacing=7 rules=all><caption align=bottom>c</caption><colgroup><col></colgroup><thead valign=top><tr valign=bottom><th>x<td valign=middle>y</thead><tbody><tr><td>z</tbody><tfoot><tr><td>f</tfoot></table>",
  "<img align=top><img align=middle><img align=left><img align=absmiddle><img align=texttop><img align=bottom><iframe align=top></iframe><input type=image align=top>",
  "<p dir=auto>x</p><span dir=rtl>x</span><bdo dir=rtl>x</bdo><pre dir=auto>x</pre><textarea dir=auto></textarea><input type=search dir=auto><output dir=auto>x</output>",
  "<details open><summary>x</summary>y</details><select multiple><option>a<optgroup label=b><option>c</optgroup></select><select size=4></select><ruby>x<rt>y</rt><rp>(</rp></ruby><div popover>x</div><dialog open>x</dialog>",
  "<svg><text>x</text><foreignObject><p>x</p></foreignObject><svg></svg></svg><math><mi>x</mi><mfrac><mn>1</mn><mn>2</mn></mfrac></math><hr><fieldset disabled><legend>x</legend><input></fieldset><object></object><video controls></video>",
].join("\n");

/** Causes of differences that random pages found, a page each. */
const one = (css: string, body = '<p id="p">p <b>b</b> <em>e</em></p><h1 id="h">h</h1>') => [css, body] as const;

export const causes: readonly (readonly [name: string, css: string, body: string])[] = (
  [
    [
      "zoomed-root",
      one(
        "*{zoom:1.2} b{border-spacing:7px 3px} h1{font-size:2ch} p{letter-spacing:1lh;text-indent:3ex;word-spacing:2rch;line-height:1.1}",
        "<p>p <b>b <i>i</i></b></p><div><span>s<h1>h</h1></span></div>",
      ),
    ],
    [
      "schemes-inherited",
      one(
        "body{caret-color:light-dark(white,black);-webkit-text-stroke-color:light-dark(white,black);text-emphasis-color:light-dark(white,black);accent-color:light-dark(white,black);text-shadow:1px 1px light-dark(white,black)} b{color-scheme:light dark} h1{color-scheme:dark;color:light-dark(red,blue)} p{caret-color:Canvas;-webkit-text-stroke-color:color-mix(in srgb, Canvas, red)}",
      ),
    ],
    ["root-told-to-inherit", one("html{color:unset;color-scheme:dark}")],
    [
      "infinities",
      one(
        "p{opacity:min(1/0, 1);line-height:min(1/0, 2)} b{color:rgb(min(1/0, 1) 0 0)} @media (min-width: min(1px/0, 10px)){em{color:red}} h1{letter-spacing:max(1px, -1px/0);text-indent:calc(1px * 0 / 0)}",
      ),
    ],
    [
      "bolder",
      one(
        "div{font-weight:100} section{font-weight:300} aside{font-weight:950}",
        "<div><b>b</b><strong>s <b>bb</b></strong></div><section><b>b</b></section><aside><b>b</b></aside><b>b</b>",
      ),
    ],
    [
      "percentages-in-maths",
      one(
        "body{font-size:15px} p{font-size:min(150%, 30px);line-height:max(120%, 10px)} b{font-size:clamp(50%, 2em, 200%);line-height:min(50%, 3em)} em{line-height:143.91%} h1{line-height:calc(120% + 2px)} #q{line-height:142.857%;font-size:max(80%, 1px)}",
        '<p id="p">p <b>b</b> <em>e</em></p><h1 id="h">h</h1><div id="q">q</div>',
      ),
    ],
    [
      "directions",
      one(
        "",
        '<div dir="rtl"><math><mi>x</mi></math><bdi>abc</bdi><bdi>אב</bdi><p dir="auto">abc</p><p dir="auto">123 אב</p><p dir="auto"> </p><span dir="auto">x</span></div><p dir="auto">אב <b>x</b></p><bdi>אב</bdi><input dir="auto" value="אב"><textarea dir="auto">abc</textarea><p dir="auto"><bdi>אב</bdi> abc</p><p dir="auto"><span dir="rtl">אב</span> abc</p>',
      ),
    ],
    [
      "gradients",
      one(
        "p{background-image:linear-gradient(foo, bar)} b{background-image:linear-gradient(to nowhere, red, blue)} em{background-image:linear-gradient(to bottom, red, blue)} h1{background-image:linear-gradient(0.25turn, red 10%, 20px, blue)}",
      ),
    ],
    [
      "more-gradients",
      one(
        "p{background-image:radial-gradient(circle 20px at 10% bottom, red, blue 50%)} b{background-image:conic-gradient(from 100grad, red, 30deg, blue)} em{background-image:radial-gradient(closest-side, red)} h1{background-image:repeating-linear-gradient(to left top, red 0 10px, blue)}",
      ),
    ],
    [
      "selectors-dropped",
      one(
        "p:lang(fr, en){color:red} p:lang('en'){font-size:20px} p:matches(p){letter-spacing:1px} b:-webkit-any(p>.a, b){color:red} p:has(:has(b)){word-spacing:1px} :muted, p{text-indent:1px} :target-within, h1{text-indent:2px}",
        '<p lang="en" id="p">p <b class="a">b</b></p><h1>h</h1><p lang="fr">p</p>',
      ),
    ],
    [
      "shorthands",
      one(
        "p{font:oblique calc(10deg + 5deg) 20px serif} b{font:calc(100 * 7) 12px serif} em{font:-webkit-control;text-decoration:line-through solid underline} h1{font:menu;text-decoration:underline dotted red 2px}",
      ),
    ],
    [
      "validity",
      one(
        ":valid{color:green} :invalid{color:red} :read-write{font-size:20px} :enabled{letter-spacing:1px} :optional{word-spacing:1px} :checked{text-indent:3px} :in-range{font-style:italic} :out-of-range{font-weight:700} :required{text-transform:uppercase} :read-only{line-height:30px} :default{opacity:.5} :placeholder-shown{text-align:right} :indeterminate{text-indent:9px}",
        '<form><input type="email" value="nope"><input type="email" value="a@b.example"><input type="number" min="2" max="5" value="9"><input type="number" min="2" max="5" value="3"><input type="number" min="2" value="x"><select required><option value="">x</option></select><select><option selected>x</option></select><input required><input pattern="a+" value="b"><input pattern="a+" value="aa"><input minlength="5" value="abc"><input type="url" value="nope"><input type="url" value="https://a.example/"><input readonly required><input disabled required><textarea required></textarea><input type="range" min="1" max="3"><input type="checkbox" required><input type="radio" name="r"><input type="radio" name="r" checked><input type="date" min="2020-01-01" value="2019-01-01"><button>x</button><fieldset disabled><legend><input></legend><input></fieldset><p contenteditable>e <b>b</b></p><p contenteditable="plaintext-only">e</p><input type="text" placeholder="p"><progress></progress><input type="step" step="2" value="3"></form>',
      ),
    ],
    [
      "attributes",
      one(
        "",
        '<h1 align="center">h</h1><center>c <p align="left">p</p><table><tr><td>x</td></tr></table></center><fieldset><legend align="right">l</legend></fieldset><table background="x.png" cellpadding="abc" border="2"><tr background="y.png" align="char"><td background="z.png" nowrap>x</td><th align="middle">y</th></tr></table><hr noshade><hr size="5"><hr size="1"><hr color="red" size="3" width="50%" align="left"><pre width="20">x</pre><iframe hspace="5" vspace="3"></iframe><img hspace="4" vspace="2" border="3" align="left"><ul type="square"><li type="a">x</li></ul><ol type="I"><li value="3">y</li></ol><font size="+2" face="Georgia, serif" color="#f00">f</font><div align="justify">j</div><p align="right">r</p><caption align="bottom">c</caption><textarea wrap="off">t</textarea><input type="image" hspace="3"><marquee hspace="4">m</marquee><td align="center">x</td><table cellspacing="4" cellpadding="7" align="right"><tr valign="top" bgcolor="yellow"><td valign="middle" width="5">x</td></tr></table>',
      ),
    ],
    [
      "browser-sheet",
      one(
        "option{writing-mode:inherit} #v{writing-mode:vertical-rl}",
        '<math><merror><mi>x</mi></merror></math><select disabled><option>a</option></select><select><option disabled>a</option><optgroup disabled label="g"><option>b</option></optgroup></select><p contenteditable="plaintext-only">x</p><div style="appearance:button">x</div><button style="appearance:none">x</button><input type="button" style="appearance:button"><summary>s</summary><details><summary>s</summary>x</details><dialog open>d</dialog><search>s</search><ruby>r<rt>t</rt></ruby><meter></meter><output>o</output>',
      ),
    ],
    [
      "colours",
      one(
        "p{color:hsl(120 150% 50%)} em{color:color-mix(in srgb, red, blue, lime)} h1{color:rgb(from none 1 2 3)} #a{color:color-mix(in srgb, red 20%, blue)} #c{color:hsl(from red h none l)} #d{color:oklch(from red l c none)}",
        '<p id="p">p <b>b</b> <em>e</em></p><h1 id="h">h</h1><i id="a">a</i><i id="b">b</i><i id="c">c</i><i id="d">d</i>',
      ),
    ],
    [
      "not-valid",
      one(
        "p{white-space-collapse:preserve-spaces;opacity:(1/3);font-style:oblique (20deg)} b{font-width:75%} @supports (-moz-appearance: none){em{color:red}} h1{font-stretch:calc(50% + 10%)} #a{display:grid inline} #b{letter-spacing:0%} #c{text-indent:calc(2% + 1px - 3%)} #e{letter-spacing:calc(1px + 2%)}",
        '<p id="p">p <b>b</b> <em>e</em></p><h1 id="h">h</h1><i id="a">a</i><i id="b">b</i><p id="c">c</p><p id="d">d</p><p id="e">d</p>',
      ),
    ],
    [
      "scopes",
      one(
        "@scope (.a){color:red; @scope (> .b){color:blue; p{opacity:.5}} @scope{p{letter-spacing:3px}}} @scope (.c) to (> .b){p{color:lime}} .d{@scope (&){word-spacing:1px; p{opacity:.25} & p{letter-spacing:1px}}} .e{@scope (& .b){text-indent:1px;p{opacity:.75}} @scope{p{letter-spacing:4px}}} @scope (.a){@scope (.b){:scope p{text-indent:5px} .b{opacity:.9}}} @scope{:scope{word-spacing:7px} p{text-indent:9px}}",
        "<div class=a><div class=b><p>1</p></div><i><div class=b><p>2</p></div></i></div><div class=c><p>1</p><div class=b><p>2</p></div></div><div class=d><p>1</p></div><div class=e><p>1</p><div class=b><p>2</p></div></div><div class=b><div class=a><p>1</p></div></div><section><style>@scope{p{color:tan} :scope{opacity:.4}} @scope (.b){p{opacity:.3}}</style><p>x</p><div class=b><p>y</p></div></section>",
      ),
    ],
    [
      "leftovers",
      one(
        "#a{color:color(display-p3-linear 0.2 0.4 0.6)} #b{color:rgb(from red r none b)} #c{color:hsl(from red h none l)} #d{color:oklch(from red l none h)} #e{color:color(from red srgb r none b)} #g{text-indent:abs(-5px)} select,option{writing-mode:vertical-rl} #h{appearance:button;color:red} @layer x{#i3{color:red;opacity:.5}} @layer y{#i3{color:blue !important;all:revert-layer !important;opacity:.2}}",
        "abcdefg"
          .split("")
          .map((id) => `<p id="${id}">x</p>`)
          .join("") +
          '<a id="h" href="#">x</a><p id="i3">y</p><select size="1" multiple></select><select><option>a</select><select size="3"><option>a</select>',
      ),
    ],
    ["elements-plain", one("", everyElement)],
    [
      "elements-inherit",
      one(
        "body{font-feature-settings:'smcp';font-variant:tabular-nums no-common-ligatures ruby;-webkit-font-smoothing:antialiased;-webkit-text-stroke:1px red;text-emphasis:open dot lime;text-emphasis-position:under left;text-box-edge:cap alphabetic;text-spacing-trim:space-all;hyphenate-character:'x';hyphenate-limit-chars:5 2;tab-size:3;caret-color:red;accent-color:red;text-justify:none;ruby-position:under;list-style:square inside;border-spacing:3px;border-collapse:collapse;caption-side:bottom;empty-cells:hide;quotes:'a' 'b';text-size-adjust:50%}",
        everyElement,
      ),
    ],
    [
      "elements-forced",
      one(
        "*{overflow:visible;unicode-bidi:normal;vertical-align:baseline;border-radius:0;list-style-type:disc;border-image:none;outline:none;text-box:normal}",
        everyElement,
      ),
    ],
    [
      "shorthands-of-many",
      one(
        "#a{background:url(x.png) left 10px top 2px / 10px auto no-repeat fixed content-box, red} #b{background:center, lime} #c{background:left top / cover border-box padding-box} #d{background:red, blue} #e{background-position:top 1px} #f{border-radius:1px 2px / 3px} #g{border:1px solid;border-image:linear-gradient(red, blue) 10% 2 fill / 3px auto / 2 round space} #h{font-variant:small-caps sub emoji historical-forms} #i2{list-style:none} #j{list-style:none url(x.png)} #k{list-style:none none} #l{outline:auto} #m{text-emphasis:red} #n{overflow:clip auto} #o{border-image:none;border:2px solid red} #p{background:none} #q{background-position:right 10% bottom 20%, center 5px;background-image:none, none, none} #r{font:italic 12px serif;} #s{background:left / 1px 2px repeat space}",
        "abcdefghjklmnopqrs"
          .split("")
          .map((id) => `<div id="${id}">x</div>`)
          .join("") + '<div id="i2">x</div>',
      ),
    ],
  ] as const
).map(([name, [css, body]]) => [name, css, body] as const);

/** As pages of a site: in standards mode, and the same with a body's attributes and in quirks mode where it matters. */
export function causePages(): { path: string; text: string }[] {
  const page = (css: string, body: string, doctype = "<!doctype html>", attributes = "") =>
    `${doctype}<html lang="en"><head><meta charset="utf-8"><title>t</title><style>${css}</style></head><body${attributes}>${body}</body></html>`;
  return [
    ...causes.map(([name, css, body]) => ({ path: `${name}.html`, text: page(css, body) })),
    {
      path: "body-attributes.html",
      text: page(
        "",
        "<b>x</b>",
        "<!doctype html>",
        ' background="x.png" topmargin="+4" leftmargin="7" marginwidth="abc" text="red" bgcolor="#123"',
      ),
    },
    {
      path: "quirks-lengths.html",
      text: page(
        "p{font-size:20;margin:5 10;padding:3;letter-spacing:2;word-spacing:3;text-indent:4;line-height:30;border:2 solid} b{font:italic 20 serif;border-width:3;border-style:solid;border-spacing:4} em{margin-top:-5;padding-left:calc(3);text-underline-offset:3}",
        "<p>p <b>b</b> <em>e</em></p>",
        "",
      ),
    },
    {
      path: "quirks-references.html",
      text: page(
        "p{--a:3;word-spacing:var(--a);margin:var(--a) 2;font-size:var(--b,20);border:var(--b,3) solid;padding:calc(var(--b,3))} b{word-spacing:attr(data-v number);letter-spacing:attr(data-none px,2)}",
        '<p>p <b data-v="-2.5">b</b></p>',
        "",
      ),
    },
    {
      path: "quirks-colours.html",
      text: page(
        "p{color:tan;border:1px solid teal}p:nth-child(1){color:abc;background-color:abc;border-color:abc}p:nth-child(2){color:ABCDEF;background-color:ABCDEF;border-color:ABCDEF}p:nth-child(3){color:ABCD;background-color:ABCD;border-color:ABCD}p:nth-child(4){color:3;background-color:3;border-color:3}p:nth-child(5){color:123;background-color:123;border-color:123}p:nth-child(6){color:1234;background-color:1234;border-color:1234}p:nth-child(7){color:12345;background-color:12345;border-color:12345}p:nth-child(8){color:1234567;background-color:1234567;border-color:1234567}p:nth-child(9){color:3ab;background-color:3ab;border-color:3ab}p:nth-child(10){color:1e3;background-color:1e3;border-color:1e3}p:nth-child(11){color:1e;background-color:1e;border-color:1e}p:nth-child(12){color:003;background-color:003;border-color:003}p:nth-child(13){color:red;background-color:red;border-color:red}p:nth-child(14){color:-3;background-color:-3;border-color:-3}p:nth-child(15){color:3.5;background-color:3.5;border-color:3.5}p:nth-child(16){color:a12;background-color:a12;border-color:a12}p:nth-child(17){color:1b2c3d;background-color:1b2c3d;border-color:1b2c3d}p:nth-child(18){color:fff / 2;background-color:fff / 2;border-color:fff / 2}ul{border-color:123 abc}",
        "<p>x</p><p>x</p><p>x</p><p>x</p><p>x</p><p>x</p><p>x</p><p>x</p><p>x</p><p>x</p><p>x</p><p>x</p><p>x</p><p>x</p><p>x</p><p>x</p><p>x</p><p>x</p><ul><li>y</ul>",
        "",
      ),
    },
  ];
}
