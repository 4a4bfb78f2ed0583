import type { Page } from '@playwright/test';
import { patterns } from '../../src/core/engine';
import { allActions, alive, comeInAs, visit } from './people';
import { expect, test } from './loopback';

/** What is new on a Footplate, touched as a hand would: typed into, tapped, reloaded and read back. */
const begin = async (page: Page, of: string) => {
  await comeInAs(page, 'idony');
  const name = `Hand ${of} ${Date.now() % 1e6}`;
  const { fitOut } = patterns.find((p) => p.fitOut.name === of)!;
  const engine = await (await page.request.post('/api/engines', { data: { ...fitOut, name } })).json();
  const { id } = await (await page.request.post(`/api/engines/${engine.id}/steamings`, { data: { reason: 'a test of hands' } })).json();
  await visit(page, `/footplate/${id}`);
};

test('a number where it is asked, where the water goes, the release from the foot, and how much is asked at once', async ({ page }) => {
  await begin(page, 'Little Bittern');
  const now = page.locator('article.now');
  const log = page.locator('.entries');
  const choose = async (step: RegExp) => {
    await page.getByRole('button', { name: 'All steps' }).click();
    await page.locator('.bx--modal.is-visible').getByRole('button', { name: step }).click();
  };

  // Papers that are not there are not called in date.
  await expect(now.locator('h2')).toHaveText('Papers in date');
  await expect(now).toContainText('The book does not bear it out');
  await expect(now.getByRole('button', { name: 'Done', exact: true })).toBeDisabled();

  // A number that cannot be read is explained and kept; one that can is logged with the step.
  await choose(/^Fuel, water and oil used/);
  const fuel = now.getByLabel(/^Fuel used/);
  await fuel.pressSequentially('lots');
  await expect(now.locator('.problem')).toBeVisible();
  await expect(now.getByRole('button', { name: 'Done', exact: true })).toBeDisabled();
  await expect(fuel).toHaveValue('lots');
  await fuel.fill('');
  await fuel.pressSequentially('2.5');
  await now.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(log).toContainText(/Fuel used 2\.5/);
  await expect(log).toContainText('Fuel, water and oil used');

  // Where the water goes: one touch, and it stands there after a reload.
  const ways = page.getByRole('group', { name: /water goes to/ });
  await ways.getByRole('button', { name: 'both' }).click();
  await expect(log).toContainText('Axle pump on, water to boiler and tank');
  await expect(page.locator('footer')).toContainText('All delivered');
  await page.reload();
  await alive(page);
  await expect(ways.getByRole('button', { name: 'both' })).toHaveAttribute('aria-pressed', 'true');
  await expect(log).toContainText(/Fuel used 2\.5/);

  // The release, one touch away at any time.
  await page.locator('footer').getByRole('button', { name: 'Release' }).click();
  await expect(page.locator('.bx--modal.is-visible')).toContainText('What must work');
  await page.keyboard.press('Escape');

  // How much is asked at once is each member's own, and the club's rule its officers'.
  await visit(page, '/settings');
  await page.getByLabel(/^full/).check();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.getByLabel('Proven feeds asked').fill('1');
  await page.getByRole('button', { name: 'Save the rule' }).click();
  await expect(page.getByText(/before one feed has been seen to work/)).toBeVisible();
  await page.reload();
  await alive(page);
  await expect(page.getByLabel(/^full/)).toBeChecked();
  await expect(page.getByLabel('Proven feeds asked')).toHaveValue('1');
  // As it was, for whoever comes after.
  await page.getByLabel(/^usual/).check();
  await expect(page.getByText('Saved.')).toBeVisible();
});

test('a phone: the line, the trend, the instruments and all the actions, each one touch; what was logged is said', async ({
  browser,
  baseURL
}) => {
  const context = await browser.newContext({ baseURL, viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await context.newPage();
  await begin(page, 'Snipe');
  const line = page.locator('#quick-line');
  await expect(line).toBeHidden();
  await page.getByRole('button', { name: 'Say', exact: true }).tap();
  await line.pressSequentially('5 1/2');
  await line.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'Logged: 5' })).toContainText('½ glass');
  await expect(page.locator('.head')).toContainText('5');
  await page.getByRole('button', { name: 'Trend', exact: true }).tap();
  await expect(page.locator('section.chart')).toBeVisible();
  await expect(page.locator('article.now')).toBeHidden();
  await page.getByRole('button', { name: 'Trend', exact: true }).tap();
  await expect(page.locator('article.now')).toBeVisible();
  await page.getByRole('button', { name: 'Fold dials' }).tap();
  await expect(page.locator('.readings .glass').first()).toBeHidden();
  await page.getByRole('button', { name: 'Dials', exact: true }).tap();
  await expect(page.locator('.readings .glass').first()).toBeVisible();
  const note = page.locator('.thumb').getByRole('button', { name: 'Note', exact: true });
  await expect(note).toBeHidden();
  await allActions(page);
  await expect(note).toBeVisible();
  // Whatever is shown, the readings, the drill and the fault stay in view.
  for (const view of ['Log', 'Trend']) {
    await page.getByRole('button', { name: view, exact: true }).tap();
    await expect(page.getByRole('button', { name: 'LOW WATER' })).toBeInViewport();
    await expect(page.locator('.head')).toBeInViewport();
    await expect(page.locator('.thumb').getByRole('button', { name: 'Fault', exact: true })).toBeInViewport();
  }
  await context.close();
});
