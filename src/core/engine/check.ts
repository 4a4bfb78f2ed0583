import type Joi from 'joi';
import { printText, usualUnits } from '../units';
import type { Problem } from '../form';
import { joiOf, problemsOf } from '../form/joi';
import { type FitOut, fitOutField } from './fit-out';
import { boilerShape } from './geometry';
import { fitOutOf } from './upcast';

const show = (x: number) => printText(x, 'length', usualUnits);

/** Rules between fields, which no single field can know. Each names the field that is most likely wrong. */
const rules: readonly ((f: FitOut) => Problem | false)[] = [
  ({ boiler: b }) =>
    b.form === 'locomotive' &&
    b.fireboxWidth >= b.wrapperWidth && {
      path: 'boiler.fireboxWidth',
      sentence: `The firebox (${show(b.fireboxWidth)}) must be narrower than the wrapper around it (${show(b.wrapperWidth)}).`
    },
  ({ boiler: b }) =>
    b.form === 'locomotive' &&
    b.fireboxLength >= b.wrapperLength && {
      path: 'boiler.fireboxLength',
      sentence: `The firebox (${show(b.fireboxLength)}) must be shorter than the wrapper around it (${show(b.wrapperLength)}).`
    },
  ({ boiler: b }) =>
    b.form === 'locomotive' &&
    b.crown >= b.barrelDiameter && {
      path: 'boiler.crown',
      sentence: `The crown (${show(b.crown)}) must lie below the top of the boiler (${show(b.barrelDiameter)}).`
    },
  ({ boiler: b }) =>
    b.form === 'locomotive' &&
    b.top === 'barrel' &&
    b.wrapperWidth > b.barrelDiameter && {
      path: 'boiler.wrapperWidth',
      sentence: `Below the barrel’s centre the wrapper (${show(b.wrapperWidth)}) may not be wider than the barrel (${show(b.barrelDiameter)}) whose radius its top has: choose another top.`
    },
  ({ boiler: b }) =>
    b.form === 'vertical' &&
    b.fireboxDiameter >= b.diameter && {
      path: 'boiler.fireboxDiameter',
      sentence: `The firebox (${show(b.fireboxDiameter)}) must be narrower than the shell (${show(b.diameter)}).`
    },
  ({ boiler: b }) =>
    b.form === 'vertical' &&
    b.fireboxHeight >= b.height && {
      path: 'boiler.fireboxHeight',
      sentence: `The crown (${show(b.fireboxHeight)}) must lie below the top of the shell (${show(b.height)}).`
    },
  ({ boiler: b }) =>
    'tubes' in b &&
    b.tubes.low > b.tubes.high && {
      path: 'boiler.tubes.low',
      sentence: `The lowest row of tubes (${show(b.tubes.low)}) cannot be above the highest (${show(b.tubes.high)}).`
    },
  ({ boiler: b }) => {
    if (!('tubes' in b)) return false;
    const across = b.form === 'locomotive' ? b.barrelDiameter : b.diameter;
    return (
      b.tubes.count > 0 &&
      b.tubes.high + b.tubes.diameter / 2 >= across && {
        path: 'boiler.tubes.high',
        sentence: `The highest tubes reach ${show(b.tubes.high + b.tubes.diameter / 2)}, which is outside a barrel of ${show(across)}.`
      }
    );
  },
  ({ boiler: b }) =>
    b.form === 'locomotive' &&
    b.flues.count > 0 &&
    (b.flues.centre + b.flues.diameter / 2 >= b.barrelDiameter || b.flues.centre < b.flues.diameter / 2) && {
      path: 'boiler.flues.centre',
      sentence: `Flues of ${show(b.flues.diameter)} with their centre ${show(b.flues.centre)} up do not lie inside a barrel of ${show(b.barrelDiameter)}.`
    },
  ({ boiler: b }) =>
    b.form === 'locomotive' &&
    b.dome !== null &&
    b.dome > 0.25 * (boilerShape(b).total - b.dome) && {
      path: 'boiler.dome',
      sentence: `A dome of ${printText(b.dome, 'volume', usualUnits)} on a boiler of ${printText(boilerShape(b).total - b.dome, 'volume', usualUnits)} is not likely: give a quarter of that at most.`
    },
  ({ boiler: b }) => {
    if (b.form !== 'return flue' && b.form !== 'marine') return false;
    const inside = (centre: number, across: number) => centre >= across / 2 && centre + across / 2 < b.diameter;
    if (!inside(b.flueCentre, b.flueDiameter))
      return {
        path: 'boiler.flueCentre',
        sentence: `A flue of ${show(b.flueDiameter)} with its centre ${show(b.flueCentre)} up does not lie inside a shell of ${show(b.diameter)}.`
      };
    if (b.form === 'return flue')
      return (
        !inside(b.returnCentre, b.returnDiameter) && {
          path: 'boiler.returnCentre',
          sentence: `A flue of ${show(b.returnDiameter)} with its centre ${show(b.returnCentre)} up does not lie inside a shell of ${show(b.diameter)}.`
        }
      );
    return (
      b.chamber >= b.length && {
        path: 'boiler.chamber',
        sentence: `The combustion chamber (${show(b.chamber)}) must be shorter than the shell (${show(b.length)}).`
      }
    );
  },
  ({ boiler: b }) =>
    !(boilerShape(b).total > 0) && {
      path: 'boiler',
      sentence: 'With these dimensions there is no room for water: the firebox and tubes fill the boiler.'
    },
  (f) => {
    const { heated, roof } = boilerShape(f.boiler);
    for (const [i, g] of f.glasses.entries()) {
      if (g.bottomNut <= heated)
        return {
          path: `glasses.${i}.bottomNut`,
          sentence: `The bottom nut (${show(g.bottomNut)}) must be above the highest heated plate or tube (${show(heated)}): otherwise the glass shows water while metal is dry.`
        };
      if (g.topNut <= g.bottomNut)
        return {
          path: `glasses.${i}.topNut`,
          sentence: `The top nut (${show(g.topNut)}) must be above the bottom nut (${show(g.bottomNut)}).`
        };
      if (g.topNut >= roof)
        return {
          path: `glasses.${i}.topNut`,
          sentence: `The top nut (${show(g.topNut)}) must be below the inside top of the boiler (${show(roof)}).`
        };
    }
    return false;
  },
  (f) =>
    f.levels.lowest >= f.levels.ceiling && {
      path: 'levels.lowest',
      sentence: 'The lowest running level must be under the highest level to leave with.'
    },
  (f) =>
    (f.levels.wanted < f.levels.lowest || f.levels.wanted > f.levels.ceiling) && {
      path: 'levels.wanted',
      sentence: 'The wanted level must lie between the lowest running level and the highest.'
    },
  (f) =>
    f.glasses.length === 0 &&
    f.fill === null && {
      path: 'fill',
      sentence: 'An engine without a glass needs a measured fill: give the volume of water that goes in cold.'
    },
  (f) =>
    f.fill !== null &&
    f.fill >= boilerShape(f.boiler).total && {
      path: 'fill',
      sentence: `The measured fill must be less than the boiler holds (${printText(boilerShape(f.boiler).total, 'volume', usualUnits)}).`
    },
  (f) =>
    f.glasses.length === 0 &&
    f.feeds.every((x) => x.kind === 'bottle') &&
    f.runLimit === null && {
      path: 'runLimit',
      sentence: 'An engine with no glass and no feed under pressure needs a longest run on one fill.'
    },
  ({ fire }) => {
    if (fire.with !== 'gas') return false;
    const i = fire.burners.findIndex((b, j) => fire.burners.some((c, k) => k < j && c.name.toLowerCase() === b.name.toLowerCase()));
    return (
      i >= 0 && {
        path: `fire.burners.${i}.name`,
        sentence: `Two burners are called “${fire.burners[i]!.name}”: which of them is lit, heard or lost is told by name.`
      }
    );
  },
  ({ fire }) => {
    if (fire.with !== 'gas') return false;
    const i = fire.burners.findIndex((b) => b.lightUp !== null && b.running !== null && b.lightUp > b.running);
    return (
      i >= 0 && {
        path: `fire.burners.${i}.lightUp`,
        sentence: 'A burner is lit low and turned up: it cannot be lit with its valve further open than it runs.'
      }
    );
  },
  ({ fire }) =>
    fire.with === 'spirit' &&
    fire.fuel !== 'tablets' &&
    fire.pieces !== null && { path: 'fire.pieces', sentence: `Only tablets are counted: leave this empty for ${fire.fuel}.` },
  ({ roams, circuit }) =>
    roams !== 'circuit' &&
    circuit !== null && { path: 'circuit', sentence: 'Only an engine that runs round a circuit has a length of one: leave this empty.' },
  (f) => {
    const i = f.safetyValves.findIndex((v) => v.set > f.workingPressure * 1.1);
    return (
      i >= 0 && {
        path: `safetyValves.${i}.set`,
        sentence: `A safety valve set more than a tenth above the working pressure (${printText(f.workingPressure, 'pressure', usualUnits)}) cannot protect the boiler.`
      }
    );
  }
];

let compiled: Joi.Schema | undefined;

/** The Joi schema of the document: also what the published JSON Schema is made from. */
export const fitOutSchema = (): Joi.Schema => (compiled ??= joiOf(fitOutField));

/** What is of no known version is left as it is: its format is refused at its field, with everything else that is wrong. */
function broughtUp(document: unknown): unknown {
  try {
    return fitOutOf(document);
  } catch {
    return document;
  }
}

/**
 * Checks a fit-out document. One of an earlier version is brought up to today’s first.
 * @returns the document with texts trimmed, or every problem with its path and a sentence for its field
 */
export function checkFitOut(document: unknown): { fitOut: FitOut } | { problems: Problem[] } {
  const today = broughtUp(document);
  const { error, value } = fitOutSchema().validate(today, { abortEarly: false, convert: true });
  if (error) return { problems: problemsOf(fitOutField, error, today) };
  const fitOut = value as FitOut;
  const problems = rules.map((rule) => rule(fitOut)).filter((p) => p !== false);
  return problems.length ? { problems } : { fitOut };
}
