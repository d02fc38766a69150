import { HIGH_LIFT_FROM } from '../../process';
import { percentOfVol, volOfPercent } from '../../product';
import { reason, type Reason } from '../../reason';
import { chooseDeveloper, levelsByColour, liftOf, type ScalpContact, lightenerVols } from '../../rules';
import { wrongFigures, chooseAmong } from '../choice';
import { lineNamed, levelsOf, lightFor, houseFact } from '../context';
import { term } from '../item';
import { judgementFacets, hasJudgements, judge } from '../judgement';
import type { ItemRequest, MadeItem, SkillMaker } from '../maker';
import { insist } from '../random-draw';
import { type Subject, lookOfSubject } from '../subject';

const STRENGTHS = [10, 20, 30, 40] as const;
const volTerm = (vol: number) => term('option.vol', { vol });

/** Volume and percent; the classic slip reads one as the other (D1). */
function exchange({ draw, facet, step }: ItemRequest): MadeItem {
  const vol = draw.pick(step <= 2 ? [5, 10, 15, 20, 30, 40] : [5, 7, 13, 15, 20, 25, 30, 35, 40]);
  const percent = Math.round(percentOfVol(vol) * 10) / 10;
  const toPercent = facet === 'percent';
  const value = toPercent ? percent : volOfPercent(percent);
  const solution = {
    kind: 'figure',
    value,
    full: toPercent ? 0.051 : 0.26,
    near: toPercent ? 0.3 : 1,
  } as const;
  const params = { vol, percent };
  return {
    ask: toPercent ? term('developer.percent', { vol }) : term('developer.vol', { percent }),
    form: { kind: 'figure', unit: toPercent ? 'percent' : 'vol', decimals: 1 },
    solution,
    slips: wrongFigures(solution, [
      [toPercent ? vol : percent, reason('drill.developer.readAsOther', 'D1', params)],
      [toPercent ? vol / 10 : percent * 10, reason('drill.developer.tenth', 'D1', params)],
      [toPercent ? vol / 0.3 : percent * 0.3, reason('drill.developer.wrongWay', 'D1', params)],
    ]),
    // What the figure given would be on the other scale.
    means: toPercent
      ? { code: 'drill.developer.meansVol', rule: 'D1', param: 'given', times: 1 / 0.3, params }
      : { code: 'drill.developer.meansPercent', rule: 'D1', param: 'given', times: 0.3, params },
    why: [reason(toPercent ? 'drill.developer.toPercent' : 'drill.developer.toVol', 'D1', params)],
  };
}

type Answer = number | 'preLighten' | 'none';
const answerTerm = (answer: Answer) =>
  answer === 'preLighten'
    ? term('option.preLighten')
    : answer === 'none'
      ? term('option.noneLifts')
      : volTerm(answer);

/** What has to be done on natural hair, so that no strength is right oftener than another. */
const TASKS = ['one', 'grey', 'two', 'two', 'beyond', 'beyond', 'deposit', 'deposit'] as const;

