export * from './dip';
export * from './energy';
export * from './heating';
export * from './live';
export * from './raise';
export * from './water';
