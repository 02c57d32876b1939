import { expect, lookingTest, test } from './lido.ts';
import type { Locator, Page } from '@playwright/test';

const drinkOf = (page: Page): Locator => page.getByRole('region', { name: 'This drink' });
const field = (page: Page, name: string): Locator => page.getByRole('textbox', { name });
async function fill(page: Page, name: string, text: string): Promise<void> {
  await field(page, name).fill(text);
  await field(page, name).blur();
}
async function pick(page: Page, name: string, option: string | RegExp): Promise<void> {
  await page.getByRole('combobox', { name, exact: true }).press('Enter');
  await page.getByRole('option', { name: option }).first().click();
}

test('a new drink from nothing: glass, ice, ingredients, target; kept, poured, and there after a reload', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/pour`);
  await page.getByRole('button', { name: 'New drink' }).click();
  const make = page.getByRole('region', { name: 'What is in this drink' });
  await pick(page, 'Begin as', /^With milk/);
  await expect(field(page, 'Name of the drink')).toHaveValue('With milk');
  await fill(page, 'Name of the drink', 'Pier head');
  await fill(page, 'To the fill line', '12 fl oz');
  await expect(field(page, 'To the fill line')).toHaveValue(/355\smL/);
  await make.getByRole('button', { name: 'Fill the glass with ice' }).click();
  await expect(field(page, 'How much ice')).toHaveValue(/179\sg/);
  await fill(page, 'How much ice', '9 cubes');
  await expect(field(page, 'How much ice')).toHaveValue(/129\sg/);
  await make.getByRole('button', { name: 'Add an ingredient' }).click();
  await pick(page, 'Ingredient 1', /^Honey/);
  // By the pump, on the scale, in spoons: all are the same field.
  await fill(page, 'Amount of ingredient 1', '2 pumps');
  await expect(field(page, 'Amount of ingredient 1')).toHaveValue(/15\smL/);
  await fill(page, 'Amount of ingredient 1', '14 g');
  await expect(field(page, 'Amount of ingredient 1')).toHaveValue(/9\.\d\smL|10\.?\d?\smL/);
  await fill(page, 'Amount of ingredient 1', '2 tsp');
  await expect(field(page, 'Amount of ingredient 1')).toHaveValue(/9\.9\smL/);
  await pick(page, 'Diluent 1', /^Soy drink/);

  // Given in spoons, then in caffeine, then as a strength: each begins with what the drink is now.
  await pick(page, 'Target', /^spoons/);
  await fill(page, 'Tablespoons of concentrate', '6');
  await pick(page, 'Target', /^a strength/);
  await fill(page, 'Strength wanted', '1.4 %');

  // Nothing typed is lost by a reload, by a look at its card or at another drink.
  await page.reload();
  await page.getByRole('link', { name: 'Build card' }).click();
  await expect(page.getByRole('heading', { name: 'Pier head' })).toBeVisible();
  await page.getByRole('link', { name: 'Back to the glass' }).click();
  await page.getByRole('button', { name: /^Milk tide/ }).click();
  await expect(drinkOf(page)).toContainText('Milk tide');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('radio', { name: 'Pour it' }).click();
  const drink = drinkOf(page);
  await expect(drink).toContainText('Pier head');
  await expect(drink).toContainText('Contains soy');
  await drink.getByRole('button', { name: 'Put it on the menu' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'kept as the usual' })).toBeVisible();
  await expect(page.getByRole('button', { name: /Pier head 1\.40/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Pour/ })).toContainText('14 drinks');

  await drink.getByRole('radio', { name: '2 glasses' }).click();
  await drink.getByRole('button', { name: 'Pour these 2' }).click();
  await expect(page.getByRole('status').filter({ hasText: '2 × Pier head' })).toBeVisible();
});

test('after a sip: a step of taste, kept for somebody, and the usual stays', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/pour?drink=milk-tide`);
  const drink = drinkOf(page);
  await expect(drink).toContainText('1.35');
  await drink.getByRole('button', { name: 'stronger' }).click();
  await drink.getByRole('button', { name: 'drier' }).click();
  await expect(drink).toContainText('1.40');
  await expect(drink).toContainText(/15\smL → 7\.5\smL/);
  await drink.getByRole('button', { name: 'Keep for …' }).click();
  await fill(page, 'Who it is for', 'the window seat');
  await drink.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(
    page.getByRole('status').filter({ hasText: 'kept for the window seat' }),
  ).toBeVisible();
  await expect(drink).toContainText('1.35');

  await page.getByRole('radio', { name: 'History' }).click();
  const row = page.getByRole('listitem').filter({ hasText: 'for the window seat' });
  await expect(row).toContainText('1.40');
  await row.getByRole('button', { name: 'Take this one' }).click();
  await expect(drink).toContainText('For this once');
  await drink.getByRole('button', { name: 'As usual' }).click();
  await expect(drink).not.toContainText('For this once');
});

