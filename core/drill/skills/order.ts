import { differenceOf, neutralLab, TONES, type Lab } from '../../colour';
import { strandOfColour, type Strand } from '../../hair';
import { reason } from '../../reason';
import { strandLook } from '../../tress';
import { levelsOf } from '../context';
import { insist } from '../draw';
import { term } from '../item';
import { at, type BySteps, type Made, type Making, type SkillMaker } from '../make';
import { labOfSubject, lookOfSubject, type Subject } from '../subject';

const HOW_MANY: BySteps = [3, 4, 4, 5, 6];
const LEVEL_GAP: BySteps = [2, 1, 1, 0.5, 0.5];
/** Share of a full tone between neighbours from cool to warm, by step. */
const WARMTH_GAP: BySteps = [0.75, 0.5, 0.45, 0.34, 0.26];
const LEAST_DELTA_E = 1.8;

/** Shown in a drawn order that is not already the right one. */
function shownIn(draw: Making['draw'], count: number): number[] {
  const plain = Array.from({ length: count }, (_, i) => i);
  const order = draw.shuffled(plain);
  insist(
    order.some((place, i) => place !== i),
    'already in order',
  );
  return order;
}

const letters = (count: number) =>
  Array.from({ length: count }, (_, i) => term('option.letter', { letter: 'ABCDEF'[i] }));

function byLevel(making: Making): Made {
  const { draw, step, scope } = making;
  const [count, gap] = [at(HOW_MANY, step), at(LEVEL_GAP, step)];
  const starts = levelsOf(scope, 1, 10).filter(
    (level) => level + gap * (count - 1) <= Math.min(10, scope.maxLevel),
  );
  const first = draw.pick(starts);
  const subjects = Array.from({ length: count }, (_, i): Subject => ({
    kind: 'natural',
    level: first + gap * i,
    white: 0,
    porosity: 'normal',
  }));
  const shown = shownIn(draw, count);
  return {
    ask: term('order.light'),
    pictures: shown.map((which, i) => ({
      look: lookOfSubject(subjects[which], { light: 'daylight', seed: draw.seed(), shine: 0.6 }),
      caption: letters(count)[i],
    })),
    form: { kind: 'order', from: term('end.lightest'), to: term('end.darkest') },
    // The lightest first: the last of the subjects.
    solution: { kind: 'order', right: subjects.map((_, place) => shown.indexOf(count - 1 - place)) },
    why: [reason('drill.order.light', 'L1', { lightest: first + gap * (count - 1), darkest: first, gap })],
    apart: {
      deltaE: differenceOf(labOfSubject(subjects[count - 1]), labOfSubject(subjects[count - 2])),
      levels: gap,
    },
  };
}

/** Hair of one level from ash through neutral to gold: warmth is one line here, so that the order has one answer. */
function warmthAlong(level: number, amount: number): Lab {
  const { l, a, b } = neutralLab(level);
  const shift = amount < 0 ? TONES.ash.shift : TONES.gold.shift;
  return { l, a: a + Math.abs(amount) * shift.a, b: b + Math.abs(amount) * shift.b };
}

function byWarmth(making: Making): Made {
  const { draw, step, scope } = making;
  const [count, gap] = [at(HOW_MANY, step), at(WARMTH_GAP, step)];
  const level = draw.pick(levelsOf(scope, 5, 9));
  const first = -1 + (draw.int(0, 100) / 100) * (2.2 - gap * (count - 1));
  const labs = Array.from({ length: count }, (_, i) => warmthAlong(level, first + gap * i));
  const apart = labs.slice(1).map((lab, i) => differenceOf(lab, labs[i]));
  insist(Math.min(...apart) >= LEAST_DELTA_E, 'two of them look alike');
  insist(
    labs.every((lab, i) => i === 0 || lab.b > labs[i - 1].b),
    'not one line',
  );
  const strands = labs.map(strandOfColour);
  insist(
    strands.every((strand): strand is Strand => strand !== null),
    'no hair has this colour',
  );
  const shown = shownIn(draw, count);
  return {
    ask: term('order.warm', { level }),
    pictures: shown.map((which, i) => ({
      look: {
        ...strandLook(
          [{ from: 0, to: 1, strand: strands[which] as Strand }],
          'daylight',
          'straight',
          draw.seed(),
        ),
        shine: 0.6,
      },
      caption: letters(count)[i],
    })),
    form: { kind: 'order', from: term('end.coolest'), to: term('end.warmest') },
    solution: { kind: 'order', right: labs.map((_, place) => shown.indexOf(place)) },
    why: [reason('drill.order.warm', 'T1', { level })],
    apart: { deltaE: Math.min(...apart), levels: 0 },
  };
}

/** Skill 7: light to dark, and cool to warm. */
export const order: SkillMaker = {
  facets: ({ scope }) => ['light', ...(levelsOf(scope, 5, 9).length > 0 ? ['warm'] : [])],
  make: (making) => (making.facet === 'light' ? byLevel(making) : byWarmth(making)),
};
