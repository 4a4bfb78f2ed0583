import { expect, type Page, test } from '@playwright/test';
import { knowledge } from '../../src/core/finder';
import { patterns } from '../../src/core/engine';
import { timeOrderedId } from '../../src/core/log/id';
import { cases, type FinderCase } from '../finder-cases';
import { section, touch } from './fault-page';
import { begun, desk, logged, now, phone } from './foot';
import { comeInAs, openFoot, visit } from './people';

/** The fault finder, as hands work it: what it does, what was seen, what is mended, and tried again. */

async function ownEngine(page: Page, pattern: string, name: string): Promise<string> {
  const { fitOut } = patterns.find((p) => p.key === pattern)!;
  return (
    (await (await page.request.post('/api/engines', { data: { ...fitOut, name: `${name} ${Date.now() % 1e7}` } })).json()) as { id: string }
  ).id;
}
/** Looks up what it does on an engine, and stands on the page of the fault that is raised by it. */
async function find(page: Page, engine: string, words: string, symptom: string) {
  await visit(page, `/faults/find?engine=${engine}`);
  await page.getByLabel('What does it do?').fill(words);
  await page.getByRole('button', { name: 'Look it up' }).click();
  await page.getByRole('button', { name: symptom, exact: true }).click();
  await page.waitForURL(/\/faults\/[\w-]{36}/);
  await page.locator('html[data-live]').waitFor();
}
const likeliest = (page: Page) => page.locator('ol summary .name').first();
const next = (page: Page) => page.locator('article.first');

/** Answers what is asked as the case would, until its cause stands first with more than half. */
async function play(page: Page, of: FinderCase, most: number) {
  const is = knowledge.causes.get(of.cause)!.is;
  if (of.now === 'in steam') {
    const steam = page.getByRole('button', { name: 'It is in steam' });
    await steam.click();
    // What is asked next follows from it.
    await expect(steam).toHaveAttribute('aria-pressed', 'true');
  }
  for (let asked = 0; asked <= most; asked++) {
    const odds = Number.parseInt(await page.locator('ol summary .figure').first().innerText());
    if ((await likeliest(page).innerText()) === is && odds > 50) return asked;
    const how = await next(page).getByRole('heading').innerText();
    const check = [...knowledge.checks.values()].find((c) => c.how === how)!;
    const result = check.results[of.shows[check.key] ?? check.results.length - 1]!;
    await touch(page, next(page).getByRole('button', { name: result[0]!.toUpperCase() + result.slice(1), exact: true }));
    await expect(next(page).getByRole('heading')).not.toHaveText(how);
  }
  throw new Error(`${is} was not found in ${most} checks`);
}

for (const [cause, words] of [
  ['water-shut', 'injector will not pick up'],
  ['gas-shared', 'second burner goes small']
] as const)
  test(`a case is played to its end: ${cause}`, async ({ page }) => {
    await comeInAs(page, 'idony');
    const of = cases.find((c) => c.cause === cause)!;
    await find(page, await ownEngine(page, of.pattern, `Played ${cause}`), words, knowledge.symptoms.get(of.symptom)!.says[0]);
    expect(await play(page, of, 8)).toBeLessThanOrEqual(8);
    // The same board weeks later: all that was seen stands there.
    const seen = await section(page, 'What was seen').locator('li').count();
    await page.reload();
    await expect(section(page, 'What was seen').locator('li')).toHaveCount(seen);
    await expect(likeliest(page)).toHaveText(knowledge.causes.get(cause)!.is);
  });

