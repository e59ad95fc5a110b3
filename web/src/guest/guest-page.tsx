import { DOWNLOADS } from '@garnish/core/formats/formats';
import { FACT_UNITS, type FactUnit } from '@garnish/core/measures/facts';
import { inOrder, type Mode } from '@garnish/core/system/document';
import {
  handedWords,
  inGroups,
  inHandedOrder,
  isFound,
  type HandedWords,
  type Stage,
} from '@garnish/core/system/handed-over';
import { wordsIn } from '@garnish/core/proof/node';
import { sitePage } from '@garnish/core/proof/site';
import { modesOf } from '@garnish/core/system/themes';
import { Suspense, useEffect, useId, useMemo, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { guestPath } from '../api/links.ts';
import { Choice } from '../ui/choice.tsx';
import { Message } from '../ui/message.tsx';
import { lazyPart } from '../ui/patient.ts';
import { AnnotatedPage } from './annotated-page.tsx';
import { SAID, type Said } from './facts-beside.tsx';
import { StageFilter, StageWord } from './stages.tsx';
import { SinceYouWereHere } from './since-you-were-here.tsx';
import { useGuest, type GuestView } from './use-guest.ts';
import { useKeptList } from './use-kept-list.ts';

const Parts = lazyPart(async () => ({ default: (await import('./parts.tsx')).Parts }));
const ClientPage = lazyPart(() => import('./client-page.tsx'));
const KeptPageShown = lazyPart(() => import('./kept-page.tsx'));
const Assets = lazyPart(async () => ({ default: (await import('./parts.tsx')).Assets }));

/** How what can be opened is written. */
const TAB =
  'min-h-7 min-w-6 shrink-0 border-b-[3px] border-transparent text-quiet hover:text-base-content aria-[current]:border-primary aria-[current]:font-semibold aria-[current]:text-base-content';

/** What stands beside the pages, as the address has it. */
const BESIDE = [
  ['parts', 'Components'],
  ['assets', 'Assets'],
] as const;

/** On a window narrower than this the page is looked at as wide as the window is, as on a phone. */
const NARROW_PX = 760;
const WIDTHS = [375, 720, 1440] as const;

/** Words that are what they say. */
const asOptions = <Word extends string>(words: readonly Word[]) =>
  words.map((value) => ({ value, name: value }));

function Asked({
  problem,
  onEnter,
}: {
  readonly problem: string | undefined;
  readonly onEnter: (passphrase: string) => Promise<void>;
}) {
  const [words, setWords] = useState('');
  const [isAsking, setAsking] = useState(false);
  const id = useId();
  return (
    <main className="mx-auto mt-[20vh] w-[min(24rem,calc(100vw-2rem))]">
      <h1 className="mb-2 font-semibold">A passphrase is needed</h1>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          setAsking(true);
          void onEnter(words).finally(() => setAsking(false));
        }}
      >
        <label htmlFor={id} className="block text-quiet">
          passphrase
        </label>
        <input
          id={id}
          type="password"
          className="mb-2 w-full border-b border-line-strong bg-transparent leading-8"
          value={words}
          autoComplete="off"
          onChange={({ target }) => setWords(target.value)}
        />
        {problem !== undefined && (
          <p role="alert" className="mb-2 text-error">
            {problem}
          </p>
        )}
        <button type="submit" className="btn btn-primary" disabled={words === '' || isAsking}>
          Open
        </button>
      </form>
    </main>
  );
}

const READ = 'garnish-guest-has-read';

/** Whether this browser was here before; from now on it was. */
function wasHere(): boolean {
  try {
    const before = localStorage.getItem(READ) !== null;
    localStorage.setItem(READ, 'yes');
    return before;
  } catch {
    return false; // nothing is kept here: it is told each time
  }
}

/** How measures are read, in three lines. */
const HowToRead = () => (
  <ol className="list-decimal ps-5 text-quiet">
    <li>
      Point at anything: a dashed line is around it. Click, and it is chosen: green around it, the
      room inside it hatched, its facts beside the page.
    </li>
    <li>
      Point at another thing: the lines between say how far apart the two are, and which edges they
      share.
    </li>
    <li>Names with points, such as color.page, are tokens: in code they are custom properties.</li>
  </ol>
);

/** The words that stand on each page; read when they are first asked for. */
function wordsByPage({ document, derived }: GuestView): (page: string) => string {
  const known = new Map<string, string>();
  return (page) => {
    const words = known.get(page) ?? wordsIn(sitePage(document, derived, page));
    known.set(page, words);
    return words;
  };
}

