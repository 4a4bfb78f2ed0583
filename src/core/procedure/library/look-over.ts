import type { StepRule } from '../step';
import {
  both,
  bores,
  bypassed,
  capital,
  carries,
  damper,
  drains,
  electric,
  feedsAt,
  gas,
  glass,
  hasFeed,
  listed,
  lubricated,
  names,
  not,
  onItsPin,
  p,
  pumps,
  rails,
  road,
  sentences,
  solid,
  spirit,
  wheels,
  fed
} from './fits';

/** Cold, before anything is put in. */
export const lookOver: readonly StepRule[] = [
  {
    key: 'papers',
    what: 'Papers in date',
    how: 'Boiler certificate and insurance in date, you are allowed on this engine, and no open fault forbids it.',
    why: 'The certificate is the only evidence that someone entitled has examined the boiler. Joram shows the dates; it does not judge the boiler.',
    minutes: 2
  },
  {
    key: 'carried',
    what: 'Read what was left from last time',
    how: (f) =>
      `Open faults, steps missed, how the boiler was left: ${listed(['wet or dry', lubricated('wick')(f) && 'wicks', 'joints', solid(f) && 'ash'])}.`,
    why: 'What was forgotten last time comes first this time.',
    minutes: 2
  },
  {
    key: 'place',
    when: spirit,
    what: 'Clear, level place; extinguisher to hand',
    how: 'A heatproof surface with a tray under the engine, away from curtains. A window open. Children a full arm’s length back.',
    why: 'A spilt flame runs where the fuel runs, and in daylight it may not be seen.',
    caution: 'An engine with unknown repairs is not fired until its boiler has been tested.',
    minutes: 3
  },
  {
    key: 'smokebox',
    round: 'fireside',
    when: both(solid, wheels),
    what: 'Smokebox clean and tight',
    how: 'Ash out. Blower jets and blast nozzle clear with a fine pricker. Door and joints seat all round.',
    why: 'Air that leaks in here is air that does not come through the fire: the engine will not draw.',
    minutes: 5,
    materials: ['smokebox brush', 'fine pricker']
  },
  {
    key: 'tubes',
    round: 'fireside',
    when: both(solid, wheels),
    what: 'Tubes clear, end to end',
    how: 'Look through each tube to the light. Brush any that are dull.',
    why: 'A millimetre of soot costs more heat than a broken fire bar.',
    minutes: 6,
    materials: ['flue brush of the tube’s bore']
  },
  {
    key: 'grate',
    round: 'fireside',
    when: solid,
    what: (f) =>
      f.fire.with === 'solid' && f.fire.gratePieces > 1 && f.size !== 'full'
        ? `Grate in, all ${f.fire.gratePieces} pieces in order`
        : 'Grate sound and seated',
    how: (f) =>
      f.fire.with === 'solid' && f.fire.ashpan === 'pins'
        ? 'No burnt or wasted bars. Free way for air beneath. Work the drop gear and have the pins to hand.'
        : 'No burnt or wasted bars. Free way for air beneath. Ashpan empty and its doors free.',
    why: 'The fire must be able to breathe now and to be got out in a hurry later.',
    minutes: 4
  },
  {
    key: 'firebox',
    round: 'fireside',
    when: solid,
    what: 'Firebox: crown, stays, seams dry',
    how: (f) =>
      `With a lamp: look for weeps, white streaks of scale, bulges${f.fusiblePlug ? ', and at the fusible plug for weeping' : ''}.`,
    why: 'This is the plate that fails when water is lost. A weep here is for the boiler examiner, not for a hopeful second look.',
    caution: 'Anything new or worse: do not light. Raise a fault.',
    minutes: 4,
    materials: ['lamp']
  },
  {
    key: 'doors',
    round: 'around',
    when: (f) => f.manholes + f.mudholes > 0,
    what: (f) => `Manhole and mudhole doors tight (${f.manholes + f.mudholes})`,
    how: 'Every door fitted, joint dated, nut firm. Feel for grit on the seat where one was off.',
    why: 'A door joint is remade cold. Under pressure it can only be watched.',
    minutes: 6
  },
  {
    key: 'valves-fitted',
    what: (f) => (f.safetyValves.length > 1 ? `${f.safetyValves.length} safety valves fitted and clear` : 'Safety valve fitted and clear'),
    how: (f) => `Nothing on, over or tied to them. Set at ${f.safetyValves.map((v) => p(v.set)).join(' and ')}. See when they last lifted.`,
    why: 'They are fitted before any heat or air goes in, always.',
    minutes: 2,
    must: true,
    evidence: 'tick'
  },
  {
    key: 'gauge-zero',
    shown: 'reading',
    when: (f) => f.gauge,
    what: 'Pressure gauge at zero, siphon filled',
    how: 'Needle on its stop, face readable from where you stand. Log it at nothing.',
    evidence: 'pressure reading',
    proof: () => ({ kind: 'at rest', atMost: onItsPin }),
    why: 'A gauge that does not start at zero does not tell the truth at the top either, and a dry siphon cooks it.',
    minutes: 1,
    must: true
  },
  {
    key: 'glass-clean',
    round: 'around',
    when: glass,
    what: (f) => (f.glasses.length > 1 ? 'Both glasses clean, cocks free' : 'Glass clean, cocks free'),
    how: (f) =>
      `Turn each cock through its travel and back to open. The glass should be clear enough to see a bubble.${f.glasses.some((g) => g.sharesSteam) ? ' This glass shares its steam pipe with another user: it can read high while that is open.' : ''}`,
    why: 'It is what you will look at all day.',
    minutes: 2,
    materials: ['rag']
  },
  {
    key: 'feeds-look',
    round: 'around',
    when: (f) => hasFeed('hand pump', 'axle pump', 'crosshead pump', 'crankshaft pump', 'injector')(f),
    what: 'Feeds complete, strainers clean',
    how: (f) => `${names(feedsAt(f))}: unions tight, strainer clean, clack not stuck.`.replace(/^./, (c) => c.toUpperCase()),
    why: (f) =>
      `${capital(listed([hasFeed('injector')(f) && 'an injector is stopped by a grain of dirt', pumps(f) && 'a pump by a hair under its ball'])).replace('A pump by', 'A pump is stopped by')}.`,
    minutes: 5
  },
  {
    key: 'fastenings',
    round: 'around',
    when: (f) => f.size !== 'tabletop',
    what: 'Round the engine: nothing loose',
    how: (f) => `Nuts, pins, cotters, ${wheels(f) ? 'wheels on their seats, ' : ''}cladding. After a first heat, nip up again.`,
    why: 'What is loose cold comes off hot.',
    minutes: 6,
    who: 'either'
  },
  {
    key: 'brakes',
    round: 'around',
    when: (f) => f.brakes.length > 0,
    what: (f) => (f.brakes.length > 1 ? 'Brakes free and working by hand' : 'Brake works'),
    how: (f) => `Apply, push, release. ${f.brakes.some((b) => b.isolator) ? 'Isolators open.' : ''}`.trim(),
    why: 'It holds the engine still while it is warmed through.',
    minutes: 2
  },
  {
    key: 'coupling',
    round: 'around',
    when: carries,
    what: 'Couplings and hoses pull-tested',
    how: 'Drawbar pin home and split. Pull each hose.',
    why: 'A train that parts on a raised track comes off it.',
    minutes: 2,
    who: 'either'
  },
  {
    key: 'road-gear',
    round: 'around',
    when: road,
    what: 'Steering, tyres and hubs',
    how: 'Chains or worm without slack, tyres or roll sound, hub pins in.',
    why: 'It must go where it is pointed before it goes at all.',
    minutes: 4,
    who: 'either'
  },
  {
    key: 'damper-free',
    round: 'around',
    when: damper,
    what: 'Damper works',
    how: 'Open, shut, and leave open.',
    why: 'It is the first thing to shut in trouble.',
    minutes: 1
  },
  {
    key: 'drains-free',
    round: 'around',
    when: both(drains, (f) => f.cylinders.drains === 'hand' || f.cylinders.drains === 'chest'),
    what: 'Drain cocks free',
    how: 'Work them through their travel.',
    why: 'A cock that will not open lets water be squeezed between piston and cover, and something breaks.',
    minutes: 1
  },
  {
    key: 'canister',
    proof: (f) => (fed(f) ? undefined : { kind: 'charged' }),
    asks: (f) => (f.fire.with === 'gas' && f.fire.empty === null && !fed(f) ? ['charge'] : ['canister']),
    when: gas,
    what: 'Canister filled, weighed, hand-tight',
    how: 'Filled outdoors, away from any flame. Weigh it and log it. Unions with two spanners.',
    why: 'The weight is the only fuel gauge gas has.',
    minutes: 3,
    opens: ['gas joint'],
    materials: ['two spanners', 'scales']
  },
  {
    key: 'gas-leak',
    when: gas,
    what: 'Leak test every gas joint',
    how: (f) =>
      sentences(
        'Leak fluid on each joint with the burner valve shut and the canister open. Watch for a slow minute.',
        f.fire.with === 'gas' && f.fire.joints.length > 0 && `${f.fire.joints.map((j) => j.name).join('; ')}.`
      ),
    why: 'A leak that is not lit yet is the one that burns you.',
    caution: 'Any bubble: shut the canister, remake the joint, test again. Never look for a leak with a flame.',
    minutes: 3,
    closes: ['gas joint'],
    shown: 'closed',
    proof: (f) => (f.fire.with === 'gas' && f.fire.joints.length ? { kind: 'joints', names: f.fire.joints.map((j) => j.name) } : undefined),
    must: true,
    materials: ['leak fluid']
  },
  {
    key: 'electrics',
    when: electric,
    what: 'Earth, fuse, flex and cover sound',
    how: 'Unplugged. No drips near the box, cover on, flex whole, plug dry. The socket has a residual-current breaker.',
    why: 'Water and mains share one box here.',
    minutes: 3,
    must: true
  },
  {
    key: 'bore-look',
    round: 'around',
    when: bores,
    what: 'Plug for the second chimney bore to hand',
    how: 'Put it where the fan is. It goes in before the fan goes on.',
    why: 'With the second bore open the fan draws air down it instead of through the fire.',
    minutes: 1,
    materials: ['plug for the second bore']
  },
  {
    key: 'bore-note',
    round: 'around',
    when: bores,
    what: 'Fan battery charged, adapter fits',
    how: 'Try the fan on the chimney for a second.',
    why: 'A fan that dies half-way leaves a fire that does too.',
    minutes: 1,
    materials: ['fan', 'adapter', 'charged battery']
  },
  {
    key: 'tender-look',
    round: 'around',
    when: both((f) => f.kind === 'tender locomotive', rails),
    what: (f) => `Tender: pipes, sieve${bypassed(f) ? ', bypass' : ''}`,
    how: (f) =>
      sentences(
        `Both water pipes on and clipped, sieve in${bypassed(f) ? ', bypass turns' : ''}.`,
        bypassed(f) && 'Say out loud which way sends water to the boiler.'
      ),
    why: (f) =>
      bypassed(f)
        ? 'A bypass handle tells you nothing. Know where the water goes.'
        : 'What is not joined here is not missed until it is wanted.',
    minutes: 2
  },
  {
    key: 'joint-look',
    round: 'around',
    when: not(solid),
    what: (f) => `${electric(f) ? 'Element' : 'Burner'} clean and seated`,
    how: (f) =>
      gas(f)
        ? 'Jet clear, burner square in its place.'
        : electric(f)
          ? 'No scale thicker than a card on the element.'
          : 'Burner tray clean and dry.',
    why: (f) => (electric(f) ? 'Scale keeps its heat in until it burns through.' : 'A burner out of place heats what it should not.'),
    minutes: 2
  },
  {
    key: 'water-kind',
    asks: (f) => (f.water.treatment === 'none' ? [] : ['treatment']),
    round: 'around',
    what: (f) => `Water to hand: ${f.water.kind}`,
    how: (f) =>
      sentences(
        f.tanks.length > 0 ? 'Enough for the fill and the tanks.' : 'Enough for the fill.',
        f.water.treatment === 'none'
          ? 'No treatment for this engine.'
          : `Treatment goes in the ${f.water.treatment}, dosed for the water actually changed: note the product, dose and litres.`
      ),
    why: (f) =>
      f.water.treatment === 'none'
        ? 'Scale is laid down a steaming at a time.'
        : 'Scale is laid down a steaming at a time, and treatment guessed at makes the boiler foam.',
    minutes: 3,
    who: 'either'
  },
  {
    key: 'blow-down-shut',
    round: 'around',
    when: (f) => f.blowDown,
    what: 'Blow-down shut',
    how: 'Feel it against its seat, cap or plug on.',
    why: 'A fill that leaves by the bottom is found out at the top.',
    sets: [{ valve: 'blow-down', open: 0 }],
    minutes: 1
  }
];
