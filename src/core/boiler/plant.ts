import { type FitOut, heldAt, inSteamAt, thermostatOf } from '../engine';
import { chargeHeat, type Element, type GasBurner, type Grate, jetDraws, startFuel, type Tablets } from '../firing';
import { saturationAtGauge } from '../steam';
import { atmosphereAt, type Gauge } from '../units';
import { criticalFlux } from './flow';
import { type Overrides, plantFigures, steamFlow } from './parameters';
import { drawnHeat, passageOf } from './passage';
import { jetAt } from './changeover';
import { type Vessel, vesselOf } from './vessel';

/**
 * An engine as the model steps it. Every number comes from one table of parameters: from the fit-out where it says so, from
 * the class otherwise, from the engine's own past where it has been learned; each can be set, and each has its working.
 */
export interface Plant {
  readonly vessel: Vessel;
  readonly fire: Grate | GasBurner | Tablets | Element;
  /** Working pressure at the gauge, Pa. */
  readonly workingPressure: number;
  /** What it is held at, and what counts as in steam, Pa at the gauge. */
  readonly held: number;
  readonly inSteam: number;
  /** Fully open, CdA, m². */
  readonly blower: number;
  readonly whistle: number;
  readonly drains: number;
  readonly vent: number;
  readonly leak: number;
  readonly blowDown: number;
  readonly regulator: number;
  /** Share of water that leaves with the steam. */
  readonly moisture: number;
  readonly valves: readonly { readonly set: number; readonly pop: boolean; readonly area: number }[];
  readonly feeds: readonly PlantFeed[];
  /** Of the place where it is steamed, Pa. */
  readonly atmosphere: number;
  /** Steam that the fire makes at its rated heat, kg/s. */
  readonly ratedSteam: number;
  /** Largest rise of temperature allowed, K/s; Infinity when none is set. */
  readonly pace: number;
  /** Pressure at the gauge at which the blower sustains the fire, Pa. */
  readonly sustains: number;
  /** Pressure at the gauge from which the fuel is put on; the start fuel until then, Pa. */
  readonly coalFrom: number;
}

export interface PlantFeed {
  readonly name: string;
  readonly injector: boolean;
  /** kg/s */ readonly rate: number;
  /** Lowest pressure at the gauge, Pa. */ readonly from: number;
  readonly turning: boolean;
}

function fireOf(f: FitOut, so: Readonly<Record<string, number>>): Plant['fire'] {
  const { fire } = f;
  switch (fire.with) {
    case 'solid': {
      const built = passageOf(f, so);
      // An engine that has shown more or less heat than its drawing says is drawn harder or less hard, as air goes: by the square.
      const more = so.power! / drawnHeat(f, built, so.soot).at(-1)!.result.value;
      const passage = {
        ...built,
        fan: built.fan * more * more,
        fanFlow: built.fanFlow * more,
        height: built.height * more * more,
        nozzle: built.nozzle / (more * more)
      };
      const full = jetAt(f.workingPressure);
      return {
        with: 'solid',
        area: passage.area,
        lump: so.lump!,
        fuel: fire.fuel,
        start: startFuel[fire.start],
        damp: so.damp!,
        passage,
        box: so.box!,
        radiates: so.radiates!,
        soot: so.soot ?? 0,
        blower: (more * more * jetDraws * so.blower! * full.flux * full.speed) / passage.chimney
      };
    }
    case 'gas':
      return {
        with: 'gas',
        power: so.power!,
        efficiency: so.efficiency!,
        lightUp: 0.5,
        lag: f.size === 'medium' ? 60 : 25,
        canister: fire.canister
      };
    case 'spirit': {
      const burns = fire.burns ?? f.runLimit ?? 540;
      return {
        with: 'spirit',
        charge: so.power! * burns,
        burns,
        efficiency: so.efficiency!,
        heat: chargeHeat[fire.fuel],
        fades: fire.fuel === 'tablets'
      };
    }
    case 'electric': {
      const knob = thermostatOf(
        { fire: fire.thermostat === 'none' ? { ...fire, thermostat: 'pressure' } : fire, altitude: f.altitude },
        heldAt(f)
      );
      return {
        with: 'electric',
        power: so.power!,
        set: knob!.set,
        band: fire.band,
        lag: 15
      };
    }
  }
}

/** The engine as the model steps it. @param own parameters set or learned, by key */
export function plantOf(f: FitOut, own: Overrides = {}): Plant {
  const so = Object.fromEntries(plantFigures(f, own).map(({ key, worked }) => [key, worked.value]));
  const { s, flux } = steamFlow(f);
  const hole = (kilogramsAnHour: number) => kilogramsAnHour / 3600 / flux;
  const over = saturationAtGauge((f.workingPressure * 1.1) as Gauge);
  return {
    vessel: vesselOf(f, so.metal!, so.loss!),
    fire: fireOf(f, so),
    workingPressure: f.workingPressure,
    atmosphere: atmosphereAt(f.altitude),
    held: heldAt(f),
    inSteam: inSteamAt(f),
    blower: so.blower ?? 0,
    whistle: f.whistle ? hole({ tabletop: 2, small: 6, medium: 40, full: 160 }[f.size]) : 0,
    drains: hole({ tabletop: 1, small: 4, medium: 20, full: 90 }[f.size]),
    vent: hole({ tabletop: 1, small: 3, medium: 15, full: 60 }[f.size]),
    leak: so.leak!,
    blowDown: { tabletop: 2e-6, small: 12e-6, medium: 40e-6, full: 300e-6 }[f.size],
    // A regulator is made for its cylinders: an opening of a hundred-and-twentieth of their pistons hardly holds them back.
    regulator: (f.cylinders.count * (Math.PI / 4) * f.cylinders.bore ** 2) / 120,
    moisture: so.moisture!,
    valves: f.safetyValves.map((v) => ({
      set: v.set,
      pop: v.type === 'pop',
      area: so.valve! / criticalFlux(over.p, 1 / over.vg)
    })),
    feeds: f.feeds
      .filter((x) => x.plumbed && x.kind !== 'bottle')
      .map((x) => ({ name: x.name, injector: x.kind === 'injector', rate: x.rate * 1000, from: x.from, turning: x.turning })),
    ratedSteam: (so.power! * (f.fire.with === 'solid' ? 0.55 : f.fire.with === 'electric' ? 1 : so.efficiency!)) / (s.hg - s.hf),
    pace: f.pace ? f.pace / 3600 : Infinity,
    coalFrom: f.fire.with === 'solid' && f.fire.start === 'wood' ? 100_000 : -Infinity,
    sustains: (f.fire.with === 'solid' && f.fire.blower) || 0
  };
}

const plants = new WeakMap<FitOut, Plant>();
/** The engine by its class figures alone, made once for each fit-out. */
export const plantFor = (fitOut: FitOut): Plant => {
  const made = plants.get(fitOut) ?? plantOf(fitOut);
  plants.set(fitOut, made);
  return made;
};
