/** The page that is shown: under which conditions, with what is only rehearsed on it, and as it is laid out. */
import { proxy } from "comlink";
import type { Conditions, Edit, PageLayout } from "@/core";
import type { PageGlance, PagePatch, PlanResult } from "@/engine/protocol";
import type { MakePicture } from "@/preview/paint";
import type { Desk, Rehearsal, ShownView, Workspace } from "./state";

/** Hears what a rehearsed edit reaches on other pages. */
type Told = (result: PlanResult) => void;

type Dressed = Pick<PagePatch, "sheets" | "overrides" | "states">;
type Structured = Pick<PagePatch, "structure">;

const dressOf = ({ sheets, overrides, states }: Dressed): Dressed => ({ sheets, overrides, states });

/** What is seen of it, in a word. */
const looksOf = ({ sheets, overrides, states }: Dressed) =>
  JSON.stringify([sheets.map(({ owner, media, edition }) => [owner, media, edition]), overrides, states]);

/** Whether a page has the same sheets, and the same put on its elements. */
function isDressedAs(a: Dressed & Structured, b: Dressed & Structured): boolean {
  if (a.structure !== b.structure) return false;
  return looksOf(a) === looksOf(b);
}

interface Rehearsing {
  edit: Edit;
  files: Workspace["files"];
  shown: Promise<unknown>;
}

export class View {
  /** Only the last of several rehearsals asked for at once is shown. */
  private rehearsals = 0;
  /** Only the page opened last is shown. */
  private openings = 0;
  /** What was rehearsed last, until it is written. */
  private rehearsing: Rehearsing | null = null;

  constructor(private readonly desk: Desk) {}

  async open(path: string): Promise<void> {
    const { engine, get } = this.desk;
    const mine = (this.openings += 1);
    let answered = false;
    let glanced = false;
    const showAhead = (glance: PageGlance) => {
      if (mine !== this.openings || answered) return;
      glanced = true;
      this.show(path, { ...glance, places: null, conditions: asked.conditions });
    };
    // An answer that is there, too, is shown at once.
    const ahead = proxy((glance: PageGlance) => void setTimeout(showAhead, 0, glance));
    let asked = get();
    let view = await engine.page(path, asked.conditions, ahead);
    answered = true;
    // Conditions that changed meanwhile are those it is shown under.
    while (mine === this.openings && (get().conditions !== asked.conditions || get().files !== asked.files)) {
      asked = get();
      view = await engine.page(path, asked.conditions);
    }
    if (mine !== this.openings) return;
    const { conditions } = asked;
    if (glanced && get().view?.structure === view.structure) this.patchWith({ ...view, document: null }, conditions);
    else this.show(path, { ...view, conditions });
  }

  private show(path: string, view: ShownView): void {
    const { get, set } = this.desk;
    set({
      page: path,
      view,
      viewNumber: get().viewNumber + 1,
      picked: null,
      slip: null,
      reach: null,
      rehearsal: null,
      source: null,
    });
  }

  /** Shows the page as it is now. @param written what was rehearsed, and is written as it was shown */
  async refresh(written: Rehearsal | null = null): Promise<void> {
    const { engine, asking, get } = this.desk;
    const { page, view, conditions, rehearsal } = get();
    if (!page || !view) return;
    const isShown = written && rehearsal?.plan === written.plan && rehearsal.conditions === conditions;
    if (isShown && !rehearsal.patch.document) return this.patchWith(rehearsal.patch, conditions);
    const patch = await asking.current(() => engine.patch(page, view.structure, conditions));
    if (patch) this.patchWith(patch, conditions);
  }

  /** Shows the page under other conditions, and what is tried on it, too. */
  async setConditions(part: Partial<Conditions>): Promise<void> {
    const { engine, asking, get, set } = this.desk;
    set({ conditions: { ...get().conditions, ...part } });
    await this.refresh();
    const { page, view, conditions, rehearsal } = get();
    if (!page || !view || !rehearsal) return;
    const patch = await asking.current(() => engine.rehearse(rehearsal.plan.changes, page, view.structure, conditions));
    if (patch && get().rehearsal?.plan === rehearsal.plan) set({ rehearsal: { ...rehearsal, conditions, patch } });
  }

  rehearse(edit: Edit | null, told?: Told): Promise<PlanResult> {
    const result = this.showRehearsed(edit, told);
    const { files } = this.desk.get();
    this.rehearsing = edit && { edit, files, shown: result.catch(() => undefined) };
    return result;
  }

