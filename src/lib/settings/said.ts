/** What the last form of a page said: at which form, and what is wrong, made or done. */
export type Said = {
  readonly at: string;
  readonly problem?: string;
  readonly field?: string;
  readonly done?: boolean;
  readonly link?: string;
} | null;
