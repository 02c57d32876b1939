import { expect } from 'chai';
import { FILTRATION_METHODS } from '../../src/brew/filtration.ts';
import { WETTING_NAMES } from '../../src/brew/wetting.ts';
import type { ObservationRow, Plan } from '../../src/batch/schema.ts';
import type { ShopStep } from '../../src/shop/stepsSchema.ts';
import { progressOf } from '../../src/steps/progress.ts';
import { stepsOf } from '../../src/steps/stepsOf.ts';
import { actualOf } from '../batch/observations.ts';
import { FRIDGE_PLAN, TWO_PLACES_PLAN } from '../batch/plans.ts';

const keysOf = (over: Partial<Plan> = {}, shopSteps: ShopStep[] = []): string[] =>
  stepsOf({ plan: { ...FRIDGE_PLAN, ...over }, shopSteps }).map(({ key }) => key);
const words = (key: string, over: Partial<ShopStep> = {}): ShopStep => ({
  key,
  title: '',
  watch: '',
  waitMinutes: null,
  photoId: null,
  leftOut: false,
  ...over,
});

describe('stepsOf', () => {
  for (const { name, over, expected } of [
    {
      name: 'in stages, drained: bloom, wait, stir, top up',
      over: {},
      expected:
        'weigh grind tare bloom sink stir-in top-up cover put-away strain hang weigh-out read fill clean',
    },
    {
      name: 'poured only, pressed',
      over: { wetting: 'pour' as const, filtration: { method: 'press' as const, rinseG: 0 } },
      expected: 'weigh grind tare pour cover put-away strain press weigh-out read fill clean',
    },
    {
      name: 'a bag, stirred under, squeezed',
      over: {
        wetting: 'stir' as const,
        bed: 'held' as const,
        filtration: { method: 'squeeze' as const, rinseG: 0 },
      },
      expected:
        'weigh grind tare pour stir-in bag-under cover put-away strain squeeze weigh-out read fill clean',
    },
    {
      name: 'two stirs, paper and a rinse',
      over: {
        wetting: 'stir' as const,
        agitationHours: [8, 2, 30],
        filtration: { method: 'paper' as const, rinseG: 400 },
      },
      expected:
        'weigh grind tare pour stir-in cover put-away agitate-1 agitate-2 strain hang rinse second-pass weigh-out read fill clean',
    },
    {
      name: 'a lifted insert',
      over: { wetting: 'pour' as const, filtration: { method: 'insert' as const, rinseG: 0 } },
      expected: 'weigh grind tare pour cover put-away strain lift weigh-out read fill clean',
    },
    {
      name: 'left on its grounds, nothing is strained',
      over: { wetting: 'pour' as const, filtration: { method: 'on-grounds' as const, rinseG: 0 } },
      expected: 'weigh grind tare pour cover put-away',
    },
    {
      name: 'counter first: a move, and a stir after it, by the hour',
      over: { wetting: 'pour' as const, steep: TWO_PLACES_PLAN.steep, agitationHours: [1, 4] },
      expected:
        'weigh grind tare pour cover put-away agitate-1 move agitate-2 strain hang weigh-out read fill clean',
    },
  ])
    it(name, () => expect(keysOf(over).join(' ')).to.equal(expected));

  it('water poured comes to the water planned, whatever the school', () => {
    for (const wetting of WETTING_NAMES)
      for (const method of FILTRATION_METHODS) {
        const steps = stepsOf({
          plan: { ...FRIDGE_PLAN, wetting, filtration: { method, rinseG: 0 } },
        });
        const pouredG = steps.reduce(
          (sum, { note, amountG }) => sum + (note === 'poured' ? amountG! : 0),
          0,
        );
        expect(pouredG).to.equal(FRIDGE_PLAN.waterG);
        expect(new Set(steps.map(({ key }) => key)).size).to.equal(steps.length);
      }
  });

  it('the shop changes order, words and waits, leaves out, and adds its own', () => {
    const shopSteps = [
      words('tare', { title: 'Jar on the scale' }),
      words('weigh'),
      words('towel', { title: 'Dry the jar', waitMinutes: 2 }),
      words('grind', { leftOut: true }),
      words('sink', { waitMinutes: 5 }),
    ];
    const steps = stepsOf({ plan: FRIDGE_PLAN, shopSteps });
    expect(steps.slice(0, 6).map(({ key }) => key)).to.deep.equal([
      'tare',
      'weigh',
      'towel',
      'bloom',
      'sink',
      'stir-in',
    ]);
    expect(steps[0]!.title).to.equal('Jar on the scale');
    expect(steps[2]).to.include({
      title: 'Dry the jar',
      waitS: 120,
      phase: 'prepare',
      note: 'done',
    });
    expect(steps[4]!.waitS).to.equal(300);
  });
});

