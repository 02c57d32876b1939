import { expect } from 'chai';
import ICAL from 'ical.js';
import request from 'supertest';
import { convertIcsCalendar } from 'ts-ics';
import { instantOf } from '@ratio/core/calendar';
import { calendarFile, type FiledEntry } from '../../src/calendar/calendarFile.ts';
import { openLidoServer, type LidoServer } from '../lidoServer.ts';

const zone = 'Europe/Lisbon';
const at = (local: string): number => instantOf({ local, zone })!;
const entry = (more: Partial<FiledEntry> = {}): FiledEntry => ({
  batchId: 'batch-1',
  sequence: 0,
  key: 'strain',
  title: 'Strain: Lot 14, Tall jar',
  text: '850 g of coffee; 4250 g of water, coarse.',
  startMs: at('2026-06-13T08:10'),
  minutes: 40,
  alarmMinutes: 10,
  isCancelled: false,
  ...more,
});
const fileOf = (entries: FiledEntry[], inZone = zone): string =>
  calendarFile({
    name: 'The lido, steeps',
    entries,
    zone: inZone,
    nowMs: at('2026-06-13T07:40'),
    linkOf: (id) => `http://192.168.1.5:4870/steep/${id}`,
  });

/** What RFC 5545 asks of every line: 3.1 length and ending, names, and that what begins ends. */
function requireValid(file: string): void {
  expect(file.endsWith('END:VCALENDAR\r\n')).to.equal(true);
  const open: string[] = [];
  const lines = file.slice(0, -2).split('\r\n');
  for (const line of lines) {
    expect(Buffer.byteLength(line), line).to.be.at.most(75);
    expect(line, line).to.not.match(/[\r\n]/);
    expect(line, line).to.match(/^(?: |[A-Z0-9-]+(?:;[A-Z0-9-]+=(?:"[^"]*"|[^";:,]*))*:)/);
    const [, part, name] = /^(BEGIN|END):(.+)$/.exec(line) ?? [];
    if (part === 'BEGIN') open.push(name!);
    else if (part === 'END') expect(open.pop()).to.equal(name);
  }
  expect(open).to.deep.equal([]);
}

describe('calendarFile', () => {
  it('of 200 batches is valid line by line', () => {
    const entries = Array.from({ length: 200 }, (_, i) =>
      ['start', 'strain', 'ready', 'use-by'].map((key, k) =>
        entry({
          batchId: `batch-${i}`,
          key,
          // Long, with what has to be escaped, and beyond ASCII.
          title: `Strain: “Lot ${i}; natural, ½ decaf”, Großes Glas 6 L – 第${i}号`,
          text: `850 g; 4250 g\nand more, ${'much '.repeat(i % 30)}`,
          startMs: at('2026-01-01T06:10') + (i * 43 + k * 5) * 3_600_000,
          isCancelled: i % 17 === 0,
        }),
      ),
    ).flat();
    const file = fileOf(entries);
    requireValid(file);
    expect(convertIcsCalendar(undefined, file).events).to.have.length(800);
  });

  // Read back by a library that did not write it.
  it('says the same to another library', () => {
    const { events = [], timezones = [] } = convertIcsCalendar(undefined, fileOf([entry()]));
    const [event] = events;
    expect(event!.summary).to.equal('Strain: Lot 14, Tall jar');
    expect(event!.description).to.equal('850 g of coffee; 4250 g of water, coarse.');
    expect(event!.uid).to.equal('batch-1-strain@ratio');
    expect(event!.sequence ?? 0).to.equal(0);
    expect(event!.start.date.toISOString()).to.equal('2026-06-13T07:10:00.000Z');
    expect(event!.start.local?.timezone).to.equal(zone);
    expect(event!.alarms).to.have.length(1);
    expect(event!.alarms![0]!.trigger).to.deep.include({ type: 'relative' });
    expect(event!.url).to.equal('http://192.168.1.5:4870/steep/batch-1');
    expect(timezones[0]!.id).to.equal(zone);
  });

  // The zone's own rules, read by ical.js without any table of zones but the one in the file.
  for (const [local, utc] of [
    ['2026-03-28T22:00', '2026-03-28T22:00:00.000Z'],
    ['2026-03-29T06:10', '2026-03-29T05:10:00.000Z'],
    ['2026-10-24T22:00', '2026-10-24T21:00:00.000Z'],
    ['2026-10-25T06:10', '2026-10-25T06:10:00.000Z'],
  ] as const)
    it(`carries the changes of the clock: ${local} is ${utc}`, () => {
      const component = new ICAL.Component(ICAL.parse(fileOf([entry({ startMs: at(local) })])));
      const own = new ICAL.Timezone(component.getFirstSubcomponent('vtimezone')!);
      const start = component
        .getFirstSubcomponent('vevent')!
        .getFirstPropertyValue('dtstart') as ICAL.Time;
      start.zone = own;
      expect(start.toJSDate().toISOString()).to.equal(utc);
    });

  it('calls off what was given up, and rings for it no more', () => {
    const file = fileOf([entry({ isCancelled: true, sequence: 3 })]);
    expect(file).to.contain('STATUS:CANCELLED');
    expect(file).to.contain('SEQUENCE:3');
    expect(file).to.not.contain('VALARM');
  });

  it('has a zone that never changes its clock', () => {
    requireValid(fileOf([entry()], 'UTC'));
    const [event] = convertIcsCalendar(undefined, fileOf([entry()], 'Asia/Kolkata')).events!;
    expect(event!.start.date.toISOString()).to.equal('2026-06-13T07:10:00.000Z');
  });
});

