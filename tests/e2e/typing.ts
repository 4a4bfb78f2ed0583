import type { Locator, Page } from '@playwright/test';
import { expect } from './loopback';

/** What a hand types into a field, and how the field reads it back. */
export interface Typed {
  readonly label: string | RegExp;
  readonly type: string;
  /** What the field says after a reload; as typed when left out. */
  readonly reads?: string;
  /** Which of several fields of that label, from 0. */
  readonly nth?: number;
}

const field = (form: Locator, { label, nth = 0 }: Typed) =>
  form.getByLabel(label, typeof label === 'string' ? { exact: true } : {}).nth(nth);

/** Types into fields the way a hand does: the field is emptied, typed into key by key, and left. */
export async function typeInto(form: Locator, typed: readonly Typed[]) {
  // A hand waits until what opens and closes has come to rest: a dialog that has closed gives the focus back at its end.
  await form.page().evaluate(() => Promise.allSettled(document.getAnimations().map((a) => a.finished)));
  for (const t of typed) {
    const at = field(form, t);
    const tag = await at.evaluate((e) => `${e.tagName.toLowerCase()}:${e.getAttribute('type') ?? ''}`);
    if (tag.startsWith('select')) await at.selectOption({ label: t.type });
    else if (tag === 'input:checkbox') await at.check();
    else if (/:(date|time|datetime-local)$/.test(tag)) {
      await at.fill(t.type);
    } else {
      await at.fill('');
      await at.pressSequentially(t.type);
    }
    await at.press('Tab');
  }
}

/** Reads every field back. */
export async function readBack(form: Locator, typed: readonly Typed[]) {
  for (const t of typed) {
    const at = field(form, t);
    if ((await at.evaluate((e) => e.tagName)) === 'SELECT')
      await expect.poll(() => at.evaluate((e: HTMLSelectElement) => e.selectedOptions[0]?.label), `${t.label}`).toBe(t.reads ?? t.type);
    else await expect(at, `${t.label}`).toHaveValue(t.reads ?? t.type);
  }
}

/** Labels of the fields of a form that a test has not typed into: a new field must come with its test. */
export async function untyped(page: Page, form: Locator, typed: readonly Typed[]): Promise<string[]> {
  for (const t of typed) await field(form, t).evaluate((e) => e.setAttribute('data-typed', ''));
  return form
    .locator('input:not([data-typed]):not([type=hidden]), select:not([data-typed]), textarea:not([data-typed])')
    .evaluateAll((list) =>
      list
        .filter((e) => (e as HTMLElement).offsetParent !== null)
        .map((e) => e.getAttribute('aria-label') ?? (e as HTMLInputElement).labels?.[0]?.innerText ?? e.outerHTML)
    );
}