for (const [name, options] of [
  ['a desk', desk],
  ['a phone', phone]
] as const) {
  test(`${name}: found from the attempt log alone, from a fault in the keeper’s own words`, async ({ browser }) => {
    const context = await browser.newContext(options);
    const page = await context.newPage();
    await comeInAs(page, 'idony');
    await begun(page, 'Little Bittern', `Told by its tries ${name}`);
    const id = page.url().split('/').pop()!;
    const post = (body: object) =>
      page.request.post(`/api/steamings/${id}/entries`, {
        data: {
          id: timeOrderedId(Date.now(), crypto.getRandomValues(new Uint8Array(10))),
          kind: 'attempt',
          at: new Date().toISOString(),
          body
        }
      });
    for (let i = 0; i < 7; i++)
      await post({ feed: 'Injector', result: i % 2 ? 'nothing' : 'knocked off', tank: 309 + i, order: 'water first', pressure: 550e3 });
    for (let i = 0; i < 5; i++) await post({ feed: 'Injector', result: 'picked up', tank: 288 + i, order: 'water first', pressure: 550e3 });
    await page.reload();
    await page.locator('html[data-live]').waitFor();
    const fault = page.getByRole('button', { name: 'Fault', exact: true });
    if (!(await fault.isVisible())) await page.getByRole('button', { name: 'More', exact: true }).click();
    await fault.click();
    await page.getByLabel('The fault in your own words').fill('injector sulks, will not pick up');
    await page.getByRole('button', { name: 'Log fault' }).click();
    await openFoot(page);
    await page
      .locator('.entries')
      .getByRole('button', { name: /injector sulks/ })
      .click();
    await page.getByRole('link', { name: 'Find what it is' }).click();
    await page.waitForURL(/\/faults\/[\w-]{36}/);
    await page.locator('html[data-live]').waitFor();
    await touch(page, page.getByRole('button', { name: 'The injector will not pick up', exact: true }));
    const seen = section(page, 'What was seen');
    await expect(seen).toContainText(/5 of 5 with the tank under 27\s°C, 0 of 7 over it\./);
    await expect(seen).toContainText('by the record');
    await expect(likeliest(page)).toHaveText('The water in the tank is too warm');
    expect(Number.parseInt(await page.locator('ol summary .figure').first().innerText())).toBeGreaterThan(80);
    // What the record says can be struck, with why; the odds follow.
    const pattern = seen.locator('li', { hasText: '5 of 5' });
    await pattern.getByText('Strike it').click();
    await pattern.getByLabel('Why it does not count').fill('Another injector was fitted between');
    await touch(page, pattern.getByRole('button', { name: 'Strike', exact: true }));
    await expect(pattern).toContainText('Struck by Idony Marlpit: Another injector was fitted between');
    await context.close();
  });

  test(`${name}: changed one thing at a time, mended, cleared, tried again in the next procedure`, async ({ browser }) => {
    const context = await browser.newContext(options);
    const page = await context.newPage();
    await comeInAs(page, 'idony');
    const engine = await ownEngine(page, 'tender', `Mended on ${name}`);
    await find(page, engine, 'pump gives no water', 'The pump does not deliver');
    const changes = section(page, 'Changed, one thing at a time');
    await changes.getByLabel('What was changed').fill('Gland nipped up');
    await changes.getByLabel('For').selectOption('The pump’s gland is dry or worn');
    await touch(page, changes.getByRole('button', { name: 'Log the change' }));
    await changes.getByLabel('What was changed').fill('Strainer cleaned');
    await changes.getByLabel('For').selectOption('The strainer or the suction pipe is choked');
    await touch(page, changes.getByRole('button', { name: 'Log the change' }));
    await expect(changes.getByRole('alert')).toContainText('“Gland nipped up” was changed and has not been tried since.');
    await expect(changes.getByLabel('What was changed')).toHaveValue('Strainer cleaned');
    await changes.getByLabel('Keep both changes, untried').check();
    await touch(page, changes.getByRole('button', { name: 'Log the change' }));
    await expect(changes).toContainText(
      'they cannot be told apart any more: The pump’s gland is dry or worn; The strainer or the suction pipe is choked.'
    );
    await touch(page, changes.getByRole('button', { name: 'gone', exact: true }));
    await expect(changes.getByText('Tried: gone')).toHaveCount(2);

    const mended = section(page, 'Mended');
    await mended.getByLabel('What was done').fill('Gland and strainer, both at once');
    await mended.getByLabel('It was').selectOption('The pump’s gland is dry or worn');
    await mended.getByLabel('certain', { exact: true }).check();
    // The book proposes how it is seen to be mended.
    await expect(mended.getByLabel('How it is seen to be mended')).toHaveValue('No drip on the delivery stroke.');
    await mended.getByLabel('How it is seen to be mended').fill('Raises the glass by an eighth in ten minutes');
    await mended.getByLabel('Parts').fill('Packing, 3 mm');
    await touch(page, mended.getByRole('button', { name: 'It is mended' }));
    await expect(mended.getByRole('alert')).toContainText('were changed together: which of them it was is not certain.');
    await expect(mended.getByLabel('What was done')).toHaveValue('Gland and strainer, both at once');
    await mended.getByLabel('likely').check();
    await touch(page, mended.getByRole('button', { name: 'It is mended' }));
    await expect(page.locator('header.block')).toContainText('mended, to be tried again');
    await expect(mended).toContainText('It was: The pump’s gland is dry or worn, likely');
    const address = page.url();

    // In the next procedure by itself; what it did there goes back to the fault.
    const steaming = (await (
      await page.request.post(`/api/engines/${engine}/steamings`, { data: { reason: 'a test of hands' } })
    ).json()) as { id: string };
    await visit(page, `/footplate/${steaming.id}`);
    const choose = async () => {
      await page
        .getByRole('button', { name: /all steps|All \d+ steps/i })
        .first()
        .click();
      await page.getByRole('button', { name: /Try again what was mended/ }).click();
    };
    await choose();
    await expect(now(page)).toContainText('Raises the glass by an eighth in ten minutes');
    await expect(now(page).locator('button.done')).toHaveCount(0);
    await now(page).getByRole('button', { name: 'Back again' }).click();
    await logged(page, /Retest [\w]{6}: The pump does not deliver: failed/);
    await expect(async () => {
      await visit(page, address);
      await expect(page.locator('header.block')).toContainText('open: note', { timeout: 500 });
    }).toPass();
    await expect(section(page, 'Mended')).toContainText('Back again: tried by Idony Marlpit');

    // Work on a pressure part bars it until the examiner has cleared it.
    const again = section(page, 'Mended');
    await again.getByLabel('What was done').fill('Clack seat recut in its bush');
    await again.getByLabel('How it is seen to be mended').fill('Feed pipe cold for half an hour');
    await again.getByLabel('A pressure part was worked on').check();
    await touch(page, again.getByRole('button', { name: 'It is mended' }));
    await expect(page.locator('header.block')).toContainText('mended, to be cleared');
    await expect(again).toContainText('It is not steamed before the boiler examiner has cleared it.');
    await expect(again.getByRole('button', { name: /Clear it/ })).toHaveCount(0);
    await visit(page, `/engines/${engine}`);
    await expect(page.locator('body')).toContainText('mended, and not yet cleared by the examiner: The pump does not deliver');
    await context.close();
  });
}

