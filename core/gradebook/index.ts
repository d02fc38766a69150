export * from './term-mark';
