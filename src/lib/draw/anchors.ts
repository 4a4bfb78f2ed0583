import type { Anchor } from '$core/commission';
import type { FitOut } from '$core/engine';
import { sectionOf } from './section';

/** WHERE PLACES ARE POINTED AT on the boiler’s section: metres, as the section is drawn. */
export function anchorsOf({
  boiler,
  glasses
}: Pick<FitOut, 'boiler' | 'glasses'>): Readonly<Record<Anchor, { readonly x: number; readonly z: number }>> {
  const s = sectionOf(boiler);
  const right = Math.max(...s.shell.map((r) => r.x + r.w));
  const low = Math.min(...s.shell.map((r) => r.z));
  const high = Math.max(...s.shell.map((r) => r.z + r.h));
  const [first] = s.shell as [(typeof s.shell)[number]];
  const barrel = s.shell[1] ?? first;
  const dry = s.dry[0] ?? { x: first.x + 0.2 * first.w, z: first.z, w: 0.4 * first.w, h: 0.4 * first.h };
  const upright = boiler.form === 'vertical';
  const tubes = s.tubes.length ? s.tubes : [dry];
  const [tx, tw] = [Math.min(...tubes.map((t) => t.x)), Math.max(...tubes.map((t) => t.x + t.w))];
  const [tz, th] = [Math.min(...tubes.map((t) => t.z)), Math.max(...tubes.map((t) => t.z + t.h))];
  const [glass] = glasses;
  const tall = high - low;
  return {
    firebox: { x: dry.x + dry.w / 2, z: dry.z + 0.55 * dry.h },
    'tubes fire': upright ? { x: (tx + tw) / 2, z: tz } : { x: tx, z: (tz + th) / 2 },
    'tubes front': upright ? { x: (tx + tw) / 2, z: th } : { x: tw, z: (tz + th) / 2 },
    top: { x: first.x + first.w / 2, z: first.z + first.h },
    dome: s.dome ? { x: s.dome.x + s.dome.w / 2, z: s.dome.z + s.dome.h } : { x: barrel.x + barrel.w / 2, z: high },
    'glass top': { x: s.glassX, z: glass?.topNut ?? low + 0.7 * tall },
    'glass bottom': { x: s.glassX, z: glass?.bottomNut ?? low + 0.4 * tall },
    backhead: { x: first.x, z: low + 0.9 * tall },
    bottom: { x: first.x + first.w / 2, z: low },
    feed: { x: barrel.x + 0.6 * barrel.w, z: barrel.z + 0.3 * barrel.h },
    'steam pipe': { x: right, z: barrel.z + 0.9 * barrel.h },
    cylinder: { x: right, z: barrel.z - 0.2 * barrel.h },
    gas: { x: first.x, z: low - 0.1 * tall }
  };
}
