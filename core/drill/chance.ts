import type { Item, RightAnswer } from './item';
import { scoreOf } from './score';

/** All orders of so many things. */
function permutations(count: number): number[][] {
  if (count === 0) return [[]];
  return permutations(count - 1).flatMap((order) =>
    Array.from({ length: count }, (_, place) => [...order.slice(0, place), count - 1, ...order.slice(place)]),
  );
}
const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;

/** Steps that a line is moved through when every place is as likely. */
const GRID = 40;
const ordersOf = new Map<number, number>();

/**
 * What answering blind earns at an item on average, 0–1: any answer its form allows, each as likely. What an answer tells
 * about a student is its score less this (the usual correction for guessing of test theory). Sums and weights written
 * freely earn nothing by chance.
 */
export function chanceOf({ question: { form }, solution }: Pick<Item, 'question' | 'solution'>): number {
  const figure = (value: number) => scoreOf(solution, { kind: 'figure', value });
  switch (form.kind) {
    case 'level': {
      const steps = form.halves ? 19 : 10;
      return mean(Array.from({ length: steps }, (_, i) => figure(1 + (i * 9) / (steps - 1))));
    }
    case 'share': {
      const steps = 100 / form.stepPercent;
      return mean(Array.from({ length: steps + 1 }, (_, i) => figure(i / steps)));
    }
    case 'choice':
      return mean(form.options.map((_, index) => scoreOf(solution, { kind: 'choice', index })));
    case 'order': {
      if (solution.kind !== 'order') return 0;
      const count = solution.right.length;
      const known = ordersOf.get(count);
      if (known !== undefined) return known;
      const inOrder: RightAnswer = { kind: 'order', right: Array.from({ length: count }, (_, i) => i) };
      const chance = mean(permutations(count).map((order) => scoreOf(inOrder, { kind: 'order', order })));
      ordersOf.set(count, chance);
      return chance;
    }
    case 'mark': {
      const places = Array.from({ length: GRID }, (_, i) => (i + 0.5) / GRID);
      const grid =
        form.marks.length === 1 ? places.map((a) => [a]) : places.flatMap((a) => places.map((b) => [a, b]));
      return mean(grid.map((at) => scoreOf(solution, { kind: 'mark', at })));
    }
    default:
      return 0;
  }
}
