import type { Page } from '@playwright/test';
import sqlite3 from 'sqlite3';
import { makeBusy } from './busyLido.ts';
import { test, type Lido } from './lido.ts';
import { longestTask, type Task } from './longestTask.ts';
import { noteShifts } from './noteShifts.ts';
import { PAGES, SIZES } from './pages.ts';

/** One picture of a screen of 60 a second, ms. */
const FRAME_MS = 1000 / 60;
/** What a page may keep the thread for while it opens, ms. */
const TASK_MS = 70;
/** What a page may move while it opens (web.dev/cls calls up to 0.1 good). */
const MOST_SHIFT = 0.01;
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
const printTable = (heads: readonly string[], rows: readonly (readonly string[])[]): void =>
  console.log(
    [
      '',
      ...[heads, heads.map(() => '---'), ...rows].map((cells) => `| ${cells.join(' | ')} |`),
    ].join('\n'),
  );
/** A figure, and how much of its budget it is. */
const ofBudget = (ms: number, ofMs: number): string[] => [ms.toFixed(0), (ms / ofMs).toFixed(1)];
const print = (title: string, rows: readonly Row[]): void =>
  printTable(
    [title, 'ms', 'of its budget'],
    rows.map(({ what, ms, ofMs }) => [what, ...ofBudget(ms, ofMs)]),
  );
/** Tasks by the clock, and by what the processor worked for them: others share the machine. */
const printTasks = (title: string, rows: readonly (Task & { what: string })[]): void =>
  printTable(
    [title, 'ms', 'of its budget', 'worked ms', 'of its budget'],
    rows.map(({ what, ms, workedMs }) => [
      what,
      ...ofBudget(ms, TASK_MS),
      ...ofBudget(workedMs, TASK_MS),
    ]),
  );

/** What a page notes of itself from its first moment. */
interface Seen {
  /** Between two pictures, while it is watched. */
  frames: number[];
}
async function watchItself(page: Page): Promise<void> {
  await page.addInitScript(noteShifts);
  await page.addInitScript(() => {
    const seen: Seen = { frames: [] };
    Object.assign(globalThis, { seen });
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
/** How much moved of what stood, as browsers score it (layout shift). */
const shiftOf = (page: Page): Promise<number> =>
  page.evaluate(() => shifts.reduce((sum, { by }) => sum + by, 0));
const forget = (page: Page): Promise<void> =>
  page.evaluate(() => {
    Object.assign((globalThis as unknown as { seen: Seen }).seen, { frames: [] });
  });
const most = (all: readonly number[]): number => Math.max(0, ...all);
const quiet = (page: Page): Promise<void> => page.waitForTimeout(2500);
/** The longest task of opening a page, until it is quiet. */
const openingOf = (page: Page, url: string): Promise<Task> =>
  longestTask(page, async () => {
    await page.goto(url);
    await quiet(page);
  });

test('pages open', async ({ page, lido }) => {
  test.setTimeout(180_000);
  await watchItself(page);
  const rows: (Task & { what: string })[] = [];
  const moved: string[][] = [];
  // The first one starts the browser's own machinery too.
  for (const station of ['plan', ...STATIONS]) {
    await page.goto('about:blank');
    const task = await openingOf(page, `${lido.url}/${station}`);
    const paintMs = await page.evaluate(
      () => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0,
    );
    const shift = await shiftOf(page);
    moved.push([`/${station}`, shift.toFixed(3), (shift / MOST_SHIFT).toFixed(1)]);
    rows.push({ what: `/${station} (first paint ${paintMs.toFixed(0)} ms)`, ...task });
  }
  printTasks('opening: longest task', rows.slice(1));
  printTable(['what moved while it opened', 'layout shift', 'of its budget'], moved.slice(1));
});

test('pages open on a phone: what stands stays where it is', async ({ page, lido }) => {
  test.setTimeout(300_000);
  await watchItself(page);
  await page.setViewportSize(SIZES.at(-1)!);
  const moved: [string, number][] = [];
  for (const name of PAGES) {
    await page.goto('about:blank');
    await page.goto(`${lido.url}/${name}`);
    await quiet(page);
    moved.push([`/${name}`, await shiftOf(page)]);
  }
  printTable(
    ['what moved most while it opened on a phone', 'layout shift', 'of its budget'],
    moved
      .toSorted(([, a], [, b]) => b - a)
      .slice(0, 8)
      .map(([name, shift]) => [name, shift.toFixed(3), (shift / MOST_SHIFT).toFixed(1)]),
  );
});

/** Thirty small moves, as fast as the page takes them. */
async function moveAbout(page: Page, { x, y }: { x: number; y: number }): Promise<void> {
  for (let step = 1; step <= 30; step++)
    await page.mouse.move(x + (step % 10), y + 10 - (step % 20));
}

test('handles are dragged', async ({ page, lido }) => {
  test.setTimeout(300_000);
  await watchItself(page);
  const rows: string[][] = [];
  for (const station of DRAGGED) {
    await page.goto(`${lido.url}/${station}`);
    await quiet(page);
    const drag = async (at: { x: number; y: number }) => {
      await forget(page);
      const { workedMs } = await longestTask(page, () => moveAbout(page, at));
      const { frames } = await seenOf(page);
      return { pictureMs: most(frames), workedMs };
    };
    // What the machine takes for as many moves over nothing.
    const idle = await drag({ x: 4, y: 200 });
    const note = (what: string, { pictureMs, workedMs }: typeof idle): void => {
      rows.push([
        `/${station}: ${what}`,
        ...ofBudget(pictureMs, idle.pictureMs),
        ...ofBudget(workedMs, FRAME_MS),
      ]);
    };
    note('nothing', idle);
    const handles = page.locator('svg [role="slider"]');
    for (let i = 0; i < (await handles.count()); i++) {
      const handle = handles.nth(i);
      const name = await handle.getAttribute('aria-label');
      const box = await handle.boundingBox();
      if (!box) continue;
      const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
      await page.mouse.move(at.x, at.y);
      await page.mouse.down();
      note(name!, await drag(at));
      await page.mouse.up();
    }
  }
  printTable(
    [
      'dragged',
      'most ms between two pictures',
      'of nothing dragged',
      'longest task, worked ms',
      'of a picture',
    ],
    rows,
  );
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
  const rows: (Task & { what: string })[] = [];
  for (const path of ['log', 'log/learning', 'log/cost']) {
    rows.push({ what: `/${path}`, ...(await openingOf(page, `${lido.url}/${path}`)) });
  }
  printTasks('the charts of a year: longest task', rows);
});

test('a change on the day with thirty batches and a year of pours', async ({ page, lido }) => {
  test.setTimeout(180_000);
  await makeBusy(page, lido);
  await addYear(lido);
  await watchItself(page);
  const opened = await openingOf(page, `${lido.url}/bench`);
  printTasks('the day with thirty batches: longest task', [{ what: '/bench', ...opened }]);
  const rows: Row[] = [];
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
