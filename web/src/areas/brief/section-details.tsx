import type { ArticlePart } from '@garnish/core/proof/sections/article';
import { GROUNDS, kindOf } from '@garnish/core/proof/sections/kinds';
import { listed, type ShownPicture } from '@garnish/core/proof/sections/kind';
import { PIECES, pieceOf, pieceWith } from '@garnish/core/proof/sections/pieces';
import { classesOfSection, textsOfSection } from '@garnish/core/proof/texts';
import type { Operation, Patch } from '@garnish/core/system/patch';
import { inOrder, type Collection, type PageSection } from '@garnish/core/system/document';
import { addingAfter, lettingPartGo, makingPart, thingAt } from '@garnish/core/system/shaping';
import { Link } from 'react-router';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore } from '../../system/system-context.ts';
import { TryChoice } from '../../system/try-choice.tsx';
import { TrySelect } from '../../system/try-select.tsx';
import { Paste } from './paste.tsx';
import { IconField } from './icon-field.tsx';
import { PictureField } from './picture-field.tsx';
import { Wears } from './wears.tsx';
import { freshId, ThingList } from './thing-list.tsx';

const PARTS: readonly (readonly [name: string, part: ArticlePart])[] = [
  ['Paragraph', { is: 'paragraph', text: 'A paragraph.' }],
  ['Heading', { is: 'heading', level: 3, text: 'A heading' }],
  ['Bullets', { is: 'bullets', lines: listed('One thing', 'Another thing') }],
  ['Numbers', { is: 'numbers', lines: listed('First', 'Then') }],
  ['Quote', { is: 'quote', text: 'What somebody said.', source: 'Who said it' }],
  ['Code', { is: 'code', text: 'a = 1' }],
  ['Figure', { is: 'figure', caption: 'What it shows' }],
  ['Footnote', { is: 'footnote', text: 'A note.' }],
];

/** The collections of a section, by the name of the part that holds them. */
const collectionsOf = (own: PageSection): readonly (readonly [string, Collection<unknown>])[] =>
  Object.entries(own).flatMap(([key, value]) => {
    const part: unknown = value;
    return typeof part === 'object' && part !== null && 'order' in part
      ? [[key, part as Collection<unknown>] as const]
      : [];
  });

const SHORT = 60;

/** The first words of a thing: what it is told from the others by. */
const wordsOf = (thing: unknown): string => {
  if (typeof thing === 'string') return thing.slice(0, SHORT);
  if (typeof thing !== 'object' || thing === null) return '';
  const { is, piece, title, text, words, question, caption, who } = thing as Readonly<
    Record<string, unknown>
  >;
  if (typeof piece === 'string')
    return `${pieceOf(piece)?.name ?? piece}: ${Object.values(words ?? {}).join(' ')}`.slice(
      0,
      SHORT,
    );
  const found = [title, question, words, text, caption, who].find(
    (one): one is string => typeof one === 'string' && one !== '',
  );
  const first: unknown =
    found ?? Object.values(thing).find((one: unknown) => typeof one === 'string' && one !== is);
  const said = typeof first === 'string' ? first.slice(0, SHORT) : '';
  return typeof is === 'string' ? `${is}: ${said}` : said;
};

/** What a section says first, to know it by. */
export const firstWords = (own: PageSection): string =>
  textsOfSection(own)
    .find(({ words }) => words.trim() !== '')
    ?.words.slice(0, 80) ?? '';

interface OverPictureProps {
  readonly path: string;
  readonly own: Extract<PageSection, { readonly kind: 'opening' | 'call' }>;
}

