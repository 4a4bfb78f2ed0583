import { boilerShape } from '../../engine';
import { saturationAtGauge, saturationPressure, saturationTemperature } from '../../steam';
import { absolute, atmosphereAt, type Gauge, isLevel, printGlass, printText, toSi } from '../../units';
import type { Around, Draft } from './draft';

/** A needle moves by so much of working pressure at once, and so much more a minute, without being asked about: a big feed, a valve that sticks. */
const needleSlack = 0.25;
const needleRate = 0.15;

/**
 * What is implausible for this engine, each as a question. A value is asked about, never refused: the operator was there.
 */
export function asks(draft: Draft, { fitOut, state, units, now }: Around): string[] {
  const out: string[] = [];
  const wp = fitOut.workingPressure;
  const show = (x: number) => printText(x, 'pressure', units);
  if (draft.pressure !== undefined && draft.pressure > wp * 1.3)
    out.push(`${show(draft.pressure)} on an engine of ${show(wp)}: is that right?`);
  if (draft.pressure !== undefined && draft.pressure < 0) out.push('A pressure below nothing: is the boiler cooling shut?');
  const read = state.pressure;
  if (draft.pressure !== undefined && read && draft.pressure <= wp * 1.3) {
    const minutes = Math.max(0, now - Date.parse(read.at)) / 60_000;
    const moved = Math.abs(draft.pressure - read.value);
    if (moved > wp * (needleSlack + needleRate * minutes))
      out.push(
        `The needle went from ${show(read.value)} to ${show(draft.pressure)} in ${minutes < 1 ? `${Math.round(minutes * 60)} s` : `${Math.round(minutes)} min`}: is that right?`
      );
  }
  if (draft.glass !== undefined && fitOut.glasses.length === 0) out.push('This engine has no gauge glass: log it all the same?');
  const last = state.glass;
  if (draft.glass !== undefined && isLevel(draft.glass) && last && isLevel(last.value)) {
    const seconds = (now - Date.parse(last.at)) / 1000;
    if (Math.abs(draft.glass - last.value) >= 1 / 3 - 0.01 && seconds < 20)
      out.push(
        `The glass moved from ${printGlass(last.value)} to ${printGlass(draft.glass)} in ${Math.max(0, Math.round(seconds))} s: look again.`
      );
  }
  const poured = draft.others.flatMap((e) => (e.kind === 'water' && e.body.act === 'in' ? [e.body] : []));
  const room = boilerShape(fitOut.boiler).total;
  const all = poured.reduce((sum, w) => sum + w.volume, state.boiler?.sure ? state.boiler.volume : 0);
  if (poured.length && all > room * 0.95)
    out.push(`${printText(all, 'volume', units)} in a boiler that holds ${printText(room, 'volume', units)}: is that right?`);
  const { outAt } = state.fire;
  if (
    outAt &&
    now - Date.parse(outAt) < 3 * 3600_000 &&
    !state.seen['engine cold'] &&
    poured.some((w) => w.warm !== 'hot' && w.warm !== 'warm')
  )
    out.push('It was in steam: cold water never goes into a hot boiler. Was it hot? Then say “hot”.');
  const pressure = draft.pressure ?? (state.pressure && now - Date.parse(state.pressure.at) < 120_000 ? state.pressure.value : undefined);
  // A pressure that no boiler of ours holds has been asked about already; saturation knows nothing of it.
  if (draft.temperature !== undefined && pressure !== undefined && pressure > toSi(5, 'pressure', 'psi') && pressure < 5e6) {
    // Two honest instruments agree within about 2 psi and 2 °C of saturation.
    const air = atmosphereAt(fitOut.altitude);
    const needed = saturationAtGauge(pressure as Gauge, air).T;
    const slack = 2 + saturationTemperature(absolute((pressure + toSi(2, 'pressure', 'psi')) as Gauge, air)) - needed;
    if (Math.abs(draft.temperature - needed) > slack)
      out.push(
        `Steam at ${show(pressure)} is ${printText(needed, 'temperature', units)}, not ${printText(draft.temperature, 'temperature', units)} (${show(Math.max(0, saturationPressure(Math.min(640, Math.max(274, draft.temperature))) - air))} would be): is one of them misread?`
      );
  }
  return out;
}
