// The pages on a phone that is slow: run by `./joram bench phone`. What an outside judge gives them, and how long it takes until the
// Footplate takes a reading and has it, with the processor slowed to a quarter and a network of 1.6 Mbit/s and 150 ms.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import lighthouse from 'lighthouse';
import { launchOptions, signInAs } from '../tools/browser';

const url = process.env.JORAM_URL!;
const port = 9377;
const profile = mkdtempSync(path.join(tmpdir(), 'joram-phone-'));
const aims = { performance: 90, accessibility: 100, 'best-practices': 95 } as const;
type Judged = keyof typeof aims;
/**
 * How fast the judge takes this machine to be. It calls one of 1000 about half of what its slowing to a quarter is meant for (its own
 * `environment.js`); 1500 is the strict side of that. A slower machine slowed as much is a slower phone than it means. So each page is judged twice, slowed to a quarter and by as much as makes that phone of this machine.
 */
let machine = 0;
const meantFor = 1500;
const phone = { viewport: { width: 390, height: 844 }, deviceScaleFactor: 2, isMobile: true, hasTouch: true };

async function slowly(page: Page, work: () => Promise<void>) {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  await cdp.send('Network.emulateNetworkConditions', { offline: false, latency: 150, downloadThroughput: 2e5, uploadThroughput: 94e3 });
  await work();
  await cdp.detach();
}

const context = await chromium.launchPersistentContext(profile, {
  ...launchOptions,
  ...phone,
  args: [...launchOptions.args, `--remote-debugging-port=${port}`]
});
try {
  const page = context.pages()[0]!;
  await signInAs(page, url, 'wenna');
  await page.goto(`${url}/`);
  // What the worker keeps is asked for at rest, of a server that is elsewhere: here it shares the processor.
  await page.waitForFunction(async () => (await (await caches.open('joram-pages')).match('/bench/__data.json')) !== undefined, undefined, {
    timeout: 60_000
  });
  const path_ = async (start: string) => (await page.locator(`a[href^="${start}"]`).first().getAttribute('href'))!;
  const footplate = await path_('/footplate/');
  const sheet = await path_('/day/');
  console.log(
    '| page | slowed | performance | accessibility | best practices | first paint | largest | blocked | moves |\n|---|---|---|---|---|---|---|---|---|'
  );
  for (const [name, at] of [
    ['Footplate', footplate],
    ['Yard', '/'],
    ['Day sheet', sheet]
  ] as const)
    for (const as of ['as it is', 'as the phone'] as const) {
      const slowed = as === 'as it is' ? 4 : Math.max(1, (4 * machine) / meantFor);
      const run = await lighthouse(`${url}${at}`, {
        port,
        disableStorageReset: true,
        logLevel: 'error',
        onlyCategories: Object.keys(aims),
        throttling: { rttMs: 150, throughputKbps: 1638.4, cpuSlowdownMultiplier: slowed }
      });
      const { categories, audits, environment } = run!.lhr;
      machine = environment.benchmarkIndex;
      const score = (key: Judged) => {
        const is = Math.round((categories[key]?.score ?? 0) * 100);
        return is >= aims[key] ? `${is}` : `${is} (aim ${aims[key]})`;
      };
      const shown = (key: string) => audits[key]?.displayValue ?? '';
      console.log(
        `| ${name} | ${slowed.toFixed(1)} × | ${score('performance')} | ${score('accessibility')} | ${score('best-practices')} | ${shown('first-contentful-paint')} | ${shown('largest-contentful-paint')} | ${shown('total-blocking-time')} | ${shown('cumulative-layout-shift')} |`
      );
      for (const key of Object.keys(aims) as Judged[])
        for (const { id } of categories[key]?.auditRefs ?? []) {
          const audit = audits[id]!;
          if (key !== 'performance' && audit.score !== null && audit.score < 1) console.log(`  ${name}, ${key}: ${audit.title}`);
        }
    }
  console.log(`\nThe judge’s own measure of this machine: ${Math.round(machine)}.`);
  const taken: { opened: number; reading: number }[] = [];
  for (let i = 0; i < 5; i++) {
    // Each with an empty device.
    const fresh = await chromium.launch(launchOptions);
    const own = await fresh.newContext({ ...phone, serviceWorkers: 'block', storageState: await context.storageState() });
    const tab = await own.newPage();
    await slowly(tab, async () => {
      const from = performance.now();
      await tab.goto(`${url}${footplate}`, { waitUntil: 'commit' });
      await tab.locator('html[data-live]').waitFor();
      const opened = performance.now() - from;
      const scale = tab.locator('.readings .scale').first();
      const box = (await scale.boundingBox())!;
      const touched = performance.now();
      await scale.click({ position: { x: box.width / 2, y: box.height * (0.35 + 0.02 * i) } });
      await tab.getByRole('button', { name: /^Undo/ }).first().waitFor();
      taken.push({ opened, reading: performance.now() - touched });
    });
    await fresh.close();
  }
  const middle = (of: 'opened' | 'reading') => Math.round(taken.map((t) => t[of]).sort((a, b) => a - b)[2]!);
  console.log(
    `\nFootplate on a slow phone, nothing kept, the middle of five: answers to touch after ${middle('opened')} ms; a reading is in ${middle('reading')} ms after the touch.`
  );
} finally {
  await context.close();
  rmSync(profile, { recursive: true, force: true });
}
