import { glass, group, type Infer, oneWord, optional, quantity, text } from '../../form';
import { printGlass, printText } from '../../units';
import type { KindOf } from './kind';
import { gauge } from './reading';

export const attemptResults = ['picked up', 'knocked off', 'nothing'] as const;
export const attemptOrders = ['water first', 'steam first'] as const;
export const overflows = ['dry', 'drips', 'runs', 'steam'] as const;

const fields = group('Try of a feed', {
  feed: text('Which feed', 1, 60),
  result: oneWord('What it did', attemptResults),
  pressure: optional(gauge('Pressure as it was tried')),
  glass: optional(glass('Glass as it was tried')),
  tank: optional(quantity('Water in the tank', 'temperature', 273.15, 373.15)),
  order: optional(oneWord('Which came first', attemptOrders)),
  overflow: optional(oneWord('Its overflow', overflows)),
  time: optional(quantity('How long until then', 'time', 0.1, 3600))
});
/** A feed that was tried: what it did, and what was so. Every one counts, the failed ones most. */
export type Attempt = Infer<typeof fields>;

/** True of an injector and of a pump. */
const did = { 'picked up': 'fed', 'knocked off': 'fed and knocked off', nothing: 'nothing came' } as const;

export const attempt: KindOf<Attempt> = {
  fields,
  // One that picked up is proven today; one that did not gives no water, whatever was said of it before.
  tells: ({ feed, result }, { feeds }) =>
    result === 'picked up' ? [{ is: 'proven', feed }] : feeds[feed]?.on ? [{ is: 'feed', feed, on: false }] : [],
  says: ({ feed, result, pressure, glass: level, tank, order, overflow, time }, { units }) =>
    `${feed}: ${did[result]}${[
      pressure !== undefined && ` at ${printText(pressure, 'pressure', units)}`,
      level !== undefined && `glass ${printGlass(level)}`,
      tank !== undefined && `tank ${printText(tank, 'temperature', units)}`,
      order,
      overflow && `overflow ${overflow}`,
      time !== undefined && `after ${time < 60 ? `${Math.round(time * 10) / 10} s` : printText(time, 'time', units)}`
    ]
      .filter(Boolean)
      .map((s, i) => (i === 0 && pressure !== undefined ? s : `, ${s}`))
      .join('')}`
};
