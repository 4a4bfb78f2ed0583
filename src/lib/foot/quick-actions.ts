import type { FitOut } from '$core/engine';
import type { Bodies, Kind, State } from '$core/log';
import { feedsAt, type Valve } from '$core/procedure';
import { warmthIn } from './given';
import { printGlass, printText, type UnitChoice } from '$core/units';

/** Something that is logged in one touch. */
export interface Touch {
  word: string;
  kind: Kind;
  body: Bodies[Kind];
}

/** A quick action: one touch where there is nothing to choose, two where there is. */
export type Action = { key: string; word: string; more?: string; on?: boolean } & (
  { touch: Touch } | { choices: Touch[] } | { form: 'fault' | 'note' } | { opens: 'measure' }
);

const valve = (word: string, name: Valve, open: number): Touch => ({ word, kind: 'valve', body: { valve: name, open } });
const steps = (name: Valve, off: string, on: string) => [
  valve(off, name, 0),
  valve('¼', name, 0.25),
  valve('½', name, 0.5),
  valve(on, name, 1)
];
const stands = (open: number | undefined, off: string, on: string) =>
  open === undefined ? undefined : open === 0 ? off : open === 1 ? on : printGlass(open);

/** A hand pump is counted. */
const strokesOf = ({ name, kind }: FitOut['feeds'][number]): Touch[] =>
  kind === 'hand pump'
    ? [10, 20, 50].map((strokes) => ({ word: `${name}: ${strokes} strokes`, kind: 'feed', body: { feed: name, on: false, strokes } }))
    : [];

/** Each burner’s flame, and the gas. */
function flameAction(fire: Extract<FitOut['fire'], { with: 'gas' }>, state: State): Action {
  const lost = Object.entries(state.flames).find(([, f]) => f.is === 'lost')?.[0];
  return {
    key: 'e',
    word: 'Flame',
    more: lost && `${lost} lost`,
    on: lost !== undefined,
    choices: [
      { word: 'Gas off, all out', kind: 'fire', body: { act: 'out' } },
      ...fire.burners.flatMap(({ name, tells }): Touch[] => [
        { word: `${name} ${tells === 'seen' ? 'seen' : 'heard'} to burn`, kind: 'flame', body: { burner: name, is: 'heard' } },
        { word: `${name} lost`, kind: 'flame', body: { burner: name, is: 'lost' } }
      ]),
      { word: 'Burner down', kind: 'observation', body: { seen: 'burner down' } }
    ]
  };
}

/** What is measured into an engine that nothing feeds, and what ends its fire. */
function measuredActions(f: FitOut, state: State, units: UnitChoice): Action[] {
  const { syringe, measure } = f.measures;
  const [size, tool] = syringe !== null ? [syringe, 'syringe' as const] : [measure, 'measure' as const];
  const warm = warmthIn(f.habits, state.runs.length > 0);
  const { boiler, fire } = state;
  const out: Action[] = [];
  if (size !== null)
    out.push({
      key: 'i',
      word: 'Water in',
      more: boiler?.sure ? `${printText(boiler.volume, 'volume', units)} in` : undefined,
      choices: [1, 2, 3, 5].map((count) => ({
        word: `${count} ${tool}${count === 1 ? '' : 's'}${warm ? ` ${warm}` : ''}, ${printText(count * size, 'volume', units)}`,
        kind: 'water',
        body: {
          act: 'in',
          volume: count * size,
          with: tool,
          count,
          ...(warm ? { warm } : {})
        }
      }))
    });
  if (f.fire.with === 'gas') out.push(flameAction(f.fire, state));
  else
    out.push({
      key: 'e',
      word: f.fire.with === 'electric' ? 'Off' : 'Flame out',
      more: fire.litAt && !fire.outAt ? undefined : 'not lit',
      touch: { word: 'fire out', kind: 'fire', body: { act: 'out' } }
    });
  if (f.fire.with === 'spirit' && f.fire.weight !== null) {
    const { pieces, weight, fuel } = f.fire;
    const one = weight / (pieces ?? 1);
    out.push({
      key: 'c',
      word: pieces === null ? 'Charge' : 'Tablet',
      more: state.charged ? `${printText(state.charged.mass, 'mass', units)} in` : undefined,
      touch: { word: 'charge', kind: 'charge', body: { mass: one, fuel, ...(pieces === null ? {} : { pieces: 1 }) } }
    });
  }
  return out;
}

