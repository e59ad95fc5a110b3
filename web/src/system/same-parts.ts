const isRecord = (thing: unknown): thing is Readonly<Record<string, unknown>> =>
  typeof thing === 'object' && thing !== null && Object.getPrototypeOf(thing) === Object.prototype;

/** What is selected of a system is a record of records at most so deep: view, document, part, piece. */
const DEPTH = 4;

/** Whether two values are the same, or plain records of the same parts. */
export function sameParts(one: unknown, other: unknown, depth = DEPTH): boolean {
  if (Object.is(one, other)) return true;
  if (depth === 0 || !isRecord(one) || !isRecord(other)) return false;
  const keys = Object.keys(one);
  return (
    keys.length === Object.keys(other).length &&
    keys.every((key) => Object.hasOwn(other, key) && sameParts(one[key], other[key], depth - 1))
  );
}
