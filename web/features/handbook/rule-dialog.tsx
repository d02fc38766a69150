import { useTranslation } from 'react-i18next';
import '../../lib/words/handbook';
import { Button, ButtonLink } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { RuleText } from './rule-text';

/** One rule, over the page that named it. */
export default function RuleDialog({ rule, onClose }: { rule: string; onClose: () => void }) {
  const { t } = useTranslation(['handbook', 'ui']);
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('page.rule', { rule })}
      actions={
        <>
          <ButtonLink weight="quiet" to={`/handbook#${rule}`} onClick={onClose}>
            {t('page.open')}
          </ButtonLink>
          <Button weight="main" onClick={onClose}>
            {t('ui:action.close')}
          </Button>
        </>
      }
    >
      <RuleText rule={rule} />
    </Dialog>
  );
}
