import { patterns } from '../../src/core/engine';
import { desk, phone } from './foot';
import { expect, test } from './loopback';
import { comeInAs, visit } from './people';
import { type Typed, typeInto, untyped } from './typing';

/** Every worksheet as hands fill it in: each field typed, kept, and read as it was kept. A sheet’s fields are all here or the test fails. */
interface Filled {
  readonly sheet: string;
  readonly typed: readonly Typed[];
  /** What the kept sheet says it comes to, and what it says of it. */
  readonly comes: string;
  readonly says: readonly (string | RegExp)[];
}
const t = (label: string, type: string, nth = 0): Typed => ({ label, type, nth });
const within = 'Within the rules, by the arithmetic';

const roller: readonly Filled[] = [
  {
    sheet: 'Gauge comparison',
    typed: [
      t('Full scale of the engine’s gauge', '200 psi'),
      t('The better gauge, and when it was compared', 'Club test gauge, May'),
      t('It is good to, either way', '1 psi'),
      ...[32, 65, 97, 130, 65].flatMap((p, i) => [t('The better gauge', `${p} psi`, i), t('The engine’s gauge', `${p + 1} psi`, i)])
    ],
    comes: within,
    says: [/Compared up to 130\spsi/]
  },
  {
    sheet: 'Fusible plug',
    typed: [t('Renewed so many months ago', '7'), t('Marked', 'K 7'), t('It is', 'scaled over on the water side')],
    comes: 'Not within the rules',
    says: ['K 7: renewed 7 months ago', 'It is scaled over']
  },
  {
    sheet: 'Gauge glasses, by measured fills',
    typed: [
      t('A glass is read to, of it, either way', '0.02'),
      t('Which glass', '1'),
      t('Put in', '400 ml'),
      t('It read before', '0.1'),
      t('It reads after', '0.9'),
      t('The other glass reads', '')
    ],
    comes: 'Not within the rules',
    says: [/An eighth of glass 1 is 6[23](\.5)?\sml/]
  },
  {
    sheet: 'Steam test',
    typed: [
      t('Which gauge, and when it was compared', 'Club test gauge, May'),
      t('Gauge read to, either way', '1 psi'),
      t('Lowest while it was held', '130 psi'),
      t('Highest', '134 psi'),
      t('Held for', '20 min'),
      t('Safety valves seen to lift', '2'),
      t('Feeds that put water in', '1'),
      t('What leaked, and where', '')
    ],
    comes: 'Shows nothing',
    says: [/Kept at 130\spsi or more/, 'Put water in: 1 of 2 feeds']
  },
  {
    sheet: 'Feeds',
    typed: [
      t('Water is measured to, either way', '0.2 l'),
      t('Gauge read to, either way', '2 psi'),
      ...[0, 1].flatMap((i) => [
        t('Which', ['Crankshaft pump', 'Injector'][i]!, i),
        t('Picked up after', '12 s', i),
        t('Gave', '20 l', i),
        t('In', '6 min', i),
        t('Lowest pressure at which it fed', i ? '40 psi' : '', i),
        t('Hottest tank from which it fed', i ? '31 °C' : '', i)
      ])
    ],
    comes: within,
    says: [/Injector gives 200(\.0)?\sl\/h/, /Injector fed down to 40\spsi/, /tank at 31\s°C/]
  },
  {
    sheet: 'Blow-down valve',
    typed: [
      t('Opened at', '20 psi'),
      t('A glass is read to, of it, either way', '0.06'),
      t('Glass before', '0.7'),
      t('Glass after', '0.4'),
      t('Open for', '8 s'),
      t('Ten minutes later it is', 'dry')
    ],
    comes: 'Seen to be as it should be',
    says: [/It let out .* in 8\ss at 20\spsi/]
  },
  {
    sheet: 'Whistle',
    typed: [
      t('At working pressure it', 'gargles'),
      t('Lowest pressure at which it speaks', '25 psi'),
      t('Heard at', '300 m'),
      t('Let go, it', 'shuts')
    ],
    comes: 'Not within the rules',
    says: ['It gargles at working pressure', /down to 25\spsi/]
  },
  {
    sheet: 'Cylinder drains',
    typed: [0, 1].flatMap((i) => [
      t('Which', `cylinder 1, ${i ? 'back' : 'front'}`, i),
      t('Open, it', 'clears to dry steam', i),
      t('Shut, it', 'is tight', i)
    ]),
    comes: 'Seen to be as it should be',
    says: ['The drain of cylinder 1, back clears to dry steam']
  },
  {
    sheet: 'Brakes',
    typed: [
      t('Needle read to, either way', '1 psi'),
      t('Which', 'hand'),
      t('Shut in at', ''),
      t('Read at the end', ''),
      t('After', ''),
      t('It holds the engine and its load', 'yes'),
      t('Works to the last vehicle', 'of the engine alone'),
      t('Stopped from', '6 km/h'),
      t('Within', '1.5 m')
    ],
    comes: within,
    says: ['The hand brake holds the engine', /: 9\.4 % of the weight/]
  },
  {
    sheet: 'Lowest steady speed',
    typed: [t('Turns counted', '48'), t('In', '60 s'), t('At the gauge', '20 psi'), t('How it was set up', 'On air, warm oil')],
    comes: 'Measured, and judged by no rule',
    says: [/48\srev\/min at 20\spsi/]
  },
  {
    sheet: 'Starts by itself, on air',
    typed: [
      t('Gauge read to, either way', '1 psi'),
      ...[0, 1].flatMap((i) => [t('Way', i ? 'back' : 'forward', i), t('Went round at', `${6 + i} psi`, i)])
    ],
    comes: 'Measured, and judged by no rule',
    says: [/starts by itself at 7\spsi from its worst place/]
  },
  {
    sheet: 'Water, by the meter',
    typed: [
      t('Which meter, and when it was set', 'Pen meter, April'),
      t('It reads', 'mg/l'),
      t('The boiler’s water', '2000'),
      t('The feed water', '200'),
      t('The meter is good to, of what it reads, %', '5'),
      t('Wanted after letting out, as the meter reads', '1100')
    ],
    comes: within,
    says: ['thickened 10.0 times', '50 % of the water is let out']
  }
];
const plant: readonly Filled[] = [
  {
    sheet: 'Gas train',
    typed: [
      t('Needle read to, either way', '0.5 psi'),
      t('Shut in at', '20 psi'),
      t('Read at the end', '20 psi'),
      t('After', '5 min'),
      ...(() => {
        const fire = patterns.find((p) => p.fitOut.name === 'Old Scoop')!.fitOut.fire;
        return (fire.with === 'gas' ? fire.joints : []).flatMap((j, i) => [
          t('Which', j.name, i),
          t('It', i === 2 ? 'bubbles' : 'shows no bubble', i)
        ]);
      })(),
      t('Shut at the canister, the flame', 'dies')
    ],
    comes: 'Not within the rules',
    says: [/It fell by 0\spsi/, ': bubbles.']
  }
];
const element: readonly Filled[] = [
  {
    sheet: 'Electric set',
    typed: [
      t('Earth pin to shell, Ω', '0.1'),
      t('Element to shell, MΩ', '5'),
      t('Gauge read to, either way', '1 psi'),
      t('Thermostat lets go at, by the gauge', '40 psi'),
      t('The cut-out, as its maker says it is tried', 'puts it off'),
      t('The earth-fault breaker of its supply, by its button', 'trips')
    ],
    comes: within,
    says: [/lets go at 40\spsi/]
  }
];

