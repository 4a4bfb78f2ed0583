import type { Page } from '@playwright/test';
import postgres from 'postgres';
import { patterns } from '../../src/core/engine';
import { mend } from './fault-page';
import { alive, comeInAs, visit } from './people';
import { expect, test } from './loopback';

/** What a member enters at the API, as their Footplate would. */
async function tell(page: Page, id: string, kind: string, body: object) {
  const at = new Date();
  const answer = await page.request.post(`/api/steamings/${id}/entries`, {
    data: { id: `01a21a00-0000-7000-8000-${String(at.getTime()).slice(-12).padStart(12, '0')}`, kind, at: at.toISOString(), body }
  });
  return { status: answer.status(), said: (await answer.json()) as { field?: string; sentence?: string } };
}
const choose = async (page: Page, step: RegExp) => {
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.locator('.bx--modal.is-visible').getByRole('button', { name: step }).click();
};

test('public running is judged: feeds, a fault, the release with what was not tested; handed over when it is taken, and signed by whoever has it', async ({
  browser,
  baseURL
}) => {
  test.slow();
  const [a, b] = await Promise.all([browser.newContext({ baseURL }), browser.newContext({ baseURL })]);
  const [wenna, jory] = [await a.newPage(), await b.newPage()];
  await comeInAs(wenna, 'wenna');
  // An engine of its own, with papers.
  const name = `Judged Snipe ${Date.now() % 1e6}`;
  const { fitOut } = patterns.find((p) => p.fitOut.name === 'Snipe')!;
  const engine = await (await wenna.request.post('/api/engines', { data: { ...fitOut, name } })).json();
  const sql = postgres(process.env.JORAM_TEST_ADMIN_URL!, { max: 1 });
  await sql`insert into paper (club_id, paper_id, engine_id, kind, number, issued, expires)
    select club_id, gen_random_uuid(), engine_id, 'Boiler certificate', 'X', '2026-01-01', '2099-01-01' from engine where engine_id = ${engine.id}`;
  await sql.end();
  await visit(wenna, `/engines/${engine.id}`);
  await wenna.getByRole('button', { name: 'Start steaming' }).click();
  await wenna.getByLabel('What for').fill('Sluice Weekend');
  await wenna.getByLabel(/Public running/).check();
  await wenna.getByRole('button', { name: 'Start', exact: true }).click();
  await wenna.waitForURL(/\/footplate\//);
  await alive(wenna);
  const id = wenna.url().split('/').at(-1)!;
  // What the book shows is shown, and not asked.
  await expect(wenna.getByText('Boiler certificate to')).toBeVisible();
  await expect(wenna.locator('article.now h2')).not.toContainText('Papers');

  await tell(wenna, id, 'phase', { phase: 'Run' });
  await choose(wenna, /^Passengers/);
  const now = wenna.locator('article.now');
  await expect(now).toContainText('Public running asks for 2 proven feeds: none is proven. Not proven:');
  await expect(now.getByRole('button', { name: 'Done', exact: true })).toBeDisabled();
  const ticked = await tell(wenna, id, 'tick', { step: 'passengers', outcome: 'done' });
  expect([ticked.status, ticked.said.field]).toEqual([400, 'body.step']);

  // A fault that carries nobody, in two touches and a word.
  await wenna.getByRole('button', { name: 'Fault', exact: true }).click();
  await wenna.getByText('not with passengers').click();
  await wenna.getByLabel('The fault in your own words').fill('Drawbar pin worn');
  await wenna.getByRole('button', { name: 'Log fault' }).click();
  await expect(now).toContainText('Not with passengers: “Drawbar pin worn” is open.');

  // The release says what was not tested, takes a test, and is not signed before its steps.
  await visit(wenna, `/release/${id}`);
  const line = (name: string) => wenna.locator('li', { hasText: name });
  await expect(line('Whistle')).toContainText('not tested');
  await expect(line('Crosshead pump')).toContainText('not tested');
  await expect(wenna.getByText('Drawbar pin worn')).toBeVisible();
  await expect(wenna.getByText(/0 of \d, 2 asked for public running/)).toBeVisible();
  await line('Whistle').getByRole('button').first().click();
  await wenna.getByLabel('What was seen of it').fill('clear, drained first');
  await wenna.getByRole('button', { name: 'Passed', exact: true }).click();
  await expect(line('Whistle')).toContainText('passed');
  await expect(line('Whistle')).toContainText('clear, drained first');
  await expect(wenna.getByRole('button', { name: /^Fit to run/ })).toBeDisabled();
  await expect(wenna.getByText(/^Not yet\. First: /)).toBeVisible();

  // Fixed on the page of the faults, it bars nothing here any more.
  await visit(wenna, '/faults');
  const fault = wenna.locator('tr', { hasText: 'Drawbar pin worn' });
  await mend(wenna, 'Drawbar pin worn', 'New pin', 'No play at the bar');
  await visit(wenna, '/faults');
  await expect(fault).toHaveCount(0);
  await visit(wenna, `/footplate/${id}`);
  await expect(wenna.locator('.entries')).toContainText('Fault cleared: Drawbar pin worn. New pin');
  await choose(wenna, /^Passengers/);
  await expect(now).not.toContainText('Drawbar pin');

  // Offered, it is still with its keeper; taken on the other's own device, it is not.
  await wenna.getByRole('button', { name: 'hand over' }).click();
  const dialog = wenna.locator('.bx--modal.is-visible');
  await dialog.getByLabel('Who takes it').selectOption('Jory Quillfeather');
  await expect(dialog).toContainText('Goes with it');
  await dialog.getByRole('button', { name: 'Offer it' }).click();
  await expect(wenna.getByText(/^Offered to Jory Quillfeather, and not taken yet/)).toBeVisible();
  await comeInAs(jory, 'jory');
  await visit(jory, `/footplate/${id}`);
  const strip = jory.getByRole('region', { name: 'Hand over' });
  await expect(strip).toContainText('hands this engine to you');
  await expect(strip).toContainText('Handles');
  await strip.getByRole('button', { name: 'I have it' }).click();
  await expect(wenna.locator('footer')).toContainText('Keeper Jory Quillfeather');
  await wenna.getByRole('button', { name: 'Sign and close' }).first().click();
  await expect(wenna.locator('.bx--modal.is-visible')).toContainText('handed over to Jory Quillfeather, who signs for it');
  await wenna.getByRole('button', { name: 'Not yet', exact: true }).click();

  // And back, on this device, by the sign-in name that is theirs.
  await jory.getByRole('button', { name: 'hand over' }).click();
  await jory.locator('.bx--modal.is-visible').getByLabel('Who takes it').selectOption({ label: 'Wenna Thrale' });
  await jory.getByRole('button', { name: 'Offer it' }).click();
  // It has come to the server, and from there to her.
  await expect(wenna.getByText(/hands this engine to you/)).toBeVisible();
  const notHers = await tell(jory, id, 'taken', { name: 'Wenna Thrale', signIn: 'jory' });
  expect(notHers.said.sentence).toContain('does not sign in as “jory”');
  await jory.getByLabel(/On this device/).fill('wenna');
  await jory.getByRole('button', { name: 'They have it' }).click();
  await expect(wenna.locator('footer')).toContainText('Keeper Wenna');

  // She offers it again on his device, by her own sign-in name; and he gives it back.
  await jory.getByRole('button', { name: 'hand over' }).click();
  const sheet = jory.locator('.bx--modal.is-visible');
  await sheet.getByLabel('Who takes it').selectOption({ label: 'Jory Quillfeather' });
  await expect(sheet.getByRole('button', { name: 'Offer it' })).toBeDisabled();
  const asHim = { to: 'Jory Quillfeather', next: 'oil', offered: true, signIn: 'jory' };
  expect((await tell(jory, id, 'handover', asHim)).said.sentence).toContain('Wenna Thrale does not sign in as “jory”');
  await sheet.getByLabel('On this device: Wenna Thrale signs in as').fill('wenna');
  await sheet.getByRole('button', { name: 'Offer it' }).click();
  await jory.getByRole('button', { name: 'I have it' }).click();
  await expect(wenna.locator('footer')).toContainText('Keeper Jory');
  await jory.getByRole('button', { name: 'hand over' }).click();
  await sheet.getByLabel('Who takes it').selectOption({ label: 'Wenna Thrale' });
  await sheet.getByRole('button', { name: 'Offer it' }).click();
  await wenna.getByRole('button', { name: 'I have it' }).click();
  await expect(wenna.locator('footer')).toContainText('Keeper Wenna');

  // Signed, the record names each keeper and what was not tested.
  await wenna.getByRole('button', { name: 'Sign and close' }).first().click();
  await wenna.getByRole('button', { name: 'Sign', exact: true }).click();
  await wenna.waitForURL(/\/records\//);
  const record = wenna.locator('.a4');
  await expect(record).toContainText('Public running');
  await expect(record).toContainText('Jory Quillfeather');
  await expect(record).toContainText(/Not tested:.*crosshead pump/i);
  await Promise.all([a.close(), b.close()]);
});
