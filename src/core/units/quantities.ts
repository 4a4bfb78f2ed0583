/**
 * units: quantities, how people write them, and how they are printed back.
 *
 * One table. Inside, every quantity is a number in its SI unit; a unit is what one of it is worth in SI, the words
 * people use for it, and how many decimals are honest to show.
 */

export interface Unit {
  /** What one of this unit is in SI. */
  readonly si: number;
  /** SI value of this unit's zero; only temperatures have one. */
  readonly zero?: number;
  /** How people write or say it, lower case, without spaces or full stops. The first is how it is printed. */
  readonly words: readonly string[];
  readonly digits: number;
}

interface QuantityRow {
  readonly name: string;
  readonly units: Readonly<Record<string, Unit>>;
}

const unit = (si: number, digits: number, ...words: string[]): Unit => ({ si, digits, words });

export const quantities = {
  /** Pressure above the atmosphere, Pa. Absolute pressure is never typed or shown; see `pressure.ts`. */
  pressure: {
    name: 'pressure',
    units: {
      psi: unit(6894.757293, 0, 'psi', 'psig', 'lb', 'lbs', 'pound', 'pounds', 'p'),
      bar: unit(1e5, 1, 'bar', 'bars', 'barg'),
      kPa: unit(1e3, 0, 'kPa', 'kpa', 'kilopascal', 'kilopascals')
    }
  },
  temperature: {
    name: 'temperature',
    units: {
      '°C': { si: 1, zero: 273.15, digits: 0, words: ['°C', '°c', 'c', 'degc', 'celsius', 'degrees', 'degree', 'deg', '°'] },
      '°F': { si: 5 / 9, zero: 273.15 - 160 / 9, digits: 0, words: ['°F', '°f', 'f', 'degf', 'fahrenheit'] }
    }
  },
  volume: {
    name: 'volume',
    units: {
      l: unit(1e-3, 2, 'l', 'litre', 'litres', 'liter', 'liters', 'ltr'),
      gal: unit(4.54609e-3, 2, 'gal', 'gallon', 'gallons', 'impgal'),
      qt: unit(0.946352946e-3, 2, 'US qt', 'usqt', 'qt', 'quart', 'quarts'),
      floz: unit(28.4130625e-6, 1, 'fl oz', 'floz', 'fluidounce', 'fluidounces'),
      ml: unit(1e-6, 0, 'ml', 'millilitre', 'millilitres', 'cc')
    }
  },
  mass: {
    name: 'weight',
    units: {
      kg: unit(1, 1, 'kg', 'kilo', 'kilos', 'kilogram', 'kilograms'),
      g: unit(1e-3, 0, 'g', 'gram', 'grams', 'gm'),
      lb: unit(0.45359237, 1, 'lb', 'lbs', 'pound', 'pounds'),
      oz: unit(0.028349523125, 1, 'oz', 'ounce', 'ounces')
    }
  },
  length: {
    name: 'length',
    units: {
      mm: unit(1e-3, 0, 'mm', 'millimetre', 'millimetres'),
      m: unit(1, 2, 'm', 'metre', 'metres'),
      in: unit(0.0254, 2, 'in', 'inch', 'inches', '"')
    }
  },
  altitude: {
    name: 'altitude',
    units: { m: unit(1, 0, 'm', 'metre', 'metres', 'meter', 'meters'), ft: unit(0.3048, 0, 'ft', 'foot', 'feet') }
  },
  flow: {
    name: 'flow',
    units: {
      'l/h': unit(1e-3 / 3600, 1, 'l/h', 'lph', 'litresanhour', 'litresperhour'),
      'l/min': unit(1e-3 / 60, 2, 'l/min', 'lpm', 'litresaminute'),
      'gal/h': unit(4.54609e-3 / 3600, 1, 'gal/h', 'gph', 'gallonsanhour')
    }
  },
  power: {
    name: 'power',
    units: { kW: unit(1e3, 1, 'kW', 'kw'), W: unit(1, 0, 'W', 'w', 'watt', 'watts'), hp: unit(745.699872, 2, 'hp', 'horsepower') }
  },
  time: {
    name: 'time',
    units: {
      min: unit(60, 0, 'min', 'minute', 'minutes', 'm'),
      s: unit(1, 0, 's', 'second', 'seconds', 'sec'),
      h: unit(3600, 1, 'h', 'hour', 'hours')
    }
  },
  energy: { name: 'energy', units: { MJ: unit(1e6, 2, 'MJ', 'megajoule'), kJ: unit(1e3, 0, 'kJ', 'kilojoule') } },
  'heat capacity': { name: 'heat capacity', units: { 'kJ/K': unit(1e3, 2, 'kJ/K') } },
  loss: { name: 'loss of heat', units: { 'W/K': unit(1, 2, 'W/K') } },
  area: { name: 'area', units: { 'mm²': unit(1e-6, 2, 'mm²', 'mm2'), 'cm²': unit(1e-4, 1, 'cm²', 'cm2') } },
  'mass flow': { name: 'flow of steam', units: { 'kg/h': unit(1 / 3600, 1, 'kg/h') } },
  density: { name: 'weight of a volume', units: { 'kg/m³': unit(1, 0, 'kg/m³') } },
  'heat of fuel': { name: 'heat of a fuel', units: { 'MJ/kg': unit(1e6, 1, 'MJ/kg') } },
  'specific heat': { name: 'heat held by a weight', units: { 'kJ/(kg·K)': unit(1e3, 2, 'kJ/(kg·K)') } },
  'heat on an area': { name: 'heat on an area', units: { 'kW/m²': unit(1e3, 0, 'kW/m²') } },
  'flow through an area': { name: 'flow through an area', units: { 'kg/(s·m²)': unit(1, 0, 'kg/(s·m²)') } },
  draught: { name: 'draught', units: { Pa: unit(1, 0, 'Pa', 'pascal', 'pascals') } },
  speed: { name: 'speed', units: { 'm/s': unit(1, 1, 'm/s') } },
  force: { name: 'force', units: { N: unit(1, 0, 'N', 'n', 'newton', 'newtons'), lbf: unit(4.4482216153, 1, 'lbf', 'poundsforce') } },
  'heat of a weight': { name: 'heat of a weight', units: { 'kJ/kg': unit(1e3, 1, 'kJ/kg', 'kj/kg') } },
  dissolved: { name: 'weight of solids in a volume', units: { 'mg/l': unit(1e-3, 0, 'mg/l', 'ppm', 'milligramsalitre') } },
  turns: { name: 'speed of turning', units: { 'rev/min': unit(1 / 60, 0, 'rev/min', 'rpm', 'revs', 'revolutions', 'turns', 'aminute') } },
  travel: { name: 'speed', units: { 'km/h': unit(1 / 3.6, 1, 'km/h', 'kmh', 'kph'), mph: unit(0.44704, 1, 'mph', 'milesanhour') } },
  'steam for work': { name: 'steam for work', units: { 'kg/kWh': unit(1 / 3.6e6, 1, 'kg/kWh') } },
  angle: { name: 'angle', units: { '°': unit(Math.PI / 180, 0, '°', 'deg', 'degrees') } }
} as const satisfies Record<string, QuantityRow>;

