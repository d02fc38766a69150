import { toneLab, isWarm, differenceOf } from '../../colour';
import { type HairReading, readStrand } from '../../hair';
import { type Shade, shadesOf } from '../../product';
import { reason } from '../../reason';
import { tonerLevels, underlayAt } from '../../rules';
import { chooseAmong } from '../choice';
import { levelsOf, levelsOfSpan, lineNamed, lightFor, houseFact, spansIn } from '../context';
import { term } from '../item';
import { judgementFacets, hasJudgements, judge } from '../judgement';
import { type BySteps, type SkillMaker, type ItemRequest, at } from '../maker';
import { insist } from '../random-draw';
import { type Subject, strandOfSubject, labOfSubject, lookOfSubject } from '../subject';
import { tonerLaid } from './toner-dose';
import {
  type TonerLine,
  TONER_LINES,
  WISHES,
  AS_WISHED,
  MOST_SHIFT,
  levelLeft,
  mistakesAmong,
  comesNear,
} from './toner-finish';

/** The right shade has to come this much nearer to the wish than any wrong one that is offered, ΔE2000, by step. */
const NEARER_BY: BySteps = [4, 3.5, 3, 2.5, 2];
/** Levels at which a toner is laid on by hand. */
const LAID = { from: 7, to: 10 };

interface Tried {
  shade: Shade;
  subject: Subject;
  /** ΔE2000 to the wish. */
  deltaE: number;
}

/** Skill 14: the finish that is wanted, and what the hair model makes of each shade (F4, F5, U2). */
export const toner: SkillMaker = {
  facets: ({ scope }) => [
    ...spansIn(levelsOf(scope, 5, 10)),
    ...(levelsOf(scope, LAID.from, LAID.to).length > 0 ? ['laid'] : []),
    ...judgementFacets('toner'),
  ],
  make: (making: ItemRequest) => {
    const { draw, step, facet, rules, scope } = making;
    if (hasJudgements('toner', facet)) return judge('toner', making);
    if (facet === 'laid') return tonerLaid(making, draw.pick(levelsOf(scope, LAID.from, LAID.to)));
    const lineId: TonerLine = draw.pick(Object.keys(TONER_LINES) as TonerLine[]);
    const line = lineNamed(lineId);
    const level = draw.pick(levelsOfSpan(facet, levelsOf(scope, 5, 10)));
    const wish = draw.pick(WISHES);
    const goal = toneLab(level, { primary: wish });
    const readingOf = ({ subject }: Tried): HairReading => readStrand(strandOfSubject(subject));
    const tried = shadesOf(line)
      .filter(({ level: depth }) => depth !== null && Math.abs(depth - level) <= 2)
      .map((shade): Tried => {
        const subject: Subject = { kind: 'glossed', level, shade, white: 0, product: TONER_LINES[lineId] };
        return { shade, subject, deltaE: differenceOf(labOfSubject(subject), goal) };
      })
      .sort((a, b) => a.deltaE - b.deltaE);
    const [right, ...others] = tried;
    const allowed = tonerLevels(level, rules);
    insist(allowed.includes(right.shade.level!), 'the model reaches it with a depth this class does not use');
    insist(right.deltaE <= AS_WISHED, 'the model does not get there');
    insist(Math.abs(readingOf(right).level - level) <= MOST_SHIFT, 'it changes the level');
    insist(readingOf(right).tone === wish, 'what it leaves is not called by the wish');
    const apart = others.filter(({ deltaE }) => deltaE >= right.deltaE + at(NEARER_BY, step));
    const wrong = mistakesAmong(apart, level, wish, draw);
    const slipOf = (tried: Tried) => {
      const { shade } = tried;
      const leaves = readingOf(tried);
      const params = {
        label: shade.label,
        hair: level,
        depth: shade.level!,
        level: levelLeft(leaves, level),
        tone: leaves.tone,
        wish,
      };
      const near = comesNear(tried.deltaE, leaves, level, wish);
      const kind =
        shade.level === level && shade.tone.primary === wish
          ? 'namedLikeIt'
          : near
            ? 'near'
            : shade.level! > level
              ? 'tooLight'
              : shade.level! < level
                ? 'tooDeep'
                : isWarm(shade.tone)
                  ? 'warmSide'
                  : 'coolSide';
      return {
        near,
        why: reason(`drill.toner.${kind}`, kind === 'tooLight' || kind === 'tooDeep' ? 'F4' : 'F5', params),
      };
    };
    let nears = 0;
    const offered = wrong.flatMap((tried) => {
      const { near, why } = slipOf(tried);
      // One that is near is enough to think about.
      if (near && ++nears > 1) return [];
      return [
        {
          value: tried.shade,
          words: term('option.label', { label: tried.shade.label }),
          slip: why,
          near: near ? 0.5 : undefined,
          subject: tried.subject,
        },
      ];
    });
    const light = lightFor(scope, step, draw.pick);
    const subject: Subject = { kind: 'lightened', level, white: 0 };
    const choice = chooseAmong(
      draw,
      {
        value: right.shade,
        words: term('option.label', { label: right.shade.label }),
        subject: right.subject,
      },
      offered,
      (shade) => shade === right.shade,
      { options: at([4, 4, 5, 5, 6], step) },
    );
    const wrongOnes = choice.order.filter((shade) => shade !== right.shade);
    return {
      ask: term('toner.choose', { tone: wish, level, line: line.name }),
      facts: [...(step === 1 ? [term('fact.levelReached', { level })] : []), houseFact(rules, 'tonerDepth')],
      lineId: line.id,
      pictures: [{ look: lookOfSubject(subject, { light, seed: draw.seed(), shine: 0.5 }), caption: null }],
      light,
      ...choice,
      subject: right.subject,
      why: [
        reason('drill.toner.right', 'F4', {
          level,
          underlay: underlayAt(level, rules),
          label: right.shade.label,
          tone: wish,
          leaves: levelLeft(readingOf(right), level),
        }),
      ],
      apart: {
        deltaE:
          Math.min(...tried.filter(({ shade }) => wrongOnes.includes(shade)).map(({ deltaE }) => deltaE)) -
          right.deltaE,
        levels: 0,
      },
    };
  },
};
