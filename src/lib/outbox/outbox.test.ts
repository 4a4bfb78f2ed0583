import type { Entry } from '$core/log';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aheadBy } from './club-time';
import { Outbox } from './outbox';
import type { Answer, Store, Waiting } from './waiting';
import { byEngine, waitingSaid } from './words';

/** A device, its pages and a server, where everything can go wrong. */
class World {
  /** What the device keeps, whatever becomes of its pages. */
  readonly disk = new Map<string, Waiting>();
  full = false;
  /** What the server has, and how often each was stored. */
  readonly server = new Map<string, number>();
  /** What the server has refused for good, by what it is. */
  readonly poison = new Set<string>();
  readonly discarded = new Set<string>();
  /** What a page held that could not be kept, when it was closed in spite of the word. */
  readonly lost = new Set<string>();
  answers: Answer['is'] | 'lost answer' = 'taken';
  session: string | undefined = 'wenna';
  pages: Page[] = [];
  posts = 0;
  largest = 500;

  readonly #store: Store = {
    all: async () => [...this.disk.values()],
    put: async (list: readonly Waiting[]) => {
      if (this.full) throw new Error('QuotaExceededError');
      for (const w of list) this.disk.set(w.id, w);
    },
    drop: async (ids: readonly string[]) => {
      if (this.full) throw new Error('QuotaExceededError');
      for (const id of ids) this.disk.delete(id);
    },
    delivered: (list: readonly Waiting[]) => this.#store.drop(list.map((w) => w.id))
  };

  readonly #post = async (_: string, list: readonly Waiting[]): Promise<Answer> => {
    this.posts++;
    if (this.session !== list[0]!.member) return { is: 'signed out' };
    switch (this.answers) {
      case 'no connection':
      case 'signed out':
        return { is: this.answers };
      case 'server':
        return { is: 'server', status: 500 };
      case 'too often':
        return { is: 'too often', seconds: 3 };
      case 'lost answer':
        this.#take(list);
        return { is: 'no connection' };
      case 'refused':
        // Nothing is stored of a batch that one spoils (409).
        if (list.some((w) => this.poison.has(w.id))) return { is: 'refused', sentence: 'This steaming was signed.' };
        break;
      case 'too large':
        if (list.length > this.largest) return { is: 'too large', sentence: 'Send less at once.' };
    }
    return { is: 'taken', refused: this.#take(list) };
  };
  #take(list: readonly Waiting[]) {
    const refused = list.filter((w) => this.poison.has(w.id)).map((w) => ({ id: w.id, sentence: 'It is done already.' }));
    for (const w of list) if (!this.poison.has(w.id)) this.server.set(w.id, Math.max(1, this.server.get(w.id) ?? 0));
    return refused;
  }

  #locked = false;
  open(): Page {
    const page: Page = {
      timers: [],
      outbox: new Outbox({
        store: this.#store,
        post: this.#post,
        alone: async (work) => {
          if (this.#locked) return false;
          this.#locked = true;
          await work().finally(() => (this.#locked = false));
          return true;
        },
        later: (work) => void (page.timers = [work]),
        changed: () => {},
        stored: () => {
          for (const other of this.pages) if (other !== page) void other.outbox.refresh();
        },
        now: () => 0
      })
    };
    this.pages.push(page);
    return page;
  }
}
interface Page {
  outbox: Outbox;
  timers: (() => void)[];
}
const settled = () => new Promise<void>((done) => setTimeout(done, 0));

let made = 0;
const make = (member: string, steaming = 's1'): Waiting => {
  const id = `e${String(++made).padStart(8, '0')}`;
  const said = '2026-06-13T10:00:00.000Z';
  return {
    id,
    steaming,
    engine: 'Marsh Hen',
    member,
    said,
    entry: { id, kind: 'note', at: said, by: member, body: { text: id } } as Entry
  };
};

const members = ['wenna', 'pim'] as const;
type Step =
  | { do: 'make'; n: number; steaming: number; page: number; poison: boolean }
  | { do: 'crash'; page: number }
  | { do: 'open' }
  | { do: 'tick' }
  | { do: 'disk'; full: boolean }
  | { do: 'answer'; is: World['answers'] }
  | { do: 'sign in'; who: number }
  | { do: 'discard' }
  | { do: 'retry' };
const anyStep = fc.oneof(
  {
    weight: 5,
    arbitrary: fc.record({
      do: fc.constant('make' as const),
      n: fc.integer({ min: 1, max: 7 }),
      steaming: fc.nat(1),
      page: fc.nat(2),
      poison: fc.boolean()
    })
  },
  fc.record({ do: fc.constant('crash' as const), page: fc.nat(2) }),
  fc.record({ do: fc.constant('open' as const) }),
  { weight: 3, arbitrary: fc.record({ do: fc.constant('tick' as const) }) },
  fc.record({ do: fc.constant('disk' as const), full: fc.boolean() }),
  {
    weight: 3,
    arbitrary: fc.record({
      do: fc.constant('answer' as const),
      is: fc.constantFrom<World['answers']>(
        'taken',
        'refused',
        'too large',
        'no connection',
        'signed out',
        'server',
        'too often',
        'lost answer'
      )
    })
  },
  fc.record({ do: fc.constant('sign in' as const), who: fc.nat(1) }),
  fc.record({ do: fc.constant('discard' as const) }),
  fc.record({ do: fc.constant('retry' as const) })
) as fc.Arbitrary<Step>;

async function run(steps: readonly Step[]) {
  const world = new World();
  world.largest = 2;
  const all = new Set<string>();
  const signIn = (who: string | undefined) => {
    world.session = who;
    return Promise.all(world.pages.map((p) => p.outbox.signedIn(who)));
  };
  world.open();
  await signIn('wenna');
  for (const step of steps) {
    const page = world.pages[('page' in step ? step.page : 0) % Math.max(1, world.pages.length)];
    if (step.do === 'make' && page) {
      const list = Array.from({ length: step.n }, () => make(world.session!, `s${step.steaming}`));
      for (const w of list) all.add(w.id);
      if (step.poison) world.poison.add(list[0]!.id);
      await page.outbox.add(list);
    } else if (step.do === 'crash' && page) {
      // It was said that these are on this page alone.
      const { unkept, waiting, aside, others } = page.outbox.view;
      const alone = [...waiting, ...aside, ...others].filter((w) => !world.disk.has(w.id));
      expect(alone.length).toBeLessThanOrEqual(unkept);
      for (const w of alone) if (!world.server.has(w.id)) world.lost.add(w.id);
      world.pages = world.pages.filter((p) => p !== page);
    } else if (step.do === 'open' && world.pages.length < 3) await world.open().outbox.signedIn(world.session);
    else if (step.do === 'tick') for (const p of world.pages) p.timers.splice(0).forEach((work) => work());
    else if (step.do === 'disk') world.full = step.full;
    else if (step.do === 'answer') world.answers = step.is;
    else if (step.do === 'sign in') await signIn(members[step.who]);
    else if ((step.do === 'discard' || step.do === 'retry') && page) {
      const first = page.outbox.view.aside[0];
      if (first && step.do === 'discard') world.discarded.add(first.id);
      if (first) await page.outbox[step.do](first.id);
    }
    await settled();
  }
  return { world, all, signIn };
}

describe('the outbox', () => {
  it('whatever fails, in whatever order: what was made is delivered, or shown as waiting, or was thrown away by its maker; none twice', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(anyStep, { maxLength: 30 }), async (steps) => {
        const { world, all } = await run(steps);
        const page = world.pages[0] ?? world.open();
        await page.outbox.signedIn(world.session);
        const shown = new Set(
          world.pages.flatMap(({ outbox: { view } }) => [...view.waiting, ...view.aside, ...view.others]).map((w) => w.id)
        );
        for (const id of all)
          expect(world.server.has(id) || shown.has(id) || world.discarded.has(id) || world.lost.has(id), `${id} is nowhere`).toBe(true);
        for (const times of world.server.values()) expect(times).toBe(1);
      }),
      { numRuns: 300 }
    );
  });

  it('when all is well again, everything but the poison is delivered, and only that is still shown', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(anyStep, { maxLength: 20 }), async (steps) => {
        const { world, all, signIn } = await run(steps);
        world.answers = 'taken';
        world.full = false;
        if (!world.pages.length) world.open();
        for (const who of [...members, ...members]) {
          await signIn(who);
          // One page waits for another that is delivering, and comes back by itself.
          for (const p of world.pages) p.timers.splice(0).forEach((work) => work());
          await settled();
        }
        for (const id of all)
          if (!world.poison.has(id) && !world.lost.has(id) && !world.discarded.has(id)) expect(world.server.has(id)).toBe(true);
        for (const { outbox } of world.pages) {
          expect(outbox.view.waiting).toEqual([]);
          expect([...outbox.view.aside, ...outbox.view.others].every((w) => world.poison.has(w.id))).toBe(true);
        }
      }),
      { numRuns: 200 }
    );
  });

  it('one that spoils its batch is found by halving, and set aside with its sentence; the others go', async () => {
    const world = new World();
    const { outbox } = world.open();
    await outbox.signedIn('wenna');
    world.answers = 'refused';
    const list = Array.from({ length: 100 }, () => make('wenna'));
    world.poison.add(list[41]!.id);
    await outbox.add(list);
    expect([world.server.size, outbox.view.waiting.length, outbox.view.aside.map((w) => [w.id, w.refused])]).toEqual([
      99,
      0,
      [[list[41]!.id, 'This steaming was signed.']]
    ]);
    expect(world.posts).toBeLessThan(25);
    // Put right, it goes on its way; thrown away, it is gone.
    world.poison.clear();
    await outbox.retry(list[41]!.id);
    expect([world.server.size, outbox.view.aside, world.disk.size]).toEqual([100, [], 0]);
  });

  it('tries again by itself, later each time, not while signed out, and as soon as it is told to', async () => {
    const kept: Waiting[] = [];
    const waits: number[] = [];
    let answer: Answer = { is: 'no connection' };
    const outbox = new Outbox({
      store: {
        all: async () => kept,
        put: async (list) => void kept.push(...list),
        drop: async () => {},
        delivered: async () => void (kept.length = 0)
      },
      post: async () => answer,
      alone: async (work) => (await work(), true),
      later: (_, ms) => void waits.push(ms),
      changed: () => {},
      stored: () => {},
      now: () => 42
    });
    await outbox.signedIn('wenna');
    await outbox.add([make('wenna')]);
    for (let i = 0; i < 6; i++) await outbox.deliver();
    expect(waits).toEqual([2500, 5000, 10_000, 20_000, 40_000, 60_000, 60_000]);
    answer = { is: 'too often', seconds: 7 };
    await outbox.deliver();
    expect(waits.at(-1)).toBe(7000);
    answer = { is: 'signed out' };
    await outbox.deliver();
    expect([waits.length, outbox.view.trouble]).toEqual([8, { is: 'signed out' }]);
    answer = { is: 'taken', refused: [] };
    await outbox.deliver();
    expect(outbox.view).toMatchObject({ waiting: [], trouble: undefined, deliveredAt: 42 });
  });

  it('says what waits where and why, and never that all is delivered when it is not', () => {
    const w = make('wenna');
    const said = (more: object) => waitingSaid({ waiting: [w, make('wenna')], unkept: 0, trouble: undefined, ...more });
    expect(said({})).toBe('2 on the way');
    expect(said({ trouble: { is: 'no connection' } })).toBe('No connection. 2 kept on this device');
    expect(said({ trouble: { is: 'signed out' } })).toBe('Sign in to deliver 2 entries');
    expect(said({ trouble: { is: 'server', status: 502 } })).toBe('The server does not answer as it should (502). 2 kept on this device');
    expect(said({ trouble: { is: 'too often', seconds: 9 } })).toBe('2 entries wait 9 s: too many came at once');
    expect(said({ unkept: 1 })).toContain('1 entry is on this page alone');
    expect(said({ waiting: [] })).toBeUndefined();
    expect(byEngine([w, { engine: 'Tin Heron' }, w])).toBe('Marsh Hen 2, Tin Heron 1');
  });
});

describe('how far a clock is off', () => {
  it('is told by the look that took the shortest, to half of what it took', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -1e9, max: 1e9 }),
        fc.array(fc.tuple(fc.nat(3000), fc.nat(3000)), { minLength: 1, maxLength: 6 }),
        (ahead, looks) => {
          const probes = looks.map(([there, back], i) => {
            const before = 1e12 + i * 1e4 + ahead;
            return { before, server: 1e12 + i * 1e4 + there, after: before + there + back };
          });
          const shortest = Math.min(...looks.map(([a, b]) => a + b));
          expect(Math.abs(aheadBy(probes)! - ahead)).toBeLessThanOrEqual(shortest / 2 + 1);
        }
      )
    );
    expect(aheadBy([])).toBeUndefined();
  });
});
