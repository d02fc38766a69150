export * from './amount-needed';
export * from './client-case';
export * from './zone-history';
export * from './questions';
export * from './consultation';
export * from './strands';
export * from './target';
export * from './looks';
