import type { Locator, Page } from '@playwright/test';
import { patterns } from '../../src/core/engine';
import { expect, test } from './loopback';
import { comeInAs, visit } from './people';

/** The fit-out's editor: every field of every part changed by hand, saved, opened again, read back. */

const widths = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } };

/** The same with its last digit one higher, or lower: a neighbour that the fields around it can live with. */
function neighbour(text: string, by: 1 | -1): string {
  const found = text.match(/^(\D*?)(\d+(?:\.(\d+))?)(.*)$/s);
  if (!found) return text;
  const [, before, figure, decimals = '', after] = found;
  return `${before}${(Number(figure) + by * 10 ** -decimals.length).toFixed(decimals.length)}${after}`;
}
/** What a hand might try in a field, the likeliest first. */
const triesFor = (was: string, isNumber: boolean): string[] =>
  !isNumber ? [`${was} typed`.trim().slice(-40).trim()] : was ? [neighbour(was, 1), neighbour(was, -1)] : ['1', '10', '100', '1000'];

interface Left {
  readonly tab: string;
  readonly nth: number;
  readonly label: string;
  readonly reads: string;
}

const fieldsOf = (panel: Locator) => panel.locator('input:not([type=checkbox]):visible, select:visible, label.bx--checkbox-label');
/** What a field is, asked at once: a page is asked some hundreds of times. */
const about = (e: Element) => {
  const was =
    e instanceof HTMLSelectElement
      ? e.selectedOptions[0]!.label
      : e instanceof HTMLLabelElement
        ? String((e.control as HTMLInputElement).checked)
        : (e as HTMLInputElement).value;
  const { maxLength } = e as HTMLInputElement;
  return {
    label: (e as HTMLInputElement).labels?.[0]?.innerText.trim() ?? e.textContent?.trim() ?? '',
    was,
    kind: e.tagName,
    options: e instanceof HTMLSelectElement ? [...e.options].map((o) => o.label).filter((o) => o !== was) : [],
    isCase: e instanceof HTMLSelectElement && e.closest('fieldset')?.querySelector(':scope > .case') != null && !e.closest('.case'),
    isNumber: !maxLength || maxLength < 0
  };
};
const reading = async (field: Locator) => (await field.evaluate(about)).was;

/** Changes a field as a hand would, and leaves it. */
async function change(field: Locator, tag: string, to: string) {
  if (tag === 'SELECT') await field.selectOption({ label: to });
  else if (tag === 'LABEL') await field.click();
  else {
    await field.fill('');
    await field.pressSequentially(to);
    await field.blur();
  }
}

async function changeAll(page: Page): Promise<{ left: Left[]; stuck: string[] }> {
  const [left, stuck]: [Left[], string[]] = [[], []];
  const wrong = () => page.locator('aside.right ul.strip li').allInnerTexts();
  for (const tab of await page.getByRole('tab').allInnerTexts()) {
    await page.getByRole('tab', { name: tab }).click();
    const panel = page.getByRole('tabpanel');
    const fields = fieldsOf(panel);
    for (let nth = 0; nth < (await fields.count()); nth++) {
      const field = fields.nth(nth);
      const { label, was, kind, options: others, isCase, isNumber } = await field.evaluate(about);
      // What another kind of boiler or fire asks is asked of another engine.
      if (isCase) continue;
      const options = kind === 'SELECT' ? others : kind === 'LABEL' ? ['other'] : triesFor(was, isNumber);
      let stands = false;
      for (const option of options) {
        await change(field, kind, option);
        if ((await wrong()).length === 0) {
          stands = true;
          break;
        }
      }
      if (!stands) {
        stuck.push(`${tab}: ${label}`);
        await change(field, kind, was);
        expect(await wrong(), `${tab}: ${label} goes back to what it was`).toEqual([]);
      }
      left.push({ tab, nth, label, reads: await reading(field) });
    }
  }
  return { left, stuck };
}

for (const [name, width] of [
  ['Marsh Hen', 'desk'],
  ['Water Rail', 'phone'],
  ['Lantern', 'desk'],
  ['Tin Heron', 'phone']
] as const)
  test(`a fit-out like ${name}’s, every field changed by hand and read back after a reload (${width})`, async ({ page }) => {
    await page.setViewportSize(widths[width]);
    await comeInAs(page, 'idony');
    const { fitOut } = patterns.find((p) => p.fitOut.name === name)!;
    const { id } = await (
      await page.request.post('/api/engines', { data: { ...fitOut, name: `Typed ${name} ${width} ${Date.now() % 1e6}` } })
    ).json();
    await visit(page, `/engines/${id}/edit`);
    const { left, stuck } = await changeAll(page);
    expect(left.length).toBeGreaterThan(40);
    expect(stuck.length, stuck.join('; ')).toBeLessThan(left.length / 20);
    await page.getByRole('button', { name: /^Save/ }).click();
    await page.waitForURL(new RegExp(`/engines/${id}$`));
    await visit(page, `/engines/${id}/edit`);
    let at = '';
    for (const { tab, nth, label, reads } of left) {
      if (tab !== at) await page.getByRole('tab', { name: tab }).click();
      at = tab;
      expect.soft(await reading(fieldsOf(page.getByRole('tabpanel')).nth(nth)), `${tab}: ${label}`).toBe(reads);
    }
  });
