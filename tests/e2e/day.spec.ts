import ICAL from 'ical.js';
import { patterns } from '../../src/core/engine';
import { type Entry, fold } from '../../src/core/log';
import { timeOrderedId } from '../../src/core/log/id';
import { compose } from '../../src/core/procedure';
import { psi } from '../../src/core/units';
import { wholeSheet } from './day-sheet';
import { expect, test } from './loopback';
import { alive, comeInAs, ownClock, visit } from './people';

/** The last eleven o'clock that was an hour ago: what is made on a device lies in the past, or the server does not believe its clock. */
function eleven(): number {
  const day = new Date(Date.now() - 3.6e6);
  if (day.getUTCHours() < 11) day.setUTCDate(day.getUTCDate() - 1);
  return day.setUTCHours(11, 0, 0, 0);
}
const minute = 60_000;
const clock = (ms: number) => new Date(ms).toISOString().slice(11, 16);
const minutesOf = (text: string) => Number(text.slice(0, 2)) * 60 + Number(text.slice(3, 5));

test('Marsh Hen for an 11:00 train: moved to 10:30, into a calendar, begun from the plan, slow on the way, and when the train will be', async ({
  page
}) => {
  const at = eleven();
  await ownClock(page, at - 150 * minute);
  await comeInAs(page, 'idony');
  const { fitOut } = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!;
  const engine = await (await page.request.post('/api/engines', { data: { ...fitOut, name: 'Marsh Hen' } })).json();
  const form = { kind: 'Boiler certificate', number: 'DE-1', issued: '2026-01-02', expires: '2099-01-01' };
  await page.request.post(`/engines/${engine.id}?/paper`, { form, headers: { origin: new URL(page.url()).origin } });

  // Planned on the engine's page; a time that has passed is refused with a sentence.
  await visit(page, `/engines/${engine.id}`);
  await page.getByRole('button', { name: 'Plan a steaming' }).click();
  await page.getByLabel('Wanted in steam').fill('2020-06-13T11:00');
  await page.getByRole('button', { name: 'Make the day sheet' }).click();
  await expect(page.getByRole('alert')).toContainText('That time has passed');
  const made = await (
    await page.request.post(`/api/engines/${engine.id}/plans`, {
      data: {
        purpose: 'Public running',
        plan: { wants: [{ what: 'first train', at: new Date(at).toISOString() }], people: [{ name: 'Idony Marlpit', as: 'keeper' }] }
      }
    })
  ).json();

  await visit(page, `/day/${made.id}`);
  const title = page.locator('header.block');
  await expect(title).toContainText(/10:5[5-9]|11:00/);
  await wholeSheet(page);
  const times = () => page.locator('#steps tbody tr:not(.moment) td.at').allInnerTexts();
  const before = await times();
  expect(before.length).toBeGreaterThan(40);

  // Dragged half an hour earlier along the line, by keys; every step follows.
  const want = page.getByRole('slider', { name: /^Wanted: first train/ });
  await want.focus();
  await page.keyboard.press('PageDown');
  await expect(want).toHaveAttribute('aria-valuetext', '10:30');
  await expect.poll(async () => (await times()).map((t, i) => minutesOf(before[i]!) - minutesOf(t))).toEqual(before.map(() => 30));
  const after = await times();
  // And by hand: a quarter of an hour along, and back.
  const box = (await want.locator('.hold').boundingBox())!;
  const perMinute = await page.evaluate(() => {
    const marks = [...document.querySelectorAll<SVGTextElement>('figure text.time')].map(
      (t) => [t.textContent!, Number(t.getAttribute('x'))] as const
    );
    const minutes = (t: string) => Number(t.slice(0, 2)) * 60 + Number(t.slice(3, 5));
    return (marks[1]![1] - marks[0]![1]) / (minutes(marks[1]![0]) - minutes(marks[0]![0]));
  });
  await page.mouse.move(box.x + box.width / 2, box.y + 60);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 15 * perMinute, box.y + 60, { steps: 5 });
  await expect(want).toHaveAttribute('aria-valuetext', '10:45');
  await page.mouse.up();
  await want.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowLeft');
  await expect(want).toHaveAttribute('aria-valuetext', '10:30');

  // A step given longer pushes what is before it; a plan that cannot be says why.
  const papers = page.getByRole('spinbutton', { name: /^Minutes for: Papers/ });
  await papers.fill('20');
  await papers.press('Enter');
  await expect.poll(async () => minutesOf((await times())[0]!)).toBeLessThan(minutesOf(after[0]!) - 10);
  await papers.fill('');
  await papers.press('Enter');
  await expect.poll(times).toEqual(after);
  await page.clock.fastForward(2000);
  await expect(page.getByText('saved', { exact: true })).toBeVisible();

  // The calendar, read by somebody else's library.
  const file = await page.request.get(`/day/${made.id}/sheet.ics`);
  const events = new ICAL.Component(ICAL.parse(await file.text()))
    .getAllSubcomponents('vevent')
    .map((e) => ({ of: new ICAL.Event(e), alarms: e.getAllSubcomponents('valarm').length }));
  const event = (words: RegExp) => events.find(({ of }) => words.test(of.summary))!;
  const lightAt = /Light\s*(\d\d:\d\d)/i.exec(await title.innerText())![1];
  expect(
    clock(
      event(/: light$/)
        .of.startDate.toJSDate()
        .getTime()
    )
  ).toBe(lightAt);
  expect(event(/: light$/).alarms).toBe(2);
  expect(
    event(/first train/)
      .of.startDate.toJSDate()
      .getTime()
  ).toBe(at - 30 * minute);
  const pdf = await page.request.get(`/day/${made.id}/sheet.pdf`);
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');

  // Begun from the plan.
  await page.getByRole('button', { name: 'Start steaming' }).click();
  await page.waitForURL(new RegExp(`/footplate/${made.id}`));
  await alive(page);

  // All is done as it should be until the match, which is on time; then the needle is slow.
  const procedure = compose(fitOut);
  const match = procedure.steps.findIndex((s) => s.act === 'light');
  const lit = event(/: light$/)
    .of.startDate.toJSDate()
    .getTime();
  let n = 0;
  const entry = (time: number, kind: Entry['kind'], body: unknown) =>
    ({
      id: timeOrderedId(
        time,
        Uint8Array.from({ length: 10 }, () => ++n % 250)
      ),
      at: new Date(time).toISOString(),
      kind,
      body,
      source: 'person'
    }) as unknown as Entry;
  const entries = [
    entry(lit - 12 * minute, 'reading', { glass: 0.38, glassAt: 0 }),
    ...procedure.steps
      .slice(0, match)
      .map((s, i) => entry(lit - 10 * minute + i * 1000, 'tick', { step: s.key, outcome: 'done', initials: 'IM' })),
    entry(lit, 'tick', { step: procedure.steps[match]!.key, outcome: 'done' }),
    ...procedure.steps
      .slice(match + 1)
      .filter((s) => s.phase === 'Light up')
      .map((s, i) => entry(lit + minute + i * 1000, 'tick', { step: s.key, outcome: 'done' }))
  ];
  expect(fold({ fitOut, procedure, keeper: 'Idony Marlpit' }, entries).state.fire.litAt).toBeTruthy();
  const post = async (list: readonly Entry[]) =>
    expect((await page.request.post(`/api/steamings/${made.id}/entries`, { data: { entries: list } })).status()).toBe(200);
  await post(entries);
  const ahead = page.getByLabel('What is ahead');
  await page.clock.fastForward(lit + 12 * minute - (await page.evaluate(() => Date.now())));
  await post([entry(lit + 11 * minute, 'reading', { pressure: 0 })]);
  await expect(ahead).toContainText('At pressure');
  const middle = async () => minutesOf(/At pressure\s*(\d\d:\d\d)/i.exec(await page.locator('header.block').innerText())![1]!);
  const onTime = await middle();

  await page.clock.fastForward(33 * minute);
  // Half an hour later it has only come to where it should have been long before.
  await post([
    entry(lit + 30 * minute, 'reading', { pressure: 0 }),
    entry(lit + 37 * minute, 'reading', { pressure: psi(1) }),
    entry(lit + 44 * minute, 'reading', { pressure: psi(6) })
  ]);
  await expect(ahead).toContainText('4 readings');
  await expect(ahead).toContainText(/\d+ min behind; /);
  const words = (await ahead.innerText()).replace(/\s+/g, ' ');
  const train = /First train (\d\d:\d\d) \(wanted 10:30\)/.exec(words)?.[1];
  expect(train, words).toBeTruthy();
  const behind = Number(/(\d+) min behind/.exec(words)![1]);
  expect(Math.abs(minutesOf(train!) - (10 * 60 + 30 + behind))).toBeLessThanOrEqual(1);
  expect(await middle(), words).toBeGreaterThan(onTime + 5);
  await expect(page.locator('header.block')).toContainText(/\d\d:\d\d \(\d\d:\d\d–(\d\d:\d\d|\?)\)/);
});

