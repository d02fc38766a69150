import { reason } from '../../reason';
import { levelsOf, lightFor } from '../context';
import { insist } from '../draw';
import { term } from '../item';
import { at, type BySteps, type Made, type Making, type SkillMaker } from '../make';
import { apartByLevel, apartByWhite, keepsLevel, lookOfSubject, type Subject } from '../subject';

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

function shareOf({ draw, step, scope, facet }: Making): Made {
  const stepPercent = step <= 2 ? 25 : 10;
  const spans = { low: [10, 30], middle: [40, 60], high: [70, 90] } as const;
  const [low, high] = spans[facet as keyof typeof spans];
  const quarters = { low: 25, middle: 50, high: 75 } as const;
  const percent =
    stepPercent === 25 ? quarters[facet as keyof typeof quarters] : draw.int(low / 10, high / 10) * 10;
  const subject = grey(draw.pick(levelsOf(scope, 1, DARK_ENOUGH)), percent / 100);
  const light = lightFor(scope, step, draw.pick);
  return {
    light,
    ask: term(stepPercent === 25 ? 'grey.quarters' : 'grey.tenths'),
    pictures: [{ look: lookOfSubject(subject, { light, seed: draw.seed(), shine: 0.6 }), caption: null }],
    form: { kind: 'share', stepPercent },
    solution: { kind: 'figure', value: percent / 100, full: 0.01, near: stepPercent / 100 + 0.01 },
    why: [reason('drill.grey.is', 'L3', { share: percent / 100, level: subject.level })],
    subject,
    reads: 'white',
    apart: apartByWhite(subject, stepPercent / 100),
  };
}

function where({ draw, step, scope }: Making): Made {
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
    slips: PLACES_OF_GREY.flatMap((_, i) =>
      i === right ? [] : [{ answer: i, why: reason('drill.grey.less', 'L3', { share: placed[i], most }) }],
    ),
    why: [reason('drill.grey.most', 'L3', { place: PLACES_OF_GREY[right], share: most })],
    apart: apartByWhite(grey(level, most), most - Math.max(...rest)),
  };
}

function rest({ draw, step, scope }: Making): Made {
  const halves = step >= 4;
  const level = draw.pick(levelsOf(scope, 1, DARK_ENOUGH)) + (halves && draw.chance(0.5) ? 0.5 : 0);
  insist(level <= scope.maxLevel, 'beyond the span');
  const white = draw.int(2, step >= 3 ? 6 : 4) / 10;
  const subject = grey(level, white);
  const light = lightFor(scope, step, draw.pick);
  insist(keepsLevel(subject, light), 'this lamp changes the level');
  return {
    light,
    ask: term('grey.rest'),
    pictures: [{ look: lookOfSubject(subject, { light, seed: draw.seed(), shine: 0.6 }), caption: null }],
    form: { kind: 'level', halves },
    solution: { kind: 'figure', value: level, full: 0.01, near: halves ? 0.5 : 1 },
    why: [reason('drill.grey.rest', 'L3', { level, share: white })],
    subject,
    reads: 'level',
    about: { of: 'level', truth: level },
    apart: apartByLevel(subject, halves ? 0.5 : 1),
  };
}

/** Skill 5: the share of grey, where it sits, and the level of the rest (L3). */
export const greyShare: SkillMaker = {
  facets: ({ scope }) => (scope.minLevel > DARK_ENOUGH ? [] : ['middle', 'low', 'high', 'where', 'rest']),
  make: (making) => {
    if (making.facet === 'where') return where(making);
    if (making.facet === 'rest') return rest(making);
    return shareOf(making);
  },
};
