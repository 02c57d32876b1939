import { expect } from 'chai';
import { batchCautions } from '../../src/batch/cautions.ts';
import { predictBatch } from '../../src/batch/predict.ts';
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
