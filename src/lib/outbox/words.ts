import type { OutboxView, Trouble } from './waiting';

const count = (n: number) => (n === 1 ? '1 entry' : `${n} entries`);

/** Why nothing is delivered, in words. */
const troubles: { [K in Trouble['is']]: (trouble: Extract<Trouble, { is: K }>, n: number) => string } = {
  'no connection': (_, n) => `No connection. ${n} kept on this device`,
  'signed out': (_, n) => `Sign in to deliver ${count(n)}`,
  server: ({ status }, n) => `The server does not answer as it should (${status}). ${n} kept on this device`,
  'too often': ({ seconds }, n) => `${count(n)} wait ${seconds} s: too many came at once`
};

/** What is said of what has not been delivered; nothing when there is nothing to say. */
export function waitingSaid({ waiting, unkept, trouble }: Pick<OutboxView, 'waiting' | 'unkept' | 'trouble'>): string | undefined {
  const n = waiting.length;
  if (unkept) return `${count(unkept)} ${unkept === 1 ? 'is' : 'are'} on this page alone, for this device keeps nothing: do not close it`;
  if (!n) return undefined;
  return trouble ? troubles[trouble.is](trouble as never, n) : `${n} on the way`;
}

/** Of which engines, and how many each: “Marsh Hen 2, Tin Heron 1”. */
export function byEngine(waiting: readonly { readonly engine: string }[]): string {
  const counts = new Map<string, number>();
  for (const { engine } of waiting) counts.set(engine, (counts.get(engine) ?? 0) + 1);
  return [...counts].map(([engine, n]) => `${engine || 'an engine'} ${n}`).join(', ');
}
