import compression from 'compression';
import express, {
  type ErrorRequestHandler,
  type Express,
  type Request,
  type RequestHandler,
} from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { z } from 'zod';
import { allowedHosts } from './allowedHosts.ts';
import { backupEndpoints, mountBackupDownload } from './backups/endpoints.ts';
import { mountArchive } from './archive/routes.ts';
import { batchEndpoints } from './batches/endpoints.ts';
import { createBatchService } from './batches/service.ts';
import { calendarEndpoints, mountCalendars } from './calendar/routes.ts';
import type { Changes } from './changes/changes.ts';
import type { Clock } from './clock.ts';
import type { Database } from './database/database.ts';
import { dayEndpoints } from './day/endpoints.ts';
import { createDayService } from './day/service.ts';
import { draftEndpoints } from './drafts/endpoints.ts';
import { createDraftService } from './drafts/service.ts';
import { drinkEndpoints } from './drinks/endpoints.ts';
import { createDrinkService } from './drinks/service.ts';
import { endpoint, mountEndpoints, type Endpoint } from './endpoint.ts';
import { healthEndpoint } from './health.ts';
import { keepDocuments } from './keepDocuments.ts';
import { instrumentEndpoints } from './instruments/endpoints.ts';
import { createInstrumentHub, type InstrumentHub } from './instruments/hub.ts';
import { jugEndpoints } from './jugs/endpoints.ts';
import { createJugService } from './jugs/service.ts';
import { logEndpoints } from './log/endpoints.ts';
import { mountTakeIn } from './log/takeIn.ts';
import { createLogService } from './log/service.ts';
import { openapiDocument } from './openapi/openapiDocument.ts';
import { peopleEndpoints } from './people/endpoints.ts';
import type { Right } from './people/rights.ts';
import { createPeopleService } from './people/service.ts';
import { callerFor, originOf } from './people/identity.ts';
import { pantryEndpoints } from './pantry/endpoints.ts';
import { createPantryService } from './pantry/service.ts';
import { mountPhotos } from './photos/routes.ts';
import { ProblemError, problemDocument, PROBLEMS, toProblem } from './problem.ts';
import { servePages } from './servePages.ts';
import { sampleEndpoints } from './samples/endpoints.ts';
import { predictEndpoints } from './predict/endpoints.ts';
import { shelfEndpoints } from './shelf/endpoints.ts';
import { shopEndpoints } from './shop/endpoints.ts';
import { createShopService } from './shop/service.ts';
import { startEndpoint } from './start.ts';

interface Needs {
  readonly db: Database;
  /** The shop that is served. */
  readonly shopId: string;
  readonly clock: Clock;
  readonly changes: Changes;
  readonly log: Logger;
  /** Drivers of the instruments, if the caller closes them; the application's own where left out. */
  readonly instruments?: InstrumentHub;
  /** What the shop calls the machine, besides its own names and addresses. */
  readonly names?: readonly string[];
  /** Folder of the built pages; without it only the API answers. */
  readonly webDir?: string;
  /** Opens the database again, with a restored file where one waits. */
  readonly restart?: () => void;
  /** Where the server listens, for the links that tablets open. */
  readonly port?: () => number;
  readonly scheme?: 'http' | 'https';
  /** Certificate of the shop's own authority, for tablets to trust; null for none. */
  readonly authority?: string | null;
}

