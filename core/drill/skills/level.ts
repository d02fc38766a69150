import {
  TONE_FAMILIES,
  TONES,
  type Tone,
  type ToneFamily,
  type Light,
  neutralLab,
  toneLab,
  levelOfLightness,
  differenceOf,
} from '../../colour';
import { reason } from '../../reason';
import { lightFor, levelsOf, levelsOfSpan, spansIn, type Scope } from '../context';
import { type Deceit, term } from '../item';
import { judgementFacets, hasJudgements, judge } from '../judgement';
import { type ItemRequest, type MadeItem, at, type BySteps, type SkillMaker } from '../maker';
import { insist } from '../random-draw';
import { type Subject, labOfSubject, keepsLevel, lookOfSubject, apartByLevel } from '../subject';

const SHINES = { dull: 0.15, shiny: 1 } as const;

const untouched = (level: number): Subject => ({ kind: 'natural', level, white: 0, porosity: 'normal' });

/** Levels of a scope that can be read in some light of it. */
const readable = (scope: Scope): number[] =>
  levelsOf(scope).filter((level) => scope.lights.some((light) => keepsLevel(untouched(level), light, false)));

function subjectOf({ draw, step, facet, scope }: ItemRequest): Subject {
  const whole = draw.pick(levelsOfSpan(facet, readable(scope)));
  const level = whole + (step >= 4 && whole < scope.maxLevel && draw.chance(0.5) ? 0.5 : 0);
  const toned = step >= 3 && draw.chance(0.7);
  // The palest hair carries no full copper or red.
  const tones = TONE_FAMILIES.filter(
    (family) => family !== 'neutral' && (level < 9 || TONES[family].pigment.strength < 1),
  );
  return toned ? { kind: 'toned', level, tone: { primary: draw.pick(tones) }, white: 0 } : untouched(level);
}

/** Levels that a lamp or a dye has to shift a tress by before the reason names it. */
const TELLING_SHIFT = 0.1;

/** Levels by which hair of a tone is drawn darker than the neutral of its level. */
const darkeningByTone = (level: number, tone: Tone): number =>
  levelOfLightness(neutralLab(level).l) - levelOfLightness(toneLab(level, tone).l);

/**
 * What makes this tress look lighter or darker than it is, what weighs most first (L2).
 * @rule L2
 */
export function deceitsOf(subject: Subject, surface: 'dull' | 'shiny' | null, light: Light): Deceit[] {
  const deceits: Deceit[] = [];
  const tone = subject.kind === 'toned' ? subject.tone : null;
  // What its own dye takes of the light is seen, of warm tones too: no tone here is drawn as light as the neutral.
  if (tone && darkeningByTone(subject.level, tone) >= TELLING_SHIFT)
    deceits.push({ code: 'deep', way: 'darker', rule: 'L4' });
  if (surface === 'dull') deceits.push({ code: 'dull', way: 'lighter', rule: 'L2' });
  if (surface === 'shiny') deceits.push({ code: 'shiny', way: 'darker', rule: 'L2' });
  const shift =
    levelOfLightness(labOfSubject(subject, light).l) - levelOfLightness(labOfSubject(subject, 'daylight').l);
  // No lamp here makes hair look darker by so much.
  if (shift >= TELLING_SHIFT) deceits.push({ code: 'lamp', way: 'lighter', rule: 'L2' });
  return deceits;
}

