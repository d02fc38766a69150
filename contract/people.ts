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
  /** Id, a UUID. */
  id: string;
  /** Name as it is shown. */
  name: string;
  /** How things stand with it. */
  state: 'active' | 'waiting';
}

/** A student's place in a class. */
export interface RosterSeat {
  /** The student's account. */
  id: string;
  /** Name as it is shown. */
  name: string;
  /** With the college; tells two of a name apart. */
  number: string | null;
  /** How things stand with it. */
  state: PlaceState;
  /** Whether someone signs in with it; until then only its slip opens it. */
  claimed: boolean;
  /** ISO date and time. */
  joinedAt: string;
}
/** How far an educator leads a class: it is theirs, they may do all in it, or only look and mark. */
export type Rights = 'owner' | 'all' | 'marking';
export interface ClassEducator {
  /** Id, a UUID. */
  id: string;
  /** Name as it is shown. */
  name: string;
  /** Email address. */
  email: string;
  /** How far an educator leads the class. */
  rights: Rights;
}
export const newClassEducatorSchema = z.object({
  email: emailSchema,
  rights: z.enum(['all', 'marking']),
});
export type NewClassEducator = z.infer<typeof newClassEducatorSchema>;

export interface Roster {
  /** Code that students join by. */
  joinCode: string;
  /** How students come in. */
  joining: Joining;
  /** Titles of exercises that show the model answer to each as they submit; joining by code waits for them. */
  closedBy: string[];
  /** Educators who lead it. */
  educators: ClassEducator[];
  /** Seats of the class, claimed or waiting. */
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
  /** Id of the student’s account, a UUID. */
  studentId: string;
  /** Name as it is shown. */
  name: string;
  /** Number, counted up over the installation. */
  number: string | null;
  /** Which kind it is. */
  kind: 'place' | 'reset';
  /** Shown this once. */
  code: string;
  /** ISO date and time. */
  expiresAt: string;
}

export const invitationSchema = z.object({ label: oneLine(80), administrator: z.boolean().default(false) });
export interface Invitation {
  /** Id, a UUID. */
  id: string;
  /** Label as it is written, in the line’s own key. */
  label: string;
  /** Whether this educator administers the installation. */
  administrator: boolean;
  /** Time after which it is no longer good, ISO 8601. */
  expiresAt: string;
}
/** What the administrator of an installation sees. */
export interface People {
  /** Educators who lead it. */
  educators: (Account & { email: string; classes: number })[];
  /** Invitations that are open. */
  invitations: Invitation[];
}

/** The account of a student by their address, whom no single class may give a new password. */
export const studentResetSchema = z.object({ email: emailSchema });

export const codeSchema = z.object({ code: oneTimeCodeSchema });
/** What a code is for, before it is used. */
export interface CodeTold {
  /** Which kind it is. */
  kind: 'invitation' | 'place' | 'reset';
  /** Name as it is shown. */
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
  'account.deleted',
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
  'assignment.releasedTo',
  'assignment.exercise',
  'assignment.deleted',
  'assignment.regraded',
  'assignment.paused',
  'assignment.goesOn',
  'assignment.collected',
  'attempt.handedIn',
  'attempt.mark',
  'attempt.markBack',
  'attempt.comment',
  'attempt.commentBack',
  'attempt.hint',
  'gradebook.settings',
  'gradebook.column',
  'gradebook.columnGone',
  'gradebook.mark',
  'gradebook.frozen',
  'gradebook.thawed',
] as const;
export type LogAction = (typeof LOG_ACTIONS)[number];

/** What was done in a class, newest first. */
export interface LogEntry {
  /** Id, a UUID. */
  id: string;
  /** ISO date and time. */
  at: string;
  /** Who did it; null for the application itself. */
  actor: string | null;
  /** What was done. */
  action: LogAction;
  /** What it was done to. */
  subject: string | null;
  /** What it was before. */
  before: unknown;
  /** What it is afterwards. */
  after: unknown;
}

/** Where an account is signed in. */
export interface OpenSession {
  /** Id, a UUID. */
  id: string;
  /** Whether it is the one that asks. */
  here: boolean;
  /** What the browser called itself. */
  agent: string;
  /** Time it was begun, ISO 8601. */
  startedAt: string | null;
}
