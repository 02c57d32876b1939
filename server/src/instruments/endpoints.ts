import {
  instrumentActRequest,
  instrumentSchema,
  instrumentStateSchema,
  type Instrument,
} from '@ratio/core/instruments';
import { z } from 'zod';
import { documentEndpoints, endpoint, idOf, type Endpoint } from '../endpoint.ts';
import type { Database } from '../database/database.ts';
import type { KeptDocuments } from '../keepDocuments.ts';
import type { InstrumentHub } from './hub.ts';

const A_DAY_MS = 24 * 3_600_000;
const linesRequest = z.strictObject({ lines: z.array(z.string().max(200)).min(1).max(200) });
const historySchema = z.array(
  z.object({
    instrumentId: z.string(),
    samples: z.array(z.object({ atMs: z.number(), tempC: z.number() })),
  }),
);

/** Instruments: their documents, their readings, and their actions. */
export const instrumentEndpoints = (input: {
  documents: KeptDocuments<Instrument>;
  hub: InstrumentHub;
  db: Database;
  nowMs: () => number;
}): readonly Endpoint[] => {
  const { hub, db, nowMs } = input;
  const documents: KeptDocuments<Instrument> = {
    ...input.documents,
    save: async (caller, save) => {
      const saved = await input.documents.save(caller, save);
      await hub.refresh();
      return saved;
    },
    remove: async (caller, remove) => {
      await input.documents.remove(caller, remove);
      await hub.refresh();
    },
  };
  return [
    ...documentEndpoints({
      path: '/api/instruments',
      schema: instrumentSchema,
      list: 'Scales, refractometers and probes of the shop',
      save: 'Change an instrument, or add one; needs If-Match, 0 for a new one',
      remove: 'Take an instrument away; needs If-Match',
      documents,
    }),
    endpoint({
      method: 'get',
      path: '/api/instruments/states',
      summary: 'What every instrument says now; live on /api/changes?with=instruments',
      answer: z.array(instrumentStateSchema),
      handle: () => hub.states(),
    }),
    endpoint({
      method: 'get',
      path: '/api/instruments/history',
      summary: 'What every probe said in the last day, minute by minute',
      answer: historySchema,
      handle: async ({ caller: { shopId } }) => {
        const all = await db.instruments.list(shopId);
        const range = {
          from: new Date(nowMs() - A_DAY_MS).toISOString(),
          to: new Date(nowMs()).toISOString(),
        };
        return Promise.all(
          all
            .filter(({ kind }) => kind === 'probe')
            .map(async ({ id }) => ({
              instrumentId: id,
              samples: (await db.probeSamples.between(shopId, { of: id, ...range })).map(
                ({ at, tempC }) => ({ atMs: Date.parse(at), tempC }),
              ),
            })),
        );
      },
    }),
    endpoint({
      method: 'post',
      path: '/api/instruments/{id}/acts',
      summary: 'Tare a scale; have a stand-in attend a batch, or try it',
      body: instrumentActRequest,
      answer: instrumentStateSchema,
      handle: ({ body, params }) => hub.act(idOf(params), body),
    }),
    endpoint({
      method: 'post',
      path: '/api/instruments/{id}/lines',
      summary: 'What was read from an instrument at a tablet’s serial port, as lines',
      body: linesRequest,
      answer: instrumentStateSchema,
      handle: ({ body, params }) => hub.push(idOf(params), body.lines),
    }),
  ];
};
