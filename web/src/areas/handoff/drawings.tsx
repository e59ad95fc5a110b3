import { GROUPS } from '@garnish/core/components/component';
import { movingLabel } from '@garnish/core/system/label-places';
import { useSearchParams } from 'react-router';
import { Approach } from '../../proof/drawing/approach.tsx';
import { ComponentDrawing, DRAWABLE } from '../../proof/drawing/component-drawing.tsx';
import { useProofTheme } from '../../system/proof-theme.ts';
import { useStore, useSystemLater } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';

/** What stands for the page that explains the others. */
const APPROACH = 'approach';
/** The component that is drawn where none is named. */
const FIRST = 'card';

/** Components, drawn with their measures. */
export function Drawings() {
  const store = useStore();
  const theme = useProofTheme();
  const [parameters, setParameters] = useSearchParams();
  const made = useSystemLater(({ decided }) => decided);
  const wanted = parameters.get('component') ?? FIRST;
  const component = DRAWABLE.find(({ id }) => id === wanted) ?? DRAWABLE[0];
  const choose = (next: Readonly<Record<string, string>>): void =>
    setParameters({ view: 'drawings', ...next });
  if (!component) return <p className="p-4 text-quiet">There is no component to be drawn.</p>;
  return (
    <Section
      full
      title="Drawings"
      aside={
        <label className="flex items-baseline gap-x-2">
          drawn
          <select
            className="min-h-7 border-b border-line-strong bg-transparent"
            value={wanted === APPROACH ? APPROACH : component.id}
            onChange={({ target }) => choose({ component: target.value })}
          >
            <option value={APPROACH}>the approach, on one page</option>
            {GROUPS.map(([group, words]) => (
              <optgroup key={group} label={words}>
                {DRAWABLE.filter((one) => one.group === group).map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </optgroup>
            ))}
          </select>
        </label>
      }
    >
      {wanted === APPROACH ? (
        <Approach document={made.document} derived={made.derived} />
      ) : (
        <ComponentDrawing
          component={component}
          variant={parameters.get('variant') ?? undefined}
          onVariant={(variant) => choose({ component: component.id, variant })}
          made={made}
          theme={theme}
          onMove={(drawing, measure, { x, y }) => {
            const patch = movingLabel(
              store.state().decided.document.components.labels,
              { drawing, measure, x, y },
              () => `label-${crypto.randomUUID().slice(0, 13)}`,
            );
            if (patch.length > 0) store.change(patch, `label of ${measure}`.slice(0, 120));
          }}
        />
      )}
    </Section>
  );
}
