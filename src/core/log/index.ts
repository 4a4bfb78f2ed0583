export * from './carry-over';
export * from './entry';
export * from './fold';
export * from './quick-line';
export * from './say';
export type * from './state';
export * from './summary';
