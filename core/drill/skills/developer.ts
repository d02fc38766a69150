import { HIGH_LIFT_FROM } from '../../process';
import { percentOfVol, volOfPercent } from '../../product';
import { reason, type Reason } from '../../reason';
import { chooseDeveloper, liftOf, type ScalpContact, lightenerVols } from '../../rules';
import { wrongFigures, chooseAmong } from '../choice';
import { lineNamed, levelsOf, houseFact } from '../context';
import { term } from '../item';
import { judgementFacets, hasJudgements, judge } from '../judgement';
import type { ItemRequest, MadeItem, SkillMaker } from '../maker';
import { insist } from '../random-draw';

const STRENGTHS = [10, 20, 30, 40] as const;
const volTerm = (vol: number) => term('option.vol', { vol });

/** Volume and percent; the classic slip reads one as the other (D1). */
function exchange({ draw, facet, step }: ItemRequest): MadeItem {
  const vol = step <= 2 ? draw.pick(STRENGTHS) : draw.pick([5, 7, 13, 15, 25, 35, ...STRENGTHS]);
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

/** Most that is lifted by colour alone: more leaves warmth that shows (F3). */
const MOST_BY_COLOUR = 2;
type Answer = number | 'preLighten';

/** Strength for a lift, for grey, or for depositing with permanent colour on natural hair (D2, F3, F8). */
function forTask({ draw, rules, scope, facet, step }: ItemRequest): MadeItem {
  const line = lineNamed(draw.pick(['tarnwick', 'ostrel']));
  const natural = draw.pick(levelsOf(scope, 3, 8));
  const lift = facet === 'lift' ? draw.int(1, step <= 2 ? 2 : 4) : facet === 'deposit' ? -draw.int(0, 2) : 0;
  const greyShare = facet === 'grey' ? draw.int(3, 7) / 10 : 0;
  const task = { naturalLevel: natural, targetLevel: natural + lift, greyShare };
  insist(task.targetLevel >= 1 && task.targetLevel <= 10, 'beyond the scale');
  // From 6 up a high-lift shade would be another sound answer.
  insist(lift <= MOST_BY_COLOUR || natural < HIGH_LIFT_FROM, 'high-lift colour would do it too');
  const byColour = lift <= MOST_BY_COLOUR;
  const choice = chooseDeveloper(task, line, rules);
  insist(
    !byColour || (choice.ok && choice.alsoVol.length === 0),
    'more than one strength is right in this class',
  );
  const right: Answer = byColour && choice.ok ? choice.vol : 'preLighten';
  const target = task.targetLevel;
  const slipOf = (vol: number): Reason => {
    const params = { vol, lifts: liftOf(vol, line).typical, natural, target, lift, share: greyShare };
    if (facet === 'grey')
      return reason(
        vol < 20 ? 'drill.developer.tooWeakForGrey' : 'drill.developer.tooStrongForGrey',
        'F8',
        params,
      );
    if (facet === 'deposit') return reason('drill.developer.liftsOnDeposit', 'F7', params);
    if (params.lifts === 0) return reason('drill.developer.liftNone', 'D2', params);
    if (right === 'preLighten')
      return reason(
        params.lifts >= lift ? 'drill.developer.liftLeavesWarmth' : 'drill.developer.liftShort',
        params.lifts >= lift ? 'F3' : 'D2',
        params,
      );
    return reason(vol > right ? 'drill.developer.liftsPast' : 'drill.developer.liftShort', 'D2', params);
  };
  return {
    ask: term(`developer.${facet}`, {
      natural,
      ...(facet === 'grey' ? { share: greyShare } : { target }),
      line: line.name,
    }),
    ...chooseAmong<Answer>(
      draw,
      { value: right, words: right === 'preLighten' ? term('option.preLighten') : volTerm(right) },
      [
        ...STRENGTHS.map((vol) => ({ value: vol as Answer, words: volTerm(vol), slip: slipOf(vol) })),
        ...(facet === 'lift'
          ? [
              {
                value: 'preLighten' as Answer,
                words: term('option.preLighten'),
                slip: reason('drill.developer.needlessLightener', 'F3', { lift, natural, target }),
              },
            ]
          : []),
      ],
      (answer) => answer === right,
      { options: 5 },
    ),
    why: byColour
      ? choice.ok
        ? choice.reasons
        : []
      : [reason('drill.developer.preLighten', 'F3', { lift, natural, target })],
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

/** Where lightener goes on, and whether it lies on the scalp there. */
const WHERE: Readonly<Record<string, ScalpContact>> = {
  retouch: 'onScalp',
  hairlinePainted: 'onScalp',
  shortAllOver: 'onScalp',
  foilsOff: 'offScalp',
  paintedLengths: 'offScalp',
  ends: 'offScalp',
};

/** Strongest developer for lightener in this place, as the class has it (D4). */
function lightener({ draw, rules }: ItemRequest): MadeItem {
  const where = draw.pick(Object.keys(WHERE));
  const place = WHERE[where];
  const allowed = lightenerVols(place, rules);
  const strongest = Math.max(...allowed);
  return {
    ask: term(`developer.lightenerAt.${where}`),
    facts: [
      houseFact(rules, 'lightenerOnScalp'),
      houseFact(rules, 'fortyVolLightener'),
      houseFact(rules, 'tenVolLightener'),
    ],
    ...chooseAmong(
      draw,
      { value: strongest, words: volTerm(strongest) },
      STRENGTHS.map((vol) => ({
        value: vol,
        words: volTerm(vol),
        slip: reason(
          allowed.includes(vol)
            ? 'drill.developer.notStrongest'
            : vol === 10
              ? 'drill.developer.tenNotHere'
              : vol === 40
                ? 'drill.developer.fortyNotHere'
                : 'drill.developer.tooStrongAtScalp',
          'D4',
          { vol, place, strongest },
        ),
      })),
      (vol) => vol === Math.max(...lightenerVols(place, rules)),
    ),
    why: [reason('drill.developer.lightenerLimit', 'D4', { vol: strongest, place })],
  };
}

/** Colour does not lift colour, whatever it is mixed with (P1). */
function artificial({ draw, scope }: ItemRequest): MadeItem {
  const from = draw.pick(levelsOf(scope, 3, 6));
  const target = from + draw.int(1, 3);
  return {
    ask: term('developer.artificial', { from, target }),
    ...chooseAmong(
      draw,
      { value: 'none' as string | number, words: term('option.noneLifts') },
      STRENGTHS.slice(1).map((vol) => ({
        value: vol as string | number,
        words: volTerm(vol),
        slip: reason('drill.developer.colourOnColour', 'P1', { vol, from, target }),
      })),
      (value) => value === 'none',
    ),
    why: [reason('drill.developer.colourNeverLifts', 'P1', { from, target })],
  };
}

/** Skill 9: strength for a task, product, hair and place; volume and percent; what it lifts (D1–D8, F3, P1). */
export const developer: SkillMaker = {
  facets: ({ scope }) => [
    ...['percent', 'vol', 'gives', 'lightener'],
    ...(levelsOf(scope, 3, 8).length > 0 ? ['lift', 'deposit', 'grey'] : []),
    ...(levelsOf(scope, 3, 6).length > 0 ? ['artificial'] : []),
    ...judgementFacets('developer'),
  ],
  make: (making) => {
    if (hasJudgements('developer', making.facet)) return judge('developer', making);
    const makers: Record<string, (m: ItemRequest) => MadeItem> = {
      percent: exchange,
      vol: exchange,
      gives,
      lightener,
      artificial,
    };
    return (makers[making.facet] ?? forTask)(making);
  },
};
