import { createHash, randomUUID } from 'node:crypto';
import { writeFile } from 'node:fs/promises';
import { type Browser, expect, type Page, test } from '@playwright/test';
import { type Condition, conditions, fittingsOf, registerOf } from '../../src/core/commission';
import { type FitOut, patterns } from '../../src/core/engine';
import { desk, doneCold, logged, phone, say, until } from './foot';
import { section, touch as press } from './fault-page';
import { allActions, comeInAs, openFoot, ownClock, visit } from './people';

/** An engine on its way, as hands bring it: on air, on another boiler’s steam, its boiler tested and lit for the first time, run in and released. */

const { fitOut } = patterns.find((p) => p.fitOut.name === 'Snipe')!;
const bodyOf = (called: string): FitOut => ({ ...fitOut, name: called, description: '0-4-0 side tank' });

async function foot(page: Page, dialog: string) {
  await openFoot(page);
  await page.getByRole('button', { name: dialog }).last().click();
  return page.getByRole('dialog');
}
const shut = (page: Page) => page.keyboard.press('Escape');

async function session(page: Page, engine: string, occasion: string) {
  await visit(page, `/engines/${engine}`);
  await page.getByRole('button', { name: 'Start a session' }).click();
  await page.getByLabel('Occasion').selectOption(occasion);
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.waitForURL(/\/footplate\//);
  await page.locator('html[data-live]').waitFor();
}
/** Touches a cell of the open matrix. */
async function touch(page: Page, item: string, c: Condition, result: 'Good' | 'Not good', more: { seen?: string; since?: string } = {}) {
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('button', { name: new RegExp(`^${item}, ${conditions[c]}: `) }).click();
  if (more.seen) await sheet.getByLabel(/^What was seen/).fill(more.seen);
  if (more.since) await sheet.getByLabel('What was done since').fill(more.since);
  await sheet.getByRole('button', { name: result, exact: true }).click();
}
async function sign(page: Page) {
  await foot(page, 'Sign and close');
  await page.getByRole('dialog').getByRole('button', { name: /^Sign/ }).click();
  await page.waitForURL(/\/records\//);
}
/** Walks past every spot of the drawing on one walk: dry, but for what is said. */
async function walk(page: Page, which: string, leaks: Record<string, string> = {}) {
  const sheet = await foot(page, 'Leak sweep');
  await sheet.getByRole('button', { name: which, exact: true }).click();
  for (const spot of await sheet.locator('.drawn button').all()) {
    await spot.click();
    for (const [place, is] of Object.entries(leaks)) {
      const row = sheet.locator('.place', { has: page.getByText(place, { exact: true }) });
      if (await row.count()) await row.getByRole('button', { name: is, exact: true }).click();
    }
    const all = sheet.getByRole('button', { name: /^All \d+ dry$/ });
    if (await all.count()) await all.click();
    else
      for (const row of await sheet.locator('.place', { hasText: 'left|not looked at' }).all())
        await row.getByRole('button', { name: 'dry', exact: true }).click();
    for (const row of await sheet.locator('.place').all()) {
      if (!(await row.locator('.plain[aria-pressed="true"]').count())) await row.getByRole('button', { name: 'dry', exact: true }).click();
    }
  }
  await expect(sheet).toContainText('Every place has been looked at on this walk.');
  return sheet;
}
const stage = (page: Page, name: string) => page.locator('.stages > li', { has: page.getByRole('heading', { name }) });

async function hydraulic(browser: Browser, page: Page, engine: string) {
  await visit(page, `/proof/new/hydraulic?engine=${engine}`);
  const type = async (label: string, text: string) => page.getByLabel(label, { exact: true }).fill(text);
  await page.getByLabel('Which', { exact: true }).selectOption('new, or after a repair');
  await type('Pumped up to', '160 psi');
  await type('Read at the end', '160 psi');
  await type('Gauge read to, either way', '1 psi');
  await type('Which gauge, and when it was compared', 'Club test gauge, May');
  await type('Shut off and held for', '20 min');
  await page.getByRole('button', { name: 'Keep the worksheet' }).click();
  await page.waitForURL(/\/proof\/[\w-]{36}$/);
  const at = page.url();
  await expect(page.locator('.verdict')).toContainText('Within the rules');
  const context = await browser.newContext(desk);
  const hesper = await context.newPage();
  await comeInAs(hesper, 'hesper');
  await visit(hesper, new URL(at).pathname);
  await hesper.getByLabel('What was witnessed, and what is left to do').fill('Seen, dry all round');
  await hesper.getByRole('button', { name: 'Sign as the boiler examiner' }).click();
  await expect(hesper.locator('header.block')).toContainText('Hesper');
  return { context, hesper };
}

test('a chassis becomes an engine: each stage by its evidence, and nothing before it', async ({ browser }) => {
  test.setTimeout(240_000);
  const context = await browser.newContext(desk);
  const page = await context.newPage();
  await comeInAs(page, 'wenna');
  const called = `Sedge ${Date.now() % 1e6}`;
  const { id } = (await (await page.request.post('/api/engines', { data: bodyOf(called) })).json()) as { id: string };
  await visit(page, `/build/${id}`);
  await page.getByRole('button', { name: 'Begin its build' }).click();
  await expect(stage(page, 'On air')).toContainText('No signed session on air.');

  // What a later stage asks for is not begun before it.
  await visit(page, `/engines/${id}`);
  await page.getByRole('button', { name: 'Start a session' }).click();
  const start = page.getByRole('dialog');
  await start.getByLabel('Occasion').selectOption('first');
  await expect(start).toContainText('Build, boiler hydraulic: No hydraulic worksheet since the build began.');
  await shut(page);

  // On air: a cell is judged where there is air, and said otherwise only with what was done.
  await session(page, id, 'air');
  await expect(page.locator('header.block')).toContainText('On air');
  await foot(page, 'Matrix');
  await touch(page, 'Regulator', 'air', 'Good');
  await expect(page.getByRole('dialog')).toContainText('There is no air on it');
  await touch(page, 'Regulator', 'cold', 'Good');
  await shut(page);
  const chassis = fittingsOf(bodyOf(called)).filter((f) => f.of === 'chassis');
  await until(page, /^Every control moved, cold/, (is) => doneCold(page, is));
  await page.locator('article.now').getByRole('button', { name: 'Matrix' }).click();
  for (const f of chassis.filter((f) => f.in.includes('cold') && f.name !== 'Regulator')) await touch(page, f.name, 'cold', 'Good');
  await shut(page);
  // What the matrix shows is not asked.
  await until(page, /^Air hose on/, (is) => doneCold(page, is));
  await page.locator('article.now button.done.go').click();
  await expect(page.locator('body')).toContainText('air hose connected');
  await foot(page, 'Matrix');
  for (const f of chassis.filter((f) => f.in.includes('air')))
    await touch(
      page,
      f.name,
      'air',
      f.name === 'Cylinder 2' ? 'Not good' : 'Good',
      f.name === 'Cylinder 2' ? { seen: 'blows past the piston' } : {}
    );
  await touch(page, 'Cylinder 2', 'air', 'Good');
  await expect(page.getByRole('dialog')).toContainText('Cylinder 2 was found not good on air by Wenna Thrale: say what was done since');
  await page.getByRole('dialog').getByLabel('What was done since').fill('new ring fitted');
  await page.getByRole('dialog').getByRole('button', { name: 'Good', exact: true }).click();
  await expect(page.getByRole('dialog').getByRole('button', { name: 'Cylinder 2, on air: good' })).toBeVisible();
  await shut(page);
  // The air comes off before it is left.
  await foot(page, 'Sign and close');
  await expect(page.getByRole('dialog')).toContainText('The air hose is still on.');
  await shut(page);
  await page.locator('.chips').getByRole('button', { name: 'air hose connected' }).click();
  await sign(page);
  await expect(page.locator('article')).toContainText('Since: new ring fitted');
  await visit(page, `/build/${id}`);
  await expect(stage(page, 'On air')).toContainText('passed');

  // On borrowed steam: a boiler that is in the book, an end, and off before it is left.
  await session(page, id, 'borrowed');
  const rigs = await foot(page, 'Rig');
  await rigs.getByLabel('Whose boiler').fill('Old Scoop');
  await rigs.getByRole('button', { name: 'Put on' }).click();
  await expect(rigs).toContainText('Say by when it must be off again');
  await rigs.getByLabel('Its water lasts').fill('25 min');
  await rigs.getByRole('button', { name: 'Put on' }).click();
  await expect(rigs).toContainText('hose to another boiler, Old Scoop');
  await rigs.getByLabel('What is put on').selectOption('lever');
  await rigs.getByLabel('Where, or what of it').fill('on the whistle');
  await rigs.getByLabel('Off again after').fill('6 h');
  await rigs.getByRole('button', { name: 'Put on' }).click();
  await expect(rigs).toContainText('temporary lever on the whistle');
  await shut(page);
  await foot(page, 'Matrix');
  for (const f of chassis.filter((f) => f.in.includes('steam'))) await touch(page, f.name, 'steam', 'Good');
  await shut(page);
  await foot(page, 'Sign and close');
  await expect(page.getByRole('dialog')).toContainText('The hose to another boiler, Old Scoop is still on: off before it is left.');
  await shut(page);
  await foot(page, 'Rig, 2 on');
  await rigs.locator('.on', { hasText: 'Old Scoop' }).getByRole('button', { name: 'Off again' }).click();
  await shut(page);
  await sign(page);
  await expect(page.locator('article')).toContainText('temporary lever on the whistle');

  const { context: theirs, hesper } = await hydraulic(browser, page, id);
  await visit(page, `/build/${id}`);
  await expect(stage(page, 'Boiler hydraulic')).toContainText('passed');
  await expect(page.locator('body')).toContainText('On, and must come off: temporary lever on the whistle');

  // The first fire, with a clock of its own.
  const own = await browser.newContext(desk);
  const first = await own.newPage();
  await ownClock(first, Date.now() - 2 * 3600_000);
  await comeInAs(first, 'wenna');
  await session(first, id, 'first');
  await walk(first, 'cold');
  await shut(first);
  await say(first, 'already lit');
  const sheet = await foot(first, 'Leak sweep');
  await sheet.getByRole('button', { name: 'at 30 psi' }).click();
  await expect(sheet).toContainText('Log the needle first');
  await shut(first);
  await say(first, '31');
  await walk(first, 'at 30 psi', { 'Gauge union': 'weeps', 'Tube ends at the fire': 'weeps' });
  await shut(first);
  await first.clock.fastForward(8 * 60_000);
  await say(first, '52');
  await walk(first, 'at 50 psi', { 'Gauge union': 'weeps', 'Tube ends at the fire': 'drips' });
  await expect(sheet).toContainText(/Tube ends at the fire: dry cold, weeps at 30\spsi, drips at 50\spsi: grows. It means stop/);
  await first.screenshot({ path: 'test-results/sweep.png' });
  // What means stop is a fault, written where it is; the walk at working pressure waits for the needle.
  await sheet.getByRole('button', { name: /^tubes at the fire/ }).click();
  await sheet.getByRole('button', { name: 'More' }).first().click();
  await sheet.getByRole('button', { name: 'Write a fault' }).click();
  await shut(first);
  await first.clock.fastForward(5 * 60_000);
  await say(first, 'fire out');
  await first.clock.fastForward(30 * 60_000);
  await say(first, '0');
  await foot(first, 'Matrix');
  for (const f of fittingsOf(bodyOf(called)).filter((f) => f.of === 'boiler' && f.in.includes('cold')))
    await touch(first, f.name, 'cold', 'Good');
  await touch(first, 'Whistle', 'steam', 'Good');
  await expect(first.getByRole('dialog')).toContainText('There is no steam in it');
  await shut(first);
  await sign(first);
  await expect(first.locator('article')).toContainText('It means stop');
  await first.screenshot({ path: 'test-results/record.png', fullPage: true });
  await visit(page, `/build/${id}`);
  await expect(stage(page, 'Boiler first steaming')).toContainText('Tube ends at the fire');

  // Mended, and its retest said; a pressure part, so that the examiner clears it under their own name.
  await visit(page, `/faults?engine=${id}`);
  await page.locator('tr', { hasText: 'Tube ends at the fire' }).getByRole('link', { name: 'Find and mend' }).click();
  await page.waitForURL(/\/faults\/[\w-]{36}/);
  await page.locator('html[data-live]').waitFor();
  await expect(page.locator('body')).toContainText(/Tube ends at the fire, at 50\spsi/);
  const mended = section(page, 'Mended');
  await mended.getByLabel('What was done').fill('Three ends expanded again');
  await mended.getByLabel('How it is seen to be mended').fill('Dry at working pressure on the sweep');
  await mended.getByLabel('A pressure part was worked on').check();
  await press(page, mended.getByRole('button', { name: 'It is mended' }));
  const faultAt = new URL(page.url()).pathname;
  await visit(hesper, faultAt);
  await section(hesper, 'Mended').getByLabel('What was examined, and how').fill('Ends seen, pumped to 160 psi again, dry');
  await press(hesper, hesper.getByRole('button', { name: 'Clear it as the boiler examiner' }));

  // Taken apart in the cold, and so to be swept anew.
  await session(first, id, 'tube sweep');
  const cold = await foot(first, 'Leak sweep');
  await cold.getByRole('button', { name: /^tubes at the fire/ }).click();
  await cold.getByRole('button', { name: 'More' }).click();
  await cold.getByRole('button', { name: 'Taken apart since' }).click();
  await shut(first);
  await sign(first);
  await visit(page, `/build/${id}`);
  await expect(page.locator('.beside')).not.toContainText('It means stop');

  // The second fire begins with what the first left; swept to working pressure, its accumulation run live.
  const again = first;
  await session(again, id, 'first');
  await expect(again.locator('body')).toContainText('Whistle, in steam: untested');
  await say(again, 'already lit');
  for (const read of ['31', '55', '78 1/2']) {
    await say(again, read);
    await again.clock.fastForward(8 * 60_000);
  }
  await say(again, '78 1/2');
  await walk(again, 'at working pressure');
  await shut(again);
  await foot(again, 'Matrix');
  for (const f of fittingsOf(bodyOf(called)).filter((f) => f.of === 'boiler' && f.in.includes('steam')))
    await touch(again, f.name, 'steam', 'Good');
  await shut(again);
  const test_ = await foot(again, 'Accumulation test');
  for (const word of ['Bright and even', 'Blower full open', 'Regulator shut']) await test_.getByRole('button', { name: word }).click();
  await test_.getByLabel('By which rule').fill('Osier Fen boiler code, 7.2');
  await test_.getByLabel('Allowed over working pressure, %').fill('10');
  await test_.getByLabel('For how long').fill('3 min');
  await test_.getByLabel('Gauge read to, either way').fill('1 psi');
  await test_.getByRole('button', { name: 'Begin the test' }).click();
  await say(again, 'lifts at 80');
  for (const read of ['81', '83', '82']) {
    await again.clock.fastForward(58_000);
    await say(again, read);
  }
  await again.clock.fastForward(10_000);
  await again.locator('.strip.accumulation').getByRole('button', { name: 'End the test' }).click();
  await say(again, 'fire out');
  await again.clock.fastForward(40 * 60_000);
  await say(again, '0');
  await sign(again);
  await expect(again.locator('article')).toContainText('Stayed under by the arithmetic');
  await visit(page, `/build/${id}`);
  await expect(stage(page, 'Boiler first steaming')).toContainText('passed');
  await expect(stage(page, 'Engine in steam')).toContainText('passed');

  // What was mended holds: said where it was written.
  await visit(page, faultAt);
  await section(page, 'Mended').getByLabel('What was seen').fill('Dry at working pressure');
  await press(page, section(page, 'Mended').getByRole('button', { name: 'It holds' }));

  // Run in, told by a program: the rules are the same.
  const runs = async (cells: boolean) => {
    const { id: s } = await (await page.request.post(`/api/engines/${id}/steamings`, { data: { purpose: 'running in' } })).json();
    const load = fittingsOf(bodyOf(called)).filter((f) => f.in.includes('load'));
    const bodies: [string, object][] = [
      ['fire', { act: 'light', already: true }],
      ['reading', { pressure: 5e5 }],
      ['phase', { phase: 'Run' }],
      ...(cells ? load.map((f): [string, object] => ['cell', { item: f.name, in: 'load', result: 'good' }]) : []),
      ['rig', { part: 'lever', which: 'on the whistle', on: false }],
      ['fire', { act: 'out' }],
      ['reading', { pressure: 0 }],
      ['sign', { as: 'keeper', name: 'Wenna Thrale' }]
    ];
    const from = Date.now() - 1000;
    const entries = bodies.map(([kind, body], i) => ({ id: randomUUID(), kind, at: new Date(from + i).toISOString(), body }));
    const answer = await (await page.request.post(`/api/steamings/${s}/entries`, { data: { entries } })).json();
    return answer.refused as { field: string; sentence: string }[];
  };
  expect(await runs(true)).toEqual([]);
  // It is off: it is not taken off twice.
  expect(await runs(false)).toMatchObject([{ field: 'entries.3.body.part' }]);
  await visit(hesper, `/build/${id}`);
  await hesper.getByLabel('What was witnessed, and what is left to do').fill('Seen in steam twice');
  await hesper.getByRole('button', { name: /^Release it/ }).click();
  await expect(hesper.locator('.problem')).toContainText('Not yet: ticketed: No boiler certificate in date');
  await visit(hesper, `/engines/${id}`);
  await hesper.getByRole('button', { name: 'Add a paper' }).click();
  const papers = hesper.getByRole('dialog');
  await papers.getByLabel('Kind').selectOption({ index: 0 });
  await papers.getByLabel('Issued').fill('1 Dec 2026');
  await papers.getByLabel('Runs out').fill('30 Nov 2027');
  await papers.getByRole('button', { name: 'Add it' }).click();
  await visit(hesper, `/build/${id}`);
  await hesper.getByLabel('What was witnessed, and what is left to do').fill('Seen in steam twice');
  await hesper.getByRole('button', { name: /^Release it/ }).click();
  await expect(hesper.locator('body')).toContainText('Released: Seen in steam twice');
  await visit(page, `/engines/${id}`);
  await expect(page.locator('header.block')).not.toContainText('Being built');
  await context.close();
  await own.close();
  await theirs.close();
});

/** A picture as a camera makes one: with where it was taken in it. */
async function photographed(page: Page): Promise<Buffer> {
  const drawn = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [2400, 1800];
    const pen = canvas.getContext('2d')!;
    for (let i = 0; i < 400; i++) {
      pen.fillStyle = `hsl(${i * 37}deg 60% 50%)`;
      pen.fillRect((i % 20) * 120, Math.floor(i / 20) * 90, 120, 90);
    }
    return canvas.toDataURL('image/jpeg', 0.95).split(',')[1]!;
  });
  const plain = Buffer.from(drawn, 'base64');
  const exif = Buffer.from('Exif\0\0GPS 52.1 N 0.4 E', 'latin1');
  const segment = Buffer.concat([Buffer.from([0xff, 0xe1, 0, exif.length + 2]), exif]);
  return Buffer.concat([plain.subarray(0, 2), segment, plain.subarray(2)]);
}

