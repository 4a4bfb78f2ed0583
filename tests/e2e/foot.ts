import { expect, type Page } from '@playwright/test';
import { patterns } from '../../src/core/engine';
import { openFoot, openNow, visit } from './people';

/** A Footplate as a hand works it. */

export const now = (page: Page) => page.locator('article.now');
export const heading = (page: Page) => page.locator('article h2').first().innerText();
export const say = async (page: Page, words: string) => {
  const line = page.locator('#quick-line');
  const shut = !(await line.isVisible());
  const button = page.getByRole('button', { name: 'Say', exact: true });
  if (shut) await button.click();
  await line.fill(words);
  await page.keyboard.press('Enter');
  if (shut) await button.click();
};
export const done = (page: Page) => now(page).locator('button.done.go').click();
export const logged = async (page: Page, words: string | RegExp) => {
  await openFoot(page);
  await expect(page.locator('.entries')).toContainText(words);
  await openNow(page);
};

/** Goes on until NOW says so. */
export async function until(page: Page, what: RegExp, does: (heading: string) => Promise<void> = () => done(page)) {
  for (let i = 0; i < 40; i++) {
    const is = await heading(page);
    if (what.test(is)) return;
    const card = await page.locator('article').first().innerText();
    await does(is);
    await expect.poll(() => page.locator('article').first().innerText(), { timeout: 5000 }).not.toBe(card);
  }
  throw new Error(`it never came to ${what}`);
}

/** An engine of its own by a pattern of the scenario, begun: no other test stands at it. */
export async function begun(page: Page, pattern: string, name: string, change: object = {}): Promise<string> {
  const { fitOut } = patterns.find((p) => p.fitOut.name === pattern)!;
  const make = async (called: string) => (await page.request.post('/api/engines', { data: { ...fitOut, ...change, name: called } })).json();
  // On a demo that was tried before, the name is taken.
  const first = await make(name);
  const engine = first.id ? first : await make(`${name} ${Date.now()}`);
  const { id } = await (await page.request.post(`/api/engines/${engine.id}/steamings`, { data: { reason: 'a test of hands' } })).json();
  await visit(page, `/footplate/${id}`);
  return engine.id as string;
}
