export * from './illuminants';
export * from './lab';
export * from './level-scale';
export * from './naming';
export * from './spectrum';
export * from './tone';
