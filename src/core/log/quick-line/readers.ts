import { type Observation, observations, type Valve } from '../../procedure';
import { isLevel, parseGlass, parseNumber, parseQuantity } from '../../units';
import { released } from '../release';
import { measuredIn } from './measured';
import type { Reader } from './draft';

const isWord = (w: string | undefined, ...list: string[]) => w !== undefined && list.includes(w);
// Maps, since what is typed may be the name of something that every object has.
const fuels = new Map([...['coal', 'charcoal', 'wood', 'anthracite'].map((f) => [f, f] as const), ['sticks', 'wood'] as const]);
const weights = /^(kg|g|lb|oz|kilos?|pounds?|grams?)$/;

const valveWords = new Map<string, Valve>(
  Object.entries({
    blower: 'blower',
    damper: 'damper',
    regulator: 'regulator',
    reg: 'regulator',
    drains: 'drains',
    drain: 'drains',
    fan: 'fan',
    vent: 'vent',
    door: 'fire door',
    blowdown: 'blow-down',
    'blow-down': 'blow-down',
    whistle: 'whistle'
  } as const)
);

const testWords = new Map<string, 'pass' | 'fail'>([
  ['passed', 'pass'],
  ['pass', 'pass'],
  ['failed', 'fail'],
  ['fail', 'fail']
]);

/** `on`, `off`, `open`, `shut`, `half`, `1/4`: how far a valve is open; a bare mention means on. */
function opening(words: readonly string[]): { open: number; took: number } {
  const [w] = words;
  if (isWord(w, 'on', 'open', 'up', 'full')) return { open: 1, took: 1 };
  if (isWord(w, 'off', 'shut', 'closed', 'out')) return { open: 0, took: 1 };
  const g = w === undefined ? undefined : parseGlass(w);
  if (g !== undefined && isLevel(g) && g > 0 && g < 1) return { open: g, took: isWord(words[1], 'open') ? 2 : 1 };
  return { open: 1, took: 0 };
}

