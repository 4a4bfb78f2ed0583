import { emptyBook } from '../unit/process';
import { expect, test } from './loopback';
import { alive } from './people';
import { readBack, type Typed, typeInto, untyped } from './typing';

/** Coming in, typed by hand: the first club of an empty book, signing in, joining by a link. On an application of its own. */

const widths = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } };

for (const [width, viewport] of Object.entries(widths))
  test(`an empty book is opened, its owner signs in and lets somebody in (${width})`, async ({ browser }) => {
    const app = await emptyBook(`joram_first_${width}`);
    const context = await browser.newContext({ baseURL: app.url, viewport });
    const page = await context.newPage();
    const form = page.locator('main form').first();
    try {
      await page.goto('/');
      await page.waitForURL(/first-run/);
      await alive(page);
      const founder: Typed[] = [
        { label: 'Name of the club', type: 'Sedge Lode Steamers' },
        { label: 'Your name', type: 'Ansel Rushby' },
        { label: 'Sign-in name', type: 'ansel@fen.example' },
        { label: 'Password', type: 'three dry words' }
      ];
      // A bad field says so, and what was typed into the others is still there.
      await typeInto(form, [...founder.slice(0, 2), { label: 'Sign-in name', type: 'two words' }, founder[3]!]);
      expect(await untyped(page, form, founder)).toEqual([]);
      await form.getByRole('button', { name: 'Open the book' }).click();
      await expect(form).toContainText('no spaces');
      await alive(page);
      await readBack(form, founder.slice(0, 2));
      await typeInto(form, founder.slice(2));
      await form.getByRole('button', { name: 'Open the book' }).click();
      await page.waitForURL(`${app.url}/`);
      await expect(page.locator('main')).toContainText('Sedge Lode Steamers');

      await page.goto('/members');
      await alive(page);
      await page.locator('.roles').getByText('examiner: papers').click();
      await page.getByRole('button', { name: 'Make a link' }).click();
      await page.locator('.link button').click();
      await expect(page.getByText(/^Copied\.$|^Not copied: mark it/)).toBeVisible();
      const link = (await page.locator('.link span').first().innerText()).trim();
      await page.goto('/settings');
      await alive(page);
      await page.getByRole('button', { name: 'Sign out' }).locator('visible=true').first().click();
      await page.waitForURL(/sign-in/);
      await alive(page);
      const signIn = page.locator('main form').first();
      await typeInto(signIn, [
        { label: 'Sign-in name', type: 'Ansel@fen.example' },
        { label: 'Password', type: 'three wet words' }
      ]);
      await signIn.getByRole('button', { name: 'Sign in' }).click();
      await expect(signIn).toContainText('do not belong together');
      await alive(page);
      await readBack(signIn, [{ label: 'Sign-in name', type: 'Ansel@fen.example' }]);
      await typeInto(signIn, [{ label: 'Password', type: 'three dry words' }]);
      await signIn.getByRole('button', { name: 'Sign in' }).click();
      await page.waitForURL(`${app.url}/`);

      const other = await browser.newContext({ baseURL: app.url, viewport });
      const guest = await other.newPage();
      await guest.goto(link);
      await alive(guest);
      const joins: Typed[] = [
        { label: 'Your name', type: 'Nessa Wherry' },
        { label: 'Sign-in name', type: 'nessa' },
        { label: 'Password', type: 'a fenland password' }
      ];
      const joining = guest.locator('main form').first();
      await typeInto(joining, joins);
      expect(await untyped(guest, joining, joins)).toEqual([]);
      await joining.getByRole('button', { name: 'Join' }).click();
      await guest.waitForURL(`${app.url}/`);
      await other.close();

      await page.goto('/settings');
      await expect(page.locator('tr', { hasText: 'Nessa Wherry' })).toContainText('examiner');
      await expect(page.locator('tr', { hasText: 'Nessa Wherry' })).toContainText('nessa');
    } finally {
      await context.close();
      await app.drop();
    }
  });
