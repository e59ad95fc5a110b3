import { randomUUID } from 'node:crypto';
import { promisify } from 'node:util';
import { brotliCompress, constants, type BrotliOptions } from 'node:zlib';
import rateLimit from '@fastify/rate-limit';
import { fileName, type Download } from '../exports/downloads.ts';
import { differenceOf } from '@garnish/core/releases/difference';
import { collectionOf } from '@garnish/core/system/collection';
import { ASKED } from '@garnish/core/notes/note-schema';
import { MOST_KEPT_PAGES } from '@garnish/core/worn/wearing';
import { inOrder, type StyleDocument } from '@garnish/core/system/document';
import { releaseNumber } from '@garnish/core/releases/schema';
import type { FastifyReply, FastifyRequest } from 'fastify';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { newNote, noteEdit, noteSchema, toldNote, writer } from '../notes/schemas.ts';
import { keptList, keptPage } from '../kept-pages/schemas.ts';
import { unknownPage, type KeptPages } from '../kept-pages/store.ts';
import type { Notes } from '../notes/store.ts';
import { Problem, problemSchema } from '../problems.ts';
import type { Releases } from '../releases/store.ts';
import type { ChangeFeed } from '../systems/listen.ts';
import { systemParams } from '../systems/schemas.ts';
import { streamEvents } from '../systems/stream.ts';
import type { Store } from '../systems/store.ts';
import type { Link, Links } from './links.ts';

/** So many addresses that lead nowhere, or wrong passphrases, one place may try in a minute. */
const MOST_MISSES = 20;
const MINUTE_MS = 60_000;
/** No timer waits longer. */
const LONGEST_TIMER_MS = 2 ** 31 - 1;
/** After a change windows ask for it within so long: each adds a little, and a second is the most that is bearable. */
const SPREAD_EACH_MS = 2;
const LONGEST_SPREAD_MS = 700;
/** What is known of an address is asked for again after so long, whatever is heard. */
const KNOWN_MS = 5000;
/** So many states are kept as they are sent. */
const MOST_SHOWN = 20;
const MOST_REMEMBERED = 10_000;
/** So many notes one place may write in a minute: an office full of guests is one place. */
const MOST_WRITTEN = 300;
/** In seconds: whoever comes back is who they were. */
const A_YEAR = 365 * 24 * 60 * 60;
/** Changes that are gone back over to tell what became of a system since somebody was there. */
const MOST_BACK = 2000;
const LONGEST_LABEL = 120;
const LONGEST_PASSPHRASE = 200;

const linkSchema = z.object({
  id: z.string(),
  address: z.string(),
  label: z.string(),
  release: z.string().optional(),
  pages: z.array(z.string()).optional(),
  kept: z.array(z.string()).optional(),
  until: z.string().optional(),
  hasPassphrase: z.boolean(),
  mayWrite: z.boolean(),
  forClient: z.boolean(),
  at: z.string(),
  usedAt: z.string().optional(),
});

const newLink = z.strictObject({
  label: z.string().trim().max(LONGEST_LABEL).default(''),
  release: z
    .string()
    .max(20)
    .refine((text) => releaseNumber.safeParse(text).success, 'is no number of a release')
    .optional(),
  pages: z.array(z.string().max(100)).min(1).max(500).optional(),
  kept: z.array(z.uuid()).max(MOST_KEPT_PAGES).optional(),
  until: z.iso.datetime().optional(),
  passphrase: z.string().min(4).max(LONGEST_PASSPHRASE).optional(),
  mayWrite: z.boolean().optional(),
  forClient: z.boolean().optional(),
});

