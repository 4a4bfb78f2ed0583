import { spawn } from 'node:child_process';
import postgres from 'postgres';
import { ensureDatabase, migrate } from '../../tools/migrate.mjs';

/** Another process of the built application, on any database. */
export async function anotherProcess(
  databaseUrl: string,
  env: Record<string, string> = {}
): Promise<{ url: string; pid: number; stop: () => Promise<unknown>; kill: () => Promise<unknown> }> {
  const child = spawn(process.execPath, ['tests/unit/another-process.mjs'], {
    env: { ...process.env, JORAM_PATIENCE: '1000', ...env, JORAM_TEST_SERVE_URL: databaseUrl },
    stdio: ['ignore', 'pipe', 'inherit']
  });
  const ended = new Promise((done) => child.once('exit', done));
  const port = await new Promise<string>((done, fail) => {
    child.stdout.on('data', (text: Buffer) => /port (\d+)/.test(String(text)) && done(/port (\d+)/.exec(String(text))![1]!));
    child.once('exit', (code) => fail(new Error(`the process ended with ${code}`)));
  });
  return {
    url: `${env.JORAM_TEST_TLS ? 'https' : 'http'}://127.0.0.1:${port}`,
    pid: child.pid!,
    stop: () => {
      child.kill('SIGTERM');
      return ended;
    },
    /** As a power cut would. */
    kill: () => {
      child.kill('SIGKILL');
      return ended;
    }
  };
}

const [adminUrl, appUrl] = [process.env.JORAM_TEST_ADMIN_URL, process.env.JORAM_TEST_APP_URL];
/** Whether there is a server to make databases on. */
export const hasServer = Boolean(adminUrl && appUrl);

/** An empty database of its own, and a process that serves it. */
export async function emptyBook(name: string, env: Record<string, string> = {}, on = { admin: adminUrl!, app: appUrl! }) {
  const of = (url: string) => Object.assign(new URL(url), { pathname: `/${name}_${process.pid}` }).href;
  await ensureDatabase(on.admin, `${name}_${process.pid}`);
  await migrate(of(on.admin), new URL(on.app).password);
  let app = await anotherProcess(of(on.app), env);
  return {
    admin: of(on.admin),
    serving: of(on.app),
    get url() {
      return app.url;
    },
    get pid() {
      return app.pid;
    },
    async restart() {
      await app.stop();
      app = await anotherProcess(of(on.app), env);
    },
    /** Killed in the middle of what it did, and there again. */
    async killed() {
      await app.kill();
      app = await anotherProcess(of(on.app), env);
    },
    stop: () => app.stop(),
    async drop() {
      await app.stop();
      const sql = postgres(on.admin, { max: 1, onnotice: () => {} });
      await sql.unsafe(`drop database if exists ${name}_${process.pid} with (force)`);
      await sql.end();
    }
  };
}

/** Whoever founds the club of an empty book, and what they send. */
export async function founded(of: { readonly url: string }) {
  const founder = { club: 'Sedge Lode', zone: 'UTC', name: 'Ansel Rushby', signIn: 'ansel', password: 'three dry words' };
  const answer = await fetch(`${of.url}/first-run`, {
    method: 'POST',
    redirect: 'manual',
    headers: { origin: of.url, 'content-type': 'application/x-www-form-urlencoded' },
    body: new URLSearchParams(founder)
  });
  const cookie = answer.headers.get('set-cookie')!.split(';')[0]!;
  // The book may be at another address by then: it was killed.
  const post = (path: string, body: unknown) =>
    fetch(`${of.url}${path}`, {
      method: 'POST',
      headers: { cookie, 'content-type': 'application/json' },
      body: typeof body === 'string' ? body : JSON.stringify(body)
    });
  const made = async (path: string, body: unknown) => ((await (await post(path, body)).json()) as { id: string }).id;
  return { cookie, post, made };
}

/** Events of a Server-Sent Events feed, as they come. */
export async function feed(url: string, headers: Record<string, string>) {
  const stop = new AbortController();
  const response = await fetch(url, { headers, signal: stop.signal });
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  let text = '';
  async function found(match: (block: string) => boolean, ms: number): Promise<{ id: string; data: string; waited: number }> {
    const from = Date.now();
    for (;;) {
      for (const block of text.split('\n\n').slice(0, -1))
        if (match(block))
          return { id: /^id: (.*)$/m.exec(block)?.[1] ?? '', data: /^data: (.*)$/m.exec(block)![1]!, waited: Date.now() - from };
      const left = ms - (Date.now() - from);
      const next = await Promise.race([reader.read(), new Promise<undefined>((done) => setTimeout(done, Math.max(0, left)))]);
      if (!next || next.done) throw new Error(`nothing that matches came within ${ms} ms; so far: ${text.slice(-500)}`);
      text += next.value;
    }
  }
  return {
    status: response.status,
    /** Waits for an event whose data matches; gives back its id and data. */
    until: (match: (data: string) => boolean, ms = 5000) => found((block) => match(/^data: (.*)$/m.exec(block)?.[1] ?? ''), ms),
    /** Waits for the next event of a name. */
    untilEvent: (name: string, ms = 5000) => found((block) => block.includes(`event: ${name}\n`), ms),
    stop: () => stop.abort()
  };
}
