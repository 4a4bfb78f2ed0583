export * from './heating';
export * from './follow';
export * from './live';
export { type Start, startOf } from './start';
export * from './raise';
export * from './water';
