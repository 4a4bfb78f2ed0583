import { type Browser, type BrowserContextOptions, expect, test } from '@playwright/test';
import { begun, desk, logged, phone, say } from './foot';
import { comeInAs } from './people';

async function come(browser: Browser, options: BrowserContextOptions) {
  const context = await browser.newContext(options);
  const page = await context.newPage();
  await comeInAs(page, 'idony');
  return { context, page };
}

/** What the watch says, as a hand takes it: opened, noted, worse, muted; on a desk and on a phone. */
for (const [name, options] of [
  ['a desk', desk],
  ['a phone', phone]
] as const)
  test(`${name}: a warning opens what it stands on, is noted, and is heard again when it is worse`, async ({ browser }) => {
    const { context, page } = await come(browser, options);
    await begun(page, 'Little Bittern', `Watched on ${name}`);
    await say(page, 'already lit');
    await say(page, '62 1/4');
    const strip = page.locator('.strip.alarm');
    await expect(strip.first()).toContainText('Glass at ¼: at or under its lowest running level');
    await strip.first().locator('.opens').click();
    const sheet = page.getByRole('dialog');
    await expect(sheet).toContainText('Feed now: tender hand pump');
    await expect(sheet).toContainText('Cleared by: the glass a little over its lowest running level');
    await expect(sheet).toContainText('Cannot be known');
    await expect(sheet).toContainText('Next, if nothing is logged until then: glass not looked at');
    await sheet.getByRole('button', { name: 'Noted' }).click();
    await expect(sheet).toContainText(/Noted by .+ at \d\d:\d\d: it is heard again when it is worse/);
    await sheet.getByRole('button', { name: 'Sound of looks off for 15 min' }).click();
    await expect(sheet).toContainText(/Its sound is off for 1[45]:\d\d/);
    await page.keyboard.press('Escape');
    await expect(page.locator('.muted')).toContainText(/off for 1[45]:\d\d/);
    // It is an entry, and is there again after the page was opened anew; so is the silence, on this device.
    await page.reload();
    await expect(strip.first()).toHaveClass(/quiet/);
    await expect(page.locator('.muted')).toContainText('off for');
    await page.getByRole('button', { name: 'On again' }).click();
    await expect(page.locator('.muted')).toHaveCount(0);
    // An eighth lower it is not quiet any more.
    await say(page, '1/8');
    await expect(strip.first()).toContainText('Glass at 1⁄8');
    await expect(strip.first()).not.toHaveClass(/quiet/);
    // Out of sight: the worst is first, and says how many more there are.
    await say(page, 'not seen');
    await expect(strip.first()).toContainText('Act now');
    await expect(strip.first()).toContainText('No water seen in the glass');
    await (options === desk ? expect(strip).toHaveCount(2) : expect(page.locator('.others .one').first()).toBeVisible());
    await context.close();
  });

test('fire outside is said in one touch, and so is that it is out', async ({ browser }) => {
  const { context, page } = await come(browser, desk);
  await begun(page, 'Lantern', 'Watched for fire');
  const seen = async (what: string) => {
    await page.getByRole('button', { name: 'Seen', exact: true }).click();
    await page.getByRole('button', { name: what, exact: true }).click();
  };
  await seen('Fire outside the boiler');
  await expect(page.locator('.strip.alarm')).toContainText('Fire outside the boiler');
  await seen('Fire outside is out');
  await expect(page.locator('.strip.alarm')).toHaveCount(0);
  await context.close();
});

for (const [name, options] of [
  ['a desk', desk],
  ['a phone', phone]
] as const)
  test(`${name}: turns are tapped, a time is taken, and both are in the log`, async ({ browser }) => {
    const { context, page } = await come(browser, options);
    await begun(page, 'Little Bittern', `Measured on ${name}`);
    if (options === phone) await page.getByRole('button', { name: 'More', exact: true }).click();
    await page.getByRole('button', { name: 'Measure', exact: true }).click();
    const sheet = page.getByRole('dialog');
    await expect(sheet.getByRole('button', { name: 'Log it' })).toBeDisabled();
    await sheet.getByRole('button', { name: 'Crank, one to a turn' }).click();
    // Two taps a second, by the page’s own clock.
    await sheet
      .locator('.tap')
      .first()
      .evaluate(async (button) => {
        for (let i = 0; i < 8; i++) {
          button.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true }));
          await new Promise((done) => setTimeout(done, 500));
        }
      });
    await expect(sheet.locator('.tap strong').first()).toHaveText(/^1(1\d|20|21)$/);
    await sheet.getByRole('button', { name: 'Log it' }).click();
    await sheet.getByLabel('What is timed').selectOption({ label: 'Injector picks up' });
    const watch = sheet.locator('.tap').nth(1);
    await expect(watch).toContainText('Start when: steam on');
    await watch.click();
    await expect(watch).toContainText('Stop when: its overflow dry');
    await page.waitForTimeout(1200);
    await watch.click();
    await sheet.getByRole('button', { name: 'Log the time' }).click();
    await expect(sheet).toContainText(/Today before: 1\.\d s/);
    const laps = sheet.locator('.tap').nth(2);
    await expect(laps).toBeDisabled();
    await sheet.getByLabel('Length of a lap, m').fill('2');
    await expect(laps).toBeDisabled();
    await sheet.getByLabel('Length of a lap, m').fill('300');
    await laps.click();
    await page.waitForTimeout(1100);
    await laps.click();
    await expect(laps).toContainText('1');
    await expect(sheet).toContainText('touched twice?');
    await expect(sheet).toContainText(/Last 0:0[12], .*km\/h\. Mean of 1: 0:0[12]/);
    await page.keyboard.press('Escape');
    await page.reload();
    await logged(page, /1(1\d|20|21) turns a minute/);
    await logged(page, /Injector picks up: [12]\.\d s/);
    await logged(page, /Laps counted from here, 300\sm each/);
    await context.close();
  });

test('the fire door is said in one touch, and keys open the watch and the measuring', async ({ browser }) => {
  const { context, page } = await come(browser, desk);
  await begun(page, 'Little Bittern', 'Watched at its door');
  const fire = page.getByRole('button', { name: 'Fire', exact: true });
  await fire.click();
  await page.getByRole('button', { name: 'Door open', exact: true }).click();
  await fire.click();
  await page.getByRole('button', { name: 'Door shut', exact: true }).click();
  await page.reload();
  await logged(page, /door open/i);
  await logged(page, /door shut/i);
  const dialog = page.getByRole('dialog');
  for (const [key, words] of [
    ['k', 'What the watch says'],
    ['j', 'Stopwatch']
  ] as const) {
    await page.keyboard.press(key);
    await expect(dialog).toContainText(words);
    await page.keyboard.press('Escape');
    await expect(dialog).toHaveCount(0);
  }
  await context.close();
});
