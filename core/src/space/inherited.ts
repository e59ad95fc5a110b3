/** Values by breakpoint, from the smallest screen up: what is not set is inherited from below. */
export interface AtBreakpoint<Value> {
  readonly id: string;
  readonly value: Value;
  /** Whether it is decided here, or taken from a smaller screen. */
  readonly isSet: boolean;
}

/** The value at the smallest screen and at each breakpoint, in order. */
export function inherited<Value>(
  smallest: Value,
  set: Readonly<Record<string, Value>>,
  breakpoints: readonly string[],
): readonly AtBreakpoint<Value>[] {
  let here = smallest;
  return breakpoints.map((id) => {
    const own = set[id];
    if (own !== undefined) here = own;
    return { id, value: here, isSet: own !== undefined };
  });
}
