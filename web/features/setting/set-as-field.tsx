import { SET_AS, type SetAs } from '@cimbel/contract';
import { useTranslation } from 'react-i18next';
import '../../lib/words/assigning';
import { Choice } from '../../ui/choice';
import { Field } from '../../ui/field';

/** Whether students work the case as it is written, or in other figures, and whether each has some of their own. */
export function SetAsField({
  value,
  fixed,
  onChange,
}: {
  value: SetAs;
  /** Said once, when it is assigned; other figures are drawn whenever it is changed. */
  fixed: boolean;
  onChange: (value: SetAs) => void;
}) {
  const { t } = useTranslation('assigning');
  return (
    <Field label={t('variants.title')} hint={t(`variants.hint.${value}`)}>
      <Choice
        label={t('variants.title')}
        value={value}
        disabled={fixed}
        options={SET_AS.map((name) => ({ value: name, text: t(`variants.${name}`) }))}
        onChange={onChange}
      />
    </Field>
  );
}
