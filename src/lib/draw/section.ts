import type { Boiler, FitOut } from '$core/engine';

/** A rectangle in metres: x to the right, z upward from the boiler's inside bottom. */
export interface Rect {
  x: number;
  z: number;
  w: number;
  h: number;
}

/** A boiler's section as lengths, ready to be drawn at any scale. */
export interface Section {
  /** Where water and steam can be. */
  shell: Rect[];
  /** What displaces water: firebox, flue, element. */
  dry: Rect[];
  /** Over the barrel, with steam in it. */
  dome?: Rect | undefined;
  /** Fire tubes, also dry; drawn thin. */
  tubes: Rect[];
  /** Grate bars or burner: a line. */
  fire?: { x: number; z: number; w: number };
  /** Where the glass stands, at which side. */
  glassX: number;
  /** Lengths that are dimensioned: along the bottom and up the end. */
  along: { from: number; to: number; z: number; word: string };
  up: { from: number; to: number; x: number; word: string };
}

const rows = (count: number, low: number, high: number) => {
  const n = count === 0 ? 0 : low === high ? 1 : Math.max(1, Math.round(Math.sqrt(count)));
  return Array.from({ length: n }, (_, i) => (n === 1 ? (low + high) / 2 : low + ((high - low) * i) / (n - 1)));
};

const flueDrum = (b: { diameter: number; length: number }, tubes: Rect[], dry: Rect[] = [], fire?: Section['fire']): Section => ({
  shell: [{ x: 0, z: 0, w: b.length, h: b.diameter }],
  dry,
  tubes,
  fire,
  glassX: -0.14 * b.length,
  along: { from: 0, to: b.length, z: 0, word: 'shell' },
  up: { from: 0, to: b.diameter, x: b.length, word: '' }
});

