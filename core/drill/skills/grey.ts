import { reason } from '../../reason';
import { type HouseRules, naturalShareFor } from '../../rules';
import { chooseAmong } from '../choice';
import { levelsOf, lightFor, houseFact } from '../context';
import { term } from '../item';
import { type BySteps, type ItemRequest, type MadeItem, at, type SkillMaker } from '../maker';
import { insist } from '../random-draw';
import { type Subject, lookOfSubject, apartByWhite, keepsLevel, apartByLevel } from '../subject';

export const PLACES_OF_GREY = ['hairline', 'temple', 'crown', 'nape'] as const;
/** Least difference of share between the greyest place and the next, by step. */
const PLACES_APART: BySteps = [0.4, 0.3, 0.25, 0.2, 0.15];
/** White strands stand out from these levels; from paler hair nobody can tell them. */
const DARK_ENOUGH = 7;

const grey = (level: number, white: number): Subject => ({
  kind: 'natural',
  level,
  white,
  porosity: 'normal',
});

/** Shares that are asked for, per cent: in quarters at the first steps, in tenths from then on. */
const QUARTERS = [0, 25, 50, 75, 100];
const TENTHS = [10, 20, 30, 40, 50, 60, 70, 80, 90];

function shareOf({ draw, step, scope }: ItemRequest): MadeItem {
  const stepPercent = step <= 2 ? 25 : 10;
  const percent = draw.pick(stepPercent === 25 ? QUARTERS : TENTHS);
  const subject = grey(draw.pick(levelsOf(scope, 1, DARK_ENOUGH)), percent / 100);
  const light = lightFor(scope, step, draw.pick);
  const form = step >= 2 ? draw.pick(['straight', 'wavy', 'curly'] as const) : 'straight';
  return {
    light,
    ask: term(stepPercent === 25 ? 'grey.quarters' : 'grey.tenths'),
    pictures: [
      { look: lookOfSubject(subject, { light, seed: draw.seed(), shine: 0.6, form }), caption: null },
    ],
    form: { kind: 'share', stepPercent },
    // A quarter off is wrong where quarters are asked: half of the marks for always saying "half" would teach nothing.
    solution: { kind: 'figure', value: percent / 100, full: 0.01, near: stepPercent === 25 ? 0.011 : 0.11 },
    why: [reason('drill.grey.is', 'L3', { share: percent / 100, level: subject.level })],
    subject,
    reads: 'white',
    apart: apartByWhite(subject, stepPercent / 100),
  };
}

function where({ draw, step, scope }: ItemRequest): MadeItem {
  const level = draw.pick(levelsOf(scope, 1, DARK_ENOUGH));
  const most = draw.int(6, 9) / 10;
  const apart = at(PLACES_APART, step);
  const shares = [most, ...[1, 2, 3].map(() => Math.max(0, most - apart - draw.int(0, 2) / 10))];
  const right = draw.int(0, PLACES_OF_GREY.length - 1);
  const rest = draw.shuffled(shares.slice(1));
  const placed = PLACES_OF_GREY.map((_, i) => (i === right ? most : rest[i < right ? i : i - 1]));
  insist(
    placed.every((share, i) => i === right || most - share >= apart - 1e-9),
    'no one place is greyest',
  );
  const light = lightFor(scope, step, draw.pick);
  return {
    light,
    ask: term('grey.where'),
    pictures: PLACES_OF_GREY.map((place, i) => ({
      look: lookOfSubject(grey(level, placed[i]), { light, seed: draw.seed(), shine: 0.6 }),
      caption: term('option.place', { place }),
    })),
    form: {
      kind: 'choice',
      options: PLACES_OF_GREY.map((place) => term('option.place', { place })),
      byTress: true,
    },
    solution: { kind: 'choice', right },
    slips: PLACES_OF_GREY.flatMap((place, i) =>
      i === right
        ? []
        : [
            {
              answer: i,
              why: reason('drill.grey.less', 'L3', {
                place,
                share: placed[i],
                most,
                right: PLACES_OF_GREY[right],
              }),
            },
          ],
    ),
    why: [reason('drill.grey.most', 'L3', { place: PLACES_OF_GREY[right], share: most })],
    apart: apartByWhite(grey(level, most), most - Math.max(...rest)),
  };
}

function rest({ draw, step, scope }: ItemRequest): MadeItem {
  const halves = step >= 4;
  const level = draw.pick(levelsOf(scope, 1, DARK_ENOUGH)) + (halves && draw.chance(0.5) ? 0.5 : 0);
  insist(level <= scope.maxLevel, 'beyond the span');
  const white = draw.int(2, step >= 3 ? 6 : 4) / 10;
  const subject = grey(level, white);
  const light = lightFor(scope, step, draw.pick);
  insist(keepsLevel(subject, light, halves), 'this lamp changes the level');
  return {
    light,
    ask: term('grey.rest'),
    pictures: [{ look: lookOfSubject(subject, { light, seed: draw.seed(), shine: 0.6 }), caption: null }],
    form: { kind: 'level', halves },
    solution: { kind: 'figure', value: level, full: 0.01, near: halves ? 0.5 : 1 },
    why: [reason('drill.grey.rest', 'L3', { level, share: white })],
    deceits: [{ code: 'white', way: 'lighter', rule: 'L3' }],
    subject,
    reads: 'level',
    about: { of: 'level', truth: level },
    apart: apartByLevel(subject, halves ? 0.5 : 1),
  };
}

