import { group, number, quantity } from '../form';
import { boilingAt, saturationPressure } from '../steam';
import { above, asked, given, line, mark, minus, plus, Refusal, times, toThePower, workedFrom, type WorkedStep } from '../units';
import { plain, said } from './words';
import { sum } from './sum';

/** The atmosphere at an altitude, by the standard one: 101,325 Pa × (1 − 2.25577e-5 h)^5.25588. */
const air = (altitude: number): WorkedStep =>
  line(
    'atmosphere there',
    'pressure',
    times(
      given('atmosphere at the sea', 101_325, 'pressure', 'class default'),
      toThePower(
        minus(
          plain('all of it', 1),
          times(given('falls for each metre', 2.25577e-5, 'ratio', 'class default'), said('altitude', altitude, 'altitude'))
        ),
        given('power of the standard atmosphere', 5.25588, 'ratio', 'class default')
      )
    )
  );
const altitude = quantity('Altitude', 'altitude', 0, 5000, '0 at the sea.');
const steamAt = (T: WorkedStep['inputs'][number], name = 'pressure of the steam') =>
  asked(name, 'pressure', 'pressure of steam at that temperature, over nothing (IAPWS-IF97)', saturationPressure(T.value), [T]);

/** What a thermostat set by temperature gives, and what its band is worth there. */
export const thermostat = sum({
  key: 'thermostat',
  name: 'Pressure that a thermostat gives',
  asks: 'What pressure does the knob give?',
  when: ({ fitOut }) => fitOut.fire.with === 'electric',
  inputs: group('A thermostat', {
    knob: quantity('Set to', 'temperature', 373.5, 500),
    band: number('Band, K', 0, 40, 'From where it lets go down to where it takes hold again.'),
    altitude
  }),
  usual: ({ fitOut, plant }) => ({ knob: plant.fire.with === 'electric' ? plant.fire.set : 416, band: 5, altitude: fitOut.altitude }),
  work: ({ knob, band, altitude: h }) => {
    const T = said('set to', knob, 'temperature');
    const there = air(h);
    const high = steamAt(T);
    if (high.result.value <= there.result.value)
      throw new Refusal('knob', 'At that temperature it does not boil there: give a higher one.');
    // Half of the band lies over what is set, half under it; ends in kelvin, so that every line is a temperature.
    const [top, bottom] = [
      steamAt(given('lets go at', Math.min(520, knob + band / 2), 'temperature', 'given'), 'pressure where it lets go'),
      steamAt(given('takes hold at', Math.max(300, knob - band / 2), 'temperature', 'given'), 'pressure where it takes hold')
    ];
    const swing = line('its band is worth', 'pressure', minus(above(top), above(bottom)));
    return workedFrom(
      [top, bottom, swing, high, there, line('gives', 'pressure', minus(above(high), above(there)))],
      'from the drawing',
      `Swings by ${mark(swing.result.value, 'pressure')} while it cycles. The safety valve is what protects the boiler.`
    );
  }
});

/** The temperature for a wanted pressure. */
export const thermostatFor = sum({
  key: 'thermostat-for',
  name: 'Temperature for a pressure',
  asks: 'What do I set the knob to?',
  when: ({ fitOut }) => fitOut.fire.with === 'electric',
  inputs: group('A pressure', { pressure: quantity('Wanted', 'pressure', 1e3, 2e6), altitude }),
  usual: ({ fitOut }) => ({ pressure: 0.93 * fitOut.workingPressure, altitude: fitOut.altitude }),
  work: ({ pressure, altitude: h }) => {
    const there = air(h);
    const p = line('over nothing', 'pressure', plus(said('wanted', pressure, 'pressure'), above(there)));
    return workedFrom(
      [
        there,
        p,
        asked('set to', 'temperature', 'boiling temperature at that pressure, over nothing (IAPWS-IF97)', boilingAt(p.result.value), [
          above(p)
        ])
      ],
      'from the drawing'
    );
  }
});

/** A gauge and a thermometer on one boiler: steam has one temperature for each pressure. */
export const gaugeAgainstThermometer = sum({
  key: 'gauge-thermometer',
  name: 'Gauge against thermometer',
  asks: 'Which of the two is wrong?',
  inputs: group('What was read', {
    gauge: quantity('Gauge', 'pressure', 1e3, 2e6),
    gaugeError: quantity('Read to, either way', 'pressure', 0, 2e5),
    thermometer: quantity('Thermometer', 'temperature', 274, 500),
    thermometerError: number('Read to, either way, K', 0, 20)
  }),
  usual: ({ fitOut }) => ({
    gauge: 0.7 * fitOut.workingPressure,
    gaugeError: 13_790,
    thermometer: boilingAt(0.7 * fitOut.workingPressure + 101_325),
    thermometerError: 2
  }),
  work: ({ gauge, gaugeError, thermometer, thermometerError }) => {
    const p = line(
      'over nothing',
      'pressure',
      plus(said('gauge', gauge, 'pressure'), given('atmosphere, taken as', 101_325, 'pressure', 'class default'))
    );
    const needs = asked(
      'needs',
      'temperature',
      'boiling temperature at that pressure, over nothing (IAPWS-IF97)',
      boilingAt(p.result.value),
      [above(p)]
    );
    const steam = steamAt(said('thermometer', thermometer, 'temperature'), 'steam of that warmth, over nothing');
    const apart = line('the gauge shows more by', 'pressure', minus(above(p), above(steam)));
    const [low, high] = [gauge - gaugeError, gauge + gaugeError].map((x) => boilingAt(Math.max(0, x) + 101_325));
    const off = thermometer < low! - thermometerError ? -1 : thermometer > high! + thermometerError ? 1 : 0;
    const shows = steam.result.value - 101_325;
    const at = shows > 0 ? `is ${mark(shows, 'pressure')}` : 'does not boil';
    return workedFrom(
      [p, needs, steam, apart],
      'measured',
      off === 0
        ? 'They agree, as near as they are read.'
        : off < 0
          ? `They do not agree. Steam of ${mark(gauge, 'pressure')} has ${mark(needs.result.value, 'temperature')}; ${mark(thermometer, 'temperature')} ${at}. The thermometer shows too little, the gauge too much, or the rest is air: let it out and read both again.`
          : `They do not agree. Steam of ${mark(gauge, 'pressure')} has ${mark(needs.result.value, 'temperature')}; ${mark(thermometer, 'temperature')} ${at}. The gauge shows too little: take its word for nothing, fire down, until it has been compared.`
    );
  }
});
