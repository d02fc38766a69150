import { EXTRA_TIME, MOST_ATTEMPTS } from '@cimbel/contract';
import { X } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Field, Input, NumberInput, Select } from '../../ui/field';
import { freshStudent, type StudentTermsForm, type TermsForm } from './terms-form';

/** A student of the class, as the form names them. */
export interface Named {
  id: string;
  name: string;
}

/** What holds for one student: empty fields follow the assignment. */
function StudentRow({
  own,
  name,
  timed,
  fault,
  onChange,
  onRemove,
}: {
  own: StudentTermsForm;
  name: string;
  /** Whether there is a time limit that could be longer. */
  timed: boolean;
  fault: string | undefined;
  onChange: (own: StudentTermsForm) => void;
  onRemove: () => void;
}) {
  const { t } = useTranslation('assigning');
  const set = (part: Partial<StudentTermsForm>) => onChange({ ...own, ...part });
  return (
    <li className="border-line flex flex-wrap items-end gap-x-3 gap-y-2 border-b py-2 last:border-b-0">
      <span className="min-w-36 flex-1 self-center font-semibold">{name}</span>
      <label className="flex flex-col text-sm">
        {t('terms.opens')}
        <Input
          type="datetime-local"
          aria-label={t('terms.opensFor', { name })}
          value={own.opens}
          onChange={({ target }) => set({ opens: target.value })}
        />
      </label>
      <label className="flex flex-col text-sm">
        {t('terms.due')}
        <Input
          type="datetime-local"
          aria-label={t('terms.dueFor', { name })}
          aria-invalid={Boolean(fault)}
          value={own.due}
          onChange={({ target }) => set({ due: target.value })}
        />
      </label>
      <label className="flex flex-col text-sm">
        {t('terms.attempts')}
        <NumberInput
          className="w-20"
          min={1}
          max={MOST_ATTEMPTS}
          aria-label={t('terms.attemptsFor', { name })}
          value={own.attempts}
          onValue={(attempts) => set({ attempts })}
        />
      </label>
      {timed ? (
        <label className="flex flex-col text-sm">
          {t('terms.extra')}
          <Select
            aria-label={t('terms.extraFor', { name })}
            value={own.extraTimeShare ?? ''}
            onChange={({ target }) =>
              set({ extraTimeShare: EXTRA_TIME.find((share) => String(share) === target.value) ?? null })
            }
          >
            <option value="">{t('terms.extraRoster')}</option>
            {EXTRA_TIME.map((share) => (
              <option key={share} value={share}>
                {t('terms.extraShare', { share })}
              </option>
            ))}
          </Select>
        </label>
      ) : null}
      <button
        type="button"
        aria-label={t('terms.removeFor', { name })}
        title={t('terms.removeFor', { name })}
        className="hover:bg-raised inline-flex size-11 items-center justify-center rounded-sm"
        onClick={onRemove}
      >
        <X aria-hidden className="size-5" />
      </button>
      {fault ? (
        <p role="alert" className="text-bad w-full text-sm font-semibold">
          {fault}
        </p>
      ) : null}
    </li>
  );
}

/** Students for whom something else holds than for the rest, or for whom alone it is. */
export function StudentsFields({
  terms,
  students,
  faultOf,
  onChange,
}: {
  terms: TermsForm;
  students: readonly Named[];
  faultOf: (path: string) => string | undefined;
  onChange: (students: StudentTermsForm[]) => void;
}) {
  const { t } = useTranslation('assigning');
  const own = terms.students;
  const left = students.filter(({ id }) => !own.some(({ studentId }) => studentId === id));
  const nobody = faultOf('students');
  return (
    <div className="flex flex-col gap-2">
      <h3 className="font-semibold">{t(terms.everyone ? 'terms.exceptions' : 'terms.chosen')}</h3>
      <p className="text-quiet text-sm">{t('terms.exceptionHint')}</p>
      {own.length > 0 ? (
        <ul>
          {own.map((studentTermsForm, i) => (
            <StudentRow
              key={studentTermsForm.studentId}
              own={studentTermsForm}
              name={
                students.find(({ id }) => id === studentTermsForm.studentId)?.name ??
                studentTermsForm.studentId
              }
              timed={terms.minutes !== null}
              fault={faultOf(`students.${i}.dueAt`) ?? faultOf(`students.${i}.attempts`)}
              onChange={(next) => onChange(own.map((other, j) => (j === i ? next : other)))}
              onRemove={() => onChange(own.filter((_, j) => j !== i))}
            />
          ))}
        </ul>
      ) : null}
      {left.length > 0 ? (
        <Field label={t('terms.add')} error={nobody ?? null} className="max-w-80">
          <Select
            value=""
            onChange={({ target }) => target.value && onChange([...own, freshStudent(target.value)])}
          >
            <option value="">{t('terms.choose')}</option>
            {left.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Select>
        </Field>
      ) : null}
    </div>
  );
}
