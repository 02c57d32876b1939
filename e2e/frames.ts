import type { Page } from '@playwright/test';
import sqlite3 from 'sqlite3';
import { makeBusy } from './busyLido.ts';
import { test, type Lido } from './lido.ts';

/** One picture of a screen of 60 a second, ms. */
const FRAME_MS = 1000 / 60;
/** What a page may keep the thread for while it opens, ms. */
const TASK_MS = 50;
/** What a page may move while it opens (web.dev/cls: good up to 0.1). */
const MOST_SHIFT = 0.1;
const YEAR_OF_POURS = 40_000;
const STATIONS = ['bench', 'plan', 'steep', 'jugs', 'pour', 'log', 'shelf'];
/** Pages on which something is drawn that can be dragged. */
const DRAGGED = ['plan', 'pour', 'bench'];

interface Row {
  readonly what: string;
  readonly ms: number;
  readonly ofMs: number;
}
// In one piece: the runner puts a line of its own between two.
const printLines = (title: string, unit: string, lines: readonly string[]): void =>
  console.log([`\n| ${title} | ${unit} | of its budget |`, '|---|---|---|', ...lines].join('\n'));
const print = (title: string, rows: readonly Row[]): void =>
  printLines(
    title,
    'ms',
    rows.map(({ what, ms, ofMs }) => `| ${what} | ${ms.toFixed(0)} | ${(ms / ofMs).toFixed(1)} |`),
  );

/** What a page notes of itself from its first moment. */
interface Seen {
  /** Tasks of 50 ms and more. */
  tasks: number[];
  /** Between two pictures, while it is watched. */
  frames: number[];
  /** How much moved of what stood, as browsers score it (layout shift). */
  shift: number;
}
async function watchItself(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const seen: Seen = { tasks: [], frames: [], shift: 0 };
    Object.assign(globalThis, { seen });
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) seen.tasks.push(duration);
    }).observe({ type: 'longtask', buffered: true });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries())
        seen.shift += (entry as PerformanceEntry & { readonly value: number }).value;
    }).observe({ type: 'layout-shift', buffered: true });
    let before = performance.now();
    const tick = (): void => {
      const now = performance.now();
      seen.frames.push(now - before);
      before = now;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
}
const seenOf = (page: Page): Promise<Seen> =>
  page.evaluate(() => (globalThis as unknown as { seen: Seen }).seen);
const forget = (page: Page): Promise<void> =>
  page.evaluate(() => {
    Object.assign((globalThis as unknown as { seen: Seen }).seen, { tasks: [], frames: [] });
  });
const most = (all: readonly number[]): number => Math.max(0, ...all);
const quiet = (page: Page): Promise<void> => page.waitForTimeout(2500);

test('pages open', async ({ page, lido }) => {
  test.setTimeout(180_000);
  await watchItself(page);
  const rows: Row[] = [];
  const moved: string[] = [];
  // The first one starts the browser's own machinery too.
  for (const station of ['plan', ...STATIONS]) {
    await page.goto('about:blank');
    await page.goto(`${lido.url}/${station}`);
    await quiet(page);
    const paintMs = await page.evaluate(
      () => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0,
    );
    const { tasks, shift } = await seenOf(page);
    moved.push(`| /${station} | ${shift.toFixed(3)} | ${(shift / MOST_SHIFT).toFixed(1)} |`);
    rows.push({
      what: `/${station}: longest task (first paint ${paintMs.toFixed(0)} ms)`,
      ms: most(tasks),
      ofMs: TASK_MS,
    });
  }
  print('opening', rows.slice(1));
  printLines('what moved while it opened', 'layout shift', moved.slice(1));
});

test('handles are dragged', async ({ page, lido }) => {
  test.setTimeout(180_000);
  await watchItself(page);
  const rows: Row[] = [];
  for (const station of DRAGGED) {
    await page.goto(`${lido.url}/${station}`);
    await quiet(page);
    const handles = page.locator('svg [role="slider"]');
    for (let i = 0; i < (await handles.count()); i++) {
      const handle = handles.nth(i);
      const name = await handle.getAttribute('aria-label');
      const box = await handle.boundingBox();
      if (!box) continue;
      await forget(page);
      const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
      await page.mouse.move(x, y);
      await page.mouse.down();
      for (let step = 1; step <= 30; step++)
        await page.mouse.move(x + (step % 10), y + 10 - (step % 20));
      const { frames } = await seenOf(page);
      await page.mouse.up();
      rows.push({ what: `/${station}: ${name}`, ms: most(frames), ofMs: FRAME_MS });
    }
  }
  print('longest time between two pictures while it is dragged', rows);
});

