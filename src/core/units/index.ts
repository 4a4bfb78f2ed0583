export * from './expression';
export * from './glass';
export * from './parse';
export * from './pressure';
export * from './print';
export * from './quantities';
export * from './refusal';
export type * from './worked';
export * from './zone';
