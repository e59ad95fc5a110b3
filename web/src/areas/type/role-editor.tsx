import type { TextStyle } from '@garnish/core/derive/derived';
import { middlePx, sizeAtAnchor } from '@garnish/core/derive/type/styles';
import {
  ALIGNMENTS,
  FIGURES,
  inOrder,
  LETTER_CASES,
  type TextRole,
} from '@garnish/core/system/document';
import type { Json } from '@garnish/core/system/patch';
import { removingTextRole } from '@garnish/core/system/type-changes';
import { LENGTHS } from '@garnish/core/type/fluid';
import { letterSpacingOf, lineHeightOf } from '@garnish/core/type/line-height';
import type { ReactNode } from 'react';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useStore, useSystem } from '../../system/system-context.ts';
import { LineField } from '../../ui/line-field.tsx';
import { NameField } from '../../ui/name-field.tsx';
import { PX_UNITS } from '../../ui/quantity.ts';
import { anchorName } from './anchors.tsx';

/** A heading that is held to few lines is not to become smaller than this, until somebody says so. */
const LEAST_FIT_PX = 18;

interface OwnProps {
  /** What the value is called; a field inside has the same name. */
  readonly name: string;
  readonly own: boolean;
  readonly onClear: () => void;
  readonly children: ReactNode;
}

/** A value that follows from the scale until it is set; what is set says so and can be let go. */
function Own({ name, own, onClear, children }: OwnProps) {
  return (
    <div className="min-w-0">
      <span className="flex min-h-6 items-baseline justify-between gap-1 text-xs">
        <span className={own ? 'font-semibold' : 'text-quiet'}>{name}</span>
        {own && (
          <button
            type="button"
            className="min-h-6 text-quiet underline underline-offset-2 hover:text-base-content"
            aria-label={`${name} automatic again`}
            onClick={onClear}
          >
            automatic
          </button>
        )}
      </span>
      {children}
    </div>
  );
}

interface EditorProps {
  readonly id: string;
  readonly role: TextRole;
  readonly style: TextStyle;
}

