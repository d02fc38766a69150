export type { ClosedLine, DrawnHead, Point } from './drawn-head';
export * from './hair-look';
export { geometryOf, type Geometry } from './geometry';
export * from './head-hair';
export * from './look';
export * from './paint';
export { zoneMean, zoneMeanLab } from './zone-colours';
export * from './eye-grain';
