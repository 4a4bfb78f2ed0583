import { ownPlan } from './day-sheet';
import { mend, section } from './fault-page';
import { comeInAs, openEngine, visit } from './people';
import { expect, test } from './loopback';

test('units are the reader’s own: everything follows, nothing stored changes', async ({ page }) => {
  await comeInAs(page, 'hesper');
  await openEngine(page, 'Old Scoop');
  await expect(page.locator('header')).toContainText('60\u2009psi');
  await visit(page, '/settings');
  await page.getByLabel('Pressure').selectOption('bar');
  await page.getByLabel('Water').selectOption('gal');
  await page.getByLabel('Length').selectOption('in');
  await page.getByRole('button', { name: 'Save units' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await openEngine(page, 'Old Scoop');
  await expect(page.locator('header')).toContainText('4.1\u2009bar');
  await expect(page.locator('figure svg').first()).toContainText('in');
  await page.getByRole('button', { name: /^Cold water to fill/ }).click();
  await expect(page.locator('.working')).toContainText('gal');
  await expect(page.locator('.working')).toContainText('steam tables');
  const stored = await page.request.get(`/api/engines/${page.url().split('/').at(-1)}`);
  expect((await stored.json()).fitOut.workingPressure).toBeCloseTo(60 * 6894.757293, 3);
});

test('the theme belongs to the device', async ({ page }) => {
  await comeInAs(page, 'pim');
  await visit(page, '/settings');
  await page.getByLabel(/^Lamp/).check();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'lamp');
  await page.goto('/');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'lamp');
});

test('faults: a bar is cleared by those who may, with what fixed it; a note by any keeper', async ({ page, browser, baseURL }) => {
  await comeInAs(page, 'tamsel');
  await visit(page, '/faults');
  const row = (text: string) => page.locator('tr', { hasText: text });
  await row('Gas leak at the jet holder').getByRole('link', { name: 'Find and mend' }).click();
  await expect(section(page, 'Mended')).toContainText('Cleared by a steward, an owner or the examiner.');
  await visit(page, '/faults');
  await mend(page, 'Second burner slow to take', 'Jet cleared', 'Both burners take at full');
  await visit(page, '/faults');
  await expect(row('Second burner slow to take')).toHaveCount(0);
  await page.getByRole('button', { name: 'Fixed', exact: true }).click();
  await expect(row('Second burner slow to take')).toContainText('Jet cleared, Tamsel Bewick-Drane. To be tried again');

  const context = await browser.newContext({ baseURL });
  const steward = await context.newPage();
  await comeInAs(steward, 'corrin');
  await visit(steward, '/faults');
  await mend(steward, 'Gas leak at the jet holder', 'New washer', 'Leak tested twice, no bubbles');
  await visit(steward, '/faults');
  await expect(steward.locator('tr', { hasText: 'Gas leak at the jet holder' })).toHaveCount(0);
  await context.close();
});

test('papers: what is wrong is said at the form, a paper that is added counts at once', async ({ page }) => {
  await comeInAs(page, 'hesper');
  await openEngine(page, 'Snipe');
  await page.getByRole('button', { name: 'Add a paper' }).click();
  await page.getByLabel('Issued').fill('2026-11-01');
  await page.getByLabel('Runs out').fill('2026-10-01');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('alert')).toContainText('cannot run out before it was issued');
  await page.getByLabel('Runs out').fill('2028-10-01');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.locator('section', { hasText: 'Papers' }).last()).toContainText('1 Oct 2028');
});

