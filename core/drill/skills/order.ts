import { type Lab, differenceOf, neutralLab, TONES } from '../../colour';
import { strandLook } from '../../draw';
import { strandOfColour, type Strand, labOfStrand } from '../../hair';
import { reason } from '../../reason';
import { levelsOf, lightFor } from '../context';
import { term } from '../item';
import { type BySteps, type ItemRequest, type MadeItem, at, type SkillMaker } from '../maker';
import { insist } from '../random-draw';
import { type Subject, labOfSubject, lookOfSubject } from '../subject';

/** Four at least: of three, one order in six comes out right by chance. */
const HOW_MANY: BySteps = [4, 4, 4, 5, 6];
const LEVEL_GAP: BySteps = [2, 1.5, 1, 0.5, 0.5];
/** Share of a full tone between neighbours from cool to warm, by step. */
const WARMTH_GAP: BySteps = [0.6, 0.5, 0.45, 0.34, 0.28];
/** Side by side, about 1 is just visible. */
const LEAST_DELTA_E: BySteps = [3, 2.4, 2, 1.6, 1.3];

/** A drawn order to show things in, and the answer to it; never the answer itself. */
function shownIn(
  draw: ItemRequest['draw'],
  inOrder: readonly number[],
): { shown: number[]; right: number[] } {
  const shown = draw.shuffled(inOrder);
  const right = inOrder.map((which) => shown.indexOf(which));
  insist(
    right.some((place, i) => place !== i),
    'already in order',
  );
  return { shown, right };
}

/** Least ΔE2000 between neighbours. */
const leastGap = (labs: readonly Lab[]) =>
  Math.min(...labs.slice(1).map((lab, i) => differenceOf(lab, labs[i])));

const letters = (count: number) =>
  Array.from({ length: count }, (_, i) => term('option.letter', { letter: 'ABCDEF'[i] }));

function byLevel(making: ItemRequest): MadeItem {
  const { draw, step, scope } = making;
  const span = scope.maxLevel - scope.minLevel;
  const count = Math.min(at(HOW_MANY, step), 1 + 2 * span);
  const gap = Math.min(at(LEVEL_GAP, step), Math.floor((2 * span) / (count - 1)) / 2);
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
  const light = lightFor(scope, step, draw.pick);
  const seen = subjects.map((subject) => labOfSubject(subject, light));
  insist(
    seen.every((lab, i) => i === 0 || lab.l > seen[i - 1].l),
    'this lamp turns the order round',
  );
  // The lightest first: the last of the subjects.
  const { shown, right } = shownIn(draw, subjects.map((_, i) => i).reverse());
  return {
    light,
    ask: term('order.light'),
    pictures: shown.map((which, i) => ({
      look: lookOfSubject(subjects[which], { light, seed: draw.seed(), shine: 0.6, compared: true }),
      caption: letters(count)[i],
    })),
    form: { kind: 'order', from: term('end.lightest'), to: term('end.darkest') },
    solution: { kind: 'order', right },
    why: [reason('drill.order.light', 'L1', { lightest: first + gap * (count - 1), darkest: first, gap })],
    apart: {
      deltaE: leastGap(seen),
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

function byWarmth(making: ItemRequest): MadeItem {
  const { draw, step, scope } = making;
  const [count, gap] = [at(HOW_MANY, step), at(WARMTH_GAP, step)];
  const level = draw.pick(levelsOf(scope, 5, 9));
  const first = -1 + (draw.int(0, 100) / 100) * (2.2 - gap * (count - 1));
  const labs = Array.from({ length: count }, (_, i) => warmthAlong(level, first + gap * i));
  const strands = labs.map(strandOfColour);
  insist(
    strands.every((strand): strand is Strand => strand !== null),
    'no hair has this colour',
  );
  const light = lightFor(scope, step, draw.pick);
  const seen = strands.map((strand) => labOfStrand(strand as Strand, light));
  const deltaE = leastGap(seen);
  insist(deltaE >= at(LEAST_DELTA_E, step), 'two of them look alike');
  insist(
    seen.every((lab, i) => i === 0 || lab.b > seen[i - 1].b + 0.4),
    'this lamp turns the order round',
  );
  const { shown, right } = shownIn(
    draw,
    labs.map((_, i) => i),
  );
  return {
    light,
    ask: term('order.warm', { level }),
    pictures: shown.map((which, i) => ({
      look: {
        ...strandLook([{ from: 0, to: 1, strand: strands[which] as Strand }], light, 'straight', draw.seed()),
        shine: 0.6,
      },
      caption: letters(count)[i],
    })),
    form: { kind: 'order', from: term('end.coolest'), to: term('end.warmest') },
    solution: { kind: 'order', right },
    why: [reason('drill.order.warm', 'T1', { level })],
    apart: { deltaE, levels: 0 },
  };
}

/** Skill 7: light to dark, and cool to warm. */
export const order: SkillMaker = {
  facets: ({ scope }) => ['light', ...(levelsOf(scope, 5, 9).length > 0 ? ['warm'] : [])],
  make: (making) => (making.facet === 'light' ? byLevel(making) : byWarmth(making)),
};
