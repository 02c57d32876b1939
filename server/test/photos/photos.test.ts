import { expect } from 'chai';
import fc from 'fast-check';
import request from 'supertest';
import { strippedImage } from '../../src/photos/strippedImage.ts';
import { openLidoServer, type LidoServer } from '../lidoServer.ts';

const SECRET = 'GPS 38.69 N 9.42 W';
const segment = (marker: number, content: Buffer): Buffer => {
  const head = Buffer.from([0xff, marker, 0, 0]);
  head.writeUInt16BE(content.length + 2, 2);
  return Buffer.concat([head, content]);
};
const text = (of: string): Buffer => Buffer.from(of, 'latin1');
/** A JPEG as far as its segments go: frame, scan, end; with what a camera adds, and something behind it. */
const JPEG = Buffer.concat([
  Buffer.from([0xff, 0xd8]),
  segment(0xe0, text('JFIF\0\x01\x01')),
  segment(0xe1, text(`Exif\0\0${SECRET}`)),
  segment(0xed, text(`Photoshop ${SECRET}`)),
  segment(0xfe, text(`comment ${SECRET}`)),
  segment(0xc0, Buffer.from([8, 0, 1, 0, 1, 1, 1, 0x11, 0])),
  segment(0xda, Buffer.from([1, 1, 0, 0, 0x3f, 0])),
  Buffer.from([0x12, 0x34, 0xff, 0xd9]),
  text(`<script>${SECRET}</script>`),
]);
const chunk = (name: string, content: Buffer): Buffer => {
  const size = Buffer.alloc(4);
  size.writeUInt32BE(content.length);
  return Buffer.concat([size, text(name), content, Buffer.alloc(4)]);
};
const PNG = Buffer.concat([
  Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
  chunk('IHDR', Buffer.alloc(13)),
  chunk('eXIf', text(SECRET)),
  chunk('tEXt', text(`Author\0${SECRET}`)),
  chunk('IDAT', Buffer.from([1, 2, 3])),
  chunk('IEND', Buffer.alloc(0)),
  text(SECRET),
]);
const part = (name: string, content: Buffer): Buffer => {
  const size = Buffer.alloc(4);
  size.writeUInt32LE(content.length);
  return Buffer.concat([text(name), size, content, Buffer.alloc(content.length % 2)]);
};
const parts = [
  part('VP8X', Buffer.from([0b0000_1100, 0, 0, 0, 0, 0, 0, 0, 0, 0])),
  part('VP8 ', Buffer.from([1, 2, 3, 4])),
  part('EXIF', text(SECRET)),
  part('XMP ', text(SECRET)),
];
const body = Buffer.concat(parts);
const WEBP = Buffer.concat([part('RIFF', Buffer.concat([text('WEBP'), body])), text(SECRET)]);

describe('strippedImage', () => {
  for (const [type, bytes] of [
    ['image/jpeg', JPEG],
    ['image/png', PNG],
    ['image/webp', WEBP],
  ] as const) {
    it(`keeps what is drawn of ${type}, and nothing of who and where`, () => {
      const image = strippedImage(bytes)!;
      expect(image.type).to.equal(type);
      expect(image.bytes.includes(SECRET)).to.equal(false);
      // Stripped once, there is nothing left to strip.
      expect(strippedImage(image.bytes)!.bytes.equals(image.bytes)).to.equal(true);
    });
    it(`refuses ${type} that is cut off`, () => {
      const { length } = strippedImage(bytes)!.bytes;
      const whole = strippedImage(bytes)!.bytes;
      for (const share of [0.2, 0.5, 0.9])
        expect(strippedImage(whole.subarray(0, Math.floor(share * length)))).to.equal(null);
    });
  }

  it('keeps the frame and the scan of a JPEG, and says no more that a WebP has Exif', () => {
    const { bytes } = strippedImage(JPEG)!;
    expect(bytes.includes(Buffer.from([0x12, 0x34, 0xff, 0xd9]))).to.equal(true);
    expect(strippedImage(WEBP)!.bytes[20]).to.equal(0);
  });

  for (const [name, bytes] of [
    ['a page', text('<!doctype html><script>alert(1)</script>')],
    ['a drawing that runs', text('<svg xmlns="http://www.w3.org/2000/svg" onload="alert(1)"/>')],
    ['a GIF', text('GIF89a')],
    ['nothing', Buffer.alloc(0)],
    ['a JPEG without a picture', Buffer.from([0xff, 0xd8, 0xff, 0xd9])],
  ] as const)
    it(`refuses ${name}`, () => expect(strippedImage(bytes)).to.equal(null));

  it('never throws, whatever comes', () => {
    const heads = fc.constantFrom(JPEG.subarray(0, 24), PNG.subarray(0, 33), WEBP.subarray(0, 20));
    fc.assert(
      fc.property(heads, fc.uint8Array({ maxLength: 200 }), (head, rest) => {
        strippedImage(Buffer.concat([head, rest]));
      }),
      { seed: 13, numRuns: 2000 },
    );
  });
});

