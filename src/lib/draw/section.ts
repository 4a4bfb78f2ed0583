import type { Boiler } from '$core/engine';

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
    return {
      shell: [
        { x: 0, z: -b.legs, w: b.wrapperLength, h: b.legs + b.barrelDiameter },
        { x: b.wrapperLength, z: 0, w: b.barrelLength, h: b.barrelDiameter }
      ],
      dry: [box],
      tubes: rows(b.tubes.count, b.tubes.low, b.tubes.high).map((z) => ({
        x: box.x + box.w,
        z: z - b.tubes.diameter / 2,
        w: end - box.x - box.w,
        h: b.tubes.diameter
      })),
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
  pot: (b) => flueDrum(b, [], [], { x: b.length * 0.2, z: -0.35 * b.diameter, w: b.length * 0.6 }),
  electric: (b) => {
    const rod = 2 * Math.sqrt(b.elementVolume / (Math.PI * b.length));
    return flueDrum(b, [], [{ x: b.length * 0.05, z: Math.max(0, b.elementTop - rod), w: b.length * 0.9, h: rod }]);
  }
};

/** The section of a boiler, from its dimensions alone. */
export const sectionOf = (boiler: Boiler): Section => (sections[boiler.form] as (b: Boiler) => Section)(boiler);
