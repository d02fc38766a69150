import { TONE_FAMILIES, type Tone, type ToneFamily, type Light, differenceOf, type Lab } from '../../colour';
import { FORMULA_LINES, shadesOf } from '../../product';
import { reason } from '../../reason';
import { chooseAmong } from '../choice';
import { levelsOf, lightFor } from '../context';
import { type Term, term } from '../item';
import { type BySteps, type ItemRequest, type MadeItem, at, type SkillMaker } from '../maker';
import { insist } from '../random-draw';
import { type Subject, labOfSubject, lookOfSubject } from '../subject';

/** Least ΔE2000 between the right answer and any other that is offered, by step. */
const FAMILY_APART: BySteps = [9, 7, 5.5, 4.5, 3.5];
const SECOND_APART: BySteps = [6, 6, 5, 4, 3];
const COOLER_APART: BySteps = [7, 5.5, 4.5, 3.5, 2.5];
const COLOURED = TONE_FAMILIES.filter((family) => family !== 'neutral');
/** Tones that are practised together: what is practised does not say which of them it is. */
const TONE_GROUPS = {
  cools: ['ash', 'violet', 'matte', 'pearl'],
  warms: ['beige', 'gold', 'warmBrown', 'copper'],
  reds: ['copper', 'red', 'mahogany', 'violet'],
} as const satisfies Record<string, readonly ToneFamily[]>;

/** Pairs of tones, first and second, that some line sells: a shade that is not made is never asked for. */
const SOLD: readonly Required<Tone>[] = (() => {
  const pairs = FORMULA_LINES.flatMap((line) =>
    shadesOf(line).flatMap(({ tone: { primary, secondary } }) =>
      secondary && secondary !== primary && primary !== 'neutral' && secondary !== 'neutral'
        ? [{ primary, secondary }]
        : [],
    ),
  );
  return [...new Map(pairs.map((pair) => [`${pair.primary} ${pair.secondary}`, pair])).values()];
})();

const toned = (level: number, tone: Tone): Subject => ({ kind: 'toned', level, tone, white: 0 });
/** Words for a tone. */
export const toneTerm = ({ primary, secondary }: Tone): Term =>
  secondary ? term('option.twoTones', { primary, secondary }) : term('option.tone', { tone: primary });

/** Where tone shows well enough to be named: neither almost black nor almost white. */
function levelOf({ scope, draw }: ItemRequest): number {
  return draw.pick(levelsOf(scope, 4, 9));
}

function nearest(subject: Subject, others: readonly Subject[], light: Light): number {
  const own = labOfSubject(subject, light);
  return Math.min(...others.map((other) => differenceOf(own, labOfSubject(other, light))));
}

/** Which way the hair of the answer leans from the hair that is there: what to look for next time. */
export function leansOf(given: Lab, truth: Lab): string {
  const [a, b] = [given.a - truth.a, given.b - truth.b];
  if (Math.abs(b) >= Math.abs(a)) return b > 0 ? 'yellower' : 'bluer';
  return a > 0 ? 'redder' : 'greener';
}

function named(
  making: ItemRequest,
  truth: Tone,
  others: readonly Tone[],
  apartBy: BySteps,
  ask: string,
): MadeItem {
  const { draw, step, scope } = making;
  const level = levelOf(making);
  const light = lightFor(scope, step, draw.pick);
  const subject = toned(level, truth);
  const own = labOfSubject(subject, light);
  // Nearest first, but never nearer than the step allows: that is what makes it hard and still fair.
  const distinct = others
    .map((tone) => ({ tone, lab: labOfSubject(toned(level, tone), light) }))
    .map(({ tone, lab }) => ({ tone, lab, deltaE: differenceOf(own, lab) }))
    .filter(({ deltaE }) => deltaE >= at(apartBy, step))
    .sort((a, b) => a.deltaE - b.deltaE);
  const slipOf = (tone: Tone, lab: Lab) => {
    const params = { given: tone.primary, expected: truth.primary, second: truth.secondary ?? '' };
    if (truth.secondary && tone.primary === truth.primary)
      return reason('drill.tone.second', 'T2', { ...params, given: tone.secondary ?? tone.primary });
    return reason(`drill.tone.off.${leansOf(lab, own)}`, 'T1', params);
  };
  const wrong = (step >= 3 ? distinct : draw.shuffled(distinct)).map(({ tone, lab }) => ({
    value: tone,
    words: toneTerm(tone),
    slip: slipOf(tone, lab),
    // The stronger tone read right and the weaker one not is half of it.
    near: truth.secondary && tone.secondary && tone.primary === truth.primary ? 0.5 : undefined,
    subject: toned(level, tone),
  }));
  const choice = chooseAmong(
    draw,
    { value: truth, words: toneTerm(truth), subject },
    wrong,
    (tone) => tone.primary === truth.primary && tone.secondary === truth.secondary,
    { options: at([4, 4, 5, 5, 6], step) },
  );
  const offered = choice.optionSubjects!.filter((other) => other !== subject);
  return {
    ask: term(ask, { level }),
    pictures: [{ look: lookOfSubject(subject, { light, seed: draw.seed(), shine: 0.7 }), caption: null }],
    light,
    ...choice,
    why: [
      truth.secondary
        ? reason('drill.tone.isTwo', 'T2', { tone: truth.primary, second: truth.secondary })
        : reason(`drill.tone.look.${truth.primary}`, 'T1'),
      ...(light === 'daylight' ? [] : [reason(`drill.lamp.${light}`, 'L2')]),
    ],
    subject,
    about: { of: 'tone', truth: truth.primary, options: choice.order.map(({ primary }) => primary) },
    apart: { deltaE: nearest(subject, offered, light), levels: 0 },
  };
}

