export * from './heating';
export * from './follow';
export * from './live';
export { type Start, startOf } from './start';
export * from './ahead';
export {
  airOut,
  blowerOn,
  copyRaise,
  fedIn,
  needleSpread,
  observe,
  type RaiseFilter,
  type RaiseStart,
  runTo,
  type Seen,
  startRaise
} from './cloud';
export * from './water';
