import type { FitOut } from './fit-out';

/** Whether an accumulation test can be judged of it: by a gauge, of a fire that can be at its fiercest, by valves. */
export const mayAccumulate = ({ gauge, fire, safetyValves }: FitOut): boolean => gauge && fire.with !== 'spirit' && safetyValves.length > 0;