const sections: { [F in Boiler['form']]: (b: Extract<Boiler, { form: F }>) => Section } = {
  locomotive: (b) => {
    const box = { x: (b.wrapperLength - b.fireboxLength) / 2, z: -b.legs, w: b.fireboxLength, h: b.legs + b.crown };
    const end = b.wrapperLength + b.barrelLength;
    const roof = b.top === 'own' ? Math.max(b.barrelDiameter, (b.barrelDiameter + b.wrapperWidth) / 2) : b.barrelDiameter;
    // A dome is drawn as a pillar of its room, half a barrel high.
    const tall = b.barrelDiameter / 2;
    const dome = b.dome ? { w: Math.min(2 * tall, 2 * Math.sqrt(b.dome / tall / Math.PI)), h: tall } : undefined;
    return {
      shell: [
        { x: 0, z: -b.legs, w: b.wrapperLength, h: b.legs + roof },
        { x: b.wrapperLength, z: 0, w: b.barrelLength, h: b.barrelDiameter }
      ],
      dome: dome && { x: b.wrapperLength + 0.3 * b.barrelLength - dome.w / 2, z: b.barrelDiameter, ...dome },
      dry: [box],
      tubes: [
        ...rows(b.tubes.count, b.tubes.low, b.tubes.high).map((z) => ({ z: z - b.tubes.diameter / 2, h: b.tubes.diameter })),
        ...(b.flues.count ? [{ z: b.flues.centre - b.flues.diameter / 2, h: b.flues.diameter }] : [])
      ].map((t) => ({ x: box.x + box.w, w: end - box.x - box.w, ...t })),
      fire: { x: box.x, z: -b.legs + 0.08 * box.h, w: box.w },
      glassX: -0.06 * end,
      along: { from: b.wrapperLength, to: end, z: Math.min(0, -b.legs * 0.25), word: 'barrel' },
      up: { from: 0, to: b.barrelDiameter, x: end, word: '' }
    };
  },
  vertical: (b) => {
    const across = Math.max(1, Math.round(Math.sqrt(b.tubeCount)));
    const pitch = b.fireboxDiameter / (across + 1);
    return {
      shell: [{ x: 0, z: 0, w: b.diameter, h: b.height }],
      dry: [{ x: (b.diameter - b.fireboxDiameter) / 2, z: 0, w: b.fireboxDiameter, h: b.fireboxHeight }],
      tubes:
        b.tubeCount === 0
          ? []
          : Array.from({ length: across }, (_, i) => ({
              x: (b.diameter - b.fireboxDiameter) / 2 + pitch * (i + 1) - b.tubeDiameter / 2,
              z: b.fireboxHeight,
              w: b.tubeDiameter,
              h: b.height - b.fireboxHeight
            })),
      fire: { x: (b.diameter - b.fireboxDiameter) / 2, z: 0.1 * b.fireboxHeight, w: b.fireboxDiameter },
      glassX: -0.25 * b.diameter,
      along: { from: 0, to: b.diameter, z: 0, word: 'shell' },
      up: { from: 0, to: b.height, x: b.diameter, word: '' }
    };
  },
  horizontal: (b) => {
    const tubes = rows(b.tubes.count, b.tubes.low, b.tubes.high).map((z) => ({
      x: 0,
      z: z - b.tubes.diameter / 2,
      w: b.length,
      h: b.tubes.diameter
    }));
    const [flue] = tubes;
    return flueDrum(b, tubes, [], flue && { x: 0, z: flue.z + flue.h * 0.25, w: b.length * 0.55 });
  },
  'return flue': (b) => {
    const [flue, back] = [
      [b.flueCentre, b.flueDiameter],
      [b.returnCentre, b.returnDiameter]
    ].map(([centre, across]) => ({ x: 0, z: centre! - across! / 2, w: b.length, h: across! }));
    return flueDrum(b, [back!], [flue!], { x: 0, z: flue!.z + flue!.h * 0.25, w: b.length * 0.5 });
  },
  marine: (b) => {
    const floor = b.flueCentre - b.flueDiameter / 2;
    const top = Math.max(floor + b.flueDiameter, b.tubes.count ? b.tubes.high + b.tubes.diameter / 2 : 0);
    const furnace = { x: 0, z: floor, w: b.length - b.chamber, h: b.flueDiameter };
    const tubes = rows(b.tubes.count, b.tubes.low, b.tubes.high).map((z) => ({
      x: 0,
      z: z - b.tubes.diameter / 2,
      w: b.length - b.chamber,
      h: b.tubes.diameter
    }));
    return flueDrum(b, tubes, [furnace, { x: b.length - b.chamber, z: floor, w: b.chamber, h: top - floor }], {
      x: 0,
      z: floor + 0.3 * b.flueDiameter,
      w: 0.8 * (b.length - b.chamber)
    });
  },
  pot: (b) => flueDrum(b, [], [], { x: b.length * 0.2, z: -0.35 * b.diameter, w: b.length * 0.6 }),
  electric: (b) => {
    const rod = 2 * Math.sqrt(b.elementVolume / (Math.PI * b.length));
    return flueDrum(b, [], [{ x: b.length * 0.05, z: Math.max(0, b.elementTop - rod), w: b.length * 0.9, h: rod }]);
  }
};

/** A chimney as far as it was measured: its bore, broken off at the top as nobody asks how high it is, and the nozzle under it. */
export interface Chimney {
  /** Middle of each bore, m. */
  readonly bores: readonly number[];
  readonly bore: number;
  readonly from: number;
  readonly to: number;
  readonly nozzle?: { readonly z: number; readonly bore: number };
}

/** The chimney of a boiler with a smokebox at its end, or with one on top; undefined where its bore was not measured. */
export function chimneyOf({ boiler: b, fire }: Pick<FitOut, 'boiler' | 'fire'>): Chimney | undefined {
  if (fire.with !== 'solid' || fire.chimney === null || (b.form !== 'locomotive' && b.form !== 'vertical')) return undefined;
  const bore = fire.chimney;
  const upright = b.form === 'vertical';
  const [middle, top] = upright
    ? [b.diameter / 2, b.height]
    : [b.wrapperLength + b.barrelLength + bore * fire.chimneyBores, b.barrelDiameter];
  const bores = Array.from({ length: fire.chimneyBores }, (_, i) => middle + (i - (fire.chimneyBores - 1) / 2) * 1.25 * bore);
  const nozzle = fire.nozzle === null ? {} : { nozzle: { z: upright ? top : top / 2, bore: fire.nozzle } };
  return { bores, bore, from: upright ? top : 0.85 * top, to: top + 2 * bore, ...nozzle };
}

/** The section of a boiler, from its dimensions alone. */
export const sectionOf = (boiler: Boiler): Section => (sections[boiler.form] as (b: Boiler) => Section)(boiler);
