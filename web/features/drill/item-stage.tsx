import { comparisonOf, type Hands, type Response } from '@cimbel/core/drill';
import type { Line } from '@cimbel/core/product';
import type { ShownQuestion } from '@cimbel/contract';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { answerWords } from './answer-words';
import { HairPicture, type PictureSource } from '../../ui/hair-picture';
import { Beam } from './hands/beam';
import { StrandFeel } from './hands/strand-feel';
import { StrandStretch } from './hands/strand-stretch';
import { Tube } from './hands/tube';
import { MarkForm } from './mark-form';
import { Nudge } from './nudge';
import { OrderForm } from './order-form';
import { useHairSize } from './sizes';
import type { AnswerFeedback } from './feedback';
import { termWords } from './words';
import '../../lib/words/craft';
import '../../lib/words/reading';

/** Hands that are shown on the neutral ground, where hair is shown otherwise. */
const ON_STAGE: readonly Hands['kind'][] = ['stretch', 'feel', 'tube'];
export const isStaged = (hairs: readonly PictureSource[], hands: Hands | null): boolean =>
  hairs.length > 0 || (hands !== null && ON_STAGE.includes(hands.kind));

/** The true hair and that of a wrong answer, where there is any. */
export const useComparison = (told: AnswerFeedback | null) =>
  useMemo(
    () => (told?.response && !told.mark?.right ? comparisonOf(told.item, told.response) : null),
    [told],
  );

/** What is looked at and handled: hair, hair to be put in order or marked, or what lies on the bench. */
export function ItemStage({
  question,
  hairs,
  told,
  given,
  hands,
  line,
  nudging,
  onDraft,
  onPulled,
}: {
  question: ShownQuestion;
  hairs: readonly PictureSource[];
  told: AnswerFeedback | null;
  given: Response | null;
  hands: Hands | null;
  line: Line | null;
  nudging: boolean;
  onDraft: (response: Response) => void;
  onPulled: (most: number) => void;
}) {
  const { t } = useTranslation(['ui', 'drill', 'craft']);
  const { form } = question;
  const closed = told !== null;
  const comparison = useComparison(told);
  const names = question.pictures.map(({ caption }) => (caption ? termWords(t, caption) : ''));
  const size = useHairSize(hairs.length);
  const single = useHairSize(1);
  // Hair that something else is looked at beside.
  const beside = useHairSize(4);
  const compared =
    question.hands?.kind === 'brush' ? 'brushed' : question.skill === 'toner' ? 'finish' : 'compare';
  const hairLabel = t('reading.hair', { light: question.light });
  if (nudging && told) return <Nudge item={told.item} response={told.response!} size={single} />;
  const laid = hands?.kind === 'lay' && told?.mark?.right ? comparisonOf(told.item, told.response!) : null;
  if (laid)
    return (
      <figure className="flex flex-col items-center">
        <HairPicture hair={{ look: laid.answered }} {...single} label={t('reading.finish.truth')} />
        <figcaption className="pb-2 text-center text-sm">{t('reading.finish.truth')}</figcaption>
      </figure>
    );
  if (comparison && told)
    return (
      <div className="flex justify-center gap-6 px-4">
        {(['truth', 'answered'] as const).map((which) => (
          <figure key={which} className="flex flex-col items-center">
            <HairPicture
              hair={{ look: comparison[which] }}
              {...single}
              label={t(`reading.${compared}.${which}`)}
            />
            <figcaption className="pb-2 text-center">
              <span className="block text-sm">{t(`reading.${compared}.${which}`)}</span>
              <strong>{answerWords(t, told.item, which === 'truth' ? 'right' : told.response!)}</strong>
            </figcaption>
          </figure>
        ))}
      </div>
    );
  if (form.kind === 'order' && given?.kind === 'order')
    return (
      <OrderForm
        hairs={hairs}
        names={names}
        order={given.order}
        onChange={(order) => onDraft({ kind: 'order', order })}
        size={size}
        from={termWords(t, form.from)}
        to={termWords(t, form.to)}
        closed={closed}
      />
    );
  if (form.kind === 'mark' && given?.kind === 'mark')
    return (
      <div className="flex justify-center pb-4">
        <MarkForm
          hair={hairs[0]}
          size={size}
          label={hairLabel}
          names={form.marks.map((mark) => termWords(t, mark))}
          at={given.at}
          truth={told?.item.solution.kind === 'mark' ? told.item.solution.at : null}
          brushed={hands?.kind === 'brush'}
          onChange={(at) => onDraft({ kind: 'mark', at })}
        />
      </div>
    );
  if (hands?.kind === 'stretch') return <StrandStretch test={hands} closed={closed} onPulled={onPulled} />;
  if (hands?.kind === 'feel')
    return <StrandFeel drag={hands.drag} standsSeconds={hands.standsSeconds} closed={closed} />;
  if (hands?.kind === 'tube' && line)
    return (
      <div className="flex justify-center px-4 py-10">
        <Tube line={line} label={hands.label} large />
      </div>
    );
  if (hands?.kind === 'beam')
    return (
      <div className="flex flex-col items-center px-2">
        <HairPicture hair={hairs[0]} {...beside} label={hairLabel} />
        <Beam
          level={Number(question.ask.params.level)}
          things={hands.things}
          doses={hands.doses}
          given={given}
          told={told}
        />
      </div>
    );
  return (
    <div className="flex flex-wrap justify-center gap-x-3 px-2 md:gap-x-6">
      {hairs.map((hair, i) => (
        <figure key={i} className="flex flex-col items-center">
          <HairPicture hair={hair} {...size} label={names[i] ? `${hairLabel}, ${names[i]}` : hairLabel} />
          {names[i] ? (
            <figcaption className="font-display pb-2 text-lg font-semibold">{names[i]}</figcaption>
          ) : null}
        </figure>
      ))}
    </div>
  );
}
