// What the watch costs: each rule on an entry, and all of them, at the end of a log of 2,000: `./joram bench watch`.
import { patterns } from '../src/core/engine';
import { add, fold, type Log, through } from '../src/core/log';
import { rules, warningsOf, watching } from '../src/core/watch';
import { viewOf } from '../src/core/watch/view';
import { dayOf } from '../tests/watched';

const many = 2000;

/** A long day of an engine, cut to so many entries. */
function longLog(name: string): Log {
  const { fitOut } = patterns.find((p) => p.fitOut.name === name)!;
  const { log } = dayOf(fitOut, 7, 40 * 60, { lasts: 40 * 60 });
  return fold(log.context, log.entries.slice(0, many));
}

/** ms, the middle and the 95th percentile. */
function spread(times: number, work: (i: number) => unknown, twice = false): { middle: number; p95: number } {
  // Once for the machine to know it, as a page does that has been open for a while.
  if (twice) for (let i = 0; i < times; i++) work(i);
  const taken = Array.from({ length: times }, (_, i) => {
    const from = performance.now();
    work(i);
    return performance.now() - from;
  }).sort((a, b) => a - b);
  return { middle: taken[times >> 1]!, p95: taken[Math.floor(times * 0.95)]! };
}

const log = longLog('Little Bittern');
const views = [...through(log, log.entries.length - 300)].map((stood) => viewOf(log, stood));
const each = rules
  .filter((r) => !r.on || r.on(log.context.fitOut))
  .map((rule) => ({ key: rule.key, ...spread(views.length, (i) => rule.finds(views[i]!, undefined), true) }))
  .sort((a, b) => b.p95 - a.p95);

// As the page does it: one entry more, the log folded on, the watch gone on with.
let short = fold(log.context, log.entries.slice(0, -200));
let watch = watching(short);
const rest = log.entries.slice(-200);
const entry = spread(rest.length, (i) => {
  short = add(short, rest[i]!);
  watch = watching(short, watch);
});
const now = Date.parse(log.entries.at(-1)!.at);
const second = spread(200, (i) => warningsOf(watch, now + i * 1000));
const whole = spread(5, () => watching(log));

const us = (x: number) => `${(x * 1000).toFixed(0)} µs`;
console.log(`the watch on ${log.entries.length} entries of a long day\n`);
console.log(`one entry more, folded and watched   ${us(entry.middle)}, p95 ${us(entry.p95)}   aim: under 3 ms`);
console.log(`what stands, asked each second       ${us(second.middle)}, p95 ${us(second.p95)}`);
console.log(`all of it from the first entry       ${whole.middle.toFixed(0)} ms`);
console.log(`\neach rule on an entry, p95           aim: under 200 µs`);
for (const r of each.slice(0, 8)) console.log(`  ${r.key.padEnd(34)} ${us(r.middle)}, p95 ${us(r.p95)}`);
