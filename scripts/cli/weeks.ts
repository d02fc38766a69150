import { MOST_A_WEEK, USUAL_HABITS, type Habits } from '../../core/process';
import { GROWTH_RATES } from '../../core/simulate';

/** Weeks after a service, and how the hair is treated in them. */
export interface WeeksAsked {
  /** Whole weeks. */
  weeks: number;
  habits: Habits;
  /** Centimetres in thirty days. */
  growth: number;
}

/** Most weeks: two years. */
const MOST_WEEKS = 104;

/** Habits that are counted by the week, by the word they are called by, with the most there can be. */
const COUNTED = {
  wash: ['washes', MOST_A_WEEK.washes],
  clarifying: ['clarifying', MOST_A_WEEK.care],
  violet: ['violet', MOST_A_WEEK.care],
  blue: ['blue', MOST_A_WEEK.care],
  pool: ['pool', MOST_A_WEEK.care],
} as const satisfies Record<string, readonly [keyof Habits, number]>;
/** Habits that are so or not. */
const PLAIN: Record<string, Partial<Habits>> = {
  hot: { water: 'hot' },
  cool: { water: 'cool' },
  gentle: { shampoo: 'gentle' },
  ordinary: { shampoo: 'ordinary' },
  sun: { sun: true },
};
const KNOWN = [...Object.keys(COUNTED).map((word) => `${word}:N`), ...Object.keys(PLAIN), 'growth:CM'].join(
  ', ',
);

const wrong = (option: string, why: string) => new RangeError(`${option}: ${why}`);
const valueOf = (args: readonly string[], name: string) =>
  args.find((arg) => arg.startsWith(`--${name}=`))?.slice(name.length + 3);

function habitOf(word: string, asked: WeeksAsked): WeeksAsked {
  const [name, count] = word.split(':');
  const number = count === undefined || count === '' ? NaN : Number(count);
  if (name === 'growth') {
    if (!(number >= GROWTH_RATES.least && number <= GROWTH_RATES.most))
      throw wrong('--habits', `growth is ${GROWTH_RATES.least} to ${GROWTH_RATES.most} cm in thirty days`);
    return { ...asked, growth: number };
  }
  if (Object.hasOwn(PLAIN, name) && count === undefined)
    return { ...asked, habits: { ...asked.habits, ...PLAIN[name] } };
  if (!Object.hasOwn(COUNTED, name)) throw wrong('--habits', `there is no ${word}; there are ${KNOWN}`);
  const [habit, most] = COUNTED[name as keyof typeof COUNTED];
  if (!(number >= 0 && number <= most))
    throw wrong('--habits', `${name} is a number from 0 to ${most} a week`);
  return { ...asked, habits: { ...asked.habits, [habit]: number } };
}

/**
 * What `--weeks=N` and `--habits=wash:3,hot,…` ask for; null without the first. What is not said is as usual: three gentle
 * washes a week in warm water. @throws RangeError naming the option
 */
export function weeksAsked(args: readonly string[]): WeeksAsked | null {
  const weeks = valueOf(args, 'weeks');
  const habits = valueOf(args, 'habits');
  if (weeks === undefined) {
    if (habits !== undefined) throw wrong('--habits', 'goes with --weeks=N');
    return null;
  }
  const count = weeks === '' ? NaN : Number(weeks);
  if (!Number.isInteger(count) || count < 0 || count > MOST_WEEKS)
    throw wrong('--weeks', `a whole number from 0 to ${MOST_WEEKS}`);
  const words = (habits ?? '').split(',').map((word) => word.trim());
  return words
    .filter((word) => word !== '')
    .reduce<WeeksAsked>((asked, word) => habitOf(word, asked), {
      weeks: count,
      habits: USUAL_HABITS,
      growth: GROWTH_RATES.usual,
    });
}
