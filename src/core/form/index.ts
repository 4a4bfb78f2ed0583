export * from './fields';
export * from './document';
export * from './differences';
export * from './merge';