/** Builds the application; the caller listens. */
export function createApp(needs: Needs): Express {
  const { db, shopId, clock, changes, log, names = [], webDir } = needs;
  const { instruments = createInstrumentHub({ db, shopId, clock, changes, log }) } = needs;
  const { restart = () => undefined, port = () => 0, scheme = 'http', authority = null } = needs;
  const isSecure = scheme === 'https';
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      // On plain HTTP browsers log an error about these on every page. Strict-Transport-Security is not sent with
      // the certificate of the shop's own authority, which it may give up again.
      strictTransportSecurity: isSecure && authority === null,
      crossOriginOpenerPolicy: isSecure,
      originAgentCluster: isSecure,
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
          imgSrc: ["'self'", 'data:'],
          objectSrc: ["'none'"],
        },
      },
    }),
    pinoHttp({
      logger: log,
      autoLogging: { ignore: (request) => !request.url?.startsWith('/api') },
    }),
    compression(),
    allowedHosts(names),
  );

  const people = createPeopleService({ db, shopId, port, scheme });
  const pantry = createPantryService({ db, changes });
  const batches = createBatchService({ db, clock, changes });
  const endpoints: Endpoint[] = [
    healthEndpoint(db),
    ...predictEndpoints(pantry),
    ...pantryEndpoints(pantry),
    ...drinkEndpoints(createDrinkService({ db, clock, changes, pantry })),
    ...shopEndpoints(createShopService({ db, clock, changes }), clock),
    ...shelfEndpoints({
      coffees: keepDocuments({
        documents: db.coffees,
        changes,
        noun: 'shelf',
        prices: ['pricePerKg'],
      }),
      vessels: keepDocuments({ documents: db.vessels, changes, noun: 'shelf' }),
    }),
    ...sampleEndpoints(keepDocuments({ documents: db.sampleSets, changes, noun: 'samples' })),
    ...draftEndpoints(createDraftService({ db, clock, changes })),
    ...batchEndpoints(batches),
    ...logEndpoints(
      createLogService({ db, clock, changes, batches }),
      keepDocuments({ documents: db.blindTests, changes, noun: 'tastings' }),
    ),
    ...calendarEndpoints({ db, shopId, clock, scheme, port }),
    ...dayEndpoints(createDayService({ db, clock, changes })),
    ...jugEndpoints(createJugService({ db, clock, changes })),
    ...instrumentEndpoints({
      documents: keepDocuments({ documents: db.instruments, changes, noun: 'instruments' }),
      hub: instruments,
      db,
      nowMs: () => clock.now().getTime(),
    }),
    ...backupEndpoints({ db, restart }),
    ...peopleEndpoints(people),
  ];
  endpoints.push(
    startEndpoint({ endpoints: [...endpoints], changes, people, shopId }),
    endpoint({
      method: 'get',
      path: '/api/openapi.json',
      summary: 'This description',
      answer: z.looseObject({ openapi: z.string() }),
      handle: () => description,
    }),
  );
  const description = openapiDocument(endpoints);

  const signedIn = (request: Request, right: Right) =>
    callerFor({ people, shopId, origin: originOf(request), right });
  app.get('/api/changes', async (request, response) =>
    changes.stream(await signedIn(request, 'pours'), request, response),
  );
  mountCalendars(app, {
    db,
    shopId,
    clock,
    scheme,
    port,
    callerOf: (request) => signedIn(request, 'pours'),
  });
  mountPhotos(app, { db, clock, changes, callerOf: signedIn });
  mountTakeIn(app, {
    db,
    changes,
    callerOf: (request) => signedIn(request, 'leads'),
  });
  mountBackupDownload(app, { db, callerOf: (request) => signedIn(request, 'leads') });
  if (authority !== null)
    app.get('/trust/ratio.crt', (_, response) => {
      response.attachment('ratio.crt').type('application/x-x509-ca-cert').send(authority);
    });
  mountArchive(app, {
    db,
    changes,
    taken: () => instruments.refresh(),
    callerOf: (request) => signedIn(request, 'leads'),
  });
  app.use(['/api/session', '/api/session/pair'], slowed());
  mountEndpoints(app, endpoints, { people, shopId, remembered: db.remembered });
  app.use('/api', (request) => {
    throw new ProblemError('not_found', `There is nothing at ${request.originalUrl}.`);
  });
  if (webDir !== undefined) servePages(app, webDir);
  app.use(answerProblem);
  return app;
}

/** Tries to sign in, from one address: more than a bar needs, and far fewer than a PIN has. */
const slowed = (): RequestHandler =>
  rateLimit({
    windowMs: 60_000,
    limit: 60,
    skip: ({ method }) => method === 'GET',
    handler: () => {
      throw new ProblemError('too_many', 'Too many tries from here. Wait a minute.');
    },
  });

// Four parameters make it an error handler.
const answerProblem: ErrorRequestHandler = (error, request, response, _next) => {
  const problem = toProblem(error);
  if (problem.code === 'internal') request.log.error({ err: error }, 'unforeseen failure');
  response
    .status(PROBLEMS[problem.code].status)
    .type('application/problem+json')
    .send(JSON.stringify(problemDocument(problem)));
};
