import { keptSame } from '../same.ts';
import type { StyleDocument } from '../system/document.ts';

/** Where a node gets a value from: a piece of the document, or what another node gives. */
export type Input<Value = unknown> = ((document: StyleDocument) => Value) | Node<Value>;

/** What inputs give, in their order. */
export type ValuesOf<Inputs extends readonly Input[]> = {
  readonly [Index in keyof Inputs]: Inputs[Index] extends Input<infer Value> ? Value : never;
};

/** A part of what follows from a document: what it is made of, and how. */
export interface Node<Value = unknown> {
  /** How it is called where it is looked at: 'type: styles'. */
  readonly name: string;
  readonly inputs: readonly Input[];
  /** Called again only when one of the inputs is another than before; `before` is what it gave then. */
  readonly compute: (
    values: readonly unknown[],
    before: { readonly result: unknown } | undefined,
  ) => Value;
}

/**
 * A node that computes a value from its inputs. An input is the smallest piece that is read: a node is not
 * computed again while every input is the very same value. `keep` gives the value that goes on instead of
 * a new one that says the same, so that what depends on it rests; without it values are compared as a
 * whole (see `isSame`). Inputs that are functions name the type of their document, or nothing can be told of it.
 */
export const node = <const Inputs extends readonly Input[], Value>(
  name: string,
  inputs: Inputs,
  compute: (...values: ValuesOf<Inputs>) => Value,
  keep: (before: Value | undefined, now: Value) => Value = keptSame,
): Node<Value> => ({
  name,
  inputs,
  compute: (values, before) => {
    const now = compute(...(values as unknown as ValuesOf<Inputs>));
    // What a node gave before is of its own kind.
    return keep(before?.result as Value | undefined, now);
  },
});

interface Known {
  readonly values: readonly unknown[];
  readonly result: unknown;
}

/** Asked for a node’s value; see `createGraph`. */
export type Ask = <Value>(node: Node<Value>) => Value;

/**
 * A function that reads nodes of one document after another. It remembers each node’s last inputs and
 * value, and nothing of older documents. `onCompute` hears of every node that was computed.
 */
export function createGraph(onCompute?: (name: string) => void): (document: StyleDocument) => Ask {
  const known = new Map<Node, Known>();
  return (document) => {
    const asked = new Map<Node, unknown>();
    const valueOf = (wanted: Node): unknown => {
      if (asked.has(wanted)) return asked.get(wanted);
      const values = wanted.inputs.map((input) =>
        typeof input === 'function' ? input(document) : valueOf(input),
      );
      const before = known.get(wanted);
      let result = before?.result;
      if (!before?.values.every((value, index) => Object.is(value, values[index]))) {
        onCompute?.(wanted.name);
        result = wanted.compute(values, before);
        known.set(wanted, { values, result });
      }
      asked.set(wanted, result);
      return result;
    };
    return <Value>(wanted: Node<Value>) => valueOf(wanted) as Value;
  };
}
