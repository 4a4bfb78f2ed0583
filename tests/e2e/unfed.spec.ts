import { expect, test } from '@playwright/test';
import { begun, desk, done, doneCold, heading, hoursAgo, logged, now, phone, say, until } from './foot';
import { pointAt, visit } from './people';

/** Engines that nothing feeds, by what each is measured with: canister weights, syringes, watts. */

test('Pond Skater on a phone: joints by name, water by the syringe to its mark, the stop by its gas', async ({ browser, baseURL }) => {
  const { context, page } = await hoursAgo(browser, 5, { baseURL, ...phone });
  const engine = await begun(page, 'Pond Skater', 'Water Boatman');
  const past = (is: string) => doneCold(page, is);
  await until(page, /^Canister/, past);
  // Lighter than the empty canister is no weight of it.
  await now(page)
    .getByLabel(/Canister weighs/)
    .fill('14');
  await done(page);
  await expect(now(page)).toContainText(/14\s*g is less than the canister weighs empty, 240\s*g/);
  await now(page)
    .getByLabel(/Canister weighs/)
    .fill('270');
  await done(page);
  await until(page, /^Leak test/);
  const joint = (name: string) => now(page).getByRole('listitem').filter({ hasText: name });
  await joint('Canister to valve').getByRole('button', { name: 'No bubbles' }).click();
  await joint('Valve to pipe').getByRole('button', { name: 'Bubbles', exact: true }).click();
  await expect(now(page)).toContainText('It bubbles: valve to pipe');
  await joint('Pipe to jet').getByRole('button', { name: 'No bubbles' }).click();
  await expect(now(page)).toContainText('It bubbles: valve to pipe');
  await joint('Valve to pipe').getByRole('button', { name: 'No bubbles' }).click();
  await expect.poll(() => heading(page)).not.toMatch(/^Leak test/);

  // By its syringe: what is in stands beside it, and the glass is looked at.
  await until(page, /^Fill/, past);
  await say(page, '5 syringes');
  await logged(page, /of water in/);
  await pointAt(page, '.readings .glass', 0.3);
  await expect(now(page)).toContainText(/fill to .*more/);
  await say(page, '10 syringes');
  await pointAt(page, '.readings .glass', 0.72);
  await expect(now(page).locator('button.done')).toBeEnabled();
  await done(page);
  await until(page, /^Light/, async (is) => {
    if (/Water in the glass|Look again/.test(is)) await pointAt(page, '.readings .glass', 0.72);
    return past(is);
  });
  // A union undone again burns nothing before it is tested.
  await say(page, 'valve to pipe disturbed');
  await say(page, 'lit');
  await expect(page.getByRole('alert')).toContainText('A gas joint was disturbed');
  await page.getByRole('button', { name: 'gas joint disturbed' }).click();
  const register = page.getByRole('dialog');
  await expect(register).toContainText(/Valve to pipe\s*not tested/);
  await register.getByRole('button', { name: 'No bubbles' }).click();
  await register.getByRole('button', { name: 'Close' }).click();
  await say(page, '12c');
  await until(page, /^Light/);
  await done(page);
  const count = page.getByRole('region', { name: 'Countdown' });
  await expect(count.getByRole('timer')).toHaveText(/^\d\d:\d\d$/);
  await visit(page, `/engines/${engine}`);
  await expect(page.getByRole('row', { name: /Valve to pipe/ })).toContainText('no bubbles');
  await context.close();
});

test('Water Rail on a desk: the canister’s weight is the fuel, before and after', async ({ browser, baseURL }) => {
  const { context, page } = await hoursAgo(browser, 5, { baseURL, ...desk });
  await begun(page, 'Water Rail', 'Sedge Rail');
  const past = (is: string) => doneCold(page, is);
  await until(page, /^Canister/, past);
  await now(page)
    .getByLabel(/Canister weighs/)
    .fill('130');
  await done(page);
  await until(page, /^Leak test/);
  for (const name of ['filler valve', 'tank to gas valve', 'gas valve to jet']) await say(page, `${name} tight`);
  await until(page, /^Fill with/, past);
  await say(page, '260 ml');
  await done(page);
  // Too much gas for that water is refused where it is to be lit, with what does.
  await say(page, 'canister 142 g');
  await until(page, /^Light/, past);
  await expect(now(page)).toContainText(/The fuel outlasts the water: 24\s*g is charged/);
  await say(page, 'canister 130 g');
  await expect(now(page)).not.toContainText('outlasts');
  await done(page);
  const count = page.getByRole('region', { name: 'Countdown' });
  await expect(count.getByRole('timer')).toHaveText(/^11:[23]\d$/);
  await page.clock.fastForward('00:07');
  await expect(page.locator('.strip').first()).toContainText('not heard yet');
  await say(page, 'flame heard');
  await expect(page.locator('.strip', { hasText: 'not heard' })).toHaveCount(0);
  await page.clock.fastForward('10:00');
  await expect(page.locator('.strip').first()).toContainText('Two minutes, and its time is up');
  await say(page, 'flame out');
  await say(page, 'canister 121 g');
  await expect(page.locator('.entries')).toContainText(/Canister weighs after/);
  await expect(page.locator('.runs tbody tr').first()).toContainText(/9(\.0)?\s*g/);
  await context.close();
});

test('Lantern on a desk: it holds, then it sags under load, with the watts', async ({ browser, baseURL }) => {
  const { context, page } = await hoursAgo(browser, 5, { baseURL, ...desk });
  await begun(page, 'Lantern', 'Horn Lantern');
  await say(page, '1/2 already lit');
  await expect(page.getByRole('region', { name: 'Countdown' })).toContainText('water');
  for (const psi of ['41', '37', '33']) {
    await page.clock.fastForward('02:00');
    await say(page, `${psi} 1/2`);
  }
  const strip = page.locator('.strip', { hasText: 'Falling with the element on' });
  await expect(strip).toContainText(/41\s*psi, 37\s*psi, 33\s*psi/);
  await expect(strip).toContainText(/it asks for 1\.\d\s*kW of steam, and the element makes 1\.3\s*kW/);
  await page.clock.fastForward('02:00');
  await say(page, '38 1/2');
  await expect(strip).toHaveCount(0);
  await context.close();
});
