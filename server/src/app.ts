import path from 'node:path';
import { constants } from 'node:zlib';
import multipart from '@fastify/multipart';
import compress from '@fastify/compress';
import helmet from '@fastify/helmet';
import fastifyStatic from '@fastify/static';
import swagger from '@fastify/swagger';
import Fastify, { type FastifyInstance } from 'fastify';
import {
  jsonSchemaTransform,
  serializerCompiler,
  validatorCompiler,
  type ZodTypeProvider,
} from 'fastify-type-provider-zod';
import { connect } from './db/models.ts';
import { alone, migrate } from './db/migrations.ts';
import { loadDemo } from './demo/demo.ts';
import { downloadsFrom } from './exports/downloads.ts';
import { exportRoutes } from './exports/routes.ts';
import { fontSource } from './fonts/delivered.ts';
import { createOwnFonts } from './fonts/own-fonts.ts';
import { fontRoutes } from './fonts/routes.ts';
import { createLinks } from './guests/links.ts';
import { guestRoutes } from './guests/routes.ts';
import { iconRoutes } from './icons/routes.ts';
import { keeperRoutes } from './keepers/routes.ts';
import { createPictures } from './pictures/pictures.ts';
import { pictureRoutes } from './pictures/routes.ts';
import { createSettings } from './db/settings.ts';
import { guard } from './guard.ts';
import { keptPageRoutes } from './kept-pages/routes.ts';
import { createKeptPages } from './kept-pages/store.ts';
import { noteRoutes } from './notes/routes.ts';
import { createNotes } from './notes/store.ts';
import { registerPersons } from './person.ts';
import { answerError, answerUnknownAddress } from './problems.ts';
import { releaseRoutes } from './releases/routes.ts';
import { createReleases } from './releases/store.ts';
import { storageRoutes } from './storage/routes.ts';
import { createStorage } from './storage/storage.ts';
import { createChangeFeed } from './systems/listen.ts';
import { keepDelivering } from './messages/delivering.ts';
import { messageRoutes } from './messages/routes.ts';
import { createMessages } from './messages/store.ts';
import { systemRoutes } from './systems/routes.ts';
import { createStore } from './systems/store.ts';

export interface ServerOptions {
  readonly databaseUrl: string;
  /** The folder of the built application; left out where another server shows it. */
  readonly webFolder?: string;
  /** Whether an empty database gets the demo systems, and what was handed over of them: releases take a while. */
  readonly demo?: boolean | 'handed over';
  /** Names beside those of loopback under which the server is asked. */
  readonly hosts?: readonly string[];
  /** Where guests reach this machine, as they would type it; none where they are not listened for. */
  readonly guestAddresses?: () => readonly string[];
}

const BODY_LIMIT = 4 * 1024 * 1024;
/** The largest file that people bring, and how many at once. */
const MOST_BYTES = 8 * 1024 * 1024;
const MOST_FILES = 20;

/** Nothing from elsewhere, no inline script, no inline style. */
const POLICY = {
  defaultSrc: ["'none'"],
  scriptSrc: ["'self'"],
  styleSrc: ["'self'"],
  fontSrc: ["'self'"],
  imgSrc: ["'self'", 'data:'],
  connectSrc: ["'self'"],
  frameSrc: ["'self'"],
  workerSrc: ["'self'"],
  baseUri: ["'none'"],
  formAction: ["'none'"],
  frameAncestors: ["'none'"],
};

/** Answers are compressed while somebody waits: a middling effort gives nearly all that there is to save. */
const BROTLI = { params: { [constants.BROTLI_PARAM_QUALITY]: 5 } };

/** The proof's page runs no script at all, whatever its words are. */
const PROOF_POLICY =
  "default-src 'none'; script-src 'none'; style-src 'self' 'unsafe-inline'; font-src 'self'; " +
  "img-src 'self' data: blob:; base-uri 'none'; form-action 'none'; frame-ancestors 'self'";

/**
 * A page of somebody else’s is shown in this: it asks for nothing, whatever it says, and nothing in it acts. In the box
 * scripts are allowed only so that whoever shows it can listen to it; none is by `script-src`.
 */
const readingPolicy = (fonts: string): string =>
  `default-src 'none'; script-src 'none'; style-src 'unsafe-inline'; font-src ${fonts}; img-src data:; ` +
  "base-uri 'none'; form-action 'none'; frame-ancestors 'self'; sandbox allow-same-origin allow-scripts";
const READING_POLICY = readingPolicy('data:');
/** One that wears a system has its faces, which stand beside it; it asks for nothing else. */
const WORN_POLICY = readingPolicy("data: 'self'");

const PROOF_PAGE =
  '<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Proof</title>' +
  '<meta name="viewport" content="width=device-width"></head><body></body></html>';

