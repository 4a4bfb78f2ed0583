import type { Page } from '@playwright/test';
import postgres from 'postgres';
import { timeOrderedId } from '../../src/core/log/id';
import { expect, test } from './loopback';
import { askedForm, isoDay, ownEngine, ownPlan, wholeSheet } from './day-sheet';
import { comeInAs, openEngine, visit } from './people';
import { readBack, type Typed, typeInto, untyped } from './typing';

/** Every field of every form, typed into as a hand would, reloaded, read back. A form's fields are all here or the test fails. */

const widths = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } };

const again = async (page: Page) => {
  await page.reload();
  await page.locator('html[data-live]').waitFor();
};
const words = (iso: string) =>
  new Date(`${iso}T12:00:00Z`)
    .toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' })
    .replace('Sept', 'Sep');

for (const [width, viewport] of Object.entries(widths))
  test(`a day sheet, every field typed into and read back after a reload (${width})`, async ({ page }) => {
    await page.setViewportSize(viewport);
    await comeInAs(page, 'idony');
    await visit(page, `/day/${await ownPlan(page, `Typing Hen ${width}`)}`);
    const later = words(isoDay(4));
    const typed: Typed[] = [
      { label: 'Day', type: later },
      { label: 'At', type: '10.40am', reads: '10:40' },
      { label: 'What for', type: 'Members’ train' },
      { label: 'At', nth: 1, type: '1420', reads: '14:20' },
      { label: 'What for', nth: 1, type: 'Goods train' },
      { label: 'All over by', type: '5.30pm', reads: '17:30' },
      { label: 'Running, min', type: '95' },
      { label: 'Work', type: 'hard' },
      { label: 'Name', type: 'Idony M' },
      { label: 'There from', type: '07:15' },
      { label: 'There until', type: '18:00' },
      { label: 'Name', nth: 1, type: 'Somebody else' },
      { label: 'As', nth: 1, type: 'trainee' },
      { label: 'There from', nth: 1, type: '9.05', reads: '09:05' },
      { label: 'There until', nth: 1, type: 'noon', reads: '12:00' },
      { label: /^Water filled in/, type: '31' },
      { label: /^Air,/, type: '-4' },
      { label: 'Test', type: 'Slug test' },
      { label: 'Minutes', type: '25' }
    ];
    const form = await askedForm(page);
    await typeInto(form, typed);
    await expect(page.getByText('saved', { exact: true })).toBeVisible();
    await again(page);
    await askedForm(page);
    await readBack(form, typed);
    const left = await untyped(page, form, typed);
    expect(left.filter((l) => l !== 'As')).toEqual([]);
  });

test('what cannot be planned by is said at its field, is not sent, and leaves the sheet standing', async ({ page }) => {
  await comeInAs(page, 'idony');
  await visit(page, `/day/${await ownPlan(page, 'Twice Hen')}`);
  const form = await askedForm(page);
  await wholeSheet(page);
  const rows = await page.locator('#steps tbody tr').count();
  await typeInto(form, [{ label: 'Name', nth: 1, type: 'Idony Marlpit' }]);
  await expect(form.getByRole('alert')).toContainText('Idony Marlpit is named twice');
  await expect(page.locator('#steps tbody tr')).toHaveCount(rows);
  await typeInto(form, [{ label: 'Name', nth: 1, type: 'A friend' }]);
  await expect(form.getByRole('alert')).toHaveCount(0);
  await typeInto(form, [
    { label: 'There from', type: '09:00' },
    { label: 'There until', type: '08:00' }
  ]);
  await expect(form.getByRole('alert')).toContainText('would leave before arriving');
  await typeInto(form, [{ label: 'There until', type: '6pm' }]);
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  // A time that is none stays in its field and says what is expected; nothing else changes.
  await typeInto(form, [{ label: 'At', type: 'soonish' }]);
  await expect(form).toContainText('Give a time as 16:30, 4.30pm or noon.');
  await expect(form.getByLabel('At', { exact: true }).first()).toHaveValue('soonish');
  await again(page);
  await readBack(await askedForm(page), [
    { label: 'At', type: '11:00' },
    { label: 'There from', type: '09:00' },
    { label: 'There until', type: '18:00' }
  ]);
});

