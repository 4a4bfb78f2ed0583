export * from './drills';
export * from './due';
export { feedsNow, feedWords } from './feeds';
export * from './low-water';
export * from './warnings';
export * from './card';
export * from './duties';
export * from './countdown';
export type { Warning } from './rule';
