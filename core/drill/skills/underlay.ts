import { differenceOf } from '../../colour';
import { reason } from '../../reason';
import { underlayAt, UNDERLAY_TABLE, type Underlay } from '../../theory';
import { chooseAmong } from '../choice';
import { levelsOf, lightFor } from '../context';
import { insist } from '../draw';
import { term } from '../item';
import { at, type Making, type SkillMaker } from '../make';
import { apartByLevel, keepsLevel, labOfSubject, lookOfSubject, type Subject } from '../subject';

const bared = (level: number): Subject => ({ kind: 'lightened', level, white: 0 });
export const underlayTerm = (underlay: Underlay) => term('option.underlay', { underlay });

/** Rows of the school's table with other names, nearest first or far apart by step. */
export function otherUnderlays(
  { rules, step, draw }: Pick<Making, 'rules' | 'step' | 'draw'>,
  level: number,
) {
  const right = underlayAt(level, rules);
  const table = UNDERLAY_TABLE[rules.underlay];
  const rows = table
    .map((underlay, i) => ({ underlay, level: i + 1, deltaE: Math.abs(i + 1 - level) }))
    .filter(({ underlay }) => underlay !== right);
  const far = rows.filter(({ deltaE }) => deltaE >= at([2, 2, 1, 1, 1], step));
  return step >= 3 ? far.sort((a, b) => a.deltaE - b.deltaE) : draw.shuffled(far);
}

/** Skill 3: the pigment that shows on hair being lightened, and the level reached, read from it (U1). */
export const underlay: SkillMaker = {
  facets: ({ scope }) =>
    levelsOf(scope, 2, 10)
      .filter((level) => scope.lights.some((light) => keepsLevel(bared(level), light)))
      .map(String),
  make: (making) => {
    const { draw, step, facet, rules, scope } = making;
    const byName = draw.chance(0.5);
    const halves = !byName && step >= 4;
    const level = Number(facet) + (halves && Number(facet) < scope.maxLevel && draw.chance(0.5) ? 0.5 : 0);
    const subject = bared(level);
    const light = lightFor(scope, step, draw.pick);
    insist(keepsLevel(subject, light), 'this lamp changes the level');
    const right = underlayAt(level, rules);
    const shared = {
      pictures: [{ look: lookOfSubject(subject, { light, seed: draw.seed(), shine: 0.6 }), caption: null }],
      light,
      subject,
      why: [reason('drill.underlay.is', 'U1', { level, underlay: right })],
    };
    if (!byName)
      return {
        ...shared,
        ask: term('underlay.level'),
        form: { kind: 'level', halves },
        solution: { kind: 'figure', value: level, full: 0.01, near: halves ? 0.5 : 1 },
        reads: 'level',
        about: { of: 'level', truth: level },
        apart: apartByLevel(subject, halves ? 0.5 : 1),
      };
    const others = otherUnderlays(making, level);
    const choice = chooseAmong(
      draw,
      { value: right, words: underlayTerm(right), subject },
      others.map((row) => ({
        value: row.underlay,
        words: underlayTerm(row.underlay),
        slip: reason('drill.underlay.other', 'U1', { given: row.underlay, level: row.level }),
        subject: bared(row.level),
      })),
      (name) => name === underlayAt(level, rules),
      { options: at([3, 4, 4, 5, 6], step), least: 2 },
    );
    const deltaE = choice.order.flatMap((name, i) => (name === right ? [] : [choice.optionSubjects![i]]));
    return {
      ...shared,
      ask: term('underlay.name'),
      ...choice,
      apart: {
        deltaE: Math.min(...deltaE.map((other) => differenceOf(labOfSubject(subject), labOfSubject(other)))),
        levels: Math.min(...deltaE.map((other) => Math.abs(other.level - level))),
      },
    };
  },
};
