import type { FitOut } from '$core/engine';
import { printText, type UnitChoice } from '$core/units';

/** What a stopwatch is started for on this engine: what starts it, and what stops it. */
export interface Timing {
  readonly what: string;
  readonly from: string;
  readonly to: string;
}

/** By what it has on it, in the order in which it is tried. */
export function timingsOf(f: FitOut, units: UnitChoice): Timing[] {
  const of = (share: number) => printText(share * f.workingPressure, 'pressure', units);
  return [
    ...(f.fire.with === 'gas' ? f.fire.burners.map((b) => ({ what: `${b.name} takes`, from: 'gas on', to: 'flame heard or seen' })) : []),
    ...f.feeds
      .filter((x) => x.plumbed && x.kind === 'injector')
      .map((x) => ({ what: `${x.name} picks up`, from: 'steam on', to: 'its overflow dry' })),
    ...f.brakes
      .filter((b) => b.kind !== 'hand')
      .map((b) => ({ what: `${b.kind[0]!.toUpperCase()}${b.kind.slice(1)} brake leaks down`, from: of(0.6), to: of(0.4) })),
    ...f.safetyValves.map((_, i) => ({
      what: `${f.safetyValves.length > 1 ? `Safety valve ${i + 1}` : 'Safety valve'} blows`,
      from: 'it lifts',
      to: 'it reseats'
    })),
    { what: 'Something else', from: 'now', to: 'now' }
  ];
}
