export * from './rubric';
