export * from './compare';
export * from './play';
export * from './presets';
export * from './setup';
