import { firesideOf, type FitOut } from '../engine';
import { heatOfAir, naturalDraught, type Passage, ratedAir } from '../firing';
import { above, asked, line, times, type WorkedInput, type WorkedStep } from '../units';
import { drawn, type So, type Solid, usual } from './parameter';

/** What the gas of a fire goes through, from the parameters that come before the fire's heat. */
export function passageOf(f: FitOut, so: Readonly<So>): Passage {
  const { length } = firesideOf(f.boiler).tubes;
  const { grateLength, grateWidth } = f.fire as Solid;
  const area = grateLength * grateWidth;
  return {
    grate: so.grate!,
    // An ashpan that is open for a sixth of the grate.
    damper: 0.6 * 0.17 * area,
    area,
    // A door of a fifth of the grate.
    door: 0.6 * 0.2 * area,
    tubes: { count: so.tubes ?? 0, bore: so.bore ?? 0, length },
    chimney: so.chimney!,
    height: so.height!,
    fan: so.fan ?? 0,
    // With nothing in its way it blows up the chimney at about ten metres a second.
    fanFlow: 12 * so.chimney!,
    nozzle: so.nozzle ?? 0
  };
}

/** The lines from a draught to the heat of the fire that it draws. @param fan whether that draught falls with the flow, as a fan's does */
export function heatOfDraught(f: FitOut, passage: Passage, drive: WorkedInput, fan: 0 | 1, soot = 0): WorkedStep[] {
  const { tubes } = passage;
  const air = asked(
    'air drawn through the fire',
    'mass flow',
    'what that draught draws through grate, a bed five lumps deep, tubes and chimney',
    ratedAir(passage, fan ? 0 : drive.value, fan, soot),
    [
      drive,
      usual('open between the bars', passage.grate, 'area'),
      ...(tubes.count
        ? [
            drawn('tubes open', tubes.count, 'count'),
            usual('bore of a tube', tubes.bore, 'length'),
            usual('soot', soot, 'length'),
            drawn('length of a tube', tubes.length, 'length')
          ]
        : []),
      usual('chimney', passage.chimney, 'area')
    ]
  );
  return [
    air,
    line(
      'heat of the fire',
      'power',
      times(
        above(air),
        usual('of it, meets glowing fuel', 0.85, 'share'),
        usual('heat that a weight of air makes', heatOfAir, 'heat of fuel')
      )
    )
  ];
}

/** The lines to the heat of a fire that the fan draws, or without one the chimney when it is hot. */
export const drawnHeat = (f: FitOut, passage: Passage, soot = 0): WorkedStep[] =>
  passage.fan > 0
    ? heatOfDraught(f, passage, usual('head of the fan', passage.fan, 'draught'), 1, soot)
    : heatOfDraught(f, passage, usual('draught of the chimney, hot', naturalDraught(passage.height, 500, 288), 'draught'), 0, soot);
