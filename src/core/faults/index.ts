export * from './bars';
export * from './away';
export * from './may-begin';
