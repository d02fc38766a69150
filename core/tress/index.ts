export * from './look';
export * from './paint';
export { surfaceOf } from './coating';
export { geometryOf, type Geometry } from './geometry';
export { shapeOf, type Shape } from './shape';
export { zoneMean, zoneMeanLab } from './rows';
export * from './from-level';
export * from './from-strand';
export * from './from-shade';
