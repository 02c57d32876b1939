import { expect } from 'chai';
import fc from 'fast-check';
import { dayAndTime, readTime, zoned } from '../../src/calendar/index.ts';

const LISBON = 'Europe/Lisbon';
/** Saturday 13 June 2026, 07:40 in Lisbon. */
const NOW = Date.parse('2026-06-13T06:40:00Z');

const read = (text: string, looks: 'back' | 'ahead' = 'back', zone = LISBON, nowMs = NOW) => {
  const found = readTime({ text, nowMs, zone, looks });
  return found.ok
    ? zoned({ atMs: found.atMs, zone }).toPlainDateTime().toString().slice(0, 16)
    : found.message;
};

describe('readTime', () => {
  // Worked out on a calendar: 13 June 2026 is a Saturday.
  for (const [text, back, ahead] of [
    ['now', '2026-06-13T07:40', '2026-06-13T07:40'],
    ['2 h ago', '2026-06-13T05:40', '2026-06-13T05:40'],
    ['in 40 min', '2026-06-13T08:20', '2026-06-13T08:20'],
    ['in 9 h', '2026-06-13T16:40', '2026-06-13T16:40'],
    ['17:30', '2026-06-12T17:30', '2026-06-13T17:30'],
    ['6:10', '2026-06-13T06:10', '2026-06-14T06:10'],
    ['6.10', '2026-06-13T06:10', '2026-06-14T06:10'],
    ['5:30 pm', '2026-06-12T17:30', '2026-06-13T17:30'],
    ['12 am', '2026-06-13T00:00', '2026-06-14T00:00'],
    ['noon', '2026-06-12T12:00', '2026-06-13T12:00'],
    ['yesterday 17:30', '2026-06-12T17:30', '2026-06-12T17:30'],
    ['Yesterday at 9 pm', '2026-06-12T21:00', '2026-06-12T21:00'],
    ['last night 22:15', '2026-06-12T22:15', '2026-06-12T22:15'],
    ['today 6:00', '2026-06-13T06:00', '2026-06-13T06:00'],
    ['tomorrow 6:00', '2026-06-14T06:00', '2026-06-14T06:00'],
    ['Fri 18:00', '2026-06-12T18:00', '2026-06-19T18:00'],
    ['Sat 6:10', '2026-06-13T06:10', '2026-06-20T06:10'],
    ['saturday 8:00', '2026-06-06T08:00', '2026-06-13T08:00'],
    ['12 June 17:30', '2026-06-12T17:30', '2027-06-12T17:30'],
    ['June 20th, 17:30', '2025-06-20T17:30', '2026-06-20T17:30'],
    ['Thu 11 Jun 8:10', '2026-06-11T08:10', '2027-06-11T08:10'],
    ['2026-06-12T17:30', '2026-06-12T17:30', '2026-06-12T17:30'],
  ] as const)
    it(`“${text}”`, () => {
      expect([read(text), read(text, 'ahead')]).to.deep.equal([back, ahead]);
    });

  for (const text of [
    '',
    'soon',
    '25:00',
    '6',
    '12:75',
    'yesterday',
    '30 Feb 12:00',
    '480 mL',
    '13 pm',
  ])
    it(`refuses “${text}” and says what would do`, () => {
      expect(read(text)).to.contain('Try yesterday 17:30');
    });

  it('follows the clock of the shop through both changes', () => {
    // Europe/Lisbon: clocks go forward on 29 March 2026 at 01:00, and back on 25 October at 02:00.
    const spring = Date.parse('2026-03-29T08:00:00Z');
    const skipped = readTime({ text: '1:30', nowMs: spring, zone: LISBON, looks: 'back' });
    expect(skipped.ok && new Date(skipped.atMs).toISOString()).to.equal('2026-03-29T01:30:00.000Z');
    const autumn = Date.parse('2026-10-25T08:00:00Z');
    const twice = readTime({ text: '1:30', nowMs: autumn, zone: LISBON, looks: 'back' });
    expect(twice.ok && new Date(twice.atMs).toISOString()).to.equal('2026-10-25T00:30:00.000Z');
  });

  it('reads back what is written, to the minute, within six days', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 6 * 24 * 60 - 1 }), (minutesAgo) => {
        const atMs = NOW - minutesAgo * 60_000;
        const text = dayAndTime({ atMs, zone: LISBON });
        expect(readTime({ text, nowMs: NOW, zone: LISBON, looks: 'back' })).to.deep.equal({
          ok: true,
          atMs,
        });
      }),
    );
  });
});
