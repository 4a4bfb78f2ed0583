import { expect, test } from '@playwright/test';
import { patterns } from '../../src/core/engine';
import { desk, phone } from './foot';
import { comeInAs, visit } from './people';
import { untyped } from './typing';

/** A worksheet as hands fill it in: each field typed, worked out, kept, signed by the examiner, read back. */
for (const [name, options] of [
  ['a desk', desk],
  ['a phone', phone]
] as const)
  test(`${name}: a hydraulic test is written down, judged, kept and signed`, async ({ browser }) => {
    const context = await browser.newContext(options);
    const page = await context.newPage();
    await comeInAs(page, 'wenna');
    const { fitOut } = patterns.find((p) => p.key === 'large-tank')!;
    const called = `Pumped on ${name} ${Date.now() % 1e6}`;
    const { id } = (await (await page.request.post('/api/engines', { data: { ...fitOut, name: called } })).json()) as { id: string };
    await visit(page, `/engines/${id}`);
    await page.getByRole('link', { name: 'What is proven' }).click();
    await page.locator('tr', { hasText: 'Hydraulic test' }).getByRole('link', { name: 'make it' }).click();
    await page.waitForURL(/\/proof\/new\/hydraulic/);
    await page.locator('html[data-live]').waitFor();
    const type = async (label: string, text: string) => {
      await page.getByLabel(label, { exact: true }).fill(text);
      await page.keyboard.press('Tab');
    };
    await page.getByLabel('Which', { exact: true }).selectOption('new, or after a repair');
    await type('Pumped up to', '198 psi');
    await type('Read at the end', '198 psi');
    await type('Gauge read to, either way', '1 psi');
    await type('Which gauge, and when it was compared', 'Club test gauge, May');
    // A fall without a hold is none.
    await type('Shut off and held for', '0 min');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByText('say for how long it was shut off')).toBeVisible();
    await type('Shut off and held for', '20 min');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.locator('.verdict')).toContainText('Not within the rules');
    await expect(page.locator('section', { hasText: 'What it comes to' })).toContainText(/Asked for 200\spsi, pumped up to 198\spsi/);
    await expect(page.getByLabel('Which gauge, and when it was compared')).toHaveValue('Club test gauge, May');
    await type('Pumped up to', '200 psi');
    await type('Read at the end', '200 psi');
    await page.getByRole('button', { name: 'Keep the worksheet' }).click();
    await page.waitForURL(/\/proof\/[\w-]{36}$/);
    await expect(page.locator('.verdict')).toContainText('Within the rules, by the arithmetic');
    await expect(page.locator('body')).toContainText('Club test gauge, May');
    await expect(page.getByRole('button', { name: 'Sign as the boiler examiner' })).toHaveCount(0);
    const theirs = await browser.newContext(options);
    const hesper = await theirs.newPage();
    await comeInAs(hesper, 'hesper');
    await visit(hesper, `/proof?engine=${id}`);
    await expect(hesper.locator('tbody').last()).toContainText('not signed');
    await hesper.getByRole('link', { name: 'Hydraulic test', exact: true }).last().click();
    await hesper.waitForURL(/\/proof\/[\w-]{36}$/);
    await hesper.locator('html[data-live]').waitFor();
    await hesper.getByLabel('What was witnessed, and what is left to do').fill('Seen at 200 psi, dry all round');
    await hesper.getByRole('button', { name: 'Sign as the boiler examiner' }).click();
    await expect(hesper.locator('header.block')).toContainText('Hesper Vane-Oddie');
    await hesper.reload();
    await expect(hesper.locator('body')).toContainText('Seen at 200 psi, dry all round');
    await theirs.close();
    await context.close();
  });

