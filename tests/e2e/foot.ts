import { type Browser, type BrowserContextOptions, expect, type Page } from '@playwright/test';
import { patterns } from '../../src/core/engine';
import { comeInAs, openFoot, openNow, ownClock, visit } from './people';

/** A Footplate as a hand works it. */

export const now = (page: Page) => page.locator('article.now');
export const heading = (page: Page) => page.locator('article h2').first().innerText();
export const say = async (page: Page, words: string) => {
  const line = page.locator('#quick-line');
  await line.waitFor({ state: 'attached' });
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
    await expect.poll(() => page.locator('article').first().innerText()).not.toBe(card);
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

/** A browser of its own with a clock of its own, some hours back, in the second club. */
export async function hoursAgo(browser: Browser, hours: number, options: BrowserContextOptions) {
  const context = await browser.newContext(options);
  const page = await context.newPage();
  await ownClock(page, Date.now() - hours * 3600_000);
  await comeInAs(page, 'idony');
  return { context, page };
}
export const desk = { viewport: { width: 1280, height: 800 } } as const;
export const phone = { viewport: { width: 390, height: 844 }, hasTouch: true } as const;

/** Calls the step at NOW done, as a cold engine asks it: there are no papers, and the needle is on its pin. */
export async function doneCold(page: Page, is: string) {
  if (/^Papers/.test(is)) {
    await now(page).getByRole('button', { name: 'Skip' }).click();
    return now(page).getByRole('button', { name: 'Not needed today' }).click();
  }
  const rest = now(page).getByRole('button', { name: 'It stands at nothing' });
  return (await rest.count()) ? rest.click() : done(page);
}
