export * from './aftercare-card';
export * from './plan';
export * from './upkeep';
