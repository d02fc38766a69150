export * from './house-rules';
export * from './underlay';
export * from './lift';
export * from './grey';
export * from './developer-choice';
export * from './shade-level';
export * from './caution';
export * from './balance';
