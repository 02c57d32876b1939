import type { Batch } from '@ratio/core/batch';
import { modelOf } from '@ratio/core/brew';
import type { Jug } from '@ratio/core/jug';
import { lidoBatches, lidoCoffees } from '../../demo/lido.ts';

/** A jug of concentrate, changed as a test needs it. */
export const jugOf = (over: Partial<Jug> = {}): Jug => ({
  id: 'one',
  version: 1,
  label: 'Jug 1',
  coffeeName: 'Lot 14',
  batchId: null,
  onGrounds: false,
  vesselId: null,
  filledRange: null,
  strengthFrac: 0.035,
  readBy: 'refractometer',
  caffeineMgPerG: 2.1,
  pricePerKg: 8,
  capacityMl: 3000,
  madeAt: '2026-06-12T06:00:00.000Z',
  useBy: '2026-06-18T06:00:00.000Z',
  onHandG: 1000,
  lastEntryId: null,
  filled: {
    strengthFrac: 0.035,
    readBy: 'refractometer',
    caffeineMgPerG: 2.1,
    pricePerKg: 8,
    useBy: '2026-06-18T06:00:00.000Z',
  },
  ...over,
});

const { plan } = lidoBatches[0]!;
const coffee = lidoCoffees.find(({ id }) => id === plan.coffeeId)!;
const { solubleFrac, robustaFrac, decafFrac } = coffee;

/** A steeping batch of the lido's, changed as a test needs it. */
export const batchOf = (over: Partial<Batch> = {}): Batch => ({
  id: 'steeping',
  version: 1,
  coffeeName: 'Lot 14',
  vesselName: 'Tall jar 6 L',
  coffee: { solubleFrac, robustaFrac, decafFrac },
  model: modelOf(coffee),
  plan,
  predicted: {
    extractionYieldFrac: 0.2,
    releasedFrac: 0.9,
    strengthFrac: 0.0175,
    strengthName: 'concentrate',
    strengthLowFrac: 0.0155,
    strengthHighFrac: 0.02,
    brewG: 2000,
    brewMl: 1990,
    retainedG: 900,
    caffeineMgPerG: 1.1,
  },
  status: 'steeping',
  startedAt: '2026-06-12T13:10:00.000Z',
  endsAt: '2026-06-13T07:10:00.000Z',
  movedTo: null,
  needsCleaning: false,
  cleanedAt: null,
  abandonedFor: null,
  pouredAt: null,
  strainedAt: null,
  strengthFrac: null,
  strengthBy: null,
  predictedAtStrain: null,
  strain: null,
  ...over,
});
