import { readFileSync } from 'node:fs';
import { comeInAs, openEngine, pointAt, start, visit } from './people';
import { expect, test } from './loopback';

test('a keeper at work: skip, strike, open things, what is blocked, hand over, and no signature over a fire', async ({ page }) => {
  await comeInAs(page, 'tamsel');
  await start(page, 'Snipe', 'Evening run');
  const now = page.locator('article.now');
  const log = page.locator('.entries');

  // What the book shows is not asked. A round is one card: a touch on a point says what is not as it should be.
  await expect(page.getByText(/^Boiler certificate to/)).toBeVisible();
  await expect(now.locator('h2')).toHaveText('Fire side, front to back');
  const point = async (name: string, found: string, button: string) => {
    await now.getByRole('button', { name: new RegExp(`^${name}`) }).click();
    await expect(now.getByRole('button', { name: 'Log fault' })).toBeDisabled();
    await now.getByLabel('What was found').fill(found);
    await now.getByRole('button', { name: button }).click();
  };
  await point('Tubes clear', 'dull, brushed', 'Noted, and it will do');
  await expect(log).toContainText('Tubes clear, end to end. Dull, brushed');
  await point('Smokebox clean', 'no time', 'Leave it today');
  await expect(log).toContainText('Skipped: Smokebox clean and tight. No time');
  await point('Grate', 'one bar wasted', 'Log fault');
  await expect(log).toContainText(/Fault: Grate .*: one bar wasted \(note\)/);
  await now
    .getByRole('button', { name: /^Firebox|All found right|^Done$/ })
    .first()
    .click();
  await expect(log).toContainText('Firebox: crown, stays, seams dry');

  // The oil round is a drawing: touched point by point, and what was missed is said.
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: /^Oil round/ }).click();
  await expect(now.getByRole('img', { name: 'Snipe from the side, with its 3 oiling points' })).toBeVisible();
  await expect(now.getByRole('button', { name: 'All oiled' })).toBeVisible();
  await now.getByRole('button', { name: /Axleboxes/ }).click();
  await expect(now.getByRole('button', { name: /Axleboxes/ })).toBeDisabled();
  await now.getByRole('button', { name: 'Done, 2 missed' }).click();
  await expect(log).toContainText(/Oil round, point by point\. Missed: (Rods|Crosshead)/);

  // A skip asks for its reason, and the reason stays.
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: /^Tyres and rail head/ }).click();
  await now.getByRole('button', { name: 'Skip' }).click();
  await expect(now.getByRole('button', { name: 'Skip', exact: true })).toBeDisabled();
  await now.getByLabel(/Why is it skipped/).fill('Looked at yesterday');
  await now.getByRole('button', { name: 'Skip', exact: true }).click();
  await expect(log).toContainText('Skipped: Tyres and rail head wiped of oil. Looked at yesterday');

  // A step that is not open says what it waits for, and cannot be done. One that must be done cannot be skipped.
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: 'Light it first' }).click();
  await expect(now).toContainText('first: Water in the glass, valves fitted');
  await expect(now.getByRole('button', { name: 'Done' })).toBeDisabled();
  await expect(now).toContainText('Not one to skip');
  await now.getByRole('button', { name: 'Back to now' }).click();

  // Two readings by pointing; the wrong one is struck through, and the right one counts again.
  await pointAt(page, '.readings .scale', 0.5);
  const first = await page.locator('.instrument .big').last().innerText();
  await pointAt(page, '.readings .scale', 0.9);
  await expect(page.locator('.instrument .big').last()).not.toHaveText(first);
  await log.locator('li button').first().click();
  await log.getByRole('button', { name: 'Strike it out' }).click();
  await expect(log.locator('li.gone')).toHaveCount(1);
  await expect(page.locator('.instrument .big').last()).toHaveText(first);

  // What is opened stays in view until it is closed.
  const open = page.locator('.open');
  await page.getByRole('button', { name: 'Drains open' }).click();
  await expect(open.getByRole('button', { name: 'drains open' })).toBeVisible();
  await open.getByRole('button', { name: 'drains open' }).click();
  await expect(open).toContainText('Nothing');
  await expect(log).toContainText('Drains shut');

  // Lit, it may be handed over but not signed off; nor does a touch on its name put a fire out.
  await page.locator('#quick-line').fill('lit');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('First: Water in the glass, valves fitted');
  // What was refused stays in the line; what has happened is taken as such, and warned of.
  await expect(page.locator('#quick-line')).toHaveValue('lit');
  await page.locator('#quick-line').fill('already lit');
  await page.keyboard.press('Enter');
  await expect(open).toContainText('fire in');
  await expect(page.getByRole('alert').first()).toContainText('Fire in before water and valves were proven');
  await expect(open.getByRole('button', { name: 'fire in' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Sign and close' })).toHaveCount(0);
  await page.getByRole('button', { name: 'hand over' }).click();
  await page.getByLabel('Who takes it').selectOption('Jory Quillfeather');
  await page.getByRole('button', { name: 'Offer it' }).click();
  await expect(page.locator('footer')).toContainText('Keeper Tamsel');
  await page.getByLabel('On this device: Jory Quillfeather signs in as').fill('jory');
  await page.getByRole('button', { name: 'They have it' }).click();
  await expect(page.locator('footer')).toContainText('Keeper Jory Quillfeather');
  await expect(log).toContainText('Jory Quillfeather has it');

  // Water at its lowest with the fire in: the warning names a feed, and goes when the glass is better.
  await pointAt(page, '.readings .glass', 0.15);
  await expect(page.getByRole('alert')).toContainText('at or under its lowest running level');
  await expect(page.getByRole('alert')).toContainText('Feed now: hand pump');
  // Counted strokes, by the thumb and by the line.
  const actions = page.getByRole('group', { name: 'Quick actions' });
  await actions.getByRole('button', { name: /^Feed/ }).click();
  await page.getByRole('button', { name: 'Hand pump: 20 strokes' }).click();
  await expect(log).toContainText('Hand pump 20 strokes');
  await page.locator('#quick-line').fill('7 strokes');
  await page.keyboard.press('Enter');
  await expect(log).toContainText('Hand pump 7 strokes');
  await pointAt(page, '.readings .glass', 0.6);
  await expect(page.getByRole('alert')).toHaveCount(0);

  // Signing while a step is chosen elsewhere is offered again once the fire is out.
  await page.locator('#quick-line').fill('fire out');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Sign and close' }).click();
  await expect(page.locator('.bx--modal.is-visible')).toContainText('will head the next list');
  await expect(page.locator('.bx--modal.is-visible')).toContainText('does not say that the boiler is safe');
});

test('an engine goes out as a file and comes in as one; a bad file says where it is wrong and changes nothing', async ({ page }) => {
  await comeInAs(page, 'corrin');
  await openEngine(page, 'Eelcatcher');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Export it' }).click()]);
  const text = readFileSync((await download.path())!, 'utf8');
  expect(download.suggestedFilename()).toBe('eelcatcher-fit-out.json');

  await visit(page, '/engines/new');
  const bring = (name: string, body: string) =>
    page.locator('input[type=file]').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(body) });
  await bring('cut.json', text.slice(0, 300));
  await expect(page.getByRole('alert')).toContainText('cut.json is not JSON');
  await bring('wrong.json', text.replace('"riveted"', '"glued"'));
  await expect(page.getByRole('alert')).toContainText('shell.joints: Joints: choose one of');
  await expect(page.getByText('Nothing was changed.')).toBeVisible();
  await bring('good.json', text.replace('"Eelcatcher"', '"Bog Oak"'));
  await page.getByRole('button', { name: 'Add this engine' }).click();
  await page.waitForURL(/\/engines\/[0-9a-f-]{36}$/);
  await expect(page.getByRole('heading', { name: 'BOG OAK' })).toBeVisible();
  const made = await (await page.request.get(`${page.url()}/fit-out.json`)).json();
  expect(made).toEqual({ ...JSON.parse(text), name: 'Bog Oak' });
  // It has no papers yet: it may not be steamed.
  await expect(page.getByText('No papers are recorded: without them it is not steamed.')).toBeVisible();
});
