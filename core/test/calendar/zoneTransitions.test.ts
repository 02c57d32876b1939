import { expect } from 'chai';
import { zoneTransitions } from '../../src/calendar/zoneTransitions.ts';

const HOUR_MS = 3_600_000;

describe('zoneTransitions', () => {
  // Directive 2000/84/EC: the last Sundays of March and of October, at 01:00 UTC.
  it('are the two of a year, and the one before', () => {
    const found = zoneTransitions({
      zone: 'Europe/Lisbon',
      fromMs: Date.parse('2026-01-01T00:00:00Z'),
      toMs: Date.parse('2026-12-31T00:00:00Z'),
    });
    expect(found.map(({ atMs }) => new Date(atMs).toISOString())).to.deep.equal([
      '2025-10-26T01:00:00.000Z',
      '2026-03-29T01:00:00.000Z',
      '2026-10-25T01:00:00.000Z',
    ]);
    expect(
      found.map(({ fromOffsetMs, toOffsetMs }) => (toOffsetMs - fromOffsetMs) / HOUR_MS),
    ).to.deep.equal([-1, 1, -1]);
  });

  it('are none where clocks were never changed', () => {
    expect(zoneTransitions({ zone: 'UTC', fromMs: 0, toMs: 2e12 })).to.deep.equal([]);
  });
});
