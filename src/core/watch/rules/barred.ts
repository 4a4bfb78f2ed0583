import { feedsAt } from '../../procedure';
import type { Rule } from '../rule';
import { inSteam, ms } from '../view';

/** A fault that forbids steaming, found while it is in steam. */
export const barred: Rule = {
  key: 'barred',
  rank: 'look',
  clears: 'Cleared by an owner, a steward or an examiner; or fire out.',
  finds: ({ fitOut: f, state }) => {
    const { fire, kind } = f;
    const bar = state.faults.find((x) => x.forbids === 'steaming' && !x.clearedAt);
    return bar && inSteam(state)
      ? {
          from: ms(bar.at),
          since: bar.at,
          what: `Not to be steamed: “${bar.text}”`,
          first: `Run it down: ${[
            fire.with === 'solid' ? 'nothing more on the fire' : 'fire down',
            ...(kind === 'tank locomotive' || kind === 'tender locomotive' ? ['nobody carried'] : []),
            ...(feedsAt(f).length ? ['water kept up'] : []),
            'then fire out'
          ].join(', ')}. An owner, a steward or an examiner clears it.`
        }
      : undefined;
  }
};
