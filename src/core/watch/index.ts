export * from './drills';
export * from './due';
export * from './warnings';
