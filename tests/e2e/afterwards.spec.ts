import { timeOrderedId } from '../../src/core/log/id';
import { ownEngine } from './day-sheet';
import { expect, test } from './loopback';
import { comeInAs, visit } from './people';
import { typeInto } from './typing';

for (const [width, viewport] of [
  ['desk', { width: 1280, height: 800 }],
  ['phone', { width: 390, height: 844 }]
] as const)
  test(`a record that is closed: a late note, the examiner’s signature, opened again; a trainee does none of it (${width})`, async ({
    browser,
    page
  }) => {
    await comeInAs(page, 'wenna');
    await page.setViewportSize(viewport);
    const engine = await ownEngine(page, `Closed Hen ${width} ${Date.now() % 1e6}`);
    const id = (
      await (
        await page.request.post(`/api/engines/${engine}/steamings`, { data: { purpose: 'a look', reason: 'test', plan: null } })
      ).json()
    ).id as string;
    const sign = { id: timeOrderedId(Date.now(), crypto.getRandomValues(new Uint8Array(10))), kind: 'sign', at: new Date().toISOString() };
    await page.request.post(`/api/steamings/${id}/entries`, { data: { ...sign, body: { as: 'keeper', name: 'Wenna Thrale' } } });

    const other = async (who: string) => {
      const of = await (await browser.newContext({ viewport })).newPage();
      await comeInAs(of, who);
      await visit(of, `/records/${id}`);
      return of;
    };
    const trainee = await other('pim');
    await expect(trainee.locator('.a4')).toBeVisible();
    await expect(trainee.getByLabel('Afterwards')).toHaveCount(0);

    const examiner = await other('hesper');
    const after = examiner.getByLabel('Afterwards');
    await expect(after).toContainText('Signed by Wenna Thrale');
    await after.getByRole('button', { name: 'Add it' }).click();
    await expect(after).toContainText('Say what is to be added');
    await typeInto(after, [{ label: 'A late note', type: 'Plug looked at, sound' }]);
    await after.getByRole('button', { name: 'Add it' }).click();
    await expect(examiner.locator('.a4')).toContainText('Plug looked at, sound');
    await expect(after.getByLabel('A late note')).toHaveValue('');
    // Without a network it waits, and comes once.
    await examiner.context().setOffline(true);
    await typeInto(after, [{ label: 'A late note', type: 'Seat lapped since' }]);
    await after.getByRole('button', { name: 'Add it' }).click();
    await expect(after).toContainText('It waits on this device');
    await examiner.context().setOffline(false);
    await expect
      .poll(async () => (await (await page.request.get(`/api/steamings/${id}/entries`)).text()).match(/Seat lapped since/g)?.length)
      .toBe(1);
    await after.getByRole('button', { name: 'Sign as examiner' }).click();
    await expect(after).toContainText('It does not pass the boiler');
    await after.getByRole('button', { name: 'Not yet' }).click();
    await after.getByRole('button', { name: 'Sign as examiner' }).click();
    await after.getByRole('button', { name: 'Sign, Hesper Vane-Oddie' }).click();
    await expect(after).toContainText('Signed.');
    await examiner.reload();
    await expect(examiner.locator('.a4')).toContainText('Plug looked at, sound');
    await expect(examiner.locator('.a4')).toContainText('Hesper Vane-Oddie');
    await expect(after.getByRole('button', { name: /Sign as examiner/ })).toHaveCount(0);
    await expect(after.getByRole('button', { name: 'Open it again' })).toHaveCount(0);

    await visit(page, `/records/${id}`);
    const mine = page.getByLabel('Afterwards');
    await mine.getByRole('button', { name: 'Open it again' }).click();
    await mine.getByRole('button', { name: 'Leave it closed' }).click();
    await mine.getByRole('button', { name: 'Open it again' }).click();
    await mine.getByRole('button', { name: 'Strike the signature' }).click();
    await expect(mine).toContainText('Say why it is opened again');
    await typeInto(mine, [{ label: 'Why it is opened again', type: 'signed too soon' }]);
    await mine.getByRole('button', { name: 'Strike the signature' }).click();
    await page.waitForURL(`**/footplate/${id}`);
    // It is under way again, and its log still says that it was signed.
    await expect(page.locator('.entries')).toContainText('Signed as keeper: Wenna Thrale');
    await page.reload();
    expect(page.url()).toContain('/footplate/');
  });
