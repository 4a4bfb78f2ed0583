import postgres from 'postgres';
import { patterns } from '../../src/core/engine';
import { expect, test } from './loopback';
import { alive, comeInAs, ownClock, pointAt, visit } from './people';
import { counter, doNow } from './walk';

test('Marsh Hen, cold to moving and to signed in rounds: cards and touches counted, and duties that come round by the clock', async ({
  page
}) => {
  test.slow();
  await ownClock(page, Date.now() - 9 * 3.6e6);
  await comeInAs(page, 'jory');
  const name = `Counted Hen ${Date.now() % 1e6}`;
  const { fitOut } = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!;
  const engine = await (await page.request.post('/api/engines', { data: { ...fitOut, name } })).json();
  const sql = postgres(process.env.JORAM_TEST_ADMIN_URL!, { max: 1 });
  await sql`insert into paper (club_id, paper_id, engine_id, kind, number, issued, expires)
    select club_id, gen_random_uuid(), engine_id, 'Boiler certificate', 'X', '2026-01-01', '2099-01-01' from engine where engine_id = ${engine.id}`;
  await sql.end();
  const started = await (await page.request.post(`/api/engines/${engine.id}/steamings`, { data: { purpose: 'Members’ day' } })).json();
  await visit(page, `/footplate/${started.id}`);

  const counted = counter();
  const now = page.locator('article.now');
  for (let i = 0; i < 200 && !counted.moving; i++) await doNow(page, counted);
  console.log(`Marsh Hen, cold to moving: ${counted.moving!.cards} cards, ${counted.moving!.touches} touches`);
  expect(counted.moving!.cards).toBeLessThanOrEqual(32);
  expect(counted.moving!.touches).toBeLessThanOrEqual(50);

  // It runs: what comes round is there by the clock, kept by a touch, put off once with a reason.
  const duties = page.locator('.duties');
  for (let i = 0; i < 12 && !(await duties.getByText('Look at the glass').count()); i++) await doNow(page, counted);
  await expect(duties).toContainText('Look at the glass');
  await expect(duties).toContainText('Look at the fire');
  await page.clock.fastForward('08:00');
  await expect(now.locator('h2')).toHaveText('Look at the glass');
  await expect(now).toContainText(/due \d+ min ago/);
  await now.getByRole('button', { name: 'Put off' }).click();
  await now.getByLabel(/Why is it put off/).fill('on the bank');
  await now.getByRole('button', { name: 'Put off', exact: true }).click();
  await expect(page.locator('.entries')).toContainText('Put off: Look at the glass. on the bank');
  const bright = page.locator('.do').getByRole('button', { name: 'Bright and even' }).first();
  await bright.click();
  await page.clock.fastForward('08:00');
  await expect(now).toContainText('Put off once: on the bank');
  await expect(now.getByRole('button', { name: 'Put off' })).toHaveCount(0);
  await pointAt(page, '.readings .glass', 0.5);
  await expect(now.locator('h2')).not.toHaveText('Look at the glass');
  await page.clock.fastForward('45:00');
  await pointAt(page, '.readings .glass', 0.5);
  await bright.click();
  await expect(page.locator('.do')).toContainText(/Lubricator: .*(now|late|due)/i);
  // Stand-by has duties of its own.
  await duties.getByRole('button', { name: 'Stand by' }).click();
  await expect(duties).toContainText('Standing by since');
  await expect(page.locator('.do')).toContainText('Somebody by it');
  await duties.getByRole('button', { name: 'Running again' }).click();
  await expect(page.locator('.do')).not.toContainText('Somebody by it');

  await page.locator('#quick-line').fill('running ends');
  await page.keyboard.press('Enter');
  for (let i = 0; i < 120 && !(await page.getByText('Everything is done or accounted for').isVisible()); i++) {
    // What has come round meanwhile is kept first.
    if (await now.getByRole('button', { name: 'Put off' }).count()) {
      if (/glass/i.test(await now.locator('h2').innerText())) await pointAt(page, '.readings .glass', 0.5);
      else await now.locator('button.done').click();
    } else await doNow(page, counted);
  }
  console.log(`Marsh Hen, cold to signed: ${counted.seen.size} cards, ${counted.touches} touches`);
  await page.locator('#quick-line').fill('0');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Sign and close' }).first().click();
  await page.getByRole('button', { name: 'Sign', exact: true }).click();
  await page.waitForURL(/\/records\//);
  await alive(page);
  const record = page.locator('.a4');
  await expect(record).toContainText(/Look at the glass: \d+\s+times?, \d+ late, at most by \d+ min, put off 1/);
  await expect(record).toContainText('Fit to run, Jory Quillfeather');
});
