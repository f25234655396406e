/** What is known of objects as long as they live. */

/** The value of a key, made when it is asked for first. */
export function made<Key, Value extends object>(
  known: { get(key: Key): Value | undefined; set(key: Key, value: Value): unknown },
  key: Key,
  make: () => Value,
): Value {
  let value = known.get(key);
  if (value === undefined) known.set(key, (value = make()));
  return value;
}

/** Values of pairs of objects, made when they are asked for first. */
export class PairMap<First extends object, Second extends object, Value> {
  private readonly known = new WeakMap<First, WeakMap<Second, Value>>();

  of(first: First, second: Second, make: () => Value): Value {
    let values = this.known.get(first);
    if (!values) this.known.set(first, (values = new WeakMap()));
    let value = values.get(second);
    if (value === undefined) values.set(second, (value = make()));
    return value;
  }
}

/** Numbers objects from 1, in the order in which they are asked about first. */
export class Numbers<Key extends object> {
  private readonly known = new WeakMap<Key, number>();
  private last = 0;

  of(key: Key): number {
    let number = this.known.get(key);
    if (number === undefined) this.known.set(key, (number = this.last += 1));
    return number;
  }
}

/** What was made for the keys that were asked for last: too large to be kept for all, and quickly made again. */
export class Recent<Key, Value> {
  private readonly known = new Map<Key, Value>();

  /** @param most for how many keys it is kept */
  constructor(private readonly most: number) {}

  get(key: Key): Value | undefined {
    const value = this.known.get(key);
    if (value !== undefined) this.set(key, value);
    return value;
  }

  set(key: Key, value: Value): void {
    this.known.delete(key);
    this.known.set(key, value);
    if (this.known.size > this.most) this.known.delete(this.known.keys().next().value!);
  }
}

/** One value for all that are alike: what is told of each text of a site mostly says the same as of another. */
export class Alike<Value> {
  private readonly known: Recent<string, Value>;

  /** @param most how many that differ it is looked for among, those met last */
  constructor(most: number) {
    this.known = new Recent(most);
  }

  /** @param value plain data, of finite numbers, that nobody changes */
  of(value: Value): Value {
    const key = JSON.stringify(value);
    const known = this.known.get(key);
    if (known !== undefined) return known;
    this.known.set(key, value);
    return value;
  }
}
