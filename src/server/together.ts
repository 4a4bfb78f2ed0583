import DataLoader from 'dataloader';

/**
 * Asks for what comes meanwhile all at once: so many questions are under way at a time, and what is asked until one of them is answered is the
 * next one. With few askers each is asked at once; with a rally of them the database is asked as often as it can answer, and not as often
 * as they ask. Nothing is remembered.
 * @param atOnce questions under way @param most keys of one question
 */
export function together<Key, Answer>(
  ask: (keys: readonly Key[]) => Promise<readonly (Answer | Error)[]>,
  { atOnce, most = 100 }: { atOnce: number; most?: number }
): (key: Key) => Promise<Answer> {
  let underWay = 0;
  const waiting: (() => void)[] = [];
  const loader = new DataLoader<Key, Answer>(
    async (keys) => {
      underWay++;
      try {
        return (await ask(keys)) as (Answer | Error)[];
      } finally {
        underWay--;
        waiting.shift()?.();
      }
    },
    {
      cache: false,
      maxBatchSize: most,
      batchScheduleFn: (go) => (underWay < atOnce ? queueMicrotask(go) : void waiting.push(go))
    }
  );
  return (key) => loader.load(key);
}
