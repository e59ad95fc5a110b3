import {
  colorWords,
  groundSeen,
  type SeenElement,
  type SeenKind,
  type SeenValue,
} from '@garnish/core/reading/seen';
import { contrastRatio } from '@garnish/core/color/contrast';
import { sizeWords } from '@garnish/core/measures/geometry';
import { useCallback, useState } from 'react';
import { PageFrame, type Looked } from '../../proof/reading/page-frame.tsx';
import { useSystem, useSystemLater } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Copy } from '../../ui/copy.tsx';
import { SheetDrop } from '../../ui/sheet-drop.tsx';
import { Swatch } from '../../ui/swatch.tsx';
import { percent } from '@garnish/core/reading/drift-report';
import { KeepButton } from '../../proof/worn/keep-button.tsx';
import { HowFar } from './how-far.tsx';
import { useDrift } from './use-drift.ts';

const WIDTHS = ['375', '720', '1280'] as const;
const THEMES = ['light', 'dark'] as const;
/** So many values of a kind are told at once. */
const FIRST_VALUES = 8;
const COLORED: ReadonlySet<SeenKind> = new Set([
  'ground',
  'text color',
  'link color',
  'line color',
  'gradient',
]);

interface KindProps {
  readonly kind: SeenKind;
  readonly values: readonly SeenValue[];
  readonly open: string | undefined;
  readonly onOpen: (value: string | undefined, places: readonly number[]) => void;
}

/** The values of a kind, each with how often and on how much of the page it stands; a click marks where. */
function Kind({ kind, values, open, onOpen }: KindProps) {
  const [isWhole, setWhole] = useState(false);
  return (
    <details className="border-t border-line">
      <summary className="min-h-7 cursor-pointer">
        {kind} <span className="figures float-end text-quiet">{values.length}</span>
      </summary>
      <ul aria-label={kind} className="pb-2">
        {(isWhole ? values : values.slice(0, FIRST_VALUES)).map(
          ({ value, count, area, places }) => (
            <li
              key={value}
              className="grid items-baseline grid-cols-[minmax(0,1fr)_3.5rem_4.5rem] gap-x-2"
            >
              <button
                type="button"
                aria-pressed={open === value}
                className="figures min-h-6 truncate text-start hover:underline aria-pressed:font-semibold"
                title={value}
                onClick={() => onOpen(open === value ? undefined : value, places)}
              >
                {COLORED.has(kind) && <Swatch value={value} />}
                {value}
              </button>
              <span className="figures text-end text-quiet">{count} ×</span>
              <span className="figures text-end text-quiet">{percent(area)}</span>
            </li>
          ),
        )}
        {!isWhole && values.length > FIRST_VALUES && (
          <li>
            <button type="button" className="act" onClick={() => setWhole(true)}>
              {values.length - FIRST_VALUES} more
            </button>
          </li>
        )}
      </ul>
    </details>
  );
}

/** What is told of one thing of the page, line by line. */
function factsOfSeen(one: SeenElement): readonly (readonly [what: string, value: string])[] {
  const px = (values: readonly number[]): string =>
    new Set(values).size === 1 ? sizeWords(values[0] ?? 0) : values.map(sizeWords).join(' ');
  const ground = one.isOverPicture ? undefined : groundSeen(one.grounds);
  const color = ground && groundSeen([one.color, ground]);
  const isSome = (values: readonly number[]): boolean => values.some((value) => value !== 0);
  const own = one.hasOwnGround ? colorWords(one.grounds[0] ?? '') : undefined;
  return [
    ['size', `${sizeWords(one.box.width)} × ${sizeWords(one.box.height)}`],
    ...(one.signs > 0
      ? ([
          ['face', `${one.face} ${one.weight}`],
          [
            'text size',
            `${sizeWords(one.sizePx)}${one.lineHeightPx === undefined ? '' : ` / ${sizeWords(one.lineHeightPx)}`}`,
          ],
          ['color', colorWords(one.color) ?? one.color],
          [
            'contrast',
            color && ground
              ? `${(Math.floor(contrastRatio(color, ground) * 100) / 100).toFixed(2)} on ${ground}`
              : 'over a picture or a gradient: not told',
          ],
        ] as const)
      : []),
    ...(own === undefined ? [] : ([['ground', own]] as const)),
    ...(isSome(one.padding) ? ([['inset', px(one.padding)]] as const) : []),
    ...(isSome(one.margin) ? ([['margin', px(one.margin)]] as const) : []),
    ...(isSome(one.gap) ? ([['gap', px(one.gap)]] as const) : []),
    ...(isSome(one.corners) ? ([['corner', px(one.corners)]] as const) : []),
    ...(one.shadow === '' ? [] : ([['shadow', one.shadow]] as const)),
    ...(one.picture === '' ? [] : ([['behind it', one.picture.slice(0, 120)]] as const)),
  ];
}

