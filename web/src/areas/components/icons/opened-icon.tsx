import type { Beside } from '@garnish/core/derive/icons/beside';
import { writeSvg } from '@garnish/core/icons/write-svg';
import { USUAL_FAINT, usualStroke } from '@garnish/core/icons/usual';
import { inOrder } from '@garnish/core/system/document';
import { lettingIconGo, ownSign, type SystemIcon } from '@garnish/core/system/icons';
import type { Operation } from '@garnish/core/system/patch';
import { useDecided, useStore } from '../../../system/system-context.ts';
import { TrySelect } from '../../../system/try-select.tsx';
import { Copy } from '../../../ui/copy.tsx';
import { IconDrawn } from '../../../ui/icon-drawn.tsx';
import { NameField } from '../../../ui/name-field.tsx';
import { saidOf } from './said.ts';

interface OpenedIconProps {
  readonly icon: SystemIcon;
  readonly beside: Beside | undefined;
  readonly onLike: ((set: string, name: string) => void) | undefined;
  readonly onGone: () => void;
}

/** One icon: what is measured of it, where it departs, and what of it can be taken away. */
export function OpenedIcon({ icon, beside, onLike, onGone }: OpenedIconProps) {
  const store = useStore();
  const { icons, color } = useDecided(['icons', 'color']).document;
  const { id, slug, name, drawing, decided, measures } = icon;
  const path = `/icons/named/items/${id}`;
  const stroked = usualStroke(drawing) !== undefined;
  const svg = writeSvg(drawing, stroked ? { stroke: icons.stroke } : {}, ' class="icon"');
  const markup = `<span class="icon icon-${slug}" aria-hidden="true"></span>`;
  const departs = (key: 'size' | 'color', value: string): void => {
    const at = `${path}/${key}`;
    const change: Operation =
      value === '' ? { op: 'remove', path: at } : { op: 'add', path: at, value };
    if ((decided?.[key] ?? '') !== value) store.change([change], `${key} of the icon ${name}`);
  };
  return (
    <div className="grid grid-cols-[4.5rem_minmax(0,1fr)] gap-x-4 border-b border-line py-3">
      <span className="grid h-[4.5rem] place-items-center border border-line">
        <IconDrawn drawing={drawing} px={56} faint={icons.faint ?? USUAL_FAINT} />
      </span>
      <div className="grid min-w-0 content-start gap-y-2">
        {decided ? (
          <div className="grid grid-cols-[minmax(0,1fr)_6rem_7rem] items-end gap-x-4 @max-[26rem]:grid-cols-1">
            <div className="min-w-0">
              <NameField
                label="what it is for"
                value={name}
                onChange={(value) =>
                  store.change([{ op: 'replace', path: `${path}/name`, value }], 'name of an icon')
                }
              />
            </div>
            <label>
              <span className="block text-quiet">size</span>
              <TrySelect
                className="select w-full"
                value={decided.size ?? ''}
                onChange={({ currentTarget: { value } }) => departs('size', value)}
              >
                <option value="">as all</option>
                {inOrder(icons.sizes).map(([size, { name: own }]) => (
                  <option key={size} value={size}>
                    {own}
                  </option>
                ))}
              </TrySelect>
            </label>
            <label>
              <span className="block text-quiet">color</span>
              <TrySelect
                className="select w-full"
                value={decided.color ?? ''}
                onChange={({ currentTarget: { value } }) => departs('color', value)}
              >
                <option value="">of its words</option>
                {inOrder(color.roles).map(([role, { name: own }]) => (
                  <option key={role} value={role}>
                    {own}
                  </option>
                ))}
              </TrySelect>
            </label>
          </div>
        ) : (
          <p>
            <strong>{name}</strong>, a sign of our own that {icon.of ?? 'a page'} shows. What is
            found below stands for it.
          </p>
        )}
        <div className="text-xs text-quiet">
          {decided?.from && (
            <p>
              {decided.from.icon} from {decided.from.set} by {decided.from.author},{' '}
              {decided.from.license}
            </p>
          )}
          <p>{saidOf(measures, stroked ? undefined : beside).join(' · ')}</p>
        </div>
        <div className="flex flex-wrap items-baseline gap-x-4">
          <Copy text={markup} className="text-quiet">
            Copy the markup
          </Copy>
          <Copy text={svg} className="text-quiet">
            Copy the SVG
          </Copy>
          {decided?.from && onLike && (
            <button
              type="button"
              className="act"
              onClick={() => onLike(decided.from?.set ?? '', decided.from?.icon ?? '')}
            >
              Find more like it
            </button>
          )}
          {decided && (
            <button
              type="button"
              className="act"
              onClick={() => {
                store.change(lettingIconGo(store.state().decided.document, id), `without ${name}`);
                onGone();
              }}
            >
              {ownSign(id) ? 'Back to the sign of our own' : 'Take it out'}
            </button>
          )}
        </div>
      </div>
    </div>
  );
}
