export * from './fireside';
export * from './fit-out';
export * from './geometry';
export * from './in-steam';
export * from './levels';
export * from './patterns';
export * from './papers';
export * from './upcast';