const burnsOutside = ({ seen }: State) => (seen['fire outside'] ?? '') > (seen['fire outside out'] ?? '');

/** The quick actions of an engine, from what it has on it, with what stands open now. */
export function actionsOf(f: FitOut, state: State, units: UnitChoice): Action[] {
  const open = (name: Valve) => state.valves[name]?.open;
  const out: Action[] = [];
  if (f.fire.with === 'solid') {
    const fuel = f.fire.fuel.includes('coal') || f.fire.fuel === 'anthracite' ? 'coal' : f.fire.fuel;
    out.push({
      key: 'c',
      word: fuel[0]!.toUpperCase() + fuel.slice(1),
      more: state.fire.rounds ? `${state.fire.rounds} so far` : undefined,
      touch: { word: fuel, kind: 'fire', body: { act: 'fuel on', fuel } }
    });
  }
  const feeds = feedsAt(f);
  if (!feeds.length) out.push(...measuredActions(f, state, units));
  else if (f.fire.with === 'gas') out.push(flameAction(f.fire, state));
  if (feeds.length) {
    const running = feeds.filter((x) => state.feeds[x.name]?.on);
    out.push({
      key: 'f',
      word: 'Feed',
      more: running.map((x) => `${x.name} on`).join(', ') || undefined,
      on: running.length > 0,
      choices: feeds.flatMap((x): Touch[] =>
        state.feeds[x.name]?.on
          ? [{ word: `${x.name} off`, kind: 'feed', body: { feed: x.name, on: false } }]
          : x.bypassShutSendsTo === 'none'
            ? [{ word: `${x.name} on`, kind: 'feed', body: { feed: x.name, on: true, to: 'boiler' } }, ...strokesOf(x)]
            : [
                { word: `${x.name}: water to boiler`, kind: 'feed', body: { feed: x.name, on: true, to: 'boiler' } },
                { word: `${x.name}: water to both`, kind: 'feed', body: { feed: x.name, on: true, to: 'both' } },
                { word: `${x.name}: water to tank`, kind: 'feed', body: { feed: x.name, on: true, to: 'tank' } }
              ]
      )
    });
  }
  if (f.fire.with === 'solid') {
    out.push({ key: 'b', word: 'Blower', more: stands(open('blower'), 'off', 'on'), choices: steps('blower', 'Blower off', 'Full') });
    if (f.fire.damper)
      out.push({ key: 'a', word: 'Damper', more: stands(open('damper'), 'shut', 'open'), choices: steps('damper', 'Damper shut', 'Open') });
    out.push({
      key: 'r',
      word: 'Fire',
      choices: [
        { word: 'Raked', kind: 'fire', body: { act: 'rake' } },
        { word: 'Thinned', kind: 'fire', body: { act: 'thin' } },
        { word: 'Bright and even', kind: 'observation', body: { seen: 'fire bright' } },
        { word: 'Dull or black', kind: 'observation', body: { seen: 'fire dull' } },
        { word: 'Charge alight', kind: 'observation', body: { seen: 'coal alight' } },
        { word: 'Black smoke', kind: 'observation', body: { seen: 'smoke black' } },
        valve(open('fire door') ? 'Door shut' : 'Door open', 'fire door', open('fire door') ? 0 : 1),
        { word: 'Dropped', kind: 'fire', body: { act: 'drop' } }
      ]
    });
  }
  if (f.cylinders.drains !== 'none' && f.cylinders.drains !== 'steam') {
    const isOpen = state.open.drains !== undefined;
    out.push({
      key: 'n',
      word: isOpen ? 'Drains shut' : 'Drains open',
      on: isOpen,
      touch: valve(isOpen ? 'drains shut' : 'drains open', 'drains', isOpen ? 0 : 1)
    });
  }
  if (f.control !== 'none') {
    const word = f.control === 'regulator' ? 'Regulator' : 'Steam cock';
    out.push({ key: 'g', word, more: stands(open('regulator'), 'shut', 'open'), choices: steps('regulator', `${word} shut`, 'Open') });
  }
  // Without a needle nobody reads where it lifts: that it does is among what is seen.
  if (f.gauge)
    out.push({
      key: 'v',
      word: 'Valve lift',
      choices: f.safetyValves.flatMap((v, i): Touch[] => {
        const at = state.pressure?.value ?? v.set;
        const shown = printText(at, 'pressure', units);
        const name = f.safetyValves.length > 1 ? `Valve ${i + 1}` : 'Valve';
        return [
          { word: `${name} lifts, ${shown}`, kind: 'lift', body: { valve: i + 1, lifted: at } },
          { word: `${name} reseats, ${shown}`, kind: 'lift', body: { valve: i + 1, reseated: at } }
        ];
      })
    });
  out.push({
    key: 'o',
    word: 'Oil',
    choices: [
      { word: 'Oil round done', kind: 'oil', body: { what: 'oil round' } },
      ...f.lubrication.slice(0, 5).map((x): Touch => ({ word: x.point, kind: 'oil', body: { what: x.point } }))
    ]
  });
  out.push({
    key: 's',
    word: 'Seen',
    choices: (
      [
        ['glass moving', 'Glass bobbing', f.glasses.length > 0],
        ['simmer', 'Simmering', true],
        ['feather', 'Feather at the valve', true],
        ['blowing off', 'Blowing off', true],
        ['priming', 'Priming', true],
        ['vapour', 'Vapour at the drains', f.cylinders.drains !== 'none'],
        ['exhaust dry', 'Vapour at the exhaust', f.cylinders.drains === 'none'],
        ['no draught', 'No draught', f.fire.with === 'solid'],
        ['whistle note', 'Whistle, full note', f.whistle],
        ['tray emptied', 'Tray emptied', f.exhaust === 'tray'],
        ['fire outside', 'Fire outside the boiler', !burnsOutside(state)],
        ['fire outside out', 'Fire outside is out', burnsOutside(state)]
      ] as const
    )
      .filter(([, , fitted]) => fitted)
      .map(([seen, word]) => ({ word, kind: 'observation' as const, body: { seen } }))
  });
  out.push(
    { key: 'x', word: 'Fault', form: 'fault' },
    { key: 'm', word: 'Note', form: 'note' },
    { key: 'j', word: 'Measure', opens: 'measure' }
  );
  return out;
}

