import { JOININGS, type Joining, type Roster } from '@cimbel/contract';
import { RefreshCw } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import '../../lib/words/people';
import { Button } from '../../ui/button';
import { Confirm } from '../../ui/dialog';
import { Choice } from '../../ui/choice';
import { Field } from '../../ui/field';
import { Notice, Refused, Sheet } from '../../ui/panel';
import { JoinCode } from './join-code';
import { useRosterChange } from './use-roster';

/** The class code, and what someone who has it may do. */
export function JoiningPanel({
  classId,
  roster: { joinCode, joining, closedBy },
}: {
  classId: string;
  roster: Roster;
}) {
  const { t } = useTranslation(['people', 'ui']);
  const [asking, setAsking] = useState(false);
  const set = useRosterChange(classId, (next: Joining) =>
    api('PUT', `/api/classes/${classId}/joining`, { joining: next }),
  );
  const renew = useRosterChange(classId, () => api('POST', `/api/classes/${classId}/join-code`));
  const failed = set.error ?? renew.error;
  return (
    <Sheet className="flex flex-col gap-3">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <JoinCode code={joinCode} />
        <Button
          weight="quiet"
          icon={<RefreshCw aria-hidden className="size-4" />}
          onClick={() => setAsking(true)}
        >
          {t('roster.newCode')}
        </Button>
      </div>
      <Field label={t('roster.joining')}>
        <Choice
          label={t('roster.joining')}
          value={set.isPending ? set.variables : joining}
          options={JOININGS.map((value) => ({ value, text: t(`roster.joinings.${value}`) }))}
          onChange={(next) => set.mutate(next)}
        />
      </Field>
      {joining === 'open' && closedBy.length > 0 ? (
        <Notice kind="info">{t('roster.closedBy', { titles: closedBy.join(', ') })}</Notice>
      ) : null}
      <Refused error={failed} />
      <Confirm
        open={asking}
        onCancel={() => setAsking(false)}
        onConfirm={() => {
          setAsking(false);
          renew.mutate(undefined);
        }}
        title={t('roster.newCodeTitle')}
        text={t('roster.newCodeText', { code: joinCode })}
        confirm={t('roster.newCode')}
      />
    </Sheet>
  );
}
