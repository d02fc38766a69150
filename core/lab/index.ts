export * from './setup';
export * from './play';
export * from './compare';
export * from './presets';
