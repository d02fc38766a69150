import { z } from 'zod';
import { type Card, fsrs, type Grade, Rating, createEmptyCard } from 'ts-fsrs';
import { itemSpecSchema } from './item';
import { type Skill, SKILLS, type DrillStep } from './skill';

/** One answered item, as much of it as learning goes by. */
export const answeredSchema = itemSpecSchema.omit({ seed: true }).extend({
  /** 0 wrong, 0.5 near, 1 right. */
  score: z.number().min(0).max(1),
  /** True when figures were shown beside the hair: practice, but no proof of the eye. */
  assisted: z.boolean(),
  /** Milliseconds since 1970. */
  at: z.number(),
});
export type Answered = z.infer<typeof answeredSchema>;

/** What is known of one facet of a skill, by the free spaced repetition scheduler (FSRS). */
export interface FacetMemory {
  /** Skill of the drills. */
  skill: Skill;
  /** What is practised, finer than the skill. */
  facet: string;
  /** When it is best asked again, by the scheduler. */
  card: Card;
}

/** All that practice goes by for one student. A function of the answers so far, so any device can work it out anew. */
export interface Memory {
  /** What is remembered of each facet that has been met, by skill and facet. */
  facets: Record<string, FacetMemory>;
  /** How far up the five steps of difficulty a skill has been climbed, 1–5 with fractions, and answers so far. */
  reach: Record<Skill, { step: number; answers: number }>;
  /** The same over all skills: where one that was never asked begins. */
  overall: { step: number; answers: number };
}

const scheduler = fsrs({ enable_fuzz: false, request_retention: 0.9 });
/** Name of a facet in memory. */
export const facetKey = (skill: Skill, facet: string) => `${skill} ${facet}`;

const nothingReached = () =>
  Object.fromEntries(SKILLS.map((skill) => [skill, { step: 1, answers: 0 }])) as Memory['reach'];
/** Memory of a student who has answered nothing. */
export const emptyMemory = (): Memory => ({
  facets: {},
  reach: nothingReached(),
  overall: { step: 1, answers: 0 },
});

const gradeOf = (score: number): Grade => (score >= 1 ? Rating.Good : score > 0 ? Rating.Hard : Rating.Again);

/**
 * Weighted up-down staircase: right goes up by one part and wrong down by three, which settles where three of four
 * answers are right (C. Kaernbach, Perception & Psychophysics 49, 1991). The first answers move faster, to find the
 * student's place within a session.
 */
const UP = 0.15;
const TARGET_RIGHT = 0.75;
const FAST_ANSWERS = 8;
/** Answers over all skills by which a student is placed; they move as fast. */
const PLACING_ANSWERS = 12;
/** A skill that was never asked begins so many steps under what the others have shown. */
const BEGINS_UNDER = 0.5;
const FAST = 3;
function climbed(
  from: { step: number; answers: number },
  step: DrillStep,
  score: number,
  fastFor = FAST_ANSWERS,
) {
  const size = from.answers < fastFor ? UP * FAST : UP;
  const move = score * size - (1 - score) * size * (TARGET_RIGHT / (1 - TARGET_RIGHT));
  // An item far from the student's place says little that is new.
  const telling =
    (move > 0 && step < Math.floor(from.step)) || (move < 0 && step > Math.ceil(from.step)) ? 0.25 : 1;
  return {
    step: Math.min(5, Math.max(1, from.step + move * telling)),
    answers: from.answers + 1,
  };
}

/** Answers in a skill after which it is known by them alone. */
const KNOWN_AFTER = 4;
/** Where a student stands in a skill, 1–5 with fractions: by its own answers, and while they are few by all others as well. */
export function reachedIn({ reach, overall }: Memory, skill: Skill): number {
  const { step, answers } = reach[skill];
  const own = Math.min(1, answers / KNOWN_AFTER);
  return own * step + (1 - own) * Math.max(1, overall.step - BEGINS_UNDER);
}

/** The memory after one more answer. Assisted answers leave it as it is. */
export function afterAnswer(memory: Memory, answered: Answered): Memory {
  const { skill, facet, step, score, assisted, at } = answered;
  if (assisted) return memory;
  const key = facetKey(skill, facet);
  const card = memory.facets[key]?.card ?? createEmptyCard(new Date(at));
  // Answers can arrive late from a device that was offline; time never runs backwards for a card.
  const when = new Date(Math.max(at, card.last_review ? new Date(card.last_review).getTime() : at));
  const { card: next } = scheduler.next(card, when, gradeOf(score));
  return {
    facets: { ...memory.facets, [key]: { skill, facet, card: next } },
    reach: {
      ...memory.reach,
      [skill]: climbed({ ...memory.reach[skill], step: reachedIn(memory, skill) }, step, score),
    },
    overall: climbed(memory.overall, step, score, PLACING_ANSWERS),
  };
}

/** Place 1–5 on the steps of one skill after its unassisted answers, oldest first. */
export const stepAfter = (answers: readonly Pick<Answered, 'step' | 'score'>[]): number =>
  answers.reduce((from, { step, score }) => climbed(from, step, score), { step: 1, answers: 0 }).step;

/** Memory of a facet; undefined where it was never asked. */
export const memoryOf = (answers: readonly Answered[]): Memory => answers.reduce(afterAnswer, emptyMemory());

/** Chance 0–1 that a facet is still known. */
export const recallOf = ({ card }: FacetMemory, now: number): number =>
  scheduler.get_retrievability(card, new Date(now), false);
/** Whether a facet is due at a time. */
export const isDue = ({ card }: FacetMemory, now: number): boolean => new Date(card.due).getTime() <= now;
