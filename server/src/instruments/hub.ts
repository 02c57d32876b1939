import { countedObservations } from '@ratio/core/batch';
import { CONSTANTS } from '@ratio/core/constants';
import {
  calibrated,
  createSteadiness,
  foundAt,
  readLine,
  type Instrument,
  type InstrumentActRequest,
  type InstrumentState,
  type Line,
  type Sample,
} from '@ratio/core/instruments';
import { progressOf, stepsOf } from '@ratio/core/steps';
import { isDeepStrictEqual } from 'node:util';
import type { Logger } from 'pino';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { answered } from '../database/rows.ts';
import { ProblemError } from '../problem.ts';
import type { Driver, DriverState, Hearing } from './driver.ts';
import { simulatedDriver, type Surroundings } from './simulatedDriver.ts';
import { tcpDriver } from './tcpDriver.ts';

/** The instruments of a shop, each with its driver. */
export interface InstrumentHub {
  /** Applies changes of the instruments' documents. */
  readonly refresh: () => Promise<void>;
  readonly states: () => InstrumentState[];
  /** @throws {ProblemError} not_found, or not_possible_now where it cannot do that */
  readonly act: (id: string, request: InstrumentActRequest) => InstrumentState;
  /** What a page reads from an instrument at its own serial port. */
  readonly push: (id: string, lines: readonly string[]) => InstrumentState;
  readonly close: () => void;
}

interface Running {
  /** As it was changed last. */
  instrument: Instrument;
  readonly driver: Driver | null;
  readonly isSteady: ReturnType<typeof createSteadiness>;
  state: DriverState;
  detail: string;
  malformed: number;
  sample: Sample | null;
  heardMs: number;
  sentMs: number;
  /** Of a probe: the current minute. */
  minute: { readonly at: number; sum: number; count: number } | null;
  /** The last degrees Brix, newest last. */
  recent: number[];
}

const SEND_EVERY_MS = 95;
const SILENT_MS = 15_000;
const LOOK_EVERY_MS = 5000;
const MINUTE_MS = 60_000;
const STEADY_G = 1;
const STEADY_BRIX = 0.08;
/** A drop this far from 20 °C is not read yet. */
const SAMPLE_WITHIN_C = 5;

/** Whether what drives one drives the other. */
const isDrivenAlike = (one: Instrument, other: Instrument): boolean =>
  one.kind === other.kind && isDeepStrictEqual(one.driver, other.driver);

