import { moment } from './when';
import { fromSi, print, printGlass, printText, type Quantity, thin, type UnitChoice, type Kind } from '$core/units';

/** A worked value as it is read: in the reader's units, a glass as a fraction, a ratio with the places that matter. */
export function workedText(value: number, kind: Kind, units: UnitChoice): string {
  switch (kind) {
    case 'glass':
      return `${printGlass(value)}${value > 0.01 && value < 0.99 ? ' glass' : ''}`;
    case 'percent':
      return `${value.toFixed(1)}${thin}%`;
    case 'share':
      return `${Number((value * 100).toFixed(1))}${thin}%`;
    case 'ratio':
      return String(Number(value.toPrecision(4)));
    case 'time':
      return value >= 5400
        ? `${Math.floor(value / 3600)}${thin}h ${Math.round((value % 3600) / 60)}${thin}min`
        : printText(value, 'time', units);
    case 'moment':
      return moment(value * 1000);
    case 'count':
      return String(Math.round(value));
    case 'length': {
      const { unit } = print(value, 'length', units);
      // Small parts are made to hundredths of a millimetre.
      return unit === 'm' || Math.abs(value) >= 0.1
        ? printText(value, 'length', units)
        : `${Number(fromSi(value, 'length', unit).toFixed(unit === 'mm' ? 2 : 3))}${thin}${unit}`;
    }
    default:
      return printText(value, kind as Quantity, units, kind === 'volume' && print(value, 'volume', units).unit === 'ml' ? 0 : undefined);
  }
}
