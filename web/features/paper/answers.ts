import type { EducatorAssignment } from '@cimbel/contract';
import { CRITERIA } from '@cimbel/core/exercise';
import { capital, dateTime, figure } from '../../lib/i18n';
import type { PaperBlock, PaperSheet } from './paper';
import type { CaseFigures, PaperWords } from './worksheets';

/** The model answer in these figures, in a file of its own. */
export function answerKey(
  { title, className, dueAt, lines }: EducatorAssignment,
  { variant, modelAnswer }: CaseFigures,
  { t, card: cardWords }: PaperWords,
): PaperSheet {
  const { facts, timeline, home } = cardWords(modelAnswer.card, lines);
  const of = variant === null ? '' : t('sheet.variant', { number: variant });
  const others = modelAnswer.equivalents.length;
  const work: PaperBlock[] =
    timeline.length === 0
      ? []
      : [
          { kind: 'heading', text: t('key.work') },
          { kind: 'facts', rows: timeline.map(({ when, what }) => ({ term: when, value: what })) },
        ];
  return {
    title: t('key.title', { title }),
    about: [t('sheet.due', { className, when: dateTime(dueAt) }), of].filter(Boolean).join('   '),
    mark: [t('key.mark'), title, of].filter(Boolean).join(' · '),
    blocks: [
      { kind: 'facts', rows: facts.map(({ term, value }) => ({ term: capital(term), value: value ?? '–' })) },
      ...work,
      ...(home
        ? [
            { kind: 'heading' as const, text: t('key.home') },
            { kind: 'text' as const, text: home },
          ]
        : []),
      ...(others > 0 ? [{ kind: 'text' as const, text: t('key.asGood', { count: others }) }] : []),
    ],
  };
}

/** Points of the class by criterion, with the average of those who have handed in. */
export function classResults(
  { title, className, dueAt, rubric, max, rows }: EducatorAssignment,
  { t }: PaperWords,
): PaperSheet {
  const criteria = CRITERIA.filter((criterion) => (rubric[criterion] ?? 0) > 0);
  const points = rows.flatMap((row) => row.points ?? []);
  const pointsAt = (row: EducatorAssignment['rows'][number], criterion: string) =>
    row.grade?.criteria.find((mark) => mark.criterion === criterion)?.points;
  const shown = (value: number | null | undefined) => (value == null ? '–' : figure(value));
  return {
    title: t('results.title', { title }),
    about: t('sheet.due', { className, when: dateTime(dueAt) }),
    mark: `${t('results.mark')} · ${title}`,
    blocks: [
      {
        kind: 'table',
        columns: [
          { text: t('results.number'), width: 3 },
          { text: t('results.student'), width: 6 },
          ...criteria.map((criterion) => ({
            text: t(`craft:criterionShort.${criterion}`),
            width: 2,
            figures: true,
          })),
          { text: `${t('results.total')} ${t('results.of', { max })}`, width: 3, figures: true },
        ],
        rows: rows.map((row) => [
          row.number ?? '',
          row.name,
          ...criteria.map((criterion) => shown(pointsAt(row, criterion))),
          shown(row.points),
        ]),
      },
      ...(points.length > 0
        ? [
            {
              kind: 'text' as const,
              strong: true,
              text: `${t('results.mean')}: ${figure(points.reduce((a, b) => a + b, 0) / points.length, undefined, 1)}`,
            },
          ]
        : []),
    ],
  };
}
