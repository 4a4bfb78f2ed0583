import { Refusal } from '../units';
import type { Boiler, FitOut } from './fit-out';

/**
 * A piece of a boiler that water can stand in, or that keeps water out: its volume below a height, in closed form.
 * Heights in m above the inside bottom of the barrel or shell; volumes in m³.
 */
interface Part {
  readonly sign: 1 | -1;
  readonly below: (z: number) => number;
}

const clamp = (x: number, a: number, b: number) => Math.min(b, Math.max(a, x));

/** A box or upright cylinder of one plan area, from one height to another. */
const prism = (sign: 1 | -1, area: number, from: number, to: number): Part => ({
  sign,
  below: (z) => area * (clamp(z, from, to) - from)
});

/** Area of the part of a circle that lies below a height above its lowest point, m². */
export function segmentArea(radius: number, height: number): number {
  const h = clamp(height, 0, 2 * radius);
  return radius * radius * Math.acos(1 - h / radius) - (radius - h) * Math.sqrt(h * (2 * radius - h));
}

/** A lying cylinder whose lowest point is at `from`; only what is above `over` counts. */
const lying = (sign: 1 | -1, radius: number, length: number, from: number, over = -Infinity): Part => {
  const under = length * segmentArea(radius, over - from);
  return { sign, below: (z) => Math.max(0, length * segmentArea(radius, z - from) - under) };
};

/** Tubes in about √n rows, each with an equal share, evenly between the lowest and the highest centre. */
function tubeRows(count: number, diameter: number, low: number, high: number, length: number): Part[] {
  if (count === 0) return [];
  const rows = low === high ? 1 : Math.max(1, Math.round(Math.sqrt(count)));
  return Array.from({ length: rows }, (_, i) => {
    const centre = rows === 1 ? (low + high) / 2 : low + ((high - low) * i) / (rows - 1);
    return lying(-1, diameter / 2, (length * count) / rows, centre - diameter / 2);
  });
}

export interface BoilerShape {
  /** Lowest and highest place where water can be, m; the top of barrel or shell, without a dome. */
  readonly bottom: number;
  readonly top: number;
  readonly roof: number;
  /** Highest plate or tube that the fire heats, m: water must cover it. */
  readonly heated: number;
  /** All the room for water and steam, m³. */
  readonly total: number;
  /** Volume below a height, m³: monotone. */
  readonly volume: (height: number) => number;
}

type Locomotive = Extract<Boiler, { form: 'locomotive' }>;
/** The wrapper, by its top: legs to the barrel's centre, then what closes it. */
const wrapperTops: Record<Locomotive['top'], (b: Locomotive, r: number, plan: number) => Part[]> = {
  barrel: (b, r, plan) => [prism(1, plan, -b.legs, r), lying(1, r, b.wrapperLength, 0, r)],
  own: (b, r, plan) => [prism(1, plan, -b.legs, r), lying(1, b.wrapperWidth / 2, b.wrapperLength, r - b.wrapperWidth / 2, r)],
  flat: (b, _, plan) => [prism(1, plan, -b.legs, b.barrelDiameter)]
};

