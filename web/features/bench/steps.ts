import type { Answer } from '@cimbel/core/grade';

export const STEPS = ['consult', 'read', 'mix', 'process', 'handIn'] as const;
export type Step = (typeof STEPS)[number];

/** Whether a step has nothing open; looking at the client is complete once one has gone on. */
export function isComplete(step: Step, answer: Answer, seen: ReadonlySet<Step>): boolean {
  switch (step) {
    case 'consult':
      return seen.has('read');
    case 'read':
      return answer.naturalLevel !== null && answer.underlay !== null && answer.counter !== null;
    case 'mix':
      return (
        answer.shades.length > 0 &&
        answer.developer.length > 0 &&
        answer.ratio !== null &&
        answer.totalGrams !== null
      );
    case 'process':
      return answer.minutes !== null;
    case 'handIn':
      return false;
  }
}
