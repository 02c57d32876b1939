import { fileURLToPath } from 'node:url';
import { stands, test, type Lido } from './lido.ts';
import type { Page } from '@playwright/test';

const FOLDER = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly width?: number;
  readonly height?: number;
  /** A page without the line on top. */
  readonly isBare?: boolean;
  readonly before?: (page: Page) => Promise<void>;
}

const SHOTS: readonly Shot[] = [
  {
    name: 'bench',
    path: '/bench',
    before: async (page) => {
      await page.getByText(/Jug 1, at/).waitFor();
    },
  },
  {
    name: 'log',
    path: '/log',
    before: async (page) => {
      await page.getByText(/^1\d\d batches/).waitFor();
    },
  },
  {
    name: 'learning',
    path: '/log/learning',
    before: async (page) => {
      await page.getByText(/^The range held/).waitFor({ timeout: 30_000 });
    },
  },
  {
    name: 'compare',
    path: '/log/compare?a=season-70&b=season-78',
    before: async (page) => {
      await page.getByText('left unexplained').waitFor();
    },
  },
  { name: 'tasting', path: '/log/tasting' },
  {
    name: 'plan',
    path: '/plan',
    before: async (page) => {
      await page.getByText(/of what it gives$/).waitFor();
      await page.getByText(/of its extraction is done at/).waitFor();
    },
  },
  { name: 'quick-phone', path: '/pour/quick', width: 390, height: 844 },
  { name: 'shelf', path: '/shelf' },
  { name: 'steep', path: '/steep' },
  {
    name: 'bench-step',
    path: '/steep/morning',
    width: 768,
    height: 1024,
    isBare: true,
    before: async (page) => {
      const large = page.locator('.foot .large');
      for (const said of [/^Weighed \d/, 'Ground', 'Tared']) {
        await large.filter({ hasText: said }).waitFor();
        await page.waitForTimeout(720);
        await page.keyboard.press('PageDown');
      }
      await page.getByText(/^(9|1[0-4])\d\d$/).waitFor();
    },
  },
  {
    name: 'bench-running',
    path: '/steep/lido-batch-5',
    isBare: true,
    before: async (page) => {
      await page.getByRole('button', { name: 'Read a drop' }).click();
      await page.getByRole('textbox', { name: 'Strength of the drop' }).fill('3.7 %');
      await page.getByRole('button', { name: 'Note it' }).click();
      await page.getByText('Stronger than the planned').waitFor();
    },
  },
  {
    name: 'instruments',
    path: '/shelf/instruments',
    before: async (page) => {
      await page
        .getByRole('button', { name: /^Refractometer/ })
        .getByText('°Bx')
        .waitFor();
    },
  },
  { name: 'jugs', path: '/jugs' },
  { name: 'pour', path: '/pour' },
  { name: 'menu', path: '/pour/menu' },
  { name: 'house-recipes', path: '/shelf/house-recipes?recipe=rosemary-syrup' },
  {
    name: 'people',
    path: '/shelf/people',
    before: async (page) => {
      const fill = (name: string, text: string) =>
        page.getByRole('textbox', { name, exact: true }).fill(text);
      for (const [name, pin] of [
        ['Early shift', '2468'],
        ['Late shift', '1357'],
      ] as const) {
        await fill('Name of somebody new', name);
        await fill('PIN of somebody new', pin);
        await page.getByRole('button', { name: 'Add', exact: true }).click();
        await page.getByText(name, { exact: true }).waitFor();
      }
      await page.getByRole('button', { name: 'Close' }).click();
    },
  },
  {
    name: 'pour-out-of-reach',
    path: '/pour',
    before: (page) => page.getByRole('button', { name: /Deep end/ }).click(),
  },
  {
    name: 'pour-phone-night',
    path: '/pour',
    width: 390,
    height: 844,
    before: async (page) => {
      await page.getByRole('button', { name: 'Night colours' }).click();
      await page.evaluate(() => window.scrollTo(0, 0));
    },
  },
];

/** The batch that is being made when the picture is taken. */
const startMorning = (page: Page, lido: Lido) =>
  page.request.post(`${lido.url}/api/batches`, {
    data: {
      id: 'morning',
      plan: {
        coffeeId: 'lot-14',
        vesselId: 'other-tall-jar',
        grind: 'coarse',
        doseG: 850,
        waterG: 4250,
        waterC: 12,
        wetting: 'stages',
        steep: [{ place: 'fridge', tempC: 4, hours: 18 }],
        agitationHours: [],
        bed: 'loose',
        filtration: { method: 'drain', rinseG: 0 },
      },
    },
  });

async function take(page: Page, lido: Lido, shot: Shot): Promise<void> {
  await page.setViewportSize({ width: shot.width ?? 1280, height: shot.height ?? 800 });
  if (shot.path.endsWith('/morning')) await startMorning(page, lido);
  await page.goto(`${lido.url}${shot.path}`);
  await page.locator('main > :not(.wait):visible').first().waitFor();
  // The line is whole when the menu is counted.
  if (!shot.isBare)
    await page.getByRole('link', { name: /^Pour/ }).getByText('out of reach').waitFor();
  await shot.before?.(page);
  await page.evaluate(() => document.fonts.ready);
  await stands(page);
  await page.screenshot({ path: `${FOLDER}${shot.name}.png` });
}

for (const shot of SHOTS)
  test(shot.name, async ({ page, lido }) => {
    await take(page, lido, shot);
  });
