import { type Browser, expect, type Page, test } from '@playwright/test';
import { type Condition, conditions, fittingsOf } from '../../src/core/commission';
import { type FitOut, patterns } from '../../src/core/engine';
import { desk, doneCold, say, until } from './foot';
import { comeInAs, openFoot, ownClock, visit } from './people';

/** An engine on its way, as hands bring it: on air, on another boiler’s steam, its boiler tested and lit for the first time, run in and released. */

const { fitOut } = patterns.find((p) => p.fitOut.name === 'Snipe')!;
const bodyOf = (called: string): FitOut => ({ ...fitOut, name: called, description: '0-4-0 side tank' });

async function foot(page: Page, dialog: string) {
  await openFoot(page);
  await page.getByRole('button', { name: dialog }).last().click();
  return page.getByRole('dialog');
}
const shut = (page: Page) => page.keyboard.press('Escape');

async function session(page: Page, engine: string, occasion: string) {
  await visit(page, `/engines/${engine}`);
  await page.getByRole('button', { name: 'Start a session' }).click();
  await page.getByLabel('Occasion').selectOption(occasion);
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.waitForURL(/\/footplate\//);
  await page.locator('html[data-live]').waitFor();
}
/** Touches a cell of the open matrix. */
async function touch(page: Page, item: string, c: Condition, result: 'Good' | 'Not good', more: { seen?: string; since?: string } = {}) {
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('button', { name: new RegExp(`^${item}, ${conditions[c]}: `) }).click();
  if (more.seen) await sheet.getByLabel(/^What was seen/).fill(more.seen);
  if (more.since) await sheet.getByLabel('What was done since').fill(more.since);
  await sheet.getByRole('button', { name: result, exact: true }).click();
}
async function sign(page: Page) {
  await foot(page, 'Sign and close');
  await page.getByRole('dialog').getByRole('button', { name: /^Sign/ }).click();
  await page.waitForURL(/\/records\//);
}
/** Walks past every spot of the drawing on one walk: dry, but for what is said. */
async function walk(page: Page, which: string, leaks: Record<string, string> = {}) {
  const sheet = await foot(page, 'Leak sweep');
  await sheet.getByRole('button', { name: which, exact: true }).click();
  for (const spot of await sheet.locator('.drawn button').all()) {
    await spot.click();
    for (const [place, is] of Object.entries(leaks)) {
      const row = sheet.locator('.place', { has: page.getByText(place, { exact: true }) });
      if (await row.count()) await row.getByRole('button', { name: is, exact: true }).click();
    }
    const all = sheet.getByRole('button', { name: /^All \d+ dry$/ });
    if (await all.count()) await all.click();
    else
      for (const row of await sheet.locator('.place', { hasText: 'left|not looked at' }).all())
        await row.getByRole('button', { name: 'dry', exact: true }).click();
    for (const row of await sheet.locator('.place').all()) {
      if (!(await row.locator('.plain[aria-pressed="true"]').count())) await row.getByRole('button', { name: 'dry', exact: true }).click();
    }
  }
  await expect(sheet).toContainText('Every place has been looked at on this walk.');
  return sheet;
}
const stage = (page: Page, name: string) => page.locator('.stages > li', { has: page.getByRole('heading', { name }) });

async function hydraulic(browser: Browser, page: Page, engine: string) {
  await visit(page, `/proof/new/hydraulic?engine=${engine}`);
  const type = async (label: string, text: string) => page.getByLabel(label, { exact: true }).fill(text);
  await page.getByLabel('Which', { exact: true }).selectOption('new, or after a repair');
  await type('Pumped up to', '160 psi');
  await type('Read at the end', '160 psi');
  await type('Gauge read to, either way', '1 psi');
  await type('Which gauge, and when it was compared', 'Club test gauge, May');
  await type('Shut off and held for', '20 min');
  await page.getByRole('button', { name: 'Keep the worksheet' }).click();
  await page.waitForURL(/\/proof\/[\w-]{36}$/);
  const at = page.url();
  await expect(page.locator('.verdict')).toContainText('Within the rules');
  const context = await browser.newContext(desk);
  const hesper = await context.newPage();
  await comeInAs(hesper, 'hesper');
  await visit(hesper, new URL(at).pathname);
  await hesper.getByLabel('What was witnessed, and what is left to do').fill('Seen, dry all round');
  await hesper.getByRole('button', { name: 'Sign as the boiler examiner' }).click();
  await expect(hesper.locator('header.block')).toContainText('Hesper');
  return { context, hesper };
}

test('a chassis becomes an engine: each stage by its evidence, and nothing before it', async ({ browser }) => {
  test.setTimeout(240_000);
  const context = await browser.newContext(desk);
  const page = await context.newPage();
  await comeInAs(page, 'wenna');
  const called = `Sedge ${Date.now() % 1e6}`;
  const { id } = (await (await page.request.post('/api/engines', { data: bodyOf(called) })).json()) as { id: string };
  await visit(page, `/build/${id}`);
  await page.getByRole('button', { name: 'Begin its build' }).click();
  await expect(stage(page, 'On air')).toContainText('No signed session on air.');

  // What a later stage asks for is not begun before it.
  await visit(page, `/engines/${id}`);
  await page.getByRole('button', { name: 'Start a session' }).click();
  const start = page.getByRole('dialog');
  await start.getByLabel('Occasion').selectOption('first');
  await expect(start).toContainText('Build, boiler hydraulic: No hydraulic worksheet since the build began.');
  await shut(page);

  // On air: a cell is judged where there is air, and said otherwise only with what was done.
  await session(page, id, 'air');
  await expect(page.locator('header.block')).toContainText('On air');
  await foot(page, 'Matrix');
  await touch(page, 'Regulator', 'air', 'Good');
  await expect(page.getByRole('dialog')).toContainText('There is no air on it');
  await touch(page, 'Regulator', 'cold', 'Good');
  await shut(page);
  const chassis = fittingsOf(bodyOf(called)).filter((f) => f.of === 'chassis');
  await until(page, /^Every control moved, cold/, (is) => doneCold(page, is));
  await page.locator('article.now').getByRole('button', { name: 'Matrix' }).click();
  for (const f of chassis.filter((f) => f.in.includes('cold') && f.name !== 'Regulator')) await touch(page, f.name, 'cold', 'Good');
  await shut(page);
  // What the matrix shows is not asked.
  await until(page, /^Air hose on/, (is) => doneCold(page, is));
  await page.locator('article.now button.done.go').click();
  await expect(page.locator('body')).toContainText('air hose connected');
  await foot(page, 'Matrix');
  for (const f of chassis.filter((f) => f.in.includes('air')))
    await touch(
      page,
      f.name,
      'air',
      f.name === 'Cylinder 2' ? 'Not good' : 'Good',
      f.name === 'Cylinder 2' ? { seen: 'blows past the piston' } : {}
    );
  await touch(page, 'Cylinder 2', 'air', 'Good');
  await expect(page.getByRole('dialog')).toContainText('Cylinder 2 was found not good on air by Wenna Thrale: say what was done since');
  await page.getByRole('dialog').getByLabel('What was done since').fill('new ring fitted');
  await page.getByRole('dialog').getByRole('button', { name: 'Good', exact: true }).click();
  await expect(page.getByRole('dialog').getByRole('button', { name: 'Cylinder 2, on air: good' })).toBeVisible();
  await shut(page);
  // The air comes off before it is left.
  await foot(page, 'Sign and close');
  await expect(page.getByRole('dialog')).toContainText('The air hose is still on.');
  await shut(page);
  await page.locator('.chips').getByRole('button', { name: 'air hose connected' }).click();
  await sign(page);
  await expect(page.locator('article')).toContainText('Since: new ring fitted');
  await visit(page, `/build/${id}`);
  await expect(stage(page, 'On air')).toContainText('passed');

  // On borrowed steam: a boiler that is in the book, an end, and off before it is left.
  await session(page, id, 'borrowed');
  const rigs = await foot(page, 'Rig');
  await rigs.getByLabel('Whose boiler').fill('Old Scoop');
  await rigs.getByRole('button', { name: 'Put on' }).click();
  await expect(rigs).toContainText('Say by when it must be off again');
  await rigs.getByLabel('Its water lasts').fill('25 min');
  await rigs.getByRole('button', { name: 'Put on' }).click();
  await expect(rigs).toContainText('hose to another boiler, Old Scoop');
  await rigs.getByLabel('What is put on').selectOption('lever');
  await rigs.getByLabel('Where, or what of it').fill('on the whistle');
  await rigs.getByLabel('Off again after').fill('6 h');
  await rigs.getByRole('button', { name: 'Put on' }).click();
  await expect(rigs).toContainText('temporary lever on the whistle');
  await shut(page);
  await foot(page, 'Matrix');
  for (const f of chassis.filter((f) => f.in.includes('steam'))) await touch(page, f.name, 'steam', 'Good');
  await shut(page);
  await foot(page, 'Sign and close');
  await expect(page.getByRole('dialog')).toContainText('The hose to another boiler, Old Scoop is still on: off before it is left.');
  await shut(page);
  await foot(page, 'Rig, 2 on');
  await rigs.locator('.on', { hasText: 'Old Scoop' }).getByRole('button', { name: 'Off again' }).click();
  await shut(page);
  await sign(page);
  await expect(page.locator('article')).toContainText('temporary lever on the whistle');

  const { context: theirs, hesper } = await hydraulic(browser, page, id);
  await visit(page, `/build/${id}`);
  await expect(stage(page, 'Boiler hydraulic')).toContainText('passed');
  await expect(page.locator('body')).toContainText('On, and must come off: temporary lever on the whistle');

  // The first fire, with a clock of its own.
  const own = await browser.newContext(desk);
  const first = await own.newPage();
  await ownClock(first, Date.now() - 2 * 3600_000);
  await comeInAs(first, 'wenna');
  await session(first, id, 'first');
  await walk(first, 'cold');
  await shut(first);
  await say(first, 'already lit');
  const sheet = await foot(first, 'Leak sweep');
  await sheet.getByRole('button', { name: 'at 30 psi' }).click();
  await expect(sheet).toContainText('Log the needle first');
  await shut(first);
  await say(first, '31');
  await walk(first, 'at 30 psi', { 'Gauge union': 'weeps', 'Tube ends at the fire': 'weeps' });
  await shut(first);
  await first.clock.fastForward(8 * 60_000);
  await say(first, '52');
  await walk(first, 'at 50 psi', { 'Gauge union': 'weeps', 'Tube ends at the fire': 'drips' });
  await expect(sheet).toContainText(/Tube ends at the fire: dry cold, weeps at 30\spsi, drips at 50\spsi: grows. It means stop/);
  await first.screenshot({ path: 'test-results/sweep.png' });
  // What means stop is a fault, written where it is; the walk at working pressure waits for the needle.
  await sheet.getByRole('button', { name: /^tubes at the fire/ }).click();
  await sheet.getByRole('button', { name: 'More' }).first().click();
  await sheet.getByRole('button', { name: 'Write a fault' }).click();
  await shut(first);
  await first.clock.fastForward(5 * 60_000);
  await say(first, 'fire out');
  await first.clock.fastForward(30 * 60_000);
  await say(first, '0');
  await foot(first, 'Matrix');
  for (const f of fittingsOf(bodyOf(called)).filter((f) => f.of === 'boiler' && f.in.includes('cold')))
    await touch(first, f.name, 'cold', 'Good');
  await touch(first, 'Whistle', 'steam', 'Good');
  await expect(first.getByRole('dialog')).toContainText('There is no steam in it');
  await shut(first);
  await sign(first);
  await expect(first.locator('article')).toContainText('It means stop');
  await first.screenshot({ path: 'test-results/record.png', fullPage: true });
  await visit(page, `/build/${id}`);
  await expect(stage(page, 'Boiler first steaming')).toContainText('Tube ends at the fire');
  await page.screenshot({ path: 'test-results/build.png', fullPage: true });
  await context.close();
  await own.close();
  await theirs.close();
  void hesper;
});
