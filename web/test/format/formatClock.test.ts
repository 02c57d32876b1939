import { expect } from 'chai';
import {
  clockTime,
  dayName,
  duration,
  fromNow,
  hourMark,
  hourTime,
  readClockAs,
  soonTime,
  timeOfDay,
} from '../../src/format/formatClock.ts';

const at = (iso: string) => new Date(iso);
const plain = (text: string) => text.replaceAll('\u00a0', ' ');

describe('clock texts', () => {
  it('say weekday and time in the shop’s zone', () => {
    expect(clockTime({ at: at('2026-06-13T06:40:00Z'), zone: 'Europe/Lisbon' })).to.equal(
      'Sat 07:40',
    );
    expect(clockTime({ at: at('2026-06-13T23:05:00Z'), zone: 'Europe/Lisbon' })).to.equal(
      'Sun 00:05',
    );
    expect(dayName({ at: at('2026-06-19T12:00:00Z'), zone: 'Europe/Lisbon' })).to.equal(
      'Fri 19 Jun',
    );
  });

  it('name no day for today', () => {
    const zone = 'Europe/Lisbon';
    const now = at('2026-06-13T22:30:00Z');
    expect(soonTime({ at: at('2026-06-13T22:50:00Z'), now, zone })).to.equal('23:50');
    // The next day there, and the same in UTC.
    expect(soonTime({ at: at('2026-06-13T23:05:00Z'), now, zone })).to.equal('Sun 00:05');
    expect(soonTime({ at: at('2026-06-20T22:50:00Z'), now, zone })).to.equal('Sat 23:50');
  });

  it('are of twelve hours where the shop reads its clock so', () => {
    const zone = 'Europe/Lisbon';
    const evening = at('2026-06-13T16:05:00Z');
    readClockAs('12 h');
    const texts = [
      clockTime({ at: evening, zone }),
      hourTime({ at: evening, zone }),
      soonTime({ at: evening, now: evening, zone }),
      timeOfDay(7.5),
      hourMark(7),
      hourMark(24),
    ];
    readClockAs('24 h');
    expect(texts.map((text) => text.replace('\u202f', ' '))).to.deep.equal([
      'Sat 5:05 pm',
      '5:05 pm',
      '5:05 pm',
      '7:30 am',
      '7 am',
      '12 am',
    ]);
    expect([timeOfDay(7.5), hourMark(7), hourMark(24)]).to.deep.equal(['07:30', '07', '00']);
  });

  it('follow the change to winter time', () => {
    const zone = 'Europe/Lisbon';
    expect(clockTime({ at: at('2026-10-25T00:30:00Z'), zone })).to.equal('Sun 01:30');
    expect(clockTime({ at: at('2026-10-25T01:30:00Z'), zone })).to.equal('Sun 01:30');
  });

  for (const [minutes, text] of [
    [40, '40 min'],
    [60, '1 h'],
    [560, '9 h 20 min'],
    [1440, '1 d'],
    [1500, '1 d 1 h'],
  ] as const)
    it(`calls ${minutes} minutes ${text}`, () => {
      expect(plain(duration(minutes))).to.equal(text);
    });

  it('say how long it is until then, or how long ago it was', () => {
    const now = at('2026-06-13T06:40:00Z');
    expect(plain(fromNow({ at: at('2026-06-13T07:10:00Z'), now }))).to.equal('in 30 min');
    expect(plain(fromNow({ at: at('2026-06-13T04:40:00Z'), now }))).to.equal('2 h ago');
    expect(fromNow({ at: now, now })).to.equal('now');
  });

  it('a time of day never reads 7:60', () => {
    expect([7.999, 8.5, 0, 24].map(timeOfDay)).to.deep.equal(['08:00', '08:30', '00:00', '24:00']);
  });
});
