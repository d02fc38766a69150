export * from './dye';
export * from './pigment';
export * from './ladder';
export * from './strand';
export * from './zone';
export * from './match';
export * from './areas';
