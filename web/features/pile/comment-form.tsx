import { commentsSchema, type Phrase } from '@cimbel/contract';
import type { Misconception } from '@cimbel/core/mark';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Field, Select, Textarea, Tick } from '../../ui/field';
import { Refused } from '../../ui/panel';
import { useFieldWords } from '../../lib/form';
import type { PileActions } from './use-pile';
import '../../lib/words/craft';
import '../../lib/words/pile';

/** Phrases that fit what shows in the answers come first. */
const fitting = (phrases: readonly Phrase[], shown: readonly Misconception[]): Phrase[] => [
  ...phrases.filter(({ about }) => about !== null && shown.includes(about)),
  ...phrases.filter(({ about }) => about === null || !shown.includes(about)),
];

/** A comment on one answer or on many, in new words or in a phrase of one's own. */
export function CommentDialog({
  attemptIds,
  misconceptions,
  phrases,
  actions,
  onClose,
}: {
  attemptIds: string[];
  /** Ways of thinking that show in them. */
  misconceptions: readonly Misconception[];
  phrases: readonly Phrase[];
  actions: Pick<PileActions, 'comment' | 'dropPhrase' | 'pending' | 'error'>;
  onClose: () => void;
}) {
  const { t } = useTranslation(['pile', 'craft', 'ui']);
  const words = useFieldWords();
  const [text, setText] = useState('');
  const [about, setAbout] = useState<Misconception | null>(misconceptions[0] ?? null);
  const [keep, setKeep] = useState(false);
  const [tried, setTried] = useState(false);
  const parsed = commentsSchema.safeParse({ attemptIds, text, about, keep });
  const send = () => {
    setTried(true);
    if (parsed.success) void actions.comment(parsed.data).then(onClose, () => undefined);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('comment.sayAll', { count: attemptIds.length })}
      actions={
        <>
          <Button onClick={onClose}>{t('ui:action.cancel')}</Button>
          <Button weight="main" disabled={actions.pending} onClick={send}>
            {t('comment.send')}
          </Button>
        </>
      }
    >
      <Field
        label={t('comment.words')}
        hint={t('comment.hint')}
        error={tried && !parsed.success ? words('comment') : null}
      >
        <Textarea rows={4} maxLength={500} value={text} onChange={(event) => setText(event.target.value)} />
      </Field>
      {phrases.length > 0 ? (
        <div>
          <h3 className="text-sm font-semibold">{t('comment.phrases')}</h3>
          <ul className="max-h-40 overflow-y-auto">
            {fitting(phrases, misconceptions).map((phrase) => (
              <li key={phrase.id} className="border-line flex items-center gap-2 border-b last:border-b-0">
                <button
                  type="button"
                  className="hover:bg-raised min-h-10 grow px-1 py-1 text-start text-sm whitespace-pre-line"
                  onClick={() => {
                    setText(phrase.text);
                    // Said again it counts as said once more.
                    setKeep(true);
                    if (phrase.about && misconceptions.includes(phrase.about)) setAbout(phrase.about);
                  }}
                >
                  {phrase.text}
                </button>
                <Button
                  weight="quiet"
                  aria-label={t('comment.drop', { text: phrase.text })}
                  icon={<X aria-hidden className="size-4" />}
                  onClick={() => actions.dropPhrase(phrase.id)}
                />
              </li>
            ))}
          </ul>
        </div>
      ) : null}
      {misconceptions.length > 0 ? (
        <Field label={t('comment.about')}>
          <Select
            value={about ?? ''}
            onChange={(event) => setAbout(misconceptions.find((name) => name === event.target.value) ?? null)}
          >
            <option value="">{t('comment.aboutNothing')}</option>
            {misconceptions.map((name) => (
              <option key={name} value={name}>
                {t(`craft:slip.${name}`)}
              </option>
            ))}
          </Select>
        </Field>
      ) : null}
      <Tick label={t('comment.keep')} on={keep} onChange={setKeep} />
      <Refused error={actions.error} />
    </Dialog>
  );
}
