import { expect, test } from '@playwright/test';
import { exampleRules } from '../../src/core/proof';
import { psi } from '../../src/core/units';
import { begun, desk, hoursAgo, logged, phone, say } from './foot';
import { openFoot } from './people';

/** An accumulation test as hands run it: set up against the log, read each minute, judged by the number and the error of the reading. */
const cases = [
  { name: 'over by the number', options: desk, wp: 100, peak: 112, error: 0, says: 'Failed by the arithmetic: 112 psi, over at 110 psi' },
  { name: 'read to 3 psi', options: phone, wp: 100, peak: 112, error: 3, says: 'Too close to call: highest 112 psi, over at 110 psi' },
  { name: 'under by the number', options: desk, wp: 120, peak: 128, error: 2, says: 'Stayed under by the arithmetic: highest 128 psi' }
] as const;

for (const { name, options, wp, peak, error, says } of cases)
  test(`${peak} of ${wp} psi, ${name}`, async ({ browser }) => {
    const { context, page } = await hoursAgo(browser, 2, options);
    const { fitOut } = (await import('../../src/core/engine')).patterns.find((p) => p.fitOut.name === 'Little Bittern')!;
    const safetyValves = fitOut.safetyValves.map((v) => ({ ...v, set: psi(wp) }));
    await begun(page, 'Little Bittern', `Crept ${name}`, { workingPressure: psi(wp), safetyValves });
    // The club has written its rules down; where another test has, those stand.
    await page.request.post('/proof/rules?/save', {
      form: { written: JSON.stringify({ ...exampleRules, name: 'Rules to try with', source: 'Made up for a test' }), version: '0' },
      headers: { origin: new URL(page.url()).origin }
    });
    await say(page, 'already lit');
    const open = async () => {
      await openFoot(page);
      await page.getByRole('button', { name: 'Accumulation test', exact: true }).click();
    };
    await open();
    const sheet = page.getByRole('dialog');
    await expect(sheet.getByRole('button', { name: 'Begin the test' })).toBeDisabled();
    await expect(sheet).toContainText('Log the needle: it was not read in the last three minutes.');
    for (const word of ['Bright and even', 'Blower full open', 'Regulator shut']) await sheet.getByRole('button', { name: word }).click();
    await expect(sheet.locator('.mark[aria-label="Not so"]')).toHaveCount(2);
    await page.keyboard.press('Escape');
    await say(page, `${wp - 2} 3/4`);
    await open();
    await expect(sheet).toContainText('It stands at ¾: half a glass is wanted.');
    await page.keyboard.press('Escape');
    await say(page, '1/2');
    await open();
    await expect(sheet.locator('.mark[aria-label="Not so"]')).toHaveCount(0);
    // By the club’s own rules, where it has written them down.
    await expect(sheet.getByLabel('By which rule')).toHaveValue(/, version \d+$/);
    await expect(sheet.getByLabel('For how long')).toHaveValue(/min$/);
    await sheet.getByLabel('By which rule').fill('');
    await sheet.getByRole('button', { name: 'Begin the test' }).click();
    await expect(sheet).toContainText('By which rule: write 3 to 80 characters.');
    await sheet.getByLabel('By which rule').fill('Osier Fen boiler code, 7.2');
    await sheet.getByLabel('Allowed over working pressure, %').fill('10');
    await sheet.getByLabel('For how long').fill('3 min');
    await sheet.getByLabel('Gauge read to, either way').fill(`${error} psi`);
    await sheet.getByRole('button', { name: 'Begin the test' }).click();
    const strip = page.locator('.strip.accumulation');
    await expect(strip).toContainText(/[23]:\d\d left/);
    await expect(strip).toContainText('Read the needle and log it');
    await say(page, `lifts at ${wp}`);
    // It goes on where it was, with the page opened anew.
    await page.reload();
    await expect(strip).toContainText(/2:\d\d left/);
    for (const read of [wp + 2, peak, wp + 3]) {
      await page.clock.fastForward(58_000);
      await say(page, `${read}`);
    }
    await expect(strip).toContainText(`highest ${peak}\u2009psi`);
    await page.clock.fastForward(10_000);
    await expect(strip).toContainText(error ? 'its time is over' : 'Failed by the arithmetic');
    await strip.getByRole('button', { name: 'End the test' }).click();
    await expect(strip).toHaveCount(0);
    await open();
    await expect.poll(async () => (await sheet.innerText()).replace(/\s/g, ' ')).toContain(says);
    await expect(sheet).toContainText('By Osier Fen boiler code, 7.2.');
    await expect(sheet.locator('.working')).toContainText('left to the limit');
    const fault = sheet.getByRole('button', { name: 'Write it as a fault: no steaming until it is cleared' });
    await expect(fault).toHaveCount(error ? 0 : 1);
    if (!error) await fault.click();
    await expect(fault).toHaveCount(0);
    await page.keyboard.press('Escape');
    await logged(page, /Accumulation test begins: 3\smin, 10 % allowed/);
    if (!error) await logged(page, /Accumulation test: 112\spsi read, over at 110\spsi/);
    await context.close();
  });