test('the examiner clears work on a pressure part under their own name, and the retest follows', async ({ browser }) => {
  const [keeper, hesper] = [await (await browser.newContext()).newPage(), await (await browser.newContext()).newPage()];
  await comeInAs(keeper, 'wenna');
  const engine = await ownEngine(keeper, 'tender', 'Cleared');
  await find(keeper, engine, 'tender pump does nothing', 'The pump does not deliver');
  const mended = section(keeper, 'Mended');
  await mended.getByLabel('What was done').fill('Bush renewed');
  await mended.getByLabel('How it is seen to be mended').fill('Delivers at working pressure');
  await mended.getByLabel('A pressure part was worked on').check();
  await touch(keeper, mended.getByRole('button', { name: 'It is mended' }));
  await comeInAs(hesper, 'hesper');
  await visit(hesper, new URL(keeper.url()).pathname);
  await section(hesper, 'Mended').getByLabel('What was examined, and how').fill('Bush seen, pressed to twice, dry');
  await touch(hesper, hesper.getByRole('button', { name: 'Clear it as the boiler examiner' }));
  await expect(hesper.locator('header.block')).toContainText('mended, to be tried again');
  await expect(section(hesper, 'Mended')).toContainText('Cleared by Hesper Vane-Oddie');
  await keeper.reload();
  await keeper.locator('html[data-live]').waitFor();
  await section(keeper, 'Mended').getByLabel('What was seen').fill('An eighth in eight minutes');
  await touch(keeper, section(keeper, 'Mended').getByRole('button', { name: 'It holds' }));
  await expect(keeper.locator('header.block')).toContainText('mended');
  await expect(section(keeper, 'Mended')).toContainText('Holds: tried by Wenna Thrale');
});

test('what was fixed before faults had a log stays mended, with what was written then', async ({ page }) => {
  await comeInAs(page, 'wenna');
  await visit(page, '/faults?show=fixed');
  await page.getByRole('link', { name: 'Steering chain slack on the near side' }).first().click();
  await page.waitForURL(/\/faults\/[\w-]{36}/);
  await expect(page.locator('header.block')).toContainText('mended');
  await expect(section(page, 'Mended').getByRole('button')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Log the change' })).toHaveCount(0);
});

test('which of two, a hand’s own evidence struck, a change put back, what the book proposes for another cause', async ({ page }) => {
  await comeInAs(page, 'idony');
  await find(page, await ownEngine(page, 'large-tank', 'Of two'), 'injector will not pick up', 'The injector will not pick up');
  await touch(page, page.getByRole('button', { name: 'Right injector', exact: true }));
  await expect(section(page, 'The injector will not pick up: Right injector')).toBeVisible();
  await next(page).getByLabel('More of what was seen').fill('looked twice');
  await touch(page, next(page).locator('.results button').last());
  const mine = section(page, 'What was seen').locator('li', { hasText: 'looked twice' });
  await mine.getByText('Strike it').click();
  await mine.getByLabel('Why it does not count').fill('wrong valve');
  await touch(page, mine.getByRole('button', { name: 'Strike', exact: true }));
  await expect(mine).toContainText('Struck by Idony Marlpit: wrong valve');
  const changes = section(page, 'Changed, one thing at a time');
  await changes.getByLabel('What was changed').fill('Cones out');
  await touch(page, changes.getByRole('button', { name: 'Log the change' }));
  await touch(page, changes.getByRole('button', { name: 'It was put back' }));
  await expect(changes).toContainText('Put back');
  const mended = section(page, 'Mended');
  const retest = mended.getByLabel('How it is seen to be mended');
  await mended.getByLabel('It was').selectOption('It gets wet steam');
  await expect(mended.getByLabel('A pressure part was worked on')).toBeChecked();
  await mended.getByLabel('It was').selectOption('The cones are scaled');
  await expect(mended.getByLabel('A pressure part was worked on')).not.toBeChecked();
  await expect(retest).toHaveValue(knowledge.causes.get('cone-scaled')!.retest);
  await retest.fill('Three times of three');
  await mended.getByLabel('It was').selectOption('A piece of dirt sits in a cone');
  await expect(retest).toHaveValue('Three times of three');
});
