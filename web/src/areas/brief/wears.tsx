import { COMPONENTS } from '@garnish/core/components/components';
import { ownVariantsOf } from '@garnish/core/derive/own-variants';
import type { PageSection } from '@garnish/core/system/document';
import type { Patch } from '@garnish/core/system/patch';
import { useDecided, useStore } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';

/** What components are called where one chooses among their variants. */
const NAMES: ReadonlyMap<string, string> = new Map(
  COMPONENTS.flatMap(({ classes, name, variants = [] }) =>
    classes.map((one) => {
      const variant = variants.find(({ of }) => of === one.name);
      const called = variant && variants.length > 1 ? `${name}, ${variant.name}` : name;
      return [one.name, called.toLowerCase()] as const;
    }),
  ),
);

interface WearsProps {
  /** What they are worn in: a section, or the content for head and foot. */
  readonly path: string;
  /** The classes that it has. */
  readonly there: ReadonlySet<string>;
  readonly wears: PageSection['wears'];
}

/** Which variants of one’s own the components of a part of the page are; nothing where none follows one of them. */
export function Wears({ path, there, wears }: WearsProps) {
  const store = useStore();
  const { components } = useDecided(['components']).document;
  const variants = ownVariantsOf(components).filter(({ of }) => there.has(of));
  const wear = (of: string, name: string, value: string): void => {
    const at = `${path}/wears`;
    const rest = Object.keys(wears ?? {}).filter((one) => one !== of);
    const patch: Patch =
      value === ''
        ? [{ op: 'remove', path: rest.length === 0 ? at : `${at}/${of}` }]
        : [
            wears
              ? { op: Object.hasOwn(wears, of) ? 'replace' : 'add', path: `${at}/${of}`, value }
              : { op: 'add', path: at, value: { [of]: value } },
          ];
    store.change(patch, `${NAMES.get(of) ?? of}: ${name}`);
  };
  return [...new Set(variants.map(({ of }) => of))].map((of) => {
    const called = NAMES.get(of) ?? of;
    const those = variants.filter((one) => one.of === of);
    const now = wears && Object.hasOwn(wears, of) ? wears[of] : undefined;
    return (
      <label key={of} data-decision={`${path}/wears/${of}`}>
        <span className="block text-quiet">{called}</span>
        <TrySelect
          className="select w-auto max-w-44"
          value={those.some(({ id }) => id === now) ? (now ?? '') : ''}
          onChange={({ currentTarget: { value } }) =>
            wear(of, those.find(({ id }) => id === value)?.name ?? 'the usual', value)
          }
        >
          <option value="">the usual</option>
          {those.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </TrySelect>
      </label>
    );
  });
}
