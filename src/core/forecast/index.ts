export * from './energy';
export * from './heating';
export * from './raise';