/** @returns the hub, not yet speaking; `refresh` begins */
export function createInstrumentHub(needs: {
  db: Database;
  shopId: string;
  clock: Clock;
  changes: Changes;
  log: Logger;
}): InstrumentHub {
  const { db, shopId, clock, changes, log } = needs;
  const running = new Map<string, Running>();

  const stateOf = (one: Running): InstrumentState => ({
    instrumentId: one.instrument.id,
    state:
      one.state === 'speaks' && performance.now() - one.heardMs > SILENT_MS ? 'silent' : one.state,
    detail: one.detail,
    malformed: one.malformed,
    sample: one.sample,
  });
  const send = (one: Running): void => changes.sendInstrument(shopId, stateOf(one));

  function hear(one: Running, line: Line): void {
    if (line.says === 'hello') return;
    if (line.says === 'malformed') {
      one.malformed = Math.min(one.malformed + 1, 1e9);
      one.detail = 'It said something that nobody understands.';
      return;
    }
    one.heardMs = performance.now();
    one.state = 'speaks';
    one.sample = sampleOf(one, line);
    if (one.instrument.kind === 'probe' && line.says === 'temp') remember(one, one.sample);
    if (one.heardMs - one.sentMs < SEND_EVERY_MS) return;
    one.sentMs = one.heardMs;
    send(one);
  }

  function sampleOf(one: Running, line: Exclude<Line, { says: 'hello' | 'malformed' }>): Sample {
    const none = { massG: null, tempC: null, brix: null, sampleC: null, isSteady: true };
    const at = { instrumentId: one.instrument.id, atMs: clock.now().getTime() };
    const sample = ((): Sample => {
      if (line.says === 'temp') return { ...none, ...at, tempC: line.tempC };
      if (line.says === 'mass') {
        const stands = one.isSteady({ atMs: performance.now(), massG: line.massG });
        return { ...none, ...at, massG: line.massG, isSteady: line.isSteady ?? stands };
      }
      one.recent = [...one.recent, line.brix].slice(-3);
      const spread = Math.max(...one.recent) - Math.min(...one.recent);
      const isWarm = line.sampleC !== null && Math.abs(line.sampleC - 20) > SAMPLE_WITHIN_C;
      const isSteady = one.recent.length === 3 && spread <= STEADY_BRIX && !isWarm;
      return { ...none, ...at, brix: line.brix, sampleC: line.sampleC, isSteady };
    })();
    return calibrated(sample, one.instrument);
  }

  /** A minute of a probe is one row: its mean. */
  function remember(one: Running, { atMs, tempC }: Sample): void {
    const at = Math.floor(atMs / MINUTE_MS) * MINUTE_MS;
    const before = one.minute;
    if (before && before.at !== at) void write(one.instrument, before).catch(failed);
    if (!before || before.at !== at) one.minute = { at, sum: 0, count: 0 };
    one.minute!.sum += tempC!;
    one.minute!.count += 1;
  }
  async function write(
    { id }: Instrument,
    { at, sum, count }: NonNullable<Running['minute']>,
  ): Promise<void> {
    const row = {
      id: `${id.slice(0, 40)}-${at / MINUTE_MS}`,
      at: new Date(at).toISOString(),
      instrumentId: id,
      tempC: Math.round((100 * sum) / count) / 100,
    };
    await db.write(async (transaction) => {
      // After a clock that was put back a minute comes again.
      if (await db.probeSamples.find(shopId, row.id, transaction)) return;
      await db.probeSamples.add({ shopId, author: 'instrument' }, row, transaction);
    });
  }
  const failed = (error: unknown): void =>
    log.error({ err: error }, 'what a probe said could not be written');

  function start(instrument: Instrument): Running {
    const one: Running = {
      instrument,
      driver: null,
      isSteady: createSteadiness({ withinG: STEADY_G }),
      state: 'connecting',
      detail: instrument.driver.by === 'serial' ? 'Plug it into a tablet, and open it there.' : '',
      malformed: 0,
      sample: null,
      heardMs: 0,
      sentMs: 0,
      minute: null,
      recent: [],
    };
    const hearing: Hearing = {
      line: (line) => hear(one, line),
      state: (state, detail) => {
        one.state = state;
        one.detail = detail;
        if (state === 'speaks') one.heardMs = performance.now();
        send(one);
      },
    };
    const { driver } = instrument;
    const driven =
      driver.by === 'tcp'
        ? tcpDriver(driver, hearing)
        : driver.by === 'simulated'
          ? simulatedDriver(instrument, surroundings(one, driver.seed), hearing)
          : null;
    return Object.assign(one, { driver: driven });
  }

  /** What is around a stand-in: the shop, and the batch that it attends. */
  function surroundings(input: Running, seed: number): Surroundings {
    const found = async (batchId: string) => {
      const [batch, rows, shop] = await Promise.all([
        db.batches.find(shopId, batchId),
        db.observations.about(shopId, batchId),
        db.shops.get(shopId, shopId),
      ]);
      if (!batch || batch.status === 'abandoned') return null;
      const observations = rows.map(answered);
      const nowMs = clock.now().getTime();
      const steps = stepsOf({ plan: batch.plan, shopSteps: shop.steps ?? [] });
      const step = progressOf({ batch, steps, observations, nowMs }).now?.step ?? null;
      // A step that is taken back is done anew.
      const times = countedObservations(observations).length;
      return {
        ...foundAt({ batch, observations, step, nowMs, seed }),
        stepKey: `${step?.key ?? 'none'} ${times}`,
      };
    };
    let roomC = 22;
    let factor: number = CONSTANTS.brixToStrength.value;
    const look = async () => {
      const shop = await db.shops.get(shopId, shopId);
      roomC = shop.roomC;
      factor = shop.brixToStrength ?? CONSTANTS.brixToStrength.value;
      return shop;
    };
    void look().catch(() => undefined);
    return {
      at: found,
      roomC: () => roomC,
      brixOf: (strengthFrac) => (100 * strengthFrac) / factor,
      isWatched: () => changes.isWatching(shopId),
      placeC: async () => {
        const shop = await look();
        const { batchId, place } = input.instrument;
        const at = batchId === null ? null : await found(batchId);
        return at?.tempC ?? (place === 'fridge' ? shop.fridgeC : shop.roomC);
      },
    };
  }

  const get = (id: string): Running => {
    const one = running.get(id);
    if (one) return one;
    throw new ProblemError('not_found', `There is no instrument ${id}.`);
  };
  const looking = setInterval(() => {
    for (const one of running.values()) if (stateOf(one).state !== one.state) send(one);
  }, LOOK_EVERY_MS);
  looking.unref();

  return {
    refresh: async () => {
      const now = await db.instruments.list(shopId);
      for (const [id, one] of running) {
        const changed = now.find((instrument) => instrument.id === id);
        // A new name or calibration interrupts nothing.
        if (changed && isDrivenAlike(changed, one.instrument)) one.instrument = changed;
        else {
          one.driver?.close();
          running.delete(id);
        }
      }
      for (const instrument of now)
        if (!running.has(instrument.id)) running.set(instrument.id, start(instrument));
    },
    states: () => [...running.values()].map(stateOf),
    act: (id, request) => {
      const one = get(id);
      if (one.driver?.act(request) !== true)
        throw new ProblemError('not_possible_now', 'It cannot do that by itself. Do it by hand.');
      return stateOf(one);
    },
    push: (id, lines) => {
      const one = get(id);
      if (one.instrument.driver.by !== 'serial')
        throw new ProblemError('not_possible_now', 'It has a driver of its own.');
      for (const line of lines) hear(one, readLine(line));
      return stateOf(one);
    },
    close: () => {
      clearInterval(looking);
      for (const { driver } of running.values()) driver?.close();
      running.clear();
    },
  };
}
