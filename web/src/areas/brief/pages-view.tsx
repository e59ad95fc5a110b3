import { ownVariantsOf } from '@garnish/core/derive/own-variants';
import { builder } from '@garnish/core/proof/build';
import { footer } from '@garnish/core/proof/footer';
import { header } from '@garnish/core/proof/header';
import { classesIn } from '@garnish/core/proof/node';
import { KINDS, kindOf } from '@garnish/core/proof/sections/kinds';
import { sectionsOf } from '@garnish/core/proof/texts';
import {
  inOrder,
  type Collection,
  type Content,
  type PageSection,
} from '@garnish/core/system/document';
import { addingAfter, sectionOf } from '@garnish/core/system/shaping';
import { ChevronDown, ChevronRight, Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { showPlace } from '../../findings/spot.ts';
import { Notes } from '../../findings/note.tsx';
import { showPage, useShownPage } from '../../system/shown-page.ts';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { NameField } from '../../ui/name-field.tsx';
import { firstWords, SectionDetails } from './section-details.tsx';
import { Filling } from './filling.tsx';
import { Intended } from './intended.tsx';
import { freshId, ThingList } from './thing-list.tsx';
import { Wears } from './wears.tsx';

const PAGES = '/content/pages';
const PARTS = '/content/parts';
const NONE = { order: [], items: {} };
const LONGEST_LABEL = 120;

interface KindsProps {
  /** The parts of one’s own that may stand there too. */
  readonly parts?: Content['parts'];
  readonly onAdd: (section: object, name: string) => void;
}

/** The kinds of sections, and the parts of one’s own, one of which is added at the end. */
function Kinds({ parts, onAdd }: KindsProps) {
  const [open, setOpen] = useState(false);
  const choices = [
    ...(parts ? inOrder(parts) : []).map(([id, { name }]) => ({
      id,
      name,
      says: 'a part of your own',
      make: () => ({ kind: 'part', part: id }),
    })),
    ...KINDS.map(({ id, name, says }) => ({ id, name, says, make: () => sectionOf(id) })),
  ];
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
          {choices.map(({ id, name, says, make }) => (
            <li key={id} className="border-t border-line">
              <button
                type="button"
                aria-label={`Add ${name}`}
                className="w-full py-1 text-start hover:bg-base-200"
                onClick={() => {
                  onAdd(make(), name.toLowerCase());
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

interface SectionsProps {
  /** Where the sections stand in the document. */
  readonly path: string;
  readonly sections: Collection<PageSection>;
  readonly label: string;
  /** The page that they are on; the sections of a part of one’s own are on none. */
  readonly page?: string;
}

/** Some sections from the top; one is opened at a time. */
function Sections({ path, sections, label, page }: SectionsProps) {
  const store = useStore();
  const { parts } = useDecided(['content']).document.content;
  const [open, setOpen] = useState<string>();
  const nameOf = (own: PageSection): string =>
    own.kind === 'part'
      ? (parts?.items[own.part]?.name ?? kindOf('part').name)
      : kindOf(own.kind).name;
  const add = (what: object, name: string): void => {
    const { document } = store.state().decided;
    const id = freshId('section');
    const patch = addingAfter(document, path, sections.order.at(-1), id, what);
    if (patch && store.change(patch, `${name} added`.slice(0, LONGEST_LABEL))) setOpen(id);
  };
  return (
    <ThingList
      path={path}
      collection={sections}
      label={label}
      canRest
      nameOf={nameOf}
      adder={<Kinds {...(page !== undefined && { parts })} onAdd={add} />}
      below={(section, id) =>
        open === id && (
          <SectionDetails
            path={`${path}/items/${id}`}
            own={section}
            {...(page !== undefined && { on: { page, section: id } })}
          />
        )
      }
    >
      {(section, id) => (
        <button
          type="button"
          aria-expanded={open === id}
          className="flex min-h-7 w-full min-w-0 items-center gap-2 text-start"
          onClick={() => {
            setOpen(open === id ? undefined : id);
            if (open !== id) showPlace(`[data-section="${path}/items/${id}"]`);
          }}
        >
          {open === id ? (
            <ChevronDown size={13} aria-hidden className="shrink-0" />
          ) : (
            <ChevronRight size={13} aria-hidden className="shrink-0" />
          )}
          <span className="shrink-0 font-semibold">{nameOf(section)}</span>
          <span className="min-w-0 truncate text-quiet">
            {section.kind === 'part' ? 'the same wherever it stands' : firstWords(section)}
          </span>
        </button>
      )}
    </ThingList>
  );
}

/** The sections of the page that is shown. */
function SectionsOfPage({ page }: { readonly page: string }) {
  const own = useSystem((state) => state.decided.document.content.pages.items[page]);
  if (!own) return null;
  return (
    <Section full title={`Sections of ${own.name}`} aside={`${own.sections.order.length}`}>
      {own.sections.order.length === 0 && (
        <p className="text-quiet">This page is empty: header and footer alone are shown.</p>
      )}
      <Sections
        path={`${PAGES}/items/${page}/sections`}
        sections={own.sections}
        label={`Sections of ${own.name}`}
        page={page}
      />
    </Section>
  );
}

/** Which variants of one’s own stand at the head and the foot of every page; nothing where there is none to choose. */
function HeadAndFoot() {
  const { document, derived } = useSystem((state) => state.decided);
  const there = useMemo(() => {
    const site = { document, derived, build: builder(document, derived) };
    return new Set([header(site), footer(site)].flatMap((node) => [...classesIn(node)]));
  }, [document, derived]);
  if (!ownVariantsOf(document.components).some(({ of }) => there.has(of))) return null;
  return (
    <Section full title="Head and foot" aside="on every page">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-1">
        <Wears path="/content" there={there} wears={document.content.wears} />
      </div>
    </Section>
  );
}

const times = (count: number): string =>
  count === 0 ? 'on no page yet' : count === 1 ? 'stands once' : `stands ${count} times`;

/** Parts put together from sections and components: one definition for every place where they stand. */
function OwnParts() {
  const store = useStore();
  const { content } = useDecided(['content']).document;
  const { parts } = content;
  const [asked] = useSearchParams();
  const at = new RegExp(`^${PARTS}/items/([^/]+)`).exec(asked.get('at') ?? '')?.[1];
  const [open, setOpen] = useState(at);
  const uses = sectionsOf(content, 'part');
  const add = (): void => {
    const id = freshId('part');
    const value = { name: `Part ${(parts?.order.length ?? 0) + 1}`, sections: NONE };
    const patch = parts
      ? addingAfter(store.state().decided.document, PARTS, parts.order.at(-1), id, value)
      : [{ op: 'add' as const, path: PARTS, value: { order: [id], items: { [id]: value } } }];
    if (patch && store.change(patch, 'a part of one’s own')) setOpen(id);
  };
  return (
    <Section full title="Own parts" aside="sections that stand together, the same everywhere">
      {parts && (
        <ThingList
          path={PARTS}
          collection={parts}
          label="Own parts"
          nameOf={({ name }) => name}
          adder={<></>}
          below={({ name, sections }, id) =>
            open === id && (
              <div className="ps-6 pb-2">
                {sections.order.length === 0 && (
                  <p className="text-quiet">It is empty, and shown nowhere.</p>
                )}
                <Sections
                  path={`${PARTS}/items/${id}/sections`}
                  sections={sections}
                  label={`Sections of ${name}`}
                />
              </div>
            )
          }
        >
          {({ name }, id) => (
            <div className="flex min-w-0 flex-wrap items-center gap-x-2">
              <div className="min-w-0 grow basis-32">
                <NameField
                  label={`Name of part ${name}`}
                  hideLabel
                  value={name}
                  onChange={(value) =>
                    store.change(
                      [{ op: 'replace', path: `${PARTS}/items/${id}/name`, value }],
                      `part ${value}`,
                    )
                  }
                />
              </div>
              <span className="shrink-0 text-quiet">
                {times(uses.filter(({ own }) => own.part === id).length)}
              </span>
              <button
                type="button"
                aria-expanded={open === id}
                aria-label={`Sections of part ${name}`}
                className="min-h-7 shrink-0 px-1 text-quiet hover:text-base-content hover:underline"
                onClick={() => setOpen(open === id ? undefined : id)}
              >
                {open === id ? 'close' : 'its sections'}
              </button>
            </div>
          )}
        </ThingList>
      )}
      <button type="button" className="act mt-1 gap-1" onClick={add}>
        <Plus size={13} aria-hidden /> Another part
      </button>
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
      <SectionsOfPage key={shown} page={shown} />
      <OwnParts />
      <HeadAndFoot />
      <Section full title="Pictures" aside="drawn in the palette until there are your own">
        <Filling />
      </Section>
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
      <Section full title="Seen first" aside="on the page in the proof">
        <Intended />
      </Section>
    </>
  );
}
