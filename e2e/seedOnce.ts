import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { LIDO_MORNING, ROOT, SEEDED_DIR } from './lido.ts';

/** Seeds the lido's database once; every test begins with a copy of it. */
export default function seedOnce(): () => void {
  const seededDir = mkdtempSync(path.join(tmpdir(), 'ratio-seeded-'));
  const { status } = spawnSync(process.execPath, ['server/dist/seed.js'], {
    cwd: ROOT,
    env: { ...process.env, RATIO_DATA: seededDir, RATIO_NOW: LIDO_MORNING, RATIO_LOG: 'error' },
    stdio: 'inherit',
  });
  if (status !== 0) throw new Error('The lido’s database could not be seeded.');
  process.env[SEEDED_DIR] = seededDir;
  return () => rmSync(seededDir, { recursive: true, force: true });
}
