export * from './marked';
export * from './rubric';
export * from './seen';
export { CAPS } from './mark-safety';
export * from './misconception';
export * from './mark-card';
export * from './slip';
export * from './preview';
export * from './house-rules-used';
