import { reason } from '../../reason';
import { type Counter, underlayAt, counterAt, COUNTERS } from '../../rules';
import { chooseAmong } from '../choice';
import { houseFact, levelsOf, levelsOfSpan, lightFor, spansIn, type Scope } from '../context';
import { term } from '../item';
import { judgementFacets, hasJudgements, judge } from '../judgement';
import { type ItemRequest, type MadeItem, at, type SkillMaker } from '../maker';
import { insist } from '../random-draw';
import { type Subject, lookOfSubject } from '../subject';
import { BEAM_LEVELS, beam } from './beam';
import { underlayTerm, otherUnderlays } from './underlay';

const counterTerm = (counter: Counter) => term('option.counter', { counter });

/** Doses of one opposite: right direction, other strength. */
const VIOLETS: readonly Counter[] = ['violet', 'softViolet', 'traceViolet'];
const otherDose = (counter: Counter, other: Counter) => VIOLETS.includes(counter) && VIOLETS.includes(other);

/** The hair as it comes in, before it is lightened. */
function hairBefore(
  { draw, scope, step }: ItemRequest,
  natural: number,
): Pick<MadeItem, 'pictures' | 'light'> {
  const light = lightFor(scope, step, draw.pick);
  const subject: Subject = { kind: 'natural', level: natural, white: 0, porosity: 'normal' };
  const look = lookOfSubject(subject, { light, seed: draw.seed(), shine: 0.6 });
  return { pictures: [{ look, caption: term('caption.now') }], light };
}

function pigment(making: ItemRequest, natural: number, target: number): MadeItem {
  const { draw, step, rules } = making;
  const shows = underlayAt(target, rules);
  const atStart = underlayAt(natural, rules);
  return {
    ask: term('predict.pigment', { natural, target }),
    ...hairBefore(making, natural),
    facts: [houseFact(rules, 'underlay')],
    ...chooseAmong(
      draw,
      { value: shows, words: underlayTerm(shows) },
      [
        ...(atStart === 'redBrownHardlySeen'
          ? []
          : [
              {
                value: atStart,
                words: underlayTerm(atStart),
                slip: reason('drill.predict.fromStart', 'U1', { natural, target, given: atStart }),
              },
            ]),
        ...otherUnderlays(making, target).map((row) => ({
          value: row.underlay,
          words: underlayTerm(row.underlay),
          slip: reason(row.level > target ? 'drill.predict.further' : 'drill.predict.notSoFar', 'U1', {
            given: row.underlay,
            level: row.level,
            target,
          }),
        })),
      ],
      (name) => name === underlayAt(target, rules),
      { options: at([4, 4, 4, 5, 6], step) },
    ),
    why: [reason('drill.predict.shows', 'U1', { target, underlay: shows, counter: counterAt(target) })],
  };
}

function counter(making: ItemRequest, natural: number, target: number): MadeItem {
  const { draw, step, rules } = making;
  const shows = underlayAt(target, rules);
  const right = counterAt(target);
  const index = COUNTERS.indexOf(right);
  const byDistance = COUNTERS.filter((counter) => counter !== right).sort(
    (a, b) => Math.abs(COUNTERS.indexOf(a) - index) - Math.abs(COUNTERS.indexOf(b) - index),
  );
  const slipOf = (given: Counter) => {
    const params = { given, underlay: shows, counter: right, target };
    if (otherDose(given, right))
      return reason(
        VIOLETS.indexOf(given) < VIOLETS.indexOf(right)
          ? 'drill.predict.doseTooMuch'
          : 'drill.predict.doseTooLittle',
        'U5',
        params,
      );
    if (given === counterAt(natural))
      return reason('drill.predict.counterOfStart', 'U1', { ...params, natural });
    return reason(
      COUNTERS.indexOf(given) < index ? 'drill.predict.counterOfRedder' : 'drill.predict.counterOfYellower',
      'U2',
      params,
    );
  };
  return {
    ask: term('predict.counter', { natural, target }),
    ...hairBefore(making, natural),
    facts: [houseFact(rules, 'underlay')],
    ...chooseAmong(
      draw,
      { value: right, words: counterTerm(right) },
      (step >= 4 ? byDistance : draw.shuffled(byDistance)).map((counter) => ({
        value: counter,
        words: counterTerm(counter),
        slip: slipOf(counter),
        near: otherDose(counter, right) ? 0.5 : undefined,
      })),
      (counter) => counter === counterAt(target),
      { options: VIOLETS.includes(right) ? COUNTERS.length : at([5, 5, 6, 6, 7], step) },
    ),
    why: [reason('drill.predict.shows', 'U1', { target, underlay: shows, counter: right })],
  };
}

/** Levels of a scope that something in it can be lightened to. */
const reachable = (scope: Scope): number[] => levelsOf(scope, Math.max(3, scope.minLevel + 1), 10);

/** Skill 4: the pigment that will show, what neutralises it, how much of that, and when it is kept (U1–U6). */
export const predict: SkillMaker = {
  facets: ({ scope }) => [
    ...spansIn(reachable(scope)),
    ...(levelsOf(scope, BEAM_LEVELS.from, BEAM_LEVELS.to).length > 0 ? ['beam'] : []),
    ...judgementFacets('predict'),
  ],
  make: (making) => {
    const { draw, step, facet, scope } = making;
    if (hasJudgements('predict', facet)) return judge('predict', making);
    if (facet === 'beam') return beam(making, draw.pick(levelsOf(scope, BEAM_LEVELS.from, BEAM_LEVELS.to)));
    // Whole levels only: between two rows of the table good schools give either name.
    const target = draw.pick(levelsOfSpan(facet, reachable(scope)));
    const naturals = levelsOf(scope, 1, target - 1);
    insist(naturals.length > 0, 'nothing darker in this span');
    const natural = draw.pick(naturals);
    return step <= 2 || draw.chance(0.4)
      ? pigment(making, natural, target)
      : counter(making, natural, target);
  },
};
