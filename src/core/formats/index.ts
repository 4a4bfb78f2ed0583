export * from './calendar';
export * from './csv';
export * from './due-calendar';
export * from './procedure-page';
export * from './record';
export * from './sheet-csv';
export * from './sheet-pdf';
export { drillsPage } from './drills-page';
