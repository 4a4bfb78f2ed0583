import { alive, comeInAs, start } from './people';
import { expect, test } from './loopback';

test.use({ serviceWorkers: 'allow' });

test('a Footplate that was opened once opens again with no network, and what is logged then is delivered later', async ({
  page,
  context
}) => {
  await comeInAs(page, 'wenna');
  await start(page, 'Tin Heron', 'Kitchen table');
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
  await expect(page.getByRole('heading', { name: 'TIN HERON' })).toBeVisible();
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
  await expect(page.locator('footer')).toContainText('All delivered', { timeout: 15_000 });
  const kept = await page.request.get(`/api/steamings/${page.url().split('/').at(-1)}/entries`);
  expect((await kept.text()).match(/in the tunnel/g)).toHaveLength(1);
});
