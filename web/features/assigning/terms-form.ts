import {
  USUAL_PLAYS,
  termsSchema,
  type Counted,
  type LateRule,
  type Release,
  type StudentTerms,
  type Terms,
} from '@cimbel/contract';
import { addDays, format, setHours, startOfHour } from 'date-fns';

const LOCAL = "yyyy-MM-dd'T'HH:mm";
/** A moment as a field for date and time shows it; empty for none. */
export const localTime = (iso: string | null) => (iso === null ? '' : format(new Date(iso), LOCAL));
/** What such a field says; an empty one, or half a date, is empty. */
export const isoOf = (local: string): string => {
  const date = new Date(local);
  return Number.isNaN(date.getTime()) ? '' : date.toISOString();
};

/** What holds for one student, as it stands in the form: times local, empty where they follow the assignment. */
export interface StudentTermsForm {
  studentId: string;
  opens: string;
  due: string;
  attempts: number | null;
  extraTimeShare: StudentTerms['extraTimeShare'];
}

/** Terms as they stand in the form: times local, empty for none. */
export interface TermsForm {
  opens: string;
  due: string;
  release: Release;
  attempts: number;
  counted: Counted;
  late: LateRule;
  latePercent: number;
  minutes: number | null;
  /** Cards a student may have played on the head, over all attempts. */
  plays: number;
  everyone: boolean;
  students: StudentTermsForm[];
}

/** A week from now, at six in the evening. */
export const freshTerms = (): TermsForm => ({
  opens: '',
  due: format(setHours(startOfHour(addDays(new Date(), 7)), 18), LOCAL),
  release: 'onDue',
  attempts: 1,
  counted: 'best',
  late: 'refused',
  latePercent: 10,
  minutes: null,
  plays: USUAL_PLAYS,
  everyone: true,
  students: [],
});

export const freshStudent = (studentId: string): StudentTermsForm => ({
  studentId,
  opens: '',
  due: '',
  attempts: null,
  extraTimeShare: null,
});

export const formOfTerms = ({ opensAt, dueAt, students, ...rest }: Terms): TermsForm => ({
  ...withRelease(rest, rest.release),
  opens: localTime(opensAt),
  due: localTime(dueAt),
  students: students.map(({ opensAt: opens, dueAt: due, ...one }) => ({
    ...one,
    opens: localTime(opens),
    due: localTime(due),
  })),
});

/** When results show as soon as it is due, nobody can hand in after that for marks: late work is not accepted. */
export const lateHolds = ({ release }: Pick<TermsForm, 'release'>, late: LateRule): boolean =>
  release !== 'onDue' || late === 'refused';

/** Terms with another release; a rule on lateness that does not go with it gives way. */
export const withRelease = <T extends Pick<TermsForm, 'release' | 'late'>>(
  terms: T,
  release: Release,
): T => ({
  ...terms,
  release,
  late: lateHolds({ release }, terms.late) ? terms.late : 'refused',
});

/** The form as it is sent; what is no date yet is left for the schema to refuse. */
export const termsOfForm = ({ opens, due, students, ...rest }: TermsForm): Terms => ({
  ...rest,
  opensAt: opens === '' ? null : isoOf(opens),
  dueAt: isoOf(due),
  students: students.map(({ opens: from, due: until, ...one }) => ({
    ...one,
    opensAt: from === '' ? null : isoOf(from),
    dueAt: until === '' ? null : isoOf(until),
  })),
});

/** What is wrong with terms, by field: codes of `error.field`, or of the words beside it. */
export function termsFaults(form: TermsForm): ReadonlyMap<string, string> {
  const parsed = termsSchema.safeParse(termsOfForm(form));
  return new Map(
    parsed.success
      ? []
      : parsed.error.issues.map((issue) => [
          issue.path.join('.'),
          issue.code === 'custom' ? issue.message : issue.code,
        ]),
  );
}