describe('photographs of a batch', () => {
  let server: LidoServer;
  beforeEach(async () => (server = await openLidoServer()));
  afterEach(() => server.close());
  const put = (id: string, bytes: Buffer, batch = 'lido-batch-4', type = 'image/png') =>
    request(server.app)
      .put(`/api/batches/${batch}/photos/${id}`)
      .set('Content-Type', type)
      .send(bytes);

  it('are kept once, listed with their batch, and served as images and nothing else', async () => {
    expect((await put('one', PNG)).status).to.equal(201);
    expect((await put('one', PNG)).status).to.equal(201);
    expect((await put('one', JPEG)).status).to.equal(409);
    const { body: batch } = await request(server.app).get('/api/batches/lido-batch-4');
    expect(batch.photos.map(({ id }: { id: string }) => id)).to.deep.equal(['one']);
    const answer = await request(server.app).get('/api/photos/one');
    expect(answer.headers).to.include({
      'content-type': 'image/png',
      'x-content-type-options': 'nosniff',
    });
    expect(answer.headers['content-security-policy']).to.contain("default-src 'none'");
    expect((answer.body as Buffer).includes(SECRET)).to.equal(false);
  });

  it('are what they are, whatever they are called, and not too large', async () => {
    expect((await put('page', text('<script>alert(1)</script>'))).status).to.equal(415);
    expect((await put('big', Buffer.alloc(800_000, 1))).status).to.equal(413);
    expect((await put('lost', PNG, 'no-such-batch')).status).to.equal(404);
    expect((await put('A B', PNG)).status).to.equal(400);
    expect((await request(server.app).get('/api/photos/none')).status).to.equal(404);
    // Called a page, it is an image all the same.
    expect((await put('named', JPEG, 'lido-batch-4', 'text/html')).status).to.equal(201);
    const { headers } = await request(server.app).get('/api/photos/named');
    expect(headers['content-type']).to.equal('image/jpeg');
  });

  it('keep the moment at which they were taken, and are of no later than now', async () => {
    const taken = '2026-06-13T05:10:00.000Z';
    const at = (id: string, when: string) =>
      request(server.app)
        .put(`/api/batches/lido-batch-4/photos/${id}?at=${when}`)
        .set('Content-Type', 'image/png')
        .send(PNG);
    expect((await at('early', taken)).status).to.equal(201);
    expect((await at('ahead', '2027-01-01T00:00:00.000Z')).status).to.equal(201);
    expect((await at('wrong', 'yesterday')).status).to.equal(400);
    const { body: batch } = await request(server.app).get('/api/batches/lido-batch-4');
    expect(batch.photos.map(({ at: of }: { at: string }) => of)).to.deep.equal([
      taken,
      '2026-06-13T06:40:00.000Z',
    ]);
  });

  it('are of a step, too: taken in and served as those of a batch, apart from them', async () => {
    const step = (id: string, bytes: Buffer, key = 'bloom') =>
      request(server.app)
        .put(`/api/steps/${key}/photos/${id}`)
        .set('Content-Type', 'image/png')
        .send(bytes);
    expect((await step('how', JPEG)).status).to.equal(201);
    expect((await step('how', JPEG)).status).to.equal(201);
    expect((await step('how', PNG)).status).to.equal(409);
    expect((await step('how', JPEG, 'stir')).status).to.equal(409);
    expect((await step('page', text('<script>alert(1)</script>'))).status).to.equal(415);
    const answer = await request(server.app).get('/api/steps/photos/how');
    expect(answer.headers['content-type']).to.equal('image/jpeg');
    expect(answer.headers['content-security-policy']).to.contain("default-src 'none'");
    expect((await request(server.app).get('/api/photos/how')).status).to.equal(404);
  });
});
