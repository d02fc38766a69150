export * from './head';
export * from './areas';
export * from './dye';
export * from './ladder';
export * from './colour-match';
export * from './pigment';
export * from './strand';
export * from './history';
