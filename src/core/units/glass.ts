import { parseNumber } from './parse';

/**
 * What was seen in a gauge glass: a height as a fraction of the visible glass (0 at the bottom nut, 1 at the top nut),
 * or that the water stood in a nut, or that none was seen. In the bottom nut the level is unknown and low.
 */
export type Glass = number | 'bottom nut' | 'top nut' | 'not seen';

/** Whether a fraction of the glass was actually seen, so that it can be used as a level. */
export const isLevel = (glass: Glass): glass is number => typeof glass === 'number';

const spoken: readonly (readonly [RegExp, Glass])[] = [
  [/^(just )?(above|over) (the )?bottom nut$/, 0.05],
  [/^(just )?(below|under) (the )?top nut$/, 0.95],
  [/^(in )?(the )?bottom nut$|^(just )?(below|under) (the )?(bottom )?nut$/, 'bottom nut'],
  [/^(in )?(the )?top nut$|^(just )?(above|over) (the )?top nut$|^full$/, 'top nut'],
  [/^(no water|not seen|no glass|nothing|out of sight|cannot see( it)?|can't see( it)?|empty)$/, 'not seen'],
  [/^(a )?half( a)?( glass)?( full)?$/, 1 / 2],
  [/^(one |a )?third( of a| a)?( glass)?$/, 1 / 3],
  [/^two[ -]thirds( of a| a)?( glass)?$/, 2 / 3],
  [/^(one |a )?quarter( of a| a)?( glass)?$/, 1 / 4],
  [/^three[ -]quarters( of a| a)?( glass)?$/, 3 / 4],
  [/^(a |one )?full glass$/, 1]
];

const step = 0.06;

/**
 * A glass as people write or say it: `½`, `1/2`, `half a glass`, `just above bottom nut`, `just over half`, `40%`, `0.4`.
 * @returns undefined when it is none of these or lies outside the glass
 */
export function parseGlass(text: string): Glass | undefined {
  const t = text
    .trim()
    .toLowerCase()
    .replace(/\s+/g, ' ')
    .replace(/ (of|in|on) the glass$/, '')
    .replace(/ glass(es)?$/, '');
  if (!t) return undefined;
  for (const [pattern, glass] of spoken) if (pattern.test(t)) return glass;
  const near = /^(?:just |a bit |a little )?(over|above|under|below) (.+)$/.exec(t);
  if (near) {
    const base = parseGlass(near[2]!);
    if (base === undefined || !isLevel(base)) return undefined;
    return within(base + (near[1] === 'over' || near[1] === 'above' ? step : -step));
  }
  const percent = /^(.+?) ?(%|percent|per cent)$/.exec(t);
  const number = parseNumber((percent ? percent[1]! : t).replace(/ a$/, ''));
  if (number === undefined) return undefined;
  const value = percent ? number / 100 : number;
  return value >= 0 && value <= 1 ? value : undefined;
}

const within = (x: number) => Math.min(1, Math.max(0, x));

// Thirds and eighths are written with a fraction slash, which sets them as fractions: few typefaces draw ⅓ or ⅝ themselves.
const marks: readonly (readonly [number, string])[] = [
  [0, 'bottom nut'],
  [1 / 8, '1⁄8'],
  [1 / 4, '¼'],
  [1 / 3, '1⁄3'],
  [3 / 8, '3⁄8'],
  [1 / 2, '½'],
  [5 / 8, '5⁄8'],
  [2 / 3, '2⁄3'],
  [3 / 4, '¾'],
  [7 / 8, '7⁄8'],
  [1, 'top nut']
];

/**
 * A glass as it is said: the nearest mark of the trade, with "over" or "under" when it is clearly off it.
 * A glass is read to about a thirtieth of its height; more decimals would be a pretence.
 */
export function printGlass(glass: Glass): string {
  if (!isLevel(glass)) return glass === 'not seen' ? 'no water seen' : `in the ${glass}`;
  const [mark, word] = marks.reduce((a, b) => (Math.abs(b[0] - glass) < Math.abs(a[0] - glass) ? b : a));
  const off = glass - mark;
  if (mark === 0) return off < 0.015 ? 'at the bottom nut' : 'just over the bottom nut';
  if (mark === 1) return off > -0.015 ? 'at the top nut' : 'just under the top nut';
  return Math.abs(off) <= 0.016 ? word : `${off > 0 ? 'over' : 'under'} ${word}`;
}