const told = (link: Link): z.infer<typeof linkSchema> => ({
  ...{ id: link.id, address: link.address, label: link.label, hasPassphrase: link.hasPassphrase },
  mayWrite: link.mayWrite,
  forClient: link.forClient,
  ...(link.release !== undefined && { release: link.release }),
  ...(link.pages !== undefined && { pages: [...link.pages] }),
  ...(link.kept.length > 0 && { kept: [...link.kept] }),
  ...(link.until && { until: link.until.toISOString() }),
  at: link.at.toISOString(),
  ...(link.usedAt && { usedAt: link.usedAt.toISOString() }),
});

/** The pages that a link opens; those that are switched off are none of a guest's. */
const pagesFor = (
  { content: { pages } }: StyleDocument,
  opened: readonly string[] | undefined,
): readonly string[] =>
  pages.order.filter(
    (id) => pages.items[id]?.isOff !== true && (opened === undefined || opened.includes(id)),
  );

/** A document with nothing but the pages that a link opens. Throws a Problem where none of them is left. */
function openedPages(document: StyleDocument, pages: readonly string[] | undefined): StyleDocument {
  const { handed, pages: all, ...content } = document.content;
  const { items } = all;
  const own = pagesFor(document, pages);
  if (own.length === 0)
    throw new Problem('unknown-link', 'The pages that it opened are not there any more.');
  return {
    ...document,
    content: {
      ...content,
      pages: {
        order: [...own],
        items: Object.fromEntries(own.flatMap((id) => (items[id] ? [[id, items[id]]] : []))),
      },
      // What is said of other pages is none of theirs.
      ...(handed && {
        handed: collectionOf(
          inOrder(handed).filter(
            ([, { kind, of, on = of }]) => kind === 'component' || own.includes(on),
          ),
        ),
      }),
    },
  };
}

const packed = promisify<Buffer, BrotliOptions, Buffer>(brotliCompress);
const PACKING: BrotliOptions = { params: { [constants.BROTLI_PARAM_QUALITY]: 5 } };

/** What is known of an address. */
interface Opened {
  readonly link: Link;
  readonly sequence: number;
}

/** What guests are shown, as it is sent. */
interface Shown {
  readonly plain: Buffer;
  readonly packed: Buffer;
}

interface Parts {
  readonly links: Links;
  readonly store: Store;
  readonly releases: Releases;
  readonly feed: ChangeFeed;
  readonly downloads: readonly Download[];
  readonly notes: Notes;
  readonly keptPages: KeptPages;
  /** Where guests reach this machine; none where they are not listened for. */
  readonly guestAddresses: () => readonly string[];
}

