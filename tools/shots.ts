// Remakes docs/screenshots from the demo data. Names given as arguments limit it to those pictures.
import type { Page } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { resolve } from 'node:path';
import { tell } from '../demo/story';
import { type Condition, fittingsOf } from '../src/core/commission';
import { patterns } from '../src/core/engine';
import { psi } from '../src/core/units';
import { launch, signInAs } from './browser';

const url = process.env.JORAM_URL;
if (!url) throw new Error('JORAM_URL is not set: run ./joram shots.');
const folder = resolve(process.env.JORAM_SHOTS ?? 'docs/screenshots');
mkdirSync(folder, { recursive: true });

const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };
type Shot = { name: string; as?: string; at?: typeof desk; theme?: string; whole?: boolean; go: (page: Page) => Promise<unknown> };

const open = (path: string) => (page: Page) => page.goto(`${url}${path}`, { waitUntil: 'networkidle' });
const engine = (name: string) => async (page: Page) => {
  await open('/')(page);
  await page.getByRole('link', { name, exact: true }).first().click();
  await page.waitForURL(/\/engines\//);
};
const footplate = async (page: Page) => {
  await open('/')(page);
  await page.locator('li', { hasText: 'Marsh Hen' }).getByRole('link', { name: 'Footplate' }).click();
  // On a phone the trend comes when somebody scrolls to it.
  if (page.viewportSize()!.width > 1000) await page.locator('.trend svg').first().waitFor();
  else await page.locator('.readings .glass').first().waitFor();
};
/** Little Bittern, half-way up: started now, with the entries of a morning moved to end now. */
const raising = async (page: Page) => {
  await engine('Little Bittern')(page);
  const id = page.url().split('/').at(-1)!;
  const fitOut = patterns.find((p) => p.fitOut.name === 'Little Bittern')!.fitOut;
  const day = { seed: 9, keeper: 'Jory Quillfeather', begins: 0, running: 10 };
  const changeover = tell(fitOut, day).entries.find((e) => e.kind === 'reading' && (e.body.pressure ?? 0) >= psi(32))!;
  const begins = Date.now() - 20_000 - Date.parse(changeover.at);
  const log = tell(fitOut, { ...day, begins, until: Date.now() - 15_000 });
  const headers = { 'content-type': 'application/json' };
  // It was wanted a little earlier than it will be ready: the plan stands behind what is read.
  const wants = [{ what: 'first train', at: new Date(Date.now() + 25 * 60_000).toISOString() }];
  const people = [{ name: 'Jory Quillfeather', as: 'keeper', from: null }];
  await page.request.post(`${url}/api/engines/${id}/plans`, { headers, data: { purpose: 'Evening run', plan: { wants, people } } });
  const started = await (
    await page.request.post(`${url}/api/engines/${id}/steamings`, { headers, data: { purpose: 'Evening run' } })
  ).json();
  await page.request.post(`${url}/api/steamings/${started.id}/entries`, { headers, data: { entries: log.entries } });
  // The live feed stays open: a Footplate is never idle.
  await page.goto(`${url}/footplate/${started.id}`);
  await page.locator('.trend svg').first().waitFor();
};
const record = (name: string) => async (page: Page) => {
  await engine(name)(page);
  await page.locator('table.last a').first().click();
  await page.locator('.a4').waitFor();
  await page.locator('.trend svg').first().waitFor();
};

/** A chassis that has been on air and on another boiler's steam, as hands tell it: with a cylinder that was mended and a lever that must come off. */
const built = async (page: Page) => {
  await open('/')(page);
  const post = async (path: string, data: object) => (await page.request.post(`${url}${path}`, { data })).json();
  const fitOut = patterns.find((p) => p.fitOut.name === 'Snipe')!.fitOut;
  const { id } = await post('/api/engines', { ...fitOut, name: 'Sedge Wren', description: '0-4-0 side tank' });
  await page.request.post(`${url}/build/${id}?/begun`, { form: { has: 'chassis' }, headers: { origin: url } });
  const chassis = fittingsOf(fitOut).filter((f) => f.of === 'chassis');
  const cells = (where: Condition) =>
    chassis.filter((f) => f.in.includes(where)).map((f): [string, object] => ['cell', { item: f.name, in: where, result: 'good' }]);
  const session = async (occasion: string, said: [string, object][]) => {
    const { id: steaming } = await post(`/api/engines/${id}/steamings`, { occasion });
    const from = Date.now() - 1000;
    const bodies: [string, object][] = [...said, ['sign', { as: 'keeper', name: 'Wenna Thrale' }]];
    const entries = bodies.map(([kind, body], i) => ({ id: randomUUID(), kind, at: new Date(from + i).toISOString(), body }));
    const { refused } = await post(`/api/steamings/${steaming}/entries`, { entries });
    if (refused?.length) throw new Error(JSON.stringify(refused));
  };
  await session('air', [
    ['thing', { thing: 'air hose', open: true }],
    ...cells('cold'),
    ['cell', { item: 'Cylinder 2', in: 'air', result: 'not good', text: 'blows past the piston' }],
    ...cells('air').map(([kind, body]): [string, object] => [kind, { ...body, since: 'ring renewed' }]),
    ['measured', { what: 'starts at', pressure: psi(6) }],
    ['thing', { thing: 'air hose', open: false }]
  ]);
  await session('borrowed', [
    ['rig', { part: 'borrowed steam', on: true, of: 'Old Scoop', for: 1500 }],
    ['rig', { part: 'lever', which: 'on the whistle', on: true, for: 6 * 3600 }],
    ...cells('steam').slice(0, -1),
    ['reading', { pressure: psi(30) }],
    ['sweep', { place: 'Gland of cylinder 1', at: psi(30), is: 'weeps' }],
    ['reading', { pressure: 0 }],
    ['rig', { part: 'borrowed steam', on: false }]
  ]);
  await open(`/build/${id}`)(page);
};

/** The day sheet of a planned engine, once its worker has been asked. */
const daySheet = (name: string) => async (page: Page) => {
  await open('/')(page);
  await page.locator('li', { hasText: name }).getByRole('link', { name: 'Day sheet' }).click();
  await page.locator('.steps table').waitFor();
};
const tomorrow = new Date(Date.now() + 864e5).toISOString().slice(0, 10);

const shots: readonly Shot[] = [
  { name: 'yard', as: 'wenna', go: open('/') },
  { name: 'yard-phone', as: 'wenna', at: phone, go: open('/') },
  { name: 'engine', as: 'wenna', go: engine('Little Bittern') },
  {
    name: 'fit-out',
    as: 'wenna',
    go: async (page) => {
      await engine('Little Bittern')(page);
      await page.getByRole('link', { name: 'Change the fit-out' }).click();
      await page.locator('form.fit-out').waitFor();
    }
  },
  { name: 'day-sheet', as: 'corrin', go: daySheet('Peat Presser') },
  { name: 'day-sheet-phone', as: 'corrin', at: phone, go: daySheet('Peat Presser') },
  { name: 'day', as: 'jory', go: open(`/day?on=${tomorrow}`) },
  {
    name: 'steams',
    as: 'wenna',
    go: async (page) => {
      await engine('Little Bittern')(page);
      await page.locator('.steams table.each').waitFor();
      await page.locator('.steams').scrollIntoViewIfNeeded();
      await page.evaluate(() => document.querySelector('.steams')!.scrollIntoView({ block: 'start' }));
    }
  },
  { name: 'footplate', as: 'wenna', go: footplate },
  { name: 'footplate-phone', as: 'wenna', at: phone, go: footplate },
  { name: 'footplate-lamp', as: 'wenna', theme: 'lamp', go: footplate },
  { name: 'footplate-sun-phone', as: 'wenna', at: phone, theme: 'sun', go: footplate },
  {
    name: 'low-water',
    as: 'wenna',
    at: phone,
    go: async (page) => {
      await footplate(page);
      await page.getByRole('button', { name: 'LOW WATER' }).click();
    }
  },
  { name: 'record', as: 'wenna', whole: true, go: record('Little Bittern') },
  { name: 'logbook', as: 'wenna', go: open('/logbook') },
  {
    name: 'fault',
    as: 'corrin',
    whole: true,
    go: async (page) => {
      await open('/faults')(page);
      await page.getByRole('link', { name: 'Right injector knocks off below 50 psi' }).click();
      await page.locator('article.first').waitFor();
    }
  },
  { name: 'build', as: 'wenna', whole: true, go: built },
  { name: 'bench', as: 'wenna', go: open('/bench/power') },
  // Last, because it lights an engine.
  { name: 'raising', as: 'jory', go: raising }
];

const wanted = process.argv.slice(2);
const browser = await launch();
for (const shot of shots.filter((s) => wanted.length === 0 || wanted.includes(s.name))) {
  const context = await browser.newContext({
    viewport: shot.at ?? desk,
    reducedMotion: 'reduce',
    hasTouch: shot.at === phone,
    timezoneId: 'UTC'
  });
  if (shot.theme) await context.addCookies([{ name: 'joram-theme', value: shot.theme, url }]);
  const page = await context.newPage();
  if (shot.as) await signInAs(page, url, shot.as);
  await shot.go(page);
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(300);
  await page.screenshot({ path: resolve(folder, `${shot.name}.png`), fullPage: shot.whole ?? false });
  console.log(shot.name);
  await context.close();
}
await browser.close();
