import { differenceOf } from '../../colour';
import { reason } from '../../reason';
import { type Underlay, underlayAt, UNDERLAY_TABLE } from '../../rules';
import { chooseAmong } from '../choice';
import { levelsOf, levelsOfSpan, lightFor, houseFact, spansIn, type Scope } from '../context';
import { term } from '../item';
import { type ItemRequest, at, type SkillMaker } from '../maker';
import { insist } from '../random-draw';
import { type Subject, keepsLevel, lookOfSubject, apartByLevel, labOfSubject } from '../subject';

const bared = (level: number): Subject => ({ kind: 'lightened', level, white: 0 });
/** Words for an underlying pigment. */
export const underlayTerm = (underlay: Underlay) => term('option.underlay', { underlay });

/** A name that says where it stands in the table gives itself away among others. */
const TELLTALE: Underlay = 'redBrownHardlySeen';

/** Rows of the school's table with other names, nearest first or far apart by step. */
export function otherUnderlays(
  { rules, step, draw }: Pick<ItemRequest, 'rules' | 'step' | 'draw'>,
  level: number,
) {
  const right = underlayAt(level, rules);
  const table = UNDERLAY_TABLE[rules.underlay];
  const rows = table
    .map((underlay, i) => ({ underlay, level: i + 1, levelsAway: Math.abs(i + 1 - level) }))
    .filter(({ underlay }) => underlay !== right && underlay !== TELLTALE);
  const far = rows.filter(({ levelsAway }) => levelsAway >= at([2, 2, 1, 1, 1], step));
  return step >= 3 ? far.sort((a, b) => a.levelsAway - b.levelsAway) : draw.shuffled(far);
}

/** Levels of a scope whose underlying pigment can be read in some light of it. */
const readable = (scope: Scope): number[] =>
  levelsOf(scope, 2, 10).filter((level) =>
    scope.lights.some((light) => keepsLevel(bared(level), light, false)),
  );

/** Skill 3: the pigment that shows on hair being lightened, and the level reached, read from it (U1). */
export const underlay: SkillMaker = {
  facets: ({ scope }) => spansIn(readable(scope)),
  make: (making) => {
    const { draw, step, facet, rules, scope } = making;
    const byName = draw.chance(0.5);
    const halves = !byName && step >= 4;
    const whole = draw.pick(levelsOfSpan(facet, readable(scope)));
    const level = whole + (halves && whole < scope.maxLevel && draw.chance(0.5) ? 0.5 : 0);
    const subject = bared(level);
    const light = lightFor(scope, step, draw.pick);
    insist(keepsLevel(subject, light, halves), 'this lamp changes the level');
    const right = underlayAt(level, rules);
    const surface = step >= 2 ? draw.pick(['dull', 'shiny', null] as const) : null;
    const shine = surface === 'dull' ? 0.15 : surface === 'shiny' ? 1 : 0.6;
    const form = step >= 3 ? draw.pick(['straight', 'wavy', 'curly'] as const) : 'straight';
    const shared = {
      pictures: [{ look: lookOfSubject(subject, { light, seed: draw.seed(), shine, form }), caption: null }],
      light,
      subject,
      why: [
        reason('drill.underlay.is', 'U1', { level, underlay: right }),
        ...(light === 'daylight' ? [] : [reason(`drill.lamp.${light}`, 'L2')]),
      ],
    };
    if (!byName)
      return {
        ...shared,
        ask: term('underlay.level'),
        facts: [houseFact(rules, 'underlay')],
        form: { kind: 'level', halves },
        solution: { kind: 'figure', value: level, full: 0.01, near: halves ? 0.5 : 1 },
        slips: levelsOf({ ...scope, minLevel: 1, maxLevel: 10 })
          .filter((other) => underlayAt(other, rules) !== right)
          .map((other) => ({
            answer: other,
            why: reason(other > level ? 'drill.underlay.readLighter' : 'drill.underlay.readDarker', 'U1', {
              given: other,
              shows: underlayAt(other, rules),
              underlay: right,
            }),
          })),
        deceits: [
          { code: 'pigmentLighter', way: 'lighter', rule: 'U1' },
          { code: 'pigmentDarker', way: 'darker', rule: 'U1' },
        ],
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
        slip: reason(row.level > level ? 'drill.underlay.lighter' : 'drill.underlay.darker', 'U1', {
          given: row.underlay,
          level: row.level,
          right,
          reached: level,
        }),
        subject: bared(row.level),
      })),
      (name) => name === underlayAt(level, rules),
      { options: at([4, 4, 4, 5, 6], step) },
    );
    const wrong = choice.order.flatMap((name, i) => (name === right ? [] : [choice.optionSubjects![i]]));
    return {
      ...shared,
      ask: term('underlay.name'),
      facts: [houseFact(rules, 'underlay')],
      ...choice,
      apart: {
        deltaE: Math.min(...wrong.map((other) => differenceOf(labOfSubject(subject), labOfSubject(other)))),
        levels: Math.min(...wrong.map((other) => Math.abs(other.level - level))),
      },
    };
  },
};
