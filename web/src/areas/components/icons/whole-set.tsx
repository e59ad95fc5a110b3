import type { StyleDocument } from '@garnish/core/system/document';
import { namingIcon, type SystemIcon } from '@garnish/core/system/icons';
import { patched, type Patch } from '@garnish/core/system/patch';
import { plainName } from '@garnish/core/tokens/token';
import useSWR from 'swr';
import { get } from '../../../api/client.ts';
import { useDecided, useStore } from '../../../system/system-context.ts';
import { triedBy, useTrying } from '../../../system/use-trying.ts';
import { addressOf, foundPage, type FoundIcon, type StyleOfSet } from './found-icons.ts';

/** More icons than a site names. */
const MOST_ICONS = 60;

/** The plainest of some icons that is called by all words of a name: what only means the same is no counterpart. */
function calledSo(name: string, icons: readonly FoundIcon[]): FoundIcon | undefined {
  const words = plainName(name).split('-');
  return icons
    .filter(({ plain }) => words.every((word) => plain.split('-').includes(word)))
    .toSorted((one, other) => one.plain.length - other.plain.length)[0];
}

/** For each icon of a site the one of a set that is called the same; none where the set has no such thing. */
async function counterparts(
  style: StyleOfSet,
  icons: readonly Pick<SystemIcon, 'id' | 'name'>[],
): Promise<ReadonlyMap<string, FoundIcon>> {
  const from = `${style.set}/${style.style}`;
  const found = await Promise.all(
    icons.slice(0, MOST_ICONS).map(async ({ id, name }) => {
      const asked = { words: name, kind: '', from, like: undefined };
      const { icons: all } = await get(addressOf(asked, 0), foundPage);
      const one = calledSo(name, all);
      return one && ([id, one] as const);
    }),
  );
  return new Map(found.filter((one) => one !== undefined));
}

/** The change that draws every icon by its counterpart in a set; what else is decided of each stays. */
export function wearingSet(
  document: StyleDocument,
  icons: readonly Pick<SystemIcon, 'id' | 'name'>[],
  style: Pick<StyleOfSet, 'name' | 'author' | 'license'>,
  found: ReadonlyMap<string, Pick<FoundIcon, 'name' | 'drawing' | 'measures'>>,
): Patch {
  let here = document;
  return icons.flatMap(({ id, name }): Patch => {
    const icon = found.get(id);
    if (!icon) return [];
    const patch = namingIcon(here, id, {
      name,
      drawing: icon.drawing,
      measures: icon.measures,
      from: {
        set: style.name,
        icon: icon.name,
        author: style.author,
        license: style.license.spdx,
      },
    });
    // Each begins where the ones before have led: they share one order.
    const next = patched(here, patch);
    if (!next.ok) return [];
    here = next.document;
    return patch;
  });
}

/** A set tried on the whole site: every icon that it has too, in one step. */
export function WholeSet({ style }: { readonly style: StyleOfSet }) {
  const store = useStore();
  const trying = useTrying();
  const { derived } = useDecided(['icons'], ['icons']);
  const icons = [...derived.icons.values()].map(({ id, name }) => ({ id, name }));
  const key = `${style.set}/${style.style} ${icons.map(({ name }) => name).join('|')}`;
  const { data, error } = useSWR<ReadonlyMap<string, FoundIcon>, Error>(
    `icons of a site in ${key}`,
    () => counterparts(style, icons),
    { revalidateOnFocus: false },
  );
  if (error) return <p className="text-error">{error.message}</p>;
  if (!data) return <p className="text-quiet">looking for the icons of the site …</p>;
  if (data.size === 0) return <p className="text-quiet">It has none of the icons of the site.</p>;
  const missing = icons.filter(({ id }) => !data.has(id)).map(({ name }) => name);
  const act = (): void => {
    const { document } = store.state().decided;
    const patch = wearingSet(document, icons, style, data);
    if (patch.length > 0) store.change(patch, `icons of ${style.name}`.slice(0, 120));
  };
  return (
    <p className="flex flex-wrap items-baseline gap-x-4 text-quiet">
      <button type="button" className="act" {...triedBy(trying, act)}>
        Draw {data.size === icons.length ? `all ${data.size}` : `${data.size} of ${icons.length}`}{' '}
        from it
      </button>
      {missing.length > 0 && <span className="text-xs">as they are: {missing.join(', ')}</span>}
    </p>
  );
}
