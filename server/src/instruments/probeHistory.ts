import type { Batch, BatchInFull } from '@ratio/core/batch';
import type { Database } from '../database/database.ts';

/** What probes of a batch's places said while it steeped, in means of five minutes. */
export async function probesOf(
  db: Database,
  input: { shopId: string; batch: Pick<Batch, 'id' | 'startedAt'>; untilMs: number },
): Promise<BatchInFull['probes']> {
  const { shopId, batch, untilMs } = input;
  const all = (await db.instruments.list(shopId)).filter(({ kind }) => kind === 'probe');
  type Hung = { readonly id: string; readonly place: BatchInFull['probes'][number]['place'] };
  const probes = all.flatMap(({ id, place, batchId }): Hung[] => {
    // One that hangs in a vessel says nothing of the place around it.
    if (batchId !== null) return batchId === batch.id ? [{ id, place: 'slurry' }] : [];
    return place ? [{ id, place }] : [];
  });
  const range = { from: batch.startedAt, to: new Date(untilMs).toISOString() };
  return Promise.all(
    probes.map(async ({ id, place }) => {
      const rows = await db.probeSamples.between(shopId, { of: id, ...range });
      return { place, samples: inMeans(rows) };
    }),
  );
}

const MEAN_MS = 5 * 60_000;

function inMeans(
  rows: readonly { at: string; tempC: number }[],
): { atMs: number; tempC: number }[] {
  const sums = new Map<number, { sum: number; count: number }>();
  for (const { at, tempC } of rows) {
    const key = Math.floor(Date.parse(at) / MEAN_MS) * MEAN_MS;
    const { sum, count } = sums.get(key) ?? { sum: 0, count: 0 };
    sums.set(key, { sum: sum + tempC, count: count + 1 });
  }
  return [...sums].map(([atMs, { sum, count }]) => ({
    atMs,
    tempC: Math.round((100 * sum) / count) / 100,
  }));
}
