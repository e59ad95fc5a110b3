import { inherited } from '@garnish/core/space/inherited';
import { FIXED_UNITS, SHRINKING_FORMS, type FixedLength } from '@garnish/core/space/shrinking';
import { without } from '@garnish/core/system/collection';
import { inOrder, type SpaceLength, type StyleDocument } from '@garnish/core/system/document';
import { jsonOf } from '@garnish/core/system/patch';
import type { SpaceUse } from '@garnish/core/system/space-schema';
import { ROOT_PX } from '@garnish/core/type/fluid';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { TryChoice } from '../../system/try-choice.tsx';
import { TrySelect } from '../../system/try-select.tsx';
import { StepPick } from './step-pick.tsx';
import { SwapDrawing } from './swap-drawing.tsx';

export const KINDS = {
  step: 'a step',
  stepped: 'by breakpoint',
  shrinking: 'shrinking',
  own: 'a length',
  minus: 'minus a role',
  grid: 'the grid’s',
} as const;
type Kind = keyof typeof KINDS;

/** A length of another kind that is near to what stood there. */
function asKind(
  kind: Kind,
  before: SpaceLength,
  { space }: StyleDocument,
  use: SpaceUse,
): SpaceLength {
  const step =
    before.kind === 'step' || before.kind === 'stepped'
      ? before.step
      : (space.steps.order[Math.floor(space.steps.order.length / 2)] ?? '');
  const other = inOrder(space.roles).find(
    ([, role]) => role.use !== 'pull' && role.value.kind !== 'minus' && !role.block,
  );
  switch (kind) {
    case 'step':
      return { kind, step };
    case 'stepped':
      return { kind, step, at: {} };
    case 'shrinking':
      return { kind, form: 'min', fixed: { value: 2, unit: 'rem' }, share: 8 };
    case 'own':
      return { kind, value: use === 'pull' ? -0.5 : 1, unit: 'em' };
    case 'minus':
      return { kind, of: other?.[0] ?? '' };
    case 'grid':
      return { kind, part: use === 'margin' ? 'margin' : 'gutter' };
  }
}

interface LengthProps {
  readonly path: string;
  readonly name: string;
  readonly use: SpaceUse;
  readonly length: SpaceLength;
}

const PX_OF = { em: ROOT_PX, rem: ROOT_PX, px: 1 } as const;

function Fixed({
  label,
  path,
  length,
  least,
  shown,
}: {
  readonly label: string;
  readonly path: string;
  readonly length: FixedLength;
  readonly least: number;
  /** What stands over the field, where its label says more than is to be seen. */
  readonly shown?: string;
}) {
  const store = useStore();
  return (
    <span className="flex items-end gap-1">
      <span className="w-16">
        {shown !== undefined && (
          <span aria-hidden className="block text-quiet">
            {shown}
          </span>
        )}
        <DecidedNumber
          path={`${path}/value`}
          min={least}
          label={label}
          hideLabel={shown !== undefined}
          value={length.value}
          step={length.unit === 'px' ? 1 : 0.125}
        />
      </span>
      <TrySelect
        aria-label={`Unit of ${label}`}
        className="select bare h-7 w-14"
        value={length.unit}
        onChange={({ currentTarget }) => {
          const unit = FIXED_UNITS.find((one) => one === currentTarget.value) ?? 'rem';
          // The same length in another unit, at text of 16 px.
          const value = (length.value * PX_OF[length.unit]) / PX_OF[unit];
          store.change(
            [
              {
                op: 'replace',
                path: `${path}/value`,
                value: Math.min(400, Number(value.toFixed(4))),
              },
              { op: 'replace', path: `${path}/unit`, value: unit },
            ],
            `unit of ${label}`,
          );
        }}
      >
        {FIXED_UNITS.map((unit) => (
          <option key={unit}>{unit}</option>
        ))}
      </TrySelect>
    </span>
  );
}

