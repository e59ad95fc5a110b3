/**
 * Remembers the last result of a function and returns it as long as every argument is the very same
 * value. Parts of a document keep their identity until they change, so this is all that is needed.
 */
export function memo<Arguments extends readonly unknown[], Result>(
  compute: (...given: Arguments) => Result,
): (...given: Arguments) => Result {
  let last: { given: Arguments; result: Result } | undefined;
  return (...given) => {
    if (last?.given.every((value, index) => Object.is(value, given[index]))) return last.result;
    const result = compute(...given);
    last = { given, result };
    return result;
  };
}