function write(lido: Lido, sql: string): Promise<void> {
  return new Promise((resolve, reject) => {
    const db = new sqlite3.Database(`${lido.dataDir}/ratio.sqlite`);
    db.exec(sql, (error) => db.close(() => (error ? reject(error) : resolve())));
  });
}

/** The season of two months six times over, each two months before the other. */
const addSeasons = (lido: Lido): Promise<void> => {
  const before = (column: string): string =>
    `strftime('%Y-%m-%dT%H:%M:%fZ', ${column}, '-' || (61 * n.i) || ' days')`;
  return write(
    lido,
    `WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < 5)
     INSERT INTO batches (shop_id, id, version, author, body, coffee_name, status,
       started_at, ends_at, strained_at)
     SELECT shop_id, id || '-' || n.i, version, author, body, coffee_name, status,
       ${before('started_at')}, ${before('ends_at')}, ${before('strained_at')}
     FROM batches, n WHERE status = 'strained'`,
  );
};

/** A year of the shop's pours behind it, ten a minute in its open hours. */
const addYear = (lido: Lido): Promise<void> =>
  write(
    lido,
    `WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < ${YEAR_OF_POURS})
       INSERT INTO jug_entries (shop_id, id, author, at, jug_id, kind, mass_g, note)
       SELECT 'lido', 'year-' || i, 'bench',
         strftime('%Y-%m-%dT%H:%M:%fZ', '2026-06-12 18:00:00', '-' || (i / 110) || ' days', '-' || (6 * (i % 110)) || ' minutes'),
         'lido-jug-1', 'poured', -60, 'Bar' FROM n`,
  );

/** What a page works for something, ms: its scripts, its styles and its layout, without painting. */
async function workOf(page: Page, something: () => Promise<void>): Promise<number> {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Performance.enable');
  const seconds = async (): Promise<number> => {
    const { metrics } = await cdp.send('Performance.getMetrics');
    return metrics
      .filter(({ name }) => /^(Script|Layout|RecalcStyle)Duration$/.test(name))
      .reduce((sum, { value }) => sum + value, 0);
  };
  const before = await seconds();
  await something();
  const after = await seconds();
  await cdp.detach();
  return 1000 * (after - before);
}

test('the charts of a year of batches', async ({ page, lido }) => {
  test.setTimeout(180_000);
  await addSeasons(lido);
  await watchItself(page);
  const rows: Row[] = [];
  for (const path of ['log', 'log/learning', 'log/cost']) {
    await page.goto(`${lido.url}/${path}`);
    await quiet(page);
    const { tasks } = await seenOf(page);
    rows.push({ what: `/${path}: longest task`, ms: most(tasks), ofMs: TASK_MS });
  }
  print('the charts of a year', rows);
});

test('a change on the day with thirty batches and a year of pours', async ({ page, lido }) => {
  test.setTimeout(180_000);
  await makeBusy(page, lido);
  await addYear(lido);
  await watchItself(page);
  await page.goto(`${lido.url}/bench`);
  await quiet(page);
  const opened = await seenOf(page);
  const rows: Row[] = [{ what: 'opening it: longest task', ms: most(opened.tasks), ofMs: TASK_MS }];
  const measured = async (what: string, change: () => Promise<void>): Promise<void> => {
    await forget(page);
    const workMs = await workOf(page, async () => {
      await change();
      await page.waitForTimeout(1200);
    });
    rows.push({ what: `${what}: script, style and layout of it all`, ms: workMs, ofMs: FRAME_MS });
    const { frames } = await seenOf(page);
    rows.push({ what: `${what}: between two pictures at most`, ms: most(frames), ofMs: FRAME_MS });
  };
  await measured('nothing', async () => undefined);
  await measured('a pour on another tablet', async () => {
    const data = { id: 'bench-pour', kind: 'poured', massG: 60, note: 'Bar' };
    await page.request.post(`${lido.url}/api/jugs/lido-jug-2/entries`, { data });
  });
  for (const key of ['ArrowRight', 'ArrowLeft'])
    await measured(key, () => page.keyboard.press(key));
  print('the day with thirty batches and a year of pours', rows);
});