test('the Logbook: filtered by engine and day, a page at a time, and it says when nothing fits', async ({ page }) => {
  await comeInAs(page, 'wenna');
  await visit(page, '/logbook');
  const rows = page.locator('tbody tr');
  await expect(rows).toHaveCount(20);
  await page.getByRole('button', { name: 'Next page' }).click();
  await expect(page).toHaveURL(/page=2/);
  await page.getByLabel('Engine').selectOption({ label: 'Old Scoop' });
  await page.getByRole('button', { name: 'Show' }).click();
  await expect(rows).toHaveCount(3);
  await expect(rows.first()).toContainText('Old Scoop');
  await page.getByLabel('From').fill('2031-01-01');
  await page.getByRole('button', { name: 'Show' }).click();
  await expect(page.getByText('No record fits')).toBeVisible();
  await page.goto('/logbook?from=yesterday');
  await expect(page.getByText('Give the day as 2026-06-13.')).toBeVisible();
});

test('a page that is not there says so and what to do', async ({ page }) => {
  await comeInAs(page, 'pim');
  for (const path of ['/nowhere', '/engines/00000000-0000-7000-8000-000000000000', '/records/nonsense']) {
    const answer = await page.goto(path);
    expect(answer!.status()).toBe(404);
    await expect(page.getByRole('link', { name: 'Go to the Yard' })).toBeVisible();
  }
  const refused = await page.goto('/engines/new');
  expect(refused!.status()).toBe(403);
  await expect(page.getByText('Ask the club’s owner or a steward.')).toBeVisible();
});

test('one time wherever it is shown: the Yard, the day sheet and the day of several engines say the same steam', async ({ page }) => {
  await comeInAs(page, 'wenna');
  const plates = page.locator('li', { has: page.getByRole('link', { name: 'Day sheet' }) });
  const said = await plates.evaluateAll((list) =>
    list.map((li) => ({
      engine: li.querySelector('h3')!.textContent!.trim(),
      steam: /steam (\d\d:\d\d–\d\d:\d\d)/.exec(li.textContent!)?.[1],
      sheet: li.querySelector<HTMLAnchorElement>('a[href^="/day/"]')!.getAttribute('href')!
    }))
  );
  expect(said.some((s) => s.steam)).toBe(true);
  for (const { engine, steam, sheet } of said) {
    if (!steam) continue;
    await visit(page, sheet);
    await expect(page.locator('header.block'), engine).toContainText(`(${steam})`);
    const on = new Date(Date.parse((await page.locator('header.block').innerText()).match(/\d{1,2} [A-Z][a-z]{2} \d{4}/i)![0] + ' UTC'));
    await visit(page, `/day?on=${on.toISOString().slice(0, 10)}`);
    await expect(page.locator('table tr', { hasText: engine }).first(), engine).toContainText(`(${steam})`);
  }
});

test('a phone makes of a day sheet what is looked at: the rest as it comes near, the form when it is jumped to, all of it for paper', async ({
  page
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await comeInAs(page, 'idony');
  const sheet = `/day/${await ownPlan(page, 'Long Hen')}`;
  await visit(page, sheet);
  const rows = page.locator('#steps tbody tr');
  const form = page.locator('.asked .form');
  const first = await rows.count();
  expect(first).toBeLessThan(40);
  await expect(form).toHaveCount(0);
  await rows.last().scrollIntoViewIfNeeded();
  await expect.poll(() => rows.count()).toBeGreaterThan(first);
  await page.getByRole('link', { name: 'What is asked' }).click();
  await expect(form.getByLabel('Day', { exact: true })).toBeInViewport();
  await visit(page, sheet);
  await page.evaluate(() => dispatchEvent(new Event('beforeprint')));
  await expect(page.locator('#steps [aria-busy=false]')).toHaveCount(1);
  expect(await rows.count()).toBeGreaterThan(60);
  // What ends the sheet is put away, and the list to pack is whole.
  await expect(rows.last()).toContainText('Put away');
  const left = Number(
    (
      await page
        .locator('#pack')
        .getByText(/^\d+ to pack$/)
        .innerText()
    ).replace(/\D/g, '')
  );
  expect(await page.locator('#pack input[type=checkbox]:not(:checked)').count()).toBeGreaterThanOrEqual(left);
});
