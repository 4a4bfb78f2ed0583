export * from './if97';
export * from './saturation';
export * from './table';
