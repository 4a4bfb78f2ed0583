import { expect, test } from '@playwright/test';
import { timeOrderedId } from '../../src/core/log/id';
import { begun, desk, logged, phone, say } from './foot';
import { allActions, comeInAs, openNow, visit } from './people';

/** Tries of an injector, as hands log them: found in the record of two days, what the ones that worked have in common. */
for (const [name, options] of [
  ['a desk', desk],
  ['a phone', phone]
] as const)
  test(`${name}: what parts the tries that worked is found in the record`, async ({ browser }) => {
    const context = await browser.newContext(options);
    const page = await context.newPage();
    await comeInAs(page, 'idony');
    const engine = await begun(page, 'Little Bittern', `Tried on ${name}`);
    // The day before, by another device: seven that failed with the tank warm.
    const first = page.url().split('/').pop()!;
    const post = async (kind: string, body: object) => {
      const id = timeOrderedId(Date.now(), crypto.getRandomValues(new Uint8Array(10)));
      const answer = await page.request.post(`/api/steamings/${first}/entries`, { data: { id, kind, at: new Date().toISOString(), body } });
      expect(answer.ok()).toBe(true);
      return id;
    };
    for (let i = 0; i < 7; i++) await post('attempt', { feed: 'Injector', result: i % 2 ? 'nothing' : 'knocked off', tank: 297 + i });
    await post('sign', { as: 'keeper', name: 'Idony Marlpit' });
    const begin = async () =>
      (await (await page.request.post(`/api/engines/${engine}/steamings`, { data: { reason: 'a test of hands' } })).json()).id as string;
    await visit(page, `/footplate/${await begin()}`);
    await say(page, 'already lit');
    await say(page, '70 1/2');
    const measure = async () => {
      await openNow(page);
      await allActions(page);
      await page.getByRole('button', { name: 'Measure', exact: true }).click();
    };
    await measure();
    const sheet = page.getByRole('dialog').locator('section', { hasText: 'Tries of a feed' });
    await sheet.getByLabel('Which feed').selectOption('Injector');
    await expect(sheet).toContainText(/70\spsi, read just now; glass ½, just now/);
    await expect(sheet).toContainText('it fed 0 of 7 times');
    await sheet.getByLabel('Water in the tank, if you know').fill('900');
    await expect(sheet.getByRole('button', { name: 'It picked up' })).toBeDisabled();
    for (let i = 0; i < 5; i++) {
      await sheet.getByLabel('Water in the tank, if you know').fill(`${14 + i} °C`);
      await sheet.getByRole('button', { name: 'water first' }).click();
      await sheet.getByRole('button', { name: 'dry', exact: true }).click();
      await sheet.getByRole('button', { name: 'It picked up' }).click();
      await expect(sheet).toContainText(`it fed ${i + 1} of ${8 + i} times`);
      await sheet.getByRole('button', { name: 'water first' }).click();
    }
    await expect(sheet).toContainText(/5 of 5 with the tank under 21\s°C, 0 of 7 over it\./);
    await expect(sheet).toContainText('Which makes which, a try with only that changed will tell.');
    await page.keyboard.press('Escape');
    await page.reload();
    await logged(page, /Injector: fed at 70\spsi, glass ½, tank 18\s°C, water first, overflow dry/);
    await measure();
    await expect(sheet).toContainText('Tries of a feed');
    await context.close();
  });
