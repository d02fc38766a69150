import { z } from 'zod';
import type { Account } from './accounts';
import { emailSchema, oneLine } from './text';

/** Ten signs without look-alikes, written in two groups; typed with or without the dash, in any case. */
export const oneTimeCodeSchema = z
  .string()
  .trim()
  .toUpperCase()
  .transform((code) => code.replace(/[\s-]/g, ''))
  .pipe(z.string().regex(/^[A-Z2-9]{10}$/));

/** As a code is written and read out: in two groups of five. */
export const writtenCode = (code: string) => `${code.slice(0, 5)}-${code.slice(5)}`;

/** How students come into a class by its code: at once, once the educator has let them in, or not at all. */
export const JOININGS = ['open', 'approval', 'closed'] as const;
export type Joining = (typeof JOININGS)[number];
export const joiningSchema = z.object({ joining: z.enum(JOININGS) });

export const PLACE_STATES = ['active', 'waiting', 'removed'] as const;
export type PlaceState = (typeof PLACE_STATES)[number];

/** A class of the one who asks: theirs, or waiting for its educator. */
export interface MyClass {
  id: string;
  name: string;
  state: 'active' | 'waiting';
}

/** A student's place in a class. */
export interface RosterSeat {
  /** The student's account. */
  id: string;
  name: string;
  /** With the college; tells two of a name apart. */
  number: string | null;
  state: PlaceState;
  /** Whether someone signs in with it; until then only its slip opens it. */
  claimed: boolean;
  /** ISO date and time. */
  joinedAt: string;
}
/** How far an educator leads a class: it is theirs, they may do all in it, or only look and mark. */
export type Rights = 'owner' | 'all' | 'marking';
export interface ClassEducator {
  id: string;
  name: string;
  email: string;
  rights: Rights;
}
export const newClassEducatorSchema = z.object({
  email: emailSchema,
  rights: z.enum(['all', 'marking']),
});
export type NewClassEducator = z.infer<typeof newClassEducatorSchema>;

export interface Roster {
  joinCode: string;
  joining: Joining;
  /** Titles of exercises that show the model answer to each as they submit: while one is open, whoever comes by code waits. */
  closedBy: string[];
  educators: ClassEducator[];
  places: RosterSeat[];
}

const numberSchema = oneLine(20).nullable();
/** New places, all or none. Names may repeat where numbers tell them apart. */
export const newPlacesSchema = z.object({
  places: z
    .array(z.object({ name: oneLine(80), number: numberSchema.default(null) }))
    .min(1)
    .max(300),
});
export type NewPlaces = z.infer<typeof newPlacesSchema>;

export const placeChangeSchema = z
  .object({ name: oneLine(80), number: numberSchema, state: z.enum(['active', 'removed']) })
  .partial()
  .strict();
export type PlaceChange = z.infer<typeof placeChangeSchema>;

export const slipsSchema = z.object({ studentIds: z.array(z.uuid()).min(1).max(300) });
/** A code on paper: it opens a place that nobody has claimed, or sets a new password where someone has. */
export interface Slip {
  studentId: string;
  name: string;
  number: string | null;
  kind: 'place' | 'reset';
  /** Shown this once. */
  code: string;
  /** ISO date and time. */
  expiresAt: string;
}

export const invitationSchema = z.object({ label: oneLine(80), administrator: z.boolean().default(false) });
export interface Invitation {
  id: string;
  label: string;
  administrator: boolean;
  expiresAt: string;
}
/** What the administrator of an installation sees. */
export interface People {
  educators: (Account & { email: string; classes: number })[];
  invitations: Invitation[];
}

export const codeSchema = z.object({ code: oneTimeCodeSchema });
/** What a code is for, before it is used. */
export interface CodeTold {
  kind: 'invitation' | 'place' | 'reset';
  name: string;
  /** Of a place. */
  className: string | null;
}

/** What is written down when it is done; each has words in the locale files. */
export const LOG_ACTIONS = [
  'session.opened',
  'account.password',
  'account.reset',
  'account.claimed',
  'class.joining',
  'class.joinCode',
  'class.archived',
  'class.unarchived',
  'class.copied',
  'class.educatorAdded',
  'class.educatorRemoved',
  'class.deleted',
  'roster.added',
  'roster.asked',
  'roster.changed',
  'roster.slip',
  'roster.deleted',
  'assignment.set',
  'assignment.changed',
  'assignment.exercise',
  'assignment.deleted',
  'assignment.regraded',
  'attempt.handedIn',
  'attempt.mark',
] as const;
export type LogAction = (typeof LOG_ACTIONS)[number];

/** What was done in a class, newest first. */
export interface LogEntry {
  id: string;
  /** ISO date and time. */
  at: string;
  actor: string | null;
  action: LogAction;
  subject: string | null;
  before: unknown;
  after: unknown;
}

/** Where an account is signed in. */
export interface OpenSession {
  id: string;
  /** Whether it is the one that asks. */
  here: boolean;
  /** What the browser called itself. */
  agent: string;
  startedAt: string | null;
}
