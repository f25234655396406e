/** Small pages, each about one feature of the cascade or a pair of them. */
import type { SiteFile } from "../../src/core";

const body = `<div id="a" class="a x" lang="en-GB" data-k="v w"><h1 id="h">H <em>e</em></h1><p id="p" class="p x">Text <a href="#h" id="l">link</a> <code id="c">code <b>b</b></code></p>
<ul id="u"><li id="l1">1</li><li id="l2" class="x">2<ul><li>n</li></ul></li><li id="l3">3</li></ul><section id="s"><p id="q" style="color: #123456">Q <span id="t" class="t">span <i>i</i></span></p><input id="i" type="checkbox" checked><button id="b" disabled>b</button></section><div id="e"></div></div>`;

/** Name, sheet, and where it matters a body of its own. */
const pages: [string, string, string?][] = [
  [
    "specificity",
    "#p{color:red} p.p.x{color:blue} div p{font-size:20px} p{font-size:30px} *{letter-spacing:1px} em{letter-spacing:normal}",
  ],
  [
    "importance",
    "p{color:red!important;font-size:10px!important} #p{color:blue} #q{color:lime} p.p{font-size:20px!important}",
  ],
  [
    "inherit-initial",
    "div{color:red;border:1px solid} p{border:inherit;color:inherit} span{color:initial;font:inherit} em{all:inherit} i{all:unset}",
  ],
  [
    "revert",
    "h1{font-size:10px;margin:1px} h1{font-size:revert;margin:revert} a{color:red;text-decoration:none} a{all:revert} li{display:revert} #b{all:revert}",
  ],
  [
    "revert-layer",
    "@layer a{p{color:red;font-size:12px}} @layer b{p{color:blue;font-size:13px} p.p{color:revert-layer;font-size:revert-layer}} #q{color:revert-layer}",
  ],
  [
    "layers",
    "@layer one,two.inner,two; @layer two{p{color:red} @layer inner{#p{color:blue}}} @layer one{#p#p{color:lime;font-size:9px}} @layer{p{font-size:8px}} @layer three{p{font-size:7px}}",
  ],
  [
    "layers-important",
    "@layer one{p{color:red!important;font-size:8px!important}} @layer two{p{color:blue!important}} p{color:lime!important;font-size:9px!important}",
  ],
  [
    "layer-order-in-media",
    "@media print{@layer z;} @layer y{p{color:red}} @layer z{p{color:blue}} @media (min-width:500px){@layer w,y;} @layer w{p{font-size:5px}} @layer y{p{font-size:6px}}",
  ],
  [
    "nesting",
    ".a{color:red;& p{color:blue;.t &{color:lime}} > ul{color:green;& > li:first-child{color:navy;@media (min-width:400px){font-size:30px}}} &.x{font-size:20px} em{color:teal} color:maroon}",
  ],
  [
    "nesting-lists",
    "#a,.none{& p,.t{color:red}} .t{:is(#q) &{color:blue}} p{&,&.x{font-style:italic}} .x{& + &{color:lime} &:not(&.p){color:cyan}}",
  ],
  ["nesting-selector-in-middle", "li{ul &{color:red} :not(&){letter-spacing:1px} body & &{color:blue}}"],
  [
    "nested-conditionals",
    "p{@supports (display:grid){color:red;@layer k{color:blue;font-size:11px}} @media print{color:lime}}",
  ],
  [
    "scope",
    "@scope (#a){:scope{color:red} p{color:blue} & > ul{color:lime}} @scope (#s) to (.t){*{font-style:italic}} @scope (ul){li{color:teal} :scope :scope li{color:pink}}",
  ],
  [
    "scope-proximity",
    "@scope (#a){p,span{color:red;font-size:10px}} @scope (#s){p,span{color:blue}} @scope (#q){span{color:lime}} span.t{font-size:11px}",
  ],
  [
    "is-where-not-has",
    ":is(#none,p){color:red} :where(#p){color:blue} p:not(#none){font-size:9px} p:has(> a){letter-spacing:2px} div:has(+ x),ul:has(li.x){color:lime} li:has(ul li){font-weight:700} :not(p,div,html,body){word-spacing:1px}",
  ],
  [
    "has-complex",
    "section:has(~ #e){color:red} section:has(> p > .t:not(:empty)){font-size:11px} :has(#i:checked) > #b{letter-spacing:1px} h1:has(+ p a){color:blue} body:has(.nope){color:lime}",
  ],
  [
    "structural",
    "li:nth-child(odd){color:red} li:nth-last-child(2){color:blue} li:nth-child(2 of .x,#l3){font-size:20px} :only-child{letter-spacing:1px} p:last-of-type{font-style:italic} :nth-of-type(2n){word-spacing:1px} li:nth-child(-n+2){text-indent:1px} :first-child:not(head){text-transform:uppercase} :empty{color:lime}",
  ],
  [
    "attributes",
    "[data-k~=w]{color:red} [lang|=en]{font-size:20px} [class^=p]{letter-spacing:1px} [id$='1' i]{color:blue} [href*='#']{color:lime} [type=CHECKBOX]{margin:7px} [TYPE=checkbox s]{margin-left:8px} [data-k=V i]{color:tan} [class='']{color:pink} [disabled]{color:purple}",
  ],
  [
    "states",
    ":link{color:red} :visited{color:blue} :checked{margin:9px} :disabled{font-size:20px} :enabled{letter-spacing:1px} :read-only{word-spacing:1px} :required{color:lime} :optional{text-indent:3px} a:not(:hover):not(:focus){font-style:italic} :target{color:lime} :root{letter-spacing:.5px} :defined{text-transform:none} :any-link{font-weight:700}",
  ],
  [
    "lang-dir",
    ":lang(en){color:red} :lang('*-GB'){font-size:11px} :dir(rtl){font-style:italic} [dir=rtl] p{margin-inline-start:10px;padding-inline:5px 6px}",
    `<div lang="en-GB"><p>a</p><div dir="rtl"><p>b <span lang="fr">c</span></p><p dir="auto">עברית</p></div><bdi>x</bdi><p lang="">d</p></div>`,
  ],
  [
    "invalid-selectors",
    "p,:nope{color:red} p::nope{color:blue} :is(:nope,p){color:lime} :not(:nope){font-size:50px} p:{color:tan} p..x{color:tan} #1x{color:tan} >p{color:tan} p>{color:tan} p,,a{color:tan} ::before p{color:tan} a|p{color:tan} *|em{letter-spacing:1px} |em{color:tan} p:has(:has(a)){color:tan}",
  ],
  [
    "bad-declarations",
    "p{color:red;color:nope;font-size:12;font-size:20px;colour:blue;margin:1px 2px 3px 4px 5px;letter-spacing:1px 2px;: red;color;;;;font-style:italic} h1{color:lime;{color:red}color:blue} em{color:red;;color:}",
  ],
  ["missing-semicolon", "p{color:red\nfont-size:20px;letter-spacing:1px} h1{font-size:20px\n} em{color:blue"],
  ["unclosed", "p{color:red;& em{color:blue} h1{color:lime} /* open p{color:tan} "],
  ["stray-braces", "}p{color:red} h1{color:blue}} em{color:lime} ;i{color:red} ) b{color:teal} ]{} li{color:navy}"],
  [
    "cdo-escapes",
    "<!-- p{color:red} --> \\65m{color:blue} #\\70{font-size:11px} .\\78 {letter-spacing:1px} h1{c\\6flor:lime;color:\\72 ed} h1{font-family:a\\20 b,'c\\'d'}",
  ],
  [
    "unknown-at-rules",
    "@nope{p{color:red}} @nope x;p{color:blue} @media{h1{color:lime}} @charset 'x'; @import 'late.css'; @layer a.b c{p{color:tan}} @supports{em{color:tan}} @page{margin:1in} @counter-style x{} @keyframes k{from{color:red}} li{color:navy}",
  ],
  [
    "urls-strings",
    `p{background:url(a;b.png) no-repeat;color:red} h1{background-image:url("x y.png"),url('z.png');font-family:"a;b"} em{background:url(bad url);color:blue} i{color:"str;color:lime}\nb{color:teal}`,
  ],
  [
    "media",
    "@media (min-width:600px){p{color:red}} @media (max-width:599.98px){p{color:blue}} @media (width>=800px) and (width<1000px){p{font-size:20px}} @media not all and (min-width:2000px){h1{color:lime}} @media print,(orientation:portrait){em{color:teal}} @media only screen and (color){i{color:navy}} @media (min-width:40em){b{color:tan}} @media (prefers-color-scheme:dark){a{color:pink}} @media (hover:none){li{color:red}} @media (min-aspect-ratio:1/1){li{font-size:7px}}",
  ],
  [
    "media-odd",
    "@media (min-width:600){p{color:red}} @media (foo){p{color:red}} @media not (foo){p{color:red}} @media (foo) or (width){p{color:blue}} @media screen and{h1{color:red}} @media (min-width:calc(10px + 1em)){em{color:lime}} @media (400px<=width<=900px){i{color:teal}} @media (not (max-width:700px)){b{color:navy}} @media ((width) and (height)){a{color:tan}} @media all and (min-width:0){li{color:olive}} @media unknown{p{color:red}} @media not unknown{li{font-size:9px}}",
  ],
  [
    "supports",
    "@supports (display:grid) and (not (display:inline-grid)){p{color:red}} @supports not (color:nope){p{color:blue}} @supports selector(:has(a)){h1{color:lime}} @supports (--x:1){em{color:teal}} @supports (color:lch(50% 0 0)) or (foo:bar){i{color:navy}} @supports (font-size:12){b{color:red}} @supports func(x){a{color:red}} @supports not func(x){a{color:red}} @supports ((color:red) and ((margin:0))){li{color:olive}}",
  ],
  [
    "variables",
    ":root{--c:red;--s:20px;--f:Georgia,serif} p{color:var(--c);font-size:var(--s);font-family:var(--f)} em{color:var(--no,blue)} i{color:var(--no);border:var(--no) solid} b{--c:lime;color:var(--c)} h1{font:var(--s)/1.2 var(--f);margin:var(--s) var(--no,3px)} a{color:var(--c,)} code{color:rgb(var(--r,1),2,3)}",
  ],
  [
    "variable-cycles",
    "p{--a:var(--b);--b:var(--a);--c:var(--c);color:var(--a,red);font-size:var(--c,30px)} h1{--x:var(--y,blue);--y:var(--x,red);color:var(--y)} em{--a:1;--b:var(--a);letter-spacing:calc(var(--b)*1px)} i{--x:teal;--a:var(--x,var(--a));--b:var(--no,var(--b));color:var(--a);font-size:var(--b,31px)} a{--x:2px;--y:var(--z);--z:var(--x,var(--y));letter-spacing:var(--y,9px);word-spacing:var(--z,9px)}",
  ],
  [
    "variable-keywords",
    ":root{--a:red;--i:inherit} p{--a:initial;color:var(--a,blue)} em{--a:inherit;color:var(--a,lime)} h1{color:var(--i)} i{--a:unset;color:var(--a,teal)} b{--A:tan;color:var(--A);font-size:var(--a,9px)} li{--e:;color:var(--e)red;--w: 1px ;letter-spacing:var(--w)}",
  ],
  [
    "variable-case-space",
    "p{--X:red;color:var(--x,blue)} em{color:var( --X , lime )} i{--a:rgb(1,2;color:red} b{--sp:1px  2px;margin:var(--sp)} h1{--m:10;margin-left:calc(var(--m)*1px);--n:-var(--m)px;margin-top:var(--n)}",
  ],
  [
    "registered",
    "@property --len{syntax:'<length>';inherits:false;initial-value:7px} @property --col{syntax:'<color>';inherits:true;initial-value:red} @property --bad{syntax:'<length>';inherits:false} @property --any{syntax:'*';inherits:false} div{--len:20px;--col:blue;--any:5px} p{letter-spacing:var(--len);color:var(--col)} em{--len:2em;font-size:30px;letter-spacing:var(--len)} i{--len:nope;letter-spacing:var(--len)} b{word-spacing:var(--any,3px)}",
  ],
  [
    "registered-typed",
    "@property --l{syntax:'<length>';inherits:true;initial-value:3px} @property --lp{syntax:'<length-percentage>+';inherits:true;initial-value:1px} @property --k{syntax:'small | big | <integer>';inherits:true;initial-value:small} @property --c{syntax:'<color>#';inherits:true;initial-value:red} @property --n{syntax:'<number>';inherits:true;initial-value:1} div{font-size:20px;--l:2em;--n:calc(1 + 2);--lp:1em 10%} p{font-size:10px;margin-left:var(--l);line-height:var(--n)} #s{--l:calc(1rem + 1em);--k:3} #s p{font-size:8px;text-indent:var(--l);letter-spacing:calc(var(--k) * 1px)} #t{--l:nope;--k:tiny;--n:4px;text-indent:var(--l);letter-spacing:calc(var(--n)*1px)} h1{--c:hsl(120 50% 50%),blue;color:var(--c);padding:var(--lp)} li{--c:color-mix(in srgb,red,blue);color:var(--c)} #l2{--y:var(--l);font-size:30px;margin-top:var(--y);--l:1ch}",
  ],
  [
    "font-units",
    "p{margin:1ex 2ch 1cap 1ic;font-size:20px} em{letter-spacing:.1ch;font-size:3ex} h1{font-family:monospace;text-indent:2ch;padding:1rex 1rch 1rcap 1ric;font-weight:400} #s{line-height:normal;margin-top:1lh;padding-top:1rlh} #s p{font-family:sans-serif;margin-top:1lh;line-height:2lh} li{font-size:1.5cap;word-spacing:1ic} html{font-family:sans-serif} code{line-height:normal;font-size:1lh}",
  ],
  [
    "container-units",
    "div{container-type:inline-size;padding:0 10%;width:300px} p{margin:1cqw 1cqi 1cqh 1cqb;font-size:5cqw} section{container-type:size;height:200px;writing-mode:vertical-rl} #q{padding:1cqmin 1cqmax;font-size:4cqh} #t{letter-spacing:1cqi;margin-left:1cqb} ul{container-type:inline-size;writing-mode:vertical-lr;height:150px} li{letter-spacing:1cqw;word-spacing:1cqh} body{margin:2cqw}",
  ],
  [
    "fallback-shorthand",
    "p{margin:1px 2px;margin:var(--none)} h1{font:italic 20px serif;font:var(--none,bold 10px monospace)} em{text-decoration:underline;text-decoration:var(--none)} i{background:red;background:var(--none,blue)} b{border:1px solid red;border-color:var(--none)}",
  ],
  [
    "font-shorthand",
    "p{font:italic small-caps bold condensed 20px/1.5 'A B',Georgia,serif} h1{font:12px x} em{font:oblique 10deg 20px a} i{font:normal normal normal 20px/normal a} b{font:700 1.5em/2em b} a{font:caption} code{font:20px monospace} li{font:20px} #l2{font:inherit} #l3{font:small/120% inherit} #t{font:300 larger/1 x,y}",
  ],
  [
    "font-sizes",
    "h1{font-size:xxx-large} p{font-size:smaller} em{font-size:larger} a{font-size:150%} code{font-size:1em} li{font-size:2rem} b{font-size:calc(100% + 2px)} i{font-size:max(1em,20px)} span{font-size:clamp(1rem,10vw,2rem)} #u{font-size:medium} #s{font-size:x-small} button{font-size:1.5em} #e{font-size:-5px} #l3{font-size:0}",
  ],
  [
    "font-size-monospace",
    "code{font-family:monospace} p{font-family:monospace} #t{font-family:monospace;font-size:2em} i{font-family:serif} #u{font-family:monospace,monospace} #u li{font-size:1em} #l2{font-family:monospace;font-size:larger} h1{font-family:monospace;font-size:x-large} h1 em{font-family:serif} #s{font-family:monospace;font-size:20px} #s b{font-family:serif} button{font-family:monospace}",
  ],
  [
    "font-weights",
    "p{font-weight:bolder} em{font-weight:lighter} h1{font-weight:950} h1 em{font-weight:lighter} b{font-weight:bolder} #u{font-weight:350} #u li{font-weight:bolder} #l2 li{font-weight:bolder} i{font-weight:0} a{font-weight:1001} code{font-weight:calc(100*5)} #t{font-weight:1}",
  ],
  [
    "font-families",
    `p{font-family:Times New Roman,serif} em{font-family:"serif",sans-serif} h1{font-family:a,} i{font-family:Foo  Bar,'Foo  Bar'} b{font-family:inherit} a{font-family:2x,serif} code{font-family:-x,_y,system-ui,ui-monospace,math} li{font-family:"Ünï cödé",Ünï} #l2{font-family:default} #l3{font-family:x inherit}`,
  ],
  [
    "font-axes",
    `p{font-variation-settings:"wdth" 80,"wght" calc(300 + 20)} em{font-variation-settings:"wght" 1,"aaaa" -2.5,"wght" 3} h1{font-variation-settings:normal;font:20px serif} b{font:12px x} i{font-variation-settings:"abc" 1} a{font-variation-settings:inherit} li{font-variation-settings:initial}`,
  ],
  [
    "font-other",
    "p{font-style:oblique} em{font-style:oblique 20deg} i{font-style:oblique 100deg} h1{font-stretch:condensed;font-variant:small-caps} a{font-stretch:110%;font-variant-caps:all-small-caps} b{font-variant:tabular-nums small-caps} code{font-size-adjust:.5} li{font-size-adjust:cap-height .7;font-variant:none} span{font-size-adjust:ex-height 0.4}",
  ],
  [
    "line-height",
    "div{line-height:1.5} p{line-height:2em} em{font-size:2em} h1{line-height:120%} #u{line-height:normal} li{line-height:30px} #l2{line-height:calc(1.2 + .3)} i{line-height:calc(1em + 2px)} b{line-height:-1} a{line-height:1.5rem} code{line-height:0} button{line-height:inherit}",
  ],
  [
    "spacing",
    "p{letter-spacing:.1em;word-spacing:1em;text-indent:2em hanging} em{font-size:2em} h1{letter-spacing:normal;word-spacing:normal;text-indent:10%} i{letter-spacing:10%;word-spacing:50%} b{text-indent:each-line 3px} a{letter-spacing:0;word-spacing:-2px} li{text-indent:calc(10% + 5px)} code{letter-spacing:calc(1px*2)}",
  ],
  [
    "text-properties",
    "p{text-align:justify;text-align-last:center;text-transform:capitalize full-width;hyphens:auto} h1{text-align:match-parent;white-space:pre-line} em{text-transform:uppercase lowercase} i{white-space:nowrap pre} b{white-space:break-spaces;text-wrap:balance} a{text-wrap:nowrap balance;hyphens:none} #u{direction:rtl;text-align:start} li{text-align:match-parent} code{white-space-collapse:preserve-breaks;text-wrap-mode:nowrap} #s{writing-mode:vertical-rl;text-align:end}",
  ],
  [
    "decoration",
    "p{text-decoration:underline overline wavy red 2px} em{text-decoration:line-through;text-decoration-thickness:.1em} h1{text-decoration-line:underline;text-decoration-color:currentcolor;text-underline-offset:.2em;text-underline-position:under left} a{text-decoration:none;text-decoration-skip-ink:none} i{text-decoration:dotted} b{text-decoration:underline underline} code{text-decoration:from-font double;text-underline-offset:10%} li{text-decoration:5% underline;color:red} #l2{text-decoration-thickness:calc(1em/10)} #l3{text-decoration:blink spelling-error}",
  ],
  [
    "shadow-opacity",
    "p{text-shadow:1px 2px red,3px 4px 5px} em{color:blue} h1{text-shadow:red 1em 1em .5em} i{text-shadow:1px} b{text-shadow:1px 1px -1px} a{text-shadow:currentcolor 0 0} li{opacity:50%} #l2{opacity:2} #l3{opacity:-1} code{opacity:calc(.5 + .2);text-shadow:none} span{visibility:collapse}",
  ],
  [
    "colors-old",
    "p{color:#F0a;background:#abcd} em{color:rgb(10%,20%,30%)} h1{color:rgba(1,2,3,.456);background-color:RGB(300,-5,0)} i{color:hsl(120,50%,50%)} b{color:hsla(480deg,100%,25%,50%)} a{color:transparent} code{color:ReD} li{color:rgb(1,2,3,4)} #l2{color:rgb(1 2 3)} #l3{color:rgb(1,2%,3)} #t{color:#12345}",
  ],
  [
    "colors-new",
    "p{color:oklch(60% .1 200)} em{color:lab(50% 40 -20/.5)} h1{color:color(display-p3 1 .5 0)} i{color:hwb(90 10% 20%)} b{color:lch(50 30 none)} a{color:oklab(.5 .1 -.1)} code{color:color(srgb 1.2 0 0/none)} li{color:rgb(none 10 20)} #l2{color:hsl(20 50 50)} #l3{color:oklch(150% -1 900)} #t{color:color(xyz .1 .2 .3)} #e{color:color(rec2020 .1 .2 .3/50%)}",
  ],
  [
    "color-mix",
    "p{color:color-mix(in srgb,red,blue)} em{color:color-mix(in oklch,red 30%,blue)} h1{color:color-mix(in hsl longer hue,red,lime 20%)} i{color:color-mix(in lab,transparent,red)} b{color:color-mix(in srgb,currentcolor 50%,white)} a{color:color-mix(in srgb,red 20%,blue 30%)} code{color:color-mix(in oklab,rgb(0 0 0/.5),white)} li{color:color-mix(in hwb,red,blue)} #l2{color:color-mix(in display-p3,red,blue)} #l3{color:color-mix(red,blue)} #t{color:color-mix(in xyz,red 0%,blue)}",
  ],
  [
    "relative-colors",
    "p{color:rgb(from red g r b)} em{color:hsl(from green calc(h + 90) s l / .5)} h1{color:oklch(from blue calc(l*1.2) c h)} i{color:rgb(from currentcolor r g b/50%)} b{color:color(from teal display-p3 r g b)} a{color:lab(from red l 0 0)} code{color:hwb(from white h w b)} li{color:rgb(from rgb(10 20 30/.4) r g b)} #l2{color:rgb(from nope r g b)} #l3{color:lch(from #abc l calc(c/2) none)}",
  ],
  [
    "currentcolor",
    "div{color:red;border:1px solid} p{color:blue;border:inherit;outline:1px solid;text-decoration:underline} em{color:currentcolor;background:currentcolor} h1{color:lime;text-shadow:1px 1px;background:color-mix(in srgb,currentcolor,transparent)} i{-webkit-text-fill-color:red;color:inherit;border-top:1px dotted currentcolor}",
  ],
  [
    "schemes",
    ":root{color-scheme:light dark} p{color:light-dark(red,blue);background:canvas} h1{color-scheme:dark;color:light-dark(red,blue);background:canvas} em{color:CanvasText} #u{color-scheme:only light;color:linktext} i{color:graytext;background:mark} b{color:light-dark(nope,red)} #s{color-scheme:light;background:field} button{color-scheme:dark}",
  ],
  [
    "scheme-normal",
    ":root{color-scheme:dark} p{color:canvastext} h1{color-scheme:normal;color:canvastext} a{color:visitedtext} li{color:highlighttext;background:highlight} i{color:accentcolor} b{color:selecteditem;background:buttonborder} em{color:activetext}",
  ],
  [
    "backgrounds",
    "p{background:red url(a.png) no-repeat center/cover padding-box,linear-gradient(red,blue)} h1{background:url(a.png),blue} em{background:linear-gradient(to right,red 10%,hsl(0 50% 50%) 5em,transparent)} i{background:none} b{background:repeat-x left 10px top 5px/10px auto fixed border-box lime} a{background:radial-gradient(circle at 10% 20%,red,blue 50%)} code{background-clip:text,padding-box;background-image:none,none,none} li{background:red blue} #l2{background:0 0} #l3{background-color:inherit;background-image:conic-gradient(from 10deg,red,blue)}",
  ],
  [
    "borders",
    "p{border:thin solid red} em{border:1.7px dashed} h1{border:solid} i{border-top:5px} b{border-width:1px 2px;border-style:solid;border-color:red blue} a{border:0.3px solid} code{border-left:thick double #123} li{border:none 3px} #l2{border-inline:2px solid lime;border-block-end:3px solid} #l3{border-color:red;border-top-style:solid;border-style:none}",
  ],
  [
    "boxes",
    "p{margin:1em auto 2% -3px;padding:1em 2em} h1{margin:0 10px;font-size:20px;padding:5px 1vw} em{margin:1rem;padding:calc(1px + 2px)} i{padding:-1px;margin:-1em} b{margin-left:2pt;margin-right:1pc;margin-top:1mm;margin-bottom:.1in} li{margin:1q;padding:1cm} #u{padding-inline:1em 2em;margin-block:3px} #l2{margin:1px 2px 3px;padding:0 0 0}",
  ],
  [
    "logical",
    "p{margin-inline:1px 2px;margin-left:5px} h1{margin-left:5px;margin-inline-start:6px} #s{writing-mode:vertical-lr} #s p{margin-block-start:7px;padding-inline-end:8px} #u{direction:rtl;padding-inline-start:9px} li{border-inline-start:2px solid red;margin-inline-end:3px!important;margin-left:4px} #e{writing-mode:sideways-lr;margin-inline-start:3px;margin-block-end:4px}",
  ],
  [
    "display",
    "#a{display:flex} h1{display:inline} #u{display:grid} li{display:inline-block} #s{display:contents} em{display:block flow} i{display:inline flow-root} b{float:left} a{position:absolute} code{display:inline-flex;position:fixed} #t{display:table-cell} #e{display:none} #l2{display:list-item inline} #l3{display:nope}",
  ],
  [
    "display-contents-flex",
    "#a{display:grid} #s{display:contents} #s p{display:inline} #u{display:flex} #l2{display:contents} #l2 ul{display:inline-block} body{display:inline-flex} html{display:inline}",
  ],
  [
    "units",
    "p{letter-spacing:1vw;word-spacing:1vmin;text-indent:1vh;margin-left:1dvw;margin-right:1svh;padding-left:1lvmax;padding-right:1vi;padding-top:1vb} h1{margin:1rem;font-size:2vmax} html{line-height:1.25} code{letter-spacing:1lh} #u{line-height:2;text-indent:1lh} li{text-indent:1rlh;word-spacing:1q} b{text-indent:1Px;letter-spacing:1EM}",
  ],
  [
    "math",
    "p{font-size:calc((1em + 4px)*2/2)} em{letter-spacing:min(1px,2px,.5em)} h1{margin-left:round(7px,5px);margin-right:mod(7px,5px);margin-top:rem(-7px,5px);margin-bottom:abs(-3px)} i{letter-spacing:calc(1px*sin(90deg))} b{word-spacing:hypot(3px,4px)} a{letter-spacing:calc(1px*pow(2,3))} code{text-indent:max(10%,5px)} li{letter-spacing:calc(1px+2px)} #l2{letter-spacing:calc(1px + 2)} #l3{letter-spacing:calc(infinity*1px)} #t{word-spacing:calc(1px*sign(-5px));letter-spacing:clamp(1px,none,2px)}",
  ],
  [
    "math-nested",
    "p{margin-left:calc(10px - (2px - 1px));padding-left:calc(5% + (1em*2))} em{font-size:calc(1em*calc(2 - .5))} h1{font-size:calc(16px/(2*1))} i{letter-spacing:calc(1px/0)} b{opacity:calc(1/2)} li{padding-left:min(5%,10px + 1%)} #l2{margin-left:calc(-1*var(--x,4px))} #t{line-height:calc(2*1.1)}",
  ],
  [
    "all",
    "p{all:initial} em{all:unset} h1{all:inherit} li{color:red;all:revert;font-size:9px} #l2{all:initial!important;color:blue} a{all:red}",
  ],
  [
    "hints",
    "td{padding:9px}",
    `<table border="3" cellpadding="5" bgcolor="#eee" align="center"><tr><td align="right" bgcolor=red nowrap>a</td><th valign=top>b</th></tr></table><font color="chucknorris" size="+2" face="Arial, sans">f</font><font size=1 color="#12">g</font><p align=center>c</p><div align=right><p>d</p></div><center><p>e</p><table><tr><td>x</table></center><hr color=red size=5 noshade><img border=3 hspace=4 vspace=5 align=left><ul type=disc><li type=a>l</ul><h1 align=justify>h</h1><table cellpadding=0 border=0><tr align=center><td>y</table><pre width=10>p</pre>`,
  ],
  [
    "body-hints",
    "",
    `<script></script></body><body text="green" bgcolor="#eef" link="red" marginwidth=3 topmargin=4><p>x <a href="#">y</a></p></body>`,
  ],
  [
    "form-controls",
    "input,select,button,textarea{font:inherit;color:inherit} fieldset{border:0} ::placeholder{color:red} option{color:blue}",
    `<form style="color:teal;font:20px/1.5 Georgia"><input><input type=submit value=x><input type=search><select><option>a</option></select><select multiple><option>b</option></select><textarea></textarea><button>b</button><fieldset disabled><legend>l <input></legend><input><button>c</button></fieldset><label>l</label><output>o</output></form>`,
  ],
  [
    "tables",
    "table{border-collapse:collapse;font-size:20px} td{border:1px solid} th{text-align:inherit} caption{text-align:start}",
    `<div style="text-align:right;color:red"><table><caption>c</caption><thead><tr><th>h</th></tr></thead><tbody><tr><td>d</td></tr></tbody></table></div>`,
  ],
  [
    "pseudo-elements-do-not-leak",
    "p::before{content:'x';color:red} p::first-line{color:blue} p:first-letter{font-size:50px} ::selection{color:lime} li::marker{color:red} p{color:tan} *::after{color:red}",
  ],
  [
    "pseudo-elements",
    "p::before{content:'x' attr(id);color:red;font-size:2em;margin-left:1em} p::after{content:counter(c);display:block;letter-spacing:1em} .t::before{content:'';color:red} li::marker{color:teal;font-weight:700;font-size:20px} p::first-letter{font-size:3em;color:lime;line-height:1} #h::first-line{color:navy;text-transform:uppercase;letter-spacing:2px} #h::first-letter{font-size:2em} ::placeholder{color:#abc;font-style:italic} #a::before{content:'y';float:left;opacity:.5} h1::after{content:'z';position:absolute} li:nth-child(2)::before{content:'n';all:unset} em::before{content:'q';text-decoration:underline;color:inherit}",
    body +
      '<input placeholder="ph"><textarea placeholder="pt"></textarea><q>q <q>r</q></q><div style="display:flex;color:teal"><i class=t>f</i></div>',
  ],
  [
    "pseudo-variables",
    "p{--c:red} p::before{content:'x';color:var(--c);--c:blue} .t::before{content:var(--txt,'t');border:1px solid} h1::before{content:'h';font:inherit;color:currentcolor} li::before{content:'-';margin-inline-end:.5em;display:inline-block} @media (min-width:500px){em::after{content:'wide'}} code::before{content:none} code::after{content:'';color:red}",
  ],
  [
    "nested-elements",
    "",
    `<p>a<div>b</div>c<table><tr><p>foster<td>x</table><b><i>mis</b>nested</i><a>one<a>two</a><form>f</form><ul><li>1<li>2<dl><dt>t<dd>d</dl></ul><h1>h<h2>i</h2></h1><select><option>y</select><button><p>z</button>`,
  ],
  [
    "sub-sup-small",
    "sub{line-height:0;font-size:75%} small small{font-size:smaller} big big{color:red}",
    `<p>x<sub>1<sub>2</sub></sub><sup>3<small>4<small>5</small></small></sup><big>b<big>c</big></big><tt>t<code>u</code></tt><pre>p<tt>q</tt></pre><kbd style="font-size:2em">k</kbd></p>`,
  ],
  [
    "headings-in-sections",
    "",
    `<section><h1>a</h1><section><h1>b</h1><article><h1>c</h1><nav><h1>d</h1></nav></article></section></section><hgroup><h1>e</h1></hgroup><ul><li><ol><li><menu><li>x</menu></ol></ul><dl><dd><dl><dd>y</dl></dl>`,
  ],
  [
    "details-dialog",
    "summary{list-style:none}",
    `<details><summary>s</summary><p>x</p></details><details open><summary>s</summary><summary>t</summary>y</details><dialog>d</dialog><dialog open>o</dialog><div popover>p</div><div hidden>h</div><div hidden=until-found>u</div><p hidden style="display:flex">f</p>`,
  ],
  [
    "quotes-ruby",
    "q{color:red} rt{color:blue}",
    `<p><q>a <q>b</q></q><ruby>x<rt>y</rt></ruby><abbr title=t>z</abbr><abbr>w</abbr><ins>i</ins><del>d</del><mark>m</mark><s>s</s><u>u</u><var>v</var><samp>s</samp><dfn>d</dfn><address>a</address></p>`,
  ],
  [
    "svg-inline",
    "svg{color:red} text{font-size:20px;fill:blue} a{color:lime;text-decoration:underline} .T{letter-spacing:1px}",
    `<p><svg class="T" width="10" height="10" font-size="30"><text class="t">a <tspan>b</tspan></text><a href="#"><text>c</text></a><foreignObject><p>d</p></foreignObject><linearGradient/></svg></p>`,
  ],
  [
    "many-sheets",
    "p{color:red}",
    `<style>p{color:blue}</style><style media="print">p{color:lime}</style><style media="(min-width:500px)">p{font-size:30px}</style><style type="text/less">p{color:tan}</style><style title="x">p{letter-spacing:1px}</style><style title="y">p{letter-spacing:2px}</style>${body}<style>em{color:teal}</style>`,
  ],
  [
    "style-attributes",
    "p{color:red!important}",
    `<p style="color:blue;font-size:20px;">a</p><p style="color:blue!important;letter-spacing:1px;letter-spacing:bad">b</p><p style="{color:blue}">c</p><p style="color:blue;}font-size:9px">d</p><p style="--x:lime;border:1px solid var(--x)">e</p><p style="COLOR:BLUE !IMPORTANT">f</p><p style="/*x*/font-size/**/:/**/12px/**/">g</p><p style="& {color:red}; font-size: 11px">h</p>`,
  ],
  [
    "universal-inherit",
    "*{font:inherit;color:inherit} *,*::before{letter-spacing:1px;box-sizing:border-box} html{font-size:62.5%;color:#333} body{font-size:1.6rem;line-height:1.6}",
  ],
  [
    "reset-then-set",
    "html,body,div,span,h1,p,a,ul,li{margin:0;padding:0;border:0;font-size:100%;font:inherit;vertical-align:baseline} ol,ul{list-style:none} h1{font-size:2.5em;font-weight:700} p+p{margin-top:1em}",
  ],
  [
    "keyword-case",
    "P{COLOR:RED;Font-Size:20PX;FONT-FAMILY:ARIAL,Sans-Serif} H1{TEXT-TRANSFORM:UPPERCASE;DISPLAY:INLINE-BLOCK} .X{color:blue} .x{letter-spacing:1PX} EM{color:RGB(1,2,3)} LI:FIRST-CHILD{color:LIME} A:LINK{color:INHERIT}",
  ],
  [
    "vendor",
    "p{-webkit-text-fill-color:red;-moz-hyphens:auto;-webkit-hyphens:auto} h1{-webkit-font-smoothing:antialiased;_color:red;*color:red;color:blue\\9;filter:alpha(opacity=50)} em{color:blue!ie} i{-webkit-background-clip:text;background-image:-webkit-linear-gradient(top,red,blue)} b{display:-webkit-box} a{text-decoration:-moz-x;font-family:-apple-system,BlinkMacSystemFont,'Segoe UI'}",
  ],
  [
    "containers",
    "#a{container-type:inline-size} #s{container:side/inline-size;width:200px;padding:10px} @container (min-width:99999px){p{color:red}} @container nope (min-width:1px){p{color:red}} @container (width<500px){p{color:blue}} @container side (inline-size:200px){p{font-size:9px}} @container (min-width:500px) and (not (min-width:1000px)){li{color:teal}} @container (min-height:1px){em{color:red}} @container (min-width:1px) or (foo){h1{color:navy}} @container (width > 20em){@container side (width){span{letter-spacing:1px}}}",
  ],
  [
    "container-styles",
    "#a{--k: on;--n:1} @container style(--k:on){p{color:blue}} @container style(--k: off){p{color:red}} @container style(--n){em{color:teal}} @container not style(--zz){i{color:navy}} @container style(--k:on) and style(--n:1){li{font-size:9px}}",
  ],
  [
    "attributes-as-values",
    "p{font-size:attr(data-s px);color:red} p{color:attr(data-c type(<color>),blue)} li{line-height:attr(data-n number,3);letter-spacing:attr(data-s type(<length> | <percentage>));margin-left:attr(data-e em)} h1{font-family:attr(data-f),serif;word-spacing:attr(data-s %)} i{color:lime;color:attr()} b{color:lime;color:attr(1)} em{--v:attr(data-c type(<color>),teal);color:var(--v)} code{font-size:attr(data-s foo)} span{text-indent:attr(data-v type(*))} h2{font-family:attr(data-f raw-string),attr(data-none),attr(data-none,'z')} p::before{content:'x';color:attr(data-c type(<color>))} small{color:attr(data-c type(<color>),)} u{font-family:attr(data-f type(<custom-ident>)),attr(data-f type(<string>),mono)} li:nth-child(2){--w:attr(data-s type(<length>),9px);word-spacing:var(--w)}",
    `<div style="--len:7px"><h1 data-f="A B" data-s=5>h<i>i</i><b>b</b><em data-c=navy>e</em><em>e</em></h1><p data-s=12 data-c=red>p</p><p data-s=" 14 " data-c="rgb(1 2 3)">p<span data-v="var(--len)">s</span></p><p data-s=12x data-c=nope>p<code data-s=9>c</code></p><p DATA-S="calc(9)" data-c="light-dark(red,blue)">q</p><ul><li data-s=1.5em data-n=1.2 data-e=2>1<li data-s=10% data-n=x>2<li data-s="calc(1px + 1em)" data-e=-1>3<li>4</ul><h2 data-f='q"q'>h</h2><small data-c=z>s</small><u data-f=Foo>u</u></div>`,
  ],
  [
    "values-by-condition",
    ":root{--a:1;--b:if(style(--a:1):red;else:blue);--d:if(style(--c:x):1px)} div{--c:x} p{color:var(--b);letter-spacing:var(--d,3px);font-size:if(media(width<600px):10px;media(width<1000px):20px;else:30px)} h1{color:if(style(--a):green;else:tan);font-size:calc(10px + if(style(--q):1px;else:5px))} em{color:if(not style(--q):navy)} i{color:lime;color:if(style(--a:2):red)} b{color:lime;color:if()} code{color:lime;color:if(foo:red;else:blue)} a{color:if(supports(display:grid) and (style(--c:x)):teal;else:red)} li{--e:if(style(--e:1):1;else:2);line-height:var(--e,4);color:if(media(prefers-color-scheme:dark):#eee;else:#111)} span{color:if(media(print):red;else:)} small{color:if(supports(nope:1) or style(--a:1):olive)}",
  ],
  [
    "counted-siblings",
    "li{font-size:calc(10px + sibling-index()*2px);line-height:sibling-count();--i:sibling-index();letter-spacing:calc(var(--i)*1px)} h1{color:rgb(calc(sibling-index()*40) 0 0);--h:sibling-index()} h1 em{word-spacing:calc(var(--h)*3px)} p{font-size:20px;font-size:sibling-index()} p{font-weight:calc(sibling-index()*100)} b{line-height:2;line-height:sibling-index(1)} i{margin:calc(sibling-count()*1px) calc(sibling-index()*1px)} @property --n{syntax:'<integer>';inherits:true;initial-value:0} ul{--n:sibling-index()} ul li{text-indent:calc(var(--n)*1px)} li::before{content:'x';letter-spacing:calc(sibling-index()*1px)} section *{margin-left:calc(sibling-index()*1px)}",
  ],
  [
    "clamps-and-orders",
    "p{-webkit-line-clamp:3;paint-order:fill markers} h1{-webkit-line-clamp:0;paint-order:markers fill} em{-webkit-line-clamp:2.5;paint-order:stroke markers fill} i{-webkit-line-clamp:calc(1 + 2);paint-order:fill fill} b{-webkit-line-clamp:none;paint-order:normal} code{zoom:50%;paint-order:fill stroke markers} li{zoom:1.5;font-size:1.2em;border:1px solid} a{zoom:0} span{zoom:-1} section{zoom:normal;paint-order:markers stroke}",
  ],
  ["starting-style", "p{color:red} @starting-style{p{color:blue}} h1{@starting-style{color:lime}}"],
  [
    "font-face-rules",
    "@font-face{font-family:F;src:url(f.woff2);color:red} @font-face{p{color:red}} p{font-family:F,serif}",
  ],
  [
    "deep-inheritance",
    "div{font-size:1.1em;line-height:1.1em;letter-spacing:.1em;text-indent:1em}",
    "<div>".repeat(12) + "<p>x</p>" + "</div>".repeat(12),
  ],
  [
    "big-numbers",
    "p{font-size:1e3px;letter-spacing:1e-7px;margin:1e9px} h1{font-size:99999999px;line-height:1e10} em{text-indent:-1e8px;opacity:1e-10} i{word-spacing:.00001px} b{font-weight:1e3;letter-spacing:0.123456789px} a{margin-left:123456.789px} li{margin-left:1234567.89px;font-size:12.3456789px}",
  ],
];

export function nastyPages(): SiteFile[] {
  return pages.map(([name, css, own]) => ({
    path: `${name}.html`,
    text: `<!doctype html><html lang="en"><head><meta charset="utf-8"><style>${css}</style></head><body>${own ?? body}</body></html>`,
  }));
}
