import { movingLabel } from '@garnish/core/system/label-places';
import { useEffect, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { showPlace } from '../../findings/spot.ts';
import { Approach } from '../../proof/drawing/approach.tsx';
import { drawableThings } from '../../proof/drawing/drawable.ts';
import { ThingDrawing } from '../../proof/drawing/thing-drawing.tsx';
import { useProofTheme } from '../../system/proof-theme.ts';
import { showPage } from '../../system/shown-page.ts';
import { useStore, useSystemLater } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';

/** What stands for the page that explains the others. */
const APPROACH = 'approach';
/** What is drawn where nothing is named. */
const FIRST = 'card';

/** Components and sections of pages, drawn with their measures. */
export function Drawings() {
  const store = useStore();
  const theme = useProofTheme();
  const [parameters, setParameters] = useSearchParams();
  const made = useSystemLater(({ decided }) => decided);
  const { pages, parts } = made.document.content;
  const all = useMemo(() => drawableThings({ pages, ...(parts && { parts }) }), [pages, parts]);
  const wanted = parameters.get('thing') ?? FIRST;
  const thing = all.find(({ key }) => key === wanted) ?? all.find(({ key }) => key === FIRST);
  const section = thing?.of.kind === 'section' ? thing.of.section : undefined;
  const [page, id] = [section?.page, section?.section];
  useEffect(() => {
    // The proof shows the section that is drawn.
    if (page === undefined || id === undefined) return;
    showPage(store.state().id, page);
    showPlace(`[data-section="/content/pages/items/${page}/sections/items/${id}"]`);
  }, [store, page, id]);
  const choose = (next: Readonly<Record<string, string>>): void =>
    setParameters({ view: 'drawings', ...next });
  if (!thing) return <p className="p-4 text-quiet">There is nothing to be drawn.</p>;
  return (
    <Section
      full
      title="Drawings"
      aside={
        <label className="flex items-baseline gap-x-2">
          drawn
          <select
            className="min-h-7 border-b border-line-strong bg-transparent"
            value={wanted === APPROACH ? APPROACH : thing.key}
            onChange={({ target }) => choose({ thing: target.value })}
          >
            <option value={APPROACH}>the approach, on one page</option>
            {[...new Set(all.map(({ under }) => under))].map((under) => (
              <optgroup key={under} label={under}>
                {all
                  .filter((one) => one.under === under)
                  .map(({ key, name }) => (
                    <option key={key} value={key}>
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
        <ThingDrawing
          thing={thing}
          variant={parameters.get('variant') ?? undefined}
          onVariant={(variant) => choose({ thing: thing.key, variant })}
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
