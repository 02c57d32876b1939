import { expect } from 'chai';
import { poursOf } from '../../src/day/poursOf.ts';

const HOUR_MS = 3_600_000;
const row = (id: string, more: Partial<Parameters<typeof poursOf>[0][number]>) => ({
  id,
  jugId: 'jug',
  kind: 'poured' as const,
  massG: -120,
  countedG: null,
  undoes: null,
  corrects: null,
  at: '2026-06-13T10:00:00.000Z',
  ...more,
});
const tenMs = Date.parse('2026-06-13T10:00:00.000Z');

describe('poursOf', () => {
  it('are what left a jug into drinks, and neither what was thrown away nor what was blended', () => {
    const rows = [
      row('a', {}),
      row('b', { kind: 'discarded', massG: -500 }),
      row('c', { kind: 'blended-out', massG: -500 }),
      row('d', { kind: 'filled', massG: 3000 }),
    ];
    expect(poursOf(rows)).to.deep.equal([{ atMs: tenMs, massG: 120 }]);
  });

  it('are none where they were taken back, and as they were corrected', () => {
    const rows = [
      row('a', {}),
      row('b', {}),
      row('c', { kind: 'undone', massG: 120, undoes: 'a' }),
      row('d', { kind: 'corrected', massG: 20, corrects: 'b', countedG: 100 }),
    ];
    expect(poursOf(rows)).to.deep.equal([{ atMs: tenMs, massG: 100 }]);
    const kept = [...rows, row('e', { kind: 'undone', massG: -20, undoes: 'd' })];
    expect(poursOf(kept)).to.deep.equal([{ atMs: tenMs, massG: 120 }]);
  });

  it('that nobody noted are told by a count that finds less, evenly since the row before', () => {
    const rows = [
      row('a', { kind: 'filled', massG: 3000 }),
      row('b', { kind: 'counted', massG: -440, at: '2026-06-13T14:00:00.000Z' }),
    ];
    const pours = poursOf(rows);
    expect(pours.map(({ massG }) => massG)).to.deep.equal([110, 110, 110, 110]);
    expect(pours.map(({ atMs }) => (atMs - tenMs) / HOUR_MS)).to.deep.equal([0.5, 1.5, 2.5, 3.5]);
  });

  it('are none where a count finds more, or as good as what was there', () => {
    const counts = [
      row('a', { kind: 'counted', massG: 300 }),
      row('b', { kind: 'counted', massG: -20 }),
    ];
    expect(poursOf(counts)).to.deep.equal([]);
  });
});