/** Strength for a task with permanent colour on natural hair: which task it is the figures say (D2, F3, F8). */
function forTask({ draw, rules, scope }: ItemRequest): MadeItem {
  const line = lineNamed(draw.pick(['tarnwick', 'ostrel']));
  const natural = draw.pick(levelsOf(scope, 3, 8));
  const mostByColour = levelsByColour(rules);
  const task = draw.pick(TASKS);
  const lift = {
    one: 1,
    two: 2,
    beyond: mostByColour + draw.int(1, 2),
    deposit: -draw.int(0, 2),
    grey: 0,
  }[task];
  const share = task === 'grey' ? draw.int(3, 7) / 10 : 0;
  const target = natural + lift;
  insist(target >= 1 && target <= 10, 'beyond the scale');
  // From 6 up a high-lift shade would be another sound answer.
  insist(task !== 'beyond' || natural < HIGH_LIFT_FROM, 'high-lift colour would do it too');
  const choice = chooseDeveloper(
    { naturalLevel: natural, targetLevel: target, greyShare: share },
    line,
    rules,
  );
  const byColour = task !== 'beyond';
  insist(
    !byColour || (choice.ok && choice.alsoVol.length === 0),
    'more than one strength is right in this class',
  );
  const right: Answer = byColour && choice.ok ? choice.vol : 'preLighten';
  const lifts = (vol: number) => liftOf(vol, line).typical;
  const said = { natural, target, lift, share, most: mostByColour };
  const slipOf = (vol: number): Reason => {
    const params = { ...said, vol, lifts: lifts(vol) };
    if (task === 'grey')
      return reason(
        vol < 20 ? 'drill.developer.tooWeakForGrey' : 'drill.developer.tooStrongForGrey',
        'F8',
        params,
      );
    if (task === 'deposit') return reason('drill.developer.liftsOnDeposit', 'F7', params);
    if (params.lifts === 0) return reason('drill.developer.liftNone', 'D2', params);
    if (right === 'preLighten')
      return reason(
        params.lifts >= lift ? 'drill.developer.liftLeavesWarmth' : 'drill.developer.liftShort',
        params.lifts >= lift ? 'F3' : 'D2',
        params,
      );
    return reason(
      lifts(vol) > lift ? 'drill.developer.liftsPast' : 'drill.developer.liftShort',
      'D2',
      params,
    );
  };
  const light = lightFor(scope, 1, draw.pick);
  const subject: Subject = { kind: 'natural', level: natural, white: share, porosity: 'normal' };
  return {
    ask: term(share > 0 ? 'developer.taskGrey' : 'developer.task', {
      natural,
      target,
      line: line.name,
      ...(share > 0 ? { share } : {}),
    }),
    facts: [houseFact(rules, 'liftByColourLimit')],
    pictures: [{ look: lookOfSubject(subject, { light, seed: draw.seed() }), caption: term('caption.now') }],
    light,
    ...chooseAmong<Answer>(
      draw,
      { value: right, words: answerTerm(right) },
      [
        ...STRENGTHS.map((vol) => ({ value: vol as Answer, words: volTerm(vol), slip: slipOf(vol) })),
        {
          value: 'preLighten',
          words: answerTerm('preLighten'),
          slip: reason(
            lift > 0 ? 'drill.developer.needlessLightener' : 'drill.developer.nothingToLift',
            'F3',
            said,
          ),
        },
      ],
      (answer) => answer === right,
      { options: 5 },
    ),
    why:
      byColour && choice.ok
        ? choice.reasons
        : [reason('drill.developer.preLighten', 'F3', { ...said, target })],
  };
}

/**
 * Strength where there is dye: none lifts it (P1), a deposit on it takes the weakest (F7), and what has grown since is
 * natural hair (F8).
 */
function onDyed({ draw, scope }: ItemRequest): MadeItem {
  const line = lineNamed(draw.pick(['tarnwick', 'ostrel']));
  const from = draw.pick(levelsOf(scope, 3, 6));
  const task = draw.pick(['lighter', 'deposit', 'root'] as const);
  const target = task === 'lighter' ? from + draw.int(1, 3) : task === 'root' ? from : from - draw.int(0, 1);
  insist(target >= 1, 'beyond the scale');
  const share = task === 'root' ? draw.int(3, 7) / 10 : 0;
  const right: Answer = task === 'lighter' ? 'none' : task === 'root' ? 20 : 10;
  const params = { from, target, share, natural: from };
  const slipOf = (answer: Answer): Reason => {
    if (answer === 'none')
      return reason(
        task === 'root' ? 'drill.developer.newGrowthIsNatural' : 'drill.developer.nothingToLift',
        task === 'root' ? 'F8' : 'F7',
        params,
      );
    const vol = Number(answer);
    const lifts = liftOf(vol, line).typical;
    if (task === 'lighter') return reason('drill.developer.colourOnColour', 'P1', { ...params, vol });
    if (task === 'deposit') return reason('drill.developer.opensForNothing', 'F7', { ...params, vol });
    return reason(vol < 20 ? 'drill.developer.tooWeakForGrey' : 'drill.developer.tooStrongForGrey', 'F8', {
      ...params,
      vol,
      lifts,
    });
  };
  const light = lightFor(scope, 1, draw.pick);
  const dyed: Subject = { kind: 'toned', level: from, tone: { primary: 'neutral' }, white: 0 };
  const grown: Subject = { kind: 'natural', level: from, white: share, porosity: 'normal' };
  return {
    ask: term(task === 'root' ? 'developer.dyedRoot' : 'developer.dyed', {
      line: line.name,
      from,
      target,
      ...(task === 'root' ? { share } : {}),
    }),
    pictures: [
      {
        look: lookOfSubject(task === 'root' ? grown : dyed, { light, seed: draw.seed() }),
        caption: term('caption.now'),
      },
    ],
    light,
    ...chooseAmong<Answer>(
      draw,
      { value: right, words: answerTerm(right) },
      ([...STRENGTHS, 'none'] as const).map((answer) => ({
        value: answer as Answer,
        words: answerTerm(answer),
        slip: slipOf(answer),
      })),
      (answer) => answer === right,
      { options: 5 },
    ),
    why: [
      task === 'lighter'
        ? reason('drill.developer.colourNeverLifts', 'P1', params)
        : task === 'root'
          ? reason('drill.developer.newGrowthCovered', 'F8', params)
          : reason('drill.developer.depositOnDye', 'F7', params),
    ],
  };
}

