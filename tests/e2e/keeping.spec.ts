import { unzipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { patterns } from '../../src/core/engine';
import { emptyBook, hasServer } from '../unit/process';
import { expect, test } from './loopback';
import { alive, comeInAs } from './people';
import { readBack, type Typed, typeInto, untyped } from './typing';

const password = 'three dry words';

for (const [width, viewport] of [
  ['desk', { width: 1280, height: 800 }],
  ['phone', { width: 390, height: 844 }]
] as const)
  test(`an owner lets in, changes, puts out; a member gives a new password; a paper is withdrawn; all of it can be read (${width})`, async ({
    browser
  }) => {
    test.skip(!hasServer);
    test.slow();
    const book = await emptyBook(`joram_keeping_${width}`, { JORAM_SETUP_CODE: 'reed-mace-9' });
    const context = await browser.newContext({ baseURL: book.url, viewport });
    const page = await context.newPage();
    const visit = async (of: Page, path: string) => {
      await of.goto(path);
      await alive(of);
    };
    try {
      await visit(page, '/first-run');
      const founding = page.locator('main form').first();
      const founder: Typed[] = [
        { label: 'Name of the club', type: 'Sedge Lode Steamers' },
        { label: /^Set-up code/, type: 'a guess' },
        { label: 'Your name', type: 'Ansel Rushby' },
        { label: 'Sign-in name', type: 'ansel' },
        { label: 'Password', type: password }
      ];
      await typeInto(founding, founder);
      expect(await untyped(page, founding, founder)).toEqual([]);
      await founding.getByRole('button', { name: 'Open the book' }).click();
      await expect(founding).toContainText('not the set-up code');
      await alive(page);
      await typeInto(founding, [{ label: /^Set-up code/, type: 'reed-mace-9' }, founder[4]!]);
      await founding.getByRole('button', { name: 'Open the book' }).click();
      await page.waitForURL(`${book.url}/`);

      // An invitation recalled lets nobody in; another does.
      await visit(page, '/members');
      const link = async (kind: string) => {
        await expect(page.locator('.link span').first()).toContainText(`/${kind}/`);
        return (await page.locator('.link span').first().innerText()).trim();
      };
      await page.getByRole('button', { name: 'Make a link' }).click();
      const recalled = await link('join');
      await page.getByRole('button', { name: 'Recall' }).click();
      await expect(page.getByText('None: every link')).toBeVisible();
      await visit(page, recalled.slice(book.url.length));
      await expect(page.locator('main')).toContainText('Ask the club’s owner');
      await visit(page, '/members');
      await page.locator('.roles').getByText('steward: running days').click();
      await page.getByRole('button', { name: 'Make a link' }).click();
      const guests = await browser.newContext({ baseURL: book.url, viewport });
      const guest = await guests.newPage();
      await visit(guest, (await link('join')).slice(book.url.length));
      const joins: Typed[] = [
        { label: 'Your name', type: 'Nessa Wherry' },
        { label: 'Sign-in name', type: 'nessa' },
        { label: 'Password', type: password }
      ];
      await typeInto(guest.locator('main form').first(), joins);
      await guest.getByRole('button', { name: 'Join' }).click();
      await guest.waitForURL(`${book.url}/`);

      // Roles, ticked and read back after a reload.
      await visit(page, '/members');
      const line = page.locator('article', { hasText: 'Nessa Wherry' });
      await line.getByRole('button', { name: /Nessa Wherry/ }).click();
      await line.getByText('operator: keeps engines').click();
      await line.getByText('examiner: papers').click();
      await line.getByRole('button', { name: 'Keep these roles' }).click();
      await expect(line.getByRole('status')).toHaveText('Done.');
      await page.reload();
      await alive(page);
      await expect(line).toContainText('steward, examiner');

      // Their own password, typed; then out, in again, and a new one by a link.
      await visit(guest, '/settings');
      const own = guest.locator('section', { hasText: 'As it is now' }).locator('form');
      const changes: Typed[] = [
        { label: 'As it is now', type: 'not mine' },
        { label: 'New, at least ten characters', type: 'four wet words' }
      ];
      await typeInto(own, changes);
      expect(await untyped(guest, own, changes)).toEqual([]);
      await own.getByRole('button', { name: 'Change the password' }).click();
      await expect(own).toContainText('not your password as it is now');
      await typeInto(own, [{ label: 'As it is now', type: password }, changes[1]!]);
      await own.getByRole('button', { name: 'Change the password' }).click();
      await expect(own.getByRole('status')).toContainText('Changed');

      await line.getByRole('button', { name: /Nessa Wherry/ }).click();
      await line.getByRole('button', { name: 'Put out' }).click();
      await expect(page.getByRole('button', { name: 'Let in again' })).toBeVisible();
      await guest.goto('/');
      await guest.waitForURL(/sign-in/);
      await page.getByRole('button', { name: 'Let in again' }).click();
      await expect(page.getByRole('button', { name: 'Let in again' })).toBeHidden();
      if (!(await line.getByRole('button', { name: 'Link for a new password' }).isVisible()))
        await line.getByRole('button', { name: /Nessa Wherry/ }).click();
      await line.getByRole('button', { name: 'Link for a new password' }).click();
      await visit(guest, (await link('reset')).slice(book.url.length));
      const renewing = guest.locator('main form').first();
      await expect(renewing).toContainText('Nessa Wherry, Sedge Lode Steamers');
      await typeInto(renewing, [{ label: 'New, at least ten characters', type: 'short' }]);
      await renewing.getByRole('button', { name: 'Keep it and come in' }).click();
      await expect(renewing).toContainText('at least ten characters. Three');
      await alive(guest);
      await typeInto(renewing, [{ label: 'New, at least ten characters', type: 'five dry reeds' }]);
      await renewing.getByRole('button', { name: 'Keep it and come in' }).click();
      await guest.waitForURL(`${book.url}/`);

      // A paper is withdrawn with a reason, and stays in what was done.
      const { id } = await (await page.request.post('/api/engines', { data: { ...patterns[2]!.fitOut, name: 'Withy Hen' } })).json();
      const paper = { kind: 'Boiler certificate', number: 'DE-7', issued: '2026-01-02', expires: '2099-01-01' };
      await page.request.post(`/engines/${id}?/paper`, { form: paper, headers: { origin: book.url } });
      await visit(page, `/engines/${id}`);
      await page.getByRole('button', { name: 'Withdraw Boiler certificate DE-7' }).click();
      const dialog = page.locator('.bx--modal.is-visible');
      await dialog.getByRole('button', { name: 'Withdraw it' }).click();
      await expect(dialog).toContainText('Say why');
      await typeInto(dialog, [{ label: 'Why', type: 'It is another engine’s' }]);
      await readBack(dialog, [{ label: 'Why', type: 'It is another engine’s' }]);
      await dialog.getByRole('button', { name: 'Withdraw it' }).click();
      await expect(page.getByRole('cell', { name: /^No papers are recorded/ })).toBeVisible();
      await visit(page, '/audit');
      for (const said of [
        'founded the club',
        'recalled an invitation',
        'changed the roles of Nessa Wherry',
        'put out Nessa Wherry',
        'because It is another engine’s'
      ])
        await expect(page.locator('table')).toContainText(said);
      expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
      await guests.close();

      // The whole club, as one file.
      await visit(page, '/settings');
      const [taken] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('link', { name: 'Take the whole club out' }).click()
      ]);
      const files = unzipSync(readFileSync((await taken.path())!));
      expect(JSON.parse(new TextDecoder().decode(files['manifest.json']))).toMatchObject({ club: 'Sedge Lode Steamers' });
      await visit(page, '/audit');
      await expect(page.locator('table')).toContainText('took the whole club out');
    } finally {
      await context.close();
      await book.drop();
    }
  });

