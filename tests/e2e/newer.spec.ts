import http from 'node:http';
import type { AddressInfo } from 'node:net';
import { alive, comeInAs, visit } from './people';
import { expect, test } from './loopback';
import { patterns } from '../../src/core/engine';
import { say } from './foot';

test.use({ serviceWorkers: 'allow' });

/** The same server, which at a word has a new version: its worker is another. */
async function inFront(url: string) {
  let newer = false;
  let sweeps = false;
  const { hostname, port } = new URL(url);
  const server = http.createServer((request, response) => {
    // The last page that a worker asks for to be kept: on a slow network it is long under way.
    if (request.url === '/bench/__data.json') return void (sweeps = true);
    // Asked for whole: what has not changed comes without a body.
    const { 'if-none-match': _, ...headers } = request.headers;
    const asked = http.request(
      { hostname, port, path: request.url, method: request.method, headers: { ...headers, 'accept-encoding': 'identity' } },
      (answer) => {
        if (request.url !== '/service-worker.js' || !newer) {
          response.writeHead(answer.statusCode!, answer.headers);
          answer.pipe(response);
          return;
        }
        const parts: Buffer[] = [];
        answer.on('data', (part: Buffer) => parts.push(part));
        answer.on('end', () => {
          const text = Buffer.concat(parts)
            .toString()
            .replace(/\b\d{13}\b/g, (version) => String(Number(version) + 1));
          response.writeHead(200, { 'content-type': 'text/javascript' });
          response.end(text);
        });
      }
    );
    asked.on('error', () => response.destroy());
    response.on('close', () => asked.destroy());
    request.pipe(asked);
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    makeNewer: () => (newer = true),
    sweeps: () => sweeps,
    close: () => {
      server.closeAllConnections();
      server.close();
    }
  };
}

test('a new version takes nothing away from a running Footplate, and is offered when the fire is out', async ({ browser, baseURL }) => {
  const front = await inFront(baseURL!);
  const context = await browser.newContext({ serviceWorkers: 'allow', baseURL: front.url });
  const page = await context.newPage();
  await comeInAs(page, 'idony');
  const { fitOut } = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!;
  const made = await page.request.post('/api/engines', { data: { ...fitOut, name: `Weir Hen ${Date.now()}` } });
  const begun = await page.request.post(`/api/engines/${((await made.json()) as { id: string }).id}/steamings`, {
    data: { reason: 'a test' }
  });
  await visit(page, `/footplate/${((await begun.json()) as { id: string }).id}`);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.reload();
  await alive(page);
  await say(page, 'already lit');
  front.makeNewer();
  await page.evaluate(async () => (await navigator.serviceWorker.ready).update());
  const waits = () => page.evaluate(async () => (await navigator.serviceWorker.ready).waiting !== null);
  await expect.poll(waits).toBe(true);
  await expect.poll(front.sweeps, { timeout: 90_000 }).toBe(true);
  const shells = () => page.evaluate(async () => (await caches.keys()).filter((key) => key.startsWith('joram-shell-')).length);
  expect(await shells()).toBe(2);
  await expect(page.getByText('A new version of Joram')).toHaveCount(0);
  // What the page has not loaded yet comes from what it was opened with, without a network.
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Watch', exact: true }).click();
  await expect(page.getByRole('dialog').getByText('On this device')).toBeVisible();
  await page.keyboard.press('Escape');
  await context.setOffline(false);
  await say(page, 'fire out');
  await expect(page.getByText('A new version of Joram')).toBeVisible();
  // It does not wait for the one before to have kept what it was asked to.
  await page.getByRole('button', { name: 'Use it now' }).click();
  await expect.poll(() => waits().catch(() => true)).toBe(false);
  await alive(page);
  await expect(page.getByText('A new version of Joram')).toHaveCount(0);
  // The one before stays for another window.
  expect(await shells()).toBe(2);
  await context.close();
  front.close();
});
