import { expect } from 'chai';
import fc from 'fast-check';
import {
  afterRow,
  contentOfJug,
  correctableOf,
  emptyJug,
  ledgerRow,
  replay,
  type FilledJug,
  type JugState,
  type LedgerRow,
  type Replay,
} from '../../src/jug/ledger.ts';
import { expectNear } from '../near.ts';

const FILLED: FilledJug = {
  strengthFrac: 0.04,
  readBy: 'prediction',
  caffeineMgPerG: 2,
  pricePerKg: 5,
  useBy: '2026-06-20T05:30:00.000Z',
};

const row = (over: Partial<LedgerRow> & Pick<LedgerRow, 'id' | 'kind'>): LedgerRow =>
  ledgerRow({ jugId: 'a', ...over });
const jugs = (ids: readonly string[], capacityMl = 5000) =>
  new Map(ids.map((id) => [id, { filled: FILLED, capacityMl }]));
const fill = (jugId: string, massG: number) =>
  row({ id: `${jugId}-f`, jugId, kind: 'filled', massG });

function done(rows: LedgerRow[], ...ids: string[]) {
  return worked(replay({ jugs: jugs(ids), rows }));
}

function worked(result: Replay) {
  if (result.status !== 'done') throw new Error(JSON.stringify(result));
  return result.jugs;
}

