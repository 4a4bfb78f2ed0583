export * from './day';
export * from './raising';
export * from './schedule';
export * from './sheet';
