import { expect, type Page } from '@playwright/test';
import { pointAt } from './people';

/** How many cards were read and touches made, readings among them: so far, and when it first moved. */
export interface Counted {
  readonly seen: Set<string>;
  touches: number;
  moving?: { cards: number; touches: number };
}
export const counter = (): Counted => ({ seen: new Set(), touches: 0 });

/** Does what NOW asks for, whatever it is, as a hand would: one touch for a round, a reading by pointing or by quick line, a lift, a wait. */
export async function doNow(page: Page, counted: Counted = counter()) {
  const now = page.locator('article.now');
  const heading = await now.locator('h2').innerText();
  const touch = async (does: Promise<unknown>, touches = 1, card = true) => {
    if (card) counted.seen.add(heading);
    counted.touches += touches;
    await does;
    if (/move off gently|Set it to work/.test(heading)) counted.moving ??= { cards: counted.seen.size, touches: counted.touches };
  };
  /** Points at the scale where the needle stands, in its own unit. */
  const needle = async (value: number) => {
    const scale = page.locator('.readings .scale').first();
    const [box, top] = [(await scale.boundingBox())!, Number(await scale.getAttribute('aria-valuemax'))];
    const edge = 12;
    await scale.click({ position: { x: box.width / 2, y: box.height - edge - (value / top) * (box.height - 2 * edge) } });
  };
  const line = async (text: string) => {
    await page.locator('#quick-line').fill(text);
    await page.keyboard.press('Enter');
  };
  // A number is given where it is asked for.
  const warm = now.getByLabel(/How warm the water is/);
  if ((await warm.count()) && !(await warm.inputValue())) {
    counted.touches++;
    await warm.fill('12');
  }
  const done = now.locator('button.done.go');
  if ((await done.count()) && (await done.isEnabled())) return touch(done.click());
  const gate = (await now.locator('.gate').first().innerText()).replace(/\u2009/g, ' ');
  const pressure = Number(/(?:opens at|fallen to) (\d+)/.exec(gate)?.[1]);
  if (/Log the glass|Look again|fill to/.test(gate)) return touch(pointAt(page, '.readings .glass', 0.45));
  if (/Log the temperature/.test(gate)) return touch(line('12c'), 2);
  // The second valve is held shut by the first: why is written down, and not to be left empty.
  if (/Valve 2 has not been seen to lift/.test(gate)) {
    await now.getByRole('button', { name: 'Not all seen' }).click();
    await expect(now.getByRole('button', { name: 'Done, with that' })).toBeDisabled();
    await now.getByLabel(/Why was not all of it seen/).fill('the first holds it shut');
    await touch(now.getByRole('button', { name: 'Done, with that' }).click(), 3);
    return expect(page.locator('.entries')).toContainText('See each safety valve lift and reseat. The first holds it shut');
  }
  if (/Log the lift/.test(gate)) {
    // The needle at the lift is read, and then the lift is said.
    const set = /Set at (\d+)/.exec((await now.innerText()).replace(/\u2009/g, ' '))![1]!;
    await touch(needle(Number(set)));
    return touch(now.locator('.lifts button').first().click());
  }
  if (/seen to lift|shuts again/.test(gate)) return touch(now.locator('.lifts button').first().click());
  const rest = now.getByRole('button', { name: 'It stands at nothing' });
  if (await rest.count()) return touch(rest.click());
  if (/Log the pressure/.test(gate)) return touch(pointAt(page, '.readings .scale', 0.1));
  // A step that waits is not read as a card: what is logged is the reading that it waits for.
  if (/opens at/.test(gate)) return touch(needle(pressure), 1, false);
  if (/fallen to/.test(gate)) return touch(needle(Math.max(0, pressure - 1)), 1, false);
  // A fault that carries nobody is not clicked away: it runs without them.
  if (/Not with passengers/.test(gate)) {
    await now.getByRole('button', { name: 'Skip' }).click();
    return touch(now.getByRole('button', { name: 'Not needed today' }).click(), 2);
  }
  // A duty that has come round is kept: the glass by pointing, the water by saying where it goes.
  if (/^due /.test(gate) && /glass/.test(heading)) return touch(pointAt(page, '.readings .glass', 0.45), 1, false);
  if (/^due /.test(gate) && /Where the water goes/.test(heading))
    return touch(
      page
        .getByRole('group', { name: /water goes to/ })
        .getByRole('button', { name: 'tank' })
        .click(),
      1,
      false
    );
  if (/running ends/.test(gate)) return touch(now.getByRole('button', { name: 'The running ends' }).click());
  if (/opens in/.test(gate)) return page.clock.fastForward('01:10');
  throw new Error(`NOW asks for something unforeseen: ${heading}: ${gate}`);
}
