import { choice, count, group, text } from '../../form';
import { type Finding, judgedBy, seen, sheet } from '../sheet';

const worth = { clean: 'seen', scaled: 'not within', wasted: 'not within', weeps: 'not within', unseen: 'shows nothing' } as const;

/** The fusible plug, looked at from both sides. */
export const plug = sheet({
  key: 'plug',
  name: 'Fusible plug',
  how: [
    'Cold, fire out and boiler empty to the crown: seen from the fire side with a mirror, and from the water side through a door where there is one.',
    'Scale on it keeps the heat from the metal that is to melt; what has crept or wasted is renewed, never filled again.'
  ],
  when: (f) => f.fusiblePlug,
  every: 'plugEvery',
  fields: () =>
    group('Fusible plug', {
      months: count('Renewed so many months ago', 0, 240),
      mark: text('Marked', 1, 100, 'What is stamped on it, or on its packet.'),
      is: choice('It is', {
        clean: 'clean, bright and whole on both sides',
        scaled: 'scaled over on the water side',
        wasted: 'crept or wasted',
        weeps: 'weeping at its thread',
        unseen: 'seen from one side only'
      })
    }),
  starts: () => ({ months: '', mark: '', is: '' }),
  judge: ({ months, mark, is }, _, rules): Finding[] => [
    {
      // Months are counted whole: one that is as old as the rule is due.
      verdict: judgedBy(rules.plugEvery, (n) => n - months - 0.5, 0),
      says: `${mark}: renewed ${months} month${months === 1 ? '' : 's'} ago${rules.plugEvery === null ? '' : `; after ${rules.plugEvery} it is due`}.`,
      steps: []
    },
    seen(
      worth,
      is,
      `It is ${{ clean: 'clean, bright and whole', scaled: 'scaled over', wasted: 'crept or wasted', weeps: 'weeping', unseen: 'seen from one side only' }[is]}.`
    )
  ]
});