test('what three people ask for after a sip can be the usual', async ({ page, lido }) => {
  await page.goto(`${lido.url}/pour?drink=milk-tide`);
  const drink = drinkOf(page);
  await drink.getByRole('button', { name: 'stronger' }).click();
  for (let i = 0; i < 3; i++) {
    await drink.getByRole('button', { name: /^Pour/ }).click();
    await expect(
      page.getByRole('status').filter({ hasText: /Milk tide: \d+\smL from/ }),
    ).toBeVisible();
    await page.waitForTimeout(300);
  }
  await drink.getByRole('button', { name: 'As usual' }).click();
  await expect(drink).toContainText('3 asked for it stronger');
  await drink.getByRole('button', { name: 'Make it stronger' }).click();
  await drink.getByRole('button', { name: 'Keep as the usual' }).click();
  await expect(drink).toContainText('1.40');
  await expect(drink).not.toContainText('asked for it');
});

test('a weak jug, and the menu after it', async ({ page, lido }) => {
  await page.goto(`${lido.url}/jugs`);
  await page.getByRole('link', { name: 'Read, thin, blend' }).first().click();
  const read = page.getByRole('region', { name: 'Read it' });
  await fill(page, 'Reading of the jug', '1.5 %');
  await expect(read).toContainText(/Out of reach then: .*After sun/);
  await read.getByRole('button', { name: 'Note this reading' }).click();
  await expect(page.getByRole('cell', { name: '1.50' })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Pour \d/ })).toContainText(/\d out of reach/);

  await page.goto(`${lido.url}/pour/menu`);
  const table = page.getByRole('group', { name: 'Every drink from this jug' });
  const black = table.getByRole('row').filter({ hasText: 'Lido black' });
  await expect(black).toContainText(/short, needs 1\.\d\d %/);
  await black.getByRole('link').click();
  const drink = drinkOf(page);
  await expect(drink).toContainText('What would reach it');
  await expect(drink).toContainText(/a jug of at least 1\.\d\d %/);
  // A remedy is applied by a tap, and discarded again.
  await drink.getByRole('button', { name: 'coffee cubes of this jug' }).click();
  await expect(drink).not.toContainText('What would reach it');
  await expect(drink).toContainText('1.45');
  await drink.getByRole('button', { name: 'As usual' }).click();
  await drink.getByRole('button', { name: /a jug of at least .*: Jug/ }).click();
  await expect(drink).not.toContainText('What would reach it');

  // Brought up by the stronger jug, the menu is in reach again.
  await page.goto(`${lido.url}/jugs/lido-jug-1`);
  const blend = page.getByRole('region', { name: 'Blend it with another jug' });
  await page.getByRole('radio', { name: 'Blend', exact: true }).click();
  await fill(page, 'Strength of the blend', '2.4 %');
  await expect(blend).toContainText('In reach again');
  await blend.getByRole('button', { name: /^Add .* of Jug 2/ }).click();
  await expect(page.getByRole('cell', { name: 'What: blended in', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Pour from it' }).click();
  await page.goto(`${lido.url}/pour/menu`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Jug 1');
  await expect(table.getByRole('row').filter({ hasText: 'Lido black' })).toContainText('met');
});

test('the menu follows wet ice, and can be looked at from a batch that still steeps', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/pour?drink=oat-breakwater`);
  const concentrate = page.getByRole('slider', { name: 'Concentrate in the glass' });
  const usual = Number(await concentrate.getAttribute('aria-valuenow'));
  await pick(page, 'Ice today', /^all ice at 0/);
  await expect(page.getByRole('group', { name: /The glass, to scale/ })).toContainText('0\u202f°C');
  expect(Number(await concentrate.getAttribute('aria-valuenow'))).toBeGreaterThanOrEqual(usual);
  await page.getByRole('link', { name: 'Menu', exact: true }).click();
  await expect(page.getByText(/Saltstep Lido café · .* · all ice at 0/)).toBeVisible();
  await pick(page, 'From', /^Batch of/);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('from the batch of');
  await expect(page.getByText('It steeps still.')).toContainText(/At the low end of its range/);
  await expect(page.getByRole('columnheader', { name: 'It makes' })).toBeVisible();
  await pick(page, 'Ice today', /^ice as in each drink/);
  await expect(page.getByText(/· all ice at 0/)).toHaveCount(0);
});

test('an infused syrup: what is left is measured, then matched', async ({ page, lido }) => {
  await page.goto(`${lido.url}/shelf/house-recipes?recipe=rosemary-syrup`);
  const steps = page.getByRole('list', { name: 'At the bench' });
  await expect(steps).toContainText('about 850');
  await fill(page, 'What is left after straining', '780 g');
  await expect(steps.getByRole('listitem').nth(2)).toContainText(/780\sg/);
  const outcome = page.getByRole('region', { name: 'What it gives' });
  await expect(outcome).toContainText(/1560\sg/);
  await expect(outcome).toContainText('Goes into Salt foam tide');
  // Twice the week's need, scaled to it: what is left scales along.
  await outcome.getByRole('button', { name: 'Make that' }).first().click();
  await expect(outcome).toContainText('× 1.00 this recipe');
  const notice = page.getByRole('status').filter({ hasText: 'made for the week' });
  await notice.getByRole('button', { name: 'Undo' }).click();
  await expect(field(page, 'What is left after straining')).toHaveValue(/780\sg/);

  // Another one begins with a recipe: 100 g of whipped coffee are 78 mL, and 3.5 times that with air.
  await pick(page, 'Begin a new recipe with', /^Whipped coffee/);
  await expect(field(page, 'Name of the recipe')).toHaveValue('Whipped coffee');
  await expect(outcome).toContainText('273');
});

test('coffee cubes over milk: the drink grows stronger, by drawing and by table', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/pour?drink=cube-milk`);
  const drink = drinkOf(page);
  await expect(drink).toContainText('Coffee ice');
  const strengths = page
    .getByRole('table', { name: 'The drink while it stands' })
    .locator('tbody tr td:nth-child(2)');
  await expect(strengths).toHaveCount(7);
  const values = (await strengths.allTextContents()).map(parseFloat);
  expect(values.at(-1)!).toBeGreaterThan(values[0]!);

  // Every layer is dragged by its edge; by keyboard too.
  const milk = page.getByRole('slider', { name: 'Whole milk in the glass' });
  const concentrate = page.getByRole('slider', { name: 'Concentrate in the glass' });
  const before = Number(await concentrate.getAttribute('aria-valuenow'));
  await milk.focus();
  await milk.press('Shift+ArrowDown');
  await expect(concentrate).not.toHaveAttribute('aria-valuenow', String(before));
  const ice = page.getByRole('slider', { name: 'Ice in the glass' });
  await ice.focus();
  await ice.press('ArrowUp');
  await expect(drink).toContainText(/135\sg/);
  await page.getByRole('slider', { name: 'Fill line' }).press('ArrowUp');
  await expect(page.getByRole('group', { name: /The glass, to scale/ })).toContainText('305');
});