test('a stored plan that does not fit any more is shown with what is wrong, and can be changed', async ({ page }) => {
  await comeInAs(page, 'idony');
  const id = await ownPlan(page, 'Old Hen');
  const sql = postgres(process.env.JORAM_TEST_ADMIN_URL!, { max: 1 });
  await sql`update steaming set plan = jsonb_set(plan, '{people,1,name}', '"Idony Marlpit"') where steaming_id = ${id}`;
  await sql.end();
  await visit(page, `/day/${id}`);
  await expect(page.locator('.strip').first()).toContainText('named twice');
  await expect(page.locator('#steps tbody tr').first()).toBeVisible();
  // Nor does it take the whole day with it.
  expect((await page.request.get(`/day?on=${isoDay(3)}`)).status()).toBe(200);
  await typeInto(await askedForm(page), [{ label: 'Running, min', type: '80' }]);
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await again(page);
  await expect(page.getByText('named twice')).toHaveCount(0);
});

for (const [width, viewport] of Object.entries(widths))
  test(`an engine’s forms: a plan, a paper, a fault; the Logbook’s filter; settings (${width})`, async ({ page }) => {
    await page.setViewportSize(viewport);
    await comeInAs(page, 'idony');
    const id = await ownEngine(page, `Forms Hen ${width}`);
    await visit(page, `/engines/${id}`);
    const dialog = page.locator('.bx--modal.is-visible');

    await page.getByRole('button', { name: 'Add a paper' }).click();
    await typeInto(dialog, [
      { label: 'Kind', type: 'Insurance' },
      { label: 'Number', type: 'FM-1' },
      { label: 'Issued', type: 'the other day' },
      { label: 'Runs out', type: '13/6/2099' }
    ]);
    await dialog.getByRole('button', { name: 'Add it' }).click();
    await expect(dialog).toContainText('Give a day as');
    await typeInto(dialog, [{ label: 'Issued', type: 'yesterday' }]);
    await dialog.getByRole('button', { name: 'Add it' }).click();
    await expect(page.locator('td', { hasText: 'FM-1' }).first()).toBeVisible();
    await again(page);
    await expect(page.locator('td', { hasText: '13 Jun 2099' })).toBeVisible();

    await page.getByRole('button', { name: 'Raise a fault' }).click();
    await typeInto(dialog, [
      { label: 'What is wrong, and where', type: 'Left clack weeps' },
      { label: 'Until it is fixed', type: 'not with passengers' }
    ]);
    await dialog.getByRole('button', { name: 'Raise it' }).click();
    await expect(page.locator('td', { hasText: 'Left clack weeps' })).toBeVisible();

    await page.getByRole('button', { name: 'Plan a steaming' }).click();
    await typeInto(dialog, [
      { label: 'Wanted in steam on', type: 'tomorrow' },
      { label: 'At', type: '2.15pm' },
      { label: 'What it is wanted for', type: 'School visit' }
    ]);
    await dialog.getByRole('button', { name: 'Make the day sheet' }).click();
    await page.waitForURL(/\/day\//);
    await page.locator('html[data-live]').waitFor();
    await readBack(await askedForm(page), [
      { label: 'Day', type: words(isoDay(1)) },
      { label: 'At', type: '14:15' },
      { label: 'What for', type: 'School visit' }
    ]);

    await visit(page, '/logbook');
    const filter = page.locator('form.filter');
    await typeInto(filter, [
      { label: 'Keeper', type: 'idony' },
      { label: 'From', type: '1 Jan 2026' },
      { label: 'To', type: 'today' }
    ]);
    await filter.getByRole('button', { name: 'Show' }).click();
    await page.waitForURL(/from=2026-01-01/);
    await again(page);
    await readBack(filter, [
      { label: 'Keeper', type: 'idony' },
      { label: 'From', type: '1 Jan 2026' },
      { label: 'To', type: words(isoDay(0)) }
    ]);
    expect(
      await untyped(page, filter, [
        { label: 'Keeper', type: '' },
        { label: 'From', type: '' },
        { label: 'To', type: '' },
        { label: 'Engine', type: '' }
      ])
    ).toEqual([]);
  });

test('units and the club’s clock are typed in Settings, and every page goes by them', async ({ browser, baseURL }) => {
  // A club of its own: its clock is half an hour off everybody else's.
  const sql = postgres(process.env.JORAM_TEST_ADMIN_URL!, { max: 1 });
  let n = 0;
  const id = () =>
    timeOrderedId(
      Date.now(),
      Uint8Array.from({ length: 10 }, () => (++n * 31) % 256)
    );
  const [club, member] = [id(), id()];
  await sql`insert into club (club_id, name, demo) values (${club}, 'Clock Club', true)`;
  await sql`insert into member (club_id, member_id, sign_in, name, roles, secret) values (${club}, ${member}, 'clocks', 'Cleo Watchwell', ${['owner']}, 'x')`;
  // The device is somewhere else again.
  const context = await browser.newContext({ baseURL: baseURL!, timezoneId: 'America/St_Johns' });
  const page = await context.newPage();
  try {
    await comeInAs(page, 'clocks');
    await visit(page, '/settings');
    await typeInto(page.locator('body'), [{ label: 'Time zone', type: 'Fen/Osier' }]);
    await page.getByRole('button', { name: 'Save the clock' }).click();
    await expect(page.getByText('Choose a time zone from the list')).toBeVisible();
    await typeInto(page.locator('body'), [{ label: 'Time zone', type: 'Asia/Kolkata' }]);
    await page.getByRole('button', { name: 'Save the clock' }).click();
    await expect(page.locator('form[action="?/zone"]').getByText('Saved.')).toBeVisible();
    const units: Typed[] = [
      { label: 'Pressure', type: 'bar' },
      { label: 'Temperature', type: '°F' },
      { label: 'Water', type: 'US quarts' },
      { label: 'Weight', type: 'pounds' },
      { label: 'Length', type: 'inches' }
    ];
    await typeInto(page.locator('body'), units);
    await page.getByRole('button', { name: 'Save units' }).click();
    await expect(page.locator('form[action="?/units"]').getByText('Saved.')).toBeVisible();
    await again(page);
    await readBack(page.locator('body'), [...units, { label: 'Time zone', type: 'Asia/Kolkata' }]);

    const plan = await ownPlan(page, 'Clock Hen', 2);
    await visit(page, `/day/${plan}`);
    await readBack(await askedForm(page), [{ label: 'At', type: '16:30' }]);
    const began = await page.locator('#steps tbody tr td.at').first().innerText();
    const csv = await (await page.request.get(`/day/${plan}/sheet.csv`)).text();
    expect(csv.split('\r\n')[1]).toMatch(new RegExp(`^\\d{4}-\\d\\d-\\d\\dT${began}:00\\+05:30,`));
    const ics = await (await page.request.get(`/day/${plan}/sheet.ics`)).text();
    expect(ics.replace(/\r\n[ \t]/g, '')).toContain('Asia/Kolkata\\, UTC+5:30');
  } finally {
    await context.close();
    await sql`delete from steaming where club_id = ${club}`;
    await sql`delete from club where club_id = ${club}`;
    await sql.end();
  }
});

test('tomorrow’s plan is not taken unasked; a start that was none is thrown away and its plan is back; an engine retires', async ({
  page
}) => {
  await comeInAs(page, 'idony');
  const id = await ownEngine(page, 'False Hen');
  await page.request.post(`/engines/${id}?/paper`, {
    form: { kind: 'Insurance', number: '', issued: '2026-01-02', expires: '2099-01-01' },
    headers: { origin: new URL(page.url()).origin }
  });
  const wants = [{ what: 'first train', at: new Date(Date.now() + 26 * 3.6e6).toISOString() }];
  const people = [{ name: 'Idony Marlpit', as: 'keeper' }];
  const made = await (
    await page.request.post(`/api/engines/${id}/plans`, { data: { purpose: 'Open day', plan: { wants, people } } })
  ).json();

  // By itself it starts from nothing.
  await visit(page, `/engines/${id}`);
  await page.getByRole('button', { name: 'Start steaming' }).click();
  await expect(page.getByLabel('Begun from')).toHaveValue('');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.waitForURL(/\/footplate\//);
  await page.locator('html[data-live]').waitFor();
  expect(page.url()).not.toContain(made.id);
  await page.getByRole('button', { name: 'Throw this start away' }).click();
  const dialog = page.locator('.bx--modal.is-visible');
  await typeInto(dialog, [{ label: 'Why it was no start', type: 'Wrong engine' }]);
  await dialog.getByRole('button', { name: 'Throw it away' }).click();
  await page.waitForURL('/');

  // From its sheet it asks once, and thrown away again the plan is a plan.
  await visit(page, `/day/${made.id}`);
  await page.getByRole('button', { name: 'Start steaming' }).click();
  await expect(page.getByRole('alert')).toContainText('not for today');
  await page.getByRole('button', { name: 'Start it now all the same' }).click();
  await page.waitForURL(new RegExp(`/footplate/${made.id}`));
  await page.locator('html[data-live]').waitFor();
  await page.getByRole('button', { name: 'Throw this start away' }).click();
  await dialog.getByRole('button', { name: 'Throw it away' }).click();
  await page.waitForURL('/');
  await openEngine(page, 'False Hen');
  await expect(page.getByRole('link', { name: /^Open day/ })).toBeVisible();
  await expect(page.locator('table.last')).toContainText('Not steamed yet');

  // One that is lit is not.
  await page.getByRole('button', { name: 'Start steaming' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.waitForURL(/\/footplate\//);
  await page.locator('html[data-live]').waitFor();
  const steaming = page.url().split('/').at(-1)!;
  await page.locator('#quick-line').fill('already lit');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Throw this start away' })).toHaveCount(0);
  await expect(page.locator('footer')).toContainText('All delivered');
  const refused = await page.request.post(`/api/steamings/${steaming}/thrown-away`, { data: { reason: 'no' } });
  expect(refused.status()).toBe(409);
  expect((await refused.json()).sentence).toContain('It has been lit');

  const other = await ownEngine(page, 'Rested Hen');
  await visit(page, `/engines/${other}`);
  await page.getByRole('button', { name: 'Retire this engine' }).click();
  await expect(page.getByText('This engine is retired')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start steaming' })).toHaveCount(0);
  expect((await page.request.post(`/api/engines/${other}/steamings`, { data: {} })).status()).toBe(409);
  await visit(page, '/');
  await page.getByText(/^Retired, \d/).click();
  await page.getByRole('link', { name: 'Rested Hen' }).click();
  await page.getByRole('button', { name: 'Bring this engine back' }).click();
  await expect(page.getByText('This engine is retired')).toHaveCount(0);
});

test('the D key and the quick line meet the rule that the button meets', async ({ page }) => {
  await comeInAs(page, 'idony');
  const id = await ownEngine(page, 'Key Hen');
  const started = await (
    await page.request.post(`/api/engines/${id}/steamings`, { data: { purpose: 'keys', reason: 'a test of keys' } })
  ).json();
  await visit(page, `/footplate/${started.id}`);
  await page.getByRole('button', { name: 'All steps' }).click();
  await page.getByRole('button', { name: /^Fill to/ }).click();
  const now = page.locator('article.now');
  await expect(now.locator('h2')).toContainText('Fill to');
  await expect(now.getByRole('button', { name: 'Done', exact: true })).toBeDisabled();
  await page.keyboard.press('d');
  await expect(now.getByRole('alert')).toContainText('Log the glass first');
  await expect(page.locator('.entries')).not.toContainText('Fill to');
  await page.locator('#quick-line').fill('done');
  await page.keyboard.press('Enter');
  await expect(now.locator('h2')).toContainText('Fill to');
  // With its evidence in the same line it is done.
  await page.locator('#quick-line').fill('1/2 done');
  await page.keyboard.press('Enter');
  await expect(page.locator('.entries')).toContainText('Fill to');
});
