import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { comeInAs, ownClock, pointAt, start, visit } from './people';
import { counter, doNow } from './walk';
import { expect, test } from './loopback';

/** With too little water in, the match is refused whoever asks for it and however. */
async function underFilled(page: Page) {
  const now = page.locator('article.now');
  const line = page.locator('#quick-line');
  await pointAt(page, '.readings .glass', 0.12);
  await expect(now.locator('.gate')).toContainText(/: fill to (over |under )?3\u20448, \d+\u2009ml more\./);
  await expect(now.getByRole('button', { name: 'Done', exact: true })).toBeDisabled();
  await page.locator('article.now h2').first().click();
  await page.keyboard.press('d');
  await expect(now.getByRole('alert')).toContainText('ml more');
  for (const said of ['done', 'lit']) {
    await line.fill(said);
    await page.keyboard.press('Enter');
    await expect(now.getByRole('alert')).toContainText(said === 'lit' ? 'First: Water in the glass' : 'ml more');
  }
  await line.fill('');
  await expect(page.locator('.entries')).not.toContainText('fire lit');
  const refused = await page.request.post(`/api/steamings/${page.url().split('/').at(-1)}/entries`, {
    data: { id: '01a21a00-0000-7000-8000-0000000000aa', kind: 'fire', at: new Date().toISOString(), body: { act: 'light' } }
  });
  expect(refused.status()).toBe(400);
  expect(await refused.json()).toMatchObject({ field: 'body.act', sentence: expect.stringContaining('First: Water in the glass') });
}

test('from cold to put away: Little Bittern, eight phases, a fault, the record, and its JSON in a second club', async ({
  page,
  browser
}) => {
  test.slow();
  await ownClock(page, Date.now() - 8 * 3.6e6);
  await comeInAs(page, 'jory');
  await start(page, 'Little Bittern', 'Evening run');

  const phases = new Set<string>();
  const counted = counter();
  let faulted = false;
  let looked = false;
  for (let i = 0; i < 260; i++) {
    const title = await page.title();
    phases.add(/, (.*) · Joram/.exec(title)?.[1] ?? title);
    if (await page.getByText('Everything is done or accounted for').isVisible()) break;
    if (!faulted && phases.has('Raise')) {
      faulted = true;
      // Two touches.
      await page.getByRole('button', { name: 'Fault', exact: true }).click();
      await page.getByRole('button', { name: 'Whistle weeps' }).click();
    }
    if (!looked && (await page.locator('article.now h2').innerText()).startsWith('Fill to')) {
      looked = true;
      await underFilled(page);
    }
    await doNow(page, counted);
  }
  expect(looked).toBe(true);
  // What it costs a hand: cards read and touches made, readings among them.
  expect(counted.moving!.cards, JSON.stringify([...counted.seen])).toBeLessThanOrEqual(28);
  expect(counted.moving!.touches).toBeLessThanOrEqual(45);
  expect([...phases]).toEqual(['Look over', 'Fill and oil', 'Light up', 'Raise', 'Prove', 'Run', 'Shut down', 'Put away']);

  // What was last read hot is not cold because nobody looked again.
  const say = async (text: string) => {
    await page.locator('#quick-line').fill(text);
    // A needle that leaps is asked about first.
    await expect(page.locator('#quick-echo')).toContainText('is that right?');
    for (let enter = 0; enter < 2; enter++) await page.keyboard.press('Enter');
    await expect(page.locator('#quick-line')).toHaveValue('');
  };
  await say('40');
  await page.getByRole('button', { name: 'Sign and close' }).first().click();
  await expect(page.locator('.bx--modal.is-visible')).toContainText('40\u2009psi: it is not cold');
  await expect(page.getByRole('button', { name: 'Sign', exact: true })).toBeDisabled();
  await page.getByRole('button', { name: 'Not yet' }).click();
  await say('0');
  await page.getByRole('button', { name: 'Sign and close' }).first().click();
  await page.getByLabel('Remarks').fill('Bring steam oil.');
  await page.getByRole('button', { name: 'Sign', exact: true }).click();
  await page.waitForURL(/\/records\//);

  const record = page.locator('.a4');
  await expect(record).toContainText('LITTLE BITTERN', { ignoreCase: true });
  await expect(record).toContainText('Whistle weeps');
  await expect(record).toContainText('Bring steam oil.');
  await expect(record.locator('.trend svg')).toBeVisible();

  const saved = async (name: string) => {
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name, exact: true }).click()]);
    return readFileSync((await download.path())!, 'utf8');
  };
  const csv = await saved('CSV');
  expect(csv.split('\r\n')[0]).toMatch(/^id,at,at_club,received_at,by,/);
  const exported = await saved('JSON');
  expect(csv.trimEnd().split('\r\n').length - 1).toBe(JSON.parse(exported).entries.length);

  // Another club, where the engine is not known yet.
  const elsewhere = await browser.newContext();
  const other = await elsewhere.newPage();
  await comeInAs(other, 'idony');
  await visit(other, '/logbook');
  const bring = async (name: string, text: string) => {
    await other.getByRole('button', { name: 'Bring in a record' }).click();
    await other.getByLabel('Record, JSON').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
    await other.getByRole('button', { name: 'Bring it in' }).click();
  };
  await bring('broken.json', exported.slice(0, 4000));
  await expect(other.getByRole('alert')).toContainText('line');
  await visit(other, '/logbook');
  await bring('wrong.json', exported.replace('"joram.record/2"', '"joram.record/9"'));
  await expect(other.getByRole('alert')).toContainText('read here is “joram.record/2” or older');
  await visit(other, '/logbook');
  await bring('record.json', exported);
  await other.waitForURL(/\/records\//);
  await expect(other.locator('.a4')).toContainText('Jory Quillfeather');
  const again = await (await other.request.get(`${other.url()}/record.json`)).text();
  expect(JSON.parse(again)).toEqual(JSON.parse(exported));
  await elsewhere.close();
});

