import { expect } from 'chai';
import fc from 'fast-check';
import { countedObservations } from '../../src/batch/countedObservations.ts';
import { actualOf } from './observations.ts';

const done = (id: string, step: string) => actualOf('done', '18:00', { id, step });
const undone = (id: string, undoes: string) => actualOf('undone', '18:01', { id, undoes });
const ids = (rows: ReturnType<typeof actualOf>[]) => countedObservations(rows).map(({ id }) => id);

describe('countedObservations', () => {
  for (const { name, rows, expected } of [
    {
      name: 'a step that two tablets noted counts as it was noted first',
      rows: [done('a', 'weigh'), done('b', 'weigh')],
      expected: ['a'],
    },
    {
      name: 'a step that is taken back is open again',
      rows: [done('a', 'weigh'), undone('u', 'a'), done('c', 'weigh')],
      expected: ['c'],
    },
    {
      name: 'taking back what is noted twice takes both back',
      rows: [done('a', 'weigh'), done('b', 'weigh'), undone('u', 'a')],
      expected: [],
    },
    {
      name: 'taking back twice is once',
      rows: [done('a', 'weigh'), undone('u', 'a'), done('c', 'weigh'), undone('v', 'a')],
      expected: ['c'],
    },
    {
      name: 'a late row to take back another step leaves this one',
      rows: [done('a', 'weigh'), undone('u', 'x')],
      expected: ['a'],
    },
    {
      name: 'what is noted beside the steps counts each time',
      rows: [
        actualOf('agitated', '18:00', { id: 's' }),
        actualOf('agitated', '19:00', { id: 't' }),
      ],
      expected: ['s', 't'],
    },
    {
      name: 'and can be taken back too',
      rows: [actualOf('agitated', '18:00', { id: 's' }), undone('u', 's')],
      expected: [],
    },
  ])
    it(name, () => expect(ids(rows)).to.deep.equal(expected));

  /** Rows as two tablets write them: presses of steps, and presses of back on what was seen. */
  const written = fc
    .array(
      fc.record({
        step: fc.constantFrom('weigh', 'grind', 'tare', 'pour'),
        back: fc.boolean(),
        of: fc.nat(20),
      }),
      { maxLength: 20 },
    )
    .map((presses) =>
      presses.map(({ step, back, of }, i) =>
        back ? undone(`r${i}`, `r${of}`) : done(`r${i}`, step),
      ),
    );

  it('a row that comes again, at once or at the end, changes nothing', () => {
    fc.assert(
      fc.property(written, fc.nat(20), (rows, which) => {
        const again = rows[which % Math.max(1, rows.length)];
        if (!again) return;
        const at = rows.indexOf(again);
        expect(ids([...rows, again])).to.deep.equal(ids(rows));
        expect(ids(rows.toSpliced(at + 1, 0, again))).to.deep.equal(ids(rows));
      }),
      { seed: 13, numRuns: 500 },
    );
  });

  it('each step counts at most once, and nothing counts that was not written', () => {
    fc.assert(
      fc.property(written, (rows) => {
        const counted = countedObservations(rows);
        const steps = counted.map(({ step }) => step);
        expect(new Set(steps).size).to.equal(steps.length);
        counted.forEach((row) => expect(rows).to.include(row));
      }),
      { seed: 13, numRuns: 500 },
    );
  });
});
