import { expect, type Page } from '@playwright/test';
import type { Lido } from './lido.ts';

/** Fills a lido up to thirty running batches and twenty jugs. */
export async function makeBusy(page: Page, lido: Lido): Promise<void> {
  const { plan } = await (await page.request.get(`${lido.url}/api/batches/lido-batch-4`)).json();
  for (let i = 0; i < 28; i++) {
    const startedAt = new Date(Date.parse('2026-06-12T16:00:00Z') + i * 1_200_000).toISOString();
    const data = { id: `many-${i}`, plan: { ...plan, vesselId: 'any-vessel' }, startedAt };
    expect((await page.request.post(`${lido.url}/api/batches`, { data })).status()).toBe(201);
  }
  for (let i = 0; i < 17; i++) {
    const made = { madeAt: '2026-06-12T06:00:00.000Z', strengthFrac: 0.035, onHandG: 1500 };
    const data = { id: `jug-${i}`, label: `Jug ${10 + i}`, ...made };
    expect((await page.request.post(`${lido.url}/api/jugs`, { data })).status()).toBe(201);
  }
}