function read(making: ItemRequest): MadeItem {
  const { draw, step, scope } = making;
  const halves = step >= 4;
  const subject = subjectOf(making);
  const light = lightFor(scope, step, draw.pick);
  insist(keepsLevel(subject, light, halves), 'this lamp changes the level');
  const surface = step === 1 ? null : draw.pick(['dull', 'shiny', null] as const);
  const deceits = deceitsOf(subject, surface, light);
  const look = lookOfSubject(subject, {
    light,
    seed: draw.seed(),
    form: step >= 3 ? draw.pick(['straight', 'wavy'] as const) : 'straight',
    shine: surface ? SHINES[surface] : 0.7,
  });
  return {
    ask: term(halves ? 'level.half' : 'level.whole'),
    pictures: [{ look, caption: null }],
    light,
    form: { kind: 'level', halves },
    solution: { kind: 'figure', value: subject.level, full: 0.01, near: at([1, 1, 1, 0.5, 0.5], step) },
    why: [
      reason('drill.level.is', 'L1', { level: subject.level }),
      ...(light === 'daylight' ? [] : [reason(`drill.lamp.${light}`, 'L2')]),
    ],
    deceits,
    subject,
    reads: 'level',
    about: { of: 'level', truth: subject.level },
    apart: apartByLevel(subject, halves ? 0.5 : 1),
  };
}

/** Levels between the one asked for and the others, by step. */
const ACROSS_APART: BySteps = [2, 1.5, 1, 1, 0.5];
const DEEP_TONES: readonly ToneFamily[] = ['red', 'mahogany', 'violet', 'copper', 'ash'];

/** L4: the level with the tone taken out, among hair of other tones that looks as dark or as light. */
function acrossTones(making: ItemRequest): MadeItem {
  const { draw, step, scope } = making;
  const apart = at(ACROSS_APART, step);
  const level = draw.pick(levelsOf(scope, 4, 8));
  const tone = draw.pick(DEEP_TONES);
  const others = draw.shuffled([
    { level: level - apart, tone: 'neutral' as const },
    { level: level - apart, tone: draw.pick(['gold', 'beige', 'warmBrown'] as const) },
    { level: level + apart, tone: 'neutral' as const },
    { level: level + apart, tone: draw.pick(['ash', 'violet', 'matte'] as const) },
  ]);
  const shown = draw.shuffled([{ level, tone }, ...others.slice(0, 3)]);
  const right = shown.findIndex((one) => one.level === level);
  const subjects = shown.map((one): Subject => ({
    kind: 'toned',
    level: one.level,
    tone: { primary: one.tone },
    white: 0,
  }));
  const labs = subjects.map((subject) => labOfSubject(subject));
  return {
    ask: term('level.across', { level }),
    pictures: subjects.map((subject, i) => ({
      look: lookOfSubject(subject, { light: 'daylight', seed: draw.seed(), shine: 0.6, compared: true }),
      caption: term('option.letter', { letter: 'ABCD'[i] }),
    })),
    form: {
      kind: 'choice',
      options: shown.map((_, i) => term('option.letter', { letter: 'ABCD'[i] })),
      byTress: true,
    },
    solution: { kind: 'choice', right },
    slips: shown.flatMap((one, i) =>
      i === right
        ? []
        : [
            {
              answer: i,
              why: reason(
                one.level > level ? 'drill.level.acrossLighter' : 'drill.level.acrossDarker',
                'L4',
                {
                  letter: 'ABCD'[i],
                  level: one.level,
                  tone: one.tone,
                  right: 'ABCD'[right],
                  deep: tone,
                },
              ),
            },
          ],
    ),
    why: [reason('drill.level.across', 'L4', { letter: 'ABCD'[right], level, tone })],
    apart: {
      deltaE: Math.min(...labs.flatMap((lab, i) => (i === right ? [] : [differenceOf(lab, labs[right])]))),
      levels: apart,
    },
  };
}

/** Skill 1: the level of a tress; cool, warm, shiny or dull, under three lights; across tones; and what cures a doubt. */
export const level: SkillMaker = {
  facets: ({ scope }) => [
    ...spansIn(readable(scope)),
    ...(levelsOf(scope, 4, 8).length > 0 && scope.lights.includes('daylight') ? ['acrossTones'] : []),
    ...judgementFacets('level'),
  ],
  make: (making) =>
    hasJudgements('level', making.facet)
      ? judge('level', making)
      : making.facet === 'acrossTones'
        ? acrossTones(making)
        : read(making),
};
