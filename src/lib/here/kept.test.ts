import { describe, expect, it } from 'vitest';
import { documentOf, isAnswer, keyOf, type KeptBook, wanted } from './kept';

const id = '01a230fb-2caa-740f-877f-e2d4a00e8802';
const at = (path: string) => new URL(path, 'http://joram');

describe('what a device keeps', () => {
  it.each([
    ['/', '/__data.json'],
    ['/__data.json?x-sveltekit-invalidated=01', '/__data.json'],
    [`/engines/${id}`, `/engines/${id}/__data.json`],
    [`/engines/${id}/__data.json`, `/engines/${id}/__data.json`],
    ['/logbook?page=2', '/logbook/__data.json?page=2'],
    [`/footplate/${id}`, '/shell/__data.json'],
    [`/records/${id}/__data.json?x-sveltekit-invalidated=1`, '/shell/__data.json'],
    ['/not-here?page=%2F', '/shell/__data.json'],
    [`/api/steamings/${id}`, `/api/steamings/${id}`],
    ['/api/book', '/api/book'],
    // The office is asked of the server, and what is told to it is kept nowhere.
    ['/members', undefined],
    ['/audit', undefined],
    [`/engines/${id}/edit`, undefined],
    [`/api/steamings/${id}/entries`, undefined],
    [`/records/${id}/replay`, undefined]
  ])('%s by %s', (path, key) => expect(keyOf(at(path))).toBe(key));
  it('a Footplate and a record are made from one document', () => {
    expect([`/footplate/${id}`, `/records/${id}`, '/', '/not-here'].map(documentOf)).toEqual([
      `/api/steamings/${id}`,
      `/api/steamings/${id}`,
      undefined,
      undefined
    ]);
    expect([`/api/steamings/${id}`, '/api/live', '/'].map(isAnswer)).toEqual([true, false, false]);
  });
  it('asks first for what is in steam, then what is planned, then what is the member’s own', () => {
    const engine = (of: Partial<KeptBook['engines'][number]> & { id: string }) => ({
      mine: false,
      running: null,
      plans: [],
      records: [],
      ...of
    });
    const { engines } = {
      engines: [
        engine({ id: 'other' }),
        engine({ id: 'mine', mine: true, records: ['r'] }),
        engine({ id: 'planned', plans: [{ id: 'p' }] }),
        engine({ id: 'steam', running: 's' })
      ]
    };
    const asked = wanted({ engines });
    expect(asked.filter((path) => path.startsWith('/engines/')).map((path) => path.split('/')[2])).toEqual([
      'steam',
      'planned',
      'mine',
      'other'
    ]);
    for (const path of ['/api/steamings/s', '/day/p/__data.json', '/api/steamings/r', '/__data.json']) expect(asked).toContain(path);
  });
  it('keeps no more of a big club than a phone holds', () => {
    const engines = [...Array(400).keys()].map((i) => ({
      id: `${i}`,
      mine: false,
      running: null,
      plans: [{ id: 'p' }],
      records: ['a', 'b']
    }));
    expect(wanted({ engines }).length).toBeLessThan(80);
  });
});
