import type { Hands, Response } from '@cimbel/core/drill';
import type { Line } from '@cimbel/core/product';
import type { ShownQuestion } from '@cimbel/contract';
import { useTranslation } from 'react-i18next';
import { ChoiceForm } from './choice-form';
import { FigureForm } from './figure-form';
import { ClockForm } from './hands/clock-form';
import { needsOf } from './hands/clock-strands';
import { LayForm } from './hands/lay-form';
import { PartedForm, type Parted } from './hands/parted-form';
import { ScaleForm } from './hands/scale-form';
import { Tube } from './hands/tube';
import { LevelForm } from './level-form';
import { ShareForm } from './share-form';
import type { AnswerFeedback } from './feedback';
import { termWords } from './words';
import '../../lib/words/reading';

/** What is answered with, by the kind of answer the question asks for; a choice stays to be looked at afterwards. */
export function AnswerForm({
  question,
  told,
  given,
  parted,
  hands,
  inWords,
  line,
  text,
  wrongText,
  onDraft,
  onParted,
  onText,
  onPress,
  onSubmit,
}: {
  question: ShownQuestion;
  told: AnswerFeedback | null;
  /** What was answered, or what stands there so far. */
  given: Response | null;
  parted: Parted;
  hands: Hands | null;
  /** Whether all of it is to be asked in words. */
  inWords: boolean;
  line: Line | null;
  text: string;
  wrongText: boolean;
  onDraft: (response: Response) => void;
  onParted: (parted: Parted) => void;
  onText: (text: string) => void;
  /** A press that may answer at once. */
  onPress: (response: Response) => void;
  onSubmit: () => void;
}) {
  const { t } = useTranslation(['ui', 'drill']);
  const { form } = question;
  const closed = told !== null;
  const options =
    form.kind === 'choice'
      ? form.options.map((option, i) => ({
          text: termWords(t, option),
          state: !told
            ? ('open' as const)
            : told.item.solution.kind === 'choice' && told.item.solution.right === i
              ? ('right' as const)
              : told.response?.kind === 'choice' && told.response.index === i
                ? ('wrong' as const)
                : ('other' as const),
        }))
      : [];

  return (
    <>
      {(hands?.kind === 'lay' || hands?.kind === 'beam') && !closed ? (
        <LayForm
          {...hands}
          line={hands.kind === 'lay' ? line : null}
          onChange={(index) => onDraft({ kind: 'choice', index })}
        />
      ) : form.kind === 'choice' && hands?.kind !== 'lay' && hands?.kind !== 'beam' ? (
        <ChoiceForm
          label={termWords(t, question.ask)}
          options={options}
          chosen={given?.kind === 'choice' ? given.index : null}
          onPress={(index) => onPress({ kind: 'choice', index })}
          closed={closed}
          picture={
            hands?.kind === 'shelf' && line
              ? (index) => {
                  const { code, params } = form.options[index];
                  return code === 'option.label' ? <Tube line={line} label={String(params.label)} /> : null;
                }
              : undefined
          }
        />
      ) : null}
      {form.kind === 'amounts' && given?.kind === 'amounts' && !closed ? (
        <ScaleForm
          things={form.things}
          inWords={hands === null}
          closed={closed}
          grams={given.grams}
          onGrams={(grams) => onDraft({ kind: 'amounts', grams })}
        />
      ) : null}
      {form.kind === 'shares' && !closed ? (
        <PartedForm
          places={form.places}
          naturals={form.naturals}
          value={parted}
          onChange={onParted}
          closed={closed}
        />
      ) : null}
      {form.kind === 'clock' && given?.kind === 'clock' && !closed ? (
        <ClockForm
          zones={form.zones}
          needs={inWords ? null : needsOf(form.zones, question.facts)}
          most={form.most}
          value={given}
          onChange={(next) => onDraft({ kind: 'clock', ...next })}
          closed={closed}
        />
      ) : null}
      {form.kind === 'level' && !closed ? (
        <LevelForm
          halves={form.halves}
          value={given?.kind === 'figure' ? given.value : null}
          onChange={(value) => onDraft({ kind: 'figure', value })}
          onPress={(value) => onPress({ kind: 'figure', value })}
        />
      ) : null}
      {form.kind === 'share' && !closed ? (
        <ShareForm
          stepPercent={form.stepPercent}
          value={given?.kind === 'figure' ? given.value : null}
          onPress={(value) => onPress({ kind: 'figure', value })}
        />
      ) : null}
      {form.kind === 'figure' && !closed ? (
        <form
          className="flex flex-col gap-1"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            onSubmit();
          }}
        >
          <FigureForm unit={form.unit} text={text} onText={onText} label={termWords(t, question.ask)} />
          {wrongText ? (
            <p role="alert" className="text-bad text-sm font-semibold">
              {t('reading.notAFigure')}
            </p>
          ) : null}
        </form>
      ) : null}
      {form.kind === 'mark' && !closed ? <p className="text-quiet text-sm">{t('reading.markHint')}</p> : null}
      {form.kind === 'order' && !closed ? (
        <p className="text-quiet text-sm">{t('reading.orderHint')}</p>
      ) : null}
    </>
  );
}