test('without a network: a fault with its photo and a sweep, kept over a reload, delivered once', async ({ browser }) => {
  const context = await browser.newContext({ ...phone, serviceWorkers: 'allow' });
  const page = await context.newPage();
  await comeInAs(page, 'wenna');
  const called = `Reedling ${Date.now() % 1e6}`;
  const { id } = (await (await page.request.post('/api/engines', { data: bodyOf(called) })).json()) as { id: string };
  const { id: s } = await (await page.request.post(`/api/engines/${id}/steamings`, { data: { reason: 'a test of hands' } })).json();
  await visit(page, `/footplate/${s}`);
  // At rest, so that what is asked for without a network is there.
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.reload();
  await page.locator('html[data-live]').waitFor();
  await page.waitForTimeout(6000);
  const picture = await photographed(page);
  await context.setOffline(true);
  await say(page, '31');
  await allActions(page);
  await page.getByRole('button', { name: 'Fault', exact: true }).click();
  await page.getByLabel('Where on the engine').selectOption('Gauge union');
  const file = page.locator('.fault input[type="file"]');
  await file.setInputFiles({ name: 'list.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') });
  await expect(page.locator('.fault')).toContainText('“list.txt” is no picture');
  const large = test.info().outputPath('large.jpg');
  await writeFile(large, Buffer.alloc(40 * 1024 * 1024));
  await file.setInputFiles(large);
  await expect(page.locator('.fault')).toContainText('“large.jpg” has 40 MB: choose one of at most 30 MB');
  await file.setInputFiles({ name: 'union.jpg', mimeType: 'image/jpeg', buffer: picture });
  await expect(page.locator('.fault')).toContainText('one photo');
  await page.getByLabel('The fault in your own words').fill('weeps at the gauge');
  await page.getByRole('button', { name: 'Log fault' }).click();
  await logged(page, 'Photo: weeps at the gauge');
  await walk(page, 'at 30 psi', { 'Gauge union': 'weeps' });
  await shut(page);
  await page.reload();
  await page.locator('html[data-live]').waitFor();
  await logged(page, 'dry at 30');
  await context.setOffline(false);
  await page.evaluate(() => dispatchEvent(new Event('online')));
  type Told = { kind: string; body: { sum?: string; place?: string; pressure?: number } };
  const told = async () => ((await (await page.request.get(`/api/steamings/${s}`)).json()) as { entries: Told[] }).entries;
  const places = registerOf(bodyOf(called)).length;
  await expect.poll(async () => (await told()).filter((e) => e.kind === 'sweep').length).toBe(places);
  const all = await told();
  expect(all.filter((e) => e.kind === 'fault').map((e) => e.body.place)).toEqual(['Gauge union']);
  const [photo] = all.filter((e) => e.kind === 'photo');
  const kept = await (await page.request.get(`/api/photos/${photo!.body.sum}`)).body();
  expect(kept.length).toBeLessThan(700_000);
  expect(kept.includes('Exif') || kept.includes('GPS')).toBe(false);
  await visit(page, `/faults?engine=${id}`);
  await page.locator('tr', { hasText: 'weeps at the gauge' }).getByRole('link', { name: 'Find and mend' }).click();
  await page.waitForURL(/\/faults\/[\w-]{36}/);
  await expect(page.locator('body')).toContainText(/Gauge union, at 31\spsi/);
  await expect.poll(() => page.locator('figure img').evaluate((i: HTMLImageElement) => i.naturalWidth)).toBe(1600);
  // Nothing is held against the picture of a fault.
  await visit(page, `/build/${id}`);
  await expect(page.getByRole('region', { name: 'Pictures of places' })).toHaveCount(0);
  // What tells where it was taken, what is none, and what is not its sum are refused.
  const put = async (sum: string, data: Buffer) =>
    (await page.request.put(`/api/photos/${sum}`, { data, headers: { 'content-type': 'image/jpeg' } })).status();
  const sumOf = (b: Buffer) => createHash('sha256').update(b).digest('hex');
  expect(await put(sumOf(picture), picture)).toBe(400);
  expect(await put(sumOf(Buffer.from('none')), Buffer.from('none'))).toBe(400);
  expect(await put(sumOf(Buffer.from('other')), kept)).toBe(409);
  expect(await put(sumOf(kept), kept)).toBe(200);
  await context.close();
});

