export * from './fittings';
export * from './matrix';
export * from './occasions';
export * from './register';
export * from './rigs';
export * from './stages';
export * from './sweep';
export * from './build-log';
