import { writeFileSync } from 'node:fs';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import zopfli from '@gfx/zopfli';
import type { Plugin } from 'vite';
import { dist } from './dist.ts';

/** From how many bytes on Zopfli is worth its while: a call of it takes 35 ms at least. */
const WORTH_IT = 2000;

/**
 * Compresses scripts and styles once, here instead of at every request. The gzip, which is all that a
 * browser takes over plain HTTP, is made by Zopfli: 3 to 4 % smaller than the best of zlib.
 */
export const compressedAhead: Plugin = {
  name: 'compressed-ahead',
  apply: 'build',
  async writeBundle(_, bundle) {
    for (const file of Object.values(bundle)) {
      if (!/^assets\/.*\.(?:js|css)$/.test(file.fileName)) continue;
      const content = Buffer.from(file.type === 'chunk' ? file.code : file.source);
      const write = (ending: string, compressed: Uint8Array): void =>
        writeFileSync(dist(`${file.fileName}.${ending}`), compressed);
      write('gz', await smallGzip(content));
      write('br', brotliCompressSync(content));
    }
  },
};

const smallGzip = async (content: Buffer): Promise<Uint8Array> =>
  content.length < WORTH_IT
    ? gzipSync(content, { level: 9 })
    : await zopfli.gzipAsync(content, { numiterations: 1 });
