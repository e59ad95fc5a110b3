import { taking, type CustomItem } from '../system/custom-values.ts';
import type { Collection } from '../system/document.ts';
import { jsonOf, type Patch } from '../system/patch.ts';
import { cssOfValue } from '../tokens/css-value.ts';
import { tokenNames } from '../tokens/token-names.ts';
import type { Token } from '../tokens/token.ts';
import type { LeftOut } from './read-dtcg.ts';

/** What becomes of the tokens of a file in a system. */
export interface Taking {
  /** The change that takes them in; empty where none is left. */
  readonly patch: Patch;
  readonly taken: number;
  /** Taken in, but no custom property comes of them, and why. */
  readonly silent: readonly LeftOut[];
  readonly leftOut: readonly LeftOut[];
}

const silentReason = ({ type, value, extension }: CustomItem): string | undefined => {
  if (cssOfValue(type, value, extension) !== undefined) return undefined;
  return cssOfValue(type, null) === undefined && !KNOWN.has(type)
    ? `no single CSS value stands for the type ${type}`
    : `its value is not one of the type ${type}`;
};

/** The types of the open format that CSS has one value for. Source: Format Module 2025.10. */
const KNOWN = new Set(
  'color dimension duration number fontWeight fontFamily cubicBezier shadow border strokeStyle transition gradient'.split(
    ' ',
  ),
);

/**
 * Takes tokens from elsewhere into a system, beside its own (those that it makes without any of them). A token of the file keeps its value whatever
 * the system calls by the same name: where that cannot be, it is left out and told, and what refers to it
 * keeps the value that it has in the file. Nothing is dropped without a word.
 */
export function takeTokens(
  custom: Collection<CustomItem>,
  own: readonly Token[],
  tokens: readonly CustomItem[],
  newId: () => string,
): Taking {
  const system = tokenNames(own.map(({ path }) => path));
  const items = new Map(Object.entries(custom.items));
  const idOf = new Map([...items].map(([key, { path }]) => [path, key]));
  const incoming = new Set(tokens.map(({ path }) => path));
  const file = tokenNames(
    [...items.values()]
      .filter(({ path }) => !incoming.has(path))
      .map(({ path }) => path.split('.')),
  );
  const leftOut: LeftOut[] = [];
  const kept = new Map<string, CustomItem>();
  for (const token of tokens) {
    const path = token.path.split('.');
    const problem =
      system.problemWith(path, 'the system') ??
      file.problemWith(path, 'the file, or one before it,');
    if (problem === undefined) {
      file.add(path);
      kept.set(token.path, token);
    } else leftOut.push({ path: token.path, reason: problem });
  }
  const silent: LeftOut[] = [];
  const order = [...custom.order];
  for (const token of kept.values()) {
    const item = taking(token, (path) => (kept.has(path) ? path : undefined));
    const reason = silentReason(item);
    if (reason !== undefined) silent.push({ path: item.path, reason });
    const key = idOf.get(item.path) ?? newId();
    if (!items.has(key)) order.push(key);
    items.set(key, item);
  }
  return {
    patch:
      kept.size === 0
        ? []
        : [
            {
              op: 'replace',
              path: '/tokens/custom',
              value: jsonOf({ order, items: Object.fromEntries(items) }),
            },
          ],
    taken: kept.size,
    silent,
    leftOut,
  };
}
