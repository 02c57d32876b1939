import { fileURLToPath } from 'node:url';
import { test, type Lido } from './lido.ts';
import type { Page } from '@playwright/test';

const FOLDER = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly width?: number;
  readonly height?: number;
  readonly before?: (page: Page) => Promise<void>;
}

const SHOTS: readonly Shot[] = [
  { name: 'plan', path: '/plan' },
  { name: 'plan-upright', path: '/plan', width: 768, height: 1024 },
  { name: 'quick-phone', path: '/pour/quick', width: 390, height: 844 },
  {
    name: 'plan-why',
    path: '/plan',
    before: async (page) => {
      await page.getByRole('button', { name: 'Why' }).nth(1).click();
      await page.getByText('of 5000 draws').waitFor();
      await page.waitForTimeout(400);
    },
  },
  { name: 'recipes', path: '/plan/recipe' },
  { name: 'small-jars', path: '/plan/samples' },
  { name: 'shelf', path: '/shelf' },
  { name: 'steep', path: '/steep' },
  { name: 'jugs', path: '/jugs' },
  { name: 'jug', path: '/jugs/lido-jug-1' },
  { name: 'pour', path: '/pour' },
  {
    name: 'pour-make',
    path: '/pour?drink=salt-foam-tide',
    before: (page) => page.getByRole('radio', { name: 'What is in it' }).click(),
  },
  { name: 'menu', path: '/pour/menu' },
  { name: 'build-card', path: '/pour/card?drink=salt-foam-tide' },
  { name: 'house-recipes', path: '/shelf/house-recipes?recipe=rosemary-syrup' },
  { name: 'ingredients', path: '/shelf/ingredients' },
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

async function take(page: Page, lido: Lido, shot: Shot): Promise<void> {
  await page.setViewportSize({ width: shot.width ?? 1280, height: shot.height ?? 800 });
  await page.goto(`${lido.url}${shot.path}`);
  await page.getByRole('link', { name: /^Jugs/ }).getByText('3 jugs').waitFor();
  await shot.before?.(page);
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: `${FOLDER}${shot.name}.png` });
}

for (const shot of SHOTS)
  test(shot.name, async ({ page, lido }) => {
    await take(page, lido, shot);
  });
