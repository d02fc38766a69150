import {
  COUNTED,
  LATE_RULES,
  MOST_ATTEMPTS,
  MOST_PLAYS,
  RELEASES,
  USUAL_PLAYS,
  WORKING_MINUTES,
} from '@cimbel/contract';
import { useTranslation } from 'react-i18next';
import { useFieldWords } from '../../lib/form';
import '../../lib/words/assigning';
import { Choice } from '../../ui/choice';
import { Field, Input, NumberInput } from '../../ui/field';
import { StudentsFields, type Named } from './student-terms';
import { lateHolds, withRelease, type TermsForm } from './terms-form';
import '../../lib/words/educating';

/** For whom an exercise is set, from when, until when, how often, against what time, and what becomes of what is late. */
export function TermsFields({
  terms,
  students,
  faults,
  onChange,
}: {
  terms: TermsForm;
  students: readonly Named[];
  /** What is wrong, by field, once it has been tried; codes of `error.field`. */
  faults: ReadonlyMap<string, string>;
  onChange: (terms: TermsForm) => void;
}) {
  const { t } = useTranslation(['assigning', 'ui']);
  const words = useFieldWords();
  const set = (part: Partial<TermsForm>) => onChange({ ...terms, ...part });
  const faultOf = (path: string) => {
    const code = faults.get(path);
    return code === undefined
      ? undefined
      : t([`terms.${code}`], { defaultValue: words(path.split('.').at(-1)!, code) });
  };
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-col gap-1">
        <p aria-hidden className="text-sm font-semibold">
          {t('terms.who')}
        </p>
        <Choice
          label={t('terms.who')}
          value={terms.everyone ? 'everyone' : 'some'}
          options={(['everyone', 'some'] as const).map((value) => ({ value, text: t(`terms.${value}`) }))}
          onChange={(value) => set({ everyone: value === 'everyone' })}
        />
      </div>
      <div className="grid gap-4 md:grid-cols-2">
        <Field label={t('terms.opens')} hint={t('terms.opensHint')} error={faultOf('opensAt')}>
          <Input
            type="datetime-local"
            value={terms.opens}
            onChange={({ target }) => set({ opens: target.value })}
          />
        </Field>
        <Field label={t('terms.due')} error={faultOf('dueAt')}>
          <Input
            type="datetime-local"
            value={terms.due}
            aria-invalid={faults.has('dueAt')}
            onChange={({ target }) => set({ due: target.value })}
          />
        </Field>
        <Field label={t('terms.attempts')} error={faultOf('attempts')}>
          <NumberInput
            min={1}
            max={MOST_ATTEMPTS}
            value={terms.attempts}
            onValue={(attempts) => set({ attempts: Math.round(attempts ?? 1) })}
          />
        </Field>
        <Field label={t('terms.minutes')} hint={t('terms.minutesHint')} error={faultOf('minutes')}>
          <NumberInput
            min={WORKING_MINUTES[0]}
            max={WORKING_MINUTES[1]}
            step={5}
            unit={t('ui:unit.min')}
            value={terms.minutes}
            onValue={(minutes) => set({ minutes: minutes === null ? null : Math.round(minutes) })}
          />
        </Field>
        <Field label={t('terms.plays')} hint={t('terms.playsHint')} error={faultOf('plays')}>
          <NumberInput
            min={1}
            max={MOST_PLAYS}
            value={terms.plays}
            onValue={(plays) => set({ plays: Math.round(plays ?? USUAL_PLAYS) })}
          />
        </Field>
      </div>
      {terms.attempts > 1 || terms.students.some(({ attempts }) => (attempts ?? 1) > 1) ? (
        <Field
          label={t('terms.counted')}
          hint={terms.release === 'onSubmit' ? t('terms.between') : undefined}
        >
          <Choice
            label={t('terms.counted')}
            value={terms.counted}
            options={COUNTED.map((value) => ({ value, text: t(`terms.countedOf.${value}`) }))}
            onChange={(counted) => set({ counted })}
          />
        </Field>
      ) : null}
      <Field label={t('terms.release')}>
        <Choice
          label={t('terms.release')}
          value={terms.release}
          options={RELEASES.map((value) => ({ value, text: t(`ui:set.releases.${value}`) }))}
          onChange={(release) => onChange(withRelease(terms, release))}
        />
      </Field>
      <Field label={t('terms.late')} hint={terms.release === 'onDue' ? t('terms.lateNeverComes') : undefined}>
        <Choice
          label={t('terms.late')}
          value={terms.late}
          options={LATE_RULES.map((value) => ({
            value,
            text: t(`terms.lates.${value}`),
            disabled: !lateHolds(terms, value),
          }))}
          onChange={(late) => set({ late })}
        />
      </Field>
      {terms.late === 'reduced' ? (
        <Field className="max-w-40" label={t('terms.latePercent')} error={faultOf('latePercent')}>
          <NumberInput
            unit={t('ui:unit.percent')}
            min={1}
            max={100}
            value={terms.latePercent}
            onValue={(latePercent) => set({ latePercent: Math.round(latePercent ?? 1) })}
          />
        </Field>
      ) : null}
      <StudentsFields
        terms={terms}
        students={students}
        faultOf={faultOf}
        onChange={(next) => set({ students: next })}
      />
    </div>
  );
}
