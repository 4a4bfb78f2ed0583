import { expect, test } from '@playwright/test';
import { timeOrderedId } from '../../src/core/log/id';
import { begun, desk, logged, phone } from './foot';
import { comeInAs, visit } from './people';

/** What goes into the water, typed where it is asked: the first day by its maker’s word, the next worked from the first. */
for (const [name, options] of [
  ['a desk', desk],
  ['a phone', phone]
] as const)
  test(`${name}: treatment for the water that was changed, and how much the next day`, async ({ browser }) => {
    const context = await browser.newContext(options);
    const page = await context.newPage();
    await comeInAs(page, 'idony');
    const engine = await begun(page, 'Marsh Hen', `Treated on ${name}`);
    const choose = async (step = /^Water to hand/) => {
      const all = page.getByRole('button', { name: 'All steps' });
      await ((await all.count()) ? all : page.getByRole('button', { name: /All/ })).first().click();
      await page.locator('.bx--modal.is-visible').getByRole('button', { name: step }).first().click();
    };
    const sheet = page.getByRole('region', { name: 'Treatment' });
    const put = sheet.getByRole('button', { name: 'Log treatment' });
    await choose();
    await expect(sheet).toContainText('as its maker says');
    await expect(put).toBeDisabled();
    await sheet.getByLabel('Water changed').fill('lots');
    await expect(sheet.locator('.problem')).toBeVisible();
    await sheet.getByLabel('Treatment that goes in').fill('24');
    await expect(put).toBeDisabled();
    await sheet.getByLabel('Water changed').fill('0');
    await expect(sheet.locator('.problem')).toContainText('More than nothing');
    await expect(put).toBeDisabled();
    await sheet.getByLabel('Water changed').fill('12 l');
    await sheet.getByLabel('Product').fill('tannin');
    await sheet.getByLabel('Kind of water').selectOption('softened');
    await put.click();
    await expect(sheet).toContainText(/In today: 24\sml, tannin\./);
    await page.reload();
    await logged(page, /24\sml, tannin, for 12\.0\sl changed, softened water/);

    await choose(/^Fill /);
    const water = page.getByRole('group', { name: 'Filled with' });
    await expect(water).toContainText('Usually');
    await water.getByRole('button', { name: 'tap', exact: true }).click();
    await water.getByRole('button', { name: 'rain', exact: true }).click();
    await expect(water.getByRole('button', { name: 'rain', exact: true })).toHaveAttribute('aria-pressed', 'true');
    await logged(page, /Filled with rain water/);

    const first = page.url().split('/').pop()!;
    const id = timeOrderedId(Date.now(), crypto.getRandomValues(new Uint8Array(10)));
    const body = { as: 'keeper', name: 'Idony Marlpit' };
    await page.request.post(`/api/steamings/${first}/entries`, { data: { id, kind: 'sign', at: new Date().toISOString(), body } });
    const next = await page.request.post(`/api/engines/${engine}/steamings`, { data: { reason: 'a test of hands' } });
    await visit(page, `/footplate/${(await next.json()).id}`);
    await choose();
    await expect(sheet.getByLabel('Product')).toHaveValue('tannin');
    await sheet.getByLabel('Water changed').fill('5 l');
    await expect(sheet.getByRole('button', { name: /^How much today, as on/ })).toContainText(/10\.?0?\sml/);
    await visit(page, `/engines/${engine}/proven`);
    await expect(page.locator('main')).toContainText('Filled with rain water once');
    await expect(page.locator('main')).toContainText(/tannin, softened water/);
    await expect(page.locator('main')).toContainText(/24\sml\s*12\.0\sl\s*2\.?0?\sml/);
    await context.close();
  });
