/** The whole bench in the order of the work. An educator can switch steps off; what is off is given. */
export const BENCH_STEPS = ['consult', 'read', 'mix', 'apply', 'process', 'finish'] as const;
/** Steps that can be worked: those of the whole bench, or the developer alone, in bowls that are given otherwise. */
export const OPEN_STEPS = [...BENCH_STEPS, 'developer'] as const;
export type BenchStep = (typeof OPEN_STEPS)[number];

/** A small exercise: hair is read, a bowl is mixed and timed; all else is given. */
export const FORMULATE: readonly BenchStep[] = ['read', 'mix', 'process'];

/** Steps of the bench on which a card with a slip in it is put right. */
export const CARD_STEPS: readonly BenchStep[] = ['consult', 'mix', 'apply', 'process'];

/** Whether an exercise has the student time applications that it gives. */
export const timesWhatIsGiven = (open: readonly BenchStep[]) =>
  open.includes('process') && !open.includes('apply');
