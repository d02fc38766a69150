export * from './case';
export * from './fit';
export * from './mix-search';
export * from './key';
export * from './service';
