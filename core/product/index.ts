export * from './amounts';
export * from './developer';
export * from './numbering';
export * from './line';
export * from './shade-mix';
export * from './shipped';
export * from './shade-look';
export * from './units';
