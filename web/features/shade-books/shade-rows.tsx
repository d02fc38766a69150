import { readShadeTable, type Problem } from '@cimbel/core/io';
import { DIRECT_DYES, type DirectDye } from '@cimbel/core/hair';
import { readLabel, type Line } from '@cimbel/core/product';
import { Plus, X } from 'lucide-react';
import { useState, type ClipboardEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { Notice } from '../../ui/panel';
import type { LineDraft } from './draft';
import { problemWords } from './problem-words';
import '../../lib/words/reasons';
import '../../lib/words/craft';
import '../../lib/words/shade-books';

const LEVELS = Array.from({ length: 10 }, (_, i) => i + 1);
const BOX = 'border-strong-line bg-raised rounded-sm border px-2';

/** How a label reads in the key, or why it cannot be read. */
function Reading({ line, label }: { line: Line; label: string }) {
  const { t } = useTranslation(['ui', 'craft', 'reasons']);
  if (label === '') return null;
  const reading = readLabel(line, label);
  if (!reading.ok)
    return (
      <span className="text-bad font-semibold">
        {t(reading.reason.code, { ns: 'reasons', ...reading.reason.params })}
      </span>
    );
  const { series, level, tone } = reading.shade;
  return (
    <span className="text-quiet">
      {[
        level === null ? null : t('shadeBooks.levelOf', { level }),
        series === 'direct' || series === 'clear' || series === 'filler'
          ? null
          : t(`craft:tone.${tone.primary}`),
        tone.secondary && tone.secondary !== tone.primary ? t(`craft:tone.${tone.secondary}`) : null,
        t(`craft:series.${series}`),
      ]
        .filter((part) => part !== null)
        .join(' · ')}
    </span>
  );
}

/** The shades as a table to type into: Enter goes to the next row, and rows can be pasted from a spreadsheet. */
export function ShadeRows({
  draft,
  line,
  onChange,
}: {
  draft: LineDraft;
  line: Line;
  onChange: (part: Partial<LineDraft>) => void;
}) {
  const { t } = useTranslation(['ui', 'craft', 'reasons']);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const { labels, kind } = draft;
  const named = kind === 'direct' || kind === 'filler';
  const put = (at: number, label: string) =>
    onChange({ labels: labels.map((old, i) => (i === at ? label : old)) });
  const focus = (at: number) => requestAnimationFrame(() => document.getElementById(`shade-${at}`)?.focus());
  const paste = (at: number) => (event: ClipboardEvent) => {
    const text = event.clipboardData.getData('text');
    if (!/[\n\t]/.test(text.trim())) return;
    event.preventDefault();
    if (named) {
      const names = text
        .split(/\r?\n/)
        .map((row) => row.split('\t')[0].trim())
        .filter(Boolean);
      return onChange({ labels: [...labels.slice(0, at), ...names, ...labels.slice(at + 1)] });
    }
    const read = readShadeTable(text, line);
    setProblems(read.ok ? [] : read.problems);
    // A row that was empty makes room; what stands further down stays.
    if (read.ok)
      onChange({
        labels: [...labels.slice(0, at), ...read.value, ...labels.slice(labels[at] === '' ? at + 1 : at)],
      });
  };
  return (
    <div className="flex flex-col gap-2">
      <p className="text-quiet text-sm">{t(named ? 'shadeBooks.namesHint' : 'shadeBooks.rowsHint')}</p>
      {problems.length > 0 ? (
        <Notice kind="bad">
          <strong>{t('shadeBooks.notPasted', { count: problems.length })}</strong>
          <ul>
            {problems.slice(0, 8).map((problem) => (
              <li key={`${problem.row} ${problem.column} ${problem.code}`}>{problemWords(t, problem)}</li>
            ))}
          </ul>
        </Notice>
      ) : null}
      <div className="border-line max-h-96 overflow-y-auto rounded-sm border">
        <table className="w-full text-sm">
          <caption className="sr-only">{t('shadeBooks.shades')}</caption>
          <thead className="sr-only">
            <tr>
              <th scope="col">{t('shadeBooks.row')}</th>
              <th scope="col">{t('shadeBooks.label')}</th>
              <th scope="col">{t('shadeBooks.reads')}</th>
            </tr>
          </thead>
          <tbody>
            {labels.map((label, i) => (
              <tr key={i} className="border-line border-b">
                <th scope="row" className="text-quiet w-10 px-2 text-end font-normal">
                  {i + 1}
                </th>
                <td className="w-36 py-0.5">
                  <input
                    id={`shade-${i}`}
                    aria-label={t('shadeBooks.labelAt', { row: i + 1 })}
                    className={`${BOX} min-h-8 w-full font-semibold`}
                    value={label}
                    spellCheck={false}
                    onChange={({ target }) => put(i, target.value)}
                    onPaste={paste(i)}
                    onKeyDown={(event) => {
                      if (event.key !== 'Enter') return;
                      event.preventDefault();
                      if (i === labels.length - 1) onChange({ labels: [...labels, ''] });
                      focus(i + 1);
                    }}
                  />
                </td>
                <td className="px-3">
                  {kind === 'direct' ? (
                    <select
                      aria-label={t('shadeBooks.dyeAt', { row: i + 1 })}
                      className={`${BOX} min-h-8`}
                      value={draft.dyeOf[label] ?? 'directPink'}
                      onChange={({ target }) =>
                        onChange({ dyeOf: { ...draft.dyeOf, [label]: target.value as DirectDye } })
                      }
                    >
                      {DIRECT_DYES.map((dye) => (
                        <option key={dye} value={dye}>
                          {t(`craft:vivid.${dye}`)}
                        </option>
                      ))}
                    </select>
                  ) : kind === 'filler' ? (
                    <select
                      aria-label={t('shadeBooks.levelAt', { row: i + 1 })}
                      className={`${BOX} min-h-8`}
                      value={draft.levelOf[label] ?? 6}
                      onChange={({ target }) =>
                        onChange({ levelOf: { ...draft.levelOf, [label]: Number(target.value) } })
                      }
                    >
                      {LEVELS.map((level) => (
                        <option key={level} value={level}>
                          {t('shadeBooks.levelOf', { level })}
                        </option>
                      ))}
                    </select>
                  ) : (
                    <Reading line={line} label={label} />
                  )}
                </td>
                <td className="w-10 text-end">
                  <button
                    type="button"
                    className="hover:bg-room inline-flex size-8 items-center justify-center rounded-sm"
                    aria-label={t('shadeBooks.removeRow', { row: i + 1 })}
                    onClick={() => onChange({ labels: labels.filter((_, j) => j !== i) })}
                  >
                    <X aria-hidden className="size-4" />
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Button
        className="self-start"
        icon={<Plus aria-hidden className="size-4" />}
        onClick={() => {
          onChange({ labels: [...labels, ''] });
          focus(labels.length);
        }}
      >
        {t('shadeBooks.addRow')}
      </Button>
    </div>
  );
}
