export * from './reason';
export * from './random';
