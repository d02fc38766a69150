export * from './simulate';
export * from './shown';
