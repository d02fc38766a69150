import { z } from 'zod';
import type { Light } from '../colour';
import type { TressLook } from '../draw';
import type { StretchTest } from '../process';
import type { Reason } from '../reason';
import { type Skill, type DrillStep, skillSchema, drillStepSchema } from './skill';
import type { Subject } from './subject';

/** Words as data: a code of the interface's word list with its parameters. */
export interface Term {
  /** Code of the words it is told in. */
  code: string;
  /** Figures and names that the words need. */
  params: Record<string, string | number | boolean>;
}
/** Words as data: a code and what it needs. */
export const term = (code: string, params: Term['params'] = {}): Term => ({ code, params });

export const UNITS = ['grams', 'minutes', 'vol', 'percent', 'flOz', 'tubes', 'weeks', 'level'] as const;
export type Unit = (typeof UNITS)[number];

/** How an item is answered. */
export type AnswerMethod =
  | { kind: 'level'; halves: boolean }
  | { kind: 'share'; stepPercent: 10 | 25 }
  | { kind: 'figure'; unit: Unit; decimals: 0 | 1 | 2 }
  /** Options are words, or the item's own tresses in their order. */
  | { kind: 'choice'; options: Term[]; byTress: boolean }
  | { kind: 'order'; from: Term; to: Term }
  /** One or more places on the tress, root to tip. */
  | { kind: 'mark'; marks: Term[] }
  /** Grams of several things in one bowl on the scale, in the order of the names. */
  | { kind: 'amounts'; things: Term[] }
  /** The share of white in several places, in tenths, and the natural share of the mix as one of a few. */
  | { kind: 'shares'; places: Term[]; naturals: Term[] }
  /** On one clock: the minute each zone is begun, the minutes it is looked at, the minute it is rinsed. */
  | { kind: 'clock'; zones: Term[]; most: number };

/**
 * What lies on the bench beside a question that is done with hands in the salon. All of it is what the student would
 * feel or see there: it tells no more than the facts in words, which stand in for it where hands are not wanted.
 */
export type Hands =
  /** A wet strand to be pulled. */
  | ({ kind: 'stretch' } & StretchTest)
  /**
   * A strand to be stroked upward, and a drop of water: the part of the way 0–1 that the strand holds the fingers back,
   * and the seconds the drop stands. What that is called is for the student to say.
   */
  | { kind: 'feel'; drag: number; standsSeconds: number }
  /** A tube of a line with its label. */
  | { kind: 'tube'; lineId: string; label: string }
  /** Tubes of one line or two, to be picked from. */
  | { kind: 'shelf'; lineIds: string[] }
  /** The brush along new growth, `cm` the strand's whole length. */
  | { kind: 'brush'; cm: number }
  /** Bottles and water over a scale; the strength of each in volumes, water 0. */
  | { kind: 'pour'; vols: number[] }
  /** Tubes, correctors and developer over a scale. */
  | { kind: 'weigh'; tubeGrams: number }
  /**
   * Something laid on: one of the things in one of the doses. The options of the choice are every thing in every dose, things
   * outside. A toner goes on the strand; on the beam it is held until it is let go.
   */
  | { kind: 'lay' | 'beam'; things: Term[]; doses: Term[] };

export interface Picture {
  /** How the hair looks. */
  look: TressLook;
  /** Words under it; null for none. */
  caption: Term | null;
}

/** What may be shown before an answer is given. */
export interface Question {
  /** Skill of the drills. */
  skill: Skill;
  /** Difficulty, 1 to 5. */
  step: DrillStep;
  /** What is asked, as a code with parameters. */
  ask: Term;
  /** What is known besides, a line each. */
  facts: Term[];
  /** Pictures of hair, in their order. */
  pictures: Picture[];
  /** Light it is seen in. */
  light: Light;
  /** Line whose key the question is read in. */
  lineId: string | null;
  /** How it is answered. */
  form: AnswerMethod;
  /** What lies on the bench beside it; null where the question is all words and pictures. */
  hands: Hands | null;
}

/**
 * Figures are right within `full` and half right within `near`, both in the unit of the form. Marks are places from
 * 0 at the root to 1 at the tip.
 */
export type RightAnswer =
  | { kind: 'figure'; value: number; full: number; near: number }
  /** `near`: options that are not the best and not wrong, with the part of the mark they earn. */
  | { kind: 'choice'; right: number; near?: { index: number; score: number }[] }
  | { kind: 'order'; right: number[] }
  /** Where going past the place does harm and stopping short does not, `past` is the tolerance beyond it. */
  | { kind: 'mark'; at: number[]; full: number; near: number; past?: { full: number; near: number } }
  /** What stands in the bowl: its strength in volumes and its weight. `vols` are those of the things poured. */
  | { kind: 'strength'; vols: number[]; vol: number; grams: number; volFull: number; gramsFull: number }
  | { kind: 'amounts'; grams: number[]; full: number[]; near: number[] }
  | { kind: 'shares'; shares: number[]; full: number; near: number; natural: number }
  /** Zones are begun within `within` minutes; looked at no further apart than `every`, from the first one begun. */
  | { kind: 'clock'; starts: number[]; rinse: number; within: number; every: number };

