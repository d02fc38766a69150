import { reason } from '../../reason';
import { chooseAmong } from '../choice';
import { houseFact } from '../context';
import { type Term, term } from '../item';
import type { ItemRequest, MadeItem } from '../maker';
import { insist } from '../random-draw';

/** One line of a card: the rule that it rests on, and the figures that its sound and its wrong words name. */
interface Line {
  rule: string;
  sound?: readonly string[];
  wrong?: readonly string[];
}
/** Record cards whose every line is one decision, sound or wrong; the words of both stand under their names. */
const CARDS = {
  greyRetouch: {
    shade: { rule: 'F8', sound: ['level', 'tone'], wrong: ['level', 'tone'] },
    developer: { rule: 'F8' },
    place: { rule: 'A1' },
    minutes: { rule: 'F8' },
    test: { rule: 'C3' },
  },
  toner: {
    line: { rule: 'F4' },
    shade: { rule: 'F4', sound: ['level', 'tone'], wrong: ['lighter', 'tone'] },
    hair: { rule: 'D6' },
    looks: { rule: 'R2' },
  },
  virginLift: {
    developer: { rule: 'D2' },
    order: { rule: 'A2' },
    minutes: { rule: 'R7' },
    amount: { rule: 'R8' },
    test: { rule: 'C3' },
  },
  blondeRetouch: {
    developer: { rule: 'D4', wrong: ['reached'] },
    place: { rule: 'A1' },
    looks: { rule: 'R2' },
    rinse: { rule: 'R5' },
  },
  darken: {
    first: { rule: 'F6', wrong: ['target'] },
    product: { rule: 'F7' },
    shade: { rule: 'F6', sound: ['target'], wrong: ['target'] },
    minutes: { rule: 'F11' },
  },
} as const satisfies Record<string, Record<string, Line>>;
type Card = keyof typeof CARDS;
export const CARDS_WITH_ERRORS = Object.keys(CARDS) as Card[];

type Figures = Record<string, number | string>;
/** What the client has and wants. */
function figuresOf(card: Card, { draw }: ItemRequest): Figures {
  switch (card) {
    case 'greyRetouch':
      return {
        level: draw.int(4, 7),
        share: draw.pick([0.5, 0.6, 0.7]),
        tone: draw.pick(['gold', 'copper', 'beige'] as const),
      };
    case 'toner': {
      const level = draw.int(8, 9);
      return { level, lighter: level + 1, tone: draw.pick(['pearl', 'beige', 'neutral'] as const) };
    }
    case 'virginLift': {
      const level = draw.int(4, 6);
      return { level, target: level + 2 };
    }
    case 'blondeRetouch':
      return { level: draw.int(4, 7), reached: draw.int(9, 10) };
    case 'darken':
      return { level: draw.int(9, 10), target: draw.int(5, 6) };
  }
}
/** Figures that the words of a head name. */
const IN_HEAD: Record<Card, readonly string[]> = {
  greyRetouch: ['level', 'share', 'tone'],
  toner: ['level', 'tone'],
  virginLift: ['level', 'target'],
  blondeRetouch: ['level', 'reached'],
  darken: ['level', 'target'],
};
const only = (figures: Figures, names: readonly string[] = []): Figures =>
  Object.fromEntries(names.map((name) => [name, figures[name]]));

/** A record card with one wrong line: which? Only the craft tells, since every line may be the one. */
export function cardError(making: ItemRequest): MadeItem {
  const { draw, rules, step } = making;
  const card = draw.pick(CARDS_WITH_ERRORS);
  const lines: Record<string, Line> = CARDS[card];
  const names = Object.keys(lines);
  const wrong = draw.pick(names);
  insist(
    !(card === 'toner' && wrong === 'line') || rules.tonerProduct === 'lowStrength',
    'another school tones so',
  );
  const figures = figuresOf(card, making);
  const words = (name: string): Term => {
    const state = name === wrong ? 'wrong' : 'sound';
    return term(`onCard.${card}.${name}.${state}`, only(figures, lines[name][state]));
  };
  const others = draw.shuffled(names.filter((name) => name !== wrong)).slice(0, step <= 2 ? 3 : 4);
  return {
    ask: term('correction.onCard'),
    facts: [
      term(`onCard.${card}.head`, only(figures, IN_HEAD[card])),
      ...(card === 'blondeRetouch' ? [houseFact(rules, 'lightenerOnScalp')] : []),
      ...(card === 'toner' ? [houseFact(rules, 'tonerProduct')] : []),
    ],
    ...chooseAmong(
      draw,
      { value: wrong, words: words(wrong) },
      others.map((name) => ({
        value: name,
        words: words(name),
        slip: reason(`drill.onCard.${card}.${name}.sound`, lines[name].rule),
      })),
      (name) => name === wrong,
      { options: 5 },
    ),
    why: [reason(`drill.onCard.${card}.${wrong}.wrong`, lines[wrong].rule, figures)],
  };
}
