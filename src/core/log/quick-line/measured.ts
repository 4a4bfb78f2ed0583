import { waters } from '../../engine';
import { parseQuantity } from '../../units';
import { jointNames } from '../joints';
import { type Warmth, warmths } from '../kinds/water';
import type { Reader } from './draft';

const isWord = (w: string | undefined, ...list: string[]) => w !== undefined && list.includes(w);
const volumes = /^(ml|cc|millilitres?|l|litres?)$/;
const masses = /^(g|grams?|kg|kilos?)$/;

/** A number and its unit, written as one word or as two: what it is, SI, and how many words it took. */
function measureOf(words: readonly string[], unit: RegExp, kind: 'volume' | 'mass'): { value: number; took: number } | undefined {
  const [a = '', b = ''] = words;
  const one = /^([\d.]+)([a-z]+)$/.exec(a);
  const [text, took] = one && unit.test(one[2]!) ? [a, 1] : /^[\d.]+$/.test(a) && unit.test(b) ? [`${a} ${b}`, 2] : ['', 0];
  const read = took ? parseQuantity(text, kind, kind === 'volume' ? 'ml' : 'g') : undefined;
  return read && !('problem' in read) ? { value: read.value, took } : undefined;
}

const waterKinds = Object.keys(waters) as (keyof typeof waters)[];

/** What follows of a volume: how warm it is, and whether it was put in, found left, or let out. */
function said(words: readonly string[]): { body: { act: 'in' | 'left' | 'out'; warm?: Warmth }; took: number } {
  let took = 0;
  let warm: Warmth | undefined;
  let act: 'in' | 'left' | 'out' = 'in';
  for (let w = words[took]; w !== undefined; w = words[++took]) {
    const told = warmths.find((x) => x === w);
    if (told) warm = told;
    else if (isWord(w, 'left')) act = 'left';
    else if (isWord(w, 'out', 'drained')) act = 'out';
    else if (!isWord(w, 'in', 'water', 'of')) break;
  }
  return { body: { act, ...(warm ? { warm } : {}) }, took };
}

