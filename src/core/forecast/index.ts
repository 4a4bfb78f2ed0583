export * from './heating';
export * from './follow';
export * from './live';
export { type Start, startOf } from './start';
export * from './ahead';
export { leakSpread, type RaiseStart, startRaise, usualLeak } from './begin';
export { brief, copyRaise, fedIn, type Hole, holes, isHole, opened, puffed, type RaiseFilter, runTo } from './cloud';
export { needleSpread, observe, type Seen } from './weigh';
export * from './water';