export type Quantity = keyof typeof quantities;
export type UnitOf<Q extends Quantity> = keyof (typeof quantities)[Q]['units'];

/** What a member has chosen to read in. */
export interface UnitChoice {
  pressure: UnitOf<'pressure'>;
  temperature: UnitOf<'temperature'>;
  volume: 'l' | 'gal' | 'qt';
  mass: 'kg' | 'lb';
  length: 'mm' | 'in';
}

export const usualUnits: UnitChoice = { pressure: 'psi', temperature: '°C', volume: 'l', mass: 'kg', length: 'mm' };

/** The unit in which a member reads a quantity. */
export function chosenUnit(quantity: Quantity, choice: UnitChoice): string {
  switch (quantity) {
    case 'pressure':
    case 'temperature':
    case 'volume':
    case 'mass':
    case 'length':
      return choice[quantity];
    case 'flow':
      return choice.volume === 'gal' ? 'gal/h' : 'l/h';
    case 'force':
      return choice.mass === 'lb' ? 'lbf' : 'N';
    case 'altitude':
      return choice.length === 'in' ? 'ft' : 'm';
    case 'travel':
      return choice.length === 'in' ? 'mph' : 'km/h';
    default:
      return Object.keys(quantities[quantity].units)[0]!;
  }
}

export const unitRow = (quantity: Quantity, name: string): Unit =>
  (quantities[quantity].units as Record<string, Unit>)[name] ?? Object.values(quantities[quantity].units as Record<string, Unit>)[0]!;

/** A number of some unit as SI. */
export const toSi = (value: number, quantity: Quantity, name: string): number => {
  const { si, zero = 0 } = unitRow(quantity, name);
  return value * si + zero;
};

/** An SI value as a number of some unit. */
export const fromSi = (value: number, quantity: Quantity, name: string): number => {
  const { si, zero = 0 } = unitRow(quantity, name);
  return (value - zero) / si;
};
