import type { ClientCase } from '@cimbel/core/case';
import type { TypicalError } from '@cimbel/core/mark';
import type { Line } from '@cimbel/core/product';
import { REACHED_DELTA_E, explain, type Explanation, type ModelAnswer } from '@cimbel/core/solve';
import type { HouseRules } from '@cimbel/core/rules';
import { useTranslation } from 'react-i18next';
import { placeWord } from '../../lib/i18n';
import { Notice, Sheet } from '../../ui/panel';
import { AppointmentsSheet } from '../appointments/appointments-sheet';
import { RecordCardView } from '../bench/record-card';
import { useBowlWords } from '../bench/words';
import { ReasonList, ReasonText } from './reasons';
import { Visits, type WhichVisit } from './visits';
import '../../lib/words/craft';
import '../../lib/words/bench';

const zoneName = (part: string) => part.split('.')[0];

/** Every part of the model answer with its reasons, folded away until they are asked for. */
export function WhyThis({
  solution,
  lines,
  houseRules,
}: {
  solution: ModelAnswer;
  lines: readonly Line[];
  houseRules: HouseRules;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { tried = [] } = solution;
  const explained = explain(solution, (id) => lines.find((line) => line.id === id), houseRules);
  if (explained.length === 0) return null;
  const nameOf = ({ part }: Explanation) =>
    `${placeWord(t, zoneName(part))}${part.endsWith('.woven') ? ` (${t('bench.wovenShort')})` : ''}`;
  return (
    <Sheet>
      <details>
        <summary className="cursor-pointer font-semibold">{t('result.whyTitle')}</summary>
        {explained.map((explanation) => (
          <section key={explanation.part} className="mt-3 text-sm">
            <h3 className="text-base first-letter:uppercase">{nameOf(explanation)}</h3>
            <ReasonList reasons={explanation.reasons} />
            {explanation.notes.length > 0 ? (
              <>
                <h4 className="mt-2 font-semibold">{t('result.notesTitle')}</h4>
                <ReasonList reasons={explanation.notes} />
              </>
            ) : null}
            <OtherRoutes tried={tried.filter(({ part }) => part === explanation.part)} />
          </section>
        ))}
      </details>
    </Sheet>
  );
}

/** Ways that were looked at and not taken, and what ended each. */
function OtherRoutes({ tried }: { tried: NonNullable<ModelAnswer['tried']> }) {
  const { t } = useTranslation(['ui', 'craft']);
  if (tried.length === 0) return null;
  return (
    <>
      <h4 className="mt-2 font-semibold">{t('result.otherRoutes')}</h4>
      <ul>
        {tried.map(({ technique, why }) => (
          <li key={technique}>
            <span className="font-semibold">{t(`craft:route.${technique}`)}:</span>{' '}
            <ReasonText reason={why} />
          </li>
        ))}
      </ul>
    </>
  );
}

/** The computed solution: routes with their reasons, the card, other plans as good, near misses, and the visits. */
export function ModelAnswerPanel({
  solution,
  lines,
  houseRules,
  nearMisses,
  onVisit,
}: {
  solution: ModelAnswer;
  lines: readonly Line[];
  houseRules: HouseRules;
  nearMisses?: readonly TypicalError[];
  /** Takes a visit of several as a case of its own. */
  onVisit?: (clientCase: ClientCase, which: WhichVisit) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const bowlWords = useBowlWords();
  const { stops, choices, card, equivalents, proof, visits } = solution;
  const short = choices.filter(({ deltaE }) => deltaE !== null && deltaE > REACHED_DELTA_E);
  return (
    <div className="flex flex-col gap-4">
      {stops.length > 0 ? (
        <Notice kind="warn">
          <strong>{t('bench.mustDecline')}</strong>{' '}
          {stops.map((stop) => (
            <ReasonText key={stop.code} reason={stop} />
          ))}
        </Notice>
      ) : null}
      {visits.length > 1 ? (
        <Notice kind="warn">
          <strong>{t('bench.visitsTitle', { count: visits.length })}</strong>{' '}
          {proof.slice(0, 1).map((reason) => (
            <ReasonText key={reason.code} reason={reason} />
          ))}
        </Notice>
      ) : null}
      {short.length > 0 ? <Notice kind="warn">{t('bench.apart')}</Notice> : null}
      {choices.length > 0 ? (
        <Sheet className="flex flex-col gap-1">
          <h2 className="text-lg">{t('bench.routes')}</h2>
          <ul className="text-sm">
            {choices.map(({ part, technique, reason, deltaE }) => (
              <li key={part} className="py-0.5">
                <strong>
                  {t('bench.routeOf', { zone: zoneName(part), route: technique })}
                  {part.endsWith('.woven') ? ` (${t('bench.wovenShort')})` : ''}
                </strong>{' '}
                <ReasonText reason={reason} />{' '}
                {deltaE === null ? null : (
                  <span className="text-quiet">{t('bench.deltaEOf', { deltaE })}</span>
                )}
              </li>
            ))}
          </ul>
        </Sheet>
      ) : null}
      <RecordCardView plan={card} lines={lines} title={t('result.keyTitle')} />
      <Visits solution={solution} lines={lines} onSet={onVisit} />
      {card.decision === 'goOn' ? (
        <AppointmentsSheet
          answers={[{ name: 'model', answer: solution }]}
          lines={lines}
          houseRules={houseRules}
          seed={0}
        />
      ) : null}
      <WhyThis solution={solution} lines={lines} houseRules={houseRules} />
      {equivalents.length > 0 ? (
        <Sheet>
          <details>
            <summary className="cursor-pointer font-semibold">
              {t('bench.asGood', { count: equivalents.length })}
            </summary>
            <ul className="mt-2 text-sm">
              {equivalents.map((card) => (
                <li key={JSON.stringify(card.bowls)} className="border-line border-t py-1">
                  {card.bowls.map((bowl) => `${bowl.name}: ${bowlWords(bowl, lines)}`).join(' · ')}
                </li>
              ))}
            </ul>
          </details>
        </Sheet>
      ) : null}
      {nearMisses && nearMisses.length > 0 ? (
        <Sheet>
          <details>
            <summary className="cursor-pointer font-semibold">
              {t('bench.nearMisses', { count: nearMisses.length })}
            </summary>
            <ul className="mt-2 text-sm">
              {nearMisses.map(({ misconception, breaks, grade }) => (
                <li key={misconception} className="border-line border-t py-1">
                  <strong>{t(`craft:slip.${misconception}`)}</strong>{' '}
                  <span className="text-quiet">
                    {t('result.points', { points: grade.points, max: grade.max })}
                  </span>{' '}
                  <ReasonText reason={breaks} />
                </li>
              ))}
            </ul>
          </details>
        </Sheet>
      ) : null}
    </div>
  );
}
