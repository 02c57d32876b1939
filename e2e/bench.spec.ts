import { axeFindings } from './axe.ts';
import type { Page } from '@playwright/test';
import { expect, lookingTest, test, type Lido } from './lido.ts';

const PLAN = {
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
};

/** The smallest PNG that a browser draws. */
const ONE_PIXEL =
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
const PHOTOGRAPH = {
  name: 'grounds.png',
  mimeType: 'image/png',
  buffer: Buffer.from(ONE_PIXEL, 'base64'),
};
async function takePhotograph(page: Page): Promise<void> {
  const asked = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Photograph' }).click();
  const chooser = await asked;
  await chooser.setFiles(PHOTOGRAPH);
}

const title = (page: Page) => page.getByRole('region', { name: 'This step' }).locator('h2');
const large = (page: Page) => page.locator('.foot .large');
/** Presses the large button as a pedal does, once it can be. */
async function press(page: Page): Promise<void> {
  const before = await title(page).textContent();
  await expect(large(page)).toBeEnabled({ timeout: 30_000 });
  await page.keyboard.press('PageDown');
  await expect(title(page)).not.toHaveText(before!);
  // A press this soon after a step has changed is not meant for it.
  await page.waitForTimeout(720);
}
async function begin(page: Page, lido: Lido): Promise<void> {
  const answer = await page.request.post(`${lido.url}/api/batches`, {
    data: { id: 'fresh', plan: PLAN },
  });
  expect(answer.status()).toBe(201);
  await page.goto(`${lido.url}/steep/fresh`);
  await expect(title(page)).toHaveText('Weigh the coffee');
}
const actuals = async (page: Page, lido: Lido): Promise<{ kind: string; step: string | null }[]> =>
  (await (await page.request.get(`${lido.url}/api/batches/fresh`)).json()).actuals;

test('from “Start this steep” to filled jugs by one button and what the instruments say', async ({
  page,
  lido,
}) => {
  test.setTimeout(150_000);
  await page.setViewportSize({ width: 768, height: 1024 });
  await page.goto(`${lido.url}/plan`);
  await page.getByRole('button', { name: 'Start this steep' }).click();
  await expect(page).toHaveURL(/\/steep$/);
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Weigh the coffee' })
    .getByRole('button', { name: 'At the bench' })
    .click();
  for (let steps = 0; steps < 20; steps++) {
    await expect(large(page)).toBeEnabled({ timeout: 30_000 });
    if ((await title(page).textContent())!.includes('All of it is done')) break;
    await press(page);
  }
  await expect(title(page)).toHaveText('All of it is done');
  const jugs = (await (await page.request.get(`${lido.url}/api/jugs`)).json()) as {
    onHandG: number;
    readBy: string;
    batchId: string | null;
  }[];
  const { id } = (
    (await (await page.request.get(`${lido.url}/api/batches`)).json()) as {
      id: string;
      status: string;
      strainedAt: string | null;
    }[]
  ).find((batch) => batch.status === 'strained' && !/^(lido|season)/.test(batch.id))!;
  const filled = jugs.filter(({ batchId }) => batchId === id);
  expect(filled.length).toBeGreaterThan(0);
  for (const { readBy } of filled) expect(readBy).toBe('refractometer');
  // What the scale weighed is what the jugs hold.
  const { actuals: rows } = await (await page.request.get(`${lido.url}/api/batches/${id}`)).json();
  const out = rows.find((row: { step: string }) => row.step === 'weigh-out');
  const held = filled.reduce((sum, { onHandG }) => sum + onHandG, 0);
  expect(held).toBeCloseTo(out.massG, 3);
  expect(out.instrumentId).toBe('bench-scale');
  await page.keyboard.press('PageDown');
  await expect(page).toHaveURL(/\/steep$/);
});

