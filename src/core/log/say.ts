import { forbids } from './entry';
import type { Entry } from './entry';
import { observations, type Procedure, things } from '../procedure';
import { printGlass, printText, type UnitChoice } from '../units';

const share = (x: number) => (x === 0 ? 'shut' : x === 1 ? 'open' : `${printGlass(x)} open`);
const onOff = (x: number) => (x === 0 ? 'off' : x === 1 ? 'on' : `on, ${printGlass(x)}`);
const capital = (text: string) => text.replace(/^\p{L}/u, (c) => c.toUpperCase());
const acts = { light: 'fire lit', rake: 'fire raked', thin: 'fire thinned', drop: 'fire dropped', out: 'fire out' } as const;

/** One entry as a line of the log, in the member's units. */
export function say(entry: Entry, units: UnitChoice, procedure?: Procedure): string {
  const pressure = (x: number) => printText(x, 'pressure', units);
  switch (entry.kind) {
    case 'reading': {
      const { pressure: p, glass, glassNumber, temperature, draught, tank } = entry.body;
      const parts = [
        p !== undefined && pressure(p),
        glass !== undefined && `${printGlass(glass)}${typeof glass === 'number' ? ' glass' : ''}${glassNumber === 2 ? ', second' : ''}`,
        temperature !== undefined && printText(temperature, 'temperature', units),
        draught !== undefined && `draught ${draught} Pa`,
        tank !== undefined && `tank ${printGlass(tank).replace('bottom nut', 'bottom').replace('top nut', 'top')}`
      ];
      return capital(parts.filter(Boolean).join(' · '));
    }
    case 'fire': {
      const { act, fuel, amount } = entry.body;
      return capital(
        act === 'fuel on' ? `${fuel ?? 'fuel'}${amount === undefined ? '' : ` ${printText(amount, 'mass', units)}`}` : acts[act]
      );
    }
    case 'feed': {
      const { feed, on, to, volume, proven } = entry.body;
      const where = on && to ? `, water to ${to === 'both' ? 'boiler and tank' : to}` : '';
      return capital(
        `${feed} ${on ? 'on' : 'off'}${where}${volume ? ` ${printText(volume, 'volume', units)}` : ''}${proven ? ', proven' : ''}`
      );
    }
    case 'valve':
      return capital(
        `${entry.body.valve} ${entry.body.valve === 'blower' || entry.body.valve === 'fan' ? onOff(entry.body.open) : share(entry.body.open)}`
      );
    case 'tick': {
      const { step, outcome, reason } = entry.body;
      const what = procedure?.steps.find((s) => s.key === step)?.what ?? step;
      return outcome === 'done' ? what : `Skipped: ${what}. ${capital(reason ?? '')}`;
    }
    case 'oil':
      return capital(entry.body.what);
    case 'lift': {
      const { valve, lifted, reseated } = entry.body;
      return `Safety valve ${valve} ${[lifted !== undefined && `lifted at ${pressure(lifted)}`, reseated !== undefined && `reseated at ${pressure(reseated)}`].filter(Boolean).join(', ')}`;
    }
    case 'test':
      return capital(`${entry.body.test}: ${entry.body.result}${entry.body.text ? `. ${entry.body.text}` : ''}`);
    case 'observation':
      return capital(observations[entry.body.seen]);
    case 'thing':
      return entry.body.open ? capital(things[entry.body.thing].open) : `No longer: ${things[entry.body.thing].open}`;
    case 'fault':
      return `Fault: ${entry.body.text} (${forbids[entry.body.forbids]})`;
    case 'note':
      return entry.body.text;
    case 'handover':
      return `Handed over to ${entry.body.to}. Next: ${entry.body.next}`;
    case 'phase':
      return `On to: ${entry.body.phase}`;
    case 'override':
      return `Steamed all the same: ${entry.body.reason} (${entry.body.of.join('; ')})`;
    case 'sign':
      return `Signed as ${entry.body.as}: ${entry.body.name}${entry.body.remarks ? `. ${entry.body.remarks}` : ''}`;
    case 'strike':
      return `Struck out${entry.body.reason ? `: ${entry.body.reason}` : ''}`;
  }
}
