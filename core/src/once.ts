/**
 * A function that is computed once for each object that it is given, and forgotten with that object. Only
 * for what never changes: parts of documents, and what was derived.
 */
export function once<Given extends object, Result>(
  compute: (given: Given) => Result,
): (given: Given) => Result {
  const known = new WeakMap<Given, { readonly result: Result }>();
  return (given) => {
    const found = known.get(given);
    if (found) return found.result;
    const result = compute(given);
    known.set(given, { result });
    return result;
  };
}

/** What comes of steps that are gone through without a stop. */
export function atOnce<Result>(steps: Generator<unknown, Result>): Result {
  let step = steps.next();
  while (step.done !== true) step = steps.next();
  return step.value;
}
