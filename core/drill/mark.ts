import { reason, type Reason } from '../reason';
import { type Item, type Response, type Solution, responseKindOf } from './item';

export interface DrillMark {
  /** 0 to 1. */
  score: number;
  right: boolean;
  /** Why it is as it is; then what the wrong answer shows. */
  why: Reason[];
  slip: Reason | null;
  /** The reading beside the truth, for what can be compared. */
  reading:
    { of: 'level'; truth: number; given: number } | { of: 'tone'; truth: string; given: string } | null;
}

const HALF = 0.5;

/** Pairs that stand the wrong way round, of all pairs. */
function disorder(given: readonly number[], right: readonly number[]): number {
  const places = given.map((which) => right.indexOf(which));
  let wrong = 0;
  let all = 0;
  for (let i = 0; i < places.length; i++)
    for (let j = i + 1; j < places.length; j++) {
      all++;
      if (places[i] > places[j]) wrong++;
    }
  return wrong / all;
}

function scoreOf(solution: Solution, response: Response): number {
  if (solution.kind === 'figure' && response.kind === 'figure') {
    const away = Math.abs(response.value - solution.value);
    return away <= solution.full + 1e-9 ? 1 : away <= solution.near + 1e-9 ? HALF : 0;
  }
  if (solution.kind === 'choice' && response.kind === 'choice')
    return response.index === solution.right ? 1 : 0;
  if (solution.kind === 'order' && response.kind === 'order') {
    const wrong = disorder(response.order, solution.right);
    // One neighbouring pair turned round is a near reading.
    return wrong === 0 ? 1 : Math.max(0, HALF - wrong);
  }
  if (solution.kind === 'mark' && response.kind === 'mark') {
    const marks = [...response.at].sort((a, b) => a - b);
    const scores = solution.at.map((place, i) => {
      const away = Math.abs(marks[i] - place);
      return away <= solution.full + 1e-9 ? 1 : away <= solution.near + 1e-9 ? HALF : 0;
    });
    return Math.min(...scores);
  }
  return 0;
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
  if (response.kind === 'figure' && form.kind === 'share') return response.value <= 1;
  if (response.kind === 'figure' && form.kind === 'level') return response.value >= 1 && response.value <= 10;
  return true;
}

/** The nearest known wrong figure that a given one stands for: within what rounding in the head would do. */
function slipAt({ slips, solution }: Item, response: Response): Reason | null {
  if (response.kind === 'choice') return slips.find(({ answer }) => answer === response.index)?.why ?? null;
  if (response.kind !== 'figure' || solution.kind !== 'figure') return null;
  const near = (answer: number) => Math.abs(answer - response.value) <= Math.max(0.1, answer * 0.01);
  return slips.find(({ answer }) => near(answer))?.why ?? null;
}

/** By how much, and to which side, a level or a share of white was read wrong. */
function readingSlip({ about, reads, solution }: Item, response: Response): Reason | null {
  if (response.kind !== 'figure' || solution.kind !== 'figure') return null;
  const off = Math.round((response.value - solution.value) * 100) / 100;
  if (about?.of === 'level')
    return reason(off > 0 ? 'drill.level.readTooLight' : 'drill.level.readTooDark', 'L1', {
      levels: Math.abs(off),
    });
  if (reads === 'white')
    return reason(off > 0 ? 'drill.grey.readTooMuch' : 'drill.grey.readTooLittle', 'L3', {
      share: Math.abs(off),
    });
  return null;
}

/** Marks one response. @throws RangeError when it cannot be an answer to this item. */
export function markItem(item: Item, response: Response): DrillMark {
  if (!fitsForm(item, response)) throw new RangeError('this is not an answer to this item');
  const score = scoreOf(item.solution, response);
  const { about } = item;
  const reading =
    about?.of === 'level' && response.kind === 'figure'
      ? ({ of: 'level', truth: about.truth, given: response.value } as const)
      : about?.of === 'tone' && response.kind === 'choice'
        ? ({ of: 'tone', truth: about.truth, given: about.options[response.index] } as const)
        : null;
  return {
    score,
    right: score === 1,
    why: item.why,
    slip: score === 1 ? null : (slipAt(item, response) ?? readingSlip(item, response)),
    reading,
  };
}

/** The response that is right. */
export function rightResponse({ solution }: Item): Response {
  switch (solution.kind) {
    case 'figure':
      return { kind: 'figure', value: solution.value };
    case 'choice':
      return { kind: 'choice', index: solution.right };
    case 'order':
      return { kind: 'order', order: solution.right };
    case 'mark':
      return { kind: 'mark', at: solution.at };
  }
}