const LETTERS = 'ABCD';

/** The coolest of four: cool is less yellow and not more red. */
function coolest(making: ItemRequest): MadeItem {
  const { draw, step, scope } = making;
  const level = levelOf(making);
  const light = lightFor(scope, step, draw.pick);
  const families = draw.shuffled(TONE_FAMILIES).slice(0, LETTERS.length);
  const labs = families.map((primary) => labOfSubject(toned(level, { primary }), light));
  const right = labs.reduce((best, lab, i) => (lab.b < labs[best].b ? i : best), 0);
  const deltaE = labs.map((lab) => differenceOf(lab, labs[right]));
  const least = at(COOLER_APART, step);
  labs.forEach((lab, i) => {
    if (i === right) return;
    // A pair that is cooler in one way and warmer in the other has no answer.
    insist(
      lab.b - labs[right].b >= 3 && lab.a - labs[right].a >= -1.5,
      'cooler in one way, warmer in another',
    );
    insist(deltaE[i] >= least, 'not as far apart as the step asks');
  });
  const nearest = Math.min(...deltaE.filter((_, i) => i !== right));
  insist(nearest <= least * 2.5, 'further apart than the step asks');
  return {
    ask: term('tone.coolest', { level }),
    pictures: families.map((primary, i) => ({
      look: lookOfSubject(toned(level, { primary }), {
        light,
        seed: draw.seed(),
        shine: 0.7,
        compared: true,
      }),
      caption: term('option.letter', { letter: LETTERS[i] }),
    })),
    light,
    form: {
      kind: 'choice',
      options: families.map((_, i) => term('option.letter', { letter: LETTERS[i] })),
      byTress: true,
    },
    solution: { kind: 'choice', right },
    slips: families.flatMap((tone, i) =>
      i === right
        ? []
        : [
            {
              answer: i,
              why: reason(
                labs[i].a - labs[right].a > labs[i].b - labs[right].b
                  ? 'drill.tone.redder'
                  : 'drill.tone.warmer',
                'T1',
                {
                  letter: LETTERS[i],
                  tone,
                  cool: families[right],
                  right: LETTERS[right],
                },
              ),
            },
          ],
    ),
    why: [reason('drill.tone.coolestIs', 'T1', { letter: LETTERS[right], cool: families[right] })],
    apart: { deltaE: nearest, levels: 0 },
  };
}

/** Skill 2: the family, then primary and secondary tone, and which of four is the coolest (T1, T2). */
export const tone: SkillMaker = {
  facets: ({ scope }) =>
    levelsOf(scope, 4, 9).length > 0 ? ['cooler', ...Object.keys(TONE_GROUPS), 'two'] : [],
  make: (making) => {
    const { draw, facet, step } = making;
    if (facet === 'cooler') return coolest(making);
    if (facet === 'two') {
      const truth = draw.pick(SOLD);
      const others: Tone[] = [
        ...SOLD.filter(
          ({ primary, secondary }) => primary === truth.primary || secondary === truth.secondary,
        ),
        ...SOLD.filter(
          ({ primary, secondary }) => primary === truth.secondary && secondary === truth.primary,
        ),
        ...draw.shuffled(SOLD),
      ];
      return named(making, truth, others, SECOND_APART, 'tone.two');
    }
    const group = TONE_GROUPS[facet as keyof typeof TONE_GROUPS];
    insist(group !== undefined, 'no such group of tones');
    const truth: Tone = { primary: draw.pick(group) };
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