/** Links as they are made, listed and taken back; and what is there for whoever has one. */
export const guestRoutes =
  ({
    links,
    store,
    releases,
    feed,
    downloads,
    notes,
    keptPages,
    guestAddresses,
  }: Parts): FastifyPluginAsyncZod =>
  async (app) => {
    const failures = { '4xx': problemSchema, '5xx': problemSchema };
    await app.register(rateLimit, { global: false });
    const missing = app.createRateLimit({ max: MOST_MISSES, timeWindow: MINUTE_MS });

    app.get(
      '/api/systems/:id/links',
      {
        schema: {
          params: systemParams,
          response: {
            200: z.object({ links: z.array(linkSchema), addresses: z.array(z.string()) }),
            ...failures,
          },
        },
      },
      async ({ params }) => ({
        links: (await links.list(params.id)).map(told),
        addresses: [...guestAddresses()],
      }),
    );

    app.post(
      '/api/systems/:id/links',
      {
        schema: { params: systemParams, body: newLink, response: { 201: linkSchema, ...failures } },
      },
      async ({ params, body: { until, ...choices } }, reply) => {
        const made = await links.make(params.id, {
          ...choices,
          ...(until !== undefined && { until: new Date(until) }),
        });
        return reply.status(201).send(told(made));
      },
    );

    app.delete(
      '/api/systems/:id/links/:link',
      {
        schema: {
          params: systemParams.extend({ link: z.uuid() }),
          response: { 204: z.null(), ...failures },
        },
      },
      async ({ params }, reply) => {
        const gone = (await links.list(params.id)).find(({ id }) => id === params.link);
        await links.remove(params.id, params.link);
        if (gone) forget(gone.address);
        return reply.status(204).send(null);
      },
    );

    const ofGuest = z.object({ address: z.string().max(60) });
    const nowhere = (): Problem =>
      new Problem('unknown-link', 'It may have been taken back, or its time is over.');

    /** Whoever tries many addresses, or words, waits. */
    const miss = async (request: FastifyRequest, problem: Problem): Promise<Problem> => {
      const tried = await missing(request);
      return !tried.isAllowed && tried.isExceeded
        ? new Problem('too-many-tries', 'Wait a minute, and try again.')
        : problem;
    };

    const cookieOf = ({ id }: Link): string => `garnish-guest-${id}`;
    const hasEntered = (request: FastifyRequest, link: Link): boolean => {
      const raw = request.cookies[cookieOf(link)];
      const read = raw === undefined ? undefined : request.unsignCookie(raw);
      return read?.valid === true && read.value === link.id;
    };

    /**
     * What an address opens and the newest change there, for as long as nothing is heard of that system: of many
     * windows that ask, one asks the database.
     */
    const known = new Map<string, Promise<Opened | undefined>>();
    const forgetting = new Map<string, () => void>();
    const forget = (address: string): void => {
      known.delete(address);
      forgetting.get(address)?.();
      forgetting.delete(address);
    };
    const openAnew = async (address: string): Promise<Opened | undefined> => {
      const first = await links.open(address);
      if (!first) {
        known.delete(address);
        return undefined;
      }
      const stop = feed.listen(first.systemId, () => forget(address));
      const timer = setTimeout(() => forget(address), KNOWN_MS);
      timer.unref();
      forgetting.get(address)?.();
      forgetting.set(address, () => {
        stop();
        clearTimeout(timer);
      });
      // From here on nothing is missed; what changed before is asked for once more.
      const link = await links.open(address);
      return link && { link, sequence: await store.sequence(link.systemId) };
    };
    const opened = async (address: string): Promise<Opened | undefined> => {
      const asked = known.get(address) ?? openAnew(address);
      known.set(address, asked);
      const found = await asked.catch((error: unknown) => {
        forget(address);
        throw error;
      });
      if (!found || (found.link.until && found.link.until.getTime() <= Date.now())) {
        forget(address);
        return undefined;
      }
      return found;
    };

    /** The link that an address is of, for whoever may read it. */
    const linkFor = async (request: FastifyRequest, address: string): Promise<Link> => {
      const found = await opened(address);
      if (!found) throw await miss(request, nowhere());
      const { link } = found;
      if (link.hasPassphrase && !hasEntered(request, link))
        throw new Problem('passphrase-needed', 'Whoever gave you the link knows it.');
      return link;
    };

    /** Nothing of what a guest reads is kept on the way, found by others, or told to where they go next. */
    const quiet = (reply: FastifyReply): FastifyReply =>
      reply
        .header('cache-control', 'no-store')
        .header('referrer-policy', 'no-referrer')
        .header('x-robots-tag', 'noindex, nofollow');

    const stateOf = async (link: Link) =>
      link.release === undefined
        ? store.open(link.systemId)
        : releases.state(link.systemId, link.release);

    /** When each link was used last, in ms, as far as the list has to know. */
    const usedAt = new Map<string, number>();
    const tellUsed = async ({ id }: Link): Promise<void> => {
      const now = Date.now();
      if (now - (usedAt.get(id) ?? 0) < MINUTE_MS) return;
      if (usedAt.size > MOST_REMEMBERED) usedAt.clear();
      usedAt.set(id, now);
      await links.used(id);
    };

    /** What guests are shown, as JSON, plain and packed: the same for every window under a link, until something changes. */
    const shown = new Map<string, Promise<Shown>>();
    const shownOf = async (link: Link): Promise<Shown> => {
      const state = link.release ?? (await opened(link.address))?.sequence;
      const key = JSON.stringify([link.id, state]);
      const found =
        shown.get(key) ??
        stateOf(link).then(async ({ sequence, document }) => {
          const text = JSON.stringify({
            sequence,
            mayWrite: link.mayWrite,
            forClient: link.forClient,
            ...(link.kept.length > 0 && { hasKept: true }),
            ...(link.release !== undefined && { release: link.release }),
            document: openedPages(document, link.pages),
          });
          const plain = Buffer.from(text);
          return { plain, packed: await packed(plain, PACKING) };
        });
      shown.set(key, found);
      // What failed is asked for anew.
      found.catch(() => shown.delete(key));
      const [oldest] = shown.keys();
      if (shown.size > MOST_SHOWN && oldest !== undefined) shown.delete(oldest);
      return found;
    };

    app.get(
      '/guest/:address',
      { schema: { hide: true, params: ofGuest, response: { 200: z.any(), ...failures } } },
      async (request, reply) => {
        const link = await linkFor(request, request.params.address);
        const state = await shownOf(link);
        await tellUsed(link);
        quiet(reply).type('application/json; charset=utf-8').header('vary', 'accept-encoding');
        // Packed once for all of them, not for each.
        return /\bbr\b/.test(request.headers['accept-encoding'] ?? '')
          ? reply.header('content-encoding', 'br').send(state.packed)
          : reply.send(state.plain);
      },
    );

    /** The kept pages that a link was made to open, as far as they are there still. */
    app.get(
      '/guest/:address/kept-pages',
      { schema: { hide: true, params: ofGuest, response: { 200: keptList, ...failures } } },
      async (request, reply) => {
        const link = await linkFor(request, request.params.address);
        const all = link.kept.length === 0 ? [] : await keptPages.list(link.systemId);
        return quiet(reply).send({ pages: all.filter(({ id }) => link.kept.includes(id)) });
      },
    );

    app.get(
      '/guest/:address/kept-pages/:page',
      {
        schema: {
          hide: true,
          params: ofGuest.extend({ page: z.uuid() }),
          response: { 200: keptPage, ...failures },
        },
      },
      async (request, reply) => {
        const link = await linkFor(request, request.params.address);
        if (!link.kept.includes(request.params.page)) throw unknownPage();
        return quiet(reply).send(await keptPages.one(link.systemId, request.params.page));
      },
    );

    app.get(
      '/guest/:address/changes',
      {
        schema: {
          hide: true,
          params: ofGuest,
          querystring: z.object({
            since: z.coerce
              .number()
              .int()
              .min(0)
              .max(2 ** 31 - 1),
          }),
          response: { 200: z.any(), ...failures },
        },
      },
      async (request, reply) => {
        const link = await linkFor(request, request.params.address);
        const now = await stateOf(link);
        const { since } = request.query;
        const then =
          link.release === undefined && since < now.sequence
            ? await store.at(link.systemId, since, MOST_BACK)
            : undefined;
        return quiet(reply).send(
          then && pagesFor(then.document, link.pages).length > 0
            ? {
                isKnown: true,
                difference: differenceOf(
                  openedPages(then.document, link.pages),
                  openedPages(now.document, link.pages),
                ),
              }
            : { isKnown: since === now.sequence },
        );
      },
    );

    app.post(
      '/guest/:address/enter',
      {
        schema: {
          hide: true,
          params: ofGuest,
          body: z.strictObject({ passphrase: z.string().max(LONGEST_PASSPHRASE) }),
          response: { 204: z.null(), ...failures },
        },
      },
      async (request, reply) => {
        const link = await links.open(request.params.address);
        if (!link) throw await miss(request, nowhere());
        if (!(await links.admits(link.address, request.body.passphrase)))
          throw await miss(
            request,
            new Problem(
              'passphrase-needed',
              'These are not the words. Upper and lower case count.',
            ),
          );
        reply.setCookie(cookieOf(link), link.id, {
          signed: true,
          httpOnly: true,
          sameSite: 'strict',
          path: `/guest/${link.address}`,
        });
        return quiet(reply).status(204).send(null);
      },
    );

    /** Who a guest is: given by us, in a cookie that no script reads, and nothing but a number. */
    const GUEST = 'garnish-guest';
    const guestOf = (request: FastifyRequest): string | undefined => {
      const raw = request.cookies[GUEST];
      const read = raw === undefined ? undefined : request.unsignCookie(raw);
      return read?.valid && z.uuid().safeParse(read.value).success ? read.value : undefined;
    };
    const writing = app.createRateLimit({ max: MOST_WRITTEN, timeWindow: MINUTE_MS });
    /** The link of a guest who may write there now. */
    const writingLink = async (request: FastifyRequest, address: string): Promise<Link> => {
      const link = await linkFor(request, address);
      if (!link.mayWrite)
        throw new Problem('note-refused', 'This link is for reading. Nothing was changed.');
      const written = await writing(request);
      if (!written.isAllowed && written.isExceeded)
        throw new Problem('too-many-tries', 'Nothing was changed. Wait a minute, and try again.');
      return link;
    };
    const done = { 204: z.null(), ...failures };
    const ofNote = ofGuest.extend({ note: z.uuid() });
    /** A note of a page that a link opens; no other is there for its guests. */
    const noteOf = async (link: Link, id: string): Promise<void> => {
      const { page, kind } = await notes.one(link.systemId, id);
      const { document } = await stateOf(link);
      const isTheirs = (kind === ASKED) === link.forClient;
      if (!isTheirs || !pagesFor(document, link.pages).includes(page))
        throw new Problem('unknown-note', 'It may have been deleted.');
    };

    app.get(
      '/guest/:address/notes',
      {
        schema: {
          hide: true,
          params: ofGuest,
          response: { 200: z.object({ notes: z.array(noteSchema) }), ...failures },
        },
      },
      async (request, reply) => {
        const link = await linkFor(request, request.params.address);
        const { document } = await stateOf(link);
        const { order } = openedPages(document, link.pages).content.pages;
        const reader = guestOf(request);
        const found = await notes.list(link.systemId);
        return quiet(reply).send({
          notes: found
            .filter(({ page }) => order.includes(page))
            // A client sees what a client is asked, and nobody else does.
            .filter(({ kind }) => (kind === ASKED) === link.forClient)
            .map((note) => toldNote(note, reader)),
        });
      },
    );

    app.post(
      '/guest/:address/notes',
      {
        schema: {
          hide: true,
          params: ofGuest,
          body: z.strictObject({ writer, note: newNote }),
          response: done,
        },
      },
      async (request, reply) => {
        const link = await writingLink(request, request.params.address);
        const { note, writer: name } = request.body;
        if ('answers' in note) await noteOf(link, note.answers);
        else {
          if (link.forClient || note.kind === ASKED)
            throw new Problem(
              'note-refused',
              'A client answers what is asked, and asks nothing of others. Nothing was changed.',
            );
          const { document } = await stateOf(link);
          if (!pagesFor(document, link.pages).includes(note.page))
            throw new Problem(
              'note-refused',
              'That page is not there any more. Nothing was changed.',
            );
        }
        const known = guestOf(request);
        const author = known ?? randomUUID();
        await notes.add(link.systemId, { ...note, writer: name, author });
        if (known === undefined)
          reply.setCookie(GUEST, author, {
            signed: true,
            httpOnly: true,
            sameSite: 'strict',
            path: '/guest/',
            maxAge: A_YEAR,
          });
        return quiet(reply).status(204).send(null);
      },
    );

    app.put(
      '/guest/:address/notes/:note',
      { schema: { hide: true, params: ofNote, body: noteEdit, response: done } },
      async (request, reply) => {
        const { params, body } = request;
        const link = await writingLink(request, params.address);
        await noteOf(link, params.note);
        const by = { author: guestOf(request) ?? '', isOwner: false };
        if ('words' in body) await notes.edit(link.systemId, params.note, body.words, by);
        else await notes.resolve(link.systemId, params.note, body.isResolved, by);
        return quiet(reply).status(204).send(null);
      },
    );

    app.delete(
      '/guest/:address/notes/:note',
      { schema: { hide: true, params: ofNote, response: done } },
      async (request, reply) => {
        const link = await writingLink(request, request.params.address);
        await noteOf(link, request.params.note);
        const author = guestOf(request);
        if (author === undefined)
          throw new Problem('note-refused', 'These are the words of somebody else.');
        await notes.remove(link.systemId, request.params.note, { author, isOwner: false });
        return quiet(reply).status(204).send(null);
      },
    );

    for (const { file, type, write } of downloads)
      app.get(
        `/guest/:address/files/${file}`,
        { schema: { hide: true, params: ofGuest, response: { 200: z.any(), ...failures } } },
        async (request, reply) => {
          const link = await linkFor(request, request.params.address);
          if (link.forClient)
            throw new Problem('not-found', 'This link opens pages, and no files.');
          quiet(reply).type(type);
          const named = (name: string): FastifyReply =>
            reply.header('content-disposition', `attachment; filename="${fileName(name, file)}"`);
          if (link.release !== undefined && link.pages === undefined) {
            const { bytes } = await releases.file(link.systemId, link.release, file);
            return named(link.release).send(bytes);
          }
          // Of a link to some pages nothing of the others goes along: neither pictures nor words.
          if (link.pages !== undefined) {
            const document = openedPages((await stateOf(link)).document, link.pages);
            return named(document.name).send(Buffer.from(await write(document, {})));
          }
          const { document, known: found } = await store.openKnown(link.systemId);
          return named(document.name).send(Buffer.from(await write(document, found)));
        },
      );

    /** How many guests' windows are open of each system. */
    const windows = new Map<string, number>();
    app.get(
      '/guest/:address/events',
      { schema: { hide: true, params: ofGuest } },
      async (request, reply) => {
        const link = await linkFor(request, request.params.address);
        const { systemId } = link;
        const sequence = await store.sequence(systemId);
        let look: (newest: number) => Promise<void> = () => Promise.resolve();
        streamEvents(
          request,
          reply,
          ({ tell, end }) => {
            const gone = (): void => {
              tell({}, 'gone');
              end();
            };
            look = async (newest) => {
              const there = await opened(link.address).catch(() => link);
              if (!there) gone();
              else
                tell(
                  {
                    sequence: newest,
                    // Of many windows not all ask at once: an edit does not wait behind them.
                    spreadMs: Math.min(
                      LONGEST_SPREAD_MS,
                      (windows.get(systemId) ?? 0) * SPREAD_EACH_MS,
                    ),
                  },
                  'changed',
                );
            };
            tell({ sequence }, 'changed');
            windows.set(systemId, (windows.get(systemId) ?? 0) + 1);
            // Behind whoever else hears of it: what was known is forgotten by then.
            const stop = feed.listen(systemId, (newest) => {
              setImmediate(() => void look(newest));
            });
            // A day that comes while the window is open.
            const left = link.until ? link.until.getTime() - Date.now() : Infinity;
            const timer = left < LONGEST_TIMER_MS ? setTimeout(gone, Math.max(0, left)) : undefined;
            return () => {
              stop();
              clearTimeout(timer);
              const open = (windows.get(systemId) ?? 1) - 1;
              if (open === 0) windows.delete(systemId);
              else windows.set(systemId, open);
            };
          },
          // What was taken back without our hearing of it.
          () => {
            void opened(link.address)
              .then((there) => (there ? undefined : look(-1)))
              .catch(() => undefined);
          },
        );
      },
    );
  };
