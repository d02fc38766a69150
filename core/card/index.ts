export * from './amount';
export * from './bowl';
export * from './cost';
export * from './record-card';
export * from './stored/reader';
export * from './steps';
