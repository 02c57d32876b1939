import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import type { Plugin } from 'vite';

/**
 * Compresses scripts and styles once, at the build instead of at every request. The bench's table of pages
 * counts these files.
 */
export const compressedAhead: Plugin = {
  name: 'compressed-ahead',
  apply: 'build',
  writeBundle({ dir = '' }, bundle) {
    for (const file of Object.values(bundle)) {
      if (!/^assets\/.*\.(?:js|css)$/.test(file.fileName)) continue;
      const content = Buffer.from(file.type === 'chunk' ? file.code : file.source);
      writeFileSync(path.join(dir, `${file.fileName}.gz`), gzipSync(content, { level: 9 }));
      writeFileSync(path.join(dir, `${file.fileName}.br`), brotliCompressSync(content));
    }
  },
};
