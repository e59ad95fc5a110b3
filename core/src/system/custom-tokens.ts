import { tokenNames } from '../tokens/token-names.ts';
import { adding } from './collection.ts';
import type { Collection, StyleDocument } from './document.ts';
import { inOrder } from './document.ts';
import { jsonOf } from './json.ts';
import type { Patch } from './patch.ts';

type Custom = StyleDocument['tokens']['custom'];
type Item = Custom['items'][string];

const AT = '/tokens/custom';

/** The id in the document of a token from elsewhere, by its path; nothing where the system makes it itself. */
export const customIdOf = (custom: Custom, path: string): string | undefined =>
  inOrder(custom).find(([, item]) => item.path === path)?.[0];

/** What follows a token under another name, or keeps its value where there is none. */
const following = (item: Item, from: string, to: string | undefined): Item => {
  const { alias, dark, ...plain } = item;
  const moved = (of: string | undefined): string | undefined => (of === from ? to : of);
  const [own, inDark] = [moved(alias), moved(dark?.alias)];
  return {
    ...plain,
    ...(own !== undefined && { alias: own }),
    ...(dark && { dark: { value: dark.value, ...(inDark !== undefined && { alias: inDark }) } }),
  };
};

const refersTo = ({ alias, dark }: Item, path: string): boolean =>
  alias === path || dark?.alias === path;

const replacing = (
  custom: Custom,
  items: Collection<Item>['items'],
  order: readonly string[],
): Patch =>
  order.length === custom.order.length && items === custom.items
    ? []
    : [{ op: 'replace', path: AT, value: jsonOf({ order, items }) }];

/** Takes tokens from elsewhere out of a system; what took its value from one of them keeps the value. */
export function removingTokens(custom: Custom, ids: ReadonlySet<string>): Patch {
  const gone = new Set([...ids].map((id) => custom.items[id]?.path));
  const left = inOrder(custom).filter(([id]) => !ids.has(id));
  const kept = left.map(([id, item]) => {
    const { alias, dark } = item;
    const out = [alias, dark?.alias].filter((path) => path !== undefined && gone.has(path));
    return [
      id,
      out.reduce<Item>((one, path) => following(one, path ?? '', undefined), item),
    ] as const;
  });
  return replacing(
    custom,
    Object.fromEntries(kept),
    kept.map(([id]) => id),
  );
}

/** Why a token from elsewhere cannot be called so; nothing where it can. */
export function renameProblem(
  custom: Custom,
  own: Iterable<readonly string[]>,
  id: string,
  path: string,
): string | undefined {
  if (path.length > 200 || !/^[^{}$.\s][^{}.]*(\.[^{}$.\s][^{}.]*)*$/.test(path))
    return 'A name is made of parts, apart by dots; none is empty or has a brace or a dollar sign.';
  const problem =
    tokenNames(own).problemWith(path.split('.'), 'the system') ??
    tokenNames(
      inOrder(custom).flatMap(([other, item]) => (other === id ? [] : [item.path.split('.')])),
    ).problemWith(path.split('.'), 'another from elsewhere');
  return problem === undefined ? undefined : `${path} cannot be: ${problem}.`;
}

/**
 * Gives a token from elsewhere another name; what takes its value from it follows. The old name can stay: it takes its
 * value from the new one then, and is deprecated.
 * @param kept the id that the old name gets; nothing where it goes
 */
export function renamingToken(custom: Custom, id: string, path: string, kept?: string): Patch {
  const item = custom.items[id];
  if (!item || item.path === path) return [];
  const followers = inOrder(custom).filter(
    ([other, one]) => other !== id && refersTo(one, item.path),
  );
  const { dark: _dark, alias: _alias, extension, description, ...plain } = item;
  const old: Item = {
    ...plain,
    ...(extension !== undefined && { extension }),
    ...(description !== undefined && { description }),
    alias: path,
    ...(item.dark && { dark: { value: item.dark.value, alias: path } }),
    deprecated: `Renamed to ${path}.`,
  };
  return [
    { op: 'replace', path: `${AT}/items/${id}/path`, value: path },
    ...followers.map(([other, one]): Patch[number] => ({
      op: 'replace',
      path: `${AT}/items/${other}`,
      value: jsonOf(following(one, item.path, path)),
    })),
    ...(kept === undefined ? [] : adding(AT, custom, kept, old)),
  ];
}
