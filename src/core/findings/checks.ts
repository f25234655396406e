/** The list of checks. A new check is a file and a line here. */
import { alwaysLosing } from "./always";
import { attributes } from "./attributes";
import { atRuleSlips } from "./atRules";
import { braces } from "./braces";
import { brokenTags } from "./brokenTags";
import { circles } from "./circles";
import { comments } from "./comments";
import { contrast } from "./contrast";
import { contrastStates } from "./contrastStates";
import { ignoredDeclarations } from "./declarations";
import { decorations } from "./decorations";
import { fakedFaces } from "./fakedFaces";
import { fallbackShift } from "./fallbackShift";
import { fewPlatforms } from "./fewPlatforms";
import { focusLost } from "./focus";
import { fontFaceSlips } from "./fontFaces";
import { fonts } from "./fonts";
import { forcedColors } from "./forcedColors";
import { headings } from "./headings";
import { linkColor } from "./linkColor";
import { linkOrder } from "./linkOrder";
import { sheetLinks } from "./links";
import { missingSheet } from "./missingSheet";
import { names } from "./names";
import { noEffect } from "./noEffect";
import { noSheet } from "./noSheet";
import { pageGround } from "./pageGround";
import { pairsAlone } from "./pairsAlone";
import { pictureFallback } from "./pictureFallback";
import { presentational } from "./presentational";
import { pseudoProperties } from "./pseudoProperties";
import { punctuation } from "./punctuation";
import { quotes } from "./quotes";
import { ranges } from "./ranges";
import { remoteParts } from "./remote";
import { resets } from "./resets";
import { runningText } from "./runningText";
import { schemeClaimed } from "./schemeClaimed";
import { selectionContrast } from "./selectionContrast";
import { invalidSelectors } from "./selectors";
import { styleAttributes } from "./styleAttributes";
import { sizeTwins } from "./sizeTwins";
import { stackTwins } from "./stackTwins";
import { stackSlips } from "./stacks";
import { fixedSizes, smallText } from "./textSizes";
import { styleTwins } from "./styleTwins";
import { colorTwins, customProperties, sameDeclarations, sheetTwice } from "./tidy";
import { stress } from "./stress";
import { setTwice } from "./twice";
import type { Check } from "./types";
import { unmatchedSelectors } from "./unmatched";
import { undefinedVariables } from "./variables";
import { vendorAlone } from "./vendor";

/** Where two tell of one spot, the first is the cause. */
export const checks: readonly Check[] = [
  contrast,
  contrastStates,
  selectionContrast,
  missingSheet,
  noSheet,
  sheetLinks,
  braces,
  comments,
  quotes,
  punctuation,
  ignoredDeclarations,
  invalidSelectors,
  unmatchedSelectors,
  atRuleSlips,
  stackSlips,
  undefinedVariables,
  circles,
  brokenTags,
  names,
  styleAttributes,
  attributes,
  ranges,
  setTwice,
  resets,
  pseudoProperties,
  noEffect,
  alwaysLosing,
  linkOrder,
  decorations,
  focusLost,
  forcedColors,
  linkColor,
  runningText,
  smallText,
  fixedSizes,
  stress,
  pairsAlone,
  schemeClaimed,
  vendorAlone,
  fontFaceSlips,
  fakedFaces,
  fallbackShift,
  fewPlatforms,
  fonts,
  remoteParts,
  headings,
  pageGround,
  pictureFallback,
  presentational,
  colorTwins,
  sizeTwins,
  stackTwins,
  styleTwins,
  customProperties,
  sameDeclarations,
  sheetTwice,
];
