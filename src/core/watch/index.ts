export * from './drills';
export * from './due';
export { feedsNow } from './feeds';
export * from './low-water';
export * from './warnings';
