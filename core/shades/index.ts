export * from './line';
export * from './label';
export * from './mix';
export * from './shipped';
