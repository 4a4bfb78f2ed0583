import type { FitOut } from '../../engine';
import { choice, group, list } from '../../form';
import { type Finding, named, seen, sheet, untried } from '../sheet';

const passes = { steam: 'seen', water: 'shows nothing', nothing: 'not within' } as const;
const passesWords = { steam: 'clears to dry steam', water: 'still passes water', nothing: 'passes nothing' } as const;
const shuts = { tight: 'seen', passes: 'not within' } as const;

/** Every end of every cylinder that has one, or the one under the chest. */
const endsOf = ({ cylinders: { count, drains, doubleActing } }: Pick<FitOut, 'cylinders'>): string[] =>
  drains === 'chest'
    ? ['steam chest']
    : Array.from({ length: count }, (_, i) =>
        doubleActing ? [`cylinder ${i + 1}, front`, `cylinder ${i + 1}, back`] : [`cylinder ${i + 1}`]
      ).flat();

/** Drains at every cylinder: one that is choked bends a rod. */
export const drains = sheet({
  key: 'drains',
  name: 'Cylinder drains',
  how: [
    'Wheels held, drains open, a breath of steam: each end by itself, turned past both dead centres.',
    'Drains that steam works may not open before there is a load: they are tried again on the first yards.',
    'Shut, with steam on: none of them passes.'
  ],
  when: (f) => f.cylinders.drains !== 'none',
  fields: (f) =>
    group('Cylinder drains', {
      ends: list(
        'Drains',
        'Drain',
        group('Drain', {
          end: named('Which', endsOf(f)),
          passes: choice('Open, it', passesWords),
          shuts: choice('Shut, it', { tight: 'is tight', passes: 'passes' })
        }),
        1,
        16
      )
    }),
  starts: (f) => ({ ends: endsOf(f).map((end) => ({ end, passes: '', shuts: '' })) }),
  judge: ({ ends }, fitOut): Finding[] => [
    ...ends.flatMap(({ end, ...is }) => [
      seen(passes, is.passes, `The drain of ${end} ${passesWords[is.passes]}.`),
      seen(shuts, is.shuts, `Shut, the drain of ${end} ${is.shuts === 'tight' ? 'is tight' : 'passes'}.`)
    ]),
    ...untried(
      endsOf(fitOut),
      ends.map((e) => e.end)
    )
  ]
});