for (const [name, options] of [
  ['a desk', desk],
  ['a phone', phone]
] as const)
  test(`${name}: a place of one’s own, taken apart and swept anew; a stage left out and a build ended, each field typed and read back`, async ({
    browser
  }) => {
    const context = await browser.newContext(options);
    const page = await context.newPage();
    await comeInAs(page, 'wenna');
    const called = `Smew ${name} ${Date.now() % 1e6}`;
    const { id } = (await (await page.request.post('/api/engines', { data: bodyOf(called) })).json()) as { id: string };
    await visit(page, `/build/${id}`);
    await page.getByLabel('What there is of it').selectOption('a plant in parts');
    await page.getByRole('button', { name: 'Begin its build' }).click();
    await expect(page.locator('body')).toContainText('Begun: a plant in parts');
    await page.getByText('Leave this stage out').click();
    await page.getByRole('button', { name: 'Leave it out' }).click();
    await expect(page.locator('.problem')).toContainText('Say why: it stays in the build’s log.');
    await page.getByLabel('Why it is left out').fill('No compressor on the fen');
    await page.getByRole('button', { name: 'Leave it out' }).click();
    await expect(stage(page, 'On air')).toContainText('Left out: No compressor on the fen (Wenna Thrale)');
    await page.reload();
    await expect(stage(page, 'On air')).toContainText('left out');

    await session(page, id, 'return');
    const sheet = await foot(page, 'Leak sweep');
    await sheet.getByText('A place that is not on the list').click();
    await sheet.getByLabel('What it is called').fill('Lubricator pipe');
    await sheet.getByLabel('What it is', { exact: true }).selectOption('union');
    await sheet.getByRole('button', { name: 'It weeps' }).click();
    await expect(sheet).toContainText('Lubricator pipe: weeps cold');
    await shut(page);
    await page.reload();
    await page.locator('html[data-live]').waitFor();
    await foot(page, 'Leak sweep');
    await sheet.getByRole('button', { name: /^top of the shell/ }).click();
    const place = sheet.locator('.place', { hasText: 'Lubricator pipe' });
    await expect(place).toContainText('weeps cold');
    await place.getByRole('button', { name: 'More' }).click();
    await place.getByRole('button', { name: 'Taken apart since' }).click();
    await expect(place).toContainText('not looked at');
    await place.getByRole('button', { name: 'dry', exact: true }).click();
    await expect(place).toContainText('dry cold');
    await place.getByRole('button', { name: 'More' }).click();
    await expect(place).toContainText('Photo to hold it against');
    await place.locator('input[type=file]').setInputFiles({ name: 'pipe.png', mimeType: 'image/png', buffer: await page.screenshot() });
    await expect(place).toContainText('As it was');
    await shut(page);
    await sign(page);

    // The next session holds the place against it, until it is taken apart.
    await session(page, id, 'return');
    await foot(page, 'Leak sweep');
    await sheet.getByRole('button', { name: /^top of the shell/ }).click();
    await place.getByText('As it was').first().click();
    await expect(place).toContainText('dry cold; Wenna Thrale');
    await expect.poll(() => place.locator('img').evaluate((i: HTMLImageElement) => i.naturalWidth)).toBeGreaterThan(300);
    await place.getByRole('button', { name: 'More' }).click();
    await place.getByRole('button', { name: 'drips', exact: true }).click();
    await place.getByRole('button', { name: 'Write a fault' }).click();
    await shut(page);
    await sign(page);
    await visit(page, `/faults?engine=${id}`);
    await page.getByRole('link', { name: 'Find and mend' }).click();
    await expect(page.getByRole('region', { name: 'Where it is' })).toContainText('dry cold; Wenna Thrale');

    await visit(page, `/build/${id}`);
    await expect(page.getByRole('region', { name: 'Pictures of places' })).toContainText('Lubricator pipe, as it was');
    await page.getByText('End this build without a release').click();
    await page.getByLabel('Why', { exact: true }).fill('Sold as it is');
    await page.getByRole('button', { name: 'End it' }).click();
    await expect(page.locator('body')).toContainText('Ended without a release: Sold as it is');
    await page.reload();
    await expect(page.locator('body')).toContainText('Ended without a release: Sold as it is');
    await expect(page.locator('body')).toContainText('Return to service');
    await context.close();
  });
