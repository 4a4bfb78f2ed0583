import type { Boiler } from './fit-out';

/** What the fire and its gas touch, of a boiler as it is drawn: plates around the fire, and the tubes that the gas goes through. */
export interface Fireside {
  /** Plates of the firebox or of the shell over the fire, m². */
  readonly box: number;
  /** Tubes or flues, and how long each of them is, m; their outside diameter, m. */
  readonly tubes: { readonly count: number; readonly length: number; readonly outside: number };
}

const none = { count: 0, length: 0, outside: 0 };

const of: { [F in Boiler['form']]: (b: Extract<Boiler, { form: F }>) => Fireside } = {
  locomotive: (b) => ({
    box: 2 * (b.fireboxLength + b.fireboxWidth) * (b.legs + b.crown) + b.fireboxLength * b.fireboxWidth,
    // Flues as so many more tubes of the same way for the gas; half of each is taken up by its element.
    tubes: {
      count: b.tubes.count + (b.tubes.count ? 0.5 * b.flues.count * (b.flues.diameter / b.tubes.diameter) ** 2 : b.flues.count),
      length: b.barrelLength,
      outside: b.tubes.count ? b.tubes.diameter : b.flues.diameter
    }
  }),
  vertical: (b) => ({
    box: Math.PI * b.fireboxDiameter * b.fireboxHeight + (Math.PI / 4) * b.fireboxDiameter ** 2,
    tubes: { count: b.tubeCount, length: b.height - b.fireboxHeight, outside: b.tubeDiameter }
  }),
  // One flue has the fire in its first half; of several the fire lies under the shell, and they bring the gas back.
  horizontal: (b) =>
    b.tubes.count === 1
      ? {
          box: (Math.PI * b.tubes.diameter * b.length) / 2,
          tubes: { count: 1, length: b.length / 2, outside: b.tubes.diameter }
        }
      : {
          box: (Math.PI * b.diameter * b.length) / 3,
          tubes: { count: b.tubes.count, length: b.length, outside: b.tubes.diameter }
        },
  // The fire lies in the first half of its flue; what is left of it and the way back are one long flue of the returning one's bore.
  'return flue': (b) => ({
    box: (Math.PI * b.flueDiameter * b.length) / 2,
    tubes: { count: 1, length: 1.5 * b.length, outside: b.returnDiameter }
  }),
  marine: (b) => ({
    box: Math.PI * b.flueDiameter * (b.length - b.chamber) + 2 * b.chamber * (b.flueDiameter + Math.max(0, b.tubes.high - b.flueCentre)),
    tubes: { count: b.tubes.count, length: b.length - b.chamber, outside: b.tubes.diameter }
  }),
  pot: (b) => ({ box: (Math.PI * b.diameter * b.length) / 2, tubes: none }),
  electric: (b) => ({ box: (Math.PI * b.diameter * b.length) / 2, tubes: none })
};

/** The fireside of a boiler, from its dimensions: closed forms. */
export const firesideOf = (boiler: Boiler): Fireside => (of[boiler.form] as (b: Boiler) => Fireside)(boiler);
