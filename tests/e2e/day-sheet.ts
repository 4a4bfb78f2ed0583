import type { Page } from '@playwright/test';

/** What a day asks: its form is made when it is looked at. */
export async function askedForm(page: Page) {
  await page.locator('#asked').scrollIntoViewIfNeeded();
  const form = page.locator('.asked .form');
  await form.locator('legend').nth(2).waitFor();
  return form;
}

/** All of a day sheet's rows are made when somebody looks for a word with the browser's own search. */
export async function wholeSheet(page: Page) {
  await page.keyboard.press('Control+f');
  await page.locator('#steps [aria-busy=false]').waitFor();
}
