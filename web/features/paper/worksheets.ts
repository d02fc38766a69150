import type { EducatorAssignment } from '@cimbel/contract';
import type { ClientCase } from '@cimbel/core/case';
import {
  exerciseForStudent,
  looksByLight,
  type BenchStep,
  type StudentExercise,
} from '@cimbel/core/exercise';
import type { TressLook } from '@cimbel/core/draw';
import { cardWithSlip } from '@cimbel/core/mark';
import type { ModelAnswer } from '@cimbel/core/solve';
import type { TFunction } from 'i18next';
import { capital, dateTime, placeWord } from '../../lib/i18n';
import type { CardWords } from '../bench/card-words';
import { placesOf } from '../head/places';
import type { PaperBlock, PaperColumn, PaperPicture, PaperSheet } from './paper';

/** Words that are made with hooks, given to what is not a component. */
export interface PaperWords {
  t: TFunction<readonly ['paper', 'ui', 'craft', 'reasons']>;
  card: (plan: ModelAnswer['card'], lines: EducatorAssignment['lines']) => CardWords;
  hairFacts: (shown: StudentExercise) => { term: string; value: string }[];
  wishes: (clientCase: Pick<ClientCase, 'wish' | 'placements' | 'melts'>) => { name: string; text: string }[];
}

/** The figures that some of the class have: as written, or a variant with its number. */
export interface CaseFigures {
  /** From 1; null where all have the same. */
  variant: number | null;
  clientCase: ClientCase;
  modelAnswer: ModelAnswer;
}

/** All figures that an assignment is set in: the variants, or what is written where there are none. */
export const caseFiguresOf = ({ variants, clientCase, modelAnswer }: EducatorAssignment): CaseFigures[] =>
  variants.length > 0
    ? variants.map((one) => ({ ...one, variant: variants.length > 1 ? one.number : null }))
    : [{ variant: null, clientCase, modelAnswer }];

/** Rows that are left for what is written into a table. */
const ROOM = { asked: 4, bowls: 4, applications: 4, care: 3 } as const;
const empty = (count: number) => Array.from({ length: count }, () => []);

/** Columns of the tables that are filled in, by what they are named in the words, each with its share of the width. */
const COLUMNS = {
  read: { place: 3, level: 2, grey: 2, underlay: 4, counter: 3 },
  asked: { asked: 2, shown: 3 },
  bowls: { bowl: 1, line: 3, shades: 6, developer: 4 },
  applications: { bowl: 1, places: 3, areas: 4, how: 3 },
  times: { bowl: 1, start: 2, minutes: 2, heat: 2, checks: 4 },
} as const;

function columnsOf(t: PaperWords['t'], widths: Record<string, number>): PaperColumn[] {
  return Object.entries(widths).map(([name, width]) => ({ text: t(`paper:sheet.${name}`), width }));
}

/** What a step leaves to be written, as blocks under its own heading. */
function toFill(step: BenchStep, { regions }: StudentExercise, { t }: PaperWords): PaperBlock[] {
  const table = (widths: Record<string, number>, rows: readonly (readonly string[])[]): PaperBlock => ({
    kind: 'table',
    toFill: true,
    columns: columnsOf(t, widths),
    rows,
  });
  switch (step) {
    case 'consult':
      return [table(COLUMNS.asked, empty(ROOM.asked)), { kind: 'lines', label: t('sheet.decide'), count: 1 }];
    case 'read':
      return [
        table(
          COLUMNS.read,
          placesOf({ regions }).map(({ zone }) => [capital(placeWord(t, zone))]),
        ),
      ];
    case 'mix':
    case 'developer':
      return [table(COLUMNS.bowls, empty(ROOM.bowls))];
    case 'apply':
      return [table(COLUMNS.applications, empty(ROOM.applications))];
    case 'process':
      return [table(COLUMNS.times, empty(ROOM.applications))];
    case 'finish':
      return [
        { kind: 'lines', label: t('sheet.care'), count: ROOM.care },
        { kind: 'lines', label: t('sheet.aftercare'), count: 2 },
      ];
  }
}

/** Thirty worksheets in the same figures show the same hair: it is looked at once. */
const shownBy = new WeakMap<CaseFigures, StudentExercise>();

