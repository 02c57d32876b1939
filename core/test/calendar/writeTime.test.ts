import { expect } from 'chai';
import { dayAndDate, dayAndTime, timeText } from '../../src/calendar/writeTime.ts';
import { createRandom } from '../../src/numeric/random.ts';

const ZONES = [
  'UTC',
  'Europe/Lisbon',
  'America/St_Johns',
  'Asia/Kolkata',
  'Australia/Lord_Howe',
  'Pacific/Chatham',
];

describe('dayAndTime and dayAndDate', () => {
  // Reference: the Unicode project's own formatter for British English, as this Node has it (Intl).
  for (const zone of ZONES)
    it(`write as the Unicode tables do in ${zone}`, () => {
      const time = new Intl.DateTimeFormat('en-GB', {
        timeZone: zone,
        weekday: 'short',
        hour: '2-digit',
        minute: '2-digit',
        hourCycle: 'h23',
      });
      const twelve = new Intl.DateTimeFormat('en-GB', {
        timeZone: zone,
        weekday: 'short',
        hour: 'numeric',
        minute: '2-digit',
        hourCycle: 'h12',
      });
      const date = new Intl.DateTimeFormat('en-GB', {
        timeZone: zone,
        weekday: 'short',
        day: 'numeric',
        month: 'short',
      });
      const random = createRandom(zone.length);
      const fromMs = Date.parse('2020-01-01T00:00:00Z');
      for (let i = 0; i < 400; i += 1) {
        const atMs = fromMs + Math.floor(random.uniform() * 15 * 365 * 86_400_000);
        expect(dayAndTime({ atMs, zone })).to.equal(time.format(atMs).replace(',', ''));
        const inTwelve = dayAndTime({ atMs, zone, clock: '12 h' });
        expect(inTwelve.replace('\u202f', ' ')).to.equal(twelve.format(atMs).replace(',', ''));
        expect(dayAndDate({ atMs, zone })).to.equal(date.format(atMs).replace(',', ''));
      }
    });
});

describe('timeText', () => {
  it('writes noon, midnight and the end of a day', () => {
    const of = (hours: number) => timeText({ hours, minutes: 0, clock: '12 h' });
    expect([0, 12, 24].map(of)).to.deep.equal(['12:00\u202fam', '12:00\u202fpm', '12:00\u202fam']);
    expect(timeText({ hours: 24, minutes: 0 })).to.equal('24:00');
  });
});
