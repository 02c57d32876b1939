import { axeFindings } from './axe.ts';
import { expect, lookingTest, stands, test } from './lido.ts';
import { misfits } from './misfits.ts';
import { noteShifts } from './noteShifts.ts';
import { PAGES, SIZES } from './pages.ts';

/** What is held in one hand. */
const AT_THE_BENCH = [
  'bench',
  'pour',
  'pour/quick',
  'steep',
  'jugs/lido-jug-2',
  'jugs/new',
  'plan',
];

/** A tenth of what web.dev’s Core Web Vitals call a good layout shift of a whole visit, 0.1. */
const MOST_SHIFT = 0.01;

/** Rules that axe leaves out by itself: who speaks to a page says what they read on it, and who taps it has thumbs. */
const ALSO = {
  rules: { 'label-content-name-mismatch': { enabled: true }, 'target-size': { enabled: true } },
};
/** What axe judges by colours. */
const OF_COLOURS = ['color-contrast', 'link-in-text-block'];

lookingTest.describe('every page', () => {
  // Fingers need larger buttons than a mouse: what fits them fits both.
  lookingTest.use({ hasTouch: true });

  for (const name of PAGES)
    lookingTest(
      `${name}: stands clear and still at every size, in both systems; axe finds nothing, by day and by night`,
      async ({ page, lido }) => {
        await page.addInitScript(noteShifts);
        for (const size of SIZES) {
          await page.setViewportSize(size);
          await page.goto(`${lido.url}/${name}`);
          await expect(page.locator('main h1').first()).toBeAttached();
          await expect(page.getByRole('link', { name: /^Jugs/ })).toContainText('3 jugs');
          await stands(page);
          await page.evaluate(() => document.fonts.ready);
          if (size.width > 390 || AT_THE_BENCH.includes(name)) {
            const moved = await page.evaluate(() => shifts);
            expect(moved.filter(({ by }) => by > MOST_SHIFT)).toEqual([]);
            const widthPx = await page.evaluate(() => document.documentElement.scrollWidth);
            expect(widthPx, 'sideways').toBeLessThanOrEqual(size.width);
          }
          expect(await misfits(page), `${size.width} px, metric`).toEqual([]);
          await page.getByRole('button', { name: /^Units: metric/ }).click();
          await stands(page);
          expect(await misfits(page), `${size.width} px, us`).toEqual([]);
          await page.getByRole('button', { name: /^Units: us/ }).click();
        }
        await page.setViewportSize(SIZES[0]!);
        await stands(page);
        expect(await axeFindings(page, (axe) => axe.options(ALSO)), 'by day').toEqual([]);
        await page.getByRole('button', { name: 'Night colours' }).click();
        await expect(page.locator('html')).toHaveAttribute('data-theme', 'night');
        // The night changes colours and nothing else.
        expect(await axeFindings(page, (axe) => axe.withRules(OF_COLOURS)), 'by night').toEqual([]);
      },
    );
});

lookingTest(
  'the main job of Plan and Pour needs no scrolling at 1280 × 800',
  async ({ page, lido }) => {
    for (const [path, button] of [
      ['plan', 'Start this steep'],
      ['pour', 'Pour this one'],
    ] as const) {
      await page.goto(`${lido.url}/${path}`);
      await expect(page.getByRole('button', { name: button })).toBeInViewport({ ratio: 1 });
    }
  },
);

lookingTest(
  'what to pour stands above the button at 1280 × 800, of a drink that is out of reach too',
  async ({ page, lido }) => {
    for (const drink of ['lido-black', 'deep-end']) {
      await page.goto(`${lido.url}/pour?drink=${drink}`);
      const button = await page.getByRole('button', { name: 'Pour this one' }).boundingBox();
      const order = page.getByRole('region', { name: 'Pour in this order' });
      const last = order.getByRole('listitem').last();
      await expect(last).toBeVisible();
      const row = (await last.boundingBox())!;
      expect(row.y + row.height).toBeLessThan(button!.y);
    }
  },
);

lookingTest(
  'what comes out of a plan is in sight on a tablet held upright, with what makes it',
  async ({ page, lido }) => {
    await page.setViewportSize({ width: 768, height: 1024 });
    await page.goto(`${lido.url}/plan`);
    for (const name of ['Brew wanted', 'Strength wanted', 'Coffee in', 'Hours of steep'])
      await expect(page.getByRole('textbox', { name })).toBeInViewport({ ratio: 1 });
    await expect(page.getByRole('slider', { name: 'End of the steep' })).toBeInViewport();
  },
);