/** Everything that a role can decide for itself; each value stands apart from the scale until let go. */
export function RoleEditor({ id, role, style }: EditorProps) {
  const store = useStore();
  const decided = useSystem((state) => state.decided);
  const { color, space, type } = decided.document;
  const path = `/type/roles/items/${id}`;
  const said = (part: keyof TextRole): string => `${part} of ${role.name}`;
  const set = (part: keyof TextRole, value: Json): void => {
    store.change([{ op: 'add', path: `${path}/${part}`, value }], said(part));
  };
  const clear = (part: string): void => {
    store.change([{ op: 'remove', path: `${path}/${part}` }], `${part} of ${role.name} automatic`);
  };
  const choose = (part: keyof TextRole, value: string): void => {
    if (value === '') clear(part);
    else set(part, value);
  };
  const px = middlePx(style.size);
  const lineHeight = lineHeightOf(px, {
    xHeight: style.family.metrics.xHeight,
    ...(role.longest !== undefined && { characters: role.longest }),
  });
  const sizes = role.sizes ?? {};
  const onPage = inOrder(color.texts).find(
    ([, use]) => use.text === id && use.part === 'words' && use.on === 'page',
  );
  const selects = [
    ['style', 'style', role.style, ['italic'], 'upright'],
    ['case', 'case', role.case, LETTER_CASES, 'as written'],
    ['figures', 'figures', role.figures, FIGURES, 'usual'],
    ['align', 'alignment', role.align, ALIGNMENTS, 'start'],
    ['after', 'space after', role.after, space.steps.order, 'none'],
  ] as const;
  return (
    <div className="mb-2 border-s-2 border-line-strong ps-3 pt-1" data-decision={path}>
      <div className="grid grid-cols-3 gap-x-4 gap-y-1">
        {inOrder(type.anchors).map(([anchorId, anchor]) => {
          const name = `size at ${anchor.width} px`;
          return (
            <Own
              key={anchorId}
              name={name}
              own={Object.hasOwn(sizes, anchorId)}
              onClear={() => clear(Object.keys(sizes).length > 1 ? `sizes/${anchorId}` : 'sizes')}
            >
              <DecidedNumber
                path={`${path}/sizes/${anchorId}`}
                name={said('sizes')}
                change={(value) => [
                  role.sizes
                    ? { op: 'add', path: `${path}/sizes/${anchorId}`, value }
                    : { op: 'add', path: `${path}/sizes`, value: { [anchorId]: value } },
                ]}
                label={`${role.name} on the ${anchorName(type, anchorId)} screen`}
                hideLabel
                value={sizes[anchorId] ?? sizeAtAnchor(type, anchor, role.place)}
                step={0.5}
                decimals={2}
                unit="px"
                units={PX_UNITS}
              />
            </Own>
          );
        })}
        <Own
          name="line height"
          own={role.lineHeight !== undefined}
          onClear={() => clear('lineHeight')}
        >
          <DecidedNumber
            path={`${path}/lineHeight`}
            name={said('lineHeight')}
            label={`line height of ${role.name}`}
            hideLabel
            value={role.lineHeight ?? lineHeight}
            step={0.05}
            decimals={2}
          />
        </Own>
        <Own
          name="letter spacing"
          own={role.letterSpacing !== undefined}
          onClear={() => clear('letterSpacing')}
        >
          <DecidedNumber
            path={`${path}/letterSpacing`}
            name={said('letterSpacing')}
            label={`letter spacing of ${role.name}`}
            hideLabel
            value={role.letterSpacing ?? letterSpacingOf(px, role.case === 'uppercase')}
            step={0.005}
            decimals={3}
            unit="em"
          />
        </Own>
        <Own name="longest line" own={role.longest !== undefined} onClear={() => clear('longest')}>
          <DecidedNumber
            path={`${path}/longest`}
            name={said('longest')}
            min={role.longest === undefined ? 0 : undefined}
            change={(value) => [{ op: 'add', path: `${path}/longest`, value: Math.max(10, value) }]}
            label={`longest line of ${role.name}`}
            hideLabel
            value={role.longest ?? 0}
            step={1}
            decimals={0}
            unit={role.longest === undefined ? 'any' : 'char.'}
          />
        </Own>
        {selects.map(([part, name, value, options, automatic]) => (
          <Own key={part} name={name} own={value !== undefined} onClear={() => clear(part)}>
            <select
              aria-label={`${name} of ${role.name}`}
              className="select w-full"
              value={value ?? ''}
              onChange={(event) => choose(part, event.currentTarget.value)}
            >
              <option value="">{automatic}</option>
              {options.map((option) => (
                <option key={option} value={option}>
                  {part === 'after' ? space.steps.items[option]?.name : option}
                </option>
              ))}
            </select>
          </Own>
        ))}
        <Own name="lines at most" own={role.fit !== undefined} onClear={() => clear('fit')}>
          <DecidedNumber
            path={`${path}/fit/lines`}
            name={said('fit')}
            min={role.fit ? undefined : 0}
            change={(lines) => [
              {
                op: 'add',
                path: `${path}/fit`,
                value: { least: LEAST_FIT_PX, ...role.fit, lines },
              },
            ]}
            label={`lines of ${role.name} at most`}
            hideLabel
            value={role.fit?.lines ?? 0}
            step={1}
            decimals={0}
            unit={role.fit ? 'lines' : 'any'}
          />
        </Own>
        {role.fit && (
          <Own name="but never under" own={false} onClear={() => undefined}>
            <DecidedNumber
              path={`${path}/fit/least`}
              name={said('fit')}
              label={`least size of ${role.name}`}
              hideLabel
              value={role.fit.least}
              step={1}
              unit="px"
              units={PX_UNITS}
            />
          </Own>
        )}
        <Own
          name="flows with"
          own={role.container !== undefined}
          onClear={() => clear('container')}
        >
          <select
            aria-label={`What ${role.name} flows with`}
            className="select w-full"
            value={role.container ? 'container' : 'screen'}
            onChange={(event) =>
              event.currentTarget.value === 'container'
                ? set('container', { from: 240, to: 640 })
                : clear('container')
            }
          >
            <option value="screen">the screen</option>
            <option value="container">its container</option>
          </select>
        </Own>
        {role.container &&
          (['from', 'to'] as const).map((end) => (
            <Own key={end} name={`container ${end}`} own={false} onClear={() => undefined}>
              <DecidedNumber
                path={`${path}/container/${end}`}
                name={said('container')}
                label={`container of ${role.name} ${end}`}
                hideLabel
                value={role.container?.[end] ?? 0}
                step={10}
                decimals={0}
                unit="px"
                units={PX_UNITS}
              />
            </Own>
          ))}
        <Own name="written in" own={role.unit !== undefined} onClear={() => clear('unit')}>
          <select
            aria-label={`Unit of ${role.name}`}
            className="select w-full"
            value={role.unit?.length ?? 'rem'}
            onChange={(event) => {
              const { value } = event.currentTarget;
              if (value === 'rem') clear('unit');
              else set('unit', { because: '', ...role.unit, length: value });
            }}
          >
            {LENGTHS.map((length) => (
              <option key={length}>{length}</option>
            ))}
          </select>
        </Own>
        {role.unit && (
          <label className="col-span-2">
            <span className="text-xs text-quiet">because</span>
            <LineField
              placeholder="why it does not follow the reader"
              value={role.unit.because}
              onChange={(because) => set('unit', { length: role.unit?.length ?? 'px', because })}
            />
          </label>
        )}
        {onPage && (
          <Own name="color on page" own={false} onClear={() => undefined}>
            <select
              aria-label={`color of ${role.name} on page`}
              className="select w-full"
              value={onPage[1].color}
              onChange={(event) =>
                store.change(
                  [
                    {
                      op: 'replace',
                      path: `/color/texts/items/${onPage[0]}/color`,
                      value: event.currentTarget.value,
                    },
                  ],
                  `color of ${role.name} on page`,
                )
              }
            >
              {inOrder(color.roles).map(([key, { name }]) => (
                <option key={key} value={key}>
                  {name}
                </option>
              ))}
            </select>
          </Own>
        )}
      </div>
      <div className="mt-2 flex items-baseline gap-4">
        <div className="w-40">
          <NameField
            label={`Name of ${role.name}`}
            value={role.name}
            onChange={(value) =>
              store.change([{ op: 'replace', path: `${path}/name`, value }], `name of ${role.name}`)
            }
          />
        </div>
        <button
          type="button"
          className="min-h-6 text-quiet underline underline-offset-2 hover:text-base-content"
          onClick={() =>
            store.change(removingTextRole(decided.document, id), `no text role ${role.name}`)
          }
        >
          Take the role out
        </button>
      </div>
    </div>
  );
}
