export * from './card-assembly';
export * from './right-mixes';
export * from './explanation';
export * from './group-plans';
export * from './one-visit';
export * from './readings';
export * from './solve';
