import { z } from 'zod';
import type { Light } from '../colour';
import type { Reason } from '../reason';
import type { TressLook } from '../tress';
import { skillSchema, stepSchema, type Skill, type Step } from './skill';
import type { Subject } from './subject';

/** Words as data: a code of the interface's word list with its parameters. */
export interface Term {
  code: string;
  params: Record<string, string | number | boolean>;
}
export const term = (code: string, params: Term['params'] = {}): Term => ({ code, params });

export const UNITS = ['grams', 'minutes', 'vol', 'percent', 'flOz', 'times', 'visits', 'tubes'] as const;
export type Unit = (typeof UNITS)[number];

/** How an item is answered. */
export type Form =
  | { kind: 'level'; halves: boolean }
  | { kind: 'share'; stepPercent: 10 | 25 }
  | { kind: 'figure'; unit: Unit; decimals: 0 | 1 | 2 }
  /** Options are words, or the item's own tresses in their order. */
  | { kind: 'choice'; options: Term[]; byTress: boolean }
  | { kind: 'order'; from: Term; to: Term }
  /** One or more places on the tress, root to tip. */
  | { kind: 'mark'; marks: Term[] };

export interface Picture {
  look: TressLook;
  caption: Term | null;
}

/** What may be shown before an answer is given. */
export interface Question {
  skill: Skill;
  step: Step;
  ask: Term;
  facts: Term[];
  pictures: Picture[];
  light: Light;
  /** Line whose key the question is read in. */
  lineId: string | null;
  form: Form;
}

/**
 * Figures are right within `full` and half right within `near`, both in the unit of the form. Marks are places from
 * 0 at the root to 1 at the tip.
 */
export type Solution =
  | { kind: 'figure'; value: number; full: number; near: number }
  | { kind: 'choice'; right: number }
  | { kind: 'order'; right: number[] }
  | { kind: 'mark'; at: number[]; full: number; near: number };

/** What a wrong answer shows about the thinking behind it. */
export interface Slip {
  /** Index of the option, or the figure. */
  answer: number;
  why: Reason;
}

/** How hard a colour item is: ΔE2000 and levels between the right answer and the nearest wrong one. */
export interface Apart {
  deltaE: number;
  levels: number;
}

/** A reading that can be compared with the truth: the raw stuff of "my eye". */
export type About = { of: 'level'; truth: number } | { of: 'tone'; truth: string; options: string[] };

export interface Item {
  seed: number;
  /** What is practised, finer than the skill: a level, a tone, a kind of sum. */
  facet: string;
  question: Question;
  /** Everything below gives the answer away. */
  solution: Solution;
  why: Reason[];
  slips: Slip[];
  /** The hair of the picture; with `reads` or `optionSubjects` the hair of any other answer can be drawn beside it. */
  subject: Subject | null;
  reads: 'level' | 'white' | null;
  optionSubjects: Subject[] | null;
  about: About | null;
  apart: Apart | null;
}

/** Names an item: the same spec, rules and lines make the same item anywhere. */
export const itemSpecSchema = z.object({
  skill: skillSchema,
  facet: z.string().min(1).max(40),
  step: stepSchema,
  seed: z.number().int().min(0).max(0xffffffff),
});
export type ItemSpec = z.infer<typeof itemSpecSchema>;

const indexSchema = z.number().int().min(0).max(11);
/** An answer, in the kind its form asks for. Shares are 0–1. */
export const responseSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('figure'), value: z.number().min(0).max(100_000) }),
  z.object({ kind: z.literal('choice'), index: indexSchema }),
  z.object({ kind: z.literal('order'), order: z.array(indexSchema).min(2).max(12) }),
  z.object({ kind: z.literal('mark'), at: z.array(z.number().min(0).max(1)).min(1).max(4) }),
]);
export type Response = z.infer<typeof responseSchema>;

/** The kind of answer a form takes. */
export const responseKindOf = ({ kind }: Form): Response['kind'] =>
  kind === 'level' || kind === 'share' || kind === 'figure' ? 'figure' : kind;
