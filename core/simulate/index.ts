export * from './due';
export * from './frames';
export * from './simulate';
export * from './weeks';
export * from './laboratory/compare';
export * from './laboratory/presets';
export * from './laboratory/setup';
export * from './laboratory/sides';
export type { Spell } from './watching';
