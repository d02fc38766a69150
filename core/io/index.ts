export * from './exercise-pack';
export * from './problem';
export * from './roster';
export * from './shade-book';
export * from './shade-table';
export * from './file-names';
