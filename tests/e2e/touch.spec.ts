import type { Page } from '@playwright/test';
import { patterns } from '../../src/core/engine';
import { expect, test } from './loopback';
import { begun } from './foot';
import { alive, comeInAs, visit } from './people';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

/** A finger on the screen, as the browser gets it: down, some moves, up. Times in ms. */
async function finger(page: Page, from: { x: number; y: number }, to: { x: number; y: number }, { rest = 0, steps = 8 } = {}) {
  const cdp = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: { x: number; y: number }) =>
    cdp.send('Input.dispatchTouchEvent', { type, touchPoints: at ? [at] : [] });
  await touch('touchStart', from);
  if (rest) await page.waitForTimeout(rest);
  for (let i = 1; i <= steps; i++) {
    const share = i / steps;
    await touch('touchMove', { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share });
    await page.waitForTimeout(16);
  }
  await touch('touchEnd');
}

test('a swipe over the glass logs nothing; a tap, a rest and a drag after it log what they point at', async ({ page }) => {
  await comeInAs(page, 'idony');
  const { fitOut } = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!;
  const engine = await (await page.request.post('/api/engines', { data: { ...fitOut, name: 'Swipe Hen' } })).json();
  const started = await (await page.request.post(`/api/engines/${engine.id}/steamings`, { data: { reason: 'a test of fingers' } })).json();
  await visit(page, `/footplate/${started.id}`);
  const glass = page.locator('.readings .glass').first();
  const scrolled = () =>
    page.evaluate(
      () =>
        document.scrollingElement!.scrollTop +
        [...document.querySelectorAll('*')].reduce((s, e) => s + (e === document.scrollingElement ? 0 : e.scrollTop), 0)
    );
  const readings = async () =>
    ((await (await page.request.get(`/api/steamings/${started.id}/entries`)).json()).entries as { kind: string }[]).filter(
      (e) => e.kind === 'reading'
    ).length;
  await glass.scrollIntoViewIfNeeded();
  const at = async (share: number) => {
    const box = (await glass.boundingBox())!;
    return { x: box.x + box.width / 2, y: box.y + box.height * (1 - share) };
  };
  const start = await at(0.3);
  await finger(page, start, { x: start.x, y: start.y - 160 });
  await finger(page, await at(0.8), { x: start.x, y: start.y + 160 });
  await page.waitForTimeout(700);
  expect(await readings()).toBe(0);

  await glass.scrollIntoViewIfNeeded();
  await page.waitForTimeout(400);
  const tap = await at(0.5);
  await page.touchscreen.tap(tap.x, tap.y);
  await expect.poll(readings).toBe(1);

  await page.waitForTimeout(300);
  const held = await scrolled();
  const [low, high] = [await at(0.3), await at(0.7)];
  await finger(page, low, high, { rest: 220 });
  await expect.poll(readings).toBe(2);
  expect(await scrolled()).toBe(held);
  await expect(page.locator('.head')).toContainText(/⅔|⅝|¾|0\.7|7/);
});

test('three actions that the keeper chose stay under the thumb, through a reload; the fault always', async ({ page }) => {
  await comeInAs(page, 'idony');
  await begun(page, 'Marsh Hen', 'Thumb Hen');
  const actions = page.getByRole('group', { name: 'Quick actions' });
  const shown = () => actions.getByRole('button').filter({ visible: true }).locator('span:first-child').allTextContents();
  const first = await shown();
  expect(first).toHaveLength(4);
  expect(first).not.toContain('Oil');
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('button', { name: 'Choose what stays under the thumb' }).click();
  await actions.getByRole('button', { name: /^Oil/ }).click();
  await actions.getByRole('button', { name: /^Regulator/ }).click();
  await expect(actions.getByRole('button', { name: /^Oil/ })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'That is all' }).click();
  await page.getByRole('button', { name: 'Less', exact: true }).click();
  const chosen = await shown();
  expect(chosen).toHaveLength(4);
  expect(chosen).toEqual(expect.arrayContaining(['Oil', 'Regulator', 'Fault']));
  await page.reload();
  await alive(page);
  expect((await shown()).sort()).toEqual(chosen.sort());
});
