/**
 * Whether two values say the same: the very same, or lists, maps (in the same order) and plain records
 * of the same. Functions and objects of other kinds are the same only where they are one.
 */
export function isSame(one: unknown, other: unknown): boolean {
  if (Object.is(one, other)) return true;
  if (typeof one !== 'object' || typeof other !== 'object' || !one || !other) return false;
  if (Array.isArray(one)) return Array.isArray(other) && areSameLists(one, other);
  if (one instanceof Map) return other instanceof Map && areSameMaps(one, other);
  return isPlain(one) && isPlain(other) && areSameRecords(one, other);
}

/** A record that is nothing but its own keys, from whatever window it comes. */
function isPlain(thing: object): boolean {
  const above: unknown = Object.getPrototypeOf(thing);
  return above === null || Object.getPrototypeOf(above) === null;
}

function areSameLists(one: readonly unknown[], other: readonly unknown[]): boolean {
  if (one.length !== other.length) return false;
  for (let index = 0; index < one.length; index += 1)
    if (!isSame(one[index], other[index])) return false;
  return true;
}

function areSameMaps(
  one: ReadonlyMap<unknown, unknown>,
  other: ReadonlyMap<unknown, unknown>,
): boolean {
  if (one.size !== other.size) return false;
  const others = other.entries();
  for (const [key, value] of one) {
    const next = others.next();
    if (next.done || next.value[0] !== key || !isSame(value, next.value[1])) return false;
  }
  return true;
}

/** Asked of thousands of small records at every movement: no lists of keys are made. */
function areSameRecords(one: object, other: object): boolean {
  const [before, now] = [one, other] as readonly [Record<string, unknown>, Record<string, unknown>];
  for (const key in before)
    if (!Object.hasOwn(now, key) || !isSame(before[key], now[key])) return false;
  for (const key in now) if (!Object.hasOwn(before, key)) return false;
  return true;
}

/** The value that was there before, where the new one says the same: what depends on it need not look again. */
export const keptSame = <Value>(before: Value | undefined, now: Value): Value =>
  before !== undefined && isSame(before, now) ? before : now;

/**
 * A list in which every thing that says the same as the one of the same key before is that very thing;
 * the list from before where all are, in the same order. Where a key stands more than once, the last of
 * before counts. `same` says what says the same; where the parts of things are kept themselves, `isOfSame`
 * is enough.
 */
export function keptList<Thing>(
  before: readonly Thing[] | undefined,
  now: readonly Thing[],
  keyOf: (thing: Thing) => string,
  same: (one: Thing, other: Thing) => boolean = isSame,
): readonly Thing[] {
  if (!before) return now;
  // Most lists keep their order, so that the same place is asked first.
  let known: ReadonlyMap<string, Thing> | undefined;
  const knownAs = (key: string): Thing | undefined =>
    (known ??= new Map(before.map((thing) => [keyOf(thing), thing]))).get(key);
  let isKept = before.length === now.length;
  const kept = now.map((thing, index) => {
    const there = before[index];
    const key = keyOf(thing);
    const earlier = there !== undefined && keyOf(there) === key ? there : knownAs(key);
    const one = earlier !== undefined && same(earlier, thing) ? earlier : thing;
    if (one !== there) isKept = false;
    return one;
  });
  return isKept ? before : kept;
}

/** The same for a map: what says the same under its key is the thing from before, the map too where all is. */
export function keptMap<Thing>(
  before: ReadonlyMap<string, Thing> | undefined,
  now: ReadonlyMap<string, Thing>,
  same: (one: Thing, other: Thing) => boolean = isSame,
): ReadonlyMap<string, Thing> {
  if (!before) return now;
  const keys = before.keys();
  let isKept = before.size === now.size;
  const kept = new Map<string, Thing>();
  for (const [key, thing] of now) {
    const earlier = before.get(key);
    const one = earlier !== undefined && same(earlier, thing) ? earlier : thing;
    if (one !== earlier || keys.next().value !== key) isKept = false;
    kept.set(key, one);
  }
  return isKept ? before : kept;
}

/** Whether two records have the very same parts. */
export function isOfSame(one: object, other: object): boolean {
  const [before, now] = [one, other] as readonly [Record<string, unknown>, Record<string, unknown>];
  for (const key in before)
    if (!Object.hasOwn(now, key) || !Object.is(before[key], now[key])) return false;
  for (const key in now) if (!Object.hasOwn(before, key)) return false;
  return true;
}
