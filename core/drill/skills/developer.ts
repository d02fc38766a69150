import { percentOfVol, volOfPercent } from '../../measure';
import { reason } from '../../reason';
import { chooseDeveloper, lightenerVols, liftOf, PLACES } from '../../theory';
import { chooseAmong, wrongFigures } from '../choice';
import { levelsOf, lineNamed } from '../context';
import { insist } from '../draw';
import { term } from '../item';
import type { Made, Making, SkillMaker } from '../make';

const STRENGTHS = [10, 20, 30, 40] as const;
const volTerm = (vol: number) => term('option.vol', { vol });

/** Volume and percent; the classic slip reads one as the other (D1). */
function exchange({ draw, facet, step }: Making): Made {
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
  return {
    ask: toPercent ? term('developer.percent', { vol }) : term('developer.vol', { percent }),
    form: { kind: 'figure', unit: toPercent ? 'percent' : 'vol', decimals: 1 },
    solution,
    slips: wrongFigures(solution, [
      [toPercent ? vol : percent, reason('drill.developer.readAsOther', 'D1')],
      [toPercent ? vol / 10 : percent * 10, reason('drill.developer.tenth', 'D1')],
      [toPercent ? vol / 0.3 : percent * 0.3, reason('drill.developer.wrongWay', 'D1')],
    ]),
    why: [reason('drill.developer.exchange', 'D1', { vol, percent })],
  };
}

/** Strength for a lift, for grey, or for depositing with permanent colour on natural hair (D2, F8). */
function forTask({ draw, rules, scope, facet }: Making): Made {
  const line = lineNamed('tarnwick');
  const natural = draw.pick(levelsOf(scope, 3, 8));
  const lift = facet === 'lift' ? draw.int(1, 3) : facet === 'deposit' ? -draw.int(0, 2) : 0;
  const greyShare = facet === 'grey' ? draw.int(3, 7) / 10 : 0;
  const task = { naturalLevel: natural, targetLevel: natural + lift, greyShare };
  insist(task.targetLevel >= 1 && task.targetLevel <= 10, 'beyond the scale');
  const choice = chooseDeveloper(task, line, rules);
  insist(choice.ok && choice.alsoVol.length === 0, 'more than one strength is right in this class');
  return {
    ask: term(`developer.${facet}`, { natural, target: task.targetLevel, share: greyShare, line: line.name }),
    ...chooseAmong(
      draw,
      { value: choice.vol, words: volTerm(choice.vol) },
      STRENGTHS.map((vol) => ({
        value: vol,
        words: volTerm(vol),
        slip: reason(vol > choice.vol ? 'drill.developer.stronger' : 'drill.developer.weaker', 'D2', {
          vol,
          lifts: liftOf(vol, line).typical,
        }),
      })),
      (vol) => {
        const again = chooseDeveloper(task, line, rules);
        return again.ok && again.vol === vol;
      },
    ),
    why: choice.reasons,
  };
}

function gives({ draw }: Making): Made {
  const vol = draw.pick([20, 30, 40]);
  const { typical, most } = liftOf(vol, { kind: 'permanent' });
  return {
    ask: term('developer.gives', { vol }),
    ...chooseAmong(
      draw,
      { value: typical, words: term('option.lift', { typical, most }) },
      [0, 1, 2, 3, 5].map((levels) => ({
        value: levels,
        words:
          levels === 0 ? term('option.noLift') : term('option.lift', { typical: levels, most: levels + 1 }),
        slip: reason('drill.developer.liftOther', 'D2', { vol }),
      })),
      (levels) => levels === liftOf(vol, { kind: 'permanent' }).typical,
    ),
    why: [reason('drill.developer.lifts', 'D2', { vol, typical, most })],
  };
}

/** Strongest developer for lightener in this place, as the class has it (D4). */
function lightener({ draw, rules }: Making): Made {
  const place = draw.pick(PLACES);
  const allowed = lightenerVols(place, rules);
  const strongest = Math.max(...allowed);
  return {
    ask: term('developer.lightener', { place }),
    ...chooseAmong(
      draw,
      { value: strongest, words: volTerm(strongest) },
      STRENGTHS.map((vol) => ({
        value: vol,
        words: volTerm(vol),
        slip: reason(
          allowed.includes(vol) ? 'drill.developer.notStrongest' : 'drill.developer.notHere',
          'D4',
          { vol, place },
        ),
      })),
      (vol) => vol === Math.max(...lightenerVols(place, rules)),
    ),
    why: [reason('drill.developer.lightenerLimit', 'D4', { vol: strongest, place })],
  };
}

/** Colour does not lift colour, whatever it is mixed with (P1). */
function artificial({ draw, scope }: Making): Made {
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
        slip: reason('drill.developer.colourOnColour', 'P1', { vol }),
      })),
      (value) => value === 'none',
    ),
    why: [reason('drill.developer.colourNeverLifts', 'P1')],
  };
}

/** Skill 9: strength for a task, product, hair and place; volume and percent; what it lifts (D1–D4, P1). */
export const developer: SkillMaker = {
  facets: ({ scope }) => [
    ...['percent', 'vol', 'gives', 'lightener'],
    ...(levelsOf(scope, 3, 8).length > 0 ? ['lift', 'deposit', 'grey'] : []),
    ...(levelsOf(scope, 3, 6).length > 0 ? ['artificial'] : []),
  ],
  make: (making) => {
    switch (making.facet) {
      case 'percent':
      case 'vol':
        return exchange(making);
      case 'gives':
        return gives(making);
      case 'lightener':
        return lightener(making);
      case 'artificial':
        return artificial(making);
      default:
        return forTask(making);
    }
  },
};