/** What an opening or a call stands over, and whether an opening fills the screen. */
function OverPicture({ path, own }: OverPictureProps) {
  const { kind, veil } = own;
  const store = useStore();
  const { veils } = useDecided(['color']).document.color;
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-1">
      {veils.order.length > 0 && (
        <label>
          <span className="block text-quiet">its words stand over</span>
          <TrySelect
            className="select w-auto max-w-44"
            value={veil ?? ''}
            onChange={({ currentTarget: { value } }) =>
              store.change(
                [
                  value === ''
                    ? { op: 'remove', path: `${path}/veil` }
                    : { op: 'add', path: `${path}/veil`, value },
                ],
                value === '' ? `${kind} without a picture` : `${kind} over a picture`,
              )
            }
          >
            <option value="">no picture</option>
            {inOrder(veils).map(([id, { name }]) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </TrySelect>
        </label>
      )}
      {kind === 'opening' && (
        <label className="flex min-h-7 items-center gap-1.5">
          <input
            type="checkbox"
            className="h-4 w-4 accent-primary"
            checked={own.isHigh === true}
            onChange={({ currentTarget: { checked } }) =>
              store.change(
                [
                  checked
                    ? { op: 'add', path: `${path}/isHigh`, value: true }
                    : { op: 'remove', path: `${path}/isHigh` },
                ],
                checked ? 'opening as high as the screen' : 'opening as high as its words',
              )
            }
          />
          as high as the screen
        </label>
      )}
    </div>
  );
}

interface AsPartProps {
  readonly own: PageSection;
  /** The page and the section that it is. */
  readonly on: { readonly page: string; readonly section: string };
}

/** From a section to a part of one’s own, and back. */
function AsPart({ own, on: { page, section } }: AsPartProps) {
  const store = useStore();
  const act = (patch: Patch | undefined, said: string): void => {
    if (patch) store.change(patch, said);
  };
  if (own.kind === 'part')
    return (
      <div className="flex flex-wrap items-center gap-x-5">
        <Link
          className="act"
          to={`?view=pages&at=${encodeURIComponent(`/content/parts/items/${own.part}`)}`}
        >
          Its sections
        </Link>
        <button
          type="button"
          className="act"
          onClick={() =>
            act(
              lettingPartGo(store.state().decided.document, page, section),
              'sections of this page alone',
            )
          }
        >
          Make them sections of this page alone
        </button>
      </div>
    );
  return (
    <p>
      <button
        type="button"
        className="act"
        onClick={() =>
          act(
            makingPart(
              store.state().decided.document,
              page,
              section,
              freshId('part'),
              kindOf(own.kind).name,
            ),
            'a part of one’s own',
          )
        }
      >
        Make it a part to be used on other pages
      </button>
    </p>
  );
}

/** One more component for a row of them. */
function PieceAdder({ path, order }: { readonly path: string; readonly order: readonly string[] }) {
  const store = useStore();
  return (
    <TrySelect
      aria-label="Another component"
      className="select bare text-quiet"
      value=""
      onChange={({ currentTarget: { value } }) => {
        const { document } = store.state().decided;
        const patch = addingAfter(
          document,
          path,
          order.at(-1),
          freshId('component'),
          pieceWith(value),
        );
        if (patch) store.change(patch, `${pieceOf(value)?.name ?? value} added`);
      }}
    >
      <option value="">another component …</option>
      {PIECES.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </TrySelect>
  );
}

interface SectionDetailsProps {
  readonly path: string;
  readonly own: PageSection;
  /** The page that it stands on, and which of its sections it is; in a part of one’s own where absent. */
  readonly on?: AsPartProps['on'];
}

/** What a section stands on, how wide it is, and the things in it; its words are written in the proof. */
export function SectionDetails({ path, own, on }: SectionDetailsProps) {
  const store = useStore();
  const { ground = 'page', span } = own;
  const { gradients } = useDecided(['color']).document.color;
  const { shows, signed, role = 'figure' } = kindOf(own.kind);
  const setGround = (next: (typeof GROUNDS)[number]): void => {
    const at = `${path}/ground`;
    const changes: Operation[] = [
      ...(own.gradient === undefined ? [] : [{ op: 'remove', path: `${path}/gradient` } as const]),
      ...(next === ground
        ? []
        : [
            next === 'page'
              ? ({ op: 'remove', path: at } as const)
              : ({ op: 'add', path: at, value: next } as const),
          ]),
    ];
    if (changes.length > 0) store.change(changes, `section on ${next}`);
  };
  return (
    <div className="grid gap-2 pb-3 ps-6">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-1">
        <div className="self-start">
          <span className="block text-quiet">stands on</span>
          <TryChoice
            label="Ground of the section"
            options={GROUNDS.map((value) => ({ value, name: value }))}
            value={own.gradient === undefined ? ground : undefined}
            onChange={setGround}
          />
        </div>
        {gradients.order.length > 0 && (
          <label className="self-start">
            <span className="block text-quiet">or on a gradient</span>
            <TrySelect
              className="select w-auto max-w-36"
              value={own.gradient ?? ''}
              onChange={({ currentTarget: { value } }) =>
                store.change(
                  [
                    value === ''
                      ? { op: 'remove', path: `${path}/gradient` }
                      : { op: 'add', path: `${path}/gradient`, value },
                  ],
                  value === '' ? 'section on no gradient' : 'section on a gradient',
                )
              }
            >
              <option value="">none</option>
              {inOrder(gradients).map(([id, { name }]) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </TrySelect>
          </label>
        )}
        {span === undefined ? (
          <button
            type="button"
            className="act"
            onClick={() =>
              store.change([{ op: 'add', path: `${path}/span`, value: 8 }], 'width of a section')
            }
          >
            Limit its width
          </button>
        ) : (
          <>
            <div className="w-24">
              <DecidedNumber
                path={`${path}/span`}
                name="width of a section"
                label="columns wide"
                value={span}
                step={1}
                decimals={0}
              />
            </div>
            <button
              type="button"
              className="act"
              onClick={() =>
                store.change(
                  [{ op: 'remove', path: `${path}/span` }],
                  'section as wide as the page',
                )
              }
            >
              As wide as the page
            </button>
          </>
        )}
        <Wears path={path} there={classesOfSection(own)} wears={own.wears} />
      </div>
      {on && <AsPart own={own} on={on} />}
      {(own.kind === 'opening' || own.kind === 'call') && <OverPicture path={path} own={own} />}
      {collectionsOf(own).map(([key, collection]) => {
        const at = `${path}/${key}`;
        const what = thingAt({ collection: at, id: '' });
        return (
          <div key={key}>
            <h4 className="text-quiet">{what}s</h4>
            <ThingList
              path={at}
              collection={collection}
              label={`${what}s of the section`}
              nameOf={(thing, id) => wordsOf(thing) || id}
              {...((shows ?? signed) !== undefined && {
                below: (thing: unknown, id: string) => (
                  <>
                    {signed?.of === key && (
                      <IconField
                        path={`${at}/items/${id}/icon`}
                        of={wordsOf(thing) || id}
                        icon={(thing as { readonly icon?: string }).icon}
                      />
                    )}
                    {shows?.(thing) === true && (
                      <PictureField
                        path={`${at}/items/${id}/picture`}
                        of={wordsOf(thing) || id}
                        picture={(thing as { readonly picture?: ShownPicture }).picture}
                        role={role}
                      />
                    )}
                  </>
                ),
              })}
              {...(own.kind === 'pieces' && {
                adder: <PieceAdder path={at} order={collection.order} />,
              })}
              {...(own.kind === 'article' && {
                adder: (
                  <p className="flex flex-wrap gap-x-3">
                    {PARTS.map(([name, part]) => (
                      <button
                        key={name}
                        type="button"
                        className="act"
                        aria-label={`Add to the article: ${name}`}
                        onClick={() => {
                          const { document } = store.state().decided;
                          const last = collection.order.at(-1);
                          const patch = addingAfter(document, at, last, freshId('part'), part);
                          if (patch) store.change(patch, `${name.toLowerCase()} added`);
                        }}
                      >
                        + {name}
                      </button>
                    ))}
                  </p>
                ),
              })}
            />
          </div>
        );
      })}
      {(own.kind === 'table' || own.kind === 'article') && <Paste kind={own.kind} path={path} />}
    </div>
  );
}