test('a pair that does not exist is refused on the sheet with its arithmetic', async ({ page }) => {
  await comeInAs(page, 'idony');
  const { fitOut } = patterns.find((p) => p.fitOut.name === 'Water Rail')!;
  const engine = await (await page.request.post('/api/engines', { data: { ...fitOut, name: 'Dry Rail', fill: 12e-6 } })).json();
  const plan = {
    wants: [{ what: 'school', at: new Date(Date.now() + 5 * 3.6e6).toISOString() }],
    // Somebody whom no other test's sheet counts on: a keeper of two engines at once is late for one.
    people: [{ name: 'Hob Withy', as: 'keeper' }]
  };
  const made = await (await page.request.post(`/api/engines/${engine.id}/plans`, { data: { plan } })).json();
  await visit(page, `/day/${made.id}`);
  const fuel = page.getByRole('region', { name: 'Runs' });
  await expect(fuel).toContainText('must stand over the hottest metal');
  await fuel.locator('summary').click();
  await expect(fuel).toContainText('may boil away');
});

test('a past raising can be left out of what an engine has shown, and counted again', async ({ page }) => {
  await comeInAs(page, 'wenna');
  await page.getByRole('link', { name: 'Snipe', exact: true }).first().click();
  const steams = page.getByRole('region', { name: 'How this engine steams' });
  await expect(steams.locator('table.each tbody tr').first()).toBeVisible();
  const from = () => steams.getByText(/^From \d+ raising/).innerText();
  const had = await from();
  await steams.getByRole('button', { name: 'leave it out' }).first().click();
  await expect.poll(from).not.toBe(had);
  await steams.getByRole('button', { name: 'count it again' }).click();
  await expect.poll(from).toBe(had);
  // Its model brought up with one thing otherwise: more water takes longer.
  const moves = page.getByRole('region', { name: 'What moves a raise' });
  await expect(moves.getByRole('row', { name: /a fifth more water \d+ min \+\d+ %/ })).toBeVisible();
});
