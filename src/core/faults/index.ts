export * from './bars';
