import type { Page } from '@playwright/test';

/** Waits until the page answers to touch: before that a click is lost. */
export const alive = (page: Page) => page.locator('html[data-live]').waitFor();

/** Opens a page and waits until it answers. */
export async function visit(page: Page, path: string) {
  await page.goto(path);
  await alive(page);
}

/** Comes in as a member of the demo, in one touch. */
export async function comeInAs(page: Page, signIn: string) {
  await page.goto('/sign-in');
  await page.locator(`button[name="demo"][value="${signIn}"]`).click();
  await page.waitForURL('/');
  await alive(page);
}

export async function openEngine(page: Page, name: string) {
  await page.goto('/');
  await page.getByRole('link', { name, exact: true }).first().click();
  await page.waitForURL(/\/engines\//);
  await alive(page);
}

/** Starts a steaming from the engine's page and stands on its Footplate. */
export async function start(page: Page, engine: string, purpose: string) {
  await openEngine(page, engine);
  await page.getByRole('button', { name: 'Start steaming' }).click();
  await page.getByLabel('What for').fill(purpose);
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.waitForURL(/\/footplate\//);
  await alive(page);
}

/** Points at a height of a drawing, as a fraction from its bottom, once nothing lies over it. */
export async function pointAt(page: Page, drawing: string, share: number) {
  const target = page.locator(drawing).first();
  const box = (await target.boundingBox())!;
  await target.click({ position: { x: box.width / 2, y: box.height * (1 - share) } });
}

/**
 * Gives the page a clock of its own that can be put forward, in the past so that nothing it makes lies in the future; the server's
 * clock is told to it as the same, so that the page goes by it.
 */
export async function ownClock(page: Page, time: number) {
  await page.clock.install({ time });
  await page.route('**/api/clock', async (route) => {
    // The page may have gone on meanwhile: nobody waits for the answer then.
    const now = await page.evaluate(() => Date.now()).catch(() => undefined);
    await (now === undefined ? route.abort() : route.fulfill({ json: { now } })).catch(() => {});
  });
}

/** On a phone the foot of a Footplate stands with its log, one touch away; on a desk it is there. */
export async function openFoot(page: Page) {
  // The last part of the page to come.
  await page.locator('.foot a').first().waitFor({ state: 'attached' });
  const log = page.getByRole('group', { name: 'Show' }).getByRole('button', { name: 'Log', exact: true });
  if ((await log.isVisible()) && (await log.getAttribute('aria-pressed')) === 'false') await log.click();
}
/** Back to what is due, where a phone shows its log. */
export async function openNow(page: Page) {
  const log = page.getByRole('group', { name: 'Show' }).getByRole('button', { name: 'Log', exact: true });
  if ((await log.isVisible()) && (await log.getAttribute('aria-pressed')) === 'true') await log.click();
}
/** On a phone four of the quick actions lie under the thumb, and the rest one touch away. */
export async function allActions(page: Page) {
  const more = page.getByRole('button', { name: 'More', exact: true });
  if (await more.isVisible()) await more.click();
}
