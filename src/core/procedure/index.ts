export * from './compose';
export { libraryVersion } from './library';
export * from './observations';
export * from './step';
export * from './things';
export * from './valves';
export { procedureOf } from './upcast';
