import { type OccasionKey, occasionOf } from '$core/commission';

/** What a steaming is for, with its occasion, and whether it is public, said once. */
export function purposeWords(open: boolean, purpose: string, occasion?: OccasionKey): string {
  if (occasion && occasion !== 'running') return `${occasionOf(occasion).name}${purpose ? `: ${purpose}` : ''}`;
  return open && !/^public running/i.test(purpose) ? `Public running${purpose ? `: ${purpose}` : ''}` : purpose;
}
