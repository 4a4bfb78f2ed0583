export * from './carry-over';
export * from './entry';
export * from './figures';
export * from './fold';
export * from './quick-line';
export * from './say';
export type * from './state';
export { summarise, type Summary } from './summary';
