/** What an image may be, by its content. */
type ImageType = 'image/jpeg' | 'image/png' | 'image/webp';

/** An image without what a camera adds: place, time, owner, preview. */
export interface StrippedImage {
  readonly type: ImageType;
  readonly bytes: Buffer;
}

const PNG_SIGNATURE = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
/** Chunks that are needed to draw the picture; text, time and Exif are removed. */
const PNG_KEPT = ['IHDR', 'PLTE', 'tRNS', 'gAMA', 'sRGB', 'cHRM', 'pHYs', 'IDAT', 'IEND'];
const WEBP_DROPPED = ['EXIF', 'XMP '];
/** Bits of VP8X that say that Exif and XMP follow. */
const WEBP_FLAGS = 0b0000_1100;

/**
 * An image as it may be kept and served: recognised by its content, whatever it is called, and without
 * what a camera adds.
 *
 * @returns null for what is no JPEG, PNG or WebP, or is cut off
 */
export function strippedImage(bytes: Buffer): StrippedImage | null {
  if (bytes[0] === 0xff && bytes[1] === 0xd8) return jpeg(bytes);
  if (bytes.subarray(0, 8).equals(PNG_SIGNATURE)) return png(bytes);
  if (bytes.toString('latin1', 0, 4) === 'RIFF' && bytes.toString('latin1', 8, 12) === 'WEBP')
    return webp(bytes);
  return null;
}

/** Segments up to the scan; APP0 and Adobe's APP14 say how colours are meant, the others say who and where. */
function jpeg(bytes: Buffer): StrippedImage | null {
  const kept: Buffer[] = [bytes.subarray(0, 2)];
  let at = 2;
  let hasFrame = false;
  while (at + 4 <= bytes.length) {
    if (bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1]!;
    const end = at + 2 + bytes.readUInt16BE(at + 2);
    if (end > bytes.length || end < at + 4) return null;
    if (marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker)) hasFrame = true;
    if (marker === 0xda) {
      const last = bytes.lastIndexOf(Buffer.from([0xff, 0xd9]));
      if (!hasFrame || last < end) return null;
      // What is hung on behind the end of the picture is dropped too.
      kept.push(bytes.subarray(at, last + 2));
      return { type: 'image/jpeg', bytes: Buffer.concat(kept) };
    }
    const isAdded = (marker >= 0xe1 && marker <= 0xef && marker !== 0xee) || marker === 0xfe;
    if (!isAdded) kept.push(bytes.subarray(at, end));
    at = end;
  }
  return null;
}

function png(bytes: Buffer): StrippedImage | null {
  const kept: Buffer[] = [PNG_SIGNATURE];
  for (let at = 8; at + 12 <= bytes.length;) {
    const end = at + 12 + bytes.readUInt32BE(at);
    const name = bytes.toString('latin1', at + 4, at + 8);
    if (end > bytes.length || (at === 8 && name !== 'IHDR')) return null;
    if (PNG_KEPT.includes(name)) kept.push(bytes.subarray(at, end));
    if (name === 'IEND') return { type: 'image/png', bytes: Buffer.concat(kept) };
    at = end;
  }
  return null;
}

function webp(bytes: Buffer): StrippedImage | null {
  const kept: Buffer[] = [];
  const whole = 8 + bytes.readUInt32LE(4);
  if (whole > bytes.length) return null;
  for (let at = 12; at + 8 <= whole;) {
    const size = bytes.readUInt32LE(at + 4);
    const end = at + 8 + size + (size % 2);
    const name = bytes.toString('latin1', at, at + 4);
    if (end > whole) return null;
    const chunk = Buffer.from(bytes.subarray(at, end));
    if (name === 'VP8X') chunk[8]! &= ~WEBP_FLAGS;
    if (!WEBP_DROPPED.includes(name)) kept.push(chunk);
    at = end;
  }
  if (kept.length === 0) return null;
  const body = Buffer.concat(kept);
  const head = Buffer.alloc(12);
  head.write('RIFF', 0, 'latin1');
  head.writeUInt32LE(body.length + 4, 4);
  head.write('WEBP', 8, 'latin1');
  return { type: 'image/webp', bytes: Buffer.concat([head, body]) };
}
