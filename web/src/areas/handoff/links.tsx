import { inOrder } from '@garnish/core/system/document';
import { useMemo, useRef, useState } from 'react';
import useSWR from 'swr';
import { get, send } from '../../api/client.ts';
import { guestPage, linkList, linkRecord, linksPath, type LinkRecord } from '../../api/links.ts';
import { releaseList, releasesPath } from '../../api/releases.ts';
import { useKeptPages } from '../../system/kept-pages.ts';
import { useSystem } from '../../system/system-context.ts';
import { announce } from '../../ui/announce.tsx';
import { Section } from '../../ui/bench.tsx';
import { Copy } from '../../ui/copy.tsx';
import { qrCode } from '../../ui/qr-code.ts';
import { Labeled, ON_A_LINE } from '../../ui/labeled.tsx';
import { Toggles } from '../../ui/toggles.tsx';

const day = new Intl.DateTimeFormat('en-US', { dateStyle: 'medium' });
const when = new Intl.DateTimeFormat('en-US', { dateStyle: 'medium', timeStyle: 'short' });

/** The shortest passphrase that is taken. */
const SHORTEST = 4;

/** The end of a day where one is: a link opens that whole day. */
const endOf = (date: string): string => new Date(`${date}T23:59:59`).toISOString();

/** Today where one is, as fields for dates have it. */
function today(): string {
  const now = new Date();
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

function QrCode({ text }: { readonly text: string }) {
  const { side, path } = useMemo(() => qrCode(text), [text]);
  return (
    <figure className="mt-1">
      <svg
        viewBox={`0 0 ${side} ${side}`}
        className="h-36 w-36 bg-white"
        role="img"
        aria-label={`Code that opens ${text}`}
        shapeRendering="crispEdges"
      >
        <path d={path} fill="#000" />
      </svg>
      <figcaption className="figures text-xs break-all text-quiet">{text}</figcaption>
    </figure>
  );
}

interface LinkRowProps {
  readonly link: LinkRecord;
  /** Whether its day is over. */
  readonly isOver: boolean;
  readonly addresses: readonly string[];
  readonly pageNames: ReadonlyMap<string, string>;
  readonly keptNames: ReadonlyMap<string, string>;
  readonly onTakeBack: () => void;
}

/** A link: what it opens, until when, when it was used; its address, and a code for a phone. */
function LinkRow({ link, isOver, addresses, pageNames, keptNames, onTakeBack }: LinkRowProps) {
  const {
    label,
    release,
    pages,
    kept = [],
    until,
    hasPassphrase,
    mayWrite,
    forClient,
    at,
    usedAt,
    address,
  } = link;
  const path = guestPage(address);
  const opens = [
    release === undefined ? 'as it stands' : `release ${release}`,
    pages === undefined
      ? 'all pages'
      : pages.map((page) => pageNames.get(page) ?? 'a page that is gone').join(', '),
    ...kept.map((page) => keptNames.get(page) ?? 'a page of your own that is gone'),
    ...(forClient ? ['for a client'] : mayWrite ? ['with notes'] : []),
    ...(hasPassphrase ? ['with a passphrase'] : []),
  ];
  const name = label === '' ? 'without words' : label;
  return (
    <li className="border-t border-line py-2">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h3 className={label === '' ? 'text-quiet' : 'font-semibold break-words'}>{name}</h3>
        <button type="button" className="act" onClick={onTakeBack}>
          Take back<span className="sr-only"> the link {name}</span>
        </button>
      </div>
      <p className="text-quiet">{opens.join(', ')}</p>
      <p className="text-xs text-quiet">
        {until !== undefined && (
          <span className={isOver ? 'text-error' : undefined}>
            {isOver ? 'over since' : 'until'} {day.format(new Date(until))};{' '}
          </span>
        )}
        made {day.format(new Date(at))};{' '}
        {usedAt === undefined ? 'not used yet' : `last used ${when.format(new Date(usedAt))}`}
      </p>
      <ul className="figures text-xs">
        {[location.origin, ...addresses].map((origin) => (
          <li key={origin}>
            <Copy text={`${origin}${path}`}>
              <span className="break-all">
                {origin}
                {path}
              </span>
            </Copy>
          </li>
        ))}
      </ul>
      {addresses.length > 0 && (
        <details>
          <summary className="min-h-6 cursor-pointer text-quiet">Code for a phone</summary>
          <div className="flex flex-wrap gap-4">
            {addresses.map((origin) => (
              <QrCode key={origin} text={`${origin}${path}`} />
            ))}
          </div>
        </details>
      )}
    </li>
  );
}

/** Whether the day of a link is over. */
const isOver = ({ until }: LinkRecord): boolean =>
  until !== undefined && new Date(until) <= new Date();

/** What a new link opens, for whom, until when. */
function NewLink({ onMade }: { readonly onMade: (link: LinkRecord) => void }) {
  const system = useSystem((state) => state.id);
  const content = useSystem((state) => state.decided.document.content);
  const known = useSWR(releasesPath(system), (path: string) => get(path, releaseList));
  const [label, setLabel] = useState('');
  const [release, setRelease] = useState('');
  const [left, setLeft] = useState<readonly string[]>([]);
  const [until, setUntil] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const keptPages = useKeptPages(system).data?.pages ?? [];
  const [wanted, setWanted] = useState<readonly string[]>([]);
  // What was deleted meanwhile is asked for no longer.
  const kept = keptPages.flatMap(({ id }) => (wanted.includes(id) ? [id] : []));
  const [mayWrite, setMayWrite] = useState(true);
  const [forClient, setForClient] = useState(false);
  const [problem, setProblem] = useState<string>();
  const [isMaking, setMaking] = useState(false);
  const pages = inOrder(content.pages).filter(([, { isOff }]) => isOff !== true);
  const pageNames = new Map(pages.map(([id, { name }]) => [id, name]));
  const chosen = pages.filter(([id]) => !left.includes(id));
  const isShort = passphrase !== '' && passphrase.length < SHORTEST;
  const isOver = until !== '' && until < today();
  const make = async (): Promise<void> => {
    setMaking(true);
    setProblem(undefined);
    try {
      const made = linkRecord.parse(
        await send('POST', linksPath(system), {
          label,
          mayWrite,
          ...(forClient && { forClient }),
          ...(release !== '' && { release }),
          ...(chosen.length < pages.length && { pages: chosen.map(([id]) => id) }),
          ...(kept.length > 0 && { kept }),
          ...(until !== '' && { until: endOf(until) }),
          ...(passphrase !== '' && { passphrase }),
        }),
      );
      setLabel('');
      setPassphrase('');
      announce('The link is made');
      onMade(made);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'No link was made.');
    } finally {
      setMaking(false);
    }
  };
  const reason = isOver
    ? 'That day is over.'
    : isShort
      ? `A passphrase has ${SHORTEST} signs at least.`
      : undefined;
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (reason === undefined && !isMaking) void make();
      }}
    >
      <div className="grid grid-cols-[repeat(auto-fit,minmax(min(13rem,100%),1fr))] gap-x-6">
        <Labeled label="for whom, in words of your own">
          {(id) => (
            <input
              id={id}
              className={ON_A_LINE}
              value={label}
              maxLength={120}
              autoComplete="off"
              onChange={({ target }) => setLabel(target.value)}
            />
          )}
        </Labeled>
        <Labeled label="opens">
          {(id) => (
            <select
              id={id}
              className={ON_A_LINE}
              value={release}
              onChange={({ target }) => setRelease(target.value)}
            >
              <option value="">the system as it stands</option>
              {(known.data?.releases ?? []).map(({ number }) => (
                <option key={number} value={number}>
                  release {number}
                </option>
              ))}
            </select>
          )}
        </Labeled>
        <Labeled label="until the end of">
          {(id) => (
            <input
              id={id}
              type="date"
              className={`figures ${ON_A_LINE}`}
              value={until}
              min={today()}
              onChange={({ target }) => setUntil(target.value)}
            />
          )}
        </Labeled>
        <Labeled label="passphrase, if wanted">
          {(id) => (
            <input
              id={id}
              className={ON_A_LINE}
              value={passphrase}
              maxLength={200}
              autoComplete="off"
              onChange={({ target }) => setPassphrase(target.value)}
            />
          )}
        </Labeled>
      </div>
      {pages.length > 1 && (
        <div className="mb-3">
          <Toggles
            label="Pages"
            options={pages.map(([id]) => id)}
            nameOf={(id) => pageNames.get(id) ?? id}
            least={1}
            chosen={chosen.map(([id]) => id)}
            onChange={(next) => setLeft(pages.flatMap(([id]) => (next.includes(id) ? [] : [id])))}
          />
        </div>
      )}
      {keptPages.length > 0 && (
        <div className="mb-3">
          <Toggles
            label="Pages that were read from outside"
            options={keptPages.map(({ id }) => id)}
            nameOf={(page) => keptPages.find(({ id }) => id === page)?.name ?? page}
            chosen={kept}
            onChange={setWanted}
          />
          <p className="text-xs text-quiet">
            Read from outside: ticked, whoever has the link sees their words and pictures too.
          </p>
        </div>
      )}
      <label className="mb-3 flex min-h-6 items-center gap-1.5">
        <input
          type="checkbox"
          className="h-4 w-4 accent-primary"
          checked={mayWrite || forClient}
          disabled={forClient}
          onChange={({ target }) => setMayWrite(target.checked)}
        />
        guests may write notes
      </label>
      <label className="mb-3 flex min-h-6 items-center gap-1.5">
        <input
          type="checkbox"
          className="h-4 w-4 accent-primary"
          checked={forClient}
          onChange={({ target }) => setForClient(target.checked)}
        />
        for a client: pages alone, large, with what is asked of them
      </label>
      {(problem ?? reason) !== undefined && (
        <p role="alert" className="text-error">
          {problem ?? reason}
        </p>
      )}
      <button
        type="submit"
        className="btn btn-primary"
        disabled={reason !== undefined || isMaking}
        aria-busy={isMaking}
      >
        Make the link
      </button>
    </form>
  );
}

