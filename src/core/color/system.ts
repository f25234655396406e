/** System colours (CSS Color 4, 6.2) as Chromium has them on a desktop, for the light and the dark scheme, 0xRRGGBB. */
const text = `
accentcolor 0075ff 0075ff|accentcolortext ffffff ffffff|activetext ff0000 ff0000|buttonborder 000000 ffffff|buttonface efefef 6b6b6b
buttontext 000000 ffffff|canvas ffffff 121212|canvastext 000000 ffffff|field ffffff 3b3b3b|fieldtext 000000 ffffff|graytext 808080 808080
highlight 0041c6 0041c6 0.8|highlighttext ffffff ffffff|linktext 0000ee 9e9eff|mark ffff00 ffff00|marktext 000000 000000
selecteditem 1967d2 99c8ff|selecteditemtext ffffff 3b3b3b|visitedtext 551a8b d0adf0|activeborder 000000 ffffff|activecaption ffffff 121212
appworkspace ffffff 121212|background ffffff 121212|buttonhighlight efefef 6b6b6b|buttonshadow efefef 6b6b6b|captiontext 000000 ffffff
inactiveborder 000000 ffffff|inactivecaption ffffff 121212|inactivecaptiontext 808080 808080|infobackground ffffff 121212
infotext 000000 ffffff|menu ffffff 121212|menutext 000000 ffffff|scrollbar ffffff 121212|threeddarkshadow 000000 ffffff
threedface efefef 6b6b6b|threedhighlight 000000 ffffff|threedlightshadow 000000 ffffff|threedshadow 000000 ffffff|window ffffff 121212
windowframe 000000 ffffff|windowtext 000000 ffffff|-webkit-link 0000ee 9e9eff|-webkit-activelink ff0000 ff9e9e
-webkit-focus-ring-color 101010 eeeeee`;

/** Name to the colour in the light and in the dark scheme; the deprecated names included (CSS Color 4, appendix A). */
export const systemColors: ReadonlyMap<string, { light: number; dark: number; alpha?: number }> = new Map(
  text
    .trim()
    .split(/[|\n]/)
    .map((line) => {
      const [name, light, dark, alpha] = line.split(" ") as [string, string, string, string?];
      return [
        name,
        { light: parseInt(light, 16), dark: parseInt(dark, 16), ...(alpha ? { alpha: Number(alpha) } : {}) },
      ];
    }),
);
