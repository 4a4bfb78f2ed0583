import { patterns } from '../../src/core/engine';
import { alive, comeInAs, visit } from './people';
import { expect, test } from './loopback';

test.use({ serviceWorkers: 'allow' });

test('a Footplate that was opened once opens again with no network, and what is logged then is delivered later', async ({
  page,
  context
}) => {
  await comeInAs(page, 'wenna');
  const { fitOut } = patterns.find((p) => p.fitOut.name === 'Tin Heron')!;
  const made = await page.request.post('/api/engines', { data: { ...fitOut, name: `Marsh Tern ${Date.now()}` } });
  const engine = ((await made.json()) as { id: string }).id;
  const begun = await page.request.post(`/api/engines/${engine}/steamings`, { data: { reason: 'a test without a network' } });
  await visit(page, `/footplate/${((await begun.json()) as { id: string }).id}`);
  await page.evaluate(() => navigator.serviceWorker.ready);
  // The first page was fetched before the worker was there to keep it.
  await page.reload();
  await alive(page);
  await page.locator('#quick-line').fill('note before the tunnel');
  await page.keyboard.press('Enter');
  await expect(page.locator('.entries')).toContainText('before the tunnel');
  await expect(page.locator('footer')).toContainText('All delivered');
  await page.reload();
  await alive(page);
  // This one is delivered after the page was kept: the device remembers it beside the page.
  await page.locator('#quick-line').fill('note at the mouth');
  await page.keyboard.press('Enter');
  await expect(page.locator('.entries')).toContainText('at the mouth');
  await expect(page.locator('footer')).toContainText('All delivered');
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByRole('heading', { name: /^MARSH TERN/i })).toBeVisible();
  await expect(page.locator('.entries')).toContainText('before the tunnel');
  await expect(page.locator('.entries')).toContainText('at the mouth');
  await page.locator('#quick-line').fill('note in the tunnel');
  await page.keyboard.press('Enter');
  await expect(page.locator('footer')).toContainText('kept on this device');
  // Closed and opened again without a network, it is still there.
  await page.reload();
  await expect(page.locator('.entries')).toContainText('in the tunnel');
  await page.getByRole('button', { name: 'LOW WATER' }).click();
  await expect(page.getByText('Is there water in the boiler?')).toBeVisible();
  await page.getByRole('button', { name: 'Back to the Footplate' }).click();
  await context.setOffline(false);
  await expect(page.locator('footer')).toContainText('All delivered');
  const kept = await page.request.get(`/api/steamings/${page.url().split('/').at(-1)}/entries`);
  expect((await kept.text()).match(/in the tunnel/g)).toHaveLength(1);
});
