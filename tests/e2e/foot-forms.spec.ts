import postgres from 'postgres';
import { patterns } from '../../src/core/engine';
import { expect, test } from './loopback';
import { mend, section, touch } from './fault-page';
import { allActions, comeInAs, openFoot, openNow, visit } from './people';
import { readBack, type Typed, typeInto, untyped } from './typing';

/** The forms of a steaming and of the fault book: typed into as a hand would, and read back where they end up, after a reload. */

const widths = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } };

/** Somebody in Idony's club to hand an engine to. */
test.beforeAll(async () => {
  const sql = postgres(process.env.JORAM_TEST_ADMIN_URL!, { max: 1 });
  await sql`insert into member (club_id, member_id, sign_in, name, roles, secret)
    select club_id, gen_random_uuid(), 'merrin', 'Merrin Cootwater', ${['operator']}, 'x' from member where sign_in = 'idony'
      and not exists (select 1 from member where sign_in = 'merrin')`;
  await sql.end();
});

for (const [width, viewport] of Object.entries(widths)) {
  test(`the Footplate’s forms: begun for, skipped because, a fault, a note, handed over, signed (${width})`, async ({ page }) => {
    await page.setViewportSize(viewport);
    await comeInAs(page, 'idony');
    const { fitOut } = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!;
    const name = `Foot Hen ${width} ${Date.now() % 1e6}`;
    const { id } = await (await page.request.post('/api/engines', { data: { ...fitOut, name } })).json();
    await visit(page, `/engines/${id}`);
    const dialog = page.locator('.bx--modal.is-visible');

    // Barred without papers: an owner answers for it, in words that stay.
    await page.getByRole('button', { name: 'Start steaming' }).click();
    const begin: Typed[] = [
      { label: 'Occasion', type: 'Steaming' },
      { label: 'What for', type: 'Steam test' },
      { label: /^Public running/, type: 'yes' },
      { label: /^Why is it steamed all the same/, type: 'Papers are with the secretary' }
    ];
    await typeInto(dialog, begin);
    expect(await untyped(page, dialog, begin)).toEqual([]);
    await dialog.getByRole('button', { name: /^Start/ }).click();
    await page.waitForURL(/\/footplate\//);
    await page.locator('html[data-live]').waitFor();

    const now = page.locator('article.now');
    const skipped = await now.locator('h2').innerText();
    await now.getByRole('button', { name: 'Skip' }).click();
    await typeInto(now, [{ label: /^Why is it skipped/, type: 'Looked at last night' }]);
    await now.getByRole('button', { name: 'Skip', exact: true }).click();

    const thumb = page.locator('.thumb');
    await thumb.getByRole('button', { name: 'Fault', exact: true }).click();
    await thumb.getByText('not with passengers').click();
    await typeInto(thumb, [
      { label: 'Where on the engine', type: 'Gauge union' },
      { label: 'The fault in your own words', type: 'Left clack weeps at the union' }
    ]);
    await thumb.getByRole('button', { name: 'Log fault' }).click();
    await allActions(page);
    await thumb.getByRole('button', { name: 'Note', exact: true }).click();
    await typeInto(thumb, [{ label: 'Note', type: 'Wind from the north' }]);
    await thumb.getByRole('button', { name: 'Log note' }).click();

    await openFoot(page);
    await page.getByRole('button', { name: 'hand over' }).click();
    const hand: Typed[] = [
      { label: 'Who takes it', type: 'Merrin Cootwater' },
      { label: 'What is due next', type: 'Fill the tank' }
    ];
    await typeInto(dialog, hand);
    await readBack(dialog, hand);
    expect(await untyped(page, dialog, hand)).toEqual([]);
    await dialog.getByRole('button', { name: 'Offer it' }).click();
    await openNow(page);
    await page.getByLabel('On this device: Merrin Cootwater signs in as').fill('merrin');
    await page.getByRole('button', { name: 'They have it' }).click();
    await expect(page.locator('footer')).toContainText('Keeper Merrin Cootwater');
    await expect(page.locator('footer')).toContainText('All delivered');

    await page.reload();
    await page.locator('html[data-live]').waitFor();
    const entries = page.locator('.entries');
    for (const said of [
      `Skipped: ${skipped}. Looked at last night`,
      'Left clack weeps at the union',
      'Wind from the north',
      'Offered to Merrin Cootwater',
      'Merrin Cootwater has it'
    ])
      await expect(entries).toContainText(said);

    // Whoever handed it over does not sign for it: it is handed back first.
    await openFoot(page);
    await page.getByRole('button', { name: 'Sign and close' }).first().click();
    await expect(dialog).toContainText('It was handed over to Merrin Cootwater, who signs for it.');
    await expect(dialog.getByRole('button', { name: 'Sign', exact: true })).toBeDisabled();
    await dialog.getByRole('button', { name: 'Not yet' }).click();
    await openFoot(page);
    await page.getByRole('button', { name: 'hand over' }).click();
    await typeInto(dialog, [{ label: 'Who takes it', type: 'Idony Marlpit' }]);
    await dialog.getByRole('button', { name: 'Offer it' }).click();
    await openNow(page);
    await page.getByRole('button', { name: 'I have it' }).click();
    await openFoot(page);
    await page.getByRole('button', { name: 'Sign and close' }).first().click();
    // It is signed by whoever is signed in: there is no name to type.
    await expect(dialog).toContainText('Keeper’s signature: Idony Marlpit');
    const sign: Typed[] = [{ label: 'Remarks', type: 'Bring the long spanner' }];
    await typeInto(dialog, sign);
    expect(await untyped(page, dialog, sign)).toEqual([]);
    await dialog.getByRole('button', { name: 'Sign', exact: true }).click();
    await page.waitForURL(/\/records\//);
    await page.reload();
    const record = page.locator('.a4');
    for (const said of [
      'Public running: Steam test',
      'Papers are with the secretary',
      'Idony Marlpit',
      'Bring the long spanner',
      'not with passengers'
    ])
      await expect(record).toContainText(said);
  });

  test(`the fault book: raised and fixed by hand (${width})`, async ({ page }) => {
    await page.setViewportSize(viewport);
    await comeInAs(page, 'idony');
    const text = `Whistle sticks ${width} ${Date.now() % 1e6}`;
    const { fitOut } = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!;
    const name = `Fault Hen ${width} ${Date.now() % 1e6}`;
    await page.request.post('/api/engines', { data: { ...fitOut, name } });
    await visit(page, '/faults');
    const dialog = page.locator('.bx--modal.is-visible');
    await page.getByRole('button', { name: 'Raise a fault' }).click();
    const raised: Typed[] = [
      { label: 'Engine', type: name },
      { label: 'What is wrong, and where', type: text },
      { label: 'Until it is fixed', type: 'not with passengers' }
    ];
    await typeInto(dialog, raised);
    await readBack(dialog, raised);
    expect(await untyped(page, dialog, raised)).toEqual([]);
    await dialog.getByRole('button', { name: 'Raise it' }).click();
    const row = page.locator('tbody tr', { hasText: text });
    await expect(row).toContainText(name);
    await page.reload();
    await page.locator('html[data-live]').waitFor();
    await expect(row).toContainText('not with passengers');
    // Where it is and what it looks like, told with nothing in steam.
    await row.getByRole('link', { name: 'Find and mend' }).click();
    await page.waitForURL(/\/faults\/[\w-]{36}/);
    await page.locator('html[data-live]').waitFor();
    const where = section(page, 'Where it is');
    await where.getByLabel('Place').fill('Whistle');
    await where.getByLabel(/^It shows at/).fill('lots');
    await expect(where.locator('.problem')).toBeVisible();
    await expect(where.getByRole('button', { name: 'Write the place down' })).toBeDisabled();
    await where.getByLabel(/^It shows at/).fill('60 psi');
    await touch(page, where.getByRole('button', { name: 'Write the place down' }));
    await expect(where).toContainText(/Whistle, at 60\spsi/);
    await where.locator('input[type=file]').setInputFiles({ name: 'list.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') });
    await expect(where.locator('.problem')).toContainText('is no picture');
    await where.locator('input[type=file]').setInputFiles({ name: 'whistle.png', mimeType: 'image/png', buffer: await page.screenshot() });
    await expect(where.locator('img')).toHaveCount(1);
    await page.reload();
    await page.locator('html[data-live]').waitFor();
    await expect(where).toContainText(/Whistle, at 60\spsi/);
    await expect(where.locator('img')).toHaveJSProperty('complete', true);
    // Another place keeps the needle that was told.
    await where.getByLabel('Place').fill('Whistle valve');
    await touch(page, where.getByRole('button', { name: 'Write the change down' }));
    await expect(where).toContainText(/Whistle valve, at 60\spsi/);
    await visit(page, '/faults');
    await mend(page, text, 'New spring', 'Blown three times');
    await visit(page, '/faults');
    await expect(row).toHaveCount(0);
    // The filter by engine is a field too.
    await page.getByRole('button', { name: 'Fixed', exact: true }).click();
    await typeInto(page.locator('.filter'), [{ label: 'Engine', type: name }]);
    await page.waitForURL(/engine=/);
    await page.reload();
    await page.locator('html[data-live]').waitFor();
    await readBack(page.locator('.filter'), [{ label: 'Engine', type: name }]);
    await expect(row).toContainText('New spring');
  });
}
