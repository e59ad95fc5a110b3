import { modesOf, type Themes } from '../system/themes.ts';
import type { Derived } from '../derive/derived.ts';
import type { Mode, StyleDocument } from '../system/document.ts';
import { descriptionsOf, extendingGroups } from '../system/descriptions.ts';
import { inFragment, pointerTo } from './extended-groups.ts';
import { tokenNamesOf } from './token-naming.ts';
import { isSameInBoth, type Token, type TokenJson, type TokenValue } from '../tokens/token.ts';

/** Our key in `$extensions`, in reverse domain notation as the format asks. */
export const EXTENSION = 'app.garnish';

type Group = { [key: string]: TokenJson | Group };

/** The path that a token has in the file, by what the system calls it. */
type PathOf = (id: string) => readonly string[];

const reference = (id: string): string => `{${id}}`;

/** A place in the value of a token, as documents name it. */
const PLACE_IN = /^\{([^{}]+)\}(\/.*)$/;

/** A place in the value of a token, as a JSON Pointer in a URI fragment. */
const pointer = (path: readonly string[], at: string): string =>
  `${pointerTo([...path, '$value'])}${inFragment(at)}`;

/** A value of the format with its references, which name tokens by their whole path. */
const referring = (value: TokenJson, pathOf: PathOf): TokenJson => {
  if (typeof value === 'string')
    return /^\{[^{}]+\}$/.test(value) ? reference(pathOf(value.slice(1, -1)).join('.')) : value;
  if (Array.isArray(value)) return value.map((part: TokenJson) => referring(part, pathOf));
  if (typeof value !== 'object' || value === null) return value;
  const { $ref } = value as { readonly [key: string]: TokenJson };
  const [, id, at = ''] = typeof $ref === 'string' ? (PLACE_IN.exec($ref) ?? []) : [];
  if (id !== undefined) return { $ref: pointer(pathOf(id), at) };
  return Object.fromEntries(
    Object.entries(value).map(([key, part]) => [key, referring(part, pathOf)]),
  );
};

/** A token of a file; where the file is of one theme, with its value there and nothing of another. */
function tokenJson(
  token: Token,
  pathOf: PathOf,
  [first, second]: readonly [Mode, ...Mode[]],
): Group {
  const to = (id: string): string => reference(pathOf(id).join('.'));
  const usual = token.values[first];
  const said = ({ reference: whole, json }: TokenValue): TokenJson =>
    whole === undefined ? referring(json, pathOf) : to(whole);
  const value = said(usual);
  const other =
    second === undefined || isSameInBoth(token) ? undefined : said(token.values[second]);
  const extension: Group = {
    ...(usual.extension !== undefined && { value: referring(usual.extension, pathOf) }),
    // What takes all that differs from others differs by itself.
    ...(second !== undefined &&
      other !== undefined &&
      JSON.stringify(other) !== JSON.stringify(value) && { modes: { [second]: other } }),
  };
  return {
    $type: token.type,
    $value: value,
    ...(token.description !== undefined && { $description: token.description }),
    ...(token.deprecated !== undefined && { $deprecated: token.deprecated }),
    ...((Object.keys(extension).length > 0 || isGroup(token.others)) && {
      $extensions: {
        ...(isGroup(token.others) && token.others),
        ...(Object.keys(extension).length > 0 && { [EXTENSION]: extension }),
      },
    }),
  };
}

const isGroup = (value: TokenJson | Group | undefined): value is Group =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function place(root: Group, path: readonly string[], value: Group): void {
  const [head, ...rest] = path;
  if (head === undefined) return;
  if (rest.length === 0) {
    const there = Object.hasOwn(root, head) ? root[head] : undefined;
    root[head] = isGroup(there) ? { ...there, ...value } : value;
    return;
  }
  const next = Object.hasOwn(root, head) ? root[head] : undefined;
  const group: Group = isGroup(next) ? next : {};
  root[head] = group;
  place(group, rest, value);
}

/** The group at a path; nothing where there is none. */
function groupAt(root: Group, path: readonly string[]): Group | undefined {
  let here: Group | undefined = root;
  for (const part of path) {
    const next: TokenJson | Group | undefined =
      here && Object.hasOwn(here, part) ? here[part] : undefined;
    here = isGroup(next) ? next : undefined;
  }
  return here;
}

/**
 * What a group has only from the one that it extends, as names with their groups; nothing where it is not all there.
 * @param at the path of the group that is extended
 */
function handedOn(base: Group, group: Group, at: readonly string[]): [Group, string][] | undefined {
  const found: [Group, string][] = [];
  for (const [key, there] of Object.entries(base)) {
    if (!isGroup(there) || (key.startsWith('$') && key !== '$root')) continue;
    const own = Object.hasOwn(group, key) ? group[key] : undefined;
    if (!isGroup(own)) return undefined;
    const path = [...at, key];
    if (Object.hasOwn(there, '$value')) {
      if (own['$value'] === reference(path.join('.')) && isSaidAlike(there, own))
        found.push([group, key]);
      continue;
    }
    const within = Object.hasOwn(own, '$value') ? undefined : handedOn(there, own, path);
    if (!within) return undefined;
    found.push(...within);
  }
  return found;
}

