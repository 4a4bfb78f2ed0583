import type { Learning, Told } from './told';

export interface Chapter {
  readonly from: number;
  readonly why: string;
}

/** Chapters of a past: the first, what the owner set, another fire, and a sweep after it was left undone. */
export function chaptersOf(told: readonly Told[], learning: Learning): Chapter[] {
  const found: Chapter[] = [{ from: -Infinity, why: 'from the first steaming' }];
  let unswept = 0;
  told.forEach(({ past }, i) => {
    const last = told[i - 1]?.past;
    if (last && last.fire !== past.fire) found.push({ from: past.litAt, why: `another fire: ${past.fire}` });
    else if (last?.swept && unswept >= 3) found.push({ from: past.litAt, why: 'tubes swept after they were left' });
    unswept = past.swept ? (last && !last.swept ? unswept : 0) : last?.swept ? 1 : unswept + 1;
  });
  for (const c of learning.chapters) found.push({ from: c.at, why: c.why });
  return found.sort((a, b) => a.from - b.from);
}
