export * from './engine';
export * from './past';
export * from './raising';
export { lossFrom } from './cooling';
export { fitTogether } from './burners';
export * from './derive';
export * from './chapters';
export type { Figure } from './figures';
export type * from './told';
