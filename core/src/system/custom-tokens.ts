import { tokenNames } from '../tokens/token-names.ts';
import { adding } from './collection.ts';
import {
  customValues,
  saidIn,
  taking,
  takenFrom,
  type Custom,
  type CustomItem,
} from './custom-values.ts';
import { inOrder, type Collection } from './document.ts';
import { jsonOf } from './json.ts';
import type { Patch } from './patch.ts';

const AT = '/tokens/custom';

/** The id in the document of a token from elsewhere, by its path; nothing where the system makes it itself. */
export const customIdOf = (custom: Custom, path: string): string | undefined =>
  inOrder(custom).find(([, item]) => item.path === path)?.[0];

const replacing = (
  custom: Custom,
  items: Collection<CustomItem>['items'],
  order: readonly string[],
): Patch =>
  order.length === custom.order.length && items === custom.items
    ? []
    : [{ op: 'replace', path: AT, value: jsonOf({ order, items }) }];

const ofDark = (item: CustomItem): NonNullable<CustomItem['dark']> => {
  const { value, alias, parts } = saidIn(item, 'dark');
  return { value, ...(alias !== undefined && { alias }), ...(parts && { parts }) };
};

/** A token with the values that it has now, whatever it is taken from. */
function withValues(item: CustomItem, valueOf: ReturnType<typeof customValues>): CustomItem {
  const [light, dark] = (['light', 'dark'] as const).map((mode) => valueOf(item.path, mode));
  return {
    ...item,
    ...(light && { value: light.value }),
    // A multiple that stands for itself is the value that it has.
    ...(light?.extension !== undefined && !item.made && { extension: light.extension }),
    ...(dark &&
      (item.dark !== undefined || JSON.stringify(dark.value) !== JSON.stringify(light?.value)) && {
        dark: { ...ofDark(item), value: dark.value },
      }),
  };
}

/** Takes tokens from elsewhere out of a system; what took its value from one of them keeps the value. */
export function removingTokens(custom: Custom, ids: ReadonlySet<string>): Patch {
  const gone = new Set([...ids].map((id) => custom.items[id]?.path));
  const valueOf = customValues(custom);
  const kept = inOrder(custom)
    .filter(([id]) => !ids.has(id))
    .map(([id, item]) => {
      const isLeft = (path: string): boolean => !gone.has(path);
      return takenFrom(item).every(isLeft)
        ? ([id, item] as const)
        : ([
            id,
            taking(withValues(item, valueOf), (path) => (isLeft(path) ? path : undefined)),
          ] as const);
    });
  return replacing(
    custom,
    Object.fromEntries(kept),
    kept.map(([id]) => id),
  );
}

/** Why no token can be called so; nothing where it can. */
export const formProblem = (path: string): string | undefined =>
  path.length > 200 || !/^[^{}$.\s][^{}.]*(\.[^{}$.\s][^{}.]*)*$/.test(path)
    ? 'A name is made of parts, apart by dots; none is empty or has a brace or a dollar sign.'
    : undefined;

/** Why a token from elsewhere cannot be called so; nothing where it can. */
export function renameProblem(
  custom: Custom,
  own: Iterable<readonly string[]>,
  id: string,
  path: string,
): string | undefined {
  const form = formProblem(path);
  if (form !== undefined) return form;
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
    ([other, one]) => other !== id && takenFrom(one).includes(item.path),
  );
  const { dark: _dark, alias: _alias, parts: _parts, extension, description, ...plain } = item;
  const old: CustomItem = {
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
      value: jsonOf(taking(one, (of) => (of === item.path ? path : of))),
    })),
    ...(kept === undefined ? [] : adding(AT, custom, kept, old)),
  ];
}