/** A step at the first stop and others at later ones; what is left open holds on from the one before. */
function Stops({
  path,
  name,
  length,
}: {
  readonly path: string;
  readonly name: string;
  readonly length: Extract<SpaceLength, { kind: 'step' | 'stepped' }>;
}) {
  const store = useStore();
  const decided = useDecided(['layout', 'type'], ['steps']);
  const { type, layout } = decided.document;
  const flows = length.kind === 'step';
  const stops = flows
    ? inOrder(type.anchors).map(([id, { width }]) => [id, `at ${width} px`] as const)
    : [
        ['', 'smallest'] as const,
        ...inOrder(layout.breakpoints).map(
          ([id, one]) => [id, `${one.name}, ${one.width} px`] as const,
        ),
      ];
  const later = inherited(
    length.step,
    length.at ?? {},
    stops.slice(1).map(([id]) => id),
  );
  return (
    <div className="flex flex-wrap gap-x-4 gap-y-1">
      {stops.map(([id, words], index) => {
        const set = index === 0 ? length.step : length.at?.[id];
        const before = index < 2 ? length.step : (later[index - 2]?.value ?? length.step);
        const beforeName = decided.derived.steps.get(before)?.name ?? before;
        return (
          <label key={id} className="w-28">
            <span className="block text-quiet">{words}</span>
            <StepPick
              label={`${name} ${words}`}
              value={set ?? ''}
              {...(index > 0 && { inheritedName: `as before, ${beforeName}` })}
              onChange={(value) => {
                const at = without(length.at ?? {}, id);
                const next = value === '' ? at : { ...at, [id]: value };
                store.change(
                  index === 0
                    ? [{ op: 'replace', path: `${path}/step`, value }]
                    : [
                        {
                          op: 'replace',
                          path,
                          value: jsonOf({
                            kind: length.kind,
                            step: length.step,
                            ...((!flows || Object.keys(next).length > 0) && { at: next }),
                          }),
                        },
                      ],
                  `${name} ${words}`,
                );
              }}
            />
          </label>
        );
      })}
    </div>
  );
}

/** One length of a role: what kind it is, and what that kind needs. */
export function Length({ path, name, use, length }: LengthProps) {
  const store = useStore();
  const roles = useSystem(({ decided }) => decided.document.space.roles);
  const kinds = (Object.keys(KINDS) as Kind[]).filter(
    (kind) => (kind !== 'minus' || use === 'pull') && (kind !== 'shrinking' || use !== 'gap'),
  );
  return (
    <div data-decision={path} className="grid gap-1.5">
      <TryChoice
        label={`Kind of ${name}`}
        options={kinds.map((value) => ({ value, name: KINDS[value] }))}
        value={length.kind}
        onChange={(kind) =>
          store.change(
            [
              {
                op: 'replace',
                path,
                value: jsonOf(asKind(kind, length, store.state().decided.document, use)),
              },
            ],
            `${name}: ${KINDS[kind]}`,
          )
        }
      />
      {(length.kind === 'step' || length.kind === 'stepped') && (
        <Stops path={path} name={name} length={length} />
      )}
      {length.kind === 'own' && (
        <Fixed
          label={`${name}, length`}
          path={path}
          length={length}
          least={use === 'pull' ? -400 : 0}
        />
      )}
      {length.kind === 'minus' && (
        <TrySelect
          aria-label={`Role that ${name} is the other side of`}
          className="select w-40"
          value={length.of}
          onChange={(event) =>
            store.change(
              [{ op: 'replace', path: `${path}/of`, value: event.currentTarget.value }],
              name,
            )
          }
        >
          {inOrder(roles)
            .filter(([, role]) => role.use !== 'pull')
            .map(([id, role]) => (
              <option key={id} value={id}>
                {role.name}
              </option>
            ))}
        </TrySelect>
      )}
      {length.kind === 'grid' && (
        <p className="text-quiet">The {length.part} of the column grid; decided under Grid.</p>
      )}
      {length.kind === 'shrinking' && (
        <>
          <div className="grid gap-1">
            <TryChoice
              label={`Form of ${name}`}
              options={SHRINKING_FORMS.map((value) => ({ value, name: `${value}()` }))}
              value={length.form}
              onChange={(value) =>
                store.change(
                  [
                    { op: 'replace', path: `${path}/form`, value },
                    ...(value === 'clamp' && length.least === undefined
                      ? [
                          {
                            op: 'add',
                            path: `${path}/least`,
                            value: { value: 0.5, unit: 'rem' },
                          } as const,
                        ]
                      : []),
                  ],
                  `${name}: ${value}()`,
                )
              }
            />
            <div className="flex flex-wrap items-end gap-x-4">
              {length.form === 'clamp' && (
                <Fixed
                  label={`${name}, at least`}
                  path={`${path}/least`}
                  length={length.least ?? { value: 0, unit: 'px' }}
                  least={0}
                  shown="at least"
                />
              )}
              <span className="w-16">
                <DecidedNumber
                  path={`${path}/share`}
                  name={`share of ${name}`}
                  label="share"
                  value={length.share}
                  step={1}
                  unit="%"
                />
              </span>
              <Fixed
                label={length.form === 'clamp' ? `${name}, at most` : `${name}, fixed`}
                path={`${path}/fixed`}
                length={length.fixed}
                least={0}
                shown={length.form === 'clamp' ? 'at most' : 'fixed'}
              />
            </div>
          </div>
          <SwapDrawing length={length} name={name} />
        </>
      )}
    </div>
  );
}