/** Which lift is to be seen next of each valve: that it opens, then that it shuts. */
export function liftsToSee(f: FitOut, state: State, units: UnitChoice): Touch[] {
  const all = actionsOf(f, state, units).find((a) => a.key === 'v');
  return (all && 'choices' in all ? all.choices : []).filter(({ body }) => {
    const { valve, lifted } = body as Bodies['lift'];
    const of = state.lifts.filter((l) => l.valve === valve);
    const opened = of.some((l) => l.lifted !== undefined);
    return lifted === undefined ? opened && !of.some((l) => l.reseated !== undefined) : !opened;
  });
}

/** Faults that are found on the move, so that one is logged in two touches. */
export const commonFaults = (f: FitOut): string[] => [
  ...(f.feeds.some((x) => x.kind === 'injector') ? ['Injector will not pick up'] : []),
  ...(f.feeds.some((x) => x.kind.endsWith('pump')) ? ['Pump gland weeps'] : []),
  ...(f.feeds.length ? ['Clack passing back'] : []),
  'Safety valve weeps',
  ...(f.glasses.length ? ['Water slow to return in the glass'] : []),
  ...(f.whistle ? ['Whistle weeps'] : []),
  'Steam leak at a joint',
  ...(f.fire.with === 'solid' ? ['Blower weak'] : ['Burner unsteady'])
];