describe('progressOf', () => {
  const startedAt = '2026-06-12T18:00:00.000Z';
  const startMs = Date.parse(startedAt);
  const minutes = (count: number): number => startMs + count * 60_000;
  const steps = stepsOf({ plan: { ...TWO_PLACES_PLAN, agitationHours: [1] } });
  const at = (count: number): string => new Date(minutes(count)).toISOString();
  const step = (key: string, count: number, over: Partial<ObservationRow> = {}): ObservationRow =>
    actualOf('done', at(count), { id: key, step: key, ...over });
  const of = (
    observations: ObservationRow[],
    atMinutes: number,
    status: 'steeping' | 'strained' | 'abandoned' = 'steeping',
  ) => progressOf({ batch: { startedAt, status }, steps, observations, nowMs: minutes(atMinutes) });

  it('the strain is due where it was moved to, and no other step with it', () => {
    const plan = { ...TWO_PLACES_PLAN, agitationHours: [1] };
    const moved = progressOf({
      batch: { startedAt, status: 'steeping', plan, endsAt: at(9000) },
      steps,
      observations: [],
      nowMs: minutes(1),
    });
    const due = Object.fromEntries(moved.states.map(({ step: { key }, dueMs }) => [key, dueMs]));
    expect(due['strain']).to.equal(minutes(9000));
    expect(due['agitate']).to.equal(minutes(60));
  });

  it('begins with the first step', () => {
    const { now, last, behind } = of([], 0);
    expect([now!.step.key, last, behind]).to.deep.equal(['weigh', null, 0]);
  });

  it('stands after the last one that was noted; what was passed over says so', () => {
    const { now, states, last } = of([step('weigh', 1), step('tare', 3)], 4);
    expect(now!.step.key).to.equal('bloom');
    expect(last!.step.key).to.equal('tare');
    expect(states.slice(0, 4).map(({ state }) => state)).to.deep.equal([
      'noted',
      'passed',
      'noted',
      'now',
    ]);
  });

  it('a wait runs from the step before it', () => {
    const { now } = of([step('bloom', 5)], 6);
    expect(now!.step.key).to.equal('sink');
    expect(now!.dueMs).to.equal(minutes(8));
  });

  it('what has an hour has it from the first pour as it was poured', () => {
    const poured = actualOf('poured', at(10), { step: 'bloom', massG: 2250, tempC: 12 });
    const due = Object.fromEntries(
      of([poured], 11).states.map(({ step: { key }, dueMs }) => [key, dueMs]),
    );
    expect(due['agitate']).to.equal(minutes(10 + 60));
    expect(due['move']).to.equal(minutes(10 + 2 * 60));
    expect(due['strain']).to.equal(minutes(10 + 18 * 60));
  });

  it('one begun long ago is past its preparations, though nobody noted them', () => {
    expect(of([], 59).now!.step.key).to.equal('weigh');
    expect(of([], 61).now!.step.key).to.equal('agitate');
  });

  it('one that was given up has nothing left to do', () => {
    const { now, last } = of([step('weigh', 1)], 5, 'abandoned');
    expect([now, last!.step.key]).to.deep.equal([null, 'weigh']);
  });

  it('one strained beside its steps has its cleaning left, then nothing', () => {
    expect(of([], 1200, 'strained').now!.step.key).to.equal('clean');
    expect(of([step('clean', 1190)], 1200, 'strained').now).to.equal(null);
  });
});
