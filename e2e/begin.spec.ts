import type { Page } from '@playwright/test';
import { expect, freshTest, test } from './lido.ts';

const field = (page: Page, name: string) => page.getByRole('textbox', { name, exact: true });
async function fill(page: Page, name: string, text: string): Promise<void> {
  await field(page, name).fill(text);
  await field(page, name).press('Enter');
}
const choose = async (page: Page, name: string, option: RegExp): Promise<void> => {
  await page.getByRole('combobox', { name, exact: true }).press('Enter');
  await page.getByRole('option', { name: option }).first().click();
};

freshTest.describe('from nothing', () => {
  freshTest('a stranger’s first drink is right after one touch', async ({ page, lido }) => {
    await page.goto(`${lido.url}/plan`);
    await page.getByRole('link', { name: /^Pour/ }).click();
    const drink = page.getByRole('region', { name: 'This drink' });
    // By hand at 3.5 %: 85 mL of concentrate, 117 of water and 150 g of ice are 1.4 % after 4 min.
    await expect(drink).toContainText('1.40');
    await expect(drink.getByRole('listitem').filter({ hasText: 'Concentrate' })).toContainText(
      '85',
    );
    // Two more make it exact: how strong it is.
    await fill(page, 'Strength of the concentrate', '2.6 %');
    await expect(drink).toContainText('1.40');
    await expect(drink.getByRole('button', { name: /^Pour/ })).toHaveCount(0);
    await page.getByRole('button', { name: 'Keep these 6' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'shop’s menu now' })).toBeVisible();
  });

  freshTest(
    'pages that wait for a batch lead to a plan while none steeps',
    async ({ page, lido }) => {
      for (const name of ['jugs', 'log/learning', 'log/tasting']) {
        await page.goto(`${lido.url}/${name}`);
        await page.getByRole('link', { name: 'Plan a batch' }).click();
        await expect(page).toHaveURL(/\/plan$/);
      }
      await page.goto(`${lido.url}/plan/samples`);
      await page.getByRole('link', { name: 'Add a vessel to the shelf' }).click();
      await expect(page).toHaveURL(/\/shelf$/);
      // What has no price on the shelf costs more than nothing.
      await page.goto(`${lido.url}/pour`);
      const drink = page.getByRole('region', { name: 'This drink' });
      await expect(drink).toContainText('Without a price on the shelf: Concentrate');
      await expect(drink.getByText('€0.00')).toHaveCount(1);
      await page.getByRole('link', { name: 'Menu' }).click();
      await expect(page.getByRole('heading', { level: 1 })).toHaveText(
        'The menu from an assumed concentrate',
      );
      await expect(page.getByText(/· 3\.50\s%, counted from 1\.00\sL ·/u)).toBeVisible();
    },
  );

  freshTest(
    'last night’s batch goes in as it was, and comes out as it did',
    async ({ page, lido }) => {
      await page.goto(`${lido.url}/plan`);
      await expect(page.getByText('Assumed:')).toContainText('a usual coffee');
      await page.getByRole('button', { name: 'dark', exact: true }).click();
      await page.getByRole('button', { name: 'yesterday 18:00' }).click();
      await expect(page.getByText(/Began Fri 18:00: it has steeped for/)).toBeVisible();
      await page.getByRole('button', { name: 'It is steeping' }).click();
      await expect(page).toHaveURL(/\/steep$/);
      const batch = page.getByRole('listitem').filter({ hasText: 'Any vessel' });
      await expect(batch).toContainText('Fri 18:00');
      await expect(batch.getByRole('button', { name: 'Say what came out' })).toBeDisabled();
      // Refused, it keeps its text, and nothing is written in its place.
      await fill(page, 'Came out', '480 bushels');
      await expect(batch.getByRole('button', { name: /Mend “Came out” first/ })).toBeDisabled();
      await expect(field(page, 'Came out')).toHaveValue('480 bushels');
      await fill(page, 'Came out', '2480 mL');
      await batch.getByRole('button', { name: 'Strain it' }).click();
      await page.getByRole('button', { name: 'Yes, that is how it was' }).click();
      await expect(page).toHaveURL(/\/jugs$/);
      await expect(
        page.getByRole('listitem').filter({ hasText: 'A usual dark roast' }),
      ).toContainText('2.48');
    },
  );

  freshTest('a jug from elsewhere is thinned by 250 mL', async ({ page, lido }) => {
    await page.goto(`${lido.url}/jugs/new`);
    await fill(page, 'Concentrate to water at which it tastes right', '1 to 2');
    await fill(page, 'How much is in it', '1 L');
    await page.getByRole('button', { name: 'Put it on hand' }).click();
    const jug = page.getByRole('listitem').filter({ hasText: 'Jug from elsewhere' });
    // A cup of 1.15 to 1.45 % at 1 to 2 by volume is 3.4 to 4.3 %; 3.86 in the middle.
    await expect(jug).toContainText('3.86');
    await jug.getByRole('link', { name: 'Read, thin, blend' }).click();
    await page.getByRole('radio', { name: 'Add water' }).click();
    await fill(page, 'Water added', '250 mL');
    await page.getByRole('button', { name: /of water are in/ }).click();
    // 1 L of 3.86 % is 1015 g: 39.2 g of solids in 1265 g.
    await expect(page.getByText('Strength (TDS), by the balance')).toBeVisible();
    await expect(page.getByText('3.10').first()).toBeVisible();
    // It was 200: the entry stays, and another says so.
    await page.getByRole('button', { name: /Correct: water added/ }).click();
    await fill(page, 'What the amount really was', '200 g');
    await fill(page, 'Why it is corrected', 'misread');
    await page.getByRole('button', { name: 'Correct it' }).click();
    await expect(page.getByRole('cell', { name: 'misread' })).toBeVisible();
    await expect(page.getByText('3.23').first()).toBeVisible();
    // Poured by hand.
    await page.getByRole('radio', { name: 'Draw off', exact: true }).click();
    await fill(page, 'How much is drawn off', '2 L');
    await expect(page.getByRole('button', { name: /Mend/ })).toBeDisabled();
    await fill(page, 'How much is drawn off', '480 mL');
    await page.getByRole('button', { name: /^Draw off 480/ }).click();
    await expect(page.getByRole('cell', { name: 'What: drawn off', exact: true })).toBeVisible();
    // Nobody said of which coffee it is: what is said of it has no gap there.
    const id = page.url().split('/').pop();
    for (const path of [`jugs/${id}`, 'jugs', 'pour', `label?jug=${id}`, 'log/tasting']) {
      await page.goto(`${lido.url}/${path}`);
      const main = page.getByRole('main');
      await expect(main).toContainText('Jug from elsewhere');
      expect(await main.innerText(), path).not.toMatch(/^\s*[,·]|,\s*,|,\s*$/mu);
    }
  });

  freshTest('five questions come back to where they stopped', async ({ page, lido }) => {
    await page.goto(`${lido.url}/plan`);
    await page.getByRole('link', { name: 'Make it exact in five questions' }).click();
    await fill(page, 'Name of the coffee', 'Sea wall');
    await page.getByRole('button', { name: 'Next' }).click();
    await expect(page.getByRole('heading', { name: 'What does it steep in?' })).toBeVisible();
    await page.reload();
    await fill(page, 'Name of the vessel', 'Tall jar');
    await fill(page, 'Holds to the brim', '6 L');
    await page.getByRole('button', { name: 'Next' }).click();
    await page.getByRole('button', { name: 'Leave it out' }).click();
    await fill(page, 'Opens', '7');
    await page.getByRole('button', { name: 'Next' }).click();
    await page.getByRole('button', { name: 'Leave out With tonic' }).click();
    await page.getByRole('button', { name: 'Keep these 5' }).click();
    await expect(page).toHaveURL(/\/plan$/);
    const choices = page.getByRole('form', { name: 'Choices' });
    await expect(choices).toContainText('Sea wall');
    await expect(choices).toContainText('Tall jar');
    await expect(page.getByRole('link', { name: /^Pour/ })).toContainText('5 drinks');
  });
});

