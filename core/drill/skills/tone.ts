import { differenceOf, TONES, TONE_FAMILIES, type Light, type Tone, type ToneFamily } from '../../colour';
import { reason } from '../../reason';
import { chooseAmong } from '../choice';
import { levelsOf, lightFor } from '../context';
import { insist } from '../draw';
import { term, type Term } from '../item';
import { at, type BySteps, type Made, type Making, type SkillMaker } from '../make';
import { labOfSubject, lookOfSubject, type Subject } from '../subject';

/** Least ΔE2000 between the right answer and any other that is offered, by step. */
const FAMILY_APART: BySteps = [9, 7, 5.5, 4.5, 3.5];
const SECOND_APART: BySteps = [6, 6, 5, 4, 3];
const COOLER_APART: BySteps = [9, 7, 5, 3.5, 2.5];
const COLOURED = TONE_FAMILIES.filter((family) => family !== 'neutral');

const toned = (level: number, tone: Tone): Subject => ({ kind: 'toned', level, tone, white: 0 });
export const toneTerm = ({ primary, secondary }: Tone): Term =>
  secondary ? term('option.twoTones', { primary, secondary }) : term('option.tone', { tone: primary });

/** Where tone shows well enough to be named: neither almost black nor almost white. */
function levelOf({ scope, draw }: Making): number {
  return draw.pick(levelsOf(scope, 4, 9));
}

function nearest(subject: Subject, others: readonly Subject[], light: Light): number {
  const own = labOfSubject(subject, light);
  return Math.min(...others.map((other) => differenceOf(own, labOfSubject(other, light))));
}

function named(making: Making, truth: Tone, others: readonly Tone[], apartBy: BySteps, ask: string): Made {
  const { draw, step, scope } = making;
  const level = levelOf(making);
  const light = lightFor(scope, step, draw.pick);
  const subject = toned(level, truth);
  const own = labOfSubject(subject, light);
  // Nearest first, but never nearer than the step allows: that is what makes it hard and still fair.
  const distinct = others
    .map((tone) => ({ tone, deltaE: differenceOf(own, labOfSubject(toned(level, tone), light)) }))
    .filter(({ deltaE }) => deltaE >= at(apartBy, step))
    .sort((a, b) => a.deltaE - b.deltaE);
  const wrong = (step >= 3 ? distinct : draw.shuffled(distinct)).map(({ tone }) => ({
    value: tone,
    words: toneTerm(tone),
    slip: reason('drill.tone.other', 'T1', { given: tone.primary, expected: truth.primary }),
    subject: toned(level, tone),
  }));
  const choice = chooseAmong(
    draw,
    { value: truth, words: toneTerm(truth), subject },
    wrong,
    (tone) => tone.primary === truth.primary && tone.secondary === truth.secondary,
    { options: at([3, 4, 5, 5, 6], step), least: 2 },
  );
  const offered = choice.optionSubjects!.filter((other) => other !== subject);
  return {
    ask: term(ask, { level }),
    pictures: [{ look: lookOfSubject(subject, { light, seed: draw.seed(), shine: 0.7 }), caption: null }],
    light,
    ...choice,
    why: [
      reason('drill.tone.is', 'T1', { tone: truth.primary, temperature: TONES[truth.primary].temperature }),
    ],
    subject,
    about: { of: 'tone', truth: truth.primary, options: choice.order.map(({ primary }) => primary) },
    apart: { deltaE: nearest(subject, offered, light), levels: 0 },
  };
}

function cooler(making: Making): Made {
  const { draw, step, scope } = making;
  const level = levelOf(making);
  const light = lightFor(scope, step, draw.pick);
  const families = draw.shuffled(TONE_FAMILIES);
  const [a, b] = [families[0], families[1]].map((primary) => toned(level, { primary }));
  const [labA, labB] = [labOfSubject(a, light), labOfSubject(b, light)];
  const deltaE = differenceOf(labA, labB);
  const least = at(COOLER_APART, step);
  // Cool is less yellow and not more red: a pair that is cooler in one and warmer in the other has no answer.
  const [db, da] = [labB.b - labA.b, labB.a - labA.a];
  insist(deltaE >= least && deltaE <= least * 2.5, 'not as far apart as the step asks');
  insist(Math.abs(db) >= 3 && Math.sign(db) * da >= -1.5, 'cooler in one way and warmer in another');
  const right = db > 0 ? 0 : 1;
  const pair = [a, b];
  return {
    ask: term('tone.cooler', { level }),
    pictures: pair.map((subject, i) => ({
      look: lookOfSubject(subject, { light, seed: draw.seed(), shine: 0.7 }),
      caption: term('option.letter', { letter: 'AB'[i] }),
    })),
    light,
    form: {
      kind: 'choice',
      options: ['A', 'B'].map((letter) => term('option.letter', { letter })),
      byTress: true,
    },
    solution: { kind: 'choice', right },
    slips: [{ answer: 1 - right, why: reason('drill.tone.warmer', 'T1') }],
    why: [
      reason('drill.tone.coolerIs', 'T1', {
        letter: 'AB'[right],
        cool: families[right],
        warm: families[1 - right],
      }),
    ],
    apart: { deltaE: deltaE, levels: 0 },
  };
}

/** Skill 2: the family, then primary and secondary tone, and which of two is cooler (T1, T2). */
export const tone: SkillMaker = {
  facets: ({ scope }) => (levelsOf(scope, 4, 9).length > 0 ? ['cooler', ...COLOURED, 'two'] : []),
  make: (making) => {
    const { draw, facet, step } = making;
    if (facet === 'cooler') return cooler(making);
    if (facet === 'two') {
      const [primary, secondary, third] = draw.shuffled(COLOURED);
      const truth = { primary, secondary };
      const others: Tone[] = [
        { primary: secondary, secondary: primary },
        { primary, secondary: third },
        { primary: third, secondary },
        { primary },
        ...COLOURED.filter((family) => family !== primary).map((family) => ({ primary, secondary: family })),
      ];
      return named(making, truth, others, SECOND_APART, 'tone.two');
    }
    const truth: Tone = { primary: facet as ToneFamily };
    const pool = step <= 2 ? TONE_FAMILIES : draw.chance(0.5) ? TONE_FAMILIES : COLOURED;
    return named(
      making,
      truth,
      pool.filter((family) => family !== facet).map((primary) => ({ primary })),
      FAMILY_APART,
      'tone.family',
    );
  },
};
