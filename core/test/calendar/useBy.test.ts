import { expect } from 'chai';
import { daysLeft, useBy } from '../../src/calendar/useBy.ts';

const zone = 'Europe/Lisbon';

describe('useBy', () => {
  const rows = [
    {
      name: 'counts the day of opening as the first (FDA Food Code 3-501.17)',
      openedAt: '2026-06-13T06:40:00Z',
      days: 7,
      today: '2026-06-13',
      expected: { lastDay: '2026-06-19', daysLeft: 6 },
    },
    {
      name: 'is for the same day where it keeps one',
      openedAt: '2026-06-13T06:40:00Z',
      days: 1,
      today: '2026-06-13',
      expected: { lastDay: '2026-06-13', daysLeft: 0 },
    },
    {
      name: 'is past on the day after',
      openedAt: '2026-06-09T10:00:00Z',
      days: 4,
      today: '2026-06-13',
      expected: { lastDay: '2026-06-12', daysLeft: -1 },
    },
    {
      // 23:30 UTC is half past midnight in Lisbon's summer.
      name: 'goes by the shop’s date, not by UTC',
      openedAt: '2026-06-12T23:30:00Z',
      days: 2,
      today: '2026-06-13',
      expected: { lastDay: '2026-06-14', daysLeft: 1 },
    },
    {
      // Clocks go back on 25 October 2026: that day has 25 hours.
      name: 'loses no day to a change of the clock',
      openedAt: '2026-10-24T23:15:00Z',
      days: 2,
      today: '2026-10-25',
      expected: { lastDay: '2026-10-26', daysLeft: 1 },
    },
  ];
  for (const { name, openedAt, days, today, expected } of rows)
    it(name, () => {
      const { lastDay } = useBy({ fromMs: Date.parse(openedAt), days, zone });
      expect({ lastDay, daysLeft: daysLeft({ lastDay, today }) }).to.deep.equal(expected);
    });

  it('keeps the time of day across a change of the clock, an hour more than so many days', () => {
    const fromMs = Date.parse('2026-10-24T10:00:00Z');
    const { atMs } = useBy({ fromMs, days: 7, zone });
    expect(new Date(atMs).toISOString()).to.equal('2026-10-30T11:00:00.000Z');
  });
});
