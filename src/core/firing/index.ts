export * from './bed';
export * from './burner';
export * from './draught';
export * from './fuels';