/** The whole server, ready to listen: tables up to date, demo loaded where asked for. */
export async function createServer(options: ServerOptions): Promise<FastifyInstance> {
  const { databaseUrl, webFolder, demo = false, hosts = [] } = options;
  const database = connect(databaseUrl);
  await migrate(database.sequelize);
  const store = createStore(database);
  const storage = createStorage(database);
  const pictures = createPictures(database.Pictures, storage);
  const own = createOwnFonts(database, storage);
  const downloads = downloadsFrom(fontSource(own), pictures);
  const releases = createReleases(database, store, downloads);
  const links = createLinks(database, store);
  const notes = createNotes(database, store);
  const keptPages = createKeptPages(database, store, storage);
  const messages = createMessages(database, store);
  if (demo !== false)
    await alone(database.sequelize, async () => {
      if (!(await store.isEmpty())) return;
      await loadDemo(
        store,
        pictures,
        demo === 'handed over' ? { releases, links, notes, messages } : undefined,
      );
    });

  const app = Fastify({
    logger: { level: 'warn' },
    bodyLimit: BODY_LIMIT,
    forceCloseConnections: true,
    // An address that cannot even be read is answered as everything else that fails.
    frameworkErrors: (error, request, reply) => {
      answerError(error, request, reply);
    },
  }).withTypeProvider<ZodTypeProvider>();
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  app.setErrorHandler(answerError);
  app.removeContentTypeParser('text/plain');
  guard(app, hosts);
  await registerPersons(app, createSettings(database.sequelize));

  const feed = createChangeFeed(databaseUrl, (error) => {
    app.log.warn(error);
  });
  await feed.start();
  const post = keepDelivering(messages, (error) => {
    app.log.warn(error);
  });
  app.addHook('onClose', async () => {
    await post.stop();
    await feed.close();
    await database.sequelize.close();
  });

  await app.register(helmet, {
    contentSecurityPolicy: { useDefaults: false, directives: POLICY },
    strictTransportSecurity: false,
  });
  // Event streams are written past this, and stay uncompressed: they are to arrive at once.
  await app.register(compress, {
    encodings: ['br', 'gzip'],
    threshold: 1024,
    brotliOptions: BROTLI,
  });
  await app.register(multipart, {
    throwFileSizeLimit: false,
    limits: { fileSize: MOST_BYTES, files: MOST_FILES, fields: 4, fieldSize: 4000 },
  });
  await app.register(swagger, {
    openapi: {
      info: { title: 'Garnish', version: '1', description: 'Style systems and their changes.' },
    },
    transform: jsonSchemaTransform,
  });
  await app.register(systemRoutes(store, feed));
  await app.register(keeperRoutes(database.Keepers));
  app.addHook('onClose', () => own.close());
  await app.register(fontRoutes(own));
  await app.register(pictureRoutes(pictures));
  await app.register(iconRoutes);
  await app.register(storageRoutes(database, storage));
  await app.register(exportRoutes(store, downloads));
  await app.register(releaseRoutes(releases));
  await app.register(noteRoutes(notes));
  await app.register(keptPageRoutes(keptPages));
  await app.register(messageRoutes(messages));
  await app.register(
    guestRoutes({
      ...{ links, store, releases, feed, downloads, notes, keptPages },
      guestAddresses: options.guestAddresses ?? (() => []),
    }),
  );
  app.get('/api/docs/json', { schema: { hide: true } }, () => app.swagger());
  app.get('/proof/', { schema: { hide: true } }, async (_, reply) =>
    reply
      .header('content-security-policy', PROOF_POLICY)
      .header('x-frame-options', 'SAMEORIGIN')
      .type('text/html; charset=utf-8')
      .send(PROOF_PAGE),
  );

  app.get('/reading/', { schema: { hide: true } }, async (_, reply) =>
    reply
      .header('content-security-policy', READING_POLICY)
      .header('x-frame-options', 'SAMEORIGIN')
      .type('text/html; charset=utf-8')
      .send(PROOF_PAGE.replace('<title>Proof', '<title>Page')),
  );

  app.get('/proof/worn', { schema: { hide: true } }, async (_, reply) =>
    reply
      .header('content-security-policy', WORN_POLICY)
      .header('x-frame-options', 'SAMEORIGIN')
      .type('text/html; charset=utf-8')
      .send(PROOF_PAGE),
  );

  if (webFolder === undefined) {
    app.setNotFoundHandler(answerUnknownAddress);
  } else {
    await app.register(fastifyStatic, {
      root: webFolder,
      index: false,
      wildcard: false,
      preCompressed: true,
      // Its own header would come after ours.
      cacheControl: false,
      setHeaders: (response, file) => {
        const isHashed = path.basename(path.dirname(file)) === 'assets';
        response.setHeader(
          'cache-control',
          isHashed ? 'public, max-age=31536000, immutable' : 'no-cache',
        );
      },
    });
    app.setNotFoundHandler((request, reply) => {
      const isPage = request.method === 'GET' && !/^\/(api|guest|proof|assets)\//.test(request.url);
      // Where a guest came from is told to nobody.
      if (request.url.startsWith('/g/'))
        reply.header('referrer-policy', 'no-referrer').header('x-robots-tag', 'noindex, nofollow');
      return isPage
        ? reply.header('cache-control', 'no-cache').sendFile('index.html')
        : answerUnknownAddress(request, reply);
    });
  }
  await app.ready();
  return app;
}
