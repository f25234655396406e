/** What an `@property` rule registers (CSS Properties and Values 1, 2). */
import { componentsOf } from "../source/css/components";
import type { AtRule } from "../source/css/syntax";
import { faultOf, type RegistrationFault } from "./registered";
import type { RegisteredProperty } from "./rules";
import { substitutionsIn } from "./substitution";

/** What it says, whether that is valid or not. */
export interface Registration {
  name: string;
  /** Null where it is none in quotation marks. */
  syntax: string | null;
  inherits: string | null;
  initial: string | null;
  /** Why browsers leave it out; null where they do not. */
  fault: RegistrationFault | null;
}

export function registrationOf({ preludeText: name, items }: AtRule): Registration {
  const descriptors = new Map(
    items.filter((item) => item.kind === "declaration").map((item) => [item.property, item.valueText] as const),
  );
  const [written] = componentsOf(descriptors.get("syntax") ?? "");
  const read = {
    name,
    syntax: written?.type === "string" ? written.value.trim() : null,
    inherits: descriptors.get("inherits")?.toLowerCase() ?? null,
    initial: descriptors.get("initial-value") ?? null,
  };
  return { ...read, fault: faultIn(read) };
}

function faultIn({ name, syntax, inherits, initial }: Omit<Registration, "fault">): RegistrationFault | null {
  if (!name.startsWith("--")) return "name";
  if (syntax === null) return "syntax";
  if (inherits !== "true" && inherits !== "false") return "inherits";
  if (initial !== null && substitutionsIn(componentsOf(initial)) !== "none") return "stands for other text";
  return faultOf(syntax, initial);
}

/** The property that a rule registers; null for one that browsers leave out. */
export function registeredBy(rule: AtRule): RegisteredProperty | null {
  const { name, syntax, inherits, initial, fault } = registrationOf(rule);
  return fault === null ? { name, syntax: syntax!, inherits: inherits === "true", initial } : null;
}
