export * from './simulate';
export * from './shown';
export * from './through';
