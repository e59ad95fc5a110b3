import type { IconDrawing } from '@garnish/core/icons/drawing';
import { typicalOf, unlikeness } from '@garnish/core/icons/alike';
import type { IconKind } from '@garnish/core/icons/kinds';
import type { IconMeasures } from '@garnish/core/icons/measure';
import MiniSearch from 'minisearch';
import { iconSets, type ShippedIcon } from './sets.ts';
import { synonymsOf } from './words.ts';

export interface Asked {
  /** Words that the icon is called by; all icons where empty. */
  readonly words: string;
  readonly kind?: IconKind | undefined;
  readonly set?: string | undefined;
  readonly style?: string | undefined;
  /** Drawn like this one, the likest first. */
  readonly like?: { readonly set: string; readonly name: string } | undefined;
}

interface Entry extends ShippedIcon {
  readonly id: number;
  readonly measures: IconMeasures;
}

const wordsOf = (name: string): readonly string[] => name.split('-').filter((part) => part !== '');

interface Index {
  readonly entries: readonly Entry[];
  readonly find: (words: string) => readonly { readonly id: number; readonly score: number }[];
}

let built: Index | undefined;

/** What a word may be mistyped by, as a share of its length; short words have to be right. */
const fuzzy = (term: string): number | false => (term.length < 4 ? false : 0.25);

/** Every icon by its words, the other names that its set knows, and what people say for the same. */
function index(): Index {
  if (built) return built;
  const entries: Entry[] = [];
  for (const set of iconSets().values())
    for (const icon of set.icons) {
      const measures = set.measures.get(icon.name);
      if (measures) entries.push({ ...icon, id: entries.length, measures });
    }
  // Icons that are called the same are found by one document: there are a quarter as many names as icons.
  const byName = new Map<
    string,
    { readonly id: number; readonly also: Set<string>; readonly ids: number[] }
  >();
  for (const { plain, also, id } of entries) {
    const one = byName.get(plain) ?? { id: byName.size, also: new Set<string>(), ids: [] };
    for (const other of also) one.also.add(other);
    one.ids.push(id);
    byName.set(plain, one);
  }
  const names = [...byName.values()];
  const lengths = [...byName.keys()].map((name) => wordsOf(name).length);
  const search = new MiniSearch<{ id: number; name: string; also: string; same: string }>({
    fields: ['name', 'also', 'same'],
    searchOptions: {
      prefix: (term) => term.length > 1,
      combineWith: 'AND',
      boost: { name: 4, also: 2, same: 1.5 },
      // What is right comes before what is only begun.
      weights: { prefix: 0.3, fuzzy: 0.1 },
      // Of names with the word, the shorter is nearer to it.
      boostDocument: (id) => 1 / (1 + 0.2 * (lengths[id as number] ?? 0)),
    },
  });
  search.addAll(
    [...byName].map(([name, { id, also }]) => ({
      id,
      name: wordsOf(name).join(' '),
      also: [...also].flatMap(wordsOf).join(' '),
      same: wordsOf(name).flatMap(synonymsOf).join(' '),
    })),
  );
  built = {
    entries,
    find(words) {
      // What is mistyped is sought only where nothing is called so.
      const right = search.search(words);
      const all = right.length > 0 ? right : search.search(words, { fuzzy });
      return all.flatMap(({ id, score }) =>
        (names[id as number]?.ids ?? []).map((own) => ({ id: own, score })),
      );
    },
  };
  return built;
}

const startsWith = (entry: Entry, words: string): number =>
  entry.plain === words ? 0 : entry.plain.startsWith(words) ? 1 : 2;

/** The icons that fit, best first, by their names; what is called exactly so comes before what is called longer. */
export function findIcons({ words, kind, set, style, like }: Asked): readonly Entry[] {
  const { entries, find } = index();
  const said = words.trim().toLowerCase();
  const isAsked = ({ measures, ...icon }: Entry): boolean =>
    (kind === undefined || measures.kind === kind) &&
    (set === undefined || icon.set === set) &&
    (style === undefined || icon.style === style);
  const found =
    said === ''
      ? entries.filter(isAsked)
      : find(said).flatMap(({ id }) => {
          const entry = entries[id];
          return entry && isAsked(entry) ? [entry] : [];
        });
  const model = like && iconSets().get(like.set)?.measures.get(like.name);
  if (model) {
    const far = new Map(found.map((entry) => [entry, unlikeness(entry.measures, model)]));
    return found.toSorted((one, other) => (far.get(one) ?? 0) - (far.get(other) ?? 0));
  }
  if (said === '') return found;
  const name = said.replaceAll(/\s+/g, '-');
  return found.toSorted((one, other) => startsWith(one, name) - startsWith(other, name));
}

/** What a style is looked at by: things that most sets have, under the names that they give them. */
const SAMPLES = [
  ['home', 'house'],
  ['phone', 'bell'],
  ['mail', 'envelope', 'envelope-closed', 'message'],
  ['calendar'],
  ['heart', 'star'],
] as const;

export interface StyleSummary {
  readonly set: string;
  readonly name: string;
  readonly style: string;
  readonly author: string;
  readonly license: { readonly title: string; readonly spdx: string; readonly url: string };
  readonly count: number;
  readonly typical: IconMeasures;
  /** A few of its icons, as far as it has them, to look at. */
  readonly samples: readonly IconDrawing[];
}

/** Makes what a search needs, so that the first one answers as fast as the others. */
export const warmSearch = (): void => {
  index();
};

let summary: readonly StyleSummary[] | undefined;

/**
 * The styles of all sets: how many icons each has, and what they are like.
 */
export function summarizeStyles(): readonly StyleSummary[] {
  summary ??= [...iconSets().values()].flatMap(
    ({ id, name, author, license, icons, measures, drawing }) => {
      const styles = [...new Set(icons.map(({ style }) => style))];
      return styles.flatMap((style): StyleSummary[] => {
        const own = icons.filter((icon) => icon.style === style);
        const typical = typicalOf(own.flatMap((icon) => measures.get(icon.name) ?? []));
        const samples = SAMPLES.flatMap((called) => {
          const first = called
            .map((plain) => own.find((icon) => icon.plain === plain))
            .find((icon) => icon !== undefined);
          return (first && drawing(first.name)) ?? [];
        });
        return typical
          ? [{ set: id, name, style, author, license, count: own.length, typical, samples }]
          : [];
      });
    },
  );
  return summary;
}