/** What a wrong answer shows about the thinking behind it. */
export interface Mistake {
  /** Index of the option, or the figure. */
  answer: number;
  /** Why, in the words of the interface. */
  why: Reason;
}

/**
 * What any other figure would have made: `code.over` or `code.under` with `param` = times × given + plus, or
 * over ÷ given where `over` stands.
 */
export interface Meaning {
  /** Code of the words it is told in. */
  code: string;
  /** Id of the handbook’s rule. */
  rule: string;
  /** Parameter of the words that takes the figure worked out. */
  param: string;
  /** Factor of the figure given; 1 when left out. */
  times?: number;
  /** Added to it; 0 when left out. */
  plus?: number;
  /** Divided by the figure given, in place of the two above. */
  over?: number;
  /** Figures and names that the words need. */
  params?: Reason['params'];
}

/** How hard a colour item is: ΔE2000 and levels between the right answer and the nearest wrong one. */
export interface Apart {
  /** Colour difference between the right answer and the nearest wrong one, ΔE2000. */
  deltaE: number;
  /** Levels between the two. */
  levels: number;
}

/** What makes this hair look lighter or darker than it is. */
export interface Deceit {
  /** Code of the words it is told in. */
  code: string;
  /** Which way it deceives. */
  way: 'lighter' | 'darker';
  /** Id of the handbook’s rule. */
  rule: string;
}

/** A reading that can be compared with the truth: what the reading profile is made of. */
export type About = { of: 'level'; truth: number } | { of: 'tone'; truth: string; options: string[] };

export interface Item {
  /** Seed of everything random in it. */
  seed: number;
  /** What is practised, finer than the skill: a level, a tone, a kind of sum. */
  facet: string;
  /** The question. */
  question: Question;
  /** Everything below gives the answer away. */
  solution: RightAnswer;
  /** Why, in the words of the interface. */
  why: Reason[];
  /** Wrong answers that show a way of thinking. */
  slips: Mistake[];
  /** What any other figure would have made; null where figures are not asked for. */
  means: Meaning | null;
  /** What makes the hair look other than it is. */
  deceits: Deceit[];
  /** The hair of the picture; with `reads` or `optionSubjects` the hair of any other answer can be drawn beside it. */
  subject: Subject | null;
  /** What of the picture a figure answers, so that the figure given can be drawn; null for nothing. */
  reads: 'level' | 'white' | null;
  /** Hair of each option, by its index; null where options are no hair. */
  optionSubjects: Subject[] | null;
  /** What is read of hair, for the profile of an eye; null where nothing is. */
  about: About | null;
  /** How hard it is for an eye; null where no colours are told apart. */
  apart: Apart | null;
}

/**
 * Edition of the questions. An answer names the one it was given to: a spec of another edition is another question.
 */
export const DRILL_EDITION = 4;

/** Names an item: the same spec, rules and lines make the same item anywhere. */
export const itemSpecSchema = z.object({
  skill: skillSchema,
  facet: z.string().min(1).max(60),
  step: drillStepSchema,
  seed: z.number().int().min(0).max(0xffffffff),
});
export type ItemSpec = z.infer<typeof itemSpecSchema>;

const indexSchema = z.number().int().min(0).max(11);
const gramsSchema = z.number().min(0).max(2000);
const minuteSchema = z.number().min(0).max(240);
/** An answer, in the kind its form asks for. Shares are 0–1. */
export const responseSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('figure'), value: z.number().min(0).max(100_000) }),
  z.object({
    kind: z.literal('choice'),
    index: indexSchema,
    /** How far a strand was pulled, of its own length, where it was: pulling to breaking is a slip of its own. */
    pulled: z.number().min(0).max(3).optional(),
  }),
  z.object({ kind: z.literal('order'), order: z.array(indexSchema).min(2).max(12) }),
  z.object({ kind: z.literal('mark'), at: z.array(z.number().min(0).max(1)).min(1).max(4) }),
  z.object({ kind: z.literal('amounts'), grams: z.array(gramsSchema).min(1).max(8) }),
  z.object({
    kind: z.literal('shares'),
    shares: z.array(z.number().min(0).max(1)).min(1).max(8),
    natural: indexSchema,
  }),
  z.object({
    kind: z.literal('clock'),
    starts: z.array(minuteSchema).min(1).max(4),
    checks: z.array(minuteSchema).max(40),
    rinse: minuteSchema,
  }),
]);
export type Response = z.infer<typeof responseSchema>;

/** The kind of answer a form takes. */
export const responseKindOf = ({ kind }: AnswerMethod): Response['kind'] =>
  kind === 'level' || kind === 'share' || kind === 'figure' ? 'figure' : kind;
