import { useTranslation } from 'react-i18next';
import { asApiError } from '../../lib/api';
import { Button } from '../../ui/button';
import { Notice } from '../../ui/panel';
import '../../lib/words/reading';

/** The end of a form that sets something for a class: what went wrong besides the fields, set it, look at it first. */
export function SetActions({
  error,
  busy,
  set,
  onSet,
  canPreview,
  onPreview,
}: {
  error: unknown;
  busy: boolean;
  set: string;
  onSet: () => void;
  canPreview: boolean;
  onPreview: () => void;
}) {
  const { t } = useTranslation();
  return (
    <>
      {error && asApiError(error).fields.length === 0 ? (
        <Notice kind="bad">{t(`error.${asApiError(error).code}`)}</Notice>
      ) : null}
      <div className="flex flex-wrap gap-3">
        <Button weight="main" disabled={busy} onClick={onSet}>
          {set}
        </Button>
        <Button disabled={!canPreview} onClick={onPreview}>
          {t('reading.set.preview')}
        </Button>
      </div>
    </>
  );
}