test('two tablets press the same step: it is done once, and taken back on both', async ({
  page,
  lido,
  context,
}) => {
  await begin(page, lido);
  const other = await context.newPage();
  await other.goto(`${lido.url}/steep/fresh`);
  await expect(large(other)).toBeEnabled({ timeout: 30_000 });
  await expect(large(page)).toBeEnabled({ timeout: 30_000 });
  // A press right after a step has come is not meant for it; two crowded pages may take their time to draw it.
  await page.waitForTimeout(1500);
  // At the same moment: neither waits for what the other did.
  const at = Date.now() + 1500;
  for (const one of [page, other])
    await large(one).evaluate((button: HTMLElement, when) => {
      setTimeout(() => button.click(), when - Date.now());
    }, at);
  for (const one of [page, other]) await expect(title(one)).toHaveText('Grind it');
  // Both pages go on before the server has answered.
  const steps = async () => [...new Set((await actuals(page, lido)).map(({ step }) => step))];
  await expect.poll(steps).toEqual(['weigh']);
  await page.waitForTimeout(800);
  await page.getByRole('button', { name: 'back' }).click();
  for (const one of [page, other]) await expect(title(one)).toHaveText('Weigh the coffee');
});

test('steps noted without a server arrive once, in order, with the time at which they were done', async ({
  page,
  lido,
  context,
}) => {
  await begin(page, lido);
  await press(page);
  await context.setOffline(true);
  await expect(title(page)).toHaveText('Grind it');
  await press(page);
  await press(page);
  await expect(title(page)).toHaveText(/^Pour half/);
  await expect(page.getByText(/kept on this tablet/)).toBeVisible();
  expect((await actuals(page, lido)).map(({ step }) => step)).toEqual(['weigh']);
  await context.setOffline(false);
  await expect
    .poll(async () => (await actuals(page, lido)).map(({ step }) => step), { timeout: 40_000 })
    .toEqual(['weigh', 'grind', 'tare']);
});

test('a server that is killed in the middle of a step: the step stands, the timer goes on', async ({
  page,
  lido,
}) => {
  await begin(page, lido);
  for (let i = 0; i < 4; i++) await press(page);
  await expect(title(page)).toHaveText('Wait until the level has sunk');
  await lido.kill();
  await lido.start();
  await page.reload();
  await expect(title(page)).toHaveText('Wait until the level has sunk');
  await page.waitForTimeout(720);
  await expect(page.getByRole('timer')).toHaveText(/^[23]:\d\d$/);
  await press(page);
  await expect(title(page)).toHaveText('Stir from the bottom');
});

