import { differenceOf, isWarm, toneLab, type ToneFamily } from '../../colour';
import { reason } from '../../reason';
import { shadesOf, type Shade } from '../../shades';
import { tonerLevels, underlayAt } from '../../theory';
import { chooseAmong } from '../choice';
import { levelsOf, lineNamed, lightFor } from '../context';
import { insist } from '../draw';
import { term } from '../item';
import { at, type BySteps, type Making, type SkillMaker } from '../make';
import { labOfSubject, lookOfSubject, type Subject } from '../subject';

const LINE = 'quillet';
/** The right gloss has to come this much nearer to the wish than any other that is offered, ΔE2000, by step. */
const NEARER_BY: BySteps = [4, 3.5, 3, 2.5, 2];
/** And this near, or there is no answer to find. */
const NEAR_ENOUGH = 8.5;

const slipOf = (shade: Shade, level: number, wish: ToneFamily) => {
  if (shade.level! > level) return reason('drill.toner.tooLight', 'F4', { level: shade.level!, hair: level });
  if (shade.level! < level) return reason('drill.toner.tooDeep', 'F4', { level: shade.level!, hair: level });
  if (isWarm(shade.tone)) return reason('drill.toner.sameSide', 'U2', { tone: shade.tone.primary });
  return reason('drill.toner.otherTone', 'F5', { tone: shade.tone.primary, wish });
};

/**
 * Skill 14: the right gloss in the right depth for what is on the head (F4, F5). The theory names it: the level the hair
 * has, and the tone that is wished for, since a shade holds the balance that cancels the warmth of its own level (T3).
 * The hair model then has to agree, or the item is not given.
 */
export const toner: SkillMaker = {
  facets: ({ scope }) => levelsOf(scope, 5, 10).map(String),
  make: (making: Making) => {
    const { draw, step, facet, rules, scope } = making;
    const line = lineNamed(LINE);
    const level = Number(facet);
    const shades = shadesOf(line).filter((shade) => shade.level !== null && !shade.tone.secondary);
    const atLevel = shades.filter((shade) => shade.level === level);
    const right = draw.pick(
      atLevel.filter(({ tone }) => ['neutral', 'ash', 'violet', 'pearl'].includes(tone.primary)),
    );
    const wish = right.tone.primary;
    const allowedLevels = tonerLevels(level, rules);
    const isRight = (shade: Shade) => allowedLevels.includes(shade.level!) && shade.tone.primary === wish;

    const glossed = (shade: Shade): Subject => ({ kind: 'glossed', level, shade, white: 0 });
    const goal = toneLab(level, { primary: wish });
    const awayOf = (shade: Shade) => differenceOf(labOfSubject(glossed(shade)), goal);
    const rightAway = awayOf(right);
    insist(rightAway <= NEAR_ENOUGH, 'the model does not get there');
    // Each kind of mistake, drawn before the model is asked about it: it is asked about few.
    const mistakes = (is: (shade: Shade) => boolean, count: number) =>
      draw
        .shuffled(
          shades.filter(
            (shade) =>
              is(shade) &&
              !isRight(shade) &&
              Math.abs(shade.level! - level) <= 3 &&
              !allowedLevels.slice(1).includes(shade.level!),
          ),
        )
        .filter((shade) => awayOf(shade) >= rightAway + at(NEARER_BY, step))
        .slice(0, count);
    const lighter = mistakes(({ level: l, tone }) => l! > level && tone.primary === wish, 2);
    const warm = mistakes(({ level: l, tone }) => l === level && isWarm(tone), 2);
    const cool = mistakes(({ level: l, tone }) => l === level && !isWarm(tone), 2);
    const deeper = mistakes(({ level: l, tone }) => l! < level && tone.primary === wish, 1);
    // The mistakes people make come first: lighter than the hair, then the warm side, then the wrong opposite.
    const wrong = [0, 1].flatMap((i) => [lighter[i], warm[i], cool[i], deeper[i]]).filter(Boolean);
    const light = lightFor(scope, step, draw.pick);
    const subject: Subject = { kind: 'lightened', level, white: 0 };
    const choice = chooseAmong(
      draw,
      { value: right, words: term('option.label', { label: right.label }), subject: glossed(right) },
      wrong.map((shade) => ({
        value: shade,
        words: term('option.label', { label: shade.label }),
        slip: slipOf(shade, level, wish),
        subject: glossed(shade),
      })),
      isRight,
      { options: at([3, 4, 4, 5, 6], step), least: 2 },
    );
    return {
      ask: term('toner.choose', { tone: wish, line: line.name }),
      facts: step === 1 ? [term('fact.levelReached', { level })] : [],
      lineId: line.id,
      pictures: [{ look: lookOfSubject(subject, { light, seed: draw.seed(), shine: 0.5 }), caption: null }],
      light,
      ...choice,
      subject: glossed(right),
      why: [
        reason('drill.toner.right', 'F4', {
          level,
          underlay: underlayAt(level, rules),
          label: right.label,
          tone: wish,
        }),
      ],
      apart: {
        deltaE: Math.min(...choice.order.filter((shade) => shade !== right).map(awayOf)) - rightAway,
        levels: 0,
      },
    };
  },
};
