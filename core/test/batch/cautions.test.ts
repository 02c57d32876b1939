import { expect } from 'chai';
import type { Caution } from '../../src/caution.ts';
import type { Plan } from '../../src/batch/schema.ts';
import { USUAL_MODEL } from '../../src/brew/model.ts';
import { FRIDGE_PLAN } from './plans.ts';
import { batchCautions } from '../../src/batch/cautions.ts';
import { predictBatch, predictPlan } from '../../src/batch/predict.ts';
import { predictBatchRequest } from '../../src/batch/predictSchema.ts';

const batchCodes = (over: object): string[] =>
  predictBatch(
    predictBatchRequest.parse({
      dose: { massG: 500 },
      water: { ratio: 10 },
      grind: 'coarse',
      steep: [{ hours: 16, tempC: 4 }],
      ...over,
    }),
  ).cautions.map(({ code }) => code);

describe('batch cautions', () => {
  const rows: [name: string, over: object, code: string | null][] = [
    ['a fridge steep of drinking strength', {}, null],
    ['twelve hours on the counter', { steep: [{ hours: 12, tempC: 22 }] }, null],
    [
      'more than twelve hours on the counter',
      { steep: [{ hours: 13, tempC: 22 }] },
      'counter_steep_over_12_h',
    ],
    [
      'more than a day outside the fridge, in pieces',
      {
        steep: [
          { hours: 13, tempC: 22 },
          { hours: 4, tempC: 4 },
          { hours: 12, tempC: 15 },
        ],
      },
      'steep_over_24_h',
    ],
    [
      'a hot start',
      {
        steep: [
          { hours: 1, tempC: 70 },
          { hours: 8, tempC: 4 },
        ],
      },
      'hot_water_in_glass',
    ],
    ['a concentrate', { water: { ratio: 5 } }, 'undiluted_concentrate'],
    ['a bed that absorbs it all', { water: { ratio: 1.6 } }, 'bed_drinks_all'],
  ];
  for (const [name, over, code] of rows)
    it(`of ${name}: ${code ?? 'none'}`, () => {
      if (code === null) expect(batchCodes(over)).to.deep.equal([]);
      else expect(batchCodes(over)).to.include(code);
    });

  it('name a stuffed bag, and a vessel that does not fit the fridge', () => {
    const outcome = predictBatch(
      predictBatchRequest.parse({
        dose: { massG: 1200 },
        water: { ratio: 10 },
        grind: 'coarse',
        steep: [{ hours: 16, tempC: 4 }],
      }),
    );
    const cautions = batchCautions({
      outcome,
      retainedGPerG: 2,
      steep: [{ hours: 16, tempC: 4 }],
      waterC: 12,
      bagHoldsG: 1000,
      tooLargeForFridge: true,
    });
    expect(cautions.map(({ code }) => code)).to.deep.equal([
      'bag_too_full',
      'vessel_not_in_fridge',
    ]);
    expect(cautions[0]!.text).to.contain('2 bags');
  });
});

