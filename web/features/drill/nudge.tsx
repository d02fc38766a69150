import { differenceOf, TONE_FAMILIES, type ToneFamily } from '@cimbel/core/colour';
import { labOfSubject, lookOfSubject, type Item, type Response, type Subject } from '@cimbel/core/drill';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { HairPicture } from '../../ui/hair-picture';
import '../../lib/words/craft';
import '../../lib/words/reading';

/** Colour read by level or by tone can be nudged until it matches. */
export const canNudge = ({ reads, subject, optionSubjects }: Item): boolean =>
  subject !== null && (reads === 'level' || (optionSubjects !== null && subject.kind === 'toned'));

function answeredSubject({ subject, optionSubjects }: Item, response: Response): Subject {
  if (response.kind === 'choice') return optionSubjects![response.index];
  return { ...subject!, level: response.kind === 'figure' ? response.value : subject!.level };
}

/** ΔE2000 below which two locks are told apart only by looking long. */
const MATCHES = 1.5;

/**
 * The lock that was answered, to be moved by level and tone until it matches the true one: the eye learns how far off it
 * was, and in which direction.
 */
export function Nudge({
  item,
  response,
  size,
}: {
  item: Item;
  response: Response;
  size: { width: number; height: number };
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const truth = item.subject!;
  const first = answeredSubject(item, response);
  const [level, setLevel] = useState(first.level);
  const [tone, setTone] = useState<ToneFamily>(first.kind === 'toned' ? first.tone.primary : 'neutral');
  const subject = useMemo<Subject>(
    () =>
      first.kind === 'toned'
        ? { ...first, level, tone: tone === first.tone.primary ? first.tone : { primary: tone } }
        : { ...first, level },
    [first, level, tone],
  );
  const { light } = item.question;
  const shown = item.question.pictures[0].look;
  const lookOf = (subject: Subject) =>
    lookOfSubject(subject, { light, seed: shown.seed, form: shown.form, shine: shown.shine });
  const deltaEOf = (subject: Subject) =>
    differenceOf(labOfSubject(subject, light), labOfSubject(truth, light));
  const looks = useMemo(() => {
    try {
      return { truth: lookOf(truth), own: lookOf(subject), deltaE: deltaEOf(subject) };
    } catch {
      // No hair has this colour; the last one that has stays.
      return null;
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [subject]);
  const firstDeltaE = useMemo(() => {
    try {
      return deltaEOf(first);
    } catch {
      return null;
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return (
    <div className="flex flex-wrap items-start justify-center gap-x-6 px-4">
      {looks ? (
        <>
          <figure className="flex flex-col items-center">
            <HairPicture hair={{ look: looks.truth }} {...size} label={t('reading.compare.truth')} />
            <figcaption className="text-sm">{t('reading.compare.truth')}</figcaption>
          </figure>
          <figure className="flex flex-col items-center">
            <HairPicture hair={{ look: looks.own }} {...size} label={t('reading.compare.nudged')} />
            <figcaption className="text-sm">{t('reading.compare.nudged')}</figcaption>
          </figure>
        </>
      ) : (
        <p className="p-6">{t('reading.noSuchHair')}</p>
      )}
      <div className="flex w-full max-w-md flex-col gap-2 pb-2">
        <label className="flex items-center gap-3 font-semibold">
          {t('reading.nudgeLevel')}
          <input
            type="range"
            min={1}
            max={10}
            step={0.25}
            value={level}
            onChange={({ target }) => setLevel(Number(target.value))}
            className="accent-on-surround h-8 flex-1"
          />
          <output className="w-10 text-end">{level}</output>
        </label>
        {first.kind === 'toned' ? (
          <label className="flex items-center gap-3 font-semibold">
            {t('reading.nudgeTone')}
            <select
              className="bg-surround border-on-surround min-h-10 flex-1 rounded-sm border px-2"
              value={tone}
              onChange={({ target }) => setTone(target.value as ToneFamily)}
            >
              {TONE_FAMILIES.map((family) => (
                <option key={family} value={family}>
                  {t(`craft:tone.${family}`)}
                </option>
              ))}
            </select>
          </label>
        ) : null}
        <p role="status" className="flex justify-between">
          <span>{firstDeltaE === null ? '' : t('reading.firstAway', { deltaE: firstDeltaE })}</span>
          <strong>
            {looks
              ? t(looks.deltaE <= MATCHES ? 'reading.matches' : 'reading.nowAway', { deltaE: looks.deltaE })
              : ''}
          </strong>
        </p>
      </div>
    </div>
  );
}
