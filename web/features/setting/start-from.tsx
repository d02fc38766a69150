import type { Exercise, ShadeBooks } from '@cimbel/contract';
import type { PackedCase } from '@cimbel/core/io';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { asApiError } from '../../lib/api';
import { useShippedCases } from '../../lib/shipped-cases';
import { Button } from '../../ui/button';
import { FileButton } from '../../ui/file-button';
import { Field, Select } from '../../ui/field';
import { Notice } from '../../ui/panel';
import { EMPTY_HEAD, fresh, ofLibrary, type ExerciseForm } from './exercise-form';
import { formOfPacked, takePack } from './pack';
import '../../lib/words/craft';
import '../../lib/words/bench';

const PACKED = 'pack:';
const OWN = 'own:';

/** Where an exercise begins: an empty head, one's own, a case that ships, or one of a pack. */
export function StartFrom({
  form,
  own,
  books,
  onStart,
  onExport,
  onNewLines,
}: {
  form: ExerciseForm;
  own: readonly Exercise[];
  books: ShadeBooks;
  onStart: (part: Partial<ExerciseForm>) => void;
  onExport: () => void;
  /** Shade books were made of a pack's lines. */
  onNewLines: () => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const shipped = useShippedCases().data ?? [];
  const [packed, setPacked] = useState<readonly PackedCase[]>([]);
  const [said, setSaid] = useState<{ kind: 'good' | 'bad'; text: string } | null>(null);
  const start = (id: string) => {
    const [ofPack, mine] = [
      packed.find((packedCase) => `${PACKED}${packedCase.id}` === id),
      own.find((exercise) => `${OWN}${exercise.id}` === id),
    ];
    if (ofPack) onStart({ caseId: id, own: null, ...formOfPacked(ofPack) });
    else if (mine) onStart(ofLibrary(mine));
    else {
      const { terms: _t, ...content } = fresh(shipped.find((shippedCase) => shippedCase.id === id));
      onStart(content);
    }
  };
  const take = async (chosen: File) => {
    try {
      const taken = await takePack(await chosen.text(), books);
      if (!taken.ok) {
        const { code, path = '' } = taken.problem;
        setSaid({ kind: 'bad', text: t('bench.badPack', { name: chosen.name, path, code }) });
        return;
      }
      setPacked(taken.cases);
      if (taken.newBooks > 0) onNewLines();
      setSaid({
        kind: 'good',
        text: t('bench.packTaken', { count: taken.cases.length, books: taken.newBooks }),
      });
      const [first] = taken.cases;
      onStart({ caseId: `${PACKED}${first.id}`, own: null, ...formOfPacked(first) });
    } catch (error) {
      setSaid({ kind: 'bad', text: t(`error.${asApiError(error).code}`) });
    }
  };
  const known =
    form.caseId.startsWith(PACKED) &&
    !packed.some((packedCase) => `${PACKED}${packedCase.id}` === form.caseId);
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Field label={t('bench.fromCase')} className="w-full">
        <Select value={form.caseId} onChange={({ target }) => start(target.value)}>
          <option value={EMPTY_HEAD}>{t('bench.emptyHead')}</option>
          {known ? <option value={form.caseId}>{form.clientCase.title}</option> : null}
          {packed.length > 0 ? (
            <optgroup label={t('bench.fromPack')}>
              {packed.map(({ id, case: clientCase }) => (
                <option key={id} value={`${PACKED}${id}`}>
                  {clientCase.title}
                </option>
              ))}
            </optgroup>
          ) : null}
          {own.length > 0 ? (
            <optgroup label={t('bench.fromOwn')}>
              {own.map(({ id, title, assignments }) => (
                <option key={id} value={`${OWN}${id}`}>
                  {assignments === 0 ? t('bench.draftOf', { title }) : title}
                </option>
              ))}
            </optgroup>
          ) : null}
          {([1, 2, 3] as const).map((difficulty) => (
            <optgroup key={difficulty} label={t(`bench.difficulty.${difficulty}`)}>
              {shipped
                .filter((shippedCase) => shippedCase.clientCase.difficulty === difficulty)
                .map(({ id, clientCase }) => (
                  <option key={id} value={id}>
                    {clientCase.title}
                  </option>
                ))}
            </optgroup>
          ))}
        </Select>
      </Field>
      <FileButton
        label={t('bench.takePack')}
        accept="application/json,.json"
        onFile={(chosen) => void take(chosen)}
      />
      <Button icon={<Download aria-hidden className="size-4" />} onClick={onExport}>
        {t('bench.savePack')}
      </Button>
      {said ? <Notice kind={said.kind}>{said.text}</Notice> : null}
    </div>
  );
}
