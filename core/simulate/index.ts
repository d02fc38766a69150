export * from './frames';
export * from './simulate';
