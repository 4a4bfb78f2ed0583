export * from './exact';
export * from './tries';
