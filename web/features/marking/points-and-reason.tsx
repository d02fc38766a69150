import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { z } from 'zod';
import { figureIn } from '../../lib/figure-in';
import { useFieldWords } from '../../lib/form';
import { figure } from '../../lib/i18n';
import { Field, Input, Textarea } from '../../ui/field';
import '../../lib/words/educating';

/** What is typed of another mark: points as they are written, and the reason that students read. */
export function useMarkDraft(start: number) {
  const [points, setPoints] = useState(() => figure(start));
  const [reason, setReason] = useState('');
  const [tried, setTried] = useState(false);
  return { points, setPoints, reason, setReason, tried, setTried };
}
export type MarkDraft = ReturnType<typeof useMarkDraft>;

/** What a draft comes to beside the rest of what is sent, held against its schema and the most that can be had. */
export function checkedMark<T extends { points: number }>(
  schema: z.ZodType<T>,
  { points, reason, tried }: Pick<MarkDraft, 'points' | 'reason' | 'tried'>,
  max: number,
  rest: object,
): { body: T | null; wrong: { points: boolean; reason: boolean } } {
  const parsed = schema.safeParse({ ...rest, points: figureIn(points) ?? NaN, reason });
  const has = (path: string) =>
    !parsed.success && parsed.error.issues.some((issue) => issue.path[0] === path);
  const tooMany = (figureIn(points) ?? 0) > max;
  return {
    body: parsed.success && !tooMany ? parsed.data : null,
    wrong: { points: tried && (has('points') || tooMany), reason: tried && has('reason') },
  };
}

/** The two fields of another mark. */
export function PointsAndReason({
  draft: { points, setPoints, reason, setReason },
  wrong,
  max,
}: {
  draft: MarkDraft;
  wrong: { points: boolean; reason: boolean };
  max: number;
}) {
  const { t } = useTranslation();
  const words = useFieldWords();
  return (
    <>
      <Field
        label={t('review.points', { max })}
        error={wrong.points ? words('points', undefined, { max }) : null}
      >
        <Input
          inputMode="decimal"
          autoComplete="off"
          className="w-28"
          value={points}
          aria-invalid={wrong.points}
          onChange={(event) => setPoints(event.target.value)}
        />
      </Field>
      <Field label={t('review.reason')} error={wrong.reason ? words('reason') : null}>
        <Textarea
          rows={3}
          maxLength={500}
          value={reason}
          aria-invalid={wrong.reason}
          onChange={(event) => setReason(event.target.value)}
        />
      </Field>
    </>
  );
}