describe('calendars', () => {
  let server: LidoServer;
  before(async () => (server = await openLidoServer()));
  after(() => server.close());
  const text = async (path: string): Promise<string> =>
    (await request(server.app).get(path).expect(200)).text;
  const strainIn = (file: string, id: string) =>
    convertIcsCalendar(undefined, file).events!.find(({ uid }) => uid === `${id}-strain@ratio`)!;

  it('of one batch are had by its address', async () => {
    const answer = await request(server.app).get('/api/batches/lido-batch-4/calendar.ics');
    expect(answer.headers['content-type']).to.contain('text/calendar');
    requireValid(answer.text);
    expect(strainIn(answer.text, 'lido-batch-4').summary).to.contain('Strain');
    expect((await request(server.app).get('/api/batches/none/calendar.ics')).status).to.equal(404);
  });

  it('of all are behind a secret address, which can be changed', async () => {
    expect((await request(server.app).get('/api/calendar.ics')).status).to.equal(404);
    expect((await request(server.app).get('/api/calendar.ics?key=')).status).to.equal(404);
    const { body } = await request(server.app).post('/api/calendar/key').expect(201);
    const first = new URL(body.feeds[0]);
    expect(body.addresses[0]).to.equal(first.origin);
    requireValid(await text(first.pathname + first.search));
    const { body: again } = await request(server.app).post('/api/calendar/key').expect(201);
    const second = new URL(again.feeds[0]);
    expect(second.search).to.not.equal(first.search);
    expect((await request(server.app).get(first.pathname + first.search)).status).to.equal(404);
    requireValid(await text(second.pathname + second.search));
    // The key is no part of the shop that pages read.
    expect(JSON.stringify((await request(server.app).get('/api/shop')).body)).to.not.contain(
      second.searchParams.get('key'),
    );
    // Nor does it go when the shop is written.
    const { body: shop } = await request(server.app).get('/api/shop');
    const { id: _, version, now: __, clockFrozen: ___, clockBehindMs: ____, ...rest } = shop;
    await request(server.app)
      .put('/api/shop')
      .set('If-Match', `"${version}"`)
      .send(rest)
      .expect(200);
    requireValid(await text(second.pathname + second.search));
  });

  it('follow a moved strain, and say that they changed', async () => {
    const { body } = await request(server.app).post('/api/calendar/key');
    const feed = new URL(body.feeds[0]);
    const before = strainIn(await text(feed.pathname + feed.search), 'lido-batch-4');
    const until = new Date(before.start.date.getTime() + 45 * 60_000).toISOString();
    await request(server.app)
      .post('/api/batches/lido-batch-4/actuals')
      .send({ id: 'later', kind: 'strain-moved', until })
      .expect(201);
    const after = strainIn(await text(feed.pathname + feed.search), 'lido-batch-4');
    expect(after.start.date.toISOString()).to.equal(until);
    expect(after.uid).to.equal(before.uid);
    expect(after.sequence!).to.be.above(before.sequence ?? 0);
    // Taken back, it is as it was, and newer still.
    await request(server.app)
      .post('/api/batches/lido-batch-4/actuals')
      .send({ id: 'not-later', kind: 'undone', undoes: 'later' })
      .expect(201);
    const back = strainIn(await text(feed.pathname + feed.search), 'lido-batch-4');
    expect(back.start.date).to.deep.equal(before.start.date);
    expect(back.sequence!).to.be.above(after.sequence!);
  });

  it('cannot move a strain to before the start, or of what is strained', async () => {
    const move = (id: string, until: string) =>
      request(server.app)
        .post(`/api/batches/${id}/actuals`)
        .send({ id: `move-${id}`, kind: 'strain-moved', until });
    expect((await move('lido-batch-4', '2026-06-01T06:00:00.000Z')).status).to.equal(422);
    expect((await move('lido-batch-4', '2026-08-01T06:00:00.000Z')).status).to.equal(422);
    const { body } = await request(server.app).get('/api/batches');
    const done = body.find(({ status }: { status: string }) => status === 'strained');
    expect((await move(done.id, '2026-06-13T09:00:00.000Z')).status).to.equal(409);
  });
});