describe('a ledger', () => {
  it('by hand: 2000 g of 4 %, 500 g of water, 1000 g drawn off', () => {
    const state = done(
      [
        fill('a', 2000),
        row({ id: 'w', kind: 'watered', massG: 500 }),
        row({ id: 'p', kind: 'poured', massG: -1000 }),
      ],
      'a',
    ).get('a')!;
    expectNear(state.onHandG, 1500, 1e-12);
    expectNear(state.strengthFrac, 0.032, 1e-12);
    expectNear(state.caffeineMgPerG, 1.6, 1e-12);
    expectNear(state.pricePerKg!, 4, 1e-12);
    expect(state).to.include({ readBy: 'balance', lastEntryId: 'p', useBy: FILLED.useBy });
  });

  it('brings from a blend what its source held at that moment', () => {
    const rows = [
      fill('a', 1000),
      fill('b', 1000),
      row({ id: 'r', jugId: 'b', kind: 'read', strengthFrac: 0.02 }),
      row({ id: 'out', jugId: 'b', kind: 'blended-out', massG: -500, pairId: 'in' }),
      row({ id: 'in', kind: 'blended-in', massG: 500, pairId: 'out' }),
    ];
    expectNear(done(rows, 'a', 'b').get('a')!.strengthFrac, 50 / 1500, 1e-12);
    // The reading taken back, the blend holds what the source was filled with.
    const back = [...rows, row({ id: 'u', jugId: 'b', kind: 'undone', undoes: 'r' })];
    expectNear(done(back, 'a', 'b').get('a')!.strengthFrac, 0.04, 1e-12);
    // A source that is not worked out again says what was taken.
    const said = rows.map((one) => (one.id === 'out' ? { ...one, strengthFrac: 0.02 } : one));
    expectNear(done(said, 'a').get('a')!.strengthFrac, 50 / 1500, 1e-12);
  });

  it('takes a count for what is there, whatever was taken back before it', () => {
    const rows = [
      fill('a', 2000),
      row({ id: 'p', kind: 'poured', massG: -300 }),
      row({ id: 'c', kind: 'counted', massG: -100, countedG: 1600 }),
      row({ id: 'u', kind: 'undone', undoes: 'p' }),
    ];
    expect(done(rows, 'a').get('a')!.onHandG).to.equal(1600);
  });

  it('takes what was corrected for how it was, and what was there before once that is taken back', () => {
    const rows = [
      fill('a', 2000),
      row({ id: 'w', kind: 'watered', massG: 500 }),
      row({ id: 'p', kind: 'poured', massG: -1000 }),
      // It was 400 g of water, and 1900 g of 3.8 % that it was filled with.
      row({ id: 'c1', kind: 'corrected', corrects: 'w', countedG: 400 }),
      row({ id: 'c2', kind: 'corrected', corrects: 'a-f', countedG: 1900, strengthFrac: 0.038 }),
    ];
    const state = done(rows, 'a').get('a')!;
    expectNear(state.onHandG, 1300, 1e-12);
    expectNear(state.strengthFrac, (1900 * 0.038) / 2300, 1e-12);
    // 10 of money were paid for what turned out to be 1.9 kg, and 2.3 kg with the water.
    expectNear(state.pricePerKg!, 10 / 2.3, 1e-12);
    const back = [...rows, row({ id: 'u', kind: 'undone', undoes: 'c2' })];
    expectNear(done(back, 'a').get('a')!.strengthFrac, (2000 * 0.04) / 2400, 1e-12);
    const tooMuch = [...rows, row({ id: 'c3', kind: 'corrected', corrects: 'p', countedG: 2400 })];
    expect(replay({ jugs: jugs(['a']), rows: tooMuch })).to.include({ why: 'too_little' });
  });

  it('leaves an emptied jug at exactly nothing', () => {
    const state = done(
      [fill('a', 0.1 + 0.2), row({ id: 'p', kind: 'poured', massG: -0.3 })],
      'a',
    ).get('a')!;
    expect(state.onHandG).to.equal(0);
  });

  for (const [name, rows, why, at] of [
    [
      'what was blended in is drawn off already',
      [
        fill('a', 100),
        fill('b', 1000),
        row({ id: 'out', jugId: 'b', kind: 'blended-out', massG: -500, pairId: 'in' }),
        row({ id: 'in', kind: 'blended-in', massG: 500, pairId: 'out' }),
        row({ id: 'p', kind: 'poured', massG: -550 }),
        row({ id: 'u', kind: 'undone', undoes: 'in' }),
        row({ id: 'u-pair', jugId: 'b', kind: 'undone', undoes: 'out' }),
      ],
      'too_little',
      'p',
    ],
    [
      'water stands where it was drawn off',
      [
        fill('a', 5000),
        row({ id: 'p', kind: 'poured', massG: -1000 }),
        row({ id: 'w', kind: 'watered', massG: 1000 }),
        row({ id: 'u', kind: 'undone', undoes: 'p' }),
      ],
      'no_room',
      'w',
    ],
  ] as const)
    it(`says which row could not have been: ${name}`, () => {
      const result = replay({ jugs: jugs(['a', 'b']), rows });
      expect(result).to.deep.include({ status: 'impossible', why });
      expect(result.status === 'impossible' && result.row.id).to.equal(at);
    });

  it('does not look for faults before the row from which it checks', () => {
    const rows = [fill('a', 100), row({ id: 'p', kind: 'poured', massG: -150 })];
    expect(replay({ jugs: jugs(['a']), rows }).status).to.equal('impossible');
    expect(replay({ jugs: jugs(['a']), rows, checkedFrom: 'later' }).status).to.equal('done');
  });

  // The same work in amounts instead of shares: grams of solids and milligrams of caffeine.
  interface Amounts {
    massG: number;
    solidsG: number;
    caffeineMg: number;
  }
  type Step =
    | { kind: 'poured' | 'watered'; jug: string; part: number }
    | { kind: 'read'; jug: string; part: number }
    | { kind: 'blended'; jug: string; from: string; part: number }
    | { kind: 'undone'; which: number }
    | { kind: 'corrected'; which: number; part: number };
  const NAMES = ['a', 'b', 'c'];
  const jug = fc.constantFrom(...NAMES);
  const part = fc.double({ min: 0.05, max: 1, noNaN: true });
  const steps: fc.Arbitrary<Step[]> = fc.array(
    fc.oneof(
      fc.record({ kind: fc.constantFrom('poured', 'watered', 'read'), jug, part }),
      fc.record({ kind: fc.constant('blended'), jug, from: jug, part }),
      fc.record({ kind: fc.constant('undone'), which: fc.nat(40) }),
      fc.record({ kind: fc.constant('corrected'), which: fc.nat(40), part }),
    ) as fc.Arbitrary<Step>,
    { minLength: 5, maxLength: 25 },
  );

  function inAmounts(rows: readonly LedgerRow[]): Map<string, Amounts> {
    const undone = new Set(rows.map(({ undoes }) => undoes));
    // The latest correction that stands is how it was.
    const corrections = new Map(
      rows.filter(({ id }) => !undone.has(id)).map((one) => [one.corrects, one]),
    );
    const all = new Map<string, Amounts>();
    const taken = new Map<string, Amounts>();
    for (const written of rows.filter(({ id, kind }) => kind !== 'undone' && !undone.has(id))) {
      if (written.kind === 'corrected') continue;
      const correction = corrections.get(written.id);
      const saidG = correction?.countedG;
      const one = {
        ...written,
        massG: saidG == null ? written.massG : Math.sign(written.massG) * saidG,
        strengthFrac: correction?.strengthFrac ?? written.strengthFrac,
      };
      const { massG, solidsG, caffeineMg } = all.get(one.jugId) ?? {
        massG: 0,
        solidsG: 0,
        caffeineMg: 0,
      };
      const of = (share: number): Amounts => ({
        massG: massG * share,
        solidsG: solidsG * share,
        caffeineMg: caffeineMg * share,
      });
      let next: Amounts;
      if (one.kind === 'filled')
        next = {
          massG: one.massG,
          solidsG: one.massG * (one.strengthFrac ?? 0.04),
          caffeineMg: (one.massG * 2 * (one.strengthFrac ?? 0.04)) / 0.04,
        };
      else if (one.kind === 'watered') next = { massG: massG + one.massG, solidsG, caffeineMg };
      else if (one.kind === 'read') {
        const found = massG * one.strengthFrac!;
        next = { massG, solidsG: found, caffeineMg: (caffeineMg * found) / solidsG };
      } else if (one.kind === 'blended-in') {
        const other = taken.get(one.pairId!)!;
        next = {
          massG: massG + other.massG,
          solidsG: solidsG + other.solidsG,
          caffeineMg: caffeineMg + other.caffeineMg,
        };
      } else {
        taken.set(one.id, of(-one.massG / massG));
        next = of(1 + one.massG / massG);
      }
      all.set(one.jugId, next);
    }
    return all;
  }

  it('keeps mass, solids and caffeine through whatever is done and taken back, row by row or anew', () => {
    fc.assert(
      fc.property(steps, (sequence) => {
        // Room for whatever is stretched: no row is refused but by what is taken back.
        const held = jugs(NAMES, 1e6);
        let rows: LedgerRow[] = NAMES.map((id) => fill(id, 1000));
        let states = new Map<string, JugState>(
          rows.map((one) => [
            one.jugId,
            afterRow({ state: emptyJug(FILLED), row: one, taken: null }),
          ]),
        );
        sequence.forEach((step, i) => {
          const id = `s${i}`;
          if (step.kind === 'undone') {
            const standing = rows.filter(
              ({ id: of, kind }) =>
                !['filled', 'undone', 'blended-out'].includes(kind) &&
                !rows.some(({ undoes }) => undoes === of),
            );
            const target = standing[step.which % Math.max(1, standing.length)];
            if (!target) return;
            const next = [
              ...rows,
              row({ id, jugId: target.jugId, kind: 'undone', undoes: target.id }),
              ...rows
                .filter((one) => one.id === target.pairId)
                .map((one) =>
                  row({ id: `${id}-pair`, jugId: one.jugId, kind: 'undone', undoes: one.id }),
                ),
            ];
            const result = replay({ jugs: held, rows: next, checkedFrom: target.id });
            if (result.status === 'impossible') return;
            rows = next;
            states = new Map(result.jugs);
            return;
          }
          if (step.kind === 'corrected') {
            const known = rows.filter(({ id: of }) => !rows.some(({ undoes }) => undoes === of));
            const right = known.filter(({ kind }) => correctableOf(kind).length > 0);
            const target = right[step.which % right.length]!;
            const parts = correctableOf(target.kind);
            const next = [
              ...rows,
              row({
                id,
                jugId: target.jugId,
                kind: 'corrected',
                corrects: target.id,
                countedG: parts.includes('amount') ? Math.abs(target.massG) * 2 * step.part : null,
                strengthFrac: parts.includes('strength') ? 0.01 + 0.05 * step.part : null,
              }),
            ];
            const result = replay({ jugs: held, rows: next, checkedFrom: target.id });
            if (result.status === 'impossible') return;
            rows = next;
            states = new Map(result.jugs);
            return;
          }
          const state = states.get(step.jug)!;
          if (state.onHandG < 1) return;
          if (step.kind === 'blended') {
            const from = states.get(step.from)!;
            if (step.from === step.jug || from.onHandG < 1) return;
            const massG = from.onHandG * step.part;
            const out = row({
              id: `${id}-out`,
              jugId: step.from,
              kind: 'blended-out',
              massG: -massG,
              pairId: id,
            });
            const into = row({
              id,
              jugId: step.jug,
              kind: 'blended-in',
              massG,
              pairId: `${id}-out`,
            });
            states.set(step.from, afterRow({ state: from, row: out, taken: null }));
            states.set(step.jug, afterRow({ state, row: into, taken: contentOfJug(from) }));
            rows = [...rows, out, into];
            return;
          }
          const one = row({
            id,
            jugId: step.jug,
            kind: step.kind,
            massG:
              step.kind === 'poured'
                ? -state.onHandG * step.part
                : step.kind === 'watered'
                  ? state.onHandG * step.part
                  : 0,
            strengthFrac: step.kind === 'read' ? 0.01 + 0.05 * step.part : null,
          });
          states.set(step.jug, afterRow({ state, row: one, taken: null }));
          rows = [...rows, one];
        });
        const anew = worked(replay({ jugs: held, rows }));
        const amounts = inAmounts(rows);
        for (const id of NAMES) {
          const [state, fresh, expected] = [states.get(id)!, anew.get(id)!, amounts.get(id)!];
          expect(state.onHandG).to.be.at.least(0);
          if (state.onHandG > 0) expect(state.onHandG).to.be.above(1e-7);
          for (const one of [state, fresh]) {
            expect(one.onHandG).to.be.closeTo(expected.massG, 1e-6);
            expect(one.onHandG * one.strengthFrac).to.be.closeTo(expected.solidsG, 1e-6);
            expect(one.onHandG * one.caffeineMgPerG).to.be.closeTo(expected.caffeineMg, 1e-4);
          }
        }
      }),
      { numRuns: 300 },
    );
  });
});
