import { expect, type Page } from '@playwright/test';
import { alive } from './people';

/** The page of a fault, as a hand works it. */

export const section = (page: Page, label: string | RegExp) => page.locator('section', { has: page.getByRole('heading', { name: label }) });
/** A touch that writes to the fault’s log, and its answer. */
export async function touch(page: Page, what: ReturnType<Page['locator']>) {
  const answered = page.waitForResponse((r) => r.request().method() === 'POST' && r.url().includes('/faults/'));
  await what.click();
  await answered;
  await expect(page.locator('html')).toHaveAttribute('data-live');
}

/** Opens a fault of the list and says that it is mended. @param cause words of a cause of its board */
export async function mend(page: Page, text: string, did: string, retest: string) {
  await page.locator('tr', { hasText: text }).getByRole('link', { name: 'Find and mend' }).click();
  await page.waitForURL(/\/faults\/[\w-]{36}/);
  await alive(page);
  const box = section(page, 'Mended');
  await box.getByLabel('What was done').fill(did);
  await box.getByLabel('How it is seen to be mended').fill(retest);
  await touch(page, box.getByRole('button', { name: 'It is mended' }));
  await expect(box).toContainText(did);
}
