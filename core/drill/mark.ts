import type { Reason } from '../reason';
import { type Item, type Response, responseKindOf } from './item';
import { scoreOf, HALF } from './score';
import { pulledTooFar, SLIPS } from './slips';

export interface DrillMark {
  /** 0 to 1. */
  score: number;
  /** Whether it was right. */
  right: boolean;
  /** Why it is as it is; then what the wrong answer shows. */
  why: Reason[];
  /** The misconception the wrong answer shows; null for none. */
  slip: Reason | null;
  /** The reading beside the truth, for what can be compared. */
  reading:
    { of: 'level'; truth: number; given: number } | { of: 'tone'; truth: string; given: string } | null;
}

/** Whether a response can be an answer to this question at all: the kind, the count, the options there are. */
export function fitsForm({ question: { form, pictures }, solution }: Item, response: Response): boolean {
  if (response.kind !== responseKindOf(form)) return false;
  if (response.kind === 'choice' && form.kind === 'choice') return response.index < form.options.length;
  if (response.kind === 'order')
    return (
      response.order.length === pictures.length &&
      new Set(response.order).size === pictures.length &&
      Math.max(...response.order) < pictures.length
    );
  if (response.kind === 'mark' && solution.kind === 'mark') return response.at.length === solution.at.length;
  if (response.kind === 'amounts' && form.kind === 'amounts')
    return response.grams.length === form.things.length;
  if (response.kind === 'shares' && form.kind === 'shares')
    return response.shares.length === form.places.length && response.natural < form.naturals.length;
  if (response.kind === 'clock' && form.kind === 'clock')
    return (
      response.starts.length === form.zones.length &&
      [...response.starts, ...response.checks, response.rinse].every((at) => at <= form.most)
    );
  if (response.kind === 'figure' && form.kind === 'share') return response.value <= 1;
  if (response.kind === 'figure' && form.kind === 'level') return response.value >= 1 && response.value <= 10;
  return true;
}

/** Marks one response. @throws RangeError when it cannot be an answer to this item. */
export function markItem(item: Item, response: Response): DrillMark {
  if (!fitsForm(item, response)) throw new RangeError('this is not an answer to this item');
  const torn = pulledTooFar(item, response);
  const score = scoreOf(item.solution, response) * (torn ? HALF : 1);
  const { about } = item;
  const reading =
    about?.of === 'level' && response.kind === 'figure'
      ? ({ of: 'level', truth: about.truth, given: response.value } as const)
      : about?.of === 'tone' && response.kind === 'choice'
        ? ({ of: 'tone', truth: about.truth, given: about.options[response.index] } as const)
        : null;
  let slip: Reason | null = null;
  if (score < 1 && scoreOf(item.solution, response) === 1) slip = torn;
  else if (score < 1) for (const find of SLIPS) slip ??= find(item, response);
  return { score, right: score === 1, why: item.why, slip, reading };
}

/** The response that is right. */
export function rightResponse({
  solution,
  question: { form },
}: Pick<Item, 'solution' | 'question'>): Response {
  switch (solution.kind) {
    case 'figure':
      return { kind: 'figure', value: solution.value };
    case 'choice':
      return { kind: 'choice', index: solution.right };
    case 'order':
      return { kind: 'order', order: solution.right };
    case 'mark':
      return { kind: 'mark', at: solution.at };
    case 'strength': {
      // Two strengths that hold the wanted one between them.
      const { vols, vol, grams } = solution;
      const first = (grams * (vol - vols[1])) / (vols[0] - vols[1]);
      return { kind: 'amounts', grams: [first, grams - first] };
    }
    case 'amounts':
      return { kind: 'amounts', grams: solution.grams };
    case 'shares':
      return { kind: 'shares', shares: solution.shares, natural: solution.natural };
    case 'clock': {
      const { starts, rinse, every } = solution;
      const begun = Math.min(...starts);
      const looks = Math.ceil((rinse - begun) / every) - 1;
      const checks = Array.from({ length: looks }, (_, i) => begun + every * (i + 1));
      return { kind: 'clock', starts, checks: form.kind === 'clock' ? checks : [], rinse };
    }
  }
}
