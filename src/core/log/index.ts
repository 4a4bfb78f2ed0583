export * from './carry-over';
export * from './entry';
export * from './figures';
export * from './fold';
export * from './quick-line';
export * from './say';
export type * from './state';
export { litAt, type Summary, summarise, upAt } from './summary';
