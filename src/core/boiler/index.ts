export * from './flow';
export * from './plant';
export * from './practice';
export * from './raising';
export * from './settle';
export * from './step';
export * from './vessel';