function gives({ draw }: ItemRequest): MadeItem {
  const vol = draw.pick(STRENGTHS);
  const { typical, most } = liftOf(vol, { kind: 'permanent' });
  const words = (levels: number) =>
    levels === 0 ? term('option.noLift') : term('option.lift', { typical: levels, most: levels + 1 });
  return {
    ask: term('developer.gives', { vol }),
    ...chooseAmong(
      draw,
      { value: typical, words: words(typical) },
      [0, 1, 2, 3, 5].map((levels) => ({
        value: levels,
        words: words(levels),
        slip:
          levels === 5
            ? reason('drill.developer.liftOfLightener', 'D2', { vol })
            : reason('drill.developer.liftOfOther', 'D2', { vol, other: 10 * (levels + 1), typical }),
      })),
      (levels) => levels === liftOf(vol, { kind: 'permanent' }).typical,
      { options: 5 },
    ),
    why: [
      reason(typical === 0 ? 'drill.developer.onlyDeposits' : 'drill.developer.lifts', 'D2', {
        vol,
        typical,
        most,
      }),
    ],
  };
}

/** Where lightener is asked for, and whether it lies on the scalp there; null where none goes on (C10, section 13). */
const WHERE: Readonly<Record<string, ScalpContact | null>> = {
  retouch: 'onScalp',
  hairlinePainted: 'onScalp',
  shortAllOver: 'onScalp',
  foilsOff: 'offScalp',
  paintedLengths: 'offScalp',
  ends: 'offScalp',
  relaxedLengths: null,
  soreScalp: null,
  overSoftEnds: null,
};

/** Strongest developer for lightener in this place, as the class has it (D4); none where no lightener goes on. */
function lightener({ draw, rules }: ItemRequest): MadeItem {
  const where = draw.pick(Object.keys(WHERE));
  const place = WHERE[where];
  const allowed = place === null ? [] : lightenerVols(place, rules);
  const strongest = Math.max(0, ...allowed);
  const words = (vol: number) => (vol === 0 ? term('option.noLightenerHere') : volTerm(vol));
  const slipOf = (vol: number): Reason => {
    if (place === null) return reason(`drill.developer.noneAt.${where}`, 'C10', { vol });
    if (vol === 0) return reason('drill.developer.lightenerMay', 'D4', { place, strongest });
    return reason(
      allowed.includes(vol)
        ? 'drill.developer.notStrongest'
        : vol === 10
          ? 'drill.developer.tenNotHere'
          : vol === 40
            ? 'drill.developer.fortyNotHere'
            : 'drill.developer.tooStrongAtScalp',
      'D4',
      { vol, place, strongest },
    );
  };
  return {
    ask: term(`developer.lightenerAt.${where}`),
    facts: [
      houseFact(rules, 'lightenerOnScalp'),
      houseFact(rules, 'fortyVolLightener'),
      houseFact(rules, 'tenVolLightener'),
    ],
    ...chooseAmong(
      draw,
      { value: strongest, words: words(strongest) },
      [0, ...STRENGTHS].map((vol) => ({ value: vol, words: words(vol), slip: slipOf(vol) })),
      (vol) => vol === strongest,
      { options: 5 },
    ),
    why: [
      place === null
        ? reason(`drill.developer.noneAt.${where}`, 'C10', { vol: 0 })
        : reason('drill.developer.lightenerLimit', 'D4', { vol: strongest, place }),
    ],
  };
}

/** Skill 9: strength for a task, product, hair and place; volume and percent; what it lifts (D1–D8, F3, P1). */
export const developer: SkillMaker = {
  facets: ({ scope }) => [
    ...['percent', 'vol', 'gives', 'lightener'],
    ...(levelsOf(scope, 3, 5).length > 1 ? ['task'] : []),
    ...(levelsOf(scope, 3, 6).length > 0 ? ['dyed'] : []),
    ...judgementFacets('developer'),
  ],
  make: (making) => {
    if (hasJudgements('developer', making.facet)) return judge('developer', making);
    const makers: Record<string, (m: ItemRequest) => MadeItem> = {
      percent: exchange,
      vol: exchange,
      gives,
      lightener,
      task: forTask,
      dyed: onDyed,
    };
    return makers[making.facet](making);
  },
};
