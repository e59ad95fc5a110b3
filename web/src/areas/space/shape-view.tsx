import { innerRadius } from '@garnish/core/space/corners';
import { inOrder } from '@garnish/core/system/document';
import { usePreferences } from '../../ui/preferences.ts';
import { Notes } from '../../findings/note.tsx';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Copy } from '../../ui/copy.tsx';
import { DecidedChoice } from '../../system/decided-choice.tsx';
import { Items } from '../../system/items.tsx';
import { px } from '../../ui/px.ts';

const CORNER_SAYS = {
  control: 'buttons and fields',
  card: 'cards and messages',
  picture: 'pictures',
} as const;
const EDGE_SAYS = { line: 'fields, tables, lines', strong: 'the edge of a notice' } as const;

/** Two corners one inside the other: that of a card, and what follows for whatever lies in it. */
function Nested() {
  const decided = useDecided(['shape'], ['spaces']);
  const { shape } = decided.document;
  const { proofWidth } = usePreferences();
  const outer = shape.radii.items[shape.corners.card]?.px ?? 0;
  const padding = decided.derived.spaces.get('inset')?.inline.px({ widthPx: proofWidth }) ?? 0;
  const rows = [...new Set([4, 8, padding])]
    .sort((one, other) => one - other)
    .map((inset) => ({ inset, inner: innerRadius(outer, 0, inset) }));
  return (
    <div className="flex items-start gap-5 @max-[26rem]:flex-wrap">
      <svg viewBox="0 0 150 96" className="w-28 shrink-0" role="img" aria-label="Nested corners">
        {rows.slice(0, 1).map(({ inset, inner }) => (
          <g key={inset} className="fill-none stroke-base-content">
            <path
              d={`M1 96V${outer * 2 + 1}a${outer * 2} ${outer * 2} 0 0 1 ${outer * 2} ${-outer * 2}H150`}
              strokeWidth={1.5}
            />
            <path
              d={`M${inset * 2 + 1} 96V${inset * 2 + inner * 2 + 1}a${inner * 2} ${inner * 2} 0 0 1 ${inner * 2} ${-inner * 2}H150`}
              strokeWidth={1.5}
              strokeDasharray="3 2"
            />
          </g>
        ))}
      </svg>
      <table
        aria-label="Inner radius by inset"
        className="shrink-0 whitespace-nowrap @max-[26rem]:shrink @max-[26rem]:whitespace-normal"
      >
        <thead>
          <tr className="text-xs text-quiet">
            <th className="pe-4 text-end font-normal">inset</th>
            <th className="text-end font-normal">inner radius</th>
          </tr>
        </thead>
        <tbody className="figures">
          {rows.map(({ inset, inner }) => (
            <tr key={inset}>
              <td className="pe-4 text-end">{px(inset)}</td>
              <td className="text-end">
                <Copy text={`${inner}px`} label={`Copy the inner radius ${px(inner)}`}>
                  {px(inner)}
                </Copy>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="min-w-0 text-xs text-quiet">
        Outer {px(outer)} less border and inset, never below 0: then both corners run side by side.
        Drawn twice as large, at an inset of {px(rows[0]?.inset ?? 0)}.{' '}
        <Copy
          className="figures"
          text="var(--corner-card-inside)"
          label="Copy --corner-card-inside"
        >
          --corner-card-inside
        </Copy>
      </p>
    </div>
  );
}

/** Radii and borders, and what each is for. */
export function ShapeView() {
  const store = useStore();
  const decided = useDecided(['shape']);
  const findings = useSystem((state) => state.findings);
  const { shape } = decided.document;
  const radii = inOrder(shape.radii).map(
    ([id, { name, px: size }]) => [id, `${name}, ${size} px`] as const,
  );
  const borders = inOrder(shape.borders).map(
    ([id, { name, px: size }]) => [id, `${name}, ${size} px`] as const,
  );
  const cornerUses = new Map(Object.entries(shape.corners).map(([what, id]) => [id, what]));
  const edgeUses = new Map(Object.entries(shape.edges).map(([what, id]) => [id, what]));
  return (
    <>
      <Section full title="Radii" aside="px">
        <div className="grid gap-y-3">
          <Items
            path="/shape/radii"
            collection={shape.radii}
            what="radius"
            columns="5rem minmax(0,1fr)"
            least={1}
            kept={(id) =>
              cornerUses.has(id) ? `stays: corners of a ${cornerUses.get(id) ?? ''}` : undefined
            }
            another={() => ({ name: `radius ${shape.radii.order.length + 1}`, px: 12 })}
          >
            {(_, { name, px: size }, path) => (
              <>
                <DecidedNumber
                  label={`Radius ${name}`}
                  hideLabel
                  path={`${path}/px`}
                  value={size}
                  step={1}
                  unit="px"
                />
                <svg viewBox="0 0 90 30" className="h-8 w-24 justify-self-end" aria-hidden>
                  <path
                    d={`M1 30V${Math.min(29, size) + 1}a${Math.min(29, size)} ${Math.min(29, size)} 0 0 1 ${Math.min(29, size)} ${-Math.min(29, size)}H90`}
                    className="fill-none stroke-base-content"
                    strokeWidth={1.5}
                  />
                </svg>
              </>
            )}
          </Items>
          <div className="grid grid-cols-3 gap-x-6">
            {Object.entries(shape.corners).map(([what, id]) => (
              <DecidedChoice
                key={what}
                label={CORNER_SAYS[what as keyof typeof CORNER_SAYS]}
                name={`corners of ${what}`}
                path={`/shape/corners/${what}`}
                value={id}
                options={radii}
              />
            ))}
          </div>
          <label className="flex min-h-7 items-center gap-1.5" data-decision="/shape/growing">
            <input
              type="checkbox"
              className="h-4 w-4 accent-primary"
              checked={shape.growing === true}
              onChange={({ currentTarget: { checked } }) =>
                store.change(
                  [
                    checked
                      ? { op: 'add', path: '/shape/growing', value: true }
                      : { op: 'remove', path: '/shape/growing' },
                  ],
                  checked ? 'corners grow with their text' : 'corners are the same for all texts',
                )
              }
            />
            corners of buttons and fields grow with their text
          </label>
        </div>
        <Notes findings={findings} at={['/shape/radii', '/shape/corners']} />
      </Section>
      <Section full title="Nested corners" aside="computed">
        <Nested />
      </Section>
      <Section full title="Borders" aside="px">
        <div className="grid gap-y-3">
          <Items
            path="/shape/borders"
            collection={shape.borders}
            what="border"
            columns="5rem minmax(0,1fr)"
            least={1}
            kept={(id) => (edgeUses.has(id) ? `stays: ${edgeUses.get(id) ?? ''} edges` : undefined)}
            another={() => ({ name: `border ${shape.borders.order.length + 1}`, px: 2 })}
          >
            {(_, { name, px: size }, path) => (
              <>
                <DecidedNumber
                  label={`Border ${name}`}
                  hideLabel
                  path={`${path}/px`}
                  value={size}
                  step={1}
                  unit="px"
                />
                <span
                  aria-hidden
                  className="mb-3 w-24 justify-self-end bg-base-content"
                  style={{ height: Math.min(24, size) }}
                />
              </>
            )}
          </Items>
          <div className="grid grid-cols-3 gap-x-6">
            {Object.entries(shape.edges).map(([what, id]) => (
              <DecidedChoice
                key={what}
                label={`${what}: ${EDGE_SAYS[what as keyof typeof EDGE_SAYS]}`}
                path={`/shape/edges/${what}`}
                value={id}
                options={borders}
              />
            ))}
          </div>
        </div>
      </Section>
    </>
  );
}
