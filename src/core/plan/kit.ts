import type { FitOut } from '../engine';
import type { Procedure } from '../procedure';
import { mark } from '../units';

/** One thing to pack, with what it is for. */
export interface Kit {
  readonly what: string;
  readonly for: string;
}

type Rule = readonly [when: (f: FitOut) => boolean, what: (f: FitOut) => string, why: string];
const is = (what: string) => () => what;
const solid = (f: FitOut) => f.fire.with === 'solid';
const tubeBore = (f: FitOut) => ('tubes' in f.boiler ? f.boiler.tubes.diameter : f.boiler.form === 'vertical' ? f.boiler.tubeDiameter : 0);

/** What engines of a fit-out need along, besides what their steps name. */
const rules: readonly Rule[] = [
  [() => true, is('Boiler certificate and insurance'), 'papers at the gate'],
  [() => true, is('This sheet, charged phone, pencil'), 'the log'],
  [() => true, is('Leather gloves, eye protection'), 'hot fittings'],
  [() => true, is('Clean water and a first-aid kit with burn dressings'), 'scalds are cooled under clean running water'],
  [() => true, is('Extinguisher and fire blanket'), 'beside any fire'],
  [(f) => solid(f) && tubeBore(f) > 0, (f) => `Flue brush for ${mark(tubeBore(f), 'length')} tubes`, 'sweeping'],
  [solid, is('Firing shovel, pricker, rake'), 'the fire'],
  [(f) => f.fire.with === 'solid' && f.fire.ashpan === 'pins', is('Pliers for hot grate pins'), 'dropping the fire'],
  [
    (f) => f.fire.with === 'solid' && f.fire.draught === 'fan',
    (f) => `Fan with its ${mark(f.fire.with === 'solid' ? (f.fire.adapter ?? 0.02) : 0, 'length')} adapter, charged battery`,
    'draught before there is steam'
  ],
  [(f) => f.fire.with === 'solid' && f.fire.chimneyBores === 2, is('Plug for the second chimney bore'), 'while the fan is on'],
  [(f) => f.fire.with === 'gas', is('Two spanners for the gas unions, leak fluid, scales'), 'gas joints and canister'],
  [(f) => f.fire.with === 'electric', is('Mains lead with residual-current device, spare fuse'), 'the element'],
  [(f) => f.glasses.length > 0, (f) => `Spare gauge glass and seals (${f.glasses.length})`, 'a glass can break'],
  [(f) => !f.glasses.length, is('Measuring jug'), 'no glass: water is measured in'],
  [(f) => f.feeds.some((x) => x.kind === 'bottle'), is('Syringe or filler bottle, funnel'), 'filling'],
  [(f) => f.lubrication.some((p) => p.kind === 'displacement'), is('Syringe for lubricator condensate'), 'drained before it is filled'],
  [(f) => f.fusiblePlug, is('Spare fusible plug, entered in its log'), 'should it be needed'],
  [(f) => f.manholes + f.mudholes > 0, is('Spare manhole and mudhole joints, their spanner'), 'doors'],
  [(f) => f.water.treatment !== 'none', is('Water treatment, its measure'), 'water'],
  [(f) => f.kind === 'road engine', is('Wheel chocks, road signs, lamps with fuel in a closed can'), 'on the road'],
  [(f) => f.size === 'tabletop', is('Tray under engine and cylinder'), 'the table'],
  [(f) => Boolean(f.comesOff), (f) => `What comes off for transport: ${f.comesOff}`, 'put back on']
];

/** Fuel, water and oil have their own list; they are not packed twice. */
const measured =
  /^(steam oil|motion oil|oil|coal|start fuel|lighting fluid|measured fuel|matches or gas lighter|fan|battery|adapter|charged battery|extinguisher|flue brush.*|pliers|rake|shovel|two spanners|scales|leak fluid|plug for the second bore|gloves)$/;

/** Charges weighed out beforehand, those alike together: “2 charges of 14 g and 1 of 9 g”. */
function chargesSaid(charges: readonly number[], { fire }: FitOut): string {
  const alike = new Map<string, number>();
  for (const c of charges) alike.set(mark(c, 'mass'), (alike.get(mark(c, 'mass')) ?? 0) + 1);
  const list = [...alike].map(([mass, n], i) => `${n} ${i ? '' : n === 1 ? 'charge ' : 'charges '}of ${mass}`).join(' and ');
  return fire.with === 'gas'
    ? `Gas, weighed in: ${list}`
    : `${fire.with === 'spirit' ? capital(fire.fuel) : 'Fuel'}, weighed apart: ${list}`;
}
const capital = (word: string) => word[0]!.toUpperCase() + word.slice(1);

/** Everything to pack, once each: what the fit-out asks for, then what the procedure's steps name. @param charges kg of each run, where fuel is charged */
export function kitFor(fitOut: FitOut, procedure: Procedure, charges: readonly number[] = []): Kit[] {
  const own = rules.filter(([when]) => when(fitOut)).map(([, what, why]): Kit => ({ what: what(fitOut), for: why }));
  if (charges.length) own.push({ what: chargesSaid(charges, fitOut), for: 'one for each run, and no more: it ends before the water' });
  const named = new Map<string, string>();
  for (const step of procedure.steps) for (const m of step.materials) if (!measured.test(m) && !named.has(m)) named.set(m, step.what);
  if (!fitOut.fire.with.startsWith('electric')) own.push({ what: 'Matches or gas lighter, dry, and a second one', for: 'the match' });
  return [...own, ...[...named].map(([m, step]): Kit => ({ what: m[0]!.toUpperCase() + m.slice(1), for: step }))];
}
