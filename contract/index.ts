export * from './accounts';
export * from './people';
export * from './errors';
export * from './classes';
export * from './exercises';
export * from './assignments';
export * from './drills';
export * from './shade-books';
