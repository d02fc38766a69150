export * from './head';
export * from './target';
export * from './service-case';
export * from './service-plan';
export * from './bowl';
export * from './strand-of-zone';
export * from './play';
export * from './reveal';