/** Links under which others read the system without an account. */
export function Links() {
  const system = useSystem((state) => state.id);
  const content = useSystem((state) => state.decided.document.content);
  const known = useSWR(linksPath(system), (path: string) => get(path, linkList));
  const [problem, setProblem] = useState<string>();
  const list = useRef<HTMLHeadingElement>(null);
  const pageNames = new Map(inOrder(content.pages).map(([id, { name }]) => [id, name]));
  const keptNames = new Map(
    (useKeptPages(system).data?.pages ?? []).map(({ id, name }) => [id, name]),
  );
  const error: unknown = known.error;
  const failed = problem ?? (error instanceof Error ? error.message : undefined);
  const takeBack = async ({ id, label }: LinkRecord): Promise<void> => {
    setProblem(undefined);
    try {
      await send('DELETE', `${linksPath(system)}/${id}`);
      announce(`The link ${label} leads nowhere any more`);
    } catch (thrown) {
      setProblem(thrown instanceof Error ? thrown.message : 'It could not be taken back.');
    }
    await known.mutate();
    list.current?.focus();
  };
  return (
    <>
      <Section full title="New link" aside="for reading, without an account">
        <NewLink onMade={() => void known.mutate()} />
      </Section>
      <Section full title="Links" aside={known.data?.links.length}>
        <h3 ref={list} tabIndex={-1} className="sr-only">
          All links
        </h3>
        {failed !== undefined && (
          <p role="alert" className="text-error">
            {failed}
          </p>
        )}
        {!known.data && failed === undefined && <p className="text-quiet">Reading the links …</p>}
        {known.data && known.data.addresses.length === 0 && (
          <p className="mb-2 text-quiet">
            They open on this machine only. Started with{' '}
            <span className="figures">npm start -- --guests</span>, it lets guests in from the local
            network too, a phone by its camera.
          </p>
        )}
        {known.data?.links.length === 0 && <p>None yet.</p>}
        {known.data && known.data.links.length > 0 && (
          <ul aria-label="Links">
            {known.data.links.map((link) => (
              <LinkRow
                key={link.id}
                link={link}
                isOver={isOver(link)}
                addresses={known.data?.addresses ?? []}
                pageNames={pageNames}
                keptNames={keptNames}
                onTakeBack={() => void takeBack(link)}
              />
            ))}
          </ul>
        )}
      </Section>
    </>
  );
}
