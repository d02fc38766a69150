import type { DrillMark } from '@cimbel/core/drill';
import { CircleCheck, CircleDashed, CircleX } from 'lucide-react';

export type VerdictState = 'right' | 'near' | 'wrong' | 'left';

/** How an answer is called: a question that was left has no mark. */
export function verdictOf(mark: DrillMark | null): VerdictState {
  if (mark === null) return 'left';
  if (mark.right) return 'right';
  return mark.score > 0 ? 'near' : 'wrong';
}

const LOOKS = {
  right: { icon: CircleCheck, colour: 'text-good' },
  near: { icon: CircleDashed, colour: 'text-warn' },
  wrong: { icon: CircleX, colour: 'text-bad' },
  left: { icon: CircleDashed, colour: 'text-quiet' },
} as const;
export const verdictColour = (state: VerdictState) => LOOKS[state].colour;

/** The shape that goes with the word. */
export function VerdictIcon({ state, className }: { state: VerdictState; className: string }) {
  const { icon: Icon, colour } = LOOKS[state];
  return <Icon aria-hidden className={`${className} ${colour}`} />;
}
