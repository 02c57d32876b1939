import { expect } from 'chai';
import { matchColumns } from '../../src/log/oldColumns.ts';
import { readOldRow } from '../../src/log/oldLog.ts';

const HEADINGS = [
  'Date',
  'Coffee',
  'Dose (g)',
  'Water',
  'Hours',
  'Where',
  'Grind',
  'TDS',
  'Came out',
  'Notes',
];
const match = matchColumns(HEADINGS);
const read = (cells: readonly string[], units = { mass: 'gram', water: 'gram' } as const) =>
  readOldRow({
    cells,
    row: 2,
    match,
    units,
    nowMs: Date.parse('2026-06-13T06:40:00Z'),
    zone: 'Europe/Lisbon',
    idOf: (text) => `old-${text.length}`,
  });
const GOOD = [
  '2026-03-02 14:00',
  'Lot 3, dark',
  '800',
  '4000',
  '18',
  'fridge',
  'coarse',
  '3.4 %',
  '2400',
  'fine',
];

describe('an old log', () => {
  it('has its columns known by their headings', () => {
    expect(match).to.deep.equal({
      date: 0,
      coffee: 1,
      dose: 2,
      water: 3,
      hours: 4,
      place: 5,
      grind: 6,
      strength: 7,
      brew: 8,
      note: 9,
    });
    expect(matchColumns(['x', 'y']).date).to.equal(-1);
  });

  it('is read row by row, in its own units', () => {
    const found = read(GOOD);
    expect(found).to.deep.include({ ok: true });
    expect(found.ok && found.batch).to.deep.include({
      startedAt: '2026-03-02T14:00:00.000Z',
      doseG: 800,
      waterG: 4000,
      hours: 18,
      strengthFrac: 0.034,
      brewG: 2400,
    });
    const ounces = read(GOOD.with(2, '28').with(3, '4.2 L').with(8, ''), {
      mass: 'ounce',
      water: 'quart',
    } as never);
    expect(ounces.ok && Math.round(ounces.batch.doseG)).to.equal(794);
    expect(ounces.ok && ounces.batch.waterG).to.equal(4200);
  });

  for (const [name, cells, startedAt] of [
    ['a day first, by dots', GOOD.with(0, '2.3.2026'), '2026-03-02T12:00:00.000Z'],
    ['a day first, by slashes', GOOD.with(0, '02/03/2026 08:30'), '2026-03-02T08:30:00.000Z'],
    ['a month by its name', GOOD.with(0, '2 March 2026'), '2026-03-02T12:00:00.000Z'],
  ] as const)
    it(`reads ${name}`, () => {
      const found = read(cells);
      expect(found.ok && found.batch.startedAt).to.equal(startedAt);
    });

  it('takes what is usual where nothing is said, and nothing where nothing was read', () => {
    const found = read(GOOD.with(5, '').with(6, '').with(7, '').with(8, ''));
    expect(found.ok && found.batch).to.include({
      place: 'fridge',
      grind: 'coarse',
      strengthFrac: null,
      brewG: null,
    });
  });

  for (const [name, cells, column] of [
    ['no date', GOOD.with(0, 'some day'), 'date'],
    ['a date that is still to come', GOOD.with(0, '2027-01-01'), 'date'],
    ['no coffee', GOOD.with(1, ' '), 'coffee'],
    ['a dose that is none', GOOD.with(2, 'a lot'), 'dose'],
    ['no water', GOOD.with(3, ''), 'water'],
    ['hours beyond a week', GOOD.with(4, '400'), 'hours'],
    ['a grind that nobody knows', GOOD.with(6, 'like sand'), 'grind'],
    ['a place that nobody knows', GOOD.with(5, 'the roof'), 'place'],
    ['a strength of 80 %', GOOD.with(7, '80 %'), 'strength'],
  ] as const)
    it(`names the column of ${name}`, () => {
      const found = read(cells);
      expect(!found.ok && found.problems.map((one) => one.column)).to.deep.equal([column]);
      expect(!found.ok && found.problems[0]!.row).to.equal(2);
    });

  it('names everything that is wrong in a row at once', () => {
    const found = read(GOOD.with(0, 'x').with(2, 'y'));
    expect(!found.ok && found.problems.map(({ column }) => column)).to.deep.equal(['date', 'dose']);
  });
});
