import { feedEnthalpy } from '../boiler';
import { group, number, quantity } from '../form';
import { above, asked, given, line, minus, over, plus, Refusal, roundedUp, times, workedFrom } from '../units';
import { heatOfSteam, heatOfWater, quarterPi, said } from './words';
import { usualUse, usualTurns } from './demand';
import { sum, type Given } from './sum';

const water = () => given('weight of cold water', 1000, 'density', 'steam tables');
const size = {
  bore: quantity('Bore of the ram', 'length', 0.002, 0.1),
  stroke: quantity('Stroke', 'length', 0.002, 0.3),
  efficiency: number('Of that, delivered', 0.3, 1, '0.85 of a pump in good order.')
} as const;
const swept = (bore: number, stroke: number) =>
  times(quarterPi(), said('bore', bore, 'length'), said('bore', bore, 'length'), said('stroke', stroke, 'length'));

/** What a pump on the engine delivers: π/4·b²·s·n·η·ρ, and how far its bypass stands open for a steady glass. */
export const enginePump = sum({
  key: 'engine-pump',
  name: 'What the pump delivers, and its bypass',
  asks: 'Will my pump keep up?',
  inputs: group('A pump on the engine', {
    ...size,
    turns: quantity('Engine turns', 'turns', 0.1, 20),
    uses: quantity('Steam that the engine uses', 'mass flow', 0, 1)
  }),
  usual: (engine) => ({ bore: 0.008, stroke: 0.012, efficiency: 0.85, turns: usualTurns(engine.fitOut), uses: usualUse(engine) }),
  work: ({ bore, stroke, efficiency, turns, uses }) => {
    const delivers = line(
      'delivers',
      'mass flow',
      times(swept(bore, stroke), said('turns', turns, 'turns'), said('of that, delivered', efficiency, 'ratio'), water())
    );
    const steam = said('steam used', uses, 'mass flow');
    const back = line('goes back to the tank', 'share', over(minus(above(delivers), steam), above(delivers)));
    return workedFrom(
      back.result.value < 0 ? [delivers] : [delivers, back],
      'estimate',
      back.result.value < 0
        ? 'Too small: with the bypass shut it does not make up what the engine uses. Another feed must help.'
        : 'With the bypass so far open the glass holds at this work; look at the glass.'
    );
  }
});

/** Strokes of a hand pump for a volume. */
export const handStrokes = sum({
  key: 'hand-strokes',
  name: 'Strokes of the hand pump',
  asks: 'How many strokes is that?',
  inputs: group('A hand pump', { ...size, volume: quantity('Water wanted', 'volume', 1e-6, 0.1) }),
  usual: () => ({ bore: 0.011, stroke: 0.025, efficiency: 0.85, volume: 0.0005 }),
  work: ({ bore, stroke, efficiency, volume }) => {
    const one = line('a stroke', 'volume', times(swept(bore, stroke), said('of that, delivered', efficiency, 'ratio')));
    return workedFrom([one, line('strokes', 'count', roundedUp(over(said('water wanted', volume, 'volume'), above(one))))], 'estimate');
  }
});

const injected = {
  gauge: quantity('Boiler pressure', 'pressure', 7e4, 2.1e6),
  ratio: number('Water for each weight of steam', 4, 20, 'About 10; an injector in good order says 8 to 13.')
} as const;
/** The temperature of water that holds a heat, K. */
function warmth(h: number): number {
  let [low, high] = [273.16, 520];
  for (let n = 0; n < 60; n++) {
    const T = (low + high) / 2;
    if (feedEnthalpy(T) < h) low = T;
    else high = T;
  }
  return (low + high) / 2;
}

/** Delivery of an injector by its heat: h = (h_g + R·h_w)/(1 + R). */
export const injectorDelivery = sum({
  key: 'injector-delivery',
  name: 'How hot the injector delivers',
  asks: 'How hot does the injector deliver?',
  inputs: group('An injector', { ...injected, feed: quantity('Feed water', 'temperature', 273.16, 333.15) }),
  usual: (g: Given) => ({ gauge: 0.8 * g.fitOut.workingPressure, ratio: 10, feed: 288.15 }),
  work: ({ gauge, ratio, feed }) => {
    const [steam, cold] = [heatOfSteam(gauge), heatOfWater('feed water', feed)];
    const R = said('water for each weight of steam', ratio, 'ratio');
    const one = given('the steam itself', 1, 'ratio', 'geometry');
    const h = line('heat of what is delivered', 'heat of a weight', over(plus(above(steam), times(R, above(cold))), plus(one, R)));
    return workedFrom(
      [
        steam,
        cold,
        h,
        asked('delivers at', 'temperature', 'temperature of water that holds that heat (IAPWS-IF97)', warmth(h.result.value), [above(h)])
      ],
      'estimate',
      h.result.value > feedEnthalpy(368.15)
        ? 'Over 95 °C it flashes in the cones and will not work: colder feed water, or a lower pressure.'
        : undefined
    );
  }
});

/** The warmest feed that still condenses the steam: delivery at 95 °C. */
export const injectorLimit = sum({
  key: 'injector-limit',
  name: 'Warmest water that the injector takes',
  asks: 'Will my injector keep up with warm water?',
  inputs: group('An injector', injected),
  usual: (g: Given) => ({ gauge: 0.8 * g.fitOut.workingPressure, ratio: 10 }),
  work: ({ gauge, ratio }) => {
    const [steam, most] = [heatOfSteam(gauge), heatOfWater('hottest delivery', 368.15, 'class default')];
    const R = said('water for each weight of steam', ratio, 'ratio');
    const one = given('the steam itself', 1, 'ratio', 'geometry');
    const h = line('heat of the warmest feed', 'heat of a weight', over(minus(times(above(most), plus(one, R)), above(steam)), R));
    if (h.result.value < feedEnthalpy(273.5))
      throw new Refusal(
        'ratio',
        'With so little water for its steam no feed is cold enough: give a larger share of water, or a lower pressure.'
      );
    return workedFrom(
      [
        steam,
        most,
        h,
        asked('warmest feed', 'temperature', 'temperature of water that holds that heat (IAPWS-IF97)', warmth(h.result.value), [above(h)])
      ],
      'estimate',
      'From there on the steam is not condensed and it knocks off. A tank in the sun, or one warmed by a pump’s bypass, comes to it.'
    );
  }
});
