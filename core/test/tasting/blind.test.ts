import { expect } from 'chai';
import jstat from 'jstat';
import { blindPlan } from '../../src/tasting/blindPlan.ts';
import { evaluateBlind, isRight, leastRight, powerFrac, tail } from '../../src/tasting/evaluate.ts';
import type { BlindKind } from '../../src/tasting/blindKinds.ts';
import { expectNear } from '../near.ts';

describe('leastRight', () => {
  for (const { kind, rows, source } of [
    {
      kind: 'triangle',
      rows: [
        [6, 5],
        [12, 8],
        [18, 10],
        [24, 13],
        [30, 15],
      ],
      source: 'ISO 4120, table of minimum correct responses at 0.05',
    },
    {
      kind: 'duo-trio',
      rows: [
        [8, 7],
        [12, 10],
        [20, 15],
        [32, 22],
      ],
      source: 'ISO 10399, at 0.05, one-sided (memory)',
    },
    {
      kind: 'preference',
      rows: [
        [8, 8],
        [12, 10],
        [20, 15],
        [30, 21],
      ],
      source: 'ISO 5495, at 0.05, two-sided (memory)',
    },
  ] as const)
    for (const [answers, least] of rows)
      it(`${kind}: ${least} of ${answers} (${source})`, () =>
        expect(leastRight(kind, answers)).to.equal(least));

  it('is none where too few have tasted', () => {
    expect(leastRight('triangle', 2)).to.equal(null);
    expect(leastRight('preference', 5)).to.equal(null);
  });
});

describe('tail', () => {
  // By hand: (495·16 + 220·8 + 66·4 + 12·2 + 1)/3¹².
  it('of 8 of 12 at a third is 9969 of 531441', () =>
    expectNear(tail(12, 8, 1 / 3), 9969 / 531_441, 1e-12));

  // A statistics library as a second opinion; its own sums are good to eight digits.
  for (const [n, k, p] of [
    [12, 8, 1 / 3],
    [40, 21, 1 / 2],
    [200, 90, 0.4],
  ] as const)
    it(`of ${k} of ${n} at ${p.toFixed(2)} agrees with a reference library`, () =>
      expectNear(tail(n, k, p), 1 - jstat.binomial.cdf(k - 1, n, p), 1e-7));
});

describe('powerFrac', () => {
  // By hand: four of ten tell, the rest guess: 0.4 + 0.6 · ⅓ = 0.6 right; 5 or more of 6 is 0.2333.
  it('of six triangles is 23 of 100', () => expectNear(powerFrac('triangle', 6), 0.23328, 1e-4));
  it('grows with the tasters', () => {
    expect(powerFrac('triangle', 30)).to.be.above(powerFrac('triangle', 12));
    expect(powerFrac('triangle', 2)).to.equal(0);
  });
});

describe('blindPlan', () => {
  for (const kind of ['triangle', 'duo-trio', 'preference'] as const) {
    it(`${kind}: every order comes as often as every other, every code once`, () => {
      const servings = blindPlan({ kind, tasters: 24, seed: 5 });
      const counts = new Map<string, number>();
      for (const { cups } of servings) {
        const order = cups.map(({ side }) => side).join('');
        counts.set(order, (counts.get(order) ?? 0) + 1);
      }
      expect(new Set(counts.values()).size).to.equal(1);
      const codes = servings.flatMap(({ cups }) => cups.map(({ code }) => code));
      expect(new Set(codes).size).to.equal(codes.length);
    });

    it(`${kind}: another seed is another sequence, the same one the same`, () => {
      const of = (seed: number) => JSON.stringify(blindPlan({ kind, tasters: 12, seed }));
      expect(of(1)).to.equal(of(1));
      expect(of(1)).to.not.equal(of(2));
    });
  }
});

describe('evaluateBlind', () => {
  const answered = (kind: BlindKind, rightCount: number, tasters = 12) =>
    blindPlan({ kind, tasters, seed: 3 }).map((serving, i) => {
      const right = serving.cups.findIndex((_, picked) => isRight(kind, { ...serving, picked }));
      const wrong = serving.cups.findIndex(
        (_, picked) =>
          !isRight(kind, { ...serving, picked }) && !(kind === 'duo-trio' && picked === 0),
      );
      return { ...serving, picked: i < rightCount ? right : wrong };
    });

  it('eight of twelve triangles show a difference, seven do not', () => {
    // P(8 or more of 12 at ⅓) = 0.0188; of 7 or more 0.0664.
    const eight = evaluateBlind('triangle', answered('triangle', 8));
    expect(eight).to.include({ answers: 12, right: 8, least: 8, isShown: true });
    expectNear(eight.pFrac, 0.0188, 0.01);
    const seven = evaluateBlind('triangle', answered('triangle', 7));
    expect(seven.isShown).to.equal(false);
    expectNear(seven.pFrac, 0.0664, 0.01);
  });

  it('a preference counts for either side', () => {
    const forB = evaluateBlind('preference', answered('preference', 2));
    expect(forB).to.include({ right: 2, isShown: true });
    expect(forB.pFrac).to.equal(evaluateBlind('preference', answered('preference', 10)).pFrac);
  });

  it('says nothing before anybody has answered, and counts those who have', () => {
    const none = blindPlan({ kind: 'duo-trio', tasters: 6, seed: 1 });
    expect(evaluateBlind('duo-trio', none)).to.include({ answers: 0, pFrac: 1, isShown: false });
    const some = answered('duo-trio', 6).map((one, i) => (i < 5 ? one : { ...one, picked: null }));
    expect(evaluateBlind('duo-trio', some)).to.include({ answers: 5, right: 5 });
  });

  it('the reference of a duo-trio is no answer', () => {
    const [serving] = blindPlan({ kind: 'duo-trio', tasters: 1, seed: 1 });
    expect(isRight('duo-trio', { ...serving!, picked: 0 })).to.equal(false);
  });
});
