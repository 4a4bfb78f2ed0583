import { expect, test } from '@playwright/test';
import { desk, phone } from './foot';
import { comeInAs, openEngine } from './people';

for (const [name, options] of [
  ['a desk', desk],
  ['a phone', phone]
] as const)
  test(`${name}: a record is gone over once more, minute by minute`, async ({ browser }) => {
    const context = await browser.newContext(options);
    const page = await context.newPage();
    await comeInAs(page, 'wenna');
    // From its engine's page: the Logbook's first page is filled by whatever else was tried.
    await openEngine(page, 'Little Bittern');
    await page
      .getByRole('row', { name: /Public running/ })
      .first()
      .getByRole('link')
      .first()
      .click();
    await page.waitForURL(/\/records\//);
    await page.getByRole('link', { name: 'Once more, minute by minute' }).click();
    const slider = page.getByRole('slider', { name: 'Moment of the day' });
    const log = page.getByRole('list', { name: 'Log, newest first' });
    await expect(log.locator('li')).toHaveCount(1);
    await page.getByRole('button', { name: 'Next entry' }).click();
    await expect.poll(() => log.locator('li').count()).toBeGreaterThan(1);
    // Into the middle of it: it was lit, something was read, and the forecast believed something.
    await slider.evaluate((input: HTMLInputElement) => {
      input.value = String(Number(input.min) + 0.5 * (Number(input.max) - Number(input.min)));
      input.dispatchEvent(new Event('input', { bubbles: true }));
    });
    const middle = await page.locator('.time strong').innerText();
    const many = await log.locator('li').count();
    expect(many).toBeGreaterThan(10);
    await page.getByRole('button', { name: '10 min back' }).click();
    await expect(page.locator('.time strong')).not.toHaveText(middle);
    await page.getByRole('button', { name: 'A minute a second' }).click();
    await expect.poll(() => page.locator('.time strong').innerText()).not.toBe(middle);
    await page.getByRole('button', { name: 'Stop' }).click();
    // To the end: nothing stands of what has ended.
    await slider.press('End');
    await expect(page.getByText('The watch said nothing.')).toBeVisible();
    await context.close();
  });
