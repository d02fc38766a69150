export * from './spectrum';
export * from './illuminants';
export * from './lab';
export * from './level-scale';
export * from './tone';
export * from './naming';
