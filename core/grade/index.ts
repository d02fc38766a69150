export * from './mark';
export * from './answer';
export * from './criteria';
export * from './grade';
export * from './outcome';
export * from './service';
