export * from './pigment';
export * from './zone';
