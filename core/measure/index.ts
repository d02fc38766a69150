export * from './developer';
export * from './mixing';
export * from './units';
export * from './amount';
