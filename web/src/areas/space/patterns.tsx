import type { DerivedPattern } from '@garnish/core/derive/derived';
import { PATTERN_KINDS, svgAddress } from '@garnish/core/space/pattern';
import { adding } from '@garnish/core/system/collection';
import { inOrder } from '@garnish/core/system/document';
import { useProofTheme } from '../../system/proof-theme.ts';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore } from '../../system/system-context.ts';
import { Copy } from '../../ui/copy.tsx';
import { DecidedChoice } from '../../system/decided-choice.tsx';

const Swatch = ({ pattern }: { readonly pattern: DerivedPattern | undefined }) => {
  const mode = useProofTheme();
  return (
    <span
      aria-hidden
      className="block h-16 w-full border border-line"
      style={{
        backgroundColor: pattern?.on.colors[mode],
        backgroundImage: pattern && svgAddress(pattern.svg[mode]),
        backgroundRepeat: pattern?.repeats === false ? 'no-repeat' : 'repeat',
        backgroundPosition: pattern?.repeats === false ? 'center' : undefined,
      }}
    />
  );
};

/** Quiet patterns, each with what it is drawn from. */
export function Patterns() {
  const store = useStore();
  const decided = useDecided(['color', 'content', 'layout', 'space'], ['patterns', 'steps']);
  const { document, derived } = decided;
  const { patterns } = document.layout;
  const roles = inOrder(document.color.roles).map(([id, { name }]) => [id, name] as const);
  const steps = [...derived.steps.values()].map(
    ({ id, name, px }) => [id, `${name}, ${px} px`] as const,
  );
  const has = (id: string): boolean => Object.hasOwn(document.color.roles.items, id);
  return (
    <>
      {inOrder(patterns).map(([id, pattern]) => {
        const path = `/layout/patterns/items/${id}`;
        const shown = derived.patterns.find((one) => one.id === id);
        return (
          <div
            key={id}
            data-decision={path}
            className="grid grid-cols-[9rem_minmax(0,1fr)] gap-x-4 @max-[26rem]:grid-cols-1 border-t border-line py-2"
          >
            <div>
              <Swatch pattern={shown} />
              <p className="mt-1 flex justify-between gap-2">
                <span className="truncate font-semibold">{pattern.name}</span>
                {shown && (
                  <Copy
                    className="text-xs text-quiet"
                    text={shown.svg.light}
                    label={`Copy pattern ${pattern.name} as SVG`}
                  >
                    SVG
                  </Copy>
                )}
              </p>
            </div>
            <div className="grid grid-cols-3 items-end gap-x-4 gap-y-1 @max-[26rem]:grid-cols-2">
              <DecidedChoice
                label="kind"
                path={`${path}/kind`}
                value={pattern.kind}
                options={PATTERN_KINDS.map((kind) => [
                  kind,
                  kind === 'shape' ? 'one soft shape' : kind,
                ])}
              />
              <DecidedChoice label="ink" path={`${path}/ink`} value={pattern.ink} options={roles} />
              <DecidedChoice label="on" path={`${path}/on`} value={pattern.on} options={roles} />
              <DecidedChoice
                label="repeats every"
                path={`${path}/cell`}
                value={pattern.cell}
                options={steps}
              />
              <DecidedNumber
                label="ink laid over"
                path={`${path}/strength`}
                name={`strength of ${pattern.name}`}
                value={pattern.strength}
                factor={0.01}
                step={1}
                unit="%"
              />
              <DecidedNumber
                label="turned"
                path={`${path}/turn`}
                name={`turn of ${pattern.name}`}
                value={pattern.turn}
                step={15}
                unit="°"
              />
              <label className="col-span-2 flex min-h-6 items-center gap-1.5">
                <input
                  type="checkbox"
                  className="h-4 w-4 accent-primary"
                  checked={document.content.pattern === id}
                  onChange={() =>
                    store.change(
                      [
                        document.content.pattern === id
                          ? { op: 'remove', path: '/content/pattern' }
                          : { op: 'add', path: '/content/pattern', value: id },
                      ],
                      `pattern ${pattern.name} in the proof`,
                    )
                  }
                />
                behind the foot of the proof
              </label>
              <button
                type="button"
                className="min-h-6 justify-self-end text-quiet hover:text-base-content hover:underline"
                onClick={() =>
                  store.change(
                    [
                      ...(document.content.pattern === id
                        ? [{ op: 'remove', path: '/content/pattern' } as const]
                        : []),
                      { op: 'remove', path },
                      {
                        op: 'replace',
                        path: '/layout/patterns/order',
                        value: patterns.order.filter((one) => one !== id),
                      },
                    ],
                    `without pattern ${pattern.name}`,
                  )
                }
              >
                Remove
              </button>
            </div>
          </div>
        );
      })}
      {patterns.order.length === 0 && (
        <p className="text-quiet">None yet. A pattern is drawn from two roles and a step.</p>
      )}
      <button
        type="button"
        className="act mt-1"
        onClick={() => {
          const id = `pattern-${crypto.randomUUID().slice(0, 8)}`;
          const [first] = roles[0] ?? [''];
          store.change(
            adding('/layout/patterns', patterns, id, {
              name: `pattern ${patterns.order.length + 1}`,
              kind: 'dots',
              ink: has('text') ? 'text' : first,
              on: has('surface') ? 'surface' : first,
              cell:
                document.space.steps.order[Math.floor(document.space.steps.order.length / 2)] ?? '',
              strength: 0.06,
              turn: 0,
            }),
            'another pattern',
          );
        }}
      >
        Another pattern
      </button>
    </>
  );
}