test('one strain fills three jugs, and what does not fit says so', async ({ page, lido }) => {
  await page.goto(`${lido.url}/steep`);
  const batch = page.getByRole('listitem').filter({ hasText: 'Sat 08:10' });
  await fill(page, 'Came out', '2.4 L');
  await expect(batch.getByText(/It takes 2\.00.L/)).toBeVisible();
  await fill(page, 'Came out', '1.2 L');
  await batch.getByRole('button', { name: 'Into one more jug' }).click();
  await fill(page, 'Came out into jug 2', '800 g');
  await batch.getByRole('button', { name: 'Into one more jug' }).click();
  await fill(page, 'Came out into jug 3', '480 mL');
  await page.reload();
  await expect(field(page, 'Came out into jug 3')).toHaveValue(/480/);
  await batch.getByRole('button', { name: /^Strain 2\.4\d/ }).click();
  await expect(page).toHaveURL(/\/jugs$/);
  await expect(page.getByRole('listitem').filter({ hasText: 'Lot 14' })).toHaveCount(4);
});

test('coffee takes the rest, and two thirds of the glass are that', async ({ page, lido }) => {
  await page.goto(`${lido.url}/pour`);
  await page.getByRole('radio', { name: 'What is in it' }).click();
  await choose(page, 'Target', /coffee takes the rest/);
  await page.getByRole('radio', { name: 'Pour it' }).click();
  const drink = page.getByRole('region', { name: 'This drink' });
  await expect(drink.getByRole('listitem').filter({ hasText: 'Water' })).toHaveCount(0);
  await page.getByRole('radio', { name: 'What is in it' }).click();
  await choose(page, 'Target', /a share of the glass/);
  await fill(page, 'Share of the glass that is concentrate', '2/3');
  await expect(field(page, 'Share of the glass that is concentrate')).toHaveValue(/67/);
});

