import { heldAt, thermostatOf } from '../../engine';
import { choice, group, maybe, number, quantity } from '../../form';
import { given, line, mark, minus, psi, Refusal } from '../../units';
import { type Finding, judged, judgedBy, seen, sheet } from '../sheet';

const cuts = { yes: 'seen', no: 'not within', untried: 'shows nothing' } as const;

const trips = { yes: 'seen', no: 'not within', none: 'not within' } as const;

/** The electric set: earth, insulation, what the sensor believes, and what puts it off. */
export const electric = sheet({
  key: 'electric',
  name: 'Electric set',
  how: [
    'Plug out and seen to be out before a cover comes off. Earth and insulation by whoever is competent to measure them, cold and dry.',
    'Then in steam: where the thermostat lets go by the gauge, and that the cut-out puts the element off. Never run the boiler dry to try it: it is tried as its maker says.'
  ],
  when: (f) => f.fire.with === 'electric',
  every: 'electricEvery',
  fields: () =>
    group('Electric set', {
      earth: number('Earth pin to shell, Ω', 0, 1000),
      insulation: number('Element to shell, MΩ', 0, 100_000),
      error: quantity('Gauge read to, either way', 'pressure', 0, psi(20)),
      letsGo: maybe(quantity('Thermostat lets go at, by the gauge', 'pressure', 0, psi(300), 'Empty where there is none.')),
      cutOut: choice('The cut-out, as its maker says it is tried', { yes: 'puts it off', no: 'does not', untried: 'was not tried' }),
      breaker: choice('The earth-fault breaker of its supply, by its button', { yes: 'trips', no: 'does not trip', none: 'there is none' })
    }),
  starts: () => ({ earth: '', insulation: '', error: '', letsGo: null, cutOut: '', breaker: '' }),
  judge: ({ earth, insulation, error, letsGo, cutOut, breaker }, fitOut, rules): Finding[] => {
    const knob = thermostatOf(fitOut, heldAt(fitOut));
    if (letsGo !== null && !knob)
      throw new Refusal('letsGo', 'This engine has no thermostat by its fit-out: leave it empty, or change the fit-out.');
    return [
      {
        verdict: judgedBy(rules.earth, (r) => r - earth, 0),
        says: `${earth} Ω from the earth pin to the shell${rules.earth === null ? '' : `; ${rules.earth} Ω is allowed`}.`,
        steps: []
      },
      {
        verdict: judgedBy(rules.insulation, (r) => insulation - r, 0),
        says: `${insulation} MΩ from the element to the shell${rules.insulation === null ? '' : `; ${rules.insulation} MΩ at least is asked`}.`,
        steps: []
      },
      ...(!knob
        ? []
        : letsGo === null
          ? [{ verdict: 'shows nothing', says: 'The thermostat was not seen to let go.', steps: [] } as const]
          : [
              {
                // Over working pressure it is the valve that holds the boiler, and not the thermostat.
                verdict: judged(fitOut.workingPressure - letsGo, error),
                says: `The thermostat lets go at ${mark(letsGo, 'pressure')}; by its fit-out at ${mark(knob.letsGo, 'pressure')}, and the boiler works at ${mark(fitOut.workingPressure, 'pressure')}.`,
                steps: [
                  line(
                    'over its knob',
                    'pressure',
                    minus(given('lets go at', letsGo, 'pressure', 'measured'), given('by the fit-out', knob.letsGo, 'pressure', 'fit-out'))
                  )
                ]
              }
            ]),
      ...(fitOut.fire.with === 'electric' && fitOut.fire.cutOut
        ? [
            seen(
              cuts,
              cutOut,
              cutOut === 'yes'
                ? 'The cut-out puts the element off.'
                : cutOut === 'no'
                  ? 'The cut-out does not put the element off.'
                  : 'The cut-out was not tried.'
            )
          ]
        : [
            {
              verdict: 'measured',
              says: 'By its fit-out nothing puts the element off when it runs dry: the glass is all there is.',
              steps: []
            } as const
          ]),
      seen(
        trips,
        breaker,
        breaker === 'yes'
          ? 'The earth-fault breaker trips.'
          : breaker === 'no'
            ? 'The earth-fault breaker does not trip.'
            : 'There is no earth-fault breaker.'
      )
    ];
  }
});
