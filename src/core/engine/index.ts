export * from './check';
export { expectation, type Field, type Group, type Problem } from './fields';
export * from './figures';
export * from './fit-out';
export * from './geometry';
export * from './levels';
export * from './patterns';
export * from './papers';