test('start, reload, start again: each is one batch, on two tablets and through a kill', async ({
  page,
  lido,
  context,
}) => {
  await page.goto(`${lido.url}/plan`);
  await fill(page, 'Coffee in', '300 g');
  await choose(page, 'Vessel', /Wide jar/);
  const other = await context.newPage();
  await other.goto(`${lido.url}/plan`);
  await page.getByRole('button', { name: 'Start this steep' }).dblclick();
  await expect(page.getByRole('link', { name: /^Steep/ })).toContainText('3 steeping');
  // The started plan is gone from both, and what is there now is another one.
  await page.goto(`${lido.url}/plan`);
  await expect(field(page, 'Coffee in')).toHaveValue(/850/);
  await lido.kill();
  await lido.start();
  await page.reload();
  await expect(field(page, 'Coffee in')).toHaveValue(/850/);
  await fill(page, 'Coffee in', '250 g');
  await choose(page, 'Vessel', /Pitcher/);
  await page.getByRole('button', { name: 'Start this steep' }).click();
  await expect(page.getByRole('link', { name: /^Steep/ })).toContainText('4 steeping');
  await other.reload();
  await expect(other.getByRole('link', { name: /^Steep/ })).toContainText('4 steeping');
  await expect(field(other, 'Coffee in')).toHaveValue(/850/);
});

test('a vessel in use says until when, and a plan that is too much is refused at its field', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/plan`);
  await choose(page, 'Vessel', /Bag bucket/);
  await expect(page.getByText(/Holds Lot 9, dark until Sat 18:40/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start this steep' })).toBeDisabled();
  await page.getByRole('button', { name: 'Other tall jar 6 L' }).click();
  await expect(page.getByRole('button', { name: 'Start this steep' })).toBeEnabled();
  await fill(page, 'Coffee in', '1000 L');
  await expect(page.getByRole('button', { name: 'Mend “Coffee in” first' })).toBeDisabled();
  await expect(field(page, 'Coffee in')).toHaveValue('1000 L');
});
