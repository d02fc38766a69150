export * from './mix-match';
export * from './required-mix';
export * from './technique';
export * from './consultation';
export * from './place-goal';
export * from './directions';
