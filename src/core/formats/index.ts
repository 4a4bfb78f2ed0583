export * from './csv';
export * from './record';
