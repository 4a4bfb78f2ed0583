export * from './belief';
export * from './exact';
export * from './knowledge';
export * from './next';
export * from './tries';