test('what happens beside the steps is noted, corrects what is to come, and a batch is given up with a reason', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/steep/lido-batch-5`);
  const goes = page.getByRole('region', { name: 'How it goes' });
  await expect(goes).toContainText('As planned.');
  await page.getByRole('button', { name: 'Read a drop' }).click();
  await page.getByRole('textbox', { name: 'Strength of the drop' }).fill('3.9 %');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(goes).toContainText('Stronger than the planned');
  await expect(goes).toContainText(/Thin what comes out with/);
  await expect(goes).toContainText(/Read 3\.90\s%/);
  await takePhotograph(page);
  await expect(page.getByRole('img', { name: /^Photograph of/ })).toBeVisible();
  await page.getByRole('button', { name: 'Give it up' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('button', { name: 'Give it up' })).toBeDisabled();
  await dialog.getByRole('textbox', { name: 'Why' }).fill('The bag tore.');
  await dialog.getByRole('button', { name: 'Give it up' }).click();
  await page.goto(`${lido.url}/steep`);
  await expect(page.getByText('given up: The bag tore.')).toBeVisible();
});

test('a shop says a step in its own words, and leaves one out', async ({ page, lido }) => {
  await page.goto(`${lido.url}/shelf`);
  await page.getByRole('button', { name: /^The steps of a batch/ }).click();
  const first = page.getByRole('textbox', { name: 'What is done' }).first();
  await first.fill('Beans onto the scale');
  await first.blur();
  await page.getByRole('switch', { name: /Take the step “Grind it”/ }).press(' ');
  // Both writes have arrived: a page that is left takes one with it that is on its way.
  await expect
    .poll(async () => (await (await page.request.get(`${lido.url}/api/shop`)).json()).steps)
    .toEqual(
      expect.arrayContaining([
        expect.objectContaining({ title: 'Beans onto the scale' }),
        expect.objectContaining({ key: 'grind', leftOut: true }),
      ]),
    );
  await page.request.post(`${lido.url}/api/batches`, { data: { id: 'fresh', plan: PLAN } });
  await page.goto(`${lido.url}/steep/fresh`);
  await expect(title(page)).toHaveText('Beans onto the scale');
  await press(page);
  await expect(title(page)).toHaveText(/^Put the vessel on the scale/);
});

test('an instrument is tried, tared and calibrated by what is known', async ({ page, lido }) => {
  await page.goto(`${lido.url}/shelf/instruments`);
  const scale = page.getByRole('button', { name: /^Bench scale/ });
  await scale.click();
  await page.getByRole('button', { name: /^1000\s?g$/ }).click();
  await expect(scale).toContainText(/speaks(999|1000|1001)\s?g/, { timeout: 10_000 });
  await page.getByRole('textbox', { name: 'A known mass lies on it' }).fill('1010 g');
  await page.getByRole('button', { name: 'Calibrate it by that' }).click();
  await expect(scale).toContainText(/10(09|10|11)\s?g/, { timeout: 10_000 });
  await expect(scale).toContainText('calibrated');
  await page.getByRole('button', { name: 'Tare' }).click();
  await expect(scale).toContainText(/speaks[0-2]\s?g/, { timeout: 10_000 });
  await page.getByRole('button', { name: /^Refractometer/ }).click();
  await page.getByRole('button', { name: 'a drop of concentrate' }).click();
  // 4.1 °Bx are 3.49 % by the usual 0.85.
  const says = page.getByRole('status').filter({ hasText: 'a drink with milk or sugar' });
  await expect(says).toContainText(/Coffee strength\s?3\.[3-6]\d/, { timeout: 10_000 });
  await page.getByRole('radio', { name: 'a drink with milk or sugar' }).check({ force: true });
  await expect(says).toContainText('This is no coffee strength');
  await expect(says).not.toContainText(/Coffee strength/);
});

for (const [width, height] of [
  [1280, 800],
  [768, 1024],
  [390, 844],
] as const)
  lookingTest(
    `at ${width} × ${height} the step and its button are in sight, nothing is cut, axe finds nothing`,
    async ({ page, lido }) => {
      await page.setViewportSize({ width, height });
      await page.goto(`${lido.url}/steep/lido-batch-4`);
      await expect(large(page)).toBeInViewport({ ratio: 1 });
      await expect(title(page)).toBeInViewport({ ratio: 1 });
      await expect(page.getByRole('button', { name: 'back' })).toBeInViewport({ ratio: 1 });
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(
        width,
      );
      expect(await axeFindings(page)).toEqual([]);
    },
  );

test('a photograph that is taken while the server is gone waits, with the large button in sight, and arrives once', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/steep/lido-batch-5`);
  const large = page.getByRole('button', { name: /^Strain it now/ });
  await expect(large).toBeVisible();
  await lido.kill();
  await takePhotograph(page);
  await expect(page.getByText('waits for the server')).toBeVisible();
  await expect(page.getByText('The server does not answer.')).toBeVisible();
  await expect(large).toBeInViewport({ ratio: 1 });
  // A closed tablet loses nothing.
  await lido.start();
  await page.reload();
  const shown = page.getByRole('link').filter({ has: page.getByRole('img', { name: /^Photo/ }) });
  await expect(shown).toHaveCount(1);
  await expect(page.getByText('waits for the server')).toBeHidden();
  const { photos } = await (await page.request.get(`${lido.url}/api/batches/lido-batch-5`)).json();
  expect(photos).toHaveLength(1);
});

test('a step shows how this shop does it', async ({ page, lido }) => {
  await page.goto(`${lido.url}/shelf`);
  await page.getByRole('button', { name: /^The steps of a batch/ }).click();
  const first = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('textbox', { name: 'What is done' }) })
    .first();
  await first.locator('input[type=file]').setInputFiles(PHOTOGRAPH);
  await expect(page.getByRole('img', { name: 'How it is done: Weigh the coffee' })).toBeVisible();
  await begin(page, lido);
  const how = page.getByRole('img', { name: 'How this shop does it: Weigh the coffee' });
  await expect(how).toBeVisible();
  expect(await how.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(0);
});

test('a batch that is strained tells what it came to, and no more what would mend it', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/steep/lido-batch-1`);
  const went = page.getByRole('region', { name: 'How it goes' });
  await expect(went).toContainText('It came to');
  await expect(went).toContainText('Weaker than the planned');
  await expect(went).not.toContainText('instead of');
  await expect(went.getByText('now', { exact: true })).toHaveCount(0);
});