lookingTest(
  'a page asks with its document for the files that it is put up with, once each',
  async ({ page, lido }) => {
    const asked: string[] = [];
    page.on('request', (request) => {
      const { pathname } = new URL(request.url());
      // What is fetched ahead for other pages is fetched unread.
      const isAhead = pathname.startsWith('/assets/') && request.resourceType() === 'fetch';
      if (!isAhead && request.serviceWorker() === null) asked.push(pathname);
    });
    for (const name of ['', 'plan', 'pour', 'shelf/instruments']) {
      // What the page before still asks for is none of this one's.
      await page.goto('about:blank');
      asked.splice(0);
      await page.goto(`${lido.url}/${name}`);
      await stands(page);
      const named = await page
        .locator('link[rel="modulepreload"], link[rel="preload"]')
        .evaluateAll((links) =>
          links.map((link) => new URL((link as HTMLLinkElement).href).pathname),
        );
      expect(named.filter((path) => path.includes('Page-')).length, name).toBeGreaterThan(0);
      const times = (path: string): number => asked.filter((one) => one === path).length;
      for (const path of [...named, '/api/start']) expect(times(path), `${name} ${path}`).toBe(1);
      // Nothing is asked for by itself that the first answer has.
      for (const path of ['/api/shop', '/api/batches', '/api/drafts', '/api/jugs'])
        expect(times(path), `${name} ${path}`).toBe(0);
    }
  },
);

lookingTest(
  'a station opens with the first part of each font; a letter beyond it fetches the rest',
  async ({ page, lido }) => {
    const fonts: string[] = [];
    page.on('request', (request) => {
      const [, font] = /([^/]+)-[\w-]{8}\.woff2$/.exec(request.url()) ?? [];
      if (font) fonts.push(font);
    });
    for (const name of ['bench', 'plan', 'steep', 'pour', 'jugs', 'shelf']) {
      await page.goto(`${lido.url}/${name}`);
      await stands(page);
      expect(new Set(fonts), name).toEqual(new Set(['chivo-first', 'chivo-mono-first']));
    }
    // A face that has not come is stood in for by a font of the system, which a browser looks up for each
    // size: what a page is set in has one face, and that has come.
    const opensWith = await page.evaluate(() => {
      const named = (family = ''): string => family.replaceAll('"', '');
      const [family] = getComputedStyle(document.body).fontFamily.split(',');
      return [...document.fonts]
        .filter((face) => named(face.family) === named(family))
        .map((face) => face.status);
    });
    expect(opensWith).toEqual(['loaded']);
    await page
      .getByRole('heading', { level: 1 })
      .first()
      .evaluate((title) => title.append('ø'));
    await expect.poll(() => fonts).toContain('chivo-latin-wght-normal');
  },
);

test('US units are one tap away on every page, and read back', async ({ page, lido }) => {
  await page.goto(`${lido.url}/plan`);
  await page.getByRole('button', { name: /Units/ }).click();
  await expect(page.getByRole('textbox', { name: 'Coffee in' })).toHaveValue(/30\.0\soz/);
  await page.getByRole('textbox', { name: 'Coffee in' }).fill('32');
  await page.getByRole('textbox', { name: 'Coffee in' }).blur();
  await expect(page.getByRole('textbox', { name: 'Coffee in' })).toHaveValue(/32\.0\soz/);
  await page.goto(`${lido.url}/pour`);
  await expect(page.getByRole('region', { name: 'This drink' })).toContainText('fl oz');
});

test('keys reach everything: find a drink, list the keys, begin a new plan', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/jugs`);
  await expect(page.getByRole('heading', { name: 'Concentrate on hand' })).toBeVisible();
  await page.keyboard.press('/');
  // At once, before the finder stands.
  await page.keyboard.type('coco drink');
  await expect(page.getByRole('textbox', { name: 'Find anything' })).toHaveValue('coco drink');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'This drink' })).toContainText('Coconut cove');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('find anything');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden();
  await page.keyboard.press('n');
  await expect(page.getByRole('textbox', { name: 'Name of the drink' })).toHaveValue('New drink');
  await page.keyboard.press('1');
  await page.keyboard.press('n');
  await expect(page).toHaveURL(/\/plan$/);
});

test('an address that leads nowhere, or asks for what there is not, says so', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/no/such/page`);
  await expect(page.getByRole('heading', { name: 'There is no page /no/such/page' })).toBeVisible();
  await page.getByRole('link', { name: 'Go to the bench' }).click();
  await expect(page).toHaveURL(/\/bench$/);

  await page.goto(`${lido.url}/log/compare`);
  await page.getByRole('link', { name: 'Open the log' }).click();
  await expect(page.getByRole('heading', { name: 'The log' })).toBeVisible();

  await page.goto(`${lido.url}/pour/quick?cup=9000&to=1.3`);
  const wrong = page.getByRole('alert').filter({ hasText: 'cup=9000' });
  await expect(wrong).toContainText('which cannot be');
  await expect(page.getByRole('textbox', { name: 'Strength wanted' })).toHaveValue(/^1\.30/);
  await wrong.getByRole('button', { name: 'Go on without it' }).click();
  await expect(wrong).toHaveCount(0);
  await expect(page).toHaveURL(/cup=350.*to=1\.3/);

  await page.goto(`${lido.url}/pour?drink=gone`);
  await expect(page.getByRole('alert')).toContainText(
    'There is no such drink on the menu any more.',
  );
});
