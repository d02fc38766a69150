import { LATE_RULES, termsSchema } from '@cimbel/contract';
import fc from 'fast-check';
import {
  formOfTerms,
  freshStudent,
  freshTerms,
  lateHolds,
  termsFaults,
  termsOfForm,
  withRelease,
} from './terms-form';

const STUDENT = 'b3f1c1de-6f0a-4b57-9a55-0d5b0b6c3b11';
const minute = fc
  .date({ min: new Date('2026-01-01T00:00:00Z'), max: new Date('2027-01-01T00:00:00Z'), noInvalidDate: true })
  .map((date) => new Date(Math.floor(date.getTime() / 60_000) * 60_000).toISOString());

describe('terms in the form', () => {
  it('come back as they were, to the minute', () => {
    fc.assert(
      fc.property(minute, fc.option(minute), fc.option(minute), fc.boolean(), (due, opens, own, everyone) => {
        const terms = {
          ...termsOfForm(freshTerms()),
          dueAt: due,
          opensAt: opens,
          everyone,
          students: [
            { studentId: STUDENT, opensAt: own, dueAt: null, attempts: 2, extraTimeShare: 0.25 as const },
          ],
        };
        expect(termsOfForm(formOfTerms(terms))).toEqual(terms);
      }),
    );
  });

  it('are ready to be sent when fresh, and name the field that is not', () => {
    const fresh = freshTerms();
    expect(termsFaults(fresh).size).toBe(0);
    expect(termsSchema.safeParse(termsOfForm(fresh)).success).toBe(true);
    expect([...termsFaults({ ...fresh, due: '' }).keys()]).toEqual(['dueAt']);
    expect(termsFaults({ ...fresh, opens: fresh.due }).get('opensAt')).toBe('afterDue');
    expect(termsFaults({ ...fresh, everyone: false }).get('students')).toBe('nobody');
    const late = { ...freshStudent(STUDENT), opens: fresh.due };
    expect(termsFaults({ ...fresh, students: [late] }).get('students.0.dueAt')).toBe('afterDue');
    expect(termsFaults({ ...fresh, minutes: 4 }).has('minutes')).toBe(true);
    expect(termsFaults({ ...fresh, minutes: 5 }).has('minutes')).toBe(false);
  });

  it('hold together: where results show when due, nothing late is accepted', () => {
    for (const late of LATE_RULES) {
      expect(withRelease({ release: 'manual', late }, 'onDue').late).toBe('refused');
      expect(withRelease({ release: 'onDue', late: 'refused' }, 'manual').late).toBe('refused');
      for (const release of ['manual', 'onSubmit'] as const) {
        expect(withRelease({ release: 'manual', late }, release).late).toBe(late);
        expect(lateHolds({ release }, late)).toBe(true);
      }
      expect(lateHolds({ release: 'onDue' }, late)).toBe(late === 'refused');
    }
    // What an older version let be chosen is shown as what it comes to.
    const older = { ...termsOfForm(freshTerms()), release: 'onDue', late: 'taken' } as const;
    expect(formOfTerms(older).late).toBe('refused');
  });
});
