/**
 * Documents and forms have members by the names of what is in them (DOM, HTMLFormElement, HTML 3.1.7): an image named
 * `fonts` takes the place of the document's own. What the page is asked comes from the prototypes.
 */

/** A document whose members are its own, whatever its elements are named. */
export function unclobbered(document: Document): Document {
  const bound = new Map<PropertyKey, unknown>();
  return new Proxy(document, {
    get(target, name) {
      if (bound.has(name)) return bound.get(name);
      const member: unknown = Reflect.get(Document.prototype, name, target);
      if (typeof member !== "function") return member;
      const method: unknown = member.bind(target);
      bound.set(name, method);
      return method;
    },
    set: (target, name, value) => Reflect.set(Document.prototype, name, value, target),
  });
}

const listed = new Set(["button", "fieldset", "input", "object", "output", "select", "textarea"]);
const isMember = (value: string | undefined) => value !== undefined && value in HTMLFormElement.prototype;

/** The attributes with which a control, or a picture, takes the place of no member of the form around it. */
export function harmless(
  tag: string,
  attributes: readonly (readonly [string, string])[],
): (readonly [string, string])[] {
  const valueOf = (name: string) => attributes.find(([one]) => one === name)?.[1];
  const [id, name] = [valueOf("id"), valueOf("name")];
  if (!isMember(id) && !isMember(name)) return [...attributes];
  // A control of no form is none of its members; it is drawn the same.
  if (listed.has(tag)) return [...attributes.filter(([one]) => one !== "form"), ["form", ""]];
  return tag === "img"
    ? attributes.filter(([one, value]) => !((one === "id" || one === "name") && isMember(value)))
    : [...attributes];
}
