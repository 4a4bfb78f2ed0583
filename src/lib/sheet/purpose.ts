/** What a steaming is for, with whether it is public said once. */
export const purposeWords = (open: boolean, purpose: string): string =>
  open && !/^public running/i.test(purpose) ? `Public running${purpose ? `: ${purpose}` : ''}` : purpose;
