export * from './problem';
export * from './shade-book';
export * from './shade-table';
export * from './exercise-pack';
export * from './roster';
