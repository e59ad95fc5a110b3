import { KINDS, kindOf, type KindId } from '@garnish/core/proof/sections/kinds';
import { sectionPath } from '@garnish/core/proof/texts';
import { addingAfter, sectionOf } from '@garnish/core/system/shaping';
import { ChevronDown, ChevronRight, Plus } from 'lucide-react';
import { useState } from 'react';
import { showPlace } from '../../findings/spot.ts';
import { Notes } from '../../findings/note.tsx';
import { showPage, useShownPage } from '../../system/shown-page.ts';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { NameField } from '../../ui/name-field.tsx';
import { firstWords, SectionDetails } from './section-details.tsx';
import { freshId, ThingList } from './thing-list.tsx';

const PAGES = '/content/pages';

/** The kinds of sections, one of which is added at the end of a page. */
function Kinds({ onAdd }: { readonly onAdd: (kind: KindId) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <div className="mt-1">
      <button
        type="button"
        className="act gap-1"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <Plus size={13} aria-hidden /> Another section
      </button>
      {open && (
        <ul className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(13rem,1fr))] gap-x-6">
          {KINDS.map(({ id, name, says }) => (
            <li key={id} className="border-t border-line">
              <button
                type="button"
                aria-label={`Add ${name}`}
                className="w-full py-1 text-start hover:bg-base-200"
                onClick={() => {
                  onAdd(id);
                  setOpen(false);
                }}
              >
                <span className="block font-semibold">{name}</span>
                <span className="block text-quiet">{says}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** The sections of a page from the top. */
function Sections({ page }: { readonly page: string }) {
  const store = useStore();
  const own = useSystem((state) => state.decided.document.content.pages.items[page]);
  const [open, setOpen] = useState<string>();
  if (!own) return null;
  const path = `${PAGES}/items/${page}/sections`;
  const add = (kind: KindId): void => {
    const { document } = store.state().decided;
    const id = freshId(kind);
    const last = own.sections.order.at(-1);
    const patch = addingAfter(document, path, last, id, sectionOf(kind));
    if (patch && store.change(patch, `${kindOf(kind).name.toLowerCase()} added`)) setOpen(id);
  };
  return (
    <Section full title={`Sections of ${own.name}`} aside={`${own.sections.order.length}`}>
      {own.sections.order.length === 0 && (
        <p className="text-quiet">This page is empty: header and footer alone are shown.</p>
      )}
      <ThingList
        path={path}
        collection={own.sections}
        label={`Sections of ${own.name}`}
        canRest
        nameOf={(section) => kindOf(section.kind).name}
        adder={<Kinds onAdd={add} />}
        below={(section, id) =>
          open === id && <SectionDetails path={sectionPath(page, id)} own={section} />
        }
      >
        {(section, id) => (
          <button
            type="button"
            aria-expanded={open === id}
            className="flex min-h-7 w-full min-w-0 items-center gap-2 text-start"
            onClick={() => {
              setOpen(open === id ? undefined : id);
              if (open !== id) showPlace(`[data-section="${sectionPath(page, id)}"]`);
            }}
          >
            {open === id ? (
              <ChevronDown size={13} aria-hidden className="shrink-0" />
            ) : (
              <ChevronRight size={13} aria-hidden className="shrink-0" />
            )}
            <span className="shrink-0 font-semibold">{kindOf(section.kind).name}</span>
            <span className="min-w-0 truncate text-quiet">{firstWords(section)}</span>
          </button>
        )}
      </ThingList>
    </Section>
  );
}

/** The pages of the site, what stands on each, and what leads to them. */
export default function PagesView() {
  const store = useStore();
  const { content } = useDecided(['content']).document;
  const findings = useSystem((state) => state.findings);
  const shown = useShownPage();
  const rename = (path: string, value: string): void => {
    store.change([{ op: 'replace', path, value }], `page ${value}`);
  };
  return (
    <>
      <Section
        full
        title="Pages"
        aside="the first is the home page"
        notes={<Notes findings={findings} at={[PAGES]} />}
      >
        <ThingList
          path={PAGES}
          collection={content.pages}
          label="Pages of the site"
          canRest
          nameOf={({ name }) => name}
        >
          {({ name }, id) => (
            <div className="flex min-w-0 items-center gap-2">
              <div className="min-w-0 grow">
                <NameField
                  label={`Name of page ${name}`}
                  hideLabel
                  value={name}
                  onChange={(value) => rename(`${PAGES}/items/${id}/name`, value)}
                />
              </div>
              <button
                type="button"
                aria-pressed={shown === id}
                aria-label={`Show page ${name}`}
                className="min-h-7 px-1 text-quiet hover:text-base-content hover:underline aria-pressed:font-semibold aria-pressed:text-base-content"
                onClick={() => showPage(store.state().id, id)}
              >
                {shown === id ? 'shown' : 'show'}
              </button>
            </div>
          )}
        </ThingList>
      </Section>
      <Sections key={shown} page={shown} />
      <Section full title="Navigation" aside="links with those under them">
        <ThingList
          path="/content/nav"
          collection={content.nav}
          label="Links of the navigation"
          nameOf={({ words }) => words}
          below={({ under }, id) =>
            under && (
              <div className="ps-6">
                <ThingList
                  path={`/content/nav/items/${id}/under`}
                  collection={under}
                  label="Links under it"
                  nameOf={(words) => words}
                />
              </div>
            )
          }
        >
          {({ words, under }, id) => (
            <div className="flex min-w-0 items-center gap-2">
              <span className="min-w-0 grow truncate">{words}</span>
              {under === undefined ? (
                <button
                  type="button"
                  className="min-h-7 px-1 text-quiet hover:text-base-content hover:underline"
                  aria-label={`Links under ${words}`}
                  onClick={() =>
                    store.change(
                      [
                        {
                          op: 'add',
                          path: `/content/nav/items/${id}/under`,
                          value: { order: ['first'], items: { first: 'Link' } },
                        },
                      ],
                      `links under ${words}`,
                    )
                  }
                >
                  links under it
                </button>
              ) : (
                <button
                  type="button"
                  className="min-h-7 px-1 text-quiet hover:text-base-content hover:underline"
                  aria-label={`No links under ${words}`}
                  onClick={() =>
                    store.change(
                      [{ op: 'remove', path: `/content/nav/items/${id}/under` }],
                      `no links under ${words}`,
                    )
                  }
                >
                  none under it
                </button>
              )}
            </div>
          )}
        </ThingList>
      </Section>
    </>
  );
}
