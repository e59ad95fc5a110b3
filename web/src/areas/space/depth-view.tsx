import { levelShadow } from '@garnish/core/derive/shape/shape';
import { shadowCss } from '@garnish/core/space/shadows';
import { inOrder, MODES } from '@garnish/core/system/document';
import { scaleLinear } from 'd3-scale';
import { Notes } from '../../findings/note.tsx';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Copy } from '../../ui/copy.tsx';
import { Items } from '../../system/items.tsx';

/** The light, its height over the ground, and how far the shadow of a thing falls. */
function LightDrawing() {
  const decided = useDecided(['shape']);
  const { light, shadows } = decided.document.shape;
  const most = Math.max(8, ...inOrder(shadows).map(([, { height }]) => height));
  const y = scaleLinear([0, most], [96, 34]);
  const angle = (light.from * Math.PI) / 180;
  return (
    <svg
      viewBox="0 0 260 112"
      className="w-full max-w-64"
      role="img"
      aria-label={`Light from ${light.from}°`}
    >
      <line x1="10" x2="250" y1="96" y2="96" className="stroke-line-strong" />
      <circle
        cx={222 + Math.sin(angle) * 40}
        cy={96 - Math.cos(angle) * 84}
        r="5"
        className="fill-none stroke-base-content"
      />
      <line
        x1={222 + Math.sin(angle) * 37}
        y1={96 - Math.cos(angle) * 78}
        x2={222}
        y2={96}
        className="stroke-base-content"
        strokeDasharray="3 3"
      />
      {inOrder(shadows).map(([id, { name, height }], index, all) => {
        const x = 14 + (index * 130) / Math.max(1, all.length);
        return (
          <g key={id}>
            <rect x={x} y={y(height) - 3} width="34" height="3" className="fill-base-content" />
            <line
              x1={x + 17}
              x2={x + 17}
              y1={y(height)}
              y2="96"
              className="stroke-line-strong"
              strokeDasharray="1 2"
            />
            <text x={x + 38} y={y(height) + 1} className="fill-quiet text-[9px]">
              {name}, {height} px
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** Every level on every ground, in both themes. */
function OnSurfaces() {
  const decided = useDecided(['shape'], ['colors']);
  const { shape } = decided.document;
  const grounds = (['page', 'surface', 'raised'] as const).flatMap((id) => {
    const role = decided.derived.colors.get(id);
    return role ? [role] : [];
  });
  const raised = decided.derived.colors.get('raised') ?? grounds[0];
  return (
    <div className="grid gap-2">
      {MODES.map((mode) => (
        <div key={mode}>
          <p className="text-xs text-quiet">{mode}</p>
          <div className="flex">
            {grounds.map((ground) => (
              <figure
                key={ground.id}
                className="min-w-0 flex-1 px-3 pt-5 pb-1"
                style={{ background: ground.colors[mode] }}
              >
                <div className="flex gap-6">
                  {inOrder(shape.shadows).map(([id, { name, height }]) => {
                    const css = shadowCss(levelShadow(shape, height, ground, mode));
                    return (
                      <Copy
                        key={id}
                        className="w-full max-w-20"
                        text={css}
                        label={`Copy the shadow ${name} on ${ground.name} in ${mode}`}
                      >
                        <span
                          className="block h-11"
                          style={{
                            background: raised?.colors[mode],
                            borderRadius: shape.radii.items[shape.corners.card]?.px,
                            boxShadow: css,
                          }}
                        />
                      </Copy>
                    );
                  })}
                </div>
                <figcaption
                  className="mt-3 truncate text-xs"
                  style={{ color: decided.derived.colors.get('text')?.colors[mode] }}
                >
                  on {ground.name}
                </figcaption>
              </figure>
            ))}
          </div>
        </div>
      ))}
    </div>
  );
}

/** Shadows as elevation: one light, a shade from everywhere, and levels by their height. */
export function DepthView() {
  const store = useStore();
  const decided = useDecided(['shape']);
  const findings = useSystem((state) => state.findings);
  const { shape } = decided.document;
  const { light, dark, cards } = shape;
  const field = (label: string, path: string, value: number, unit = ''): React.JSX.Element => (
    <DecidedNumber label={label} path={path} value={value} step={0.05} unit={unit} slider />
  );
  const percent = (label: string, path: string, value: number): React.JSX.Element => (
    <DecidedNumber label={label} path={path} value={value} factor={0.01} step={1} unit="%" slider />
  );
  return (
    <>
      <Section
        full
        title="Light"
        aside="one light over the page, and a shade that is left close around things"
      >
        <div
          className="grid gap-x-8 gap-y-2 @min-[44rem]:grid-cols-[minmax(0,1fr)_15rem]"
          data-decision="/shape/light"
        >
          <div className="grid grid-cols-2 gap-x-6 gap-y-2">
            <DecidedNumber
              label="comes from"
              path="/shape/light/from"
              name="direction of the light"
              value={light.from}
              step={5}
              unit="°"
              note="0 is straight above"
              slider
            />
            {field('falls for each px of height', '/shape/light/reach', light.reach, 'px')}
            {field('blurs for each px of height', '/shape/light/softness', light.softness, 'px')}
            {percent('cast shadow', '/shape/light/strength', light.strength)}
            {percent('shade around', '/shape/light/ambient', light.ambient)}
          </div>
          <LightDrawing />
        </div>
      </Section>
      <Section full title="In the dark theme" aside="where shadows hardly show">
        <div className="grid grid-cols-3 gap-x-6" data-decision="/shape/dark">
          {percent('cast shadow in dark', '/shape/dark/strength', dark.strength)}
          {percent('shade around in dark', '/shape/dark/ambient', dark.ambient)}
          {percent('rim of light', '/shape/dark/rim', dark.rim)}
        </div>
      </Section>
      <Section full title="Levels" aside="px over the ground">
        <Items
          path="/shape/shadows"
          collection={shape.shadows}
          what="level"
          columns="6rem minmax(0,1fr)"
          kept={(id) => (cards === id ? 'stays: cards have it' : undefined)}
          another={() => ({ name: `level ${shape.shadows.order.length + 1}`, height: 6 })}
        >
          {(id, { name, height }, path) => (
            <>
              <DecidedNumber
                label={`Height of level ${name}`}
                hideLabel
                path={`${path}/height`}
                name={`level ${name}`}
                value={height}
                step={1}
                unit="px"
              />
              <label className="flex min-h-7 items-center gap-1.5 justify-self-end">
                <input
                  type="checkbox"
                  className="h-4 w-4 accent-primary"
                  checked={cards === id}
                  onChange={() =>
                    store.change(
                      [
                        cards === id
                          ? { op: 'remove', path: '/shape/cards' }
                          : { op: 'add', path: '/shape/cards', value: id },
                      ],
                      cards === id ? 'cards on the ground' : `cards on level ${name}`,
                    )
                  }
                />
                cards
              </label>
            </>
          )}
        </Items>
        <Notes findings={findings} at={['/shape/shadows']} />
      </Section>
      <Section
        full
        title="On surfaces"
        aside="each shadow in the color of what it falls on; click copies"
      >
        <OnSurfaces />
      </Section>
      <Section full title="Transparency" aside="steps of it">
        <Items
          path="/shape/opacities"
          collection={shape.opacities}
          what="opacity"
          columns="6rem minmax(0,1fr)"
          another={() => ({ name: `opacity ${shape.opacities.order.length + 1}`, value: 0.5 })}
        >
          {(_, { name, value }, path) => (
            <>
              <DecidedNumber
                label={`Opacity ${name}`}
                hideLabel
                path={`${path}/value`}
                name={`opacity ${name}`}
                value={value}
                factor={0.01}
                step={1}
                unit="%"
              />
              <span
                aria-hidden
                className="mb-1 h-5 w-32 justify-self-end bg-base-content"
                style={{ opacity: value }}
              />
            </>
          )}
        </Items>
      </Section>
      <Section full title="Layers" aside="what lies over what">
        <Items
          path="/shape/layers"
          collection={shape.layers}
          what="layer"
          columns="6rem minmax(0,1fr)"
          another={() => ({
            name: `layer ${shape.layers.order.length + 1}`,
            level: Math.min(
              9999,
              Math.max(0, ...inOrder(shape.layers).map(([, { level }]) => level)) + 10,
            ),
          })}
        >
          {(_, { name, level }, path) => (
            <>
              <DecidedNumber
                label={`Level of layer ${name}`}
                hideLabel
                path={`${path}/level`}
                name={`layer ${name}`}
                value={level}
                step={1}
                decimals={0}
              />
              <Copy
                className="figures min-h-7 justify-self-end text-xs text-quiet"
                text={String(level)}
                label={`Copy the z-index of ${name}`}
              >
                z-index {level}
              </Copy>
            </>
          )}
        </Items>
      </Section>
    </>
  );
}
