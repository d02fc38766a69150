import { newClassEducatorSchema, type ClassEducator, type Rights } from '@cimbel/contract';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { fieldError, useFieldWords } from '../../lib/form';
import '../../lib/words/people';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Field, Input } from '../../ui/field';
import { Refused, Sheet } from '../../ui/panel';
import { useRosterChange } from './use-roster';

const GIVEN = ['all', 'marking'] as const;

/** Who leads the class beside the one whose it is. */
export function EducatorsPanel({
  classId,
  educators,
}: {
  classId: string;
  educators: readonly ClassEducator[];
}) {
  const { t } = useTranslation(['people', 'ui']);
  const words = useFieldWords();
  const [email, setEmail] = useState('');
  const [rights, setRights] = useState<Exclude<Rights, 'owner'>>('all');
  const [malformed, setMalformed] = useState(false);
  const add = useRosterChange(classId, (body: object) =>
    api('POST', `/api/classes/${classId}/educators`, body),
  );
  const remove = useRosterChange(classId, (id: string) =>
    api('DELETE', `/api/classes/${classId}/educators/${id}`),
  );
  const refused = fieldError(add.error, 'email');
  const failed = add.error && !refused ? add.error : remove.error;
  return (
    <Sheet className="flex flex-col gap-3">
      <h2 className="text-lg">{t('educators.title')}</h2>
      <ul>
        {educators.map((classEducator) => (
          <li
            key={classEducator.id}
            className="border-line flex flex-wrap items-center gap-x-2 border-t py-1"
          >
            <span className="me-auto">
              {classEducator.name}{' '}
              <span className="text-quiet text-sm">{t(`educators.rights.${classEducator.rights}`)}</span>
            </span>
            {classEducator.rights === 'owner' ? null : (
              <Button
                weight="quiet"
                aria-label={t('roster.removeOf', { name: classEducator.name })}
                disabled={remove.isPending}
                onClick={() => remove.mutate(classEducator.id)}
              >
                {t('roster.remove')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <form
        className="flex flex-col gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          const parsed = newClassEducatorSchema.safeParse({ email, rights });
          setMalformed(!parsed.success);
          if (parsed.success) add.mutate(parsed.data, { onSuccess: () => setEmail('') });
        }}
      >
        <Field
          label={t('educators.email')}
          error={malformed ? words('email') : refused ? words('email', refused.code) : null}
        >
          <Input type="email" value={email} onChange={({ target }) => setEmail(target.value)} />
        </Field>
        <Choice
          label={t('educators.may')}
          value={rights}
          options={GIVEN.map((value) => ({ value, text: t(`educators.rights.${value}`) }))}
          onChange={setRights}
        />
        <Refused error={failed} />
        <Button type="submit" className="self-end" disabled={add.isPending}>
          {t('educators.add')}
        </Button>
      </form>
    </Sheet>
  );
}
