import { printText } from '../../units';
import { glassReading } from '../fold';
import { mostPressure } from '../kinds/reading';
import { echo } from '../say';
import { asks } from './asks';
import type { Around, Draft, Understood } from './draft';
import { exampleLine } from './example';
import { readers } from './readers';

/** The quick line: a whole observation typed or dictated in one go, such as `65 1/2 coal`. Its grammar is in docs/quick-line.md. */

export type { Around, Understood } from './draft';
export { exampleLine } from './example';

export interface QuickLine {
  readonly entries: readonly Understood[];
  /** What was understood, in the order it was said. */
  readonly echo: readonly string[];
  /** What is implausible for this engine and is asked about before it is logged. */
  readonly asks: readonly string[];
  /** What could not be understood; nothing is logged while there is any. */
  readonly problem?: string;
}

const fillers = new Set(['and', 'with', 'at', 'now', 'psi,', 'a', 'the', ',', 'in']);

/** Reads one typed or dictated line. */
export function quickLine(text: string, around: Around): QuickLine {
  const raw = text.trim();
  if (!raw) return { entries: [], echo: [], asks: [] };
  const keepsCase = /^(note|fault)\b/i.test(raw);
  let words = (keepsCase ? raw.replace(/^\w+/, (w) => w.toLowerCase()) : raw.toLowerCase()).split(/[\s;]+|,(?=\s)/).filter(Boolean);
  const draft: Draft = { others: [] };
  while (words.length) {
    let took = 0;
    for (const reader of readers) if ((took = reader(words, draft, around)) > 0) break;
    if (took === 0 && fillers.has(words[0]!)) took = 1;
    if (took === 0)
      return {
        entries: [],
        echo: [],
        asks: [],
        problem: `“${words[0]}” was not understood. Try what you saw or did, as in: ${exampleLine(around.fitOut)}.`
      };
    words = words.slice(took);
  }
  if (draft.pressure !== undefined && draft.pressure > mostPressure)
    return {
      entries: [],
      echo: [],
      asks: [],
      problem: `${printText(draft.pressure, 'pressure', around.units)} is more than a log holds, ${printText(mostPressure, 'pressure', around.units)}: read the needle again.`
    };
  const entries: Understood[] = [];
  if (draft.pressure !== undefined || draft.glass !== undefined || draft.temperature !== undefined || draft.tank !== undefined)
    entries.push({
      kind: 'reading',
      body: {
        ...(draft.glass === undefined
          ? draft.pressure === undefined
            ? {}
            : { pressure: draft.pressure }
          : glassReading(draft.glass, around.state, draft.pressure)),
        ...(draft.temperature === undefined ? {} : { temperature: draft.temperature }),
        ...(draft.tank === undefined ? {} : { tank: draft.tank })
      }
    });
  entries.push(...draft.others);
  return { entries, echo: entries.map((e) => echo(e, around.units)), asks: asks(draft, around) };
}
