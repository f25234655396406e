/** A look-up by names that may be any text: without the members every object has, such as `constructor`. */
export function table<Value>(entries: Readonly<Record<string, Value>>): Readonly<Record<string, Value>> {
  return Object.assign(Object.create(null) as Record<string, Value>, entries);
}
