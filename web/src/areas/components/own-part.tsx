import { classesIn } from '@garnish/core/proof/node';
import { sectionsOf } from '@garnish/core/proof/texts';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { Specimens } from '../../proof/specimens.tsx';
import { useProofTheme } from '../../system/proof-theme.ts';
import { showPage } from '../../system/shown-page.ts';
import { useStore, useSystemLater } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { SHOWN } from './of-decision.ts';
import { ownPartNode } from './own-part-node.ts';

const PLACED = `
body { margin: 0; overflow: hidden; }
.own-part { zoom: 0.5; padding: 24px; }
`;

/** A part of one’s own: how it looks, what it is put together from, and where it stands. */
export function OwnPart({ id }: { readonly id: string }) {
  const store = useStore();
  const theme = useProofTheme();
  const { document, derived } = useSystemLater((state) => state.decided);
  const { parts, pages } = document.content;
  const own = parts && Object.hasOwn(parts.items, id) ? parts.items[id] : undefined;
  const node = useMemo(() => ownPartNode(id, document, derived), [id, document, derived]);
  const made = useMemo(() => {
    const there = new Set(classesIn(node));
    return SHOWN.filter(({ variants = [] }) => variants.some(({ of }) => there.has(of)));
  }, [node]);
  if (!own) return <p className="mt-4 text-quiet">This part is not there any more.</p>;
  const uses = sectionsOf(document.content, 'part').filter((one) => one.own.part === id);
  const at = encodeURIComponent(`/content/parts/items/${id}`);
  return (
    <Section
      full
      title={own.name}
      aside={
        uses.length === 0 ? (
          'on no page'
        ) : (
          <span className="flex flex-wrap gap-x-3">
            {[...new Set(uses.flatMap(({ page }) => page ?? []))].map((page) => (
              <button
                key={page}
                type="button"
                className="min-h-6 hover:text-base-content hover:underline"
                onClick={() => showPage(store.state().id, page)}
              >
                {pages.items[page]?.name}{' '}
                <span className="figures">{uses.filter((one) => one.page === page).length}</span>
              </button>
            ))}
          </span>
        )
      }
    >
      {own.sections.order.length === 0 ? (
        <p className="text-quiet">It has no sections yet.</p>
      ) : (
        <div className="border border-line">
          <Specimens
            title={`${own.name}, as it stands on pages`}
            css={PLACED}
            node={node}
            theme={theme}
          />
        </div>
      )}
      <p className="mt-2 flex flex-wrap gap-x-3">
        {made.length > 0 && <span className="text-quiet">put together from</span>}
        {made.map((component) => (
          <Link key={component.id} className="hover:underline" to={`?part=${component.id}`}>
            {component.name}
          </Link>
        ))}
      </p>
      <p className="mt-1">
        <Link className="act" to={`../brief?view=pages&at=${at}`}>
          Change its sections in Pages
        </Link>
      </p>
    </Section>
  );
}