/** Water, fuel and flames of engines that are measured: `110 ml`, `3 syringes hot`, `62 ml left`, `2 tablets`, `canister 312 g`, `flame out`. */
export const measuredIn: readonly Reader[] = [
  (words, draft) => {
    const i = isWord(words[0], 'water') ? 1 : 0;
    const volume = measureOf(words.slice(i), volumes, 'volume');
    if (!volume) return 0;
    const { body, took } = said(words.slice(i + volume.took));
    draft.others.push({ kind: 'water', body: { ...body, volume: volume.value } });
    return i + volume.took + took;
  },
  // `rain water`: which it was filled with.
  ([w, x], draft) => {
    const water = waterKinds.find((k) => k === w);
    if (!water || x !== 'water') return 0;
    draft.others.push({ kind: 'filled', body: { water } });
    return 2;
  },
  // By what it is measured with: only where its size is known.
  (words, draft, { fitOut: { measures } }) => {
    const [n = '', w] = words;
    const of = isWord(w, 'syringe', 'syringes') ? 'syringe' : isWord(w, 'measure', 'measures') ? 'measure' : undefined;
    const size = of && measures[of];
    if (!of || !size || !/^\d{1,3}$/.test(n) || Number(n) < 1) return 0;
    const { body, took } = said(words.slice(2));
    draft.others.push({ kind: 'water', body: { ...body, volume: Number(n) * size, with: of, count: Number(n) } });
    return 2 + took;
  },
  (words, draft, { fitOut: { fire } }) => {
    const [n = '', w] = words;
    if (fire.with !== 'spirit' || fire.fuel !== 'tablets' || !isWord(w, 'tablet', 'tablets') || !/^\d{1,2}$/.test(n) || Number(n) < 1)
      return 0;
    if (fire.weight === null || fire.pieces === null) return 0;
    const already = words[2] === 'already';
    draft.others.push({
      kind: 'charge',
      body: { mass: (Number(n) * fire.weight) / fire.pieces, pieces: Number(n), fuel: 'tablets', ...(already ? { already } : {}) }
    });
    return already ? 3 : 2;
  },
  // `14 g` of spirit, gel or tablets; `charge 14 g`.
  (words, draft, { fitOut: { fire } }) => {
    if (fire.with !== 'spirit' && fire.with !== 'gas') return 0;
    const fuel = fire.with === 'gas' ? 'gas' : fire.fuel;
    const i = isWord(words[0], 'charge', 'charged', fuel) ? 1 : 0;
    const mass = measureOf(words.slice(i), masses, 'mass');
    // A canister is weighed whole, and says so.
    if (!mass || (i === 0 && fire.with === 'gas')) return 0;
    const more = isWord(words[i + mass.took], fuel) ? 1 : 0;
    const already = words[i + mass.took + more] === 'already';
    draft.others.push({ kind: 'charge', body: { mass: mass.value, fuel, ...(already ? { already } : {}) } });
    return i + mass.took + more + (already ? 1 : 0);
  },
  (words, draft, { state }) => {
    if (!isWord(words[0], 'canister')) return 0;
    const mass = measureOf(words.slice(1), masses, 'mass');
    if (!mass) return 0;
    draft.others.push({ kind: 'measured', body: { what: state.fire.outAt ? 'canister after' : 'canister', mass: mass.value } });
    return 1 + mass.took;
  },
  // `flame heard`, `left burner lost`, `flame out`: of the only burner, or of the one that is named.
  (words, draft, { fitOut: { fire } }) => {
    if (fire.with !== 'gas' && fire.with !== 'spirit') return 0;
    const line = words.join(' ');
    const burners = fire.with === 'gas' ? fire.burners.map((b) => b.name) : [];
    const name = burners.find((b) => line.startsWith(`${b.toLowerCase()} `));
    const first = name ? name.split(' ').length : isWord(words[0], 'flame', 'burner') ? 1 : 0;
    const is = first ? words[first] : undefined;
    if (!isWord(is, 'lit', 'heard', 'lost', 'out')) {
      if (!isWord(words[0], 'burner') || !isWord(words[1], 'down')) return 0;
      draft.others.push({ kind: 'observation', body: { seen: 'burner down' } });
      return 2;
    }
    // The last flame out is the fire out.
    if (is === 'out' && !name) draft.others.push({ kind: 'fire', body: { act: 'out' } });
    else draft.others.push({ kind: 'flame', body: { burner: name ?? burners[0] ?? 'Flame', is: is as 'lit' | 'heard' | 'lost' | 'out' } });
    return first + 1;
  },
  // `hose to tee tight`, `hose to tee bubbles`, `hose to tee disturbed`: of a gas joint by its name.
  (words, draft, { fitOut }) => {
    const line = words.join(' ');
    const name = jointNames(fitOut).find((j) => line.startsWith(`${j.toLowerCase()} `));
    if (!name) return 0;
    const first = name.split(' ').length;
    const w = words[first];
    if (isWord(w, 'tight', 'holds')) draft.others.push({ kind: 'test', body: { test: name, result: 'pass' } });
    else if (isWord(w, 'bubbles', 'leaks')) draft.others.push({ kind: 'test', body: { test: name, result: 'fail' } });
    else if (isWord(w, 'disturbed')) draft.others.push({ kind: 'thing', body: { thing: 'gas joint', open: true, which: name } });
    else return 0;
    return first + 1;
  },
  // `set to 143c`, `valve 1 turn`: how it is set.
  (words, draft, { fitOut: { fire } }) => {
    const [w, x = '', unit] = words;
    if (fire.with === 'gas' && isWord(w, 'set', 'valve') && /^[\d.]+$/.test(x) && isWord(unit, 'turn', 'turns')) {
      draft.others.push({ kind: 'knob', body: { burner: fire.burners[0]!.name, turns: Number(x) } });
      return 3;
    }
    if (fire.with !== 'electric' || !isWord(w, 'knob')) return 0;
    const t = parseQuantity(x, 'temperature', '°C');
    if ('problem' in t) return 0;
    draft.others.push({ kind: 'knob', body: { temperature: t.value } });
    return 2;
  }
];
