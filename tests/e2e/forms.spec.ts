import type { Page } from '@playwright/test';
import { patterns } from '../../src/core/engine';
import { expect, test } from './loopback';
import { comeInAs, visit } from './people';
import { readBack, type Typed, typeInto, untyped } from './typing';

/** Every field of every form, typed into as a hand would, reloaded, read back. A form's fields are all here or the test fails. */

const widths = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } };

async function ownEngine(page: Page, name: string) {
  const { fitOut } = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!;
  return (await (await page.request.post('/api/engines', { data: { ...fitOut, name } })).json()).id as string;
}

for (const [width, viewport] of Object.entries(widths))
  test(`a day sheet, every field typed into and read back after a reload (${width})`, async ({ page }) => {
    await page.setViewportSize(viewport);
    await comeInAs(page, 'idony');
    const engine = await ownEngine(page, `Typing Hen ${width}`);
    const day = new Date(Date.now() + 3 * 864e5).toISOString().slice(0, 10);
    const at = (clock: string) => `${day}T${clock}:00.000Z`;
    const made = await (
      await page.request.post(`/api/engines/${engine}/plans`, {
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
      })
    ).json();
    await visit(page, `/day/${made.id}`);
    const later = new Date(Date.now() + 4 * 864e5).toISOString().slice(0, 10);
    const typed: Typed[] = [
      { label: 'Day', type: later },
      { label: 'At', type: '10:40' },
      { label: 'What for', type: 'Members’ train' },
      { label: 'At', nth: 1, type: '14:20' },
      { label: 'What for', nth: 1, type: 'Goods train' },
      { label: 'All over by', type: '17:30' },
      { label: 'Running, min', type: '95' },
      { label: 'Name', type: 'Idony M' },
      { label: 'There from', type: '07:15' },
      { label: 'Name', nth: 1, type: 'Somebody else' },
      { label: 'As', nth: 1, type: 'trainee' },
      { label: 'There from', nth: 1, type: '09:05' },
      { label: /^Water filled in/, type: '31' },
      { label: /^Air,/, type: '-4' },
      { label: 'Test', type: 'Slug test' },
      { label: 'Minutes', type: '25' }
    ];
    const form = page.locator('.asked .form');
    await typeInto(form, typed);
    await expect(page.getByText('saved', { exact: true })).toBeVisible();
    await page.reload();
    await page.locator('html[data-live]').waitFor();
    await readBack(form, typed);
    const left = await untyped(page, form, typed);
    expect(left.filter((l) => l !== 'As')).toEqual([]);
  });