for (const [name, options, all] of [
  ['a desk', desk, true],
  ['a phone', phone, false]
] as const)
  for (const [of, sheets] of [
    // Of the many, a phone has those whose fields are lists.
    ...(all ? ([['Peat Presser', roller.slice(0, 6)]] as const) : []),
    ['Peat Presser', all ? roller.slice(6) : roller.filter((s) => ['Feeds', 'Brakes'].includes(s.sheet))],
    ['Old Scoop', plant],
    ['Lantern', element]
  ] as const)
    test(`${name}: worksheets of one like ${of}, from ${sheets[0]!.sheet.toLowerCase()} on, each field typed, kept, and read as it was kept`, async ({
      browser
    }) => {
      test.setTimeout(120_000);
      const context = await browser.newContext(options);
      const page = await context.newPage();
      await comeInAs(page, 'wenna');
      const { fitOut } = patterns.find((p) => p.fitOut.name === of)!;
      const called = `${of} ${name} ${Date.now() % 1e6}`;
      const { id } = (await (await page.request.post('/api/engines', { data: { ...fitOut, name: called } })).json()) as { id: string };
      for (const { sheet, typed, comes, says } of sheets) {
        await visit(page, `/proof?engine=${id}`);
        await page.locator('.choose').getByRole('link', { name: sheet, exact: true }).click();
        await page.waitForURL(/\/proof\/new\//);
        await page.locator('html[data-live]').waitFor();
        const form = page.locator('form').filter({ hasText: 'Keep the worksheet' });
        await typeInto(form, typed);
        expect(await untyped(page, form, typed), sheet).toEqual([]);
        await page.getByRole('button', { name: 'Keep the worksheet' }).click();
        await page.waitForURL(/\/proof\/[\w-]{36}$/);
        await expect(page.locator('.verdict'), sheet).toContainText(comes);
        for (const s of says) await expect(page.locator('body'), sheet).toContainText(s);
      }
      // What was made stands on the engine’s page of what is proven.
      await visit(page, `/engines/${id}/proven`);
      for (const { sheet } of sheets) await expect(page.locator('tr', { hasText: sheet })).not.toContainText('not made');
      await context.close();
    });

for (const [name, options] of [
  ['a desk', desk],
  ['a phone', phone]
] as const)
  test(`${name}: what was done to an engine bars its passengers until it is proven again; what was not done is taken back`, async ({
    browser
  }) => {
    const context = await browser.newContext(options);
    const page = await context.newPage();
    await comeInAs(page, 'wenna');
    const { fitOut } = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!;
    const called = `Changed on ${name} ${Date.now() % 1e6}`;
    const { id } = (await (await page.request.post('/api/engines', { data: { ...fitOut, name: called } })).json()) as { id: string };
    await visit(page, `/engines/${id}`);
    await page.getByRole('link', { name: 'What is proven' }).click();
    await page.waitForURL(/\/proven$/);
    await page.locator('html[data-live]').waitFor();
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.locator('.problem')).toContainText('Say what was done: choose one of the list.');
    const typed = [
      t('What was done', 'An injector, pump or clack renewed or taken apart'),
      t('With which part', 'Left injector, cones cleaned')
    ];
    const done = page.locator('section', { hasText: 'Done to it' });
    await typeInto(done, typed);
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(done).toContainText('Left injector, cones cleaned');
    await expect(done).toContainText('To be proven again: feeds');
    await page.reload();
    await expect(done).toContainText('To be proven again: feeds');
    await visit(page, `/engines/${id}`);
    await expect(page.locator('body')).toContainText('To be proven again: feeds');
    // Made again, it bars nobody.
    const tries = fitOut.feeds.map((f) => ({ name: f.name, pickUp: 8, gave: 0.004, while: 120, lowest: null, hottest: null }));
    const kept = await page.request.post(`/proof/new/feeds?/keep&engine=${id}`, {
      form: { written: JSON.stringify({ error: 0.0001, gaugeError: 7000, tries }) },
      headers: { origin: new URL(page.url()).origin }
    });
    expect(kept.ok()).toBe(true);
    await visit(page, `/engines/${id}`);
    await expect(page.locator('body')).not.toContainText('To be proven again');
    // A fit-out that tells of another valve; it was a slip of the pen.
    const safetyValves = fitOut.safetyValves.map((v, i) => (i ? v : { ...v, set: v.set - 1e4 }));
    const saved = await page.request.put(`/api/engines/${id}`, {
      data: { ...fitOut, name: called, safetyValves },
      headers: { 'if-match': '1', origin: new URL(page.url()).origin }
    });
    expect(saved.status()).toBe(200);
    await visit(page, `/engines/${id}/proven`);
    await expect(done).toContainText('To be proven again: safety valves, set, accumulation test');
    await done.getByText('It was not done').first().click();
    await done.getByRole('button', { name: 'Take it back' }).first().click();
    await expect(page.locator('.problem')).toContainText('Say why it does not count');
    await done.getByLabel('Why it does not count').first().fill('Written wrongly before');
    await done.getByRole('button', { name: 'Take it back' }).first().click();
    await expect(done).not.toContainText('To be proven again: safety valves');
    await page.reload();
    await expect(done).not.toContainText('To be proven again: safety valves');
    await context.close();
  });