test('what the server does not take is no part of the log, waits with its sentence, and is tried again or thrown away by hand', async ({
  page
}) => {
  await comeInAs(page, 'idony');
  const name = `Waiting Hen ${Date.now() % 1e6}`;
  const engine = await (await page.request.post('/api/engines', { data: { ...patterns[2]!.fitOut, name } })).json();
  const begun = { data: { purpose: 'x', reason: 'papers with the secretary' } };
  const { id } = await (await page.request.post(`/api/engines/${engine.id}/steamings`, begun)).json();
  await page.goto(`/footplate/${id}`);
  await alive(page);
  let bad = true;
  await page.route('**/api/steamings/*/entries', async (route) => {
    const { entries } = route.request().postDataJSON() as { entries: { id: string }[] };
    const refused = entries.map(({ id }) => ({ id, sentence: 'This steaming was signed by Corrin Sallow and is closed.' }));
    await (bad ? route.fulfill({ status: 400, json: { sentence: refused[0]!.sentence, refused } }) : route.continue());
  });
  const line = page.locator('#quick-line');
  for (const text of ['note wind from the east', '30 1/2']) {
    await line.pressSequentially(text);
    await line.press('Enter');
  }
  const footer = page.locator('footer');
  await expect(footer).toContainText('is closed.');
  await expect(footer).not.toContainText('All delivered');
  await expect(page.locator('.entries')).not.toContainText('wind from the east');
  await footer.getByRole('link', { name: 'see' }).first().click();
  await page.waitForURL('/waiting');
  await page.reload();
  await alive(page);
  // By what was said, and not by its minute or its engine’s number, in which a 30 may stand too.
  const entry = (words: string) => page.locator('article', { has: page.locator('strong', { hasText: words }) });
  await expect(entry('wind from the east')).toContainText('is closed.');
  await entry('30').getByRole('button', { name: 'Throw it away' }).click();
  await entry('30').getByRole('button', { name: 'Throw it away for good' }).click();
  await expect(entry('30')).toBeHidden();
  bad = false;
  await entry('wind from the east').getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText('All that was made here by you has been delivered')).toBeVisible();
  const log = await (await page.request.get(`/api/steamings/${id}/entries`)).text();
  expect([/wind from the east/.test(log), /"kind":"reading"/.test(log)]).toEqual([true, false]);
});
