import type { Page } from '@playwright/test';
import { patterns } from '../../src/core/engine';

/** So many days from today, 2026-06-13. */
export const isoDay = (days: number) => new Date(Date.now() + days * 864e5).toISOString().slice(0, 10);

/** An engine like Marsh Hen, of this test's own: others start and plan the demo's. */
export async function ownEngine(page: Page, name: string) {
  const { fitOut } = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!;
  return (await (await page.request.post('/api/engines', { data: { ...fitOut, name } })).json()).id as string;
}

/** A plan for an engine of its own, with two wants, two people and a test. */
export async function ownPlan(page: Page, name: string, days = 3) {
  const engine = await ownEngine(page, name);
  const at = (clock: string) => `${isoDay(days)}T${clock}:00.000Z`;
  const made = await page.request.post(`/api/engines/${engine}/plans`, {
    data: {
      purpose: '',
      plan: {
        wants: [
          { what: 'first train', at: at('11:00') },
          { what: 'last train', at: at('15:00') }
        ],
        people: [
          { name: 'Idony Marlpit', as: 'keeper' },
          { name: 'A friend', as: 'helper' }
        ],
        tests: [{ what: 'Accumulation test', minutes: 15 }]
      }
    }
  });
  return (await made.json()).id as string;
}

/** What a day asks: its form is made when it is looked at. */
export async function askedForm(page: Page) {
  await page.locator('#asked').scrollIntoViewIfNeeded();
  const form = page.locator('.asked .form');
  await form.locator('legend').nth(2).waitFor();
  return form;
}

/** All of a day sheet's rows are made when somebody looks for a word with the browser's own search. */
export async function wholeSheet(page: Page) {
  await page.keyboard.press('Control+f');
  await page.locator('#steps [aria-busy=false]').waitFor();
}
