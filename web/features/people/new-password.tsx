import { useTranslation } from 'react-i18next';
import { useFieldWords } from '../../lib/form';
import { Field, Input } from '../../ui/field';

/** A password of one's own choosing. */
export function NewPassword({
  label,
  value,
  wrong,
  onValue,
}: {
  label: string;
  value: string;
  /** Whether it was sent and cannot be. */
  wrong: boolean;
  onValue: (value: string) => void;
}) {
  const { t } = useTranslation('ui');
  const words = useFieldWords();
  return (
    <Field
      label={label}
      hint={wrong ? undefined : t('register.passwordHint')}
      error={wrong ? words('password') : null}
    >
      <Input
        type="password"
        autoComplete="new-password"
        aria-invalid={wrong}
        value={value}
        onChange={({ target }) => onValue(target.value)}
      />
    </Field>
  );
}
