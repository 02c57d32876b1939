import {
  createSimulatedProbe,
  createSimulatedRefractometer,
  createSimulatedScale,
  type Found,
  type Instrument,
  type InstrumentActRequest,
  type Line,
} from '@ratio/core/instruments';
import type { Driver, Hearing } from './driver.ts';

/** What a stand-in finds around it. */
export interface Surroundings {
  /** At the batch that it attends: the step in hand, and what it would measure there; null for none. */
  readonly at: (batchId: string) => Promise<(Found & { readonly stepKey: string }) | null>;
  readonly roomC: () => number;
  /** Of the place, or of the batch, that a probe hangs in. */
  readonly placeC: () => Promise<number>;
  /** Degrees Brix of a coffee strength, 0–1. */
  readonly brixOf: (strengthFrac: number) => number;
  /** Whether a page watches: a simulated scale changes only then. */
  readonly isWatched: () => boolean;
}

const EVERY_MS = { scale: 100, refractometer: 500, probe: 1000 } as const;
const LOOK_EVERY_MS = 400;
/** A pour takes about this long, s, and not slower than so many g/s. */
const POUR_S = 4;
const LEAST_G_PER_S = 40;

/** A simulated instrument with its own clock. */
export function simulatedDriver(
  { kind, driver }: Pick<Instrument, 'kind' | 'driver'>,
  around: Surroundings,
  hearing: Hearing,
): Driver {
  const seed = driver.by === 'simulated' ? driver.seed : 1;
  const device = DEVICES[kind](seed, around);
  hearing.state('speaks', '');
  let lastMs = performance.now();
  let lookMs = 0;
  let batchId: string | null = null;
  let isBusy = false;
  const timer = setInterval(() => {
    if (isBusy || (kind !== 'probe' && !around.isWatched())) return;
    isBusy = true;
    void (async () => {
      const nowMs = performance.now();
      const s = Math.min(5, (nowMs - lastMs) / 1000);
      lastMs = nowMs;
      if (batchId !== null && nowMs - lookMs > LOOK_EVERY_MS) {
        lookMs = nowMs;
        const found = await around.at(batchId);
        if (found) device.meet(found);
      }
      hearing.line(await device.advance(s, nowMs));
    })()
      .catch(() => undefined)
      .finally(() => (isBusy = false));
  }, EVERY_MS[kind]);
  timer.unref();
  return {
    act: (request) => {
      if (request.act === 'attend') batchId = request.batchId;
      else device.act(request);
      return true;
    },
    close: () => clearInterval(timer),
  };
}

interface Device {
  readonly meet: (found: Found & { stepKey: string }) => void;
  readonly act: (request: Exclude<InstrumentActRequest, { act: 'attend' }>) => void;
  readonly advance: (s: number, atMs: number) => Promise<Line> | Line;
}

const DEVICES: Readonly<
  Record<Instrument['kind'], (seed: number, around: Surroundings) => Device>
> = {
  scale: (seed) => {
    const scale = createSimulatedScale(seed);
    let inHand = '';
    let tried = 0;
    return {
      meet: ({ stepKey, massG, isOnTop }) => {
        if (stepKey === inHand) return;
        inHand = stepKey;
        if (!isOnTop) scale.tare();
        if (massG === null) return;
        scale.pour({ massG, gPerS: Math.max(LEAST_G_PER_S, massG / POUR_S) });
      },
      act: (request) => {
        if (request.act === 'tare') return scale.tare();
        scale.put((request.massG ?? 0) - tried);
        tried = request.massG ?? 0;
      },
      advance: (s, atMs) => ({ says: 'mass', ...scale.advance({ s, atMs }) }),
    };
  },
  refractometer: (seed, { roomC, brixOf }) => {
    const meter = createSimulatedRefractometer(seed);
    let inHand = '';
    return {
      meet: ({ stepKey, strengthFrac, tempC }) => {
        if (stepKey === inHand) return;
        inHand = stepKey;
        meter.drop({ brix: brixOf(strengthFrac), tempC });
      },
      act: (request) => {
        if (request.act === 'try')
          meter.drop({ brix: request.brix ?? 0, tempC: request.tempC ?? roomC() });
      },
      advance: (s) => ({ says: 'brix', ...meter.advance({ s, roomC: roomC() }) }),
    };
  },
  probe: (seed, { placeC }) => {
    const probe = createSimulatedProbe(seed);
    return {
      meet: () => undefined,
      act: () => undefined,
      advance: async (s) => ({ says: 'temp', ...probe.advance({ s, placeC: await placeC() }) }),
    };
  },
};
