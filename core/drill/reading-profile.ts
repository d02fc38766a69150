import { grouped } from '../grouped';
import { type Light, LIGHTS, TONES, type ToneFamily } from '../colour';
import { type TestReading, type ConfusionCell, confusionOf } from './analysis';
import { type Answered, stepAfter } from './memory';
import { type Skill, SKILLS } from './skill';

/** One answer as the record keeps it. */
export interface ProfileAnswer extends Answered {
  /** Seconds it took. */
  seconds: number;
  /** Light it is seen in. */
  light: Light;
  /** What was read, beside what it is. */
  reading: TestReading | null;
  /** What answering blind earns at such an item, 0–1; 0 for answers kept from before it was. */
  chance: number;
}

export interface Tally {
  /** Number of answers. */
  answers: number;
  /** Share of the points beyond what guessing earns, 0–1. */
  accuracy: number;
}
export interface LevelTally extends Tally {
  /** Mean of level given minus level true: above 0 reads too light. */
  bias: number;
}
export interface SkillTally extends Tally {
  /** Skill of the drills. */
  skill: Skill;
  /** Place on the five steps, 1–5. */
  step: number;
  /** Median. */
  seconds: number;
}

export interface ReadingProfile {
  /** Number of answers. */
  answers: number;
  /** Answers among them that were given with help, which count for nothing else. */
  assisted: number;
  /** Minutes spent. */
  minutes: number;
  /** How levels are read. */
  level: {
    /** Over all levels; null while none was read. */
    all: LevelTally | null;
    /** By the level the hair truly has. */
    byLevel: (LevelTally & { level: number })[];
    /** By the light it was seen in. */
    byLight: (LevelTally & { light: Light })[];
  };
  /** Mean warmth given minus true, −2 to 2: cool −1, neutral 0, warm 1. Above 0 reads too warm. */
  tone: { all: (Tally & { warmBias: number }) | null; byTone: (Tally & { tone: string })[] };
  /** What was taken for what, and how often. */
  confusion: { level: ConfusionCell<number>[]; tone: ConfusionCell<string>[] };
  /** Skills of the drills. */
  skills: SkillTally[];
  /** Monday (UTC) of each week with practice, oldest first. */
  weeks: (Tally & { week: number; minutes: number; levelError: number | null })[];
  /** The two skills that are surest; none until two are known. */
  strengths: Skill[];
  /** What to work on next; null until something is known. */
  next: Skill | null;
}

const DAY_MS = 86_400_000;
/** 1970-01-05 was a Monday. */
const mondayOf = (at: number) => Math.floor((at / DAY_MS - 4) / 7) * 7 * DAY_MS + 4 * DAY_MS;
export const startOfWeek = mondayOf;

const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;
const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
/**
 * What answers tell once guessing is taken off, 0–1: the score beyond chance as a part of all that was to be had beyond
 * it (correction for guessing, classical test theory).
 */
export const beyondChance = (answers: readonly Pick<ProfileAnswer, 'score' | 'chance'>[]): number =>
  Math.max(
    0,
    mean(answers.map(({ score, chance }) => score - chance)) / mean(answers.map(({ chance }) => 1 - chance)),
  );
const tally = (answers: readonly Pick<ProfileAnswer, 'score' | 'chance'>[]): Tally => ({
  answers: answers.length,
  accuracy: beyondChance(answers),
});
const WARMTH = { cool: -1, neutral: 0, warm: 1 } as const;
const warmthOf = (tone: string) => WARMTH[TONES[tone as ToneFamily].temperature];

/** Answers of one skill before it is called a strength or a weakness. */
const ENOUGH = 6;
/** A longer answer time is a pause, not looking. Seconds. */
export const MOST_SECONDS = 120;
/** Seconds that count for an answer: no more than a pause at the question. */
export const countedSeconds = (seconds: number) => Math.min(MOST_SECONDS, Math.max(0, seconds));

/** What a student's own answers say about the eye behind them. Assisted answers are counted and otherwise left out. */
export function readingProfileOf(all: readonly ProfileAnswer[]): ReadingProfile {
  const own = all.filter(({ assisted }) => !assisted);
  const levels = own.flatMap((answer) =>
    answer.reading?.of === 'level' ? [{ ...answer, ...answer.reading }] : [],
  );
  const tones = own.flatMap((answer) =>
    answer.reading?.of === 'tone' ? [{ ...answer, ...answer.reading }] : [],
  );
  const levelTally = (some: typeof levels): LevelTally => ({
    ...tally(some),
    bias: mean(some.map(({ given, truth }) => given - truth)),
  });
  const bySkill = grouped(own, ({ skill }) => skill);
  const skills = SKILLS.flatMap((skill): SkillTally[] => {
    const some = bySkill.get(skill);
    if (!some) return [];
    return [
      { skill, ...tally(some), step: stepAfter(some), seconds: median(some.map(({ seconds }) => seconds)) },
    ];
  });
  const known = skills.filter(({ answers }) => answers >= ENOUGH);
  // How far up, then how surely.
  const worth = ({ step, accuracy }: SkillTally) => step + accuracy;
  const ranked = [...known].sort((a, b) => worth(b) - worth(a));
  return {
    answers: own.length,
    assisted: all.length - own.length,
    minutes: all.reduce((sum, { seconds }) => sum + countedSeconds(seconds), 0) / 60,
    level: {
      all: levels.length > 0 ? levelTally(levels) : null,
      byLevel: [...grouped(levels, ({ truth }) => Math.floor(truth))]
        .map(([level, some]) => ({ level, ...levelTally(some) }))
        .sort((a, b) => a.level - b.level),
      byLight: LIGHTS.flatMap((light) => {
        const some = levels.filter((answer) => answer.light === light);
        return some.length > 0 ? [{ light, ...levelTally(some) }] : [];
      }),
    },
    tone: {
      all:
        tones.length > 0
          ? {
              ...tally(tones),
              warmBias: mean(tones.map(({ given, truth }) => warmthOf(given) - warmthOf(truth))),
            }
          : null,
      byTone: [...grouped(tones, ({ truth }) => truth)].map(([tone, some]) => ({ tone, ...tally(some) })),
    },
    confusion: { level: confusionOf(levels), tone: confusionOf(tones) },
    skills,
    weeks: [...grouped(own, ({ at }) => mondayOf(at))]
      .map(([week, some]) => {
        const errors = some.flatMap(({ reading }) =>
          reading?.of === 'level' ? [Math.abs(reading.given - reading.truth)] : [],
        );
        return {
          week,
          ...tally(some),
          minutes: some.reduce((sum, { seconds }) => sum + countedSeconds(seconds), 0) / 60,
          levelError: errors.length > 0 ? mean(errors) : null,
        };
      })
      .sort((a, b) => a.week - b.week),
    strengths: ranked.length >= 2 ? ranked.slice(0, 2).map(({ skill }) => skill) : [],
    next: ranked.length >= 2 ? ranked[ranked.length - 1].skill : null,
  };
}