describe('cautions about how warm the slurry itself is', () => {
  const vessel = { brimMl: 60_000, shaken: false };
  const of = (over: Partial<Plan>, brimMl = 60_000) =>
    predictPlan({
      plan: { ...FRIDGE_PLAN, ...over },
      model: USUAL_MODEL,
      vessel: { ...vessel, brimMl },
      horizonHours: 24,
    }).cautions;
  const found = (cautions: readonly Caution[], code: string) =>
    cautions.find((caution) => caution.code === code);
  const large = { doseG: 8000, waterG: 40_000, waterC: 20 };

  it('40 L at 20 °C stay above 5 °C in the fridge for most of a day, and it says what would help', () => {
    // By hand: 46 L slurry, 2 h · 46^(1/3) = 7.2 h; ln((20 − 4)/1) · 7.2 h = 20 h.
    const caution = found(
      of({ ...large, steep: [{ place: 'fridge', tempC: 4, hours: 30 }] }),
      'slow_to_cool',
    );
    expect(caution?.severity).to.equal('warn');
    expect(caution?.text).to.match(/^Above 5 °C for about (19|20|21) h/);
    expect(caution?.text).to.match(/water of at most [345] °C or vessels of at most 0\.\d L/);
  });

  it('what helps does help', () => {
    const plan = { doseG: 900, waterG: 4500, waterC: 20 };
    const helps = found(of(plan), 'slow_to_cool')!.text;
    const waterC = Number(/at most (\d+) °C/.exec(helps)![1]);
    expect(found(of({ ...plan, waterC }), 'slow_to_cool')).to.equal(undefined);
    const litres = Number(/at most (\d+\.\d) L/.exec(helps)![1]);
    const share = (1000 * litres) / (4500 + 0.77 * 900);
    const small = { doseG: 900 * share, waterG: 4500 * share, waterC: 20 };
    expect(found(of(small), 'slow_to_cool')).to.equal(undefined);
  });

  for (const { name, plan } of [
    { name: 'a jar', plan: { doseG: 900, waterG: 4500, waterC: 20 } },
    { name: 'a bucket', plan: { doseG: 2400, waterG: 12_000, waterC: 16 } },
    {
      name: 'one that stood on the counter first',
      plan: {
        doseG: 900,
        waterG: 4500,
        waterC: 30,
        steep: [
          { place: 'fridge' as const, tempC: 4, hours: 16 },
          { place: 'counter' as const, tempC: 22, hours: 1 },
        ],
      },
    },
  ])
    it(`advises the least that helps: of ${name}`, () => {
      const helps = found(of(plan), 'slow_to_cool')!.text;
      const waterC = Number(/at most (\d+) °C/.exec(helps)![1]);
      expect(found(of({ ...plan, waterC }), 'slow_to_cool')).to.equal(undefined);
      // Floored to a degree and 0.1 L, and its hours counted in twelfths.
      expect(found(of({ ...plan, waterC: waterC + 2 }), 'slow_to_cool')).not.to.equal(undefined);
      const litres = Number(/at most (\d+\.\d) L/.exec(helps)![1]);
      const scaled = (toLitres: number) => {
        const share = (1000 * toLitres) / (plan.waterG + 0.77 * plan.doseG);
        return { ...plan, doseG: plan.doseG * share, waterG: plan.waterG * share };
      };
      expect(found(of(scaled(litres)), 'slow_to_cool')).to.equal(undefined);
      expect(found(of(scaled(litres + 0.2)), 'slow_to_cool')).not.to.equal(undefined);
    });

  it('of a vessel that stays warm in the fridge alone says that, and nothing of the counter', () => {
    // By hand: 115 L, 2 h · 115^(1/3) = 9.7 h; from 20 °C ln(16/1) · 9.7 h = 27 h.
    const huge = {
      doseG: 20_000,
      waterG: 100_000,
      waterC: 20,
      steep: [{ place: 'fridge' as const, tempC: 4, hours: 40 }],
    };
    const codes = of(huge, 200_000).map(({ code }) => code);
    expect(codes).to.include('slow_to_cool');
    expect(codes).not.to.include('steep_over_24_h');
    expect(codes).not.to.include('counter_steep_over_12_h');
  });

  it('is a note up to 12 h, a warning beyond, nothing within 4 h', () => {
    const severities = [5, 12, 20].map(
      (waterC) => found(of({ waterC }), 'slow_to_cool')?.severity ?? null,
    );
    expect(severities).to.deep.equal([null, 'note', 'note']);
  });

  it('counts the hours of the slurry on the counter and on its way down in the fridge', () => {
    const steep = [
      { place: 'counter' as const, tempC: 22, hours: 11 },
      { place: 'fridge' as const, tempC: 4, hours: 8 },
    ];
    expect(found(of({ steep }), 'counter_steep_over_12_h')?.severity).to.equal('warn');
  });

  it('checks the dry coffee against the vessel: 1:2 extra-coarse does not go in dry', () => {
    // By hand: 3 kg at 0.30 g/mL are 10 L of loose coffee; slurry 6 L + 2.3 L.
    const thick = { doseG: 3000, waterG: 6000, grind: 'extra-coarse' as const };
    expect(found(of(thick, 9000), 'dry_does_not_fit')?.text).to.contain('10.0 L');
    expect(found(of(thick, 10_100), 'dry_does_not_fit')).to.equal(undefined);
  });

  it('says nothing of a glass of concentrate where nothing drains', () => {
    const codes = of({ doseG: 1000, waterG: 1500 }).map(({ code }) => code);
    expect(codes).to.include('bed_drinks_all');
    expect(codes).not.to.include('undiluted_concentrate');
  });
});