test('every kind of serve: hot, tonic, nitrogen, spirit, keg', async ({ page, lido }) => {
  const drink = drinkOf(page);
  const open = async (id: string, name: string): Promise<void> => {
    await page.goto(`${lido.url}/pour?drink=${id}`);
    await expect(drink).toContainText(name);
  };
  const order = (): Promise<string[]> =>
    drink.locator('ol li > span:nth-child(2)').allTextContents();

  await open('towel-hot', 'Warm towel, hot');
  await expect(drink).toContainText(/In the cup \d\d\s°C, before the mug takes its part/);
  await expect(drink).toContainText('scalds');

  await open('noon-tonic', 'Noon tonic');
  const tonic = await order();
  expect(tonic.indexOf('Tonic water')).toBeLessThan(tonic.indexOf('Concentrate'));
  await expect(drink).toContainText('quinine');

  await open('night-swim', 'Night swim, nitrogen');
  const bulk = page.getByRole('region', { name: /siphon/i });
  await expect(bulk).toContainText(/800\smL/);
  await expect(bulk).toContainText(/€0\.75/);
  await expect(drink).toContainText('never above its fill mark');
  await expect(drink).toContainText('botulism');

  await open('after-sun', 'After sun, cream liqueur');
  await expect(drink).toContainText('% vol');
  await expect(drink).toContainText('licence to sell');

  await open('lido-black', 'Lido black');
  await page.getByRole('radio', { name: 'What is in it' }).click();
  await pick(page, 'How it is served', /^from a keg/);
  await pick(page, 'Before the ice', /^chilled/);
  await fill(page, 'Chilled to', '34 F');
  await expect(field(page, 'Chilled to')).toHaveValue(/^1\s?°C$/);
  await page.getByRole('radio', { name: 'Pour it' }).click();
  await expect(page.getByRole('region', { name: /keg/i })).toContainText(/9\.50\sL/);
  const first = page.getByRole('table', { name: 'The drink while it stands' }).locator('tbody tr');
  await expect(first.first()).toContainText(/g1\s?°C/);
});

