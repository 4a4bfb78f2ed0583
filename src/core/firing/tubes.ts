/**
 * What tubes take out of the gas, and what they cost in draught, by their own dimensions. Gas of a fire as a mixture at its mean
 * temperature; laminar in small tubes, turbulent in large ones; general heat-transfer literature (Hausen/Sieder–Tate, Dittus–Boelter).
 */

/** Tubes side by side, as the gas finds them. */
export interface Tubes {
  readonly count: number;
  /** Inside, clean, m. */ readonly bore: number;
  /** m */ readonly length: number;
}

/** Heat capacity of the gas of a fire, J/(kg K), and its Prandtl number. */
export const gasCp = 1150;
const prandtl = 0.7;
/** Viscosity, Pa s: 3.6e-5 at 800 K. @param T K */
export const gasViscosity = (T: number): number => 3.6e-5 * (T / 800) ** 0.7;
/** What it conducts, W/(m K): 0.057 at 800 K. @param T K */
const gasConducts = (T: number): number => 0.057 * (T / 800) ** 0.8;
/** Weight of a gas of air's composition at one atmosphere, kg/m³. @param T K */
export const gasDensity = (T: number): number => 353 / T;
/** What soot conducts, W/(m K). */
const sootConducts = 0.08;

const open = (bore: number, soot: number) => Math.max(0.1 * bore, bore - 2 * soot);

/** Reynolds number of the flow in each tube: ṁD/(nAμ). @param flow of all of them, kg/s */
const reynolds = ({ count }: Tubes, bore: number, flow: number, T: number) => (4 * flow) / (count * Math.PI * bore * gasViscosity(T));

/** From laminar to turbulent, 0 to 1: between 2,300 and 10,000. */
const turbulent = (re: number) => Math.min(1, Math.max(0, (re - 2300) / 7700));

/** Nusselt number: laminar the greater of 3.66 and 1.86 (Re Pr D/L)^⅓, turbulent 0.023 Re^0.8 Pr^0.4, blended between. */
export function nusselt(re: number, boreOverLength: number): number {
  const slow = Math.max(3.66, 1.86 * Math.cbrt(re * prandtl * boreOverLength));
  const share = turbulent(re);
  return share === 0 ? slow : slow + share * Math.max(0, 0.023 * re ** 0.8 * prandtl ** 0.4 - slow);
}

/**
 * Transfer units of the tubes: Nu·π·k·L·n ÷ (ṁ·c_p), with the soot on their walls in the way.
 * @param flow of gas, kg/s, over nothing
 * @param T mean temperature of the gas, K
 * @param soot its thickness, m
 */
export function transferUnits(tubes: Tubes, flow: number, T: number, soot = 0): number {
  if (tubes.count === 0) return 0;
  const bore = open(tubes.bore, soot);
  const k = gasConducts(T);
  const film = (nusselt(reynolds(tubes, bore, flow, T), bore / tubes.length) * k) / bore;
  const through = soot > 0 ? film / (1 + (film * soot) / sootConducts) : film;
  return (through * Math.PI * bore * tubes.length * tubes.count) / (flow * gasCp);
}

/**
 * What the tubes cost, Pa/(kg/s)²: (1.5 + fL/D)·ρv²/2 over the flow's square; f = 64/Re, or 0.316 Re^-¼ where that is more.
 * @param flow of gas, kg/s, over nothing
 */
export function tubeResistance(tubes: Tubes, flow: number, T: number, soot = 0): number {
  if (tubes.count === 0) return 0;
  const bore = open(tubes.bore, soot);
  const re = reynolds(tubes, bore, flow, T);
  const friction = re > 1190 ? Math.max(64 / re, 0.316 * re ** -0.25) : 64 / re;
  const area = (tubes.count * Math.PI * bore * bore) / 4;
  return (1.5 + (friction * tubes.length) / bore) / (2 * gasDensity(T) * area * area);
}
