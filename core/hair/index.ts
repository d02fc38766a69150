export * from './pigment';
export * from './strand';
export * from './zone';
export * from './match';
