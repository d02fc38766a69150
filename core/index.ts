export * from './reason';
export * from './random';
export * from './correlation';
export * from './grouped';
