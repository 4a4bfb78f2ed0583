export * from './fields';
export * from './document';
