export * from './again';
export * from './beside';
export * from './chain';
export * from './ledger';
export * from './rules';
export * from './sheet';
export * from './sheets';
export * from './standing';
