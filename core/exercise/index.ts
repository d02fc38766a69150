export * from './given';
export * from './open-steps';
export * from './student-view';
export * from './rubric';
