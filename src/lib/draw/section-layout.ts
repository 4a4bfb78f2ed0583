import { boilerShape, type FitOut, glassHeight, heightOf } from '$core/engine';
import { printGlass, printText, type UnitChoice } from '$core/units';
import { chimneyOf, sectionOf } from './section';

/** A level that matters, at its height. */
export interface Level {
  /** m above the barrel's bottom */ readonly z: number;
  readonly word: string;
  readonly kind: 'water' | 'cold' | 'low' | 'plain';
}

/** The levels of an engine from the top: of its glass, or of its measured fill. @param start what to fill to @param cold m³ */
function levelsOf(fitOut: FitOut, start: number | undefined, cold: number | undefined, units: UnitChoice): Level[] {
  const shape = boilerShape(fitOut.boiler);
  const [glass] = fitOut.glasses;
  const levels: Level[] = [{ z: shape.heated, word: `hottest metal, ${printText(shape.heated, 'length', units)} up`, kind: 'plain' }];
  if (glass) {
    levels.push(
      { z: glass.topNut, word: 'top nut', kind: 'plain' },
      {
        z: glassHeight(fitOut, fitOut.levels.wanted),
        word: `${printGlass(fitOut.levels.wanted)} hot at ${printText(fitOut.workingPressure, 'pressure', units)}`,
        kind: 'water'
      },
      { z: glassHeight(fitOut, fitOut.levels.lowest), word: 'lowest running level', kind: 'low' },
      { z: glass.bottomNut, word: 'bottom nut', kind: 'plain' }
    );
    if (start !== undefined) {
      const word = `fill cold to ${printGlass(start)}${cold === undefined ? '' : `, ${printText(cold, 'volume', units)}`}`;
      levels.push({ z: glassHeight(fitOut, start), word, kind: 'cold' });
    }
  } else if (start !== undefined)
    levels.push({
      z: heightOf(shape, Math.min(start, shape.total)),
      word: `measured fill, ${printText(start, 'volume', units)}`,
      kind: 'water'
    });
  return levels.sort((a, b) => b.z - a.z);
}

/** Words beside a column of levels: pushed apart downwards, then kept above the lower edge. */
function pushedApart(wanted: readonly number[], gap: number, lowest: number): number[] {
  let last = -Infinity;
  const ys = wanted.map((y) => (last = Math.max(y, last + gap)));
  for (let i = ys.length - 1, limit = lowest; i >= 0 && ys[i]! > limit; i--, limit = ys[i + 1]! - gap) ys[i] = limit;
  return ys;
}

/**
 * Where everything of a boiler's section stands on a sheet of this width, to scale.
 * @param wanted height of the drawing, px @param valueOf figures of the engine, by key
 */
export function sectionLayout(
  fitOut: FitOut,
  { width, wanted, units, valueOf }: { width: number; wanted: number; units: UnitChoice; valueOf: (key: string) => number | undefined }
) {
  const shape = boilerShape(fitOut.boiler);
  const section = sectionOf(fitOut.boiler);
  const chimney = chimneyOf(fitOut);
  const [glass] = fitOut.glasses;
  /** On a narrow sheet the enlarged glass stands under the boiler instead of beside it. */
  const stacked = width < 600 && glass !== undefined;
  const boilerTall = stacked ? Math.min(wanted, width * 0.42 + 70) : wanted;
  const height = stacked ? boilerTall + 250 : wanted;

  const all = [
    ...section.shell,
    ...(section.dome ? [section.dome] : []),
    ...section.dry,
    ...(chimney
      ? chimney.bores.map((x) => ({ x: x - chimney.bore / 2, z: chimney.from, w: chimney.bore, h: chimney.to - chimney.from }))
      : []),
    ...(section.fire ? [{ ...section.fire, h: 0 }] : [])
  ];
  const bounds = {
    x0: Math.min(section.glassX - 0.03 * shape.top, ...all.map((r) => r.x)),
    x1: Math.max(...all.map((r) => r.x + r.w)),
    z0: Math.min(...all.map((r) => r.z)),
    z1: Math.max(...all.map((r) => r.z + r.h))
  };
  /** Room for leaders at the right, dimensions below. */
  const margin = { left: 26, right: stacked ? 24 : glass ? 268 : width < 560 ? 150 : 200, top: 22, bottom: 46 };
  const [wide, tall] = [width - margin.left - margin.right, boilerTall - margin.top - margin.bottom];
  const scale = Math.max(1, Math.min(wide / (bounds.x1 - bounds.x0), tall / (bounds.z1 - bounds.z0)));
  /** What is narrower than the sheet stands in its middle. */
  const [aside, above] = [Math.max(0, (wide - (bounds.x1 - bounds.x0) * scale) / 2), (tall - (bounds.z1 - bounds.z0) * scale) / 2];
  const px = (x: number) => margin.left + aside + (x - bounds.x0) * scale;
  const py = (z: number) => margin.top + above + (bounds.z1 - z) * scale;
  const end = px(bounds.x1);

  /** The glass again, larger: its levels lie too close together at the boiler's own scale. */
  const enlarge = (g: NonNullable<typeof glass>) => {
    const long = g.topNut - g.bottomNut;
    const low = Math.max(Math.min(g.bottomNut, shape.heated) - 0.06 * long, g.bottomNut - long * 0.5);
    const top = stacked ? boilerTall : margin.top;
    const room = (stacked ? 250 : height - margin.top) - 84;
    const y = (z: number) => top + 30 + ((g.topNut - z) / (g.topNut - low)) * room;
    return { x: stacked ? 48 : end + 52, y, low, nuts: [y(g.topNut), y(g.bottomNut)] as const, times: room / (g.topNut - low) / scale };
  };
  const detail = glass && enlarge(glass);

  const levels = levelsOf(fitOut, valueOf('start'), valueOf('cold'), units);
  const told = detail ? levels.filter(({ z }) => z >= detail.low) : levels;
  const ys = pushedApart(
    told.map(({ z }) => (detail?.y ?? py)(z) + 5),
    24,
    height - 12
  );
  return {
    section,
    chimney,
    bounds,
    stacked,
    height,
    scale,
    px,
    py,
    end,
    detail,
    levels,
    /** The levels with the place of their words. */
    placed: told.map((level, i) => ({ ...level, y: ys[i]! })),
    dimY: py(bounds.z0) + 22,
    waterTop: levels.find((l) => l.kind === 'water')?.z ?? 0
  };
}
