import { OWN_SIGNS } from '@garnish/core/icons/own-signs';
import type { Operation } from '@garnish/core/system/patch';
import { USUAL_FAINT } from '@garnish/core/icons/usual';
import { useDecided, useStore } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';
import { IconDrawn } from '../../ui/icon-drawn.tsx';

interface IconFieldProps {
  /** Where it stands in the document. */
  readonly path: string;
  /** What it stands beside. */
  readonly of: string;
  readonly icon: string | undefined;
}

/** The icon beside a thing: one of the site’s, or a sign of our own. */
export function IconField({ path, of, icon }: IconFieldProps) {
  const store = useStore();
  const { document, derived } = useDecided(['icons'], ['icons']);
  const { stroke, faint = USUAL_FAINT, named } = document.icons;
  const shown = icon === undefined ? undefined : derived.icons.get(icon);
  const others = OWN_SIGNS.filter(({ id }) => !Object.hasOwn(named.items, id));
  const choose = (value: string): void => {
    const change: Operation = value === '' ? { op: 'remove', path } : { op: 'add', path, value };
    store.change([change], value === '' ? `no icon beside ${of}` : `an icon beside ${of}`);
  };
  return (
    <label className="flex min-h-7 items-center gap-x-2 ps-6 pb-1">
      <span className="text-quiet">icon</span>
      {shown && (
        <IconDrawn
          drawing={shown.drawing}
          px={18}
          faint={faint}
          {...(shown.measures.kind !== 'filled' && { stroke })}
        />
      )}
      <TrySelect
        className="select bare"
        aria-label={`Icon beside ${of}`}
        value={icon ?? ''}
        onChange={({ currentTarget: { value } }) => choose(value)}
      >
        <option value="">none</option>
        {icon !== undefined && !shown && !others.some(({ id }) => id === icon) && (
          <option value={icon}>one that is gone</option>
        )}
        {named.order.length > 0 && (
          <optgroup label="Icons of the site">
            {named.order.map((id) => (
              <option key={id} value={id}>
                {named.items[id]?.name ?? id}
              </option>
            ))}
          </optgroup>
        )}
        <optgroup label="Signs of our own">
          {others.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </optgroup>
      </TrySelect>
    </label>
  );
}
