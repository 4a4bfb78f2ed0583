// The web server around the built application: plain http, so that a phone on the club's own network can sign in; https with a
// certificate of its own, or behind a proxy that is named as one.
import { createServer } from 'node:http';
import { createServer as createSecure } from 'node:https';
import { readFileSync, watchFile } from 'node:fs';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { root } from './app.mjs';
import { Stop } from './say.mjs';

/**
 * On every answer, whoever makes it: a page, a file, an error, or nothing at all. A page's own content policy takes the place of this one;
 * that of a worker's file is the worker's: the one that keeps the application on the device fetches it. */
const secure = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=(), payment=()',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'content-security-policy': "default-src 'self'; object-src 'none'; base-uri 'none'; frame-ancestors 'none'"
};
const overHttps = { 'strict-transport-security': 'max-age=31536000' };
/** What a proxy says of whom it speaks for. From anybody else it is not believed. */
const saidByProxy = ['x-forwarded-proto', 'x-forwarded-for', 'x-forwarded-host', 'x-forwarded-port', 'forwarded'];

/** @typedef {{ cert: string, key: string }} Certificate files in PEM */

/** @param {Certificate} files */
function certificate({ cert, key }) {
  const read = (/** @type {string} */ flag, /** @type {string} */ file) => {
    try {
      return readFileSync(file);
    } catch (error) {
      throw new Stop(`${flag} ${file} cannot be read: ${/** @type {Error} */ (error).message}.`);
    }
  };
  return { cert: read('--tls-cert', cert), key: read('--tls-key', key) };
}

/**
 * @param {{ host: string, port: number, databaseUrl: string, tls?: Certificate | undefined, proxy?: boolean }} options
 *   proxy: requests come through a proxy of ours, which says by which protocol and for whom
 * @returns {Promise<() => Promise<void>>} closes it
 */
export async function serve({ host, port, databaseUrl, tls, proxy = false }) {
  Object.assign(process.env, {
    NODE_ENV: 'production',
    JORAM_APP_DATABASE_URL: databaseUrl,
    PROTOCOL_HEADER: 'x-forwarded-proto',
    // A record is the longest thing that is taken; everything else is held to less where it is read.
    BODY_SIZE_LIMIT: '32M',
    JORAM_JOBS: join(root, 'build/jobs/worker.js'),
    ...(proxy ? { ADDRESS_HEADER: 'x-forwarded-for', XFF_DEPTH: '1' } : {})
  });
  const { handler } = await import(join(root, 'build/handler.js'));
  // Loaded here and not above: this file is read before the packages are installed.
  const { default: compression } = await import('compression');
  const pack = compression({
    filter: (_, response) => /^(text\/(html|css|csv|plain|calendar)|application\/json)/.test(String(response.getHeader('content-type')))
  });
  /** @type {import('node:http').RequestListener} */
  const answer = (request, response) => {
    const own = tls ? 'https' : 'http';
    if (!proxy) for (const name of saidByProxy) delete request.headers[name];
    // adapter-node takes a request without this header for https and then refuses every form sent over plain http.
    const protocol = (request.headers['x-forwarded-proto'] ??= own);
    // A proxy that names nobody speaks for itself.
    if (proxy) request.headers['x-forwarded-for'] ??= request.socket.remoteAddress ?? '';
    for (const [name, value] of Object.entries(protocol === 'https' ? { ...secure, ...overHttps } : secure))
      response.setHeader(name, value);
    const handled = () => handler(request, response, () => response.writeHead(404).end());
    // Pages and data are packed for a thin line at the field; the answer to an entry is a word, and the live feed goes as it comes.
    if (request.method !== 'GET' || request.url?.startsWith('/api/live')) return handled();
    pack(/** @type {never} */ (request), /** @type {never} */ (response), handled);
  };
  let server;
  if (tls) {
    try {
      server = createSecure({ ...certificate(tls), minVersion: 'TLSv1.2' }, answer);
    } catch (error) {
      if (error instanceof Stop) throw error;
      throw new Stop(
        `The certificate and the key do not serve: ${/** @type {Error} */ (error).message}. Both are PEM, and belong together.`
      );
    }
    const kept = server;
    // A certificate is renewed every few weeks by a program of its own: the next connection has the new one.
    watchFile(tls.cert, { interval: 60_000 }, () => {
      try {
        kept.setSecureContext(certificate(tls));
      } catch {
        // It is being written, or is not good: what there was goes on serving.
      }
    }).unref();
  } else server = createServer(answer);
  await new Promise((done, fail) => {
    server.once('error', (error) => {
      const code = /** @type {NodeJS.ErrnoException} */ (error).code;
      if (code === 'EADDRINUSE') fail(new Stop(`Port ${port} is taken by another program: stop it, or choose another with --port.`));
      else if (code === 'EACCES') fail(new Stop(`Port ${port} may not be opened by this user: choose one above 1023 with --port.`));
      else if (code === 'EADDRNOTAVAIL' || code === 'ENOTFOUND')
        fail(new Stop(`This machine has no address ${host}: give another with --host.`));
      else fail(error);
    });
    server.listen(port, host, () => done(undefined));
  });
  return () =>
    new Promise((done) => {
      // @ts-expect-error SvelteKit's own event, by which the application ends its live feeds and database connections
      process.emit('sveltekit:shutdown', 'stop');
      server.close(() => done());
      setTimeout(() => server.closeAllConnections(), 300).unref();
    });
}

/** Says early, before the long work, that the port cannot be had. @param {string} host @param {number} port */
export function portIsFree(host, port) {
  return new Promise((done, fail) => {
    const probe = createServer();
    probe.once('error', (error) =>
      fail(
        /** @type {NodeJS.ErrnoException} */ (error).code === 'EADDRINUSE'
          ? new Stop(`Port ${port} is taken by another program: stop it, or choose another with --port.`)
          : new Stop(`Port ${port} on ${host} cannot be opened: ${error.message}.`)
      )
    );
    probe.listen(port, host, () => probe.close(() => done(undefined)));
  });
}

/** Where a browser finds it: each address of this machine when it listens on all. */
export const addresses = (/** @type {string} */ host, /** @type {number} */ port, protocol = 'http') =>
  (['0.0.0.0', '::'].includes(host)
    ? [
        '127.0.0.1',
        ...Object.values(networkInterfaces()).flatMap((list) =>
          (list ?? []).filter((a) => a.family === 'IPv4' && !a.internal).map((a) => a.address)
        )
      ]
    : [host]
  ).map((address) => `${protocol}://${address}:${port}`);
