export * from './look';
export * from './paint';
export { geometryOf, keptGeometry, type Geometry, type Shape } from './geometry';
export { zoneMean, zoneMeanLab } from './rows';
export * from './from-level';
export * from './from-strand';
export * from './from-shade';
