import { expect, test } from '@playwright/test';
import { begun, desk, done, hoursAgo, logged, now, phone, say, until } from './foot';
import { openFoot } from './people';

/** Engines without a gauge, a glass or a feed, worked by hand: measured water, one stop time, several runs a day. */

test.describe.configure({ mode: 'serial' });

for (const [name, options] of [
  ['desk', desk],
  ['phone', phone]
] as const)
  test(`Tin Heron on a ${name}: three runs in a day by real numbers, one ended late and marked so`, async ({ browser, baseURL }) => {
    const { context, page } = await hoursAgo(browser, 6, { baseURL, ...options });
    await begun(page, 'Tin Heron', `Tin Egret, ${name}`);
    await until(page, /^Fill with 110/, async (is) => {
      if (!/^Papers/.test(is)) return done(page);
      await now(page).getByRole('button', { name: 'Skip' }).click();
      await now(page).getByRole('button', { name: 'Not needed today' }).click();
    });

    // The step wants the number: nothing is done without it, and what is too little is refused with its arithmetic.
    await expect(now(page)).toContainText('Log the water that goes in');
    await expect(now(page).locator('button.done')).toBeDisabled();
    await now(page)
      .getByLabel(/Water put in, ml/)
      .fill('20');
    await done(page);
    await expect(now(page)).toContainText(/20\s*ml is in, and the hottest metal needs 3\d\s*ml over it: fill to 110\s*ml, 90\s*ml more/);
    // By its own syringe, one touch each.
    for (const word of ['2 syringes', '2 syringes']) await now(page).getByRole('button', { name: word }).click();
    await expect(now(page)).toContainText(/In the boiler: 100\s*ml/);
    await say(page, '10 ml');
    await expect(now(page)).toContainText(/In the boiler: 110\s*ml/);
    await done(page);
    await until(page, /^Measure the charge out/);

    // A charge that would outlast the water is refused, with what does.
    await expect(now(page).locator('button.done')).toBeDisabled();
    await say(page, '60 g');
    await expect(now(page)).toContainText(/The fuel outlasts the water: 60\s*g is charged/);
    await page.getByRole('button', { name: /^Undo/ }).click();
    await now(page).getByRole('button', { name: '2 tablets' }).click();
    await expect(now(page)).toContainText(/Charged: 14\s*g/);
    await done(page);
    await until(page, /^Light/);
    await done(page);

    // One countdown, with what sets it.
    const count = page.getByRole('region', { name: 'Countdown' });
    await expect(count.getByRole('timer')).toHaveText(/^(9:00|8:5\d)$/);
    await expect(count).toContainText('the longest run');
    // What tells is pointed at.
    await page.clock.fastForward('03:00');
    await page
      .getByRole('group', { name: 'What tells' })
      .getByRole('button', { name: /begins to sing/ })
      .click();
    await page.clock.fastForward('01:31');
    await expect(page.locator('.strip').first()).toContainText('Half of its time is gone');
    await page
      .getByRole('group', { name: 'What tells' })
      .getByRole('button', { name: /whistle full/ })
      .click();
    await until(page, /^Over within 9/);
    await page.clock.fastForward('02:40');
    await expect(page.locator('.strip').first()).toContainText('Two minutes, and its time is up');
    await page.clock.fastForward('01:00');
    await say(page, 'flame out');
    await logged(page, 'Fire out');

    // Again: down to nothing, opened, measured, hot on hot.
    await page.getByRole('button', { name: 'Another run today' }).click();
    await until(page, /^Measure what is left/);
    await expect(now(page).locator('button.done')).toBeDisabled();
    await now(page)
      .getByLabel(/Water left in the boiler, ml/)
      .fill('103');
    await done(page);
    await until(page, /^Fill again/);
    await now(page)
      .getByLabel(/Water put in, ml/)
      .fill('7');
    await done(page);
    await logged(page, /7(.0)?\s*ml of hot water in/);
    await until(page, /^Charge again/);
    await now(page).getByRole('button', { name: '2 tablets' }).click();
    await done(page);
    await until(page, /^Light it again/);
    await done(page);

    // This one is stretched: it is insisted on until it is out, and told so.
    await page.clock.fastForward('09:30');
    await expect(page.locator('.strip').first()).toContainText('Its time is up');
    await page.clock.fastForward('01:30');
    await say(page, 'flame out');
    await expect(page.locator('.strip.act')).toHaveCount(0);
    await page.getByRole('button', { name: 'Another run today' }).click();
    await until(page, /^Measure what is left/);
    await say(page, '93 ml left');
    await done(page);
    await until(page, /^Fill again/);
    await say(page, '17 ml hot');
    await done(page);
    await until(page, /^Charge again/);
    await say(page, '2 tablets');
    await done(page);
    await until(page, /^Light it again/);
    await say(page, 'lit');
    await page.clock.fastForward('08:30');
    await say(page, 'flame out');

    await openFoot(page);
    if (name === 'phone') await page.getByRole('group', { name: 'Show' }).getByRole('button', { name: 'Trend' }).click();
    const runs = page.locator('.runs tbody tr');
    await expect(runs).toHaveCount(3);
    await expect(runs.nth(0)).not.toContainText('late');
    await expect(runs.nth(0)).toContainText(/103\s*ml/);
    await expect(runs.nth(1)).toContainText('2 min late');
    await expect(runs.nth(2)).not.toContainText('late');
    if (name === 'phone') await page.getByRole('group', { name: 'Show' }).getByRole('button', { name: 'Trend' }).click();

    // Put away and signed: its record has each run by its numbers.
    await until(page, /^Everything is done/, async (is) => {
      const ends = now(page).getByRole('button', { name: 'The running ends' });
      if (await ends.count()) return ends.click();
      if (/grown up/.test(is)) await page.clock.fastForward('20:00');
      return done(page);
    });
    await page.getByRole('button', { name: 'Sign and close' }).first().click();
    await page.getByRole('button', { name: /^Sign/ }).last().click();
    await page.waitForURL(/\/records\//);
    const told = page.getByRole('region', { name: 'Runs' });
    await expect(told.locator('tbody tr')).toHaveCount(3);
    await expect(told.locator('tbody tr').nth(1)).toContainText('2 min late');
    await context.close();
  });

test('Old Scoop: its second burner lost, all off, a pause that is counted and cannot be skipped', async ({ browser, baseURL }) => {
  const { context, page } = await hoursAgo(browser, 3, { baseURL, ...desk });
  await begun(page, 'Old Scoop', 'Young Scoop');
  await say(page, '1/2 already lit');
  await expect(page.locator('.entries')).toContainText(/lit already/);
  const flame = async (word: string | RegExp) => {
    await page.getByRole('button', { name: /^Flame/ }).click();
    await page.getByRole('button', { name: word }).click();
  };
  await flame('Left burner seen to burn');
  await flame('Right burner lost');
  const act = page.locator('.strip.act').first();
  await expect(act).toContainText('Right burner: flame lost');
  await expect(act).toContainText('all of them');
  // Not lit again before everything is off and the pause is counted.
  await say(page, 'lit');
  await expect(page.locator('article.now').getByRole('alert')).toContainText('everything off first');
  await flame('Gas off, all out');
  await expect(act).toContainText(/Doors open: \d+ s more, counted. Then left burner first/);
  await page.clock.fastForward('01:00');
  await say(page, 'lit');
  await expect(page.locator('article.now').getByRole('alert')).toContainText(/doors open, \d+ s more of the count/);
  await page.clock.fastForward('01:02');
  await expect(page.locator('.strip.act', { hasText: 'lost' })).toHaveCount(0);
  // Then the match meets its own lock again, and no longer that one.
  await say(page, 'lit');
  await expect(page.locator('article.now').getByRole('alert')).toContainText('First:');
  await context.close();
});
