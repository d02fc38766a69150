import { reason } from '../../reason';
import { FORMULA_LINES } from '../../shades';
import { rinseMinute, servesMinutes, startsToEndTogether } from '../../theory';
import { chooseAmong, wrongFigures } from '../choice';
import { lineNamed } from '../context';
import { insist } from '../draw';
import { term, type Form } from '../item';
import type { Made, Making, SkillMaker } from '../make';

const MINUTES: Form = { kind: 'figure', unit: 'minutes', decimals: 0 };
const exactly = (value: number) => ({ kind: 'figure', value, full: 0.5, near: 2 }) as const;
const ZONES = ['root', 'mids', 'ends'] as const;

/** Zones that need different times, and all end together (A2). */
function start({ draw, step }: Making): Made {
  const needs = draw.shuffled(
    step <= 2
      ? draw.pick([
          [35, 20, 35],
          [30, 30, 15],
        ])
      : draw.pick([
          [35, 20, 10],
          [45, 30, 15],
          [50, 35, 20],
          [40, 25, 33],
        ]),
  );
  const starts = startsToEndTogether(needs);
  const asked = draw.pick([0, 1, 2].filter((i) => starts[i] > 0));
  const solution = exactly(starts[asked]);
  return {
    ask: term('timing.start', { zone: ZONES[asked] }),
    facts: ZONES.map((zone, i) => term('fact.zoneNeeds', { zone, minutes: needs[i] })),
    form: MINUTES,
    solution,
    slips: wrongFigures(solution, [
      [needs[asked], reason('drill.timing.ownMinutes', 'A2')],
      [0, reason('drill.timing.allAtOnce', 'A2')],
    ]),
    why: [
      reason('drill.timing.start', 'A2', {
        longest: Math.max(...needs),
        needs: needs[asked],
        start: starts[asked],
      }),
    ],
  };
}

/** When to rinse, by what starts the timer in this class (R1). */
function rinse({ draw, rules, step }: Making): Made {
  const line = lineNamed(draw.pick(FORMULA_LINES.map(({ id }) => id)));
  const overGrey = line.kind === 'permanent' && draw.chance(0.5);
  const developing = overGrey ? line.minutes.grey : line.minutes.standard;
  const takes = step <= 2 ? draw.pick([10, 15, 20]) : draw.int(7, 28);
  const value = rinseMinute(takes, developing, rules);
  const otherSchool = rinseMinute(takes, developing, {
    timerStarts: rules.timerStarts === 'endOfApplication' ? 'firstContact' : 'endOfApplication',
  });
  const solution = exactly(value);
  return {
    ask: term('timing.rinse', { takes, minutes: developing }),
    facts: [term('fact.timerRule', { choice: rules.timerStarts })],
    form: MINUTES,
    solution,
    slips: wrongFigures(solution, [[otherSchool, reason('drill.timing.otherSchool', 'R1')]]),
    why: [
      reason('drill.timing.rinse', 'R1', {
        takes,
        minutes: developing,
        choice: rules.timerStarts,
        rinse: value,
      }),
    ],
  };
}

/** How long a bowl serves that was mixed early (M5). */
function active({ draw, step }: Making): Made {
  const line = lineNamed(draw.pick(FORMULA_LINES.map(({ id }) => id)));
  const lead = step <= 2 ? draw.pick([5, 10, 15]) : draw.int(3, 22);
  const value = servesMinutes(line.activeMinutes, lead);
  insist(value >= 5, 'nobody mixes so early');
  const solution = exactly(value);
  return {
    ask: term('timing.active', { lead }),
    facts: [term('fact.active', { line: line.name, minutes: line.activeMinutes })],
    form: MINUTES,
    solution,
    slips: wrongFigures(solution, [
      [line.activeMinutes, reason('drill.timing.fromStroke', 'M5')],
      [line.activeMinutes + lead, reason('drill.timing.addedLead', 'M5')],
    ]),
    why: [reason('drill.timing.active', 'M5', { minutes: line.activeMinutes, lead, serves: value })],
  };
}

/** R2: how often what is looked at, at least. */
const WATCHED = {
  lightenerStrong: 'everyFiveToTen',
  lightenerGentle: 'everyFiveToTen',
  acidGloss: 'everyTwoToThree',
} as const;
/** The most watchful first. */
const WATCHES = ['everyTwoToThree', 'everyFiveToTen', 'everyTwenty', 'onceHalfWay', 'onlyAtEnd'] as const;
function check({ draw }: Making): Made {
  const product = draw.pick(['lightenerStrong', 'lightenerGentle', 'acidGloss'] as const);
  // Who looks more often than asked makes no mistake: that is no wrong answer to offer.
  const suffices = (watch: (typeof WATCHES)[number]) =>
    WATCHES.indexOf(watch) <= WATCHES.indexOf(WATCHED[product]);
  return {
    ask: term('timing.check', { product }),
    ...chooseAmong(
      draw,
      {
        value: WATCHED[product] as (typeof WATCHES)[number],
        words: term('option.watch', { watch: WATCHED[product] }),
      },
      WATCHES.map((watch) => ({
        value: watch,
        words: term('option.watch', { watch }),
        slip: reason('drill.timing.watchOther', 'R2', { product }),
      })),
      suffices,
    ),
    why: [reason('drill.timing.watch', 'R2', { product, watch: WATCHED[product] })],
  };
}

/** Minute by which moved or looked at: how many looks fit before a zone is due. */
function looks({ draw, step }: Making): Made {
  const every = draw.pick(step <= 2 ? [5, 10] : [3, 5, 7]);
  const last = draw.int(4, 9) * 5 + (step >= 4 ? draw.int(0, 4) : 0);
  const value = Math.floor(last / every) - (last % every === 0 ? 1 : 0);
  insist(value >= 2, 'too few looks to count');
  const solution = { kind: 'figure', value, full: 0.5, near: 1 } as const;
  return {
    ask: term('timing.looks', { every, minutes: last }),
    form: { kind: 'figure', unit: 'times', decimals: 0 },
    solution,
    slips: [],
    why: [reason('drill.timing.looks', 'R2', { every, minutes: last, count: value })],
  };
}

/** Skill 12: when to start, check, move and rinse; how long the mix serves (A2, M5, R1, R2). */
export const timing: SkillMaker = {
  facets: () => ['rinse', 'start', 'active', 'check', 'looks'],
  make: (making) => {
    const makers: Record<string, (m: Making) => Made> = { rinse, start, active, check, looks };
    return makers[making.facet](making);
  },
};
