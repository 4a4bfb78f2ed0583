import { askedForm, ownEngine, ownPlan } from './day-sheet';
import { expect, test } from './loopback';
import { alive, comeInAs, openEngine, visit } from './people';
import { typeInto } from './typing';

/** Two people at one document: nobody's work is written over, and each sees what the other did. */

test('a fit-out changed by two: what only one changed is kept of both, what both changed is chosen, and it is saved', async ({
  browser,
  page
}) => {
  await comeInAs(page, 'wenna');
  const name = `Clash Hen ${Date.now() % 1e6}`;
  const engine = await ownEngine(page, name);
  const second = await (await browser.newContext()).newPage();
  await comeInAs(second, 'jory');
  for (const of of [page, second]) await visit(of, `/engines/${engine}/edit`);
  await typeInto(page.locator('form.fit-out'), [
    { label: 'Scale or gauge', type: 'ten to the foot' },
    { label: 'Class', type: 'A hen of one' }
  ]);
  await page.getByRole('button', { name: 'Save the fit-out' }).click();
  await page.waitForURL(/engines\/[^/]+$/);
  await typeInto(second.locator('form.fit-out'), [
    { label: 'Name', type: `${name} II` },
    { label: 'Class', type: 'A hen of another' }
  ]);
  await second.getByRole('button', { name: 'Save the fit-out' }).click();
  const clash = second.getByRole('alert', { name: 'Changed meanwhile' });
  await expect(clash).toContainText('Wenna Thrale saved a change of this while you made yours');
  await expect(clash).toContainText('ten to the foot, by Wenna Thrale');
  await expect(clash.getByRole('button', { name: '1 to choose' })).toBeDisabled();
  await clash.getByText('You: A hen of another').click();
  await clash.getByRole('button', { name: 'Save both' }).click();
  await second.waitForURL(/engines\/[^/]+$/);
  await visit(second, `/engines/${engine}/edit`);
  const form = second.locator('form.fit-out');
  await expect(form.getByLabel('Name', { exact: true })).toHaveValue(`${name} II`);
  await expect(form.getByLabel('Scale or gauge', { exact: true })).toHaveValue('ten to the foot');
  await expect(form.getByLabel('Class', { exact: true })).toHaveValue('A hen of another');
});

test('a day sheet changed by two: other fields are taken in and said, the same field is chosen between', async ({ browser, page }) => {
  await comeInAs(page, 'wenna');
  const plan = await ownPlan(page, `Sheet Hen ${Date.now() % 1e6}`);
  const second = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await comeInAs(second, 'jory');
  for (const of of [page, second]) await visit(of, `/day/${plan}`);
  const saved = (of: typeof page) => expect(of.getByText('saved', { exact: true })).toBeVisible();
  await typeInto(await askedForm(page), [{ label: /^Running/, type: '77' }]);
  await saved(page);
  // Another field: both are kept, and it is said whose the other is.
  await typeInto(await askedForm(second), [{ label: /^Water/, type: '18' }]);
  await expect(second.getByText('Wenna Thrale changed this sheet while you did')).toContainText('Running: 120 min → 77 min');
  await expect((await askedForm(second)).getByLabel(/^Running/)).toHaveValue(/77/);
  await second.getByRole('button', { name: 'Seen' }).click();
  await expect(second.getByText('Wenna Thrale changed this sheet while you did')).toBeHidden();
  await saved(second);
  // The same field: the first page, which knows nothing of that yet, is asked.
  await typeInto(await askedForm(second), [{ label: /^Running/, type: '95' }]);
  await saved(second);
  await typeInto(await askedForm(page), [{ label: /^Running/, type: '60' }]);
  const clash = page.getByRole('alert', { name: 'Changed meanwhile' });
  await expect(clash).toContainText('Running (was 77 min)');
  // It is not started from a sheet that is not settled.
  await page.getByRole('button', { name: 'Start steaming' }).click();
  await page.getByRole('button', { name: 'Start it now all the same' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'This sheet is not saved' })).toBeVisible();
  await clash.getByText('Jory Quillfeather: 95 min').click();
  await clash.getByRole('button', { name: 'Save both' }).click();
  await saved(page);
  await page.reload();
  const form = await askedForm(page);
  await expect(form.getByLabel(/^Running/)).toHaveValue(/95/);
  await expect(form.getByLabel(/^Water/)).toHaveValue(/18/);
});

test('a fit-out changed by two: theirs is taken as it stands, and goes on from there', async ({ browser, page }) => {
  await comeInAs(page, 'wenna');
  const engine = await ownEngine(page, `Taken Hen ${Date.now() % 1e6}`);
  const second = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await comeInAs(second, 'jory');
  for (const of of [page, second]) await visit(of, `/engines/${engine}/edit`);
  await typeInto(page.locator('form.fit-out'), [{ label: 'Class', type: 'A hen of one' }]);
  await page.getByRole('button', { name: 'Save the fit-out' }).click();
  await page.waitForURL(/engines\/[^/]+$/);
  const form = second.locator('form.fit-out');
  await typeInto(form, [{ label: 'Class', type: 'A hen of another' }]);
  await second.getByRole('button', { name: 'Save the fit-out' }).click();
  await second.getByRole('button', { name: 'Drop mine, take Wenna Thrale’s' }).click();
  await expect(form.getByLabel('Class', { exact: true })).toHaveValue('A hen of one');
  await typeInto(form, [{ label: 'Scale or gauge', type: 'five inch' }]);
  await second.getByRole('button', { name: 'Save the fit-out' }).click();
  await second.waitForURL(/engines\/[^/]+$/);
  const kept = await (await page.request.get(`/api/engines/${engine}`)).json();
  expect(kept.fitOut).toMatchObject({ description: 'A hen of one', scale: 'five inch' });
});

test('what of an engine’s past counts, said by two at once: both are kept', async ({ browser, page }) => {
  await comeInAs(page, 'wenna');
  const second = await (await browser.newContext()).newPage();
  await comeInAs(second, 'jory');
  const row = (of: typeof page, nth: number) => of.locator('.steams table.each tbody tr').nth(nth);
  for (const of of [page, second]) {
    await openEngine(of, 'Peat Presser');
    await expect(row(of, 1)).toBeVisible();
  }
  // Asked for before it is pressed: on a quick machine the answer is there before the next line is.
  const told = page.waitForResponse(/\/learning$/);
  await row(page, 0).getByRole('button', { name: 'leave it out' }).click();
  await told;
  await row(second, 1).getByRole('button', { name: 'leave it out' }).click();
  await expect(second.getByText('Wenna Thrale changed this meanwhile: what you both said is kept.')).toBeVisible();
  for (const of of [page, second]) {
    await of.reload();
    for (const nth of [0, 1]) await expect(row(of, nth).getByRole('button', { name: 'count it again' })).toBeVisible();
  }
  // Two in a row from one hand are no two people.
  await alive(page);
  const kept: number[] = [];
  page.on('response', (r) => void (/\/learning$/.test(r.url()) && kept.push(r.status())));
  for (const nth of [0, 1]) await row(page, nth).getByRole('button', { name: 'count it again' }).click();
  await expect(page.locator('.steams').getByRole('button', { name: 'count it again' })).toHaveCount(0);
  await expect.poll(() => kept).toEqual([200, 200]);
  await page.reload();
  await expect(row(page, 1)).toBeVisible();
  await expect(page.locator('.steams').getByRole('button', { name: 'count it again' })).toHaveCount(0);
});
