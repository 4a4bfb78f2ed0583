import type { FitOut } from '$core/engine';

/** A SIDE ELEVATION made from the fit-out: where its wheels, cylinders, motion, crank and gears are, and each oiling point on it. Units of the drawing. */

export interface Circle {
  readonly x: number;
  readonly y: number;
  readonly r: number;
}
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}
export interface Elevation {
  readonly wide: number;
  readonly high: number;
  readonly boxes: readonly Box[];
  readonly wheels: readonly Circle[];
  /** Polylines: rods, chimney, ground. */
  readonly lines: readonly (readonly (readonly [number, number])[])[];
  /** Where each point of the lubrication is, in its order. */
  readonly points: readonly { readonly name: string; readonly x: number; readonly y: number }[];
}

type Place =
  | 'cylinder'
  | 'crosshead'
  | 'rod'
  | 'coupling'
  | 'eccentric'
  | 'axle'
  | 'tender'
  | 'pump'
  | 'crank'
  | 'gear'
  | 'steering'
  | 'load'
  | 'body';

/** Which part of an engine a point’s own name speaks of: the first that it says. */
const places: readonly (readonly [RegExp, Place])[] = [
  [/tender/i, 'tender'],
  [/steer/i, 'steering'],
  [/roll|hub|axle/i, 'axle'],
  [/coupling/i, 'coupling'],
  [/slide|crosshead/i, 'crosshead'],
  [/connecting|rods?\b/i, 'rod'],
  [/eccentric|links?\b/i, 'eccentric'],
  [/gears?\b|differential/i, 'gear'],
  [/crank|main/i, 'crank'],
  [/cylinder|valve|port/i, 'cylinder'],
  [/pump/i, 'pump'],
  [/scoop|shaft|load/i, 'load']
];
const placeOf = (name: string): Place => places.find(([said]) => said.test(name))?.[1] ?? 'body';

type Drawn = Omit<Elevation, 'points'> & { readonly at: Readonly<Partial<Record<Place, readonly [number, number]>>> };
const rail = 44;
/** How far apart two marks stand. */
const apart = 7.4;

/** Wheels by the figures of its class, 0-4-2: leading, driving, trailing; two wheels are an axle. */
function locomotive({ description, kind }: FitOut): Drawn {
  const [, lead = '0', drive = '4', trail = '0'] = /(\d+)-(\d+)-(\d+)/.exec(description) ?? [];
  const axles = [lead, drive, trail].flatMap((n, i) => Array.from({ length: Math.min(4, Math.floor(Number(n) / 2)) }, () => i === 1));
  const tender = kind === 'tender locomotive';
  const end = tender ? 66 : 92;
  const wheels = axles.map((driving, i): Circle => {
    const r = driving ? 7 : 4.5;
    return { x: axles.length > 1 ? 26 + (i * (end - 40)) / (axles.length - 1) : 45, y: rail - r, r };
  });
  const driving = wheels.filter((w) => w.r === 7);
  const [first, last] = [driving[0] ?? wheels[0]!, driving.at(-1) ?? wheels[0]!];
  const main = driving[Math.min(1, driving.length - 1)] ?? first;
  const behind = tender ? [76, 90].map((x): Circle => ({ x, y: rail - 5, r: 5 })) : [];
  return {
    wide: 100,
    high: 48,
    boxes: [
      { x: 8, y: 14, w: end - 30, h: 14 },
      { x: end - 22, y: 8, w: 18, h: 26 },
      { x: 9, y: 31, w: 9, h: 6 },
      ...(tender ? [{ x: 70, y: 18, w: 27, h: 16 }] : [])
    ],
    wheels: [...wheels, ...behind],
    lines: [
      [
        [2, rail],
        [98, rail]
      ],
      [
        [12, 14],
        [12, 6],
        [16, 6],
        [16, 14]
      ],
      [
        [18, 34],
        [main.x, main.y + 2]
      ],
      [
        [first.x, first.y + 2],
        [last.x, last.y + 2]
      ]
    ],
    at: {
      cylinder: [13.5, 34],
      crosshead: [21, 34],
      rod: [(21 + main.x) / 2, 35],
      coupling: [(first.x + last.x) / 2, first.y + 2],
      eccentric: [main.x, main.y - 4],
      axle: [last.x, last.y],
      tender: [83, rail - 5],
      pump: [first.x - 4, rail - 3],
      crank: [main.x, main.y],
      body: [end - 30, 20]
    }
  };
}

const road = (): Drawn => ({
  wide: 100,
  high: 48,
  boxes: [
    { x: 14, y: 16, w: 46, h: 13 },
    { x: 58, y: 14, w: 14, h: 22 },
    { x: 40, y: 9, w: 12, h: 7 },
    { x: 72, y: 22, w: 20, h: 14 }
  ],
  wheels: [
    { x: 20, y: rail - 8, r: 8 },
    { x: 72, y: rail - 13, r: 13 },
    { x: 62, y: 12, r: 8 }
  ],
  lines: [
    [
      [2, rail],
      [98, rail]
    ],
    [
      [17, 16],
      [17, 3],
      [22, 3],
      [22, 16]
    ],
    [
      [52, 12],
      [62, 12]
    ]
  ],
  at: {
    cylinder: [46, 12],
    crosshead: [53, 12],
    rod: [57, 12],
    eccentric: [62, 8],
    crank: [62, 12],
    gear: [68, 21],
    axle: [72, rail - 13],
    steering: [20, rail - 8],
    pump: [55, 20],
    load: [62, 5],
    body: [30, 22],
    tender: [82, 28],
    coupling: [57, 14]
  }
});

const plant = (f: FitOut): Drawn => ({
  wide: 100,
  high: 48,
  boxes: [
    f.boiler.form === 'vertical' ? { x: 8, y: 8, w: 18, h: 34 } : { x: 4, y: 16, w: 30, h: 18 },
    { x: 44, y: 26, w: 14, h: 10 },
    { x: 40, y: 38, w: 56, h: 4 }
  ],
  wheels: [{ x: 82, y: 28, r: 13 }],
  lines: [
    [
      [2, 42],
      [98, 42]
    ],
    [
      [26, 20],
      [44, 28]
    ],
    [
      [58, 31],
      [82, 30]
    ]
  ],
  at: {
    cylinder: [51, 31],
    crosshead: [61, 31],
    rod: [70, 30],
    eccentric: [78, 24],
    crank: [82, 28],
    axle: [82, 28],
    gear: [86, 34],
    pump: [66, 37],
    load: [93, 28],
    body: [17, 26]
  }
});

export function elevationOf(f: FitOut): Elevation {
  const drawn =
    f.kind === 'tank locomotive' || f.kind === 'tender locomotive'
      ? locomotive(f)
      : f.kind === 'road engine' || f.kind === 'portable'
        ? road()
        : plant(f);
  const { at, ...rest } = drawn;
  const points: { name: string; x: number; y: number }[] = [];
  for (const { point: name } of f.lubrication) {
    let [x, y] = at[placeOf(name)] ?? at.body ?? [50, 25];
    // Room for a finger’s mark: what lies on another moves along, and above it at the end.
    while (points.some((p) => Math.hypot(p.x - x, p.y - y) < apart)) [x, y] = x + apart <= drawn.wide - 4 ? [x + apart, y] : [8, y - apart];
    points.push({ name, x, y: Math.max(3, y) });
  }
  return { ...rest, points };
}
