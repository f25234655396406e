/** Ways to go on writing, offered under the cursor as one types, or on Ctrl and the space bar. */
import {
  autocompletion,
  closeCompletion,
  completionKeymap,
  startCompletion,
  type Completion,
  type CompletionContext,
  type CompletionResult,
} from "@codemirror/autocomplete";
import { Prec, type Extension } from "@codemirror/state";
import { keymap, type EditorView } from "@codemirror/view";
import type { PropertyHelp, WritingOption, WritingOptions } from "@/core";
import { narrowed, showRatio } from "@/core";
import { signs } from "../shared/levels";
import styles from "./SourcePane.module.css";

export interface Asking {
  /** @param offset of the cursor in the text */
  writing(text: string, offset: number): Promise<WritingOptions | null>;
  help(property: string): Promise<PropertyHelp | null>;
}

interface Choice extends Completion {
  option: WritingOption;
}

export function completing(asking: Asking): Extension {
  return [
    autocompletion({
      override: [(context) => choicesFor(context, asking)],
      icons: false,
      maxRenderedOptions: 240,
      addToOptions: [
        { render: (choice) => swatchOf((choice as Choice).option), position: 20 },
        { render: (choice) => contrastOf((choice as Choice).option), position: 90 },
      ],
    }),
    // Before the editor's own keys: Escape closes the list before it does anything else.
    Prec.highest(keymap.of([{ key: "Escape", run: closeCompletion }])),
    keymap.of(completionKeymap),
  ];
}

async function choicesFor(context: CompletionContext, asking: Asking): Promise<CompletionResult | null> {
  // What was typed meanwhile is asked about anew: of an answer that proposes nothing, the editor would let it rest.
  context.addEventListener("abort", () => undefined, { onDocChange: true });
  const text = context.state.doc.toString();
  const found = await asking.writing(text, context.pos);
  if (!found || context.aborted) return null;
  // Unasked only where a word is begun, or a value or a condition is to follow.
  const follows = found.kind === "value" || found.kind === "media";
  const isBegun = found.from < found.to || (follows && /[:\s(,]$/.test(text.slice(0, found.from)));
  if (!context.explicit && !isBegun) return null;
  return listOf(found, asking);
}

/** The list goes on as its word does, without asking: what is pressed while it is asked for anew is lost. */
const listOf = (found: WritingOptions, asking: Asking): CompletionResult => ({
  from: found.from,
  to: found.to,
  options: found.options.map((option): Choice => choiceOf(option, found.kind, asking)),
  filter: false,
  update: (_, from, to, context) => {
    const left = narrowed({ ...found, from }, context.state.sliceDoc(from, to));
    return left && listOf(left, asking);
  },
});

function choiceOf(option: WritingOption, kind: WritingOptions["kind"], asking: Asking): Choice {
  const isProperty = kind === "property";
  return {
    option,
    label: option.text,
    detail: option.detail || undefined,
    apply: isProperty ? writeProperty : undefined,
    info: isProperty ? () => helpBeside(asking, option.text) : undefined,
  };
}

/** Puts in a property with its colon, and goes on with its value. */
function writeProperty(view: EditorView, { label }: Completion, from: number, to: number): void {
  const line = view.state.doc.lineAt(to);
  const rest = line.text.slice(to - line.from);
  const hasColon = /^\s*:/.test(rest);
  const written = hasColon ? label : `${label}: `;
  const insert = !hasColon && rest.trim() === "" ? `${written};` : written;
  view.dispatch({
    changes: { from, to, insert },
    selection: { anchor: from + written.length },
    userEvent: "input.complete",
  });
  if (!hasColon) startCompletion(view);
}

async function helpBeside(asking: Asking, property: string): Promise<Node | null> {
  const help = await asking.help(property);
  if (!help) return null;
  const words = document.createElement("div");
  words.className = styles.beside!;
  words.textContent = help.what.replaceAll("`", "");
  return words;
}

function swatchOf({ css }: WritingOption): Node | null {
  return css === null ? null : swatch(css);
}

/** A square of a colour. */
export function swatch(css: string): HTMLElement {
  const square = document.createElement("span");
  square.className = styles.swatch!;
  square.style.setProperty("--color", css);
  square.ariaHidden = "true";
  return square;
}

function contrastOf({ contrast }: WritingOption): Node | null {
  if (!contrast) return null;
  const words = document.createElement("span");
  const passes = contrast.ratio >= contrast.needs;
  words.className = passes ? styles.ratio! : `${styles.ratio} ${styles.error}`;
  words.textContent = `${passes ? "" : `${signs.error} `}${showRatio(contrast.ratio)}`;
  words.title = passes ? "" : `needs ${contrast.needs}`;
  return words;
}