  /** Takes an edit off the page when whoever tried it is gone, unless another was tried since, or it is being written. */
  letGo(edit: Edit): void {
    if (this.rehearsing?.edit === edit) this.rehearse(null).catch(this.desk.failed);
  }

  /** Waits for an edit to be shown if it is just being rehearsed; whatever else is rehearsed is not shown any more. */
  async settleRehearsals(edit: Edit): Promise<void> {
    const { rehearsing } = this;
    const isThis = JSON.stringify(rehearsing?.edit) === JSON.stringify(edit);
    if (isThis) this.rehearsing = null;
    if (isThis && rehearsing?.files === this.desk.get().files) await rehearsing.shown;
    this.rehearsals += 1;
  }

  /** Something else was written or not: what was tried last, and is still to be tried, is tried again by who tried it. */
  leftToTry(): void {
    const { rehearsing } = this;
    if (rehearsing) this.desk.set({ untried: { edit: rehearsing.edit } });
  }

  /** Takes in what the page tells of its texts; whether that is to be seen in what is asked about the site. */
  async layOut(layout: PageLayout, whole: boolean): Promise<boolean> {
    const { engine, get, set, renew } = this.desk;
    const { page, view, rehearsal, conditions } = get();
    // What is shown under earlier conditions tells nothing of these.
    if (!page || !view || (rehearsal ?? view).conditions !== conditions) return false;
    const { structure, sheets } = rehearsal?.patch ?? view;
    const changes = rehearsal?.plan.changes ?? [];
    const places = await engine.layOut(page, structure, layout, whole, conditions, changes);
    const now = get();
    if (now.page !== page || now.conditions !== conditions) return false;
    // What was shown before it was written may be written by now.
    const isShown = (now.rehearsal?.patch ?? now.view)?.sheets === sheets;
    if (isShown && now.rehearsal) {
      set({ rehearsal: { ...now.rehearsal, patch: { ...now.rehearsal.patch, places } } });
      return false;
    }
    if (whole) renew();
    if (!isShown || !now.view) return false;
    set({ view: { ...now.view, places } });
    return true;
  }

  readonly picture: MakePicture = (look, stage, unknown) => {
    const { page, rehearsal, conditions } = this.desk.get();
    return this.desk.engine.picture(page!, rehearsal?.plan.changes ?? [], conditions, stage, look, unknown);
  };

  private patchWith(patch: PagePatch, conditions: Conditions): void {
    const { get, set } = this.desk;
    const { view, viewNumber, rehearsal } = get();
    if (!view) return;
    const { document, ...rest } = patch;
    // What is dressed as it was is not looked at anew under the same conditions.
    const dress = [rehearsal?.patch, view].find((known) => known && isDressedAs(known, rest));
    const now = { ...rest, ...(dress && dressOf(dress)), conditions };
    set(document ? { view: { ...now, document }, viewNumber: viewNumber + 1 } : { view: { ...view, ...now } });
  }

  private async showRehearsed(edit: Edit | null, told?: Told): Promise<PlanResult> {
    const { engine, get, set, failed } = this.desk;
    const mine = (this.rehearsals += 1);
    if (!edit) {
      set({ rehearsal: null, reach: null });
      return { plan: null, judged: null, problem: null };
    }
    const { page: asked } = get();
    const result = await engine.plan(edit, get().conditions, asked);
    const { page, view, conditions } = get();
    if (!result.plan || !page || !view) {
      if (mine === this.rehearsals) set({ rehearsal: null, reach: null });
      return result;
    }
    const patch = await engine.rehearse(result.plan.changes, page, view.structure, conditions);
    const { plan } = result;
    if (mine !== this.rehearsals) return result;
    const rehearsal = { edit, files: get().files, conditions, result, plan, patch };
    set({ rehearsal, reach: plan.reach.places });
    if (!plan.reach.whole) this.countReach(rehearsal, told).catch(failed);
    return result;
  }

  /** Counts what a rehearsed edit reaches on the pages that are not shown; nobody waits for it. */
  private async countReach({ edit, plan }: Rehearsal, told?: Told): Promise<void> {
    const { engine, get, set } = this.desk;
    const result = await engine.reach(edit, get().conditions);
    const { rehearsal, reach } = get();
    if (!result?.plan || rehearsal?.plan !== plan) return;
    const { places } = result.plan.reach;
    // What a way to write would reach may be marked instead by now.
    set({ rehearsal: { ...rehearsal, result }, ...(reach === plan.reach.places ? { reach: places } : {}) });
    told?.(result);
  }
}
