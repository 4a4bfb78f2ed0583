export * from './bed';
export * from './burner';
export * from './draught';
export * from './fuels';
export * from './laid';
export * from './tubes';
