import { useCallback, useState } from 'react';
import { PageFrame, type Looked } from '../../proof/reading/page-frame.tsx';
import { KeepButton } from '../../proof/worn/keep-button.tsx';
import { useSystem, useSystemLater } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { SheetDrop } from '../../ui/sheet-drop.tsx';
import { ChosenThing } from './chosen-thing.tsx';
import { HowFar } from './how-far.tsx';
import { Kind, Things, Wrong, type ListProps } from './seen-lists.tsx';
import { SheetFactsView } from './sheet-facts-view.tsx';
import { useDrift } from './use-drift.ts';

const WIDTHS = ['375', '720', '1280'] as const;
const THEMES = ['light', 'dark'] as const;
/** A page that was built, or that is somebody else’s, as a browser shows it: what is on it, and one thing by pointing. */
export function PageView() {
  const system = useSystem((state) => state.id);
  const document = useSystemLater(({ decided }) => decided.document);
  const { pages, facts, found, progress, problem, read, stop } = useDrift(
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
      {shown && one && <ChosenThing one={one} />}
      {shown && facts && <SheetFactsView facts={facts} />}
      {shown && looked && (
        <Section full title="What is on it" aside={`at ${width} px, ${theme}`}>
          {looked.page.kinds.map(({ kind, values }) => (
            <Kind key={kind} kind={kind} values={values} open={mark.value} onOpen={onOpen} />
          ))}
          <Things looked={looked} open={mark.value} onOpen={onOpen} />
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