/** Whether a token that takes its value from another says of itself what that one does, in every theme. */
const isSaidAlike = (there: Group, own: Group): boolean => {
  const said = ({ $value: _value, $extensions, ...words }: Group): string => {
    const { [EXTENSION]: ours, ...others } = isGroup($extensions) ? $extensions : {};
    const { modes: _modes, ...value } = isGroup(ours) ? ours : {};
    return JSON.stringify([words, others, value]);
  };
  const { [EXTENSION]: ours } = isGroup(own['$extensions']) ? own['$extensions'] : {};
  return said(there) === said(own) && !(isGroup(ours) && Object.hasOwn(ours, 'modes'));
};

/** Takes groups out that nothing stands in any more. */
function withoutEmpty(group: Group): void {
  for (const [key, child] of Object.entries(group)) {
    if (key.startsWith('$') || !isGroup(child) || Object.hasOwn(child, '$value')) continue;
    withoutEmpty(child);
    if (Object.keys(child).length === 0) Reflect.deleteProperty(group, key);
  }
}

/** Says of groups that they extend others, where they have all that is there, and leaves out what they have from there. */
function extendGroups(
  root: Group,
  pairs: Iterable<readonly [readonly string[], readonly string[]]>,
) {
  const said = [...pairs].flatMap(([path, of]) => {
    const [group, base] = [groupAt(root, path), groupAt(root, of)];
    const found = group && base && group !== base ? handedOn(base, group, of) : undefined;
    return group && found ? [{ group, of, found }] : [];
  });
  for (const { group, of, found } of said) {
    for (const [within, key] of found) Reflect.deleteProperty(within, key);
    withoutEmpty(group);
    group['$extends'] = reference(of.join('.'));
  }
}

/** Puts every token at its place, by the names that were chosen; those from before beside them, deprecated. */
function placeAll(
  root: Group,
  derived: Pick<Derived, 'tokens' | 'groups' | 'rules'>,
  { sheet, descriptions }: StyleDocument['tokens'],
  modes: readonly [Mode, ...Mode[]],
): void {
  const { tokens: names, former } = tokenNamesOf(sheet, derived);
  const within = sheet?.properties === undefined ? [] : [sheet.properties];
  const pathOf: PathOf = (id) => [...within, ...(names.get(id)?.path ?? id.split('.'))];
  const typeOf = new Map(derived.tokens.map(({ id, type }) => [id, type]));
  for (const token of derived.tokens)
    place(root, pathOf(token.id), tokenJson(token, pathOf, modes));
  for (const [group, text] of descriptionsOf(descriptions)) {
    const there = groupAt(root, [...within, ...group.split('.')]);
    // A token says what it is for itself.
    if (there && !Object.hasOwn(there, '$value')) there['$description'] = text;
  }
  extendGroups(
    root,
    [...extendingGroups(descriptions)].map(([path, of]) => [
      [...within, ...path.split('.')],
      [...within, ...of.split('.')],
    ]),
  );
  for (const { id, path } of former) {
    const now = pathOf(id).join('.');
    place(root, path, {
      $type: typeOf.get(id) ?? '',
      $value: reference(now),
      $deprecated: `Renamed to ${now}.`,
    });
  }
}

/**
 * The tokens in the format of the Design Tokens Community Group (Format Module 2025.10). What the
 * format cannot say stands in `$extensions` under `app.garnish`: the value in the dark mode
 * (`modes`), fluid sizes and lengths in em (`value`), and on the root all decisions, from which
 * `readDtcg` restores the system.
 */
export function writeDtcg(derived: Derived, document: StyleDocument): string {
  const root: Group = {
    $description: document.description || document.name,
    $extensions: { [EXTENSION]: { decisions: document as unknown as TokenJson } },
  };
  placeAll(root, derived, document.tokens, modesOf(derived.themes));
  return `${JSON.stringify(root, undefined, 2)}\n`;
}

/** The theme that a file of one theme is of: the first, or the other; the first again where there is no other. */
const themeAt = (themes: Themes, at: 0 | 1): Mode => {
  const [first, second = first] = modesOf(themes);
  return at === 0 ? first : second;
};

/**
 * The tokens of one theme in the same format, for programs that know no themes: every token with its value there.
 * @param at the theme that stands where nothing is said (0), or the other one (1)
 */
export function writeDtcgTheme(
  derived: Pick<Derived, 'tokens' | 'themes' | 'groups' | 'rules'>,
  { tokens, name }: Pick<StyleDocument, 'tokens' | 'name'>,
  at: 0 | 1,
): string {
  const mode = themeAt(derived.themes, at);
  const root: Group = { $description: `${name}, ${mode}` };
  placeAll(root, derived, tokens, [mode]);
  return `${JSON.stringify(root, undefined, 2)}\n`;
}

/** The files of single themes, beside the resolver document that names them. */
export const THEME_FILES = ['tokens-theme.json', 'tokens-other-theme.json'] as const;

/**
 * The resolver document that puts the files of the themes together: a modifier `theme` with a context for each theme.
 * Source: Design Tokens Resolver Module 2025.10 (from memory).
 */
export function writeResolver(
  { themes }: Pick<Derived, 'themes'>,
  { name }: Pick<StyleDocument, 'name'>,
): string {
  const modes = modesOf(themes);
  const [first] = modes;
  const contexts = Object.fromEntries(
    modes.map((mode, at) => [mode, [{ $ref: THEME_FILES[at] ?? THEME_FILES[0] }]]),
  );
  return `${JSON.stringify(
    {
      name,
      version: '2025.10',
      modifiers: { theme: { contexts, default: first } },
      resolutionOrder: [{ $ref: '#/modifiers/theme' }],
    },
    undefined,
    2,
  )}\n`;
}