/** One thing of the page in words, beside it. */
function Chosen({ one }: { readonly one: SeenElement }) {
  const facts = factsOfSeen(one);
  return (
    <Section
      full
      title="What is chosen"
      aside={
        <Copy text={facts.map(([what, value]) => `${what}: ${value}`).join('\n')}>copy all</Copy>
      }
    >
      <p className="figures font-semibold">{one.name}</p>
      <table className="w-full">
        <tbody>
          {facts.map(([what, value]) => (
            <tr key={what} className="border-t border-line">
              <th scope="row" className="w-24 text-start align-top font-normal text-quiet">
                {what}
              </th>
              <td className="figures text-end break-words">{value}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Section>
  );
}

interface ListProps {
  readonly looked: Looked;
  readonly open: string | undefined;
  readonly onOpen: (value: string | undefined, places: readonly number[]) => void;
}

/** What the page itself gets wrong, as it is shown. */
function Wrong({ looked: { page, seen }, open, onOpen }: ListProps) {
  const lists: readonly (readonly [
    title: string,
    why: string,
    lines: readonly { readonly words: string; readonly place: number }[],
  ])[] = [
    [
      'words too faint',
      'They stand out less than WCAG 2.2 asks (1.4.3, AA).',
      page.faint.map(({ place, ratio, needed, color, ground }) => ({
        words: `${seen[place]?.name ?? ''}: ${(Math.floor(ratio * 100) / 100).toFixed(2)} of ${needed}, ${color} on ${ground}`,
        place,
      })),
    ],
    [
      'words over pictures',
      'How they stand out there cannot be told from colors.',
      page.unjudged.map((place) => ({ words: seen[place]?.name ?? '', place })),
    ],
    [
      'pictures without room',
      'The page says not how large they are: what is below them jumps when they come.',
      page.withoutRoom.map((place) => ({ words: seen[place]?.name ?? '', place })),
    ],
  ];
  return lists.map(([title, why, lines]) =>
    lines.length === 0 ? null : (
      <details key={title} className="border-t border-line">
        <summary className="min-h-7 cursor-pointer">
          {title} <span className="figures float-end text-quiet">{lines.length}</span>
        </summary>
        <p className="text-quiet">{why}</p>
        <ul aria-label={title} className="max-h-72 overflow-auto pb-2">
          {lines.map(({ words, place }) => (
            <li key={place}>
              <button
                type="button"
                aria-pressed={open === `${title} ${place}`}
                className="figures min-h-6 text-start hover:underline aria-pressed:font-semibold"
                onClick={() => onOpen(`${title} ${place}`, [place])}
              >
                {words}
              </button>
            </li>
          ))}
        </ul>
      </details>
    ),
  );
}

/** A page that was built, or that is somebody else’s, as a browser shows it: what is on it, and one thing by pointing. */
export function PageView() {
  const system = useSystem((state) => state.id);
  const document = useSystemLater(({ decided }) => decided.document);
  const { pages, found, progress, problem, read, stop } = useDrift(
    system,
    document,
    'as it stands',
  );
  const [file, setFile] = useState<string>();
  const [width, setWidth] = useState<(typeof WIDTHS)[number]>('720');
  const [theme, setTheme] = useState<(typeof THEMES)[number]>('light');
  const [looked, setLooked] = useState<Looked>();
  const [mark, setMark] = useState<{ readonly value?: string; readonly places: readonly number[] }>(
    {
      places: [],
    },
  );
  const choose = useCallback((place: number): void => setMark({ places: [place] }), []);
  const onOpen: ListProps['onOpen'] = (value, places) =>
    setMark(value === undefined ? { places: [] } : { value, places });
  const look = useCallback((next: Looked | undefined): void => {
    setLooked(next);
    // Places are of what was looked at.
    if (next === undefined) setMark({ places: [] });
  }, []);
  const shown = pages?.find((page) => page.file === file) ?? pages?.[0];
  const [only, ...more] = mark.places;
  const one = only !== undefined && more.length === 0 ? looked?.seen[only] : undefined;
  return (
    <>
      <Section full title="A page that exists" aside="nothing is sent or asked for">
        {!shown && (
          <p className="text-quiet">
            A page saved by a browser, as one file or with its folder. It is reference: its colors,
            sizes and relations are told; pictures, words and font files are taken into nothing.
          </p>
        )}
        <SheetDrop name="A page" className={`my-1 ${shown ? '' : 'py-2'}`} onFiles={read}>
          {shown ? 'or drop another one here' : 'or drop it here'}
        </SheetDrop>
        <HowFar progress={progress} problem={problem} onCancel={stop} />
        {found && !progress && !shown && (
          <p role="status">There is no page among the files: style sheets alone are in Drift.</p>
        )}
        {shown && (
          <>
            <div className="my-1 flex flex-wrap items-baseline justify-between gap-x-4">
              {(pages?.length ?? 0) > 1 ? (
                <select
                  aria-label="Page that is shown"
                  className="min-h-7 max-w-full border-b border-line-strong bg-transparent"
                  value={shown.file}
                  onChange={({ target }) => setFile(target.value)}
                >
                  {pages?.map((page) => (
                    <option key={page.file} value={page.file}>
                      {page.title || page.file}
                    </option>
                  ))}
                </select>
              ) : (
                <span className="truncate">{shown.title || shown.file}</span>
              )}
              <Choice
                label="Width of the page, px"
                options={WIDTHS.map((value) => ({ value, name: value }))}
                value={width}
                onChange={setWidth}
              />
              <Choice
                label="Theme of the page"
                options={THEMES.map((value) => ({ value, name: value }))}
                value={theme}
                onChange={setTheme}
              />
            </div>
            <PageFrame
              key={`${shown.file} ${theme}`}
              page={shown}
              widthPx={Number(width)}
              theme={theme}
              marked={mark.places}
              looked={looked}
              onLooked={look}
              onChoose={choose}
            />
            <p role="status" className="text-quiet">
              {looked
                ? `${looked.page.elements} things, ${looked.page.words} with words, ${looked.page.pictures} pictures, ${looked.page.drawings} drawings. Click one, and it is told below.`
                : 'Looking …'}
            </p>
            <KeepButton key={shown.file} page={shown} />
          </>
        )}
      </Section>
      {shown && one && <Chosen one={one} />}
      {shown && looked && (
        <Section full title="What is on it" aside={`at ${width} px, ${theme}`}>
          {looked.page.kinds.map(({ kind, values }) => (
            <Kind key={kind} kind={kind} values={values} open={mark.value} onOpen={onOpen} />
          ))}
          <Wrong looked={looked} open={mark.value} onOpen={onOpen} />
          {shown.missing.length > 0 && (
            <details className="border-t border-line">
              <summary className="min-h-7 cursor-pointer">
                not among the files{' '}
                <span className="figures float-end text-quiet">{shown.missing.length}</span>
              </summary>
              <ul
                aria-label="not among the files"
                className="figures max-h-72 overflow-auto text-xs"
              >
                {shown.missing.map((address) => (
                  <li key={address} className="break-all">
                    {address}
                  </li>
                ))}
              </ul>
            </details>
          )}
        </Section>
      )}
    </>
  );
}
