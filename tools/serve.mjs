// The web server around the built application: plain http, so that a phone on the club's own network can sign in,
// and behind a proxy whatever protocol the proxy says in X-Forwarded-Proto.
import { createServer } from 'node:http';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { root } from './app.mjs';
import { Stop } from './say.mjs';

/**
 * @param {{ host: string, port: number, databaseUrl: string }} options
 * @returns {Promise<() => Promise<void>>} closes it
 */
export async function serve({ host, port, databaseUrl }) {
  Object.assign(process.env, {
    NODE_ENV: 'production',
    JORAM_APP_DATABASE_URL: databaseUrl,
    PROTOCOL_HEADER: 'x-forwarded-proto',
    BODY_SIZE_LIMIT: '8M'
  });
  const { handler } = await import(join(root, 'build/handler.js'));
  // Loaded here and not above: this file is read before the packages are installed.
  const { default: compression } = await import('compression');
  const pack = compression({
    filter: (_, response) => /^(text\/(html|css|csv|plain|calendar)|application\/json)/.test(String(response.getHeader('content-type')))
  });
  const server = createServer((request, response) => {
    // adapter-node takes a request without this header for https and then refuses every form sent over plain http.
    request.headers['x-forwarded-proto'] ??= 'http';
    // Pages and data are packed for a thin line at the field; the live feed is let through as it comes.
    pack(/** @type {never} */ (request), /** @type {never} */ (response), () =>
      handler(request, response, () => response.writeHead(404).end())
    );
  });
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
export const addresses = (/** @type {string} */ host, /** @type {number} */ port) =>
  (['0.0.0.0', '::'].includes(host)
    ? [
        '127.0.0.1',
        ...Object.values(networkInterfaces()).flatMap((list) =>
          (list ?? []).filter((a) => a.family === 'IPv4' && !a.internal).map((a) => a.address)
        )
      ]
    : [host]
  ).map((address) => `http://${address}:${port}`);