describe('what batch cautions say, and how grave they are', () => {
  type Planned = Parameters<typeof batchCautions>[0];
  const outcome: Planned['outcome'] = {
    doseG: 500,
    waterG: 5000,
    ratio: 10,
    extractionYieldFrac: 0.18,
    releasedFrac: 0.9,
    strengthFrac: 0.018,
    strengthName: 'ready to drink',
    brewG: 4000,
    brewMl: 3990,
    retainedG: 1000,
    slurryMl: 5400,
    caffeineMgPerG: 0.9,
  };
  const of = (
    over: Omit<Partial<Planned>, 'outcome'> & { outcome?: Partial<Planned['outcome']> },
  ) =>
    batchCautions({
      retainedGPerG: 2,
      steep: [{ hours: 16, tempC: 4 }],
      waterC: 12,
      ...over,
      outcome: { ...outcome, ...over.outcome },
    }).map(({ code, severity, text }) => [code, severity, text]);
  const strong = { strengthFrac: 0.035, strengthName: 'concentrate' as const };
  const COUNTER =
    'More than 12 h above 5 °C is longer than many food codes allow. Check the local one, or finish the steep in the fridge sooner.';
  const DAY =
    'More than 24 h above 5 °C lets microbes grow. Move the steep to the fridge or end it sooner; the local food code decides.';
  const rows: [name: string, over: Parameters<typeof of>[0], expected: string[][]][] = [
    ['a plain one', {}, []],
    [
      'a bed that absorbs all',
      { outcome: { brewG: 0, doseG: 612 } },
      [
        [
          'bed_drinks_all',
          'warn',
          'The grounds absorb all of the water, so nothing drains. Take less coffee, or at least 1530 g of water.',
        ],
      ],
    ],
    ['12 h at 22 °C', { steep: [{ hours: 12, tempC: 22 }] }, []],
    [
      '12.5 h at 22 °C',
      { steep: [{ hours: 12.5, tempC: 22 }] },
      [['counter_steep_over_12_h', 'warn', COUNTER]],
    ],
    [
      '24 h at 22 °C',
      { steep: [{ hours: 24, tempC: 22 }] },
      [['counter_steep_over_12_h', 'warn', COUNTER]],
    ],
    [
      '24.5 h at 22 °C',
      { steep: [{ hours: 24.5, tempC: 22 }] },
      [['steep_over_24_h', 'warn', DAY]],
    ],
    ['30 h at 5 °C', { steep: [{ hours: 30, tempC: 5 }] }, []],
    ['a full bag', { bagHoldsG: 500 }, []],
    [
      'a bag too full',
      { bagHoldsG: 499 },
      [
        [
          'bag_too_full',
          'warn',
          'The bag takes 499 g. Stuffed fuller the middle stays dry: split it over 2 bags.',
        ],
      ],
    ],
    [
      'three bags',
      { bagHoldsG: 200 },
      [
        [
          'bag_too_full',
          'warn',
          'The bag takes 200 g. Stuffed fuller the middle stays dry: split it over 3 bags.',
        ],
      ],
    ],
    ['no bag', { bagHoldsG: null }, []],
    [
      'no fridge for it',
      { tooLargeForFridge: true },
      [
        [
          'vessel_not_in_fridge',
          'warn',
          'This vessel does not fit the fridge. Take another, split the batch, or steep on the counter by the local rules.',
        ],
      ],
    ],
    ['60 °C', { waterC: 60 }, []],
    [
      '61 °C',
      { waterC: 61 },
      [
        [
          'hot_water_in_glass',
          'warn',
          'Hot water cracks cold glass and scalds. Warm the vessel first, or start below 60 °C.',
        ],
      ],
    ],
    ['dry coffee that just fits', { dry: { looseMl: 2000, brimMl: 2000 } }, []],
    [
      'dry coffee that does not',
      { dry: { looseMl: 2600, brimMl: 2000 } },
      [
        [
          'dry_does_not_fit',
          'warn',
          'The dry coffee alone takes 2.6 L, more than the 2.0 L that the vessel holds. Take a larger one, or wet it in portions.',
        ],
      ],
    ],
    // By hand: 120 mL of 3.5 % at 4 °C weigh 121.6 g.
    [
      'a concentrate of 1.6 mg/g',
      { outcome: { ...strong, caffeineMgPerG: 1.6 } },
      [
        [
          'undiluted_concentrate',
          'note',
          'Undiluted, a 120 mL glass holds about 190 mg of caffeine. Label the jug “dilute”.',
        ],
      ],
    ],
    [
      'one of 1.65 mg/g, 200 mg a glass',
      { outcome: { ...strong, caffeineMgPerG: 1.65 } },
      [
        [
          'undiluted_concentrate',
          'note',
          'Undiluted, a 120 mL glass holds about 200 mg of caffeine. Label the jug “dilute”.',
        ],
      ],
    ],
    [
      'one of 1.75 mg/g',
      { outcome: { ...strong, caffeineMgPerG: 1.75 } },
      [
        [
          'undiluted_concentrate',
          'warn',
          'Undiluted, a 120 mL glass holds about 210 mg of caffeine. Label the jug “dilute”.',
        ],
      ],
    ],
    [
      'an essence',
      { outcome: { strengthFrac: 0.06, strengthName: 'essence', caffeineMgPerG: 3 } },
      [
        [
          'undiluted_concentrate',
          'warn',
          'Undiluted, a 120 mL glass holds about 370 mg of caffeine. Label the jug “dilute”.',
        ],
      ],
    ],
    [
      'a strong one',
      { outcome: { strengthFrac: 0.028, strengthName: 'strong', caffeineMgPerG: 3 } },
      [],
    ],
  ];
  for (const [name, over, expected] of rows)
    it(`of ${name}: ${expected.map(([code]) => code).join(', ') || 'none'}`, () => {
      expect(of(over)).to.deep.equal(expected);
    });
});
