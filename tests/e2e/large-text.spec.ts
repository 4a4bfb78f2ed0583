import type { Page } from '@playwright/test';
import { comeInAs } from './people';
import { expect, test } from './loopback';

/** Words that lie on other words, or run out of the window: what a reader with twice the text size would see wrong. */
const overlaps = (page: Page) =>
  page.evaluate(() => {
    const shown: { text: string; r: DOMRect }[] = [];
    const walk = document.createTreeWalker(document.querySelector('main')!, NodeFilter.SHOW_TEXT);
    for (let n = walk.nextNode(); n; n = walk.nextNode()) {
      const text = n.textContent!.trim();
      const parent = n.parentElement!;
      // What floats over the page on purpose, what only a reader that speaks hears, and the chart's own labels are not meant.
      if (!text || parent.closest('.thumb, .unseen, .bx--visually-hidden, .canvas, .bx--modal, option, datalist, title, style')) continue;
      if (!parent.checkVisibility({ visibilityProperty: true, opacityProperty: true, contentVisibilityAuto: true })) continue;
      const range = document.createRange();
      range.selectNodeContents(n);
      // Only what its scrollers let through is seen.
      let [left, top, right, bottom] = [-Infinity, -Infinity, Infinity, Infinity];
      for (let e: Element | null = parent; e; e = e.parentElement)
        if (getComputedStyle(e).overflowY !== 'visible' && e !== document.body && e !== document.documentElement) {
          const box = e.getBoundingClientRect();
          [left, top, right, bottom] = [
            Math.max(left, box.left),
            Math.max(top, box.top),
            Math.min(right, box.right),
            Math.min(bottom, box.bottom)
          ];
        }
      for (const line of range.getClientRects()) {
        const [x, y] = [Math.max(left, line.left), Math.max(top, line.top)];
        const r = new DOMRect(x, y, Math.min(right, line.right) - x, Math.min(bottom, line.bottom) - y);
        if (r.width > 2 && r.height > 2) shown.push({ text, r });
      }
    }
    const wrong: string[] = [];
    for (let i = 0; i < shown.length; i++) {
      const a = shown[i]!;
      if (a.r.right > innerWidth + 1 && a.r.left < innerWidth && !/\d/.test(a.text)) wrong.push(`“${a.text}” runs out of the window`);
      for (let j = i + 1; j < shown.length; j++) {
        const b = shown[j]!;
        const across = Math.min(a.r.right, b.r.right) - Math.max(a.r.left, b.r.left);
        // Lines may touch by their leading; letters do not.
        const down = Math.min(a.r.bottom, b.r.bottom) - Math.max(a.r.top, b.r.top);
        if (a.text !== b.text && across > 3 && down > 0.45 * Math.min(a.r.height, b.r.height))
          wrong.push(`“${a.text}” lies on “${b.text}”`);
      }
    }
    return [...new Set(wrong)];
  });

const views: Record<string, (page: Page) => Promise<unknown>> = {
  yard: (page) => page.goto('/'),
  footplate: async (page) => {
    await page.goto('/');
    await page.locator('li', { hasText: 'Marsh Hen' }).getByRole('link', { name: 'Footplate' }).click();
    await page.locator('.readings .glass').first().waitFor();
  },
  'day sheet': async (page) => {
    await page.goto('/');
    await page.locator('li', { hasText: 'Water Rail' }).getByRole('link', { name: 'Day sheet' }).click();
    await page.locator('#steps table').waitFor();
  },
  engine: async (page) => {
    await page.goto('/');
    await page.getByRole('link', { name: 'Lantern', exact: true }).first().click();
    await page.waitForURL(/\/engines\//);
  }
};

for (const [name, { width, height, text }] of Object.entries({
  'text of twice the size on a desk': { width: 1280, height: 800, text: 2 },
  'text of twice the size on a phone': { width: 390, height: 844, text: 2 },
  'a window of 320 px': { width: 320, height: 640, text: 1 }
}))
  test(`${name}: no words on other words, none out of the window, nothing to scroll sideways`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    await comeInAs(page, 'corrin');
    // As the browser's own setting does it: before the page is laid out.
    await page.addInitScript(
      (size) => {
        new MutationObserver((_, seen) => {
          if (!document.documentElement) return;
          document.documentElement.style.fontSize = size;
          seen.disconnect();
        }).observe(document, { childList: true });
      },
      `${100 * text}%`
    );
    for (const [view, go] of Object.entries(views)) {
      await go(page);
      await page.locator('html[data-live]').waitFor();
      await page.waitForTimeout(400);
      expect(await overlaps(page), view).toEqual([]);
      expect(await page.evaluate(() => document.documentElement.scrollWidth), view).toBeLessThanOrEqual(width);
    }
  });
