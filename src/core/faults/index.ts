export * from './bars';
export * from './away';
export * from './may-begin';
export * from './fault-log';
export * from './may-tell';
export * from './fault-page';
