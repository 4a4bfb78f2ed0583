import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { alive, comeInAs, openEngine } from './people';
import { expect, test } from './loopback';

const views: Record<string, (page: Page) => Promise<unknown>> = {
  yard: (page) => page.goto('/'),
  engine: async (page) => {
    await openEngine(page, 'Little Bittern');
    await page.locator('.steams table.each').waitFor();
  },
  'day sheet': async (page) => {
    await page.goto('/');
    // An engine that is barred: no other test starts it meanwhile.
    await page.locator('li', { hasText: 'Water Rail' }).getByRole('link', { name: 'Day sheet' }).click();
    await page.locator('#steps table').waitFor();
  },
  'several engines': (page) => page.goto(`/day?on=${new Date(Date.now() + 864e5).toISOString().slice(0, 10)}`),
  'fit-out': async (page) => {
    await openEngine(page, 'Old Scoop');
    await page.getByRole('link', { name: 'Change the fit-out' }).click();
    await page.locator('form.fit-out').waitFor();
  },
  'new engine': (page) => page.goto('/engines/new'),
  footplate: async (page) => {
    await page.goto('/');
    await page.locator('li', { hasText: 'Marsh Hen' }).getByRole('link', { name: 'Footplate' }).click();
    await page.locator('.trend svg').waitFor();
  },
  record: async (page) => {
    await openEngine(page, 'Snipe');
    await page.locator('table.last a').first().click();
    await page.locator('.a4 .trend svg').waitFor();
  },
  logbook: (page) => page.goto('/logbook'),
  faults: (page) => page.goto('/faults'),
  settings: (page) => page.goto('/settings')
};

async function faultless(page: Page, view: string, rule?: string) {
  const axe = new AxeBuilder({ page });
  const { violations } = await (rule ? axe.withRules([rule]) : axe).analyze();
  const bad = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
  expect(
    bad.map(
      (v) =>
        `${view}: ${v.id}: ${v.nodes
          .map((n) => n.target.join(' '))
          .slice(0, 4)
          .join(' | ')}`
    )
  ).toEqual([]);
}

const coloured = new Set(['yard', 'engine', 'day sheet', 'fit-out', 'footplate', 'record']);

/** Each half of the views in a browser of its own. */
for (const half of [0, 1])
  test(`every main view in every theme, ${half ? 'the rest' : 'half of them'}: nothing serious for axe, nothing wider than the window`, async ({
    page
  }) => {
    test.slow();
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.goto('/sign-in');
    await faultless(page, 'sign-in');
    await comeInAs(page, 'corrin');
    for (const [view, go] of Object.entries(views).filter((_, i) => i % 2 === half)) {
      await go(page);
      await faultless(page, view);
      // What another theme can break is its contrast, on pages that between them have every part there is.
      for (const theme of coloured.has(view) ? ['lamp', 'sun'] : []) {
        await page.evaluate((theme) => (document.documentElement.dataset.theme = theme), theme);
        await faultless(page, `${view}, ${theme}`, 'color-contrast');
      }
      for (const width of [1280, 390]) {
        await page.setViewportSize({ width, height: 844 });
        // A chart is drawn anew once its place has changed.
        await expect
          .poll(() => page.evaluate(() => document.documentElement.scrollWidth), `${view} at ${width}`)
          .toBeLessThanOrEqual(width);
      }
      await page.setViewportSize({ width: 1280, height: 800 });
    }
  });

test('the fit-out editor: figures follow, a bad value is explained at its field, a name that is taken is refused', async ({ page }) => {
  await comeInAs(page, 'wenna');
  await page.goto('/engines/new');
  await page.getByRole('link', { name: /Start from: Small-gauge tank/ }).click();
  await alive(page);
  const before = await page
    .locator('aside')
    .getByRole('button', { name: /^Cold water to fill/ })
    .innerText();
  await page.getByRole('tab', { name: /Boiler/ }).click();
  await page.getByLabel('Barrel, inside diameter').fill('100 mm');
  await expect(page.locator('aside').getByRole('button', { name: /^Cold water to fill/ })).not.toHaveText(before);
  await page.getByLabel('Barrel, inside diameter').fill('wide');
  await expect(page.locator('[role=tabpanel]')).toContainText('Barrel, inside diameter: give a length between 40 mm and');
  await page.getByLabel('Barrel, inside diameter').fill('3 15/16 in');
  await expect(page.locator('[role=tabpanel]')).not.toContainText('give a length');
  await page.getByRole('tab', { name: /Engine/ }).click();
  await page.getByLabel('Name', { exact: true }).fill('Marsh Hen');
  await page.getByRole('button', { name: 'Add this engine' }).click();
  await expect(page.locator('[role=tabpanel]')).toContainText('already has an engine called Marsh Hen');
  await page.getByLabel('Name', { exact: true }).fill('Reed Bunting');
  await page.getByRole('button', { name: 'Add this engine' }).click();
  await page.waitForURL(/\/engines\/[0-9a-f-]{36}$/);
  await expect(page.getByRole('heading', { name: 'REED BUNTING' })).toBeVisible();
});

test('what stops an engine is named; a trainee cannot start it, a steward overrides with a reason that stays in the record', async ({
  page,
  browser,
  baseURL
}) => {
  await comeInAs(page, 'jory');
  await openEngine(page, 'Pond Skater');
  await page.getByRole('button', { name: 'Start steaming' }).click();
  await expect(page.getByText(/Boiler certificate ran out/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start it all the same' })).toHaveCount(0);
  const context = await browser.newContext({ baseURL });
  const steward = await context.newPage();
  await comeInAs(steward, 'corrin');
  await openEngine(steward, 'Pond Skater');
  await steward.getByRole('button', { name: 'Start steaming' }).click();
  await steward.getByLabel(/Why is it steamed all the same/).fill('Steam test for the renewal, examiner present');
  await steward.getByRole('button', { name: 'Start it all the same' }).click();
  await steward.waitForURL(/\/footplate\//);
  await expect(steward.locator('.entries')).toContainText('examiner present');
  await context.close();
});

test('the keyboard alone: a reading, a quick action, a step, the help', async ({ page }) => {
  await comeInAs(page, 'corrin');
  await openEngine(page, 'Peat Presser');
  await page.getByRole('button', { name: 'Start steaming' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.waitForURL(/\/footplate\//);
  await page.locator('.readings .scale').waitFor();
  await page.keyboard.press('p');
  await page.keyboard.press('PageUp');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await expect(page.locator('.entries')).toContainText('11\u2009psi');
  await page.keyboard.press('w');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await expect(page.locator('.entries')).toContainText('½ glass');
  await page.keyboard.press('Escape');
  await page.locator('body').click({ position: { x: 4, y: 4 } });
  const step = await page.locator('article.now h2').innerText();
  await page.keyboard.press('d');
  await expect(page.locator('article.now h2')).not.toHaveText(step);
  await page.keyboard.press('?');
  await expect(page.getByText('Quick line', { exact: true })).toBeVisible();
});
