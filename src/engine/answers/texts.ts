/** Texts: how they come out and why, on what they stand, and all of them in tables. */
import {
  rhythmSteps,
  groundsUnder,
  inksOn,
  ownInk,
  meetingMargins,
  veilsOver,
  linkLooks,
  paletteOf,
  settingOf,
  slipAtOnce,
  slipTargets,
  textStyleTable,
} from "@/core";
import { site, turns, giveUp, asLatest, knownLayouts } from "../open";
import { attempt } from "../attempt";
import { pageOf } from "../views";
import type { TextsAnswers } from "../protocol/texts";

export const textsAnswers = {
  slip: async (ref, conditions) => {
    giveUp("targets");
    return attempt(() => slipAtOnce(site, ref, conditions, knownLayouts(conditions))).made;
  },

  targets: async (ref, conditions) => {
    const { made: steps } = attempt(() => slipTargets(site, ref, conditions));
    return steps && turns.inSlices(steps, asLatest("targets"));
  },

  setting: async (picked, places, property, conditions) => settingOf(site, picked, places, property, conditions),

  grounds: async (picked, places, conditions) =>
    groundsUnder(site, picked, places, conditions, knownLayouts(conditions)),

  inks: async (picked, ground, conditions) =>
    (ground === "own" ? ownInk : inksOn)(site, picked, conditions, knownLayouts(conditions)),

  veils: async (picked, color, conditions) =>
    veilsOver(inksOn(site, picked, conditions, knownLayouts(conditions)), picked, color),

  margins: async ({ page, index }, side, conditions) => meetingMargins(pageOf(site, page, conditions), index, side),

  rhythm: async (conditions) => turns.inSlices(rhythmSteps(site, conditions), asLatest("rhythm")),

  linkLooks: async (ref, conditions) => linkLooks(site, ref, conditions, knownLayouts(conditions)),

  styleTable: async (conditions) => textStyleTable(site, conditions, knownLayouts(conditions)),

  palette: async (conditions) => paletteOf(site, conditions, knownLayouts(conditions)),
} satisfies TextsAnswers;
