export * from './look';
export * from './paint';
export { zoneMean, zoneMeanLab } from './rows';
export * from './from-level';
export * from './from-strand';
export * from './from-shade';
