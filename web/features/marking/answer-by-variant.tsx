import type { EducatorAssignment } from '@cimbel/contract';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import '../../lib/words/assigning';
import { Choice } from '../../ui/choice';
import { ModelAnswerPanel } from './model-answer';

/** The model answer of an assignment; where students have other figures than are written, of the variant that is chosen. */
export function AnswerByVariant({
  assignment: { setAs, variants, modelAnswer, lines, houseRules },
}: {
  assignment: EducatorAssignment;
}) {
  const { t } = useTranslation('assigning');
  const [chosen, setChosen] = useState(1);
  const variant = variants.find(({ number }) => number === chosen);
  const told = setAs === 'asWritten' ? null : t(`variants.told.${setAs}`);
  return (
    <div className="flex flex-col gap-3">
      {variant ? (
        <div className="flex flex-col gap-2">
          <p className="text-quiet text-sm">{told}</p>
          {variants.length > 1 ? (
            <Choice
              label={t('variants.choose')}
              value={String(chosen)}
              options={variants.map(({ number, clientCase }) => ({
                value: String(number),
                text: t('variants.nth', { number, client: clientCase.client.name }),
              }))}
              onChange={(number) => setChosen(Number(number))}
            />
          ) : null}
        </div>
      ) : null}
      <ModelAnswerPanel
        key={chosen}
        solution={variant?.modelAnswer ?? modelAnswer}
        lines={lines}
        houseRules={houseRules}
      />
    </div>
  );
}
