import { reason } from '../../reason';
import { counterAt, COUNTERS, underlayAt, type Counter } from '../../theory';
import { chooseAmong } from '../choice';
import { levelsOf } from '../context';
import { insist } from '../draw';
import { term } from '../item';
import { at, type SkillMaker } from '../make';
import { otherUnderlays, underlayTerm } from './underlay';

const counterTerm = (counter: Counter) => term('option.counter', { counter });

/** Skill 4: from natural and wanted level to the pigment that will show, and to what neutralises it (U1, U2). */
export const predict: SkillMaker = {
  facets: ({ scope }) => levelsOf(scope, Math.max(3, scope.minLevel + 1), 10).map(String),
  make: (making) => {
    const { draw, step, facet, rules, scope } = making;
    // Whole levels only: between two rows of the table good schools give either name.
    const target = Number(facet);
    const naturals = levelsOf(scope, 1, target - 1);
    insist(naturals.length > 0, 'nothing darker in this span');
    const natural = draw.pick(naturals);
    const shows = underlayAt(target, rules);
    const why = [
      reason('drill.predict.shows', 'U1', { target, underlay: shows, counter: counterAt(target) }),
    ];
    if (step <= 2 || draw.chance(0.4)) {
      const atStart = underlayAt(natural, rules);
      return {
        ask: term('predict.pigment', { natural, target }),
        ...chooseAmong(
          draw,
          { value: shows, words: underlayTerm(shows) },
          [
            {
              value: atStart,
              words: underlayTerm(atStart),
              slip: reason('drill.predict.fromStart', 'U1', { natural, target }),
            },
            ...otherUnderlays(making, target).map((row) => ({
              value: row.underlay,
              words: underlayTerm(row.underlay),
              slip: reason('drill.underlay.other', 'U1', { given: row.underlay, level: row.level }),
            })),
          ],
          (name) => name === underlayAt(target, rules),
          { options: at([3, 4, 4, 5, 6], step), least: 2 },
        ),
        why,
      };
    }
    const right = counterAt(target);
    const index = COUNTERS.indexOf(right);
    const byDistance = COUNTERS.filter((counter) => counter !== right).sort(
      (a, b) => Math.abs(COUNTERS.indexOf(a) - index) - Math.abs(COUNTERS.indexOf(b) - index),
    );
    const atStart = counterAt(natural);
    return {
      ask: term('predict.counter', { natural, target }),
      ...chooseAmong(
        draw,
        { value: right, words: counterTerm(right) },
        [
          {
            value: atStart,
            words: counterTerm(atStart),
            slip: reason('drill.predict.fromStart', 'U1', { natural, target }),
          },
          ...(step >= 4 ? byDistance : draw.shuffled(byDistance)).map((counter) => ({
            value: counter,
            words: counterTerm(counter),
            slip: reason('drill.predict.otherCounter', 'U2', {
              given: counter,
              underlay: shows,
              counter: right,
            }),
          })),
        ],
        (counter) => counter === counterAt(target),
        { options: at([4, 4, 4, 5, 6], step), least: 2 },
      ),
      why,
    };
  },
};
