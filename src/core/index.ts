/** The one face of the core. Nothing outside imports past it. */
export { ruleAround } from "./source/declarations";
export { placeNames } from "./text/placeNames";
export { refAfter, refsAfter } from "./text/refAfter";
export { refKey, type ElementRef } from "./text/refs";
export { analyse, analysisSteps, type Analysis, type AnalysedElement } from "./report/analysis";
export { defaultConditions, type Conditions } from "./cascade/conditions";
export {
  allRight,
  allRightSteps,
  checkNames,
  conditionsUnder,
  findingKeys,
  fixesFor,
  fixSteps,
  groups as findingGroups,
  ignoredMessage,
  type AllRight,
  type PageStress,
  type Stresses,
  type Cause,
  type Finding,
  type Fix,
  type Group,
  type Level,
} from "./findings";
export { findingSteps } from "./findings";
export { lookOf, type Specimen as SpecimenDeclarations, type TextLook } from "./text/look";
export { reportedLonghands } from "./cascade/properties";
export { conditionsAfter } from "./cascade/conditionsAfter";
export { forcedStatesOf } from "./cascade/forced";
export { rehearsedIn, usualConditions } from "./cascade/rehearsals";
export {
  isDressedByWidth,
  isOverridden,
  overridesFor,
  rewritingFor,
  stateAttribute,
  type Override,
} from "./cascade/rehearse";
export { computedValue, fontSizeOf, type Style } from "./cascade/style";
export { facesOfPage, usedScheme, stylePage, type StyledPage } from "./cascade/styles";
export { isStyled, styledPage, type KnownPage } from "./cascade/styledPages";
export { type Contender, type Explanation } from "./cascade/explain";
export { lossWords, type Loss } from "./cascade/losses";
export { mediaWidths, type MediaWidth } from "./cascade/mediaWidths";
export { matchingElements } from "./cascade/selectors";
export { completions } from "./edits/completion";
export {
  atLightness,
  ColorError,
  contrastRatio,
  paintOver,
  convertColor,
  formatColor,
  gamutOf,
  handChannels,
  spelledLike,
  takesCommas,
  type HandChannel,
  inGamut,
  isEnough,
  ladder,
  leastRatio,
  nearestName,
  nearestPassingGround,
  nearestPassingInk,
  neededRatio,
  notationOf,
  notations,
  oklch,
  parseColor,
  ratioOn,
  ratioOver,
  readColorValue,
  seenWith,
  showRatio,
  visions,
  type Color,
  type FormatOptions,
  type InkOver,
  type Need,
  type Notation,
  type Passing,
  type Rung,
  type Space,
  type Vision,
  type WrittenNotation,
} from "./color";
export {
  groundsUnder,
  inksOn,
  ownInk,
  judgeChange,
  judgeSteps,
  type InkOn,
  type InkThere,
  type Judged,
  type StandsOn,
} from "./slip/stands";
export { findSteps, replaceFound, type FileHits, type Hit, type Search } from "./edits/find";
export { outlineAfter, type OutlineChange } from "./edits/outline";
export { rulePlaces, type RulePlace } from "./edits/rulePlaces";
export { applyPlan, planEdit, planOnPage, planSteps, planWithFiles } from "./edits/plan";
export { combine } from "./edits/combine";
export { differingSteps, type Differing } from "./edits/difference";
export { differenceSteps, provenUnder } from "./edits/proof";
export { alikeOf, retag } from "./edits/retag";
export { attributeGroupSteps, type AttributeGroup } from "./edits/attributesIntoSheet";
export { planRuleEdit, type RuleEdit } from "./edits/ruleEdits";
export { planSheetEdit, type SheetEdit, type SheetPlan } from "./edits/sheetLinks";
export { shorthandOf } from "./edits/foldable";
export { EditError, type Edit, type Plan, type Reach, type Target, type WordsElement } from "./edits/types";
export { linkLooks, type LinkLook, type LinkLooks, type LinkState } from "./slip/linkStates";
export { rowOfFinding } from "./slip/found";
export {
  gradientNames,
  gradientParts,
  gradientText,
  layerTexts,
  type GradientParts,
  type GradientStop,
} from "./color/gradientText";
export { veilsOver, type Veils } from "./slip/veils";
export { slipRows, slipSections, type SlipRow } from "./slip/rows";
export type { IdleDeclaration } from "./slip/idle";
export { slipAtOnce, slipTargets, type Slip, type SlipRowValue } from "./slip/slip";
export { selectorReachSteps, type TargetOption } from "./slip/targets";
export { helpFor, type PropertyHelp } from "./help";
export * from "./files";
export { joinedText, joinTexts, type JoinedPart } from "./source/join";
export { dataAddress } from "./source/binary";
export { rebased } from "./source/changes";
export { type Encoding } from "./source/encoding";
export { documentOf, shortSelector } from "./source/html/document";
export {
  safeDocument,
  safeSheets,
  type AddressOf,
  type SafeDocument,
  type SafeElement,
  type SafeSheet,
} from "./source/html/safe";
export { readSheet, sheetChange, type ReadSheet, type RuleExchange } from "./source/css/sheetChange";
export { scriptedText } from "./source/html/scripted";
export { changeOfLines, offsetAt, plainLines, positionAt } from "./source/lines";
export { itemsOf, sheetsOfPage } from "./source/html/sheets";
export {
  changeSite,
  filesKey,
  openSite,
  pagesOf,
  sheetsOf,
  siteOf,
  textFile,
  withFiles,
  type BinaryFile,
  type Site,
  type TextFile,
} from "./source/site";
export {
  heldBy,
  pictureOf,
  pictureRewriting,
  type PictureLook,
  type PicturePage,
  type PictureStage,
  type PictureUnknown,
  type Strike,
} from "./ground/picture";
export { withoutIdle } from "./ground/reaching";
export { layoutNow, layoutWith } from "./ground/layoutNow";
export { cssColor } from "./color/format";
export { textsOf } from "./text/pageTexts";
export { append, groupBy } from "./source/groups";
export { Recent } from "./source/memo";
export { finished } from "./source/steps";
export { pseudoTexts, type PseudoText } from "./text/pseudoTexts";
export { isPlace, legibility, legibilityOn, roleName, textStyleKey, type Layouts } from "./text/textStyles";
export { inkOf } from "./ground/backgrounds";
export { invisibleBelow } from "./color/contrast";
export type { Ground, Legibility, Verdict } from "./ground/types";
export {
  bareLayout,
  keptLayout,
  gridColumns,
  gridRows,
  movedLayout,
  textId,
  type Box,
  type ImageLayout,
  type PageLayout,
  type Painted,
  type PlaceLayout,
  type UnderLayer,
} from "./ground/layout";
export type { FontMeasure, FaceMetrics } from "./cascade/fonts/metrics";
export { fontKeyOf, usesFontUnits } from "./cascade/fonts/fontKey";
export {
  paletteOf,
  twinsIn,
  usualTwinDistance,
  type CustomProperty,
  type Palette,
  type PalettePair,
  type PaletteUse,
  type PaletteValue,
  type Twins,
} from "./palette/palette";
export { nameColor, proposedNames } from "./palette/properties";
export { joinColors, rewriteColors, type Rewriting } from "./palette/rewrite";
export { colorSpots, colorSpotsIn, colorSpotSteps, type ColorSpot, type Role } from "./palette/values";
export { reportGroups, reports, type Report, type ReportAbout } from "./report";
export { convertedTable, givenColors, type GivenColor } from "./report/convertedColors";
export { pairFixes, type PairFixes } from "./palette/pairFixes";
export { axisSettings, withAxis, type AxisSetting } from "./type/axes";
export {
  decorationLonghands,
  decorationParts,
  lineKinds,
  lineStyles,
  writeDecoration,
  type DecorationParts,
} from "./type/decoration";
export { fluidSize, keywordSizes, pxOf, sizeIn, sizeUnits, unitOf, type SizeUnit } from "./type/lengths";
export { matchedFallback, type MemberInfo, type StackInfo } from "./type/members";
export { isWeightFaked, weightTaken } from "./type/weights";
export { facesOf, platformFaces, platforms } from "./type/platforms";
export { ratios, stepsBy, type StepsBy } from "./type/scale";
export { stackFaults, stackMembers, writeStack, type StackFault } from "./type/stack";
export { editsOn } from "./slip/copying";
export { settingOf, type Heir, type Setting } from "./slip/setting";
export { candidateDeclarations, mayChangeContrast } from "./slip/candidate";
export { trialContrasts, type TrialContrast } from "./slip/trials";
export {
  contradictions,
  resize,
  sizesAt,
  snapped,
  textStyleTable,
  type Snapped,
  type StyleRow,
} from "./tables/styleTable";
export { sheetOutlineSteps, type OutlinePart, type OutlineRule } from "./tables/sheetOutline";
export { mostColumns, sheetColumns, type SheetColumn } from "./tables/sheetColumns";
export { sheetTable, type SheetCell, type SheetTable, type SheetTableRow } from "./tables/sheetTable";
export { nameStack, restack, stackTable, type StackUse } from "./tables/stackTable";
export { definedProperties } from "./palette/references";
export { readoutsOf, type Readout } from "./type/readouts";
export { fontFaceFor, matchFallback } from "./tables/addFont";
export { FontError, readFontFile, type FontAxis } from "./cascade/fonts/fontFile";
export { shadowLayers, writeShadow, type ShadowLayer } from "./type/shadow";
export { faultsIn } from "./writing/faults";
export { writingOptions } from "./writing/options";
export { narrowed, type WritingOptions } from "./writing/ranked";
export { propertyAt } from "./writing/propertyAt";
export { ruleHere, type RuleHere } from "./writing/ruleHere";
export type { WritingOption } from "./writing/types";
export { withTyped, type Typed } from "./writing/typed";
export { meetingMargins, type MarginSide, type MeetingMargins } from "./text/collapsing";
export { eyes, eyesNamed, type Eyes, type EyesName } from "./color/eyes";
export { pairsLostTo } from "./palette/lost";
export { draftKindNames, draftKinds } from "./drafts/kinds";
export { draftedSite, draftSteps } from "./drafts/draft";
export { writePaper, type PaperAsked } from "./drafts/paper";
export { writeDraft, type DraftWriting } from "./drafts/write";
export type { Draft, DraftAsked, DraftKindName, DraftPair, DraftTone } from "./drafts/types";
export { rhythmSteps } from "./tables/rhythm";
export { nearestRoom, roomEdits, type RhythmStep } from "./tables/roomSteps";
export { addressFrom } from "./source/path";
export { readTokens, TokensError, type ReadTokens } from "./tokens/read";
export { replaceByTokens, type Replacing } from "./tokens/replace";
export { strayingSteps, type Held } from "./tokens/straying";
export { propertyOf, type TokenKind } from "./tokens/types";
export { comparedSteps, type Compared, type FileDifference } from "./report/compared";
export { counted } from "./report/words";
export { changesInWords } from "./report/changesInWords";
export { canDiffer, unifiedDiff, type FileVersions } from "./report/unifiedDiff";
