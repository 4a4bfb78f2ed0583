import { choice, group, maybe, number, text } from '../../form';
import { above, given, line, mark, minus, over, Refusal, times } from '../../units';
import { type Finding, judgedBy, percent, sheet } from '../sheet';

/** Solids that go with 1 µS/cm, mg/l: the usual figure of meters that print mg/l; treatments move it. */
const perMicrosiemens = 0.65;

/** The water, by a meter: how often it has been thickened, and what must be let out for it. */
export const water = sheet({
  key: 'water',
  name: 'Water, by the meter',
  how: [
    'From the glass cock or the blow-down, let run first, cooled to the temperature of the meter; the feed from the tank, the same meter.',
    'Never drawn under pressure into an open cup.'
  ],
  fields: () =>
    group('Water', {
      meter: text('Which meter, and when it was set', 1, 200),
      reads: choice('It reads', { 'mg/l': 'mg/l', 'µS/cm': 'µS/cm' }),
      boiler: number('The boiler’s water', 0, 50_000),
      feed: number('The feed water', 0, 50_000),
      error: number('The meter is good to, of what it reads, %', 0, 50),
      wanted: maybe(number('Wanted after letting out, as the meter reads', 0, 50_000))
    }),
  starts: () => ({ meter: '', reads: '', boiler: '', feed: '', error: '', wanted: null }),
  judge: ({ reads, boiler, feed, error, wanted }, _, rules): Finding[] => {
    if (wanted !== null && !(wanted < boiler && wanted > feed))
      throw new Refusal('wanted', 'Letting out brings the boiler’s water towards the feed water: give what lies between the two.');
    const kind = 'dissolved' as const;
    const si = (name: string, value: number) =>
      line(
        name,
        kind,
        reads === 'mg/l'
          ? times(given(name, value, 'count', 'measured'), given('one mg/l', 1e-3, kind, 'given'))
          : times(given(`${name}, µS/cm`, value, 'count', 'measured'), given('goes with one µS/cm', perMicrosiemens * 1e-3, kind, 'given'))
      );
    const [inBoiler, inFeed] = [si('in the boiler', boiler), si('in the feed', feed)];
    const made: Finding[] = [
      {
        verdict: judgedBy(rules.solids, (r) => r - inBoiler.result.value, (inBoiler.result.value * error) / 100),
        says: `${mark(inBoiler.result.value, kind)} in the boiler’s water${rules.solids === null ? '' : `; ${mark(rules.solids, kind)} is allowed`}.`,
        steps: [inBoiler]
      }
    ];
    if (feed > 0) {
      const cycles = line('thickened so many times', 'ratio', over(above(inBoiler), above(inFeed)));
      made.push({ verdict: 'measured', says: `It has been thickened ${cycles.result.value.toFixed(1)} times.`, steps: [inFeed, cycles] });
    }
    if (wanted !== null) {
      const now = above(inBoiler);
      const then = si('wanted', wanted);
      const out = line('to be let out, of the water', 'share', over(minus(now, above(then)), minus(now, above(inFeed))));
      made.push({
        verdict: 'measured',
        says: `For ${mark(then.result.value, kind)}, ${percent(out.result.value)} of the water is let out and made up with feed.`,
        steps: [then, out]
      });
    }
    return made;
  }
});