test('the club’s rules, each field typed: none without a source, kept as a version, read back; a gauge and valves by hand', async ({
  page
}) => {
  await comeInAs(page, 'idony');
  await visit(page, '/proof/rules');
  const type = async (label: string, text: string, at = 0) => {
    await page.getByLabel(label, { exact: true }).nth(at).fill(text);
    await page.keyboard.press('Tab');
  };
  await type('Called', 'Drove End rules, made up');
  await type('Where the figures come from', '');
  await page.getByRole('button', { name: /^Keep as version/ }).click();
  await expect(page.getByText('Rules without a source are none.')).toBeVisible();
  const typed: [string, string][] = [
    ['Where the figures come from', 'Made up at the bench, December'],
    ['Hydraulic test, new or repaired: times working pressure', '2'],
    ['Hydraulic test, repeated: times working pressure', '1.4'],
    ['Held for', '25 min'],
    ['Fall that is allowed while it is held', '1 psi'],
    ['A safety valve lifts within so much of its set, %', '4'],
    ['It shuts again within so much under its lift, %', '12'],
    ['A gauge reads within so much of its full scale, %', '2.5'],
    ['Steam test: held at working pressure for', '25 min'],
    ['Accumulation: over working pressure at the most, %', '8'],
    ['Accumulation: how long', '6 min'],
    ['A glass holds what the drawing says within, %', '12'],
    ['A feed gives so many times what the fire can boil away', '1.5'],
    ['A feed picks up within', '20 s'],
    ['A brake that is shut in loses in a minute at the most', '1.5 psi'],
    ['Brakes hold back, of the weight, at least, %', '7'],
    ['Gas, shut in: fall that is allowed', '0.5 psi'],
    ['Gas, shut in: held for', '4 min'],
    ['Earth lead to shell at the most, Ω', '0.4'],
    ['Element to shell at least, MΩ', '2'],
    ['Solids in the boiler water at the most', '2000 mg/l'],
    ['Washed out after so many steamings', '15'],
    ['Hydraulic test: again after, months', '24'],
    ['Steam test and valves: again after, months', '12'],
    ['Accumulation test: again after, months', '13'],
    ['Gauge comparison: again after, months', '14'],
    ['Fusible plug renewed: again after, months', '36'],
    ['Gas train: again after, months', '11'],
    ['Electric set: again after, months', '10']
  ];
  for (const [label, text] of typed) await type(label, text);
  expect(
    await untyped(page, page.locator('form fieldset'), [...typed.map(([label, type]) => ({ label, type })), { label: 'Called', type: '' }])
  ).toEqual([]);
  await page.getByRole('button', { name: /^Keep as version/ }).click();
  await expect(page.getByRole('status')).toContainText('Kept as version');
  await visit(page, '/proof/rules');
  for (const [label, text] of typed) await expect(page.getByLabel(label, { exact: true }), label).toHaveValue(text);

  const { fitOut } = patterns.find((p) => p.key === 'large-tank')!;
  const name = `Compared ${Date.now() % 1e6}`;
  const { id } = (await (await page.request.post('/api/engines', { data: { ...fitOut, name } })).json()) as { id: string };
  await visit(page, `/proof/new/gauge?engine=${id}`);
  await type('Full scale of the engine’s gauge', '200 psi');
  await type('The better gauge, and when it was compared', 'Bench gauge');
  await type('It is good to, either way', '1 psi');
  for (let i = 0; i < 5; i++) await type('The engine’s gauge', `${[25, 51, 75, 100, 50][i]} psi`, i);
  await page.getByRole('button', { name: 'Keep the worksheet' }).click();
  await page.waitForURL(/\/proof\/[\w-]{36}$/);
  await expect(page.locator('.verdict')).toContainText('Within the rules, by the arithmetic');
  await expect(page.locator('body')).toContainText('Drove End rules, made up, version');
  // By the rules it is due again in fourteen months: on the page, and in a calendar.
  await visit(page, `/proof?engine=${id}`);
  await expect(page.locator('section', { hasText: 'Runs out next' })).toContainText(/Gauge comparison.*in 1[34] months/);
  expect(await (await page.request.get('/proof/due.ics')).text()).toContain(`${name}: Gauge comparison`);
  await visit(page, `/proof/new/valves?engine=${id}`);
  await type('Which gauge, and when it was compared', 'Bench gauge');
  await type('Gauge read to, either way', '1 psi');
  for (const [i, [lifted, shut]] of [
    ['100 psi', '94 psi'],
    ['110 psi', '100 psi']
  ].entries()) {
    await type('Lifted at', lifted!, i);
    await type('Shut at', shut!, i);
    await type('Bore of its seat, if measured', '8 mm', i);
    await type('Its valve rises, if measured', '0.5 mm', i);
  }
  await page.getByRole('button', { name: 'Keep the worksheet' }).click();
  await page.waitForURL(/\/proof\/[\w-]{36}$/);
  await expect(page.locator('.verdict')).toContainText('Not within the rules');
  await expect(page.locator('section', { hasText: 'What it comes to' })).toContainText(
    /Valve 2 lifted at 110\spsi and is set to 102\spsi; 4 % either way/
  );
  await expect(page.locator('section', { hasText: 'What it comes to' })).toContainText(/By their sizes they pass/);
});
