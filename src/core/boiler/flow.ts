/**
 * Flow of steam through a hole, and of boiling water through a blow-down. Steam as a gas with γ = 1.135; flow through a
 * hole is choked below the critical ratio of pressures. General engineering literature (Napier's rule agrees to a tenth
 * of a per cent at working pressures).
 */

const gamma = 1.135;
const critical = (2 / (gamma + 1)) ** (gamma / (gamma - 1));
const factor = (2 * gamma) / (gamma - 1);
const spread = (r: number) => factor * (r ** (2 / gamma) - r ** ((gamma + 1) / gamma));
const choked = Math.sqrt(spread(critical));

/**
 * Steam through a hole, kg/s: CdA·√(2γ/(γ−1)·pρ(r^(2/γ) − r^((γ+1)/γ))), r = max(p₂/p, critical).
 * @param area effective area CdA, m²
 * @param p pressure before it, absolute, Pa
 * @param density of what flows, kg/m³
 * @param after pressure behind it, absolute, Pa
 */
export function throughHole(area: number, p: number, density: number, after: number): number {
  if (area <= 0 || p <= after) return 0;
  const r = after / p;
  return area * Math.sqrt(p * density) * (r <= critical ? choked : Math.sqrt(spread(r)));
}

/** Speed of the jet that leaves a nozzle to the atmosphere, m/s: expansion at constant entropy with the same γ. */
export const jetSpeed = (p: number, density: number, after: number): number =>
  p <= after ? 0 : Math.sqrt(factor * (p / density) * (1 - (after / p) ** ((gamma - 1) / gamma)));

/** Boiling water through a blow-down, kg/s: CdA·√(2Δp/v) × 0.35, because it flashes in the pipe. @param volume of a kilogram, m³ */
export const blowDownFlow = (area: number, p: number, volume: number, after: number): number =>
  p <= after ? 0 : area * Math.sqrt((2 * (p - after)) / volume) * 0.35;

/** Choked flow per square metre at a pressure, kg/(s·m²): what a valve passes before Cd. @param p absolute, Pa */
export const criticalFlux = (p: number, density: number): number => choked * Math.sqrt(p * density);
