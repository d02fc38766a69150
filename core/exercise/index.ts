export * from './given';
export * from './open-steps';
export * from './student-view';
export * from './rubric';
export * from './variants';