test('two people on one Footplate see each other within a second; what one logs without a network arrives later, once', async ({
  browser,
  baseURL
}) => {
  const [a, b] = await Promise.all([browser.newContext({ baseURL }), browser.newContext({ baseURL })]);
  const [one, two] = [await a.newPage(), await b.newPage()];
  await Promise.all([comeInAs(one, 'wenna'), comeInAs(two, 'pim')]);
  await start(one, 'Eelcatcher', 'Wash-out steaming');
  await visit(two, one.url());
  await expect(two.getByRole('heading', { name: 'EELCATCHER' })).toBeVisible();

  await one.locator('#quick-line').fill('note seen from the other side');
  await one.keyboard.press('Enter');
  await expect(two.locator('.entries')).toContainText('seen from the other side', { timeout: 1000 });

  await a.setOffline(true);
  await one.locator('#quick-line').fill('note written in a dead spot');
  await one.keyboard.press('Enter');
  await expect(one.locator('.entries')).toContainText('written in a dead spot');
  await expect(one.locator('footer')).toContainText('kept on this device');
  await a.setOffline(false);
  await expect(two.locator('.entries')).toContainText('written in a dead spot');
  await expect(two.locator('.entries li', { hasText: 'written in a dead spot' })).toHaveCount(1);
  await expect(one.locator('footer')).toContainText('All delivered');

  // Undo strikes through for both.
  await one.locator('#quick-line').fill('250');
  await one.keyboard.press('Enter');
  await expect(one.locator('#quick-echo')).toContainText('is that right');
  await one.keyboard.press('Enter');
  await one.keyboard.press('Enter');
  await one.getByRole('button', { name: 'Undo' }).click();
  await expect(two.locator('.entries li.gone')).toContainText('250');
  // Fed, and it does not rise: an answer of its own, and not “no water”.
  await one.getByRole('button', { name: 'LOW WATER' }).click();
  await one.getByRole('button', { name: 'I see it, I feed, and it does not rise' }).click();
  await expect(one.getByText(/^Still not rising: fire out now/)).toBeVisible();
  await one.getByRole('button', { name: 'Back to the Footplate' }).click();
  await expect(two.locator('.entries')).toContainText('fed, and the glass did not rise');
  await expect(two.locator('.entries')).not.toContainText('no water seen');
  // With a fire in, NOW is the drill, a step at a time, until the fire is out.
  for (const said of ['already lit', 'not seen']) {
    await one.locator('#quick-line').fill(said);
    await one.keyboard.press('Enter');
  }
  const drill = two.locator('article.now');
  await expect(drill).toContainText('Low water, 1 of');
  await expect(drill.locator('h2')).toHaveText('Do not feed.');
  await drill.getByRole('button', { name: 'Done, next' }).click();
  await expect(drill).toContainText('Low water, 2 of');
  await drill.getByRole('button', { name: 'The fire is out' }).click();
  await expect(drill).not.toContainText('Low water');
  await expect(one.locator('.entries')).toContainText('Fire out');
  await Promise.all([a.close(), b.close()]);
});

test('a phone: low water is one touch away, its question first, and No bars the engine', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ baseURL, viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await context.newPage();
  await comeInAs(page, 'tamsel');
  await start(page, 'Lantern', 'School visit');
  await page.getByRole('button', { name: 'LOW WATER' }).tap();
  await expect(page.getByText('Can you see water in the glass?')).toBeVisible();
  // Nothing feeds this one.
  await expect(page.getByRole('button', { name: /I feed/ })).toHaveCount(0);
  await page.getByRole('button', { name: /^No, or it is in the bottom nut/ }).tap();
  await expect(page.getByText('Put nothing in.', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Back to the Footplate' }).tap();
  await expect(page.locator('.entries')).toContainText('Low water: no water seen');
  // Not lit, there is no fire to put out: NOW is what it was.
  await expect(page.locator('article.now')).not.toContainText('Low water');
  await expect(page.locator('footer')).toContainText('All delivered');
  await openFaults(page);
  await expect(page.locator('tr', { hasText: 'no water seen' })).toContainText('may not be steamed');
  await context.close();
});
const openFaults = (page: Page) => page.goto('/faults');