/** Tried in this order at each word of a line. */
export const readers: readonly Reader[] = [
  // note … and fault … take the rest of the line as it stands.
  (words, draft) => {
    if (isWord(words[0], 'note') && words.length > 1) {
      draft.others.push({ kind: 'note', body: { text: words.slice(1).join(' ') } });
      return words.length;
    }
    if (isWord(words[0], 'fault') && words.length > 1) {
      draft.others.push({ kind: 'fault', body: { text: words.slice(1).join(' '), forbids: 'nothing' } });
      return words.length;
    }
    return 0;
  },
  // `whistle passed`, `left injector failed knocks off`: a test of what must work, with what was seen of it.
  (words, draft, { fitOut, state }) => {
    const line = words.join(' ');
    for (const { name } of released(fitOut, state)) {
      const took = name.split(' ').length;
      const result = testWords.get(words[took] ?? '');
      if (result === undefined || !line.startsWith(`${name.toLowerCase()} `)) continue;
      const said = words.slice(took + 1).join(' ');
      draft.others.push({ kind: 'test', body: { test: name, result, ...(said ? { text: said } : {}) } });
      return words.length;
    }
    return 0;
  },
  // `2 coal` is two rounds of coal, and never two pounds of steam.
  ([n, w], draft) => {
    const fuel = fuels.get(w ?? '');
    if (fuel === undefined || !/^[1-9]$/.test(n!)) return 0;
    for (let i = 0; i < Number(n); i++) draft.others.push({ kind: 'fire', body: { act: 'fuel on', fuel } });
    return 2;
  },
  (words, draft, { units }) => {
    const [word, amount, unit] = words;
    const fuel = fuels.get(word ?? '');
    if (fuel === undefined) return 0;
    const apart = unit !== undefined && weights.test(unit);
    // A bare number after the fuel is not its weight: "coal 65" is a round of coal at 65 psi.
    const said = apart ? `${amount} ${unit}` : (amount ?? '');
    const weight = /\d.*[a-z]/i.test(said) ? parseQuantity(said, 'mass', units.mass) : undefined;
    if (!weight || 'problem' in weight) {
      draft.others.push({ kind: 'fire', body: { act: 'fuel on', fuel } });
      return 1;
    }
    draft.others.push({ kind: 'fire', body: { act: 'fuel on', fuel, amount: weight.value } });
    return apart ? 3 : 2;
  },
  ([w], draft) => {
    if (!isWord(w, 'rake', 'raked', 'thin', 'thinned')) return 0;
    draft.others.push({ kind: 'fire', body: { act: w!.startsWith('rake') ? 'rake' : 'thin' } });
    return 1;
  },
  // A fire that is in already, whatever the log knows of it: `already lit`, `fire already lit`, `lit already`.
  (words, draft) => {
    const said = ['fire already lit', 'already lit', 'fire lit already', 'lit already'].find((s) =>
      `${words.join(' ')} `.startsWith(`${s} `)
    );
    if (!said) return 0;
    draft.others.push({ kind: 'fire', body: { act: 'light', already: true } });
    return said.split(' ').length;
  },
  ([w, x], draft) => {
    if (!isWord(w, 'lit', 'light', 'match') && !(w === 'fire' && isWord(x, 'lit', 'out', 'dropped'))) return 0;
    draft.others.push({
      kind: 'fire',
      body: { act: w === 'fire' && x === 'out' ? 'out' : w === 'fire' && x === 'dropped' ? 'drop' : 'light' }
    });
    return w === 'fire' ? 2 : 1;
  },
  // `20 strokes` are of the hand pump, where there is one.
  ([n, w], draft, { fitOut }) => {
    const pump = fitOut.feeds.find((f) => f.plumbed && f.kind === 'hand pump');
    if (!pump || !isWord(w, 'strokes', 'stroke') || !/^\d{1,4}$/.test(n!) || Number(n) < 1) return 0;
    draft.others.push({ kind: 'feed', body: { feed: pump.name, on: false, strokes: Number(n) } });
    return 2;
  },
  ...measuredIn,
  // A feed, by its own name or its kind: `injector on`, `axle pump to tank`, `hand pump 20 strokes`, `feed off`.
  (words, draft, { fitOut, state }) => {
    const line = words.join(' ');
    const feeds = fitOut.feeds.filter((f) => f.plumbed);
    const named = feeds.flatMap(
      (f) =>
        [
          [f.name.toLowerCase(), f],
          [f.kind, f],
          ...(f.kind === 'injector' ? [['inj', f]] : []),
          ...(f.kind.endsWith('pump') ? [['pump', f]] : [])
        ] as [string, (typeof feeds)[number]][]
    );
    const running = feeds.find((f) => state.feeds[f.name]?.on) ?? feeds[0];
    if (running) named.push(['feed', running]);
    const hit = named.sort((a, b) => b[0].length - a[0].length).find(([name]) => line === name || line.startsWith(`${name} `));
    if (!hit) return 0;
    let took = hit[0].split(' ').length;
    let [a, b] = [words[took], words[took + 1]];
    let to: 'boiler' | 'tank' | 'both' | undefined;
    let on = true;
    if (hit[1].kind === 'hand pump' && /^\d{1,4}$/.test(a ?? '') && Number(a) > 0 && isWord(b, 'strokes', 'stroke')) {
      draft.others.push({ kind: 'feed', body: { feed: hit[1].name, on: false, strokes: Number(a) } });
      return took + 2;
    }
    if (isWord(a, 'on', 'off', 'stopped', 'knocked')) {
      on = a === 'on';
      took += a === 'knocked' && b === 'off' ? 2 : 1;
      [a, b] = [words[took], words[took + 1]];
    }
    if (a === 'to' && isWord(b, 'boiler', 'tank', 'both')) {
      to = b as typeof to;
      took += 2;
    }
    // `axle pump to both 1/4`: so much of it goes to the boiler.
    const said = to === 'both' && /[/⁄½⅓⅔¼¾⅛⅜⅝⅞%]/.test(words[took] ?? '') ? parseGlass(words[took]!) : undefined;
    const part = said !== undefined && isLevel(said) ? said : undefined;
    if (part !== undefined) took++;
    const where = to ?? (on ? 'boiler' : undefined);
    draft.others.push({ kind: 'feed', body: { feed: hit[1].name, on, ...(where && { to: where }), ...(part !== undefined && { part }) } });
    return took;
  },
  (words, draft) => {
    if (!isWord(words[0], 'tank', 'tender')) return 0;
    const level = words[1] === undefined ? undefined : words[1] === 'full' ? 1 : words[1] === 'empty' ? 0 : parseGlass(words[1]);
    if (level === undefined || !isLevel(level)) return 0;
    draft.tank = level;
    return 2;
  },
  (words, draft) => {
    const valve = valveWords.get(words[0] ?? '');
    if (valve === undefined) return 0;
    const { open, took } = opening(words.slice(1));
    draft.others.push({ kind: 'valve', body: { valve, open } });
    return 1 + took;
  },
  (words, draft, { units }) => {
    const i = isWord(words[0], 'valve') ? 1 : 0;
    if (!isWord(words[i], 'lift', 'lifted', 'lifts', 'reseat', 'reseated', 'reseats')) return 0;
    const key = words[i]!.startsWith('lift') ? 'lifted' : 'reseated';
    const at = words[i + 1] === 'at' ? 1 : 0;
    const p = words[i + 1 + at] === undefined ? undefined : parseQuantity(words[i + 1 + at]!, 'pressure', units.pressure);
    if (!p || 'problem' in p) return 0;
    draft.others.push({ kind: 'lift', body: { valve: 1, [key]: p.value } });
    return i + 2 + at;
  },
  ([w, x], draft) => {
    if (!isWord(w, 'oil', 'oiled')) return 0;
    draft.others.push({ kind: 'oil', body: { what: x === 'round' ? 'oil round' : 'oiled' } });
    return x === 'round' ? 2 : 1;
  },
  // Something seen, by its key or the first words of how it is said.
  (words, draft) => {
    const line = words.join(' ');
    const aliases: Record<string, Observation> = {
      bobbing: 'glass moving',
      bobs: 'glass moving',
      vapor: 'vapour',
      feathering: 'feather',
      priming: 'priming',
      'blowing off': 'blowing off',
      simmering: 'simmer'
    };
    const hit = [...Object.entries(aliases), ...Object.keys(observations).map((k) => [k, k] as [string, Observation])]
      .sort((a, b) => b[0].length - a[0].length)
      .find(([k]) => line === k || line.startsWith(`${k} `));
    if (!hit) return 0;
    draft.others.push({ kind: 'observation', body: { seen: hit[1] as Observation } });
    return hit[0].split(' ').length;
  },
  // A temperature says so: `85c`, `85 °C`, `temp 85`.
  (words, draft, { units }) => {
    const i = isWord(words[0], 'temp', 'temperature', 'thermometer') ? 1 : 0;
    for (const n of [2, 1]) {
      const text = words.slice(i, i + n).join(' ');
      if (i === 0 && !/[°cf]$|celsius$|fahrenheit$|degrees?$/.test(text)) continue;
      if (words.length < i + n || !/\d/.test(text)) continue;
      const t = parseQuantity(text, 'temperature', units.temperature);
      if ('problem' in t) continue;
      draft.temperature = t.value;
      return i + n;
    }
    return 0;
  },
  // A glass in words, longest first: `half a glass`, `just above the bottom nut`, `3/4`, `½`. A second one is a slip.
  (words, draft) => {
    if (draft.glass !== undefined) return 0;
    for (let n = Math.min(6, words.length); n > 0; n--) {
      const text = words
        .slice(0, n)
        .join(' ')
        .replace(/^glass /, '');
      // A bare whole number or decimal is a pressure unless it says that it is of the glass.
      if (/^\d+(\.\d+)?$/.test(text) && !/glass/.test(words.slice(0, n).join(' '))) continue;
      const g = parseGlass(text);
      if (g === undefined) continue;
      draft.glass = g;
      return n;
    }
    return 0;
  },
  (words, draft, { units }) => {
    if (draft.pressure !== undefined) return 0;
    for (const n of [2, 1]) {
      if (words.length < n) continue;
      // A bare fraction is of the glass, never of a pound.
      if (n === 1 && /^[\d\s]*[\d/⁄½⅓⅔¼¾⅛⅜⅝⅞]+$/.test(words[0]!) && /[/⁄½⅓⅔¼¾⅛⅜⅝⅞]/.test(words[0]!)) continue;
      const p = parseQuantity(words.slice(0, n).join(' '), 'pressure', units.pressure);
      if ('problem' in p) continue;
      if (n === 2 && parseNumber(words[1]!) !== undefined) continue;
      draft.pressure = p.value;
      return n;
    }
    return 0;
  }
];
