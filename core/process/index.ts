export * from './products';
export * from './mix';
export * from './shade-load';
export * from './apply';
export * from './service';
export * from './condition';
export * from './fast';