const partsOf: {
  [F in Boiler['form']]: (b: Extract<Boiler, { form: F }>) => { parts: Part[]; bottom: number; top: number; roof?: number; heated: number };
} = {
  locomotive: (b) => {
    const r = b.barrelDiameter / 2;
    const plan = b.wrapperLength * b.wrapperWidth;
    const roof = b.top === 'own' ? Math.max(b.barrelDiameter, r + b.wrapperWidth / 2) : b.barrelDiameter;
    // A dome as a pillar of its room, half a barrel high: only its steam counts.
    const dome = b.dome ? r : 0;
    return {
      parts: [
        lying(1, r, b.barrelLength, 0),
        ...wrapperTops[b.top](b, r, plan),
        prism(-1, b.fireboxLength * b.fireboxWidth, -b.legs, b.crown),
        ...tubeRows(b.tubes.count, b.tubes.diameter, b.tubes.low, b.tubes.high, b.barrelLength),
        ...tubeRows(b.flues.count, b.flues.diameter, b.flues.centre, b.flues.centre, b.barrelLength),
        ...(b.dome ? [prism(1, b.dome / dome, roof, roof + dome)] : [])
      ],
      bottom: -b.legs,
      top: roof + dome,
      roof,
      heated: Math.max(
        b.crown,
        b.tubes.count ? b.tubes.high + b.tubes.diameter / 2 : 0,
        b.flues.count ? b.flues.centre + b.flues.diameter / 2 : 0
      )
    };
  },
  vertical: (b) => ({
    parts: [
      prism(1, (Math.PI / 4) * b.diameter ** 2, 0, b.height),
      prism(-1, (Math.PI / 4) * b.fireboxDiameter ** 2, 0, b.fireboxHeight),
      prism(-1, ((b.tubeCount * Math.PI) / 4) * b.tubeDiameter ** 2, b.fireboxHeight, b.height)
    ],
    bottom: 0,
    top: b.height,
    // The tubes of a vertical boiler run up through the steam: the crown is what must stay covered.
    heated: b.fireboxHeight
  }),
  horizontal: (b) => ({
    parts: [lying(1, b.diameter / 2, b.length, 0), ...tubeRows(b.tubes.count, b.tubes.diameter, b.tubes.low, b.tubes.high, b.length)],
    bottom: 0,
    top: b.diameter,
    heated: b.tubes.count ? b.tubes.high + b.tubes.diameter / 2 : 0
  }),
  'return flue': (b) => ({
    parts: [
      lying(1, b.diameter / 2, b.length, 0),
      lying(-1, b.flueDiameter / 2, b.length, b.flueCentre - b.flueDiameter / 2),
      lying(-1, b.returnDiameter / 2, b.length, b.returnCentre - b.returnDiameter / 2)
    ],
    bottom: 0,
    top: b.diameter,
    heated: Math.max(b.flueCentre + b.flueDiameter / 2, b.returnCentre + b.returnDiameter / 2)
  }),
  marine: (b) => {
    const roof = Math.max(b.flueCentre + b.flueDiameter / 2, b.tubes.count ? b.tubes.high + b.tubes.diameter / 2 : 0);
    const floor = b.flueCentre - b.flueDiameter / 2;
    return {
      parts: [
        lying(1, b.diameter / 2, b.length, 0),
        lying(-1, b.flueDiameter / 2, b.length - b.chamber, floor),
        // The chamber as a box as wide as the furnace, from its floor to over the tubes.
        prism(-1, b.chamber * b.flueDiameter, floor, roof),
        ...tubeRows(b.tubes.count, b.tubes.diameter, b.tubes.low, b.tubes.high, b.length - b.chamber)
      ],
      bottom: 0,
      top: b.diameter,
      heated: roof
    };
  },
  pot: (b) => ({ parts: [lying(1, b.diameter / 2, b.length, 0)], bottom: 0, top: b.diameter, heated: b.diameter * 0.25 }),
  electric: (b) => {
    // The element lies along the boiler: a rod of the volume it displaces, its top at the given height.
    const rod = Math.sqrt(b.elementVolume / (Math.PI * b.length));
    return {
      parts: [lying(1, b.diameter / 2, b.length, 0), lying(-1, rod, b.length, Math.max(0, b.elementTop - 2 * rod))],
      bottom: 0,
      top: b.diameter,
      heated: b.elementTop
    };
  }
};

/** The room inside a boiler, from its dimensions: closed forms, no table. Cold; for a hot shell see `shellGrowth`. */
export function boilerShape(boiler: Boiler): BoilerShape {
  const { parts, ...heights } = (partsOf[boiler.form] as (b: Boiler) => ReturnType<(typeof partsOf)['pot']>)(boiler);
  const volume = (z: number) => parts.reduce((sum, part) => sum + part.sign * part.below(z), 0);
  return { roof: heights.top, ...heights, volume, total: volume(heights.top) };
}

/**
 * The height at which a volume of water stands, m.
 * @param volume m³, from 0 to the boiler's total
 * @throws Refusal outside that range
 */
export function heightOf(shape: BoilerShape, volume: number): number {
  if (!(volume >= 0 && volume <= shape.total * (1 + 1e-12))) throw new Refusal('volume', 'That much water does not fit into this boiler.');
  let [low, high] = [shape.bottom, shape.top];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (shape.volume(middle) < volume) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Height of a level seen in a glass, m. @throws Refusal when the engine has no such glass */
export function glassHeight(fitOut: FitOut, level: number, which = 0): number {
  const glass = fitOut.glasses[which];
  if (!glass) throw new Refusal('glass', 'This engine has no gauge glass.');
  return glass.bottomNut + level * (glass.topNut - glass.bottomNut);
}

/** The glass reading for a height: below 0 or above 1 when the water stands in or beyond a nut. */
export function glassLevel(fitOut: FitOut, height: number, which = 0): number {
  const glass = fitOut.glasses[which];
  if (!glass) throw new Refusal('glass', 'This engine has no gauge glass.');
  return (height - glass.bottomNut) / (glass.topNut - glass.bottomNut);
}

/** Linear expansion, 1/K: usual engineering values. */
const expansion = { copper: 17e-6, brass: 19e-6, steel: 12e-6 } as const;

/** How much a boiler's volume has grown at a temperature, as a factor: 1 + 3α(T − 20 °C). */
export const shellGrowth = (material: keyof typeof expansion, T: number): number => 1 + 3 * expansion[material] * (T - 293.15);