interface OpenProps {
  readonly address: string;
  readonly view: GuestView;
  readonly isInTouch: boolean;
}

function Open({ address, view, isInTouch }: OpenProps) {
  const { document, derived, release } = view;
  const [parameters, setParameters] = useSearchParams();
  const pages = inOrder(document.content.pages);
  const modes = modesOf(derived.themes);
  const asked = parameters.get('page');
  const beside = BESIDE.find(([id]) => id === asked)?.[0];
  const keptPages = useKeptList(address, view);
  const kept = keptPages.find(({ id }) => id === asked)?.id;
  const isOfSite = beside === undefined && kept === undefined;
  const page = pages.find(([id]) => id === asked)?.[0] ?? pages[0]?.[0];
  const handed = handedWords(document.content.handed);
  const wordsOf = (id: string): HandedWords => handed({ kind: 'page', id });
  const [stage, setStage] = useState<Stage>();
  const [sought, setSought] = useState('');
  const hasStages = pages.some(([id]) => wordsOf(id).stage !== undefined);
  // Pages of one group stand together; the one that is open stays.
  const ordered = inHandedOrder(pages, ([id]) => wordsOf(id).rank);
  const wordsOnPages = useMemo(() => wordsByPage(view), [view]);
  const isSought = (id: string, name: string): boolean =>
    isFound(sought.trim() === '' ? name : `${name}\n${wordsOnPages(id)}`, wordsOf(id), {
      text: sought,
      stage,
    });
  const inLine = inGroups(ordered, ([id]) => wordsOf(id).group).flatMap(([, own]) => own);
  const found = inLine.filter(([id, { name }]) => isSought(id, name));
  const shownPages = inLine.filter((one) => one[0] === page || found.includes(one));
  const [isNarrow, setNarrow] = useState(() => innerWidth < NARROW_PX);
  const [width, setWidth] = useState<(typeof WIDTHS)[number]>(720);
  const [wanted, setTheme] = useState<Mode>(modes[0]);
  const [unit, setUnit] = useState<FactUnit>('px');
  const [said, setSaid] = useState<Said>('both');
  const [way, setWay] = useState<'measures' | 'as it will be'>('measures');
  const [isFirst] = useState(() => !wasHere());
  const theme = modes.find((mode) => mode === wanted) ?? modes[0];
  useEffect(() => {
    const look = (): void => setNarrow(innerWidth < NARROW_PX);
    addEventListener('resize', look);
    return () => removeEventListener('resize', look);
  }, []);
  useEffect(() => {
    const before = globalThis.document.title;
    globalThis.document.title = document.name;
    return () => {
      globalThis.document.title = before;
    };
  }, [document.name]);
  return (
    <div className="flex h-svh flex-col">
      <header className="relative border-b border-line">
        <div className="flex flex-wrap items-baseline gap-x-4 px-4 pt-1.5">
          <h1 className="font-semibold break-words">{document.name}</h1>
          <p role="status" className={isInTouch ? 'text-quiet' : 'text-error'}>
            {isInTouch
              ? release === undefined
                ? 'as it stands'
                : `release ${release}`
              : 'out of touch: what is shown may be old; trying again'}
          </p>
          <SinceYouWereHere address={address} sequence={view.sequence} modes={modes} />
          <details className="ms-auto">
            <summary className="min-h-6 cursor-pointer">Files</summary>
            <ul className="absolute end-4 top-full z-20 max-h-[70svh] w-72 overflow-auto border border-line-strong bg-base-100 p-3">
              {DOWNLOADS.map(({ file, about }) => (
                <li key={file} className="py-0.5">
                  <a className="act figures" href={`${guestPath(address)}/files/${file}`} download>
                    {file}
                  </a>
                  <span className="block text-xs text-quiet">{about}</span>
                </li>
              ))}
            </ul>
          </details>
          <details open={isFirst && kept === undefined} hidden={kept !== undefined}>
            <summary className="min-h-6 cursor-pointer">How to read this</summary>
            <div className="absolute end-4 top-full z-20 w-[min(22rem,calc(100vw-2rem))] border border-line-strong bg-base-100 p-3">
              <HowToRead />
            </div>
          </details>
        </div>
        <nav aria-label="Pages" className="flex gap-x-4 overflow-x-auto px-4">
          {shownPages.map(([id, { name }]) => (
            <button
              key={id}
              type="button"
              aria-current={id === page && isOfSite ? 'page' : undefined}
              className={TAB}
              onClick={() => setParameters({ page: id })}
            >
              {name} <StageWord words={wordsOf(id)} />
            </button>
          ))}
          {keptPages.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              aria-current={id === kept ? 'page' : undefined}
              className={TAB}
              onClick={() => setParameters({ page: id })}
            >
              {name} <span className="text-xs font-normal text-quiet">as read</span>
            </button>
          ))}
          {pages.length > 1 && (
            <span className="flex shrink-0 items-baseline gap-x-3 self-baseline">
              <input
                type="search"
                aria-label="Find a page by words on it, its group or tags"
                placeholder="find a page"
                className="w-28 border-b border-line-strong bg-transparent leading-6"
                value={sought}
                onChange={({ target }) => setSought(target.value)}
              />
              {hasStages && <StageFilter stage={stage} onStage={setStage} />}
              <span role="status" className="text-xs text-quiet">
                {found.length === 0
                  ? 'none is found so'
                  : sought.trim() !== '' && `${found.length} of ${pages.length}`}
              </span>
            </span>
          )}
          {BESIDE.map(([id, name]) => (
            <button
              key={id}
              type="button"
              aria-current={id === beside ? 'page' : undefined}
              className={`${TAB} ${id === 'parts' ? 'ms-auto' : ''}`}
              onClick={() => setParameters({ page: id })}
            >
              {name}
            </button>
          ))}
        </nav>
        <div
          role="toolbar"
          aria-label="How the page is looked at"
          className="flex shrink-0 items-baseline gap-x-6 overflow-x-auto border-t border-line px-4 py-1 whitespace-nowrap md:justify-center [&>*]:shrink-0"
        >
          {!isNarrow && beside === undefined && (
            <Choice
              label="Width in px"
              options={asOptions(WIDTHS.map(String))}
              value={String(width)}
              onChange={(word) => setWidth(WIDTHS.find((one) => String(one) === word) ?? width)}
            />
          )}
          {isOfSite && (
            <Choice
              label="Way of looking"
              options={asOptions(['measures', 'as it will be'] as const)}
              value={way}
              onChange={setWay}
            />
          )}
          {way === 'measures' && isOfSite && (
            <>
              <Choice
                label="What is told"
                options={asOptions(SAID)}
                value={said}
                onChange={setSaid}
              />
              <Choice
                label="Unit"
                options={asOptions(FACT_UNITS)}
                value={unit}
                onChange={setUnit}
              />
            </>
          )}
          {modes.length > 1 && beside !== 'assets' && (
            <Choice label="Theme" options={asOptions(modes)} value={theme} onChange={setTheme} />
          )}
        </div>
      </header>
      {beside === 'parts' && (
        <Suspense fallback={<p className="p-4 text-quiet">Opening …</p>}>
          <Parts view={view} theme={theme} />
        </Suspense>
      )}
      {beside === 'assets' && (
        <Suspense fallback={<p className="p-4 text-quiet">Opening …</p>}>
          <Assets address={address} view={view} />
        </Suspense>
      )}
      {kept !== undefined && (
        <Suspense fallback={<p className="p-4 text-quiet">Opening …</p>}>
          <main className="flex min-h-0 flex-1">
            <KeptPageShown
              key={kept}
              address={address}
              id={kept}
              view={view}
              theme={theme}
              widthPx={isNarrow ? undefined : width}
            />
          </main>
        </Suspense>
      )}
      {!isOfSite ? null : page === undefined ? (
        <p className="p-4">None of its pages is shown now.</p>
      ) : (
        <AnnotatedPage
          key={page}
          address={address}
          view={view}
          page={page}
          theme={theme}
          widthPx={isNarrow ? undefined : width}
          unit={unit}
          said={said}
          isMeasuring={way === 'measures'}
        />
      )}
    </div>
  );
}

/** The page of a link: what others read, without an account. */
export default function GuestPage() {
  const { address = '' } = useParams();
  const [says, enter] = useGuest(address);
  switch (says.kind) {
    case 'opening':
      return <Message title="Opening …" />;
    case 'nowhere':
      return (
        <Message
          title="This link leads nowhere"
          detail={`${says.problem} Ask whoever gave it to you.`}
        />
      );
    case 'failed':
      return <Message title="It cannot be opened" detail={says.problem} />;
    case 'asked':
      return <Asked problem={says.problem} onEnter={enter} />;
    case 'open':
      if (says.view.forClient)
        return (
          <Suspense fallback={<Message title="Opening …" />}>
            <ClientPage address={address} view={says.view} isInTouch={says.isInTouch} />
          </Suspense>
        );
      return <Open address={address} view={says.view} isInTouch={says.isInTouch} />;
  }
}
