/** Attributes of HTML (HTML, Attributes index), those of old included. */
const attributes = new Set(
  `abbr accept accept-charset accesskey action align alink allow allowfullscreen alt async autocapitalize autocomplete
   autocorrect autofocus autoplay axis background bgcolor blocking border bordercolor cellpadding cellspacing char charoff
   charset checked cite class classid clear code codebase codetype color cols colspan command commandfor compact content
   contenteditable controls coords crossorigin data datetime declare decoding default defer dir dirname disabled download
   draggable enctype enterkeyhint face fetchpriority for form formaction formenctype formmethod formnovalidate formtarget
   frame frameborder headers height hidden high href hreflang hspace http-equiv id imagesizes imagesrcset inert inputmode
   integrity is ismap itemid itemprop itemref itemscope itemtype kind label lang language link list longdesc loop low
   marginheight marginwidth max maxlength media method min minlength multiple muted name nohref nomodule nonce noresize
   noshade novalidate nowrap object open optimum pattern ping placeholder playsinline popover popovertarget
   popovertargetaction poster preload profile prompt readonly referrerpolicy rel required rev reversed role rows rowspan
   rules sandbox scheme scope scrolling selected shape size sizes slot span spellcheck src srcdoc srclang srcset standby
   start step style summary tabindex target text title translate type usemap valign value valuetype version vlink vspace
   width wrap writingsuggestions xmlns property typeof about prefix vocab resource`.split(/\s+/),
);

/** Whether a name in small letters is an attribute, or is made as those of one's own are. */
export function isAttribute(name: string): boolean {
  return attributes.has(name) || /[-:@.]|^on[a-z]+$/.test(name);
}