test('a layer follows the pointer', async ({ page, lido }) => {
  await page.goto(`${lido.url}/pour?drink=milk-tide`);
  const handle = page.getByRole('slider', { name: 'Simple syrup, 1:1 in the glass' });
  const box = (await handle.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - 40, { steps: 4 });
  await page.mouse.up();
  await expect(drinkOf(page)).toContainText('For this once');
  expect(Number(await handle.getAttribute('aria-valuenow'))).toBeGreaterThan(20);
});

test('an own ingredient from its package goes into a drink with its allergens', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/shelf/ingredients`);
  await page.getByRole('button', { name: 'A new package' }).click();
  await fill(page, 'Name of the ingredient', 'Hazelnut drink');
  await fill(page, 'Fat, g', '1.6');
  await fill(page, 'of which sugars, g', '3.2');
  await expect(
    page.getByRole('alert').filter({ hasText: 'part of the carbohydrate' }),
  ).toBeVisible();
  await fill(page, 'Carbohydrate, g', '3.2');
  await fill(page, 'Protein, g', '0.4');
  await page.getByRole('checkbox', { name: 'nuts' }).check();
  // 1.6 · 9 + 3.2 · 4 + 0.4 · 4 = 28.8 kcal.
  await expect(page.getByText(/29 kcal per 100 mL/)).toBeVisible();
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  const row = page.getByRole('row').filter({ hasText: 'Hazelnut drink' });
  await expect(row).toContainText('nuts');
  // The package was read wrongly: its table is taken in hand again.
  await row.getByRole('button', { name: 'What the package of Hazelnut drink says' }).click();
  await fill(page, 'Fat, g', '2.6');
  await page.getByRole('button', { name: 'Save what it says' }).click();
  await expect(row).toContainText('2.6');

  await page.goto(`${lido.url}/pour?drink=lido-black`);
  await page.getByRole('radio', { name: 'What is in it' }).click();
  await pick(page, 'Diluent 1', /^Hazelnut drink/);
  await page.getByRole('radio', { name: 'Pour it' }).click();
  await expect(drinkOf(page)).toContainText('Contains nuts');
});

test('what stands open is cautioned about until a new one is opened', async ({ page, lido }) => {
  const cove = async (): Promise<Locator> => {
    await page.goto(`${lido.url}/pour?drink=coconut-cove`);
    await expect(drinkOf(page)).toContainText('1.25');
    return drinkOf(page).getByRole('list', { name: 'Cautions' });
  };
  await expect(await cove()).toContainText(/Coconut drink was opened .* until Fri,? 12 Jun/);
  await page.goto(`${lido.url}/shelf/ingredients`);
  const row = page.getByRole('row').filter({ hasText: 'Coconut drink' });
  await expect(row).toContainText('past: Fri 12 Jun');
  await row.getByRole('button', { name: 'a new one' }).click();
  await expect(row).toContainText('to Wed 17 Jun');
  await expect(await cove()).not.toContainText('Coconut drink');

  // Made by the house: one tap dates it, and the label says so.
  await page.goto(`${lido.url}/shelf/house-recipes?recipe=salt-foam`);
  await page.getByRole('button', { name: 'Sea salt cream foam: Made today' }).click();
  await expect(page.getByText('to the end of today')).toBeVisible();
  await page.getByRole('link', { name: 'Its label' }).click();
  await expect(page.getByRole('article')).toContainText(/Use by\s*Sat 13 Jun/);
  await expect(page.getByRole('article')).toContainText('Contains milk');
});

test('build card and whole menu print on one page each, allergens and cautions on both', async ({
  page,
  lido,
}) => {
  const pages = async (path: string, text: string): Promise<number> => {
    await page.goto(`${lido.url}${path}`);
    await expect(page.getByText(text).first()).toBeVisible();
    const pdf = await page.pdf({ preferCSSPageSize: true });
    return pdf.toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g)!.length;
  };
  expect(await pages('/pour/menu', 'Tonic contains quinine')).toBe(1);
  await expect(page.getByRole('cell', { name: 'gluten' })).toBeVisible();
  // A menu of forty prints upright, and still on one page.
  const shown = await (await page.request.get(`${lido.url}/api/drinks`)).json();
  for (let n = shown.length; n < 40; n++) {
    const { id: _, version: __, ...drink } = shown[n % shown.length];
    const name = `${drink.name.slice(0, 30)} no. ${n}`;
    const kept = { id: `kept-${n}`, change: 'new', forWhom: '', drink: { ...drink, name } };
    const answer = await page.request.post(`${lido.url}/api/drinks/drink-${n}/versions`, {
      data: kept,
      headers: { 'If-Match': '"0"' },
    });
    expect(answer.ok()).toBe(true);
  }
  expect(await pages('/pour/menu', 'no. 39')).toBe(1);
  expect(await pages('/label?jug=lido-jug-1', 'dilute before')).toBe(1);
  expect(await pages('/pour/card?drink=salt-foam-tide', 'Foam loses its texture')).toBe(1);
  await expect(page.getByText('Contains milk')).toBeVisible();
});

test('a drink that another tablet changed first is not overwritten', async ({
  page,
  lido,
  context,
}) => {
  await page.goto(`${lido.url}/pour?drink=lido-black`);
  await drinkOf(page).getByRole('button', { name: 'stronger' }).click();
  const second = await context.newPage();
  await second.goto(`${lido.url}/pour?drink=lido-black`);
  await drinkOf(second).getByRole('button', { name: 'As usual' }).click();
  await drinkOf(second).getByRole('button', { name: 'weaker' }).click();
  await drinkOf(second).getByRole('button', { name: 'Keep as the usual' }).click();
  await expect(second.getByRole('status').filter({ hasText: 'kept as the usual' })).toBeVisible();
  await drinkOf(page).getByRole('button', { name: 'Keep as the usual' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Somebody else changed' })).toBeVisible();
  // What was typed is still there, and the second try is for the drink as it is now.
  await expect(drinkOf(page)).toContainText('1.50');
  await drinkOf(page).getByRole('button', { name: 'Keep as the usual' }).click();
  await expect(page.getByRole('button', { name: /Lido black 1\.50/ })).toBeVisible();
});

lookingTest(
  'at a laptop every drink stands above the foot, from its strength to its allergens',
  async ({ page, lido }) => {
    await page.setViewportSize({ width: 1280, height: 800 });
    const drinks = await page.request.get(`${lido.url}/api/drinks`);
    for (const { id, name } of (await drinks.json()) as { id: string; name: string }[]) {
      await page.goto(`${lido.url}/pour?drink=${id}`);
      await expect(drinkOf(page)).toContainText(name);
      const allergens = await drinkOf(page).getByText('Contains', { exact: true }).boundingBox();
      const foot = await page.locator('.go').boundingBox();
      expect(allergens!.y + allergens!.height, name).toBeLessThanOrEqual(foot!.y);
    }
  },
);

lookingTest(
  'the foot names the first caution that it covers, not one in sight',
  async ({ page, lido }) => {
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(`${lido.url}/pour?drink=deep-end`);
    const cautions = page.getByRole('list', { name: 'Cautions' }).last().getByRole('listitem');
    await expect(cautions.first()).toContainText('caffeine');
    await expect(cautions.first()).toBeInViewport({ ratio: 1 });
    const foot = page.locator('.go');
    await expect(foot).toContainText('Caution This is concentrate');
    await page.setViewportSize({ width: 1280, height: 1000 });
    await expect(foot).not.toContainText('Caution');
    await page.setViewportSize({ width: 1280, height: 700 });
    await expect(foot).toContainText('Caution About 244');
  },
);
