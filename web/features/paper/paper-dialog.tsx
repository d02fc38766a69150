import type { EducatorAssignment } from '@cimbel/contract';
import { FileText } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { isRightToLeft } from '../../lib/i18n';
import { keep, readKept } from '../../lib/storage';
import '../../lib/words/craft';
import '../../lib/words/bench';
import '../../lib/words/paper';
import '../../lib/words/reasons';
import type { PaperMade } from '../../workers/paper.worker';
import { once } from '../../workers/once';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Dialog } from '../../ui/dialog';
import { Notice } from '../../ui/panel';
import { useCardWords } from '../bench/card-words';
import { useHairFacts, useWishes } from '../bench/words';
import { download, fileName } from '../../lib/download';
import { answerKey, classResults } from './answers';
import { PAPER_SIZES, type Paper, type PaperSheet, type PaperSize } from './paper';
import { caseFiguresOf, worksheet, type PaperWords } from './worksheets';

const KINDS = ['worksheets', 'blank', 'key', 'results'] as const;
type Kind = (typeof KINDS)[number];
/** The size is that of the printer, not of the exercise: it is kept on the device. */
const SIZE_PLACE = 'cimbel.paper-size';

/** Sheets of a set, one after the other. */
function sheetsOf(kind: Kind, assignment: EducatorAssignment, words: PaperWords): PaperSheet[] {
  const figures = caseFiguresOf(assignment);
  switch (kind) {
    case 'worksheets':
      return assignment.rows.map((row) =>
        worksheet(
          assignment,
          figures.find(({ variant }) => variant === row.variant) ?? figures[0],
          row,
          words,
        ),
      );
    case 'blank':
      return figures.map((one) => worksheet(assignment, one, null, words));
    case 'key':
      return figures.map((one) => answerKey(assignment, one, words));
    case 'results':
      return [classResults(assignment, words)];
  }
}

const startWorker = () =>
  new Worker(new URL('../../workers/paper.worker.tsx', import.meta.url), { type: 'module' });

type State =
  | { at: 'asking' }
  | { at: 'making'; sheets: number }
  | { at: 'failed' }
  | { at: 'ready'; file: Blob; name: string; sheets: number };

/** Makes worksheets, keys and results of an assignment into a file to be printed. */
export default function PaperDialog({
  assignment,
  onClose,
}: {
  assignment: EducatorAssignment;
  onClose: () => void;
}) {
  const { t, i18n } = useTranslation(['paper', 'ui', 'craft', 'reasons']);
  const words: PaperWords = { t, card: useCardWords(), wishes: useWishes(), hairFacts: useHairFacts() };
  const [kind, setKind] = useState<Kind>('worksheets');
  const [size, setSize] = useState<PaperSize>(() => readKept<PaperSize>(SIZE_PLACE) ?? 'A4');
  const [state, setState] = useState<State>({ at: 'asking' });
  const giveUp = useRef(new AbortController());
  useEffect(() => {
    const controller = giveUp.current;
    return () => controller.abort();
  }, []);
  const nobody = assignment.rows.length === 0 && (kind === 'worksheets' || kind === 'results');
  const make = async () => {
    const sheets = sheetsOf(kind, assignment, words);
    const paper: Paper = {
      title: assignment.title,
      size,
      rightToLeft: isRightToLeft(i18n.language),
      sheets,
    };
    setState({ at: 'making', sheets: sheets.length });
    try {
      const made = await once<PaperMade>(startWorker, paper, giveUp.current.signal);
      if ('failed' in made) throw new Error(made.failed);
      setState({
        at: 'ready',
        file: new Blob([made.file], { type: 'application/pdf' }),
        name: fileName(`${assignment.title} ${t(`file.${kind}`)}`, 'pdf'),
        sheets: sheets.length,
      });
    } catch {
      if (!giveUp.current.signal.aborted) setState({ at: 'failed' });
    }
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('title')}
      actions={
        <>
          <Button onClick={onClose}>{t('ui:action.close')}</Button>
          {state.at === 'ready' ? (
            <Button weight="main" onClick={() => download(state.name, state.file)}>
              {t('save')}
            </Button>
          ) : (
            <Button weight="main" disabled={nobody || state.at === 'making'} onClick={() => void make()}>
              {t('make')}
            </Button>
          )}
        </>
      }
    >
      <Choice
        label={t('which')}
        value={kind}
        options={KINDS.map((value) => ({ value, text: t(`kinds.${value}`) }))}
        disabled={state.at === 'making'}
        onChange={(value) => {
          setKind(value);
          setState({ at: 'asking' });
        }}
      />
      <p>{t(`about.${kind}`)}</p>
      <div className="flex flex-wrap items-center gap-3">
        <span className="font-semibold">{t('size')}</span>
        <Choice
          label={t('size')}
          value={size}
          options={PAPER_SIZES.map((value) => ({ value, text: t(`sizes.${value}`) }))}
          disabled={state.at === 'making'}
          onChange={(value) => {
            setSize(value);
            keep(SIZE_PLACE, value);
            setState({ at: 'asking' });
          }}
        />
      </div>
      {nobody ? <Notice kind="info">{t('nobody')}</Notice> : null}
      {state.at === 'making' ? <Notice kind="info">{t('making', { count: state.sheets })}</Notice> : null}
      {state.at === 'failed' ? <Notice kind="bad">{t('failed')}</Notice> : null}
      {state.at === 'ready' ? (
        <Notice kind="good">
          <span className="inline-flex items-center gap-2">
            <FileText aria-hidden className="size-5 shrink-0" />
            {t('ready', { name: state.name, count: state.sheets })}
          </span>
        </Notice>
      ) : null}
    </Dialog>
  );
}
