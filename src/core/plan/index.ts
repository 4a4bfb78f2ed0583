export * from './day';
export * from './kit';
export * from './level';
export * from './pair';
export * from './quantities';
export * from './raising';
export * from './schedule';
export * from './sheet';
export { type Engine as DayEngine, type Placed as DayPlaced, together } from './together';
