import { readRoster, type Listed, type Problem } from '@cimbel/core/io';
import { useTranslation } from 'react-i18next';
import { api, asApiError, type ApiError } from '../../lib/api';
import { useStored } from '../../lib/use-stored';
import '../../lib/words/people';
import { Button } from '../../ui/button';
import { FileButton } from '../../ui/file-button';
import { Field, Textarea } from '../../ui/field';
import { Notice, Sheet } from '../../ui/panel';
import { useRosterChange } from './use-roster';

/** What the server says of rows, as problems of the list that was sent. */
const problemsOf = (error: ApiError): Problem[] =>
  error.fields.map(({ path, code }) => ({
    code: `roster.${code}`,
    params: {},
    row: Number(path.split('.')[1]) + 1,
  }));

function Problems({ problems, listed }: { problems: readonly Problem[]; listed: readonly Listed[] }) {
  const { t } = useTranslation('people');
  const words = ({ code, params, row }: Problem) => {
    const what = t([code.replace('roster.', 'roster.problem.'), 'roster.problem.other'], {
      name: row === undefined ? '' : (listed[row - 1]?.name ?? ''),
      ...params,
    });
    return row === undefined ? what : t('roster.atRow', { row, what });
  };
  return (
    <Notice kind="bad">
      <ul>
        {problems.map((problem) => (
          <li key={`${problem.code} ${problem.row ?? ''}`}>{words(problem)}</li>
        ))}
      </ul>
    </Notice>
  );
}

/** A list of names, typed, pasted or from a file, put on the roster whole or not at all. */
export function AddPlaces({ classId }: { classId: string }) {
  const { t } = useTranslation(['people', 'ui']);
  const [{ text }, set, drop] = useStored(`cimbel.roster.${classId}`, () => ({ text: '' }));
  const add = useRosterChange(classId, (places: Listed[]) =>
    api<{ added: number }>('POST', `/api/classes/${classId}/roster`, { places }),
  );
  const write = (next: string) => {
    add.reset();
    set({ text: next });
  };
  const read = text.trim() === '' ? null : readRoster(text);
  const listed = read?.ok ? read.value : [];
  const refused = add.error ? asApiError(add.error) : null;
  const rows = refused ? problemsOf(refused) : [];
  const problems = rows.length > 0 ? rows : read && !read.ok ? read.problems : [];
  return (
    <Sheet className="flex flex-col gap-3">
      <h2 className="text-lg">{t('roster.addTitle')}</h2>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          add.mutate(listed, {
            onSuccess: () => {
              drop();
              set({ text: '' });
            },
          });
        }}
      >
        <Field label={t('roster.addLabel')} hint={t('roster.addHint')}>
          <Textarea
            rows={6}
            className="font-mono"
            value={text}
            spellCheck={false}
            onChange={({ target }) => write(target.value)}
          />
        </Field>
        {problems.length > 0 ? <Problems problems={problems} listed={listed} /> : null}
        {refused && rows.length === 0 ? <Notice kind="bad">{t(`ui:error.${refused.code}`)}</Notice> : null}
        {add.isSuccess && text === '' ? (
          <Notice kind="good">{t('roster.added', { count: add.data.added })}</Notice>
        ) : null}
        <div className="flex flex-wrap items-center gap-3">
          <FileButton
            label={t('roster.file')}
            accept=".csv,.tsv,.txt,text/csv,text/plain"
            onFile={(chosen) => void chosen.text().then(write)}
          />
          <span role="status" className="text-quiet ms-auto text-sm">
            {listed.length > 0 ? t('roster.found', { count: listed.length }) : ''}
          </span>
          <Button type="submit" weight="main" disabled={listed.length === 0 || add.isPending}>
            {listed.length > 0 ? t('roster.add', { count: listed.length }) : t('roster.addNone')}
          </Button>
        </div>
      </form>
    </Sheet>
  );
}