/** What a student sees of an assignment in these figures: no level, no history, no answer. */
function shownOf(assignment: EducatorAssignment, figures: CaseFigures): StudentExercise {
  const known = shownBy.get(figures);
  if (known) return known;
  const { clientCase, modelAnswer } = figures;
  const { id, lines, houseRules, open, slip } = assignment;
  const exercise = {
    id,
    clientCase,
    modelAnswer,
    lines,
    houseRules,
    open,
    card: slip && cardWithSlip(slip, { card: modelAnswer.card, modelAnswer, lines }),
  };
  const shown = exerciseForStudent(exercise, null, looksByLight(exercise, null));
  shownBy.set(figures, shown);
  return shown;
}

/** The hair of each region, as it comes in and as it is wished for. */
function picturesOf(
  { looks: { now, target }, regions }: StudentExercise,
  t: PaperWords['t'],
): PaperPicture[] {
  const labelled = (which: 'now' | 'target', i: number) => {
    const { name } = regions[i];
    return now.length === 1 || name === null
      ? t(`sheet.${which}Alone`)
      : t(`sheet.${which}`, { where: t(`craft:region.${name}`) });
  };
  const lock = (look: TressLook, label: string): PaperPicture => ({ drawing: { kind: 'lock', look }, label });
  return now.flatMap((hair, i) =>
    'look' in hair ? [lock(hair.look, labelled('now', i)), lock(target[i], labelled('target', i))] : [],
  );
}

/** Who is in the chair, what is wished for, and what shows without asking. */
function clientOf(shown: StudentExercise, { t, wishes, hairFacts }: PaperWords): PaperBlock[] {
  const { client } = shown;
  return [
    { kind: 'heading', text: `${t('sheet.client')}: ${client.name}` },
    ...(client.note ? [{ kind: 'text' as const, text: client.note }] : []),
    { kind: 'heading', text: t('sheet.wish') },
    { kind: 'facts', rows: wishes(shown).map(({ name, text }) => ({ term: capital(name), value: text })) },
    { kind: 'heading', text: t('sheet.facts') },
    { kind: 'facts', rows: hairFacts(shown) },
  ];
}

/** Facts that are given: none of what is still to be written. */
const factsOf = ({ facts }: CardWords) =>
  facts.flatMap(({ term, value }) => (value === null ? [] : [{ term: capital(term), value }]));

function given(shown: StudentExercise, words: PaperWords): PaperBlock[] {
  const { t } = words;
  const asked = Object.values(shown.reveals).flat();
  const card = words.card(shown.given, shown.lines);
  const facts = factsOf(card);
  if (facts.length === 0 && card.timeline.length === 0 && asked.length === 0) return [];
  return [
    { kind: 'heading', text: t(shown.toCorrect ? 'sheet.toCorrect' : 'sheet.given') },
    { kind: 'facts', rows: facts },
    { kind: 'facts', rows: card.timeline.map(({ when, what }) => ({ term: when, value: what })) },
    ...asked.map(({ code, params }): PaperBlock => ({ kind: 'text', text: t(`reasons:${code}`, params) })),
  ];
}

/** Whose a worksheet is. */
export interface WorksheetOwner {
  name: string;
  number: string | null;
}

/** A worksheet: what the bench shows of a case, and the steps that are worked, to be written on; of one student, or of nobody yet. */
export function worksheet(
  assignment: EducatorAssignment,
  figures: CaseFigures,
  owner: WorksheetOwner | null,
  words: PaperWords,
): PaperSheet {
  const { t } = words;
  const shown = shownOf(assignment, figures);
  const variant = figures.variant === null ? '' : t('sheet.variant', { number: figures.variant });
  const name =
    owner === null ? t('sheet.nameOpen') : t(owner.number ? 'sheet.nameNumber' : 'sheet.name', { ...owner });
  const { className, title } = assignment;
  return {
    title,
    about: [t('sheet.due', { className, when: dateTime(assignment.dueAt) }), name, variant]
      .filter(Boolean)
      .join('   '),
    mark: [title, owner?.name ?? '', owner?.number ?? '', variant].filter(Boolean).join(' · '),
    blocks: [
      { kind: 'text', text: t('sheet.cautions') },
      { kind: 'pictures', pictures: picturesOf(shown, t), beside: clientOf(shown, words) },
      ...given(shown, words),
      ...shown.open.flatMap((step): PaperBlock[] => [
        { kind: 'heading', text: t(`craft:benchStep.${step}`) },
        ...toFill(step, shown, words),
      ]),
    ],
  };
}
