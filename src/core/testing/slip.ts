/** A slip with what each way to write reaches on all pages, as it is once all is counted. */
import type { Conditions } from "../cascade/conditions";
import { slipAtOnce, slipTargets, type Slip } from "../slip/slip";
import { finished } from "../source/steps";
import type { Site } from "../source/site";
import type { ElementRef } from "../text/refs";

export const slipFor = (site: Site, ref: ElementRef, conditions: Conditions): Slip => ({
  ...slipAtOnce(site, ref, conditions),
  targets: finished(slipTargets(site, ref, conditions)),
});
