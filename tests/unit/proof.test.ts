import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strToU8, unzipSync, zipSync } from 'fflate';
import postgres from 'postgres';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { patterns } from '../../src/core/engine';
import { emptyBook, hasServer } from './process';

/** Worksheets and signatures, kept as a chain: refused where they should be, and any byte that is changed is named by `joram verify`. */
describe.skipIf(!hasServer)('worksheets', () => {
  let book: Awaited<ReturnType<typeof emptyBook>>;
  let sql: postgres.Sql;
  let engine = '';
  const folder = mkdtempSync(join(tmpdir(), 'joram-proof-'));
  const cookies = new Map<string, string>();
  const form = (who: string, path: string, fields: Record<string, string>) =>
    fetch(`${book.url}${path}`, {
      method: 'POST',
      redirect: 'manual',
      headers: {
        cookie: cookies.get(who) ?? '',
        accept: 'application/json',
        origin: book.url,
        'content-type': 'application/x-www-form-urlencoded'
      },
      body: new URLSearchParams(fields).toString()
    });
  const verify = (...args: string[]) => {
    const { status, stdout, stderr } = spawnSync('./joram', ['verify', ...args], {
      encoding: 'utf8',
      env: { ...process.env, JORAM_DATABASE_URL: book.admin, JORAM_APP_DATABASE_URL: book.serving },
      timeout: 55_000
    });
    return { status, said: stdout + stderr };
  };
  const psi = (x: number) => x * 6894.757;
  const wp = patterns[0]!.fitOut.workingPressure;
  const hydraulic = (change: object = {}) => ({
    which: 'first',
    reached: 2 * wp,
    held: 1200,
    after: 2 * wp,
    error: psi(2),
    gauge: 'Test gauge',
    weeps: '',
    ...change
  });
  const keep = async (who: string, written: object) =>
    (await form(who, `/proof/new/hydraulic?/keep&engine=${engine}`, { written: JSON.stringify(written) })).text();

  beforeAll(async () => {
    book = await emptyBook('joram_proof');
    sql = postgres(book.admin, { max: 1, onnotice: () => {} });
    const password = 'three dry words';
    const cookieOf = (answer: Response) => answer.headers.get('set-cookie')!.split(';')[0]!;
    cookies.set(
      'owner',
      cookieOf(await form('', '/first-run', { club: 'Sedge Lode', zone: 'UTC', name: 'Alder', signIn: 'alder', password }))
    );
    for (const [role, name] of [
      ['examiner', 'Bryony'],
      ['operator', 'Corder']
    ] as const) {
      const made = await (await form('owner', '/members?/invite', { role })).text();
      const token = /\/join\/([\w-]+)/.exec(made)![1]!;
      cookies.set(role, cookieOf(await form('', `/join/${token}`, { name, signIn: name.toLowerCase(), password })));
    }
    const answer = await fetch(`${book.url}/api/engines`, {
      method: 'POST',
      headers: { cookie: cookies.get('owner')!, origin: book.url, 'content-type': 'application/json' },
      body: JSON.stringify(patterns[0]!.fitOut)
    });
    engine = ((await answer.json()) as { id: string }).id;
  }, 120_000);
  afterAll(async () => {
    await sql?.end();
    await book?.drop();
    rmSync(folder, { recursive: true, force: true });
  });
  const idOf = (text: string) => /\/proof\/([\w-]{36})/.exec(text)![1]!;
  const rows = () => sql<{ kind: string; document: string }[]>`select kind, document from proof order by seq`;

  it('are refused with their sentence at their field, and nothing is kept', async () => {
    expect(await keep('operator', hydraulic({ held: 0 }))).toContain('A fall is judged over the time it was held');
    expect(await keep('operator', hydraulic({ reached: 'much' }))).toContain('reached');
    expect(await keep('operator', {})).toContain('problem');
    expect(await (await form('operator', '/proof/rules?/save', { written: '{}', version: '0' })).text()).toContain('does not allow this');
    // Judged by the example it can be tried, and not signed.
    const tried = idOf(await keep('operator', hydraulic()));
    expect(await (await form('examiner', `/proof/${tried}?/sign`, { note: 'seen' })).text()).toContain(
      'It was judged by the example, which is nobody’s rule'
    );
    const sourceless = {
      name: 'Code',
      source: '',
      hydraulicFirst: 2,
      hydraulicRepeat: 1.5,
      hold: 1200,
      fall: 0,
      valveWithin: 3,
      reseat: 15,
      gaugeWithin: 2
    };
    expect(await (await form('examiner', '/proof/rules?/save', { written: JSON.stringify(sourceless), version: '0' })).text()).toContain(
      'Rules without a source are none.'
    );
    const good = { ...sourceless, source: 'The examiner, by letter of May' };
    expect(await (await form('examiner', '/proof/rules?/save', { written: JSON.stringify(good), version: '0' })).text()).toContain(
      '"success"'
    );
    // Edited from the version before it: somebody else was first.
    expect(await (await form('examiner', '/proof/rules?/save', { written: JSON.stringify(good), version: '0' })).text()).toContain(
      'Somebody saved the rules meanwhile'
    );
    expect(await rows()).toHaveLength(1);
  });

  it('are kept with the rules of their day, and signed by the examiner alone, once', async () => {
    const id = idOf(await keep('operator', hydraulic()));
    const document = JSON.parse((await rows())[1]!.document) as Record<string, unknown>;
    expect(document).toMatchObject({
      by: 'Corder',
      sheet: 'hydraulic',
      verdict: 'within',
      rules: { version: 1, source: 'The examiner, by letter of May' }
    });
    for (const who of ['owner', 'operator']) expect((await form(who, `/proof/${id}?/sign`, { note: 'seen' })).status, who).toBe(403);
    expect(await (await form('examiner', `/proof/${id}?/sign`, { note: '  ' })).text()).toContain('Say what was witnessed');
    expect(await (await form('examiner', `/proof/${id}?/sign`, { note: 'Seen and dry' })).text()).toContain('"success"');
    expect(await (await form('examiner', `/proof/${id}?/sign`, { note: 'again' })).text()).toContain(
      'It has been signed already, by Bryony.'
    );
    // Two at once: each follows one, and none the same.
    await Promise.all([keep('operator', hydraulic()), keep('owner', hydraulic({ reached: wp, after: wp })), keep('operator', hydraulic())]);
    expect((await rows()).map((r) => r.kind)).toEqual(['worksheet', 'worksheet', 'signature', 'worksheet', 'worksheet', 'worksheet']);
    expect(verify()).toMatchObject({
      status: 0,
      said: expect.stringContaining('Sedge Lode: 6 worksheets and signatures, each as it was written.')
    });
  });

  it('one byte that is changed in the database is named, and the page says it', async () => {
    const [row] = await sql<{ id: string; document: string }[]>`select proof_id as id, document from proof order by seq limit 1`;
    const changed = row!.document.replace('"verdict":"within"', '"verdict":"Within"');
    expect(changed).not.toBe(row!.document);
    await sql`update proof set document = ${changed} where proof_id = ${row!.id}`;
    const found = verify();
    expect(found.status).toBe(1);
    expect(found.said).toMatch(
      new RegExp(
        `Hydraulic test of ${patterns[0]!.fitOut.name}, \\d{4}-\\d\\d-\\d\\d, by Corder \\(${row!.id}\\): its text is not what was written\\.`
      )
    );
    const page = await (await fetch(`${book.url}/proof/${row!.id}`, { headers: { cookie: cookies.get('owner')! } })).text();
    expect(page).toContain('not as it was written');
    // So is one whose text cannot be read any more.
    await sql`update proof set document = ${row!.document.slice(1)} where proof_id = ${row!.id}`;
    expect(verify().said).toContain(`The one with the number ${row!.id}, which cannot be read any more: its text is not what was written.`);
    expect((await fetch(`${book.url}/proof/${row!.id}`, { headers: { cookie: cookies.get('owner')! } })).status).toBe(200);
    expect((await fetch(`${book.url}/proof`, { headers: { cookie: cookies.get('owner')! } })).status).toBe(200);
    await sql`update proof set document = ${row!.document} where proof_id = ${row!.id}`;
    expect(verify().status).toBe(0);
  });

  it('one byte that is changed in an export is named', async () => {
    const archive = new Uint8Array(
      await (await fetch(`${book.url}/club.zip`, { headers: { cookie: cookies.get('owner')! } })).arrayBuffer()
    );
    const file = join(folder, 'club.zip');
    writeFileSync(file, archive);
    expect(verify(file)).toMatchObject({
      status: 0,
      said: expect.stringContaining('6 worksheets and signatures, each as it was written.')
    });
    const files = unzipSync(archive);
    const text = new TextDecoder().decode(files['proof.jsonl']);
    writeFileSync(file, zipSync({ ...files, 'proof.jsonl': strToU8(text.replace('Seen and dry', 'Seen and wet')) }));
    const found = verify(file);
    expect(found.status).toBe(1);
    expect(found.said).toMatch(/The signature, \d{4}-\d\d-\d\d, by Bryony \([\w-]{36}\): its text is not what was written\./);
    const [first, ...rest] = text.split('\n');
    expect(first).toContain('worksheet');
    writeFileSync(file, zipSync({ ...files, 'proof.jsonl': strToU8(rest.join('\n')) }));
    expect(verify(file).said).toContain('what was written before it is missing, or stands elsewhere');
    writeFileSync(file, 'no archive');
    expect(verify(file)).toMatchObject({ status: 1, said: expect.stringContaining('cannot be read') });
  });

  it('nobody who serves can change or remove one', async () => {
    const app = postgres(book.serving, { max: 1, onnotice: () => {} });
    await expect(app`update proof set document = '{}'`).rejects.toThrow(/permission denied/);
    await expect(app`delete from proof`).rejects.toThrow(/permission denied/);
    await expect(app`update rules set document = '{}'`).rejects.toThrow(/permission denied/);
    await app.end();
  });
});
