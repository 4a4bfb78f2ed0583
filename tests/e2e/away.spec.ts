import type { BrowserContext, Page } from '@playwright/test';
import { patterns } from '../../src/core/engine';
import { alive, comeInAs, openEngine, openFoot, ownClock, visit } from './people';
import { expect, test } from './loopback';

test.use({ serviceWorkers: 'allow' });

/** An engine of its own, without papers. */
async function ownEngine(page: Page, name: string): Promise<string> {
  const { fitOut } = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!;
  const made = await page.request.post('/api/engines', { data: { ...fitOut, name } });
  return ((await made.json()) as { id: string }).id;
}

/** Has been in the Yard once, long enough for the device to keep what it needs. */
async function opened(page: Page) {
  await visit(page, '/');
  await expect
    .poll(
      () =>
        page.evaluate(async () => {
          const found = await (await caches.open('joram-pages')).match('/bench/__data.json');
          return found !== undefined;
        }),
      { timeout: 120_000 }
    )
    .toBe(true);
}

/** Starts it on its page: against what stops it, where there is a reason. */
async function startHere(page: Page, reason?: string) {
  await page.getByRole('button', { name: 'Start steaming' }).click();
  await page.getByLabel('What for').fill('Members’ day');
  if (reason) await page.getByLabel(/Why is it steamed all the same/).fill(reason);
  await page.getByRole('button', { name: /^Start( it all the same)?$/ }).click();
}
async function beginAway(page: Page, context: BrowserContext, engine: string, reason?: string): Promise<string> {
  await context.setOffline(true);
  await openEngine(page, engine);
  await startHere(page, reason);
  await page.waitForURL(/\/footplate\//);
  await alive(page);
  return page.url().split('/').at(-1)!;
}

async function say(page: Page, words: string) {
  await page.locator('#quick-line').fill(words);
  await page.keyboard.press('Enter');
  await expect(page.locator('#quick-line')).toHaveValue('');
}

test('begun, run, handed over, signed and shown without a network, and delivered once', async ({ page, context }) => {
  await ownClock(page, Date.now() - 2 * 3600_000);
  await comeInAs(page, 'wenna');
  const name = `Reed Hen ${Date.now()}`;
  await ownEngine(page, name);
  await opened(page);
  const id = await beginAway(page, context, name, 'its papers are with the examiner');
  await expect(page.locator('.entries')).toContainText('Begun without a connection');
  await expect(page.locator('.entries')).toContainText('Steamed all the same');
  // Forty minutes of it, an entry every twenty seconds.
  await say(page, 'already lit');
  for (let i = 0; i < 115; i++) {
    await page.clock.fastForward(20_000);
    await say(page, i % 2 ? `note ${i} of many` : ['60 1/2', 'coal', 'blower half', 'glass 5/8'][(i / 2) % 4]!);
  }
  await expect(page.locator('.entries')).toContainText('113 of many');
  // Reloaded, closed, and opened again from the Yard.
  await page.reload();
  await alive(page);
  await expect(page.locator('.entries')).toContainText('113 of many');
  await page.goto('about:blank');
  await visit(page, '/');
  await expect(page.getByText('has not been delivered')).toBeVisible();
  await page.getByRole('link', { name: 'its Footplate' }).click();
  await alive(page);
  // Handed over on this device, and back.
  await openFoot(page);
  await page.getByRole('button', { name: 'hand over' }).click();
  await page.getByLabel('Who takes it').selectOption('Corrin Sallow');
  await page.getByRole('button', { name: 'Offer it' }).click();
  await page.getByLabel(/signs in as/).fill('corrin');
  await page.getByRole('button', { name: 'They have it' }).click();
  await expect(page.locator('footer')).toContainText('Keeper Corrin Sallow');
  await page.getByRole('button', { name: 'hand over' }).click();
  await page.getByLabel('Who takes it').selectOption('Wenna Thrale');
  await page.getByRole('button', { name: 'Offer it' }).click();
  await page.getByRole('button', { name: 'I have it' }).click();
  await expect(page.locator('footer')).toContainText('Keeper Wenna Thrale');
  // A fault that forbids steaming, found here.
  await page.keyboard.press('x');
  await page.getByText('may not be steamed', { exact: true }).click();
  await page.getByLabel('The fault in your own words').fill('a stay weeps');
  await page.getByRole('button', { name: 'Log fault' }).click();
  await say(page, 'fire out');
  await page.clock.fastForward(30 * 60_000);
  await say(page, '0 psi');
  await page.getByRole('button', { name: 'Sign and close' }).click();
  await page.getByRole('button', { name: 'Sign', exact: true }).click();
  // Its record, on this device.
  await page.waitForURL(`/records/${id}`);
  await expect(page.locator('.a4')).toContainText('113 of many');
  await expect(page.getByText(/kept on this device/).first()).toBeVisible();
  // It bars the engine on this device, before anybody else has heard of it.
  await openEngine(page, name);
  await startHere(page, 'once more');
  await page.waitForURL(/\/footplate\//);
  await expect(page.locator('.entries')).toContainText('once more (Open fault: a stay weeps');
  // A page of the office is not kept, and Joram says so itself.
  await page.goto('/members');
  await expect(page.getByRole('heading', { name: 'This page is not kept on this device.' })).toBeVisible();
  await visit(page, `/records/${id}`);
  await context.setOffline(false);
  type Kept = { endedAt: string | null; entries: { id: string; body: { text?: string } }[] };
  const stored = async () => (await (await page.request.get(`/api/steamings/${id}`)).json()) as Partial<Kept>;
  await expect.poll(async () => (await stored()).endedAt ?? null, { timeout: 40_000 }).not.toBeNull();
  const kept = (await stored()) as Kept;
  const texts = kept.entries.flatMap((e) => (e.body.text?.endsWith('of many') ? [e.body.text] : []));
  expect(texts).toEqual([...Array(57).keys()].map((i) => `${2 * i + 1} of many`));
  expect(new Set(kept.entries.map((e) => e.id)).size).toBe(kept.entries.length);
  expect(kept.entries.length).toBe(2 + 1 + 115 + 4 + 1 + 2 + 1);
});

test('two that were begun at once without a network are both kept, and told apart', async ({ browser }) => {
  const name = `Sedge Hen ${Date.now()}`;
  const sides = await Promise.all(
    ['wenna', 'corrin'].map(async (signIn) => {
      const context = await browser.newContext({ serviceWorkers: 'allow' });
      const page = await context.newPage();
      await comeInAs(page, signIn);
      return { context, page };
    })
  );
  const [wenna, corrin] = sides as [(typeof sides)[0], (typeof sides)[0]];
  await ownEngine(wenna.page, name);
  const ids: string[] = [];
  for (const { page, context } of sides) {
    await opened(page);
    ids.push(await beginAway(page, context, name, 'its papers are with the examiner'));
  }
  await say(wenna.page, 'note from the one');
  await say(corrin.page, 'note from the other');
  for (const { page, context } of sides) {
    await context.setOffline(false);
    await expect(page.locator('footer')).toContainText('All delivered');
  }
  // The steward is asked, and says that it was one fire.
  await visit(corrin.page, '/');
  await expect(corrin.page.getByText(`${name} was begun twice`)).toBeVisible();
  await corrin.page.locator('p.strip', { hasText: name }).getByRole('link').click();
  await corrin.page.waitForURL(/\/twice\//);
  await expect(corrin.page.getByRole('table')).toContainText('Wenna Thrale');
  await corrin.page.getByLabel('One fire, logged on two devices').check();
  await corrin.page.getByLabel(/How you know/).fill('We both stood by it.');
  await corrin.page.getByRole('button', { name: 'That is how it was' }).click();
  await corrin.page.waitForURL(`/footplate/${ids[0]}`);
  await expect(corrin.page.locator('.entries')).toContainText('from the one');
  await expect(corrin.page.locator('.entries')).toContainText('from the other');
  // The page that was open hears of it, and what still comes for the other is filed with it.
  await expect(wenna.page.locator('.entries')).toContainText('from the other');
  const late = await corrin.page.request.post(`/api/steamings/${ids[1]}/entries`, {
    data: { id: crypto.randomUUID(), kind: 'note', at: new Date().toISOString(), body: { text: 'late for the other' } }
  });
  expect(late.ok()).toBe(true);
  await expect(wenna.page.locator('.entries')).toContainText('late for the other');
  await visit(corrin.page, `/footplate/${ids[1]}`);
  expect(corrin.page.url()).toContain(ids[0]);
  for (const { context } of sides) await context.close();
});
