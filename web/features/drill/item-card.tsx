import type { DrillMark, AnswerMethod, Hands, Response, Term } from '@cimbel/core/drill';
import { shippedLine } from '@cimbel/core/product';
import type { ShownQuestion } from '@cimbel/contract';
import { Lamp, Lightbulb, Sun } from 'lucide-react';
import { useRef, useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { figureIn } from '../../lib/figure-in';
import { useShortcuts } from '../../lib/shortcuts';
import { Button } from '../../ui/button';
import { Key } from '../../ui/key';
import { LineKey } from '../bench/shade-chart';
import { ReasonList } from '../marking/reasons';
import { AnswerForm } from './answer-form';
import { answerWords } from './answer-words';
import type { Parted } from './hands/parted-form';
import { useInWords } from './in-words';
import { isStaged, ItemStage, useComparison } from './item-stage';
import type { PictureSource } from '../../ui/hair-picture';
import { canNudge } from './nudge';
import type { AnswerFeedback } from './feedback';
import { VerdictIcon, verdictColour, verdictOf } from './verdict';
import { termWords } from './words';
import '../../lib/words/craft';
import '../../lib/words/reading';

interface ItemCardProps {
  question: ShownQuestion;
  hairs: readonly PictureSource[];
  told: AnswerFeedback | null;
  /** A press answers at once; else it chooses, and a button answers. */
  immediate: boolean;
  onAnswer?: (response: Response) => void;
  /** Beside the answer button: leaving the question, in a test. */
  beside?: ReactNode;
  /** Under what came of it: going on. */
  below?: ReactNode;
  /** Measured figures under the hair. */
  figures?: ReactNode;
}

const LIGHT_ICON = { daylight: Sun, warmLamp: Lamp, coolWhite: Lightbulb };

/** Where marks begin before they are moved: spread along the hair, where no answer is. */
const spread = (count: number) =>
  Array.from({ length: count }, (_, i) => (count === 1 ? 0.5 : i === 0 ? 0.05 : 0.95));

function startOf(form: AnswerMethod, pictures: number): Response | null {
  if (form.kind === 'order') return { kind: 'order', order: Array.from({ length: pictures }, (_, i) => i) };
  if (form.kind === 'mark') return { kind: 'mark', at: spread(form.marks.length) };
  if (form.kind === 'amounts') return { kind: 'amounts', grams: form.things.map(() => 0) };
  if (form.kind === 'clock')
    return { kind: 'clock', starts: form.zones.map(() => 0), checks: [], rinse: form.most };
  return null;
}

/** Forms whose answer is put together and then given; the others are given by the press itself. */
const PUT_TOGETHER: readonly AnswerMethod['kind'][] = [
  'figure',
  'order',
  'mark',
  'amounts',
  'shares',
  'clock',
];

/** Facts that hands find out for themselves, where hands are wanted. */
const FELT: Partial<Record<Hands['kind'], string>> = { stretch: 'fact.stretch.', feel: 'fact.feel.' };
const factsOf = (facts: readonly Term[], hands: Hands | null) => {
  const felt = hands && FELT[hands.kind];
  return felt ? facts.filter(({ code }) => !code.startsWith(felt)) : facts;
};
/** Hands that stand in for words; the others only show what the words are about. */
const REPLACES_WORDS: readonly Hands['kind'][] = ['stretch', 'feel', 'pour', 'weigh', 'lay', 'beam'];
/** What is put together by hand and then let go, though in words it is a choice; and the word on the button that does it. */
const LETS_GO: Partial<Record<Hands['kind'], 'layOn' | 'letGo'>> = { lay: 'layOn', beam: 'letGo' };

/** What the answer shows, then why the right one is right; not what the line above has said already. */
const reasonsOf = ({ item, mark, pattern }: AnswerFeedback) => [
  ...(pattern ? [pattern] : []),
  ...(mark?.slip ? [mark.slip] : []),
  ...item.why.filter(({ code }) => code !== 'drill.level.is'),
];

function Verdict({ mark }: { mark: DrillMark | null }) {
  const { t } = useTranslation();
  const state = verdictOf(mark);
  return (
    <p className={`font-display flex items-center gap-2 text-2xl font-semibold ${verdictColour(state)}`}>
      <VerdictIcon state={state} className="size-6" />
      {t(`reading.verdict.${state}`)}
    </p>
  );
}

/** One question: hair on a neutral ground, the answer beside it, then what came of it. */
export function ItemCard({
  question,
  hairs,
  told,
  immediate,
  onAnswer,
  beside,
  below,
  figures,
}: ItemCardProps) {
  const { t } = useTranslation(['ui', 'drill', 'craft']);
  const { form } = question;
  const [draft, setDraft] = useState<Response | null>(() => startOf(form, hairs.length));
  const [text, setText] = useState('');
  const [wrongText, setWrongText] = useState(false);
  const [nudging, setNudging] = useState(false);
  const [inWords, setInWords] = useInWords();
  const [parted, setParted] = useState<Parted>(() => ({
    shares: form.kind === 'shares' ? form.places.map(() => 0) : [],
    natural: null,
  }));
  const pulled = useRef<number | undefined>(undefined);
  const closed = told !== null;
  const given = told ? told.response : draft;
  const hands = inWords ? null : question.hands;
  const letsGo = hands ? LETS_GO[hands.kind] : undefined;
  const line = question.ownLine ?? (question.lineId ? shippedLine(question.lineId) : undefined) ?? null;

  const answer = (response: Response | null) => {
    if (closed) return;
    if (form.kind === 'figure') {
      const value = figureIn(text);
      setWrongText(value === null);
      if (value !== null) onAnswer?.({ kind: 'figure', value });
    } else if (form.kind === 'shares') {
      if (parted.natural !== null)
        onAnswer?.({ kind: 'shares', shares: parted.shares, natural: parted.natural });
    } else if (response?.kind === 'choice' && pulled.current !== undefined)
      onAnswer?.({ ...response, pulled: pulled.current });
    else if (response) onAnswer?.(response);
  };
  const press = (response: Response) => {
    if (closed) return;
    setDraft(response);
    if (immediate) answer(response);
  };
  useShortcuts({ ...(closed ? {} : { Enter: () => answer(draft) }) });

  const comparison = useComparison(told);
  const LightIcon = LIGHT_ICON[question.light];
  const staged = isStaged(hairs, hands);

  return (
    <div
      className={`grid flex-1 grid-rows-[auto_1fr] ${staged ? 'wide:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] wide:grid-rows-1' : ''}`}
    >
      {staged ? (
        <div className="bg-surround text-on-surround flex flex-col pt-2">
          <div className="flex-1">
            <ItemStage
              question={question}
              hairs={hairs}
              told={told}
              given={given}
              hands={hands}
              line={line}
              nudging={nudging}
              onDraft={setDraft}
              onPulled={(most) => (pulled.current = most)}
            />
          </div>
          <div className={`flex items-center gap-2 px-4 py-2 text-sm ${hairs.length > 0 ? '' : 'hidden'}`}>
            <LightIcon aria-hidden className="size-4" />
            {t(`craft:light.${question.light}`)}
            {figures ? <span className="ms-auto">{figures}</span> : null}
          </div>
        </div>
      ) : null}
      <div className="flex min-w-0 flex-col gap-4 p-4 wide:px-10 wide:py-6">
        <div className="flex flex-col gap-1">
          <p className="text-quiet text-sm">
            {t(`drill:skill.${question.skill}`)} · {t('reading.step', { step: question.step })}
          </p>
          <h2 className="text-2xl">{termWords(t, question.ask)}</h2>
          {factsOf(question.facts, hands).length > 0 ? (
            <ul className="flex flex-col gap-0.5">
              {factsOf(question.facts, hands).map((fact) => (
                <li
                  key={JSON.stringify(fact)}
                  className={fact.code.startsWith('fact.house.') ? 'text-quiet text-sm' : ''}
                >
                  {termWords(t, fact)}
                </li>
              ))}
            </ul>
          ) : null}
          {line ? (
            <div className="border-line mt-1 border-t pt-2">
              <LineKey line={line} />
            </div>
          ) : null}
        </div>

        <AnswerForm
          question={question}
          told={told}
          given={given}
          parted={parted}
          hands={hands}
          inWords={inWords}
          line={line}
          text={text}
          wrongText={wrongText}
          onDraft={setDraft}
          onParted={setParted}
          onText={(next) => {
            setText(next);
            setWrongText(false);
          }}
          onPress={press}
          onSubmit={() => answer(null)}
        />

        {/* There before anything is said in it, or it would not be announced. */}
        <div className="flex flex-col gap-3" aria-live="polite">
          {closed ? (
            <>
              <Verdict mark={told.mark} />
              {form.kind !== 'choice' || !told.mark || letsGo ? (
                <p>
                  {t('reading.rightIs')} <strong>{answerWords(t, told.item, 'right')}</strong>
                  {told.response && !told.mark?.right ? (
                    <>
                      {' · '}
                      {t('reading.yours')} <strong>{answerWords(t, told.item, told.response)}</strong>
                    </>
                  ) : null}
                </p>
              ) : null}
              <ReasonList reasons={reasonsOf(told)} />
              {comparison && told.response && canNudge(told.item) ? (
                <Button className="self-start" aria-pressed={nudging} onClick={() => setNudging(!nudging)}>
                  {t(nudging ? 'reading.nudgeClose' : 'reading.nudge')}
                </Button>
              ) : null}
              {below}
            </>
          ) : null}
        </div>
        {closed ? null : (
          <div className="flex flex-wrap items-center gap-3">
            {!immediate || PUT_TOGETHER.includes(form.kind) || letsGo ? (
              <Button
                weight="main"
                aria-keyshortcuts="Enter"
                disabled={
                  form.kind === 'shares' ? parted.natural === null : form.kind !== 'figure' && draft === null
                }
                onClick={() => answer(draft)}
              >
                {t(letsGo ? `reading.hands.${letsGo}` : 'reading.answer')} <Key>↵</Key>
              </Button>
            ) : form.kind === 'level' && form.halves ? (
              <Button
                weight="main"
                aria-keyshortcuts="Enter"
                disabled={draft === null}
                onClick={() => answer(draft)}
                className="max-md:hidden"
              >
                {t('reading.answer')} <Key>↵</Key>
              </Button>
            ) : null}
            {beside}
            {form.kind === 'clock' || (question.hands && REPLACES_WORDS.includes(question.hands.kind)) ? (
              <Button weight="quiet" aria-pressed={inWords} onClick={() => setInWords(!inWords)}>
                {t(inWords ? 'reading.hands.byHand' : 'reading.hands.inWords')}
              </Button>
            ) : null}
          </div>
        )}
      </div>
    </div>
  );
}
