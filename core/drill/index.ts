export * from './skill';
export * from './item';
export * from './context';
export * from './subject';
export * from './generate';
export * from './mark';
export * from './picture';
