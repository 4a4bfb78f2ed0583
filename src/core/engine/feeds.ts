import type { Feed, FitOut } from './fit-out';

/** What puts water in while there is steam: plumbed in, and no bottle. */
export const feedsOf = ({ feeds }: Pick<FitOut, 'feeds'>): Feed[] => feeds.filter((f) => f.plumbed && f.kind !== 'bottle');
