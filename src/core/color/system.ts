/** System colours (CSS Color 4, 6.2) as Chromium has them on a desktop, for the light and the dark scheme, 0xRRGGBB. */
export const systemColors: ReadonlyMap<string, { light: number; dark: number; alpha?: number }> = new Map(
  Object.entries({
    accentcolor: { light: 0x0075ff, dark: 0x0075ff },
    accentcolortext: { light: 0xffffff, dark: 0xffffff },
    activetext: { light: 0xff0000, dark: 0xff9e9e },
    buttonborder: { light: 0x000000, dark: 0xffffff },
    buttonface: { light: 0xefefef, dark: 0x6b6b6b },
    buttontext: { light: 0x000000, dark: 0xffffff },
    canvas: { light: 0xffffff, dark: 0x121212 },
    canvastext: { light: 0x000000, dark: 0xffffff },
    field: { light: 0xffffff, dark: 0x3b3b3b },
    fieldtext: { light: 0x000000, dark: 0xffffff },
    graytext: { light: 0x808080, dark: 0x808080 },
    highlight: { light: 0x3367d1, dark: 0x3367d1 },
    highlighttext: { light: 0xffffff, dark: 0xffffff },
    linktext: { light: 0x0000ee, dark: 0x9e9eff },
    mark: { light: 0xffff00, dark: 0xffff00 },
    marktext: { light: 0x000000, dark: 0x000000 },
    selecteditem: { light: 0x3367d1, dark: 0x3367d1 },
    selecteditemtext: { light: 0xffffff, dark: 0xffffff },
    visitedtext: { light: 0x551a8b, dark: 0xd0adf0 },
  }),
);