/** Shares of the natural series that an answer may name, least first; each school's own (F8). */
const NATURALS = {
  stepped: ['none', 'quarterToThird', 'half', 'mostOrAll'],
  oneToTwo: ['none', 'third', 'half', 'all'],
} as const satisfies Record<HouseRules['greyShare'], readonly string[]>;

/** Which of them this class's table asks for. */
export function naturalFor(share: number, rules: Pick<HouseRules, 'greyShare'>): number {
  const { max } = naturalShareFor(share, rules, true);
  if (rules.greyShare === 'oneToTwo') return max === 0 ? 0 : 1;
  return max === 0 ? 0 : max <= 1 / 3 ? 1 : max <= 1 / 2 ? 2 : 3;
}
const naturalTerm = (rules: HouseRules, index: number) =>
  term(`option.naturalShare.${NATURALS[rules.greyShare][index]}`);

/** Shares well inside a row of either school's table, plain ones first. */
const INSIDE: BySteps = [0, 0, 1, 1, 1];
const SHARES_OF_ROWS = [
  [0.1, 0.4, 0.6, 0.9],
  [0.1, 0.2, 0.3, 0.4, 0.6, 0.7, 0.8, 0.9],
];

/** F8: the share of the natural series, from grey that is seen. */
function natural({ draw, step, scope, rules }: ItemRequest): MadeItem {
  const share = draw.pick(SHARES_OF_ROWS[at(INSIDE, step)]);
  const level = draw.pick(levelsOf(scope, 3, DARK_ENOUGH));
  const subject = grey(level, share);
  const light = lightFor(scope, step, draw.pick);
  const right = naturalFor(share, rules);
  const tone = draw.pick(['gold', 'beige', 'copper', 'ash', 'mahogany'] as const);
  return {
    light,
    ask: term('grey.natural', { tone }),
    facts: [houseFact(rules, 'greyShare')],
    pictures: [{ look: lookOfSubject(subject, { light, seed: draw.seed(), shine: 0.6 }), caption: null }],
    ...chooseAmong(
      draw,
      { value: right, words: naturalTerm(rules, right) },
      NATURALS[rules.greyShare].map((_, index) => ({
        value: index,
        words: naturalTerm(rules, index),
        slip: reason(index > right ? 'drill.grey.naturalTooMuch' : 'drill.grey.naturalTooLittle', 'F8', {
          share,
          tone,
        }),
      })),
      (index) => index === naturalFor(share, rules),
    ),
    why: [
      reason(
        rules.greyShare === 'stepped'
          ? `drill.grey.stepped.${NATURALS.stepped[right]}`
          : `drill.grey.oneToTwo.${NATURALS.oneToTwo[right]}`,
        'F8',
        { share },
      ),
    ],
    subject,
    apart: apartByWhite(subject, 0.2),
  };
}

/** Four partings read one after another, and the natural share for the bowl that goes where it is greyest. */
function parted({ draw, step, scope, rules }: ItemRequest): MadeItem {
  const level = draw.pick(levelsOf(scope, 2, DARK_ENOUGH));
  const most = draw.pick([0.4, 0.6, 0.9]);
  const apart = at(PLACES_APART, step);
  const where = draw.int(0, PLACES_OF_GREY.length - 1);
  const shares = PLACES_OF_GREY.map((_, i) =>
    i === where
      ? most
      : Math.max(0, Math.round((most - Math.min(apart, most) - draw.int(0, 3) / 10) * 10) / 10),
  );
  const light = lightFor(scope, step, draw.pick);
  return {
    light,
    ask: term('grey.parted'),
    facts: [houseFact(rules, 'greyShare')],
    pictures: PLACES_OF_GREY.map((place, i) => ({
      look: lookOfSubject(grey(level, shares[i]), { light, seed: draw.seed(), shine: 0.6 }),
      caption: term('option.place', { place }),
    })),
    form: {
      kind: 'shares',
      places: PLACES_OF_GREY.map((place) => term('option.place', { place })),
      naturals: NATURALS[rules.greyShare].map((_, i) => naturalTerm(rules, i)),
    },
    solution: { kind: 'shares', shares, full: 0.01, near: 0.11, natural: naturalFor(most, rules) },
    why: [
      reason('drill.grey.most', 'L3', { place: PLACES_OF_GREY[where], share: most }),
      reason(
        rules.greyShare === 'stepped'
          ? `drill.grey.stepped.${NATURALS.stepped[naturalFor(most, rules)]}`
          : `drill.grey.oneToTwo.${NATURALS.oneToTwo[naturalFor(most, rules)]}`,
        'F8',
        { share: most },
      ),
    ],
  };
}

/** Skill 5: the share of grey, where it sits, the level of the rest, and the natural share it asks for (L3, F8). */
export const greyShare: SkillMaker = {
  facets: ({ scope }) =>
    scope.minLevel > DARK_ENOUGH
      ? []
      : [
          'share',
          'where',
          'rest',
          ...(levelsOf(scope, 3, DARK_ENOUGH).length > 0 ? ['natural', 'parted'] : []),
        ],
  make: (making) => {
    const makers: Record<string, (m: ItemRequest) => MadeItem> = {
      share: shareOf,
      where,
      rest,
      natural,
      parted,
    };
    return makers[making.facet](making);
  },
};
