import type { Application, CareStep, RecordCard } from '@cimbel/core/card';
import { PLACE_IDS, type Area } from '@cimbel/core/hair';
import type { Line } from '@cimbel/core/product';
import { useTranslation } from 'react-i18next';
import { placeWord } from '../../lib/i18n';
import { isTwice, orderName } from '../head/places';
import { useBowlWords } from './words';
import '../../lib/words/appointments';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** A card in words, as it is shown and printed. */
export interface CardWords {
  /** Decision, visits, readings and bowls; a value is null where nothing is written. */
  facts: { term: string; value: string | null }[];
  /** What is done, in the order it is done. */
  timeline: { when: string; what: string }[];
  /** What the client does at home, and when to come back; empty where nothing is told. */
  home: string;
}

/** A plan as it stands on the card: readings, bowls, steps, and what the client takes home. */
export function useCardWords(): (plan: RecordCard, lines: readonly Line[]) => CardWords {
  const { t } = useTranslation(['ui', 'craft', 'appointments']);
  const bowlWords = useBowlWords();
  const list = (zoneNames: readonly string[]) => zoneNames.map((zone) => placeWord(t, zone)).join(', ');
  const careWords = (care: CareStep) =>
    care.do === 'rinse'
      ? t('care.rinseWords', { what: t('craft:care.rinse'), water: t(`craft:rinseWater.${care.water}`) })
      : care.do === 'wash'
        ? t('care.washWords', { how: t(`craft:washKind.${care.how}`), times: care.times })
        : care.do === 'treat'
          ? `${t('craft:care.treat')}: ${t(`craft:treatment.${care.treatment}`)}`
          : t(`craft:care.${care.do}`);
  const inOrder = (areas: readonly Area[]) => {
    const name = orderName(areas);
    const words =
      name === null
        ? areas.map((area) => t(`craft:area.${area}`)).join(' › ')
        : t(`craft:areaOrder.${name}`).toLowerCase();
    return name !== null && isTwice(areas, 'hairline')
      ? `${words}, ${t('head.hairlineAgain').toLowerCase()}`
      : words;
  };
  const stepWords = (application: Application) =>
    [
      t('bench.stepWords', { bowl: application.bowl, zones: list(application.zones) }),
      application.placement === 'foils' ? t('bench.foilsWords', { share: application.share }) : '',
      application.placement === 'between' ? t('craft:placement.between') : '',
      application.taken ? t(`craft:taken.${application.taken}`) : '',
      inOrder(application.areas),
      application.stopsAtLine ? '' : t('bench.pastLine'),
      application.partingMm ? t('bench.partingWords', { mm: application.partingMm }) : '',
      application.takesMinutes ? t('bench.takesWords', { minutes: application.takesMinutes }) : '',
      application.heat ? t('bench.heatWords', application.heat) : '',
      application.wet ? t('bench.wetWords') : '',
      application.checkEvery ? t('bench.every', { minutes: application.checkEvery }) : '',
      application.checkAt ? t('bench.checkedAt', { minutes: application.checkAt.join(', ') }) : '',
      application.watchedFor ? t(`craft:watchedFor.${application.watchedFor}`) : '',
      application.untilLevel === undefined
        ? ''
        : t('bench.untilLevelWords', { level: application.untilLevel }),
    ]
      .filter(Boolean)
      .join(' · ');
  return (plan, lines) => ({
    facts: [
      {
        term: t('bench.decide'),
        value:
          plan.decision === null ? null : t(plan.decision === 'decline' ? 'bench.decline' : 'bench.goOn'),
      },
      ...(plan.decision === 'decline'
        ? []
        : [{ term: t('bench.visitsShort'), value: plan.visits === null ? null : String(plan.visits) }]),
      ...PLACE_IDS.flatMap((zone) => {
        const reading = plan.readings[zone];
        if (!reading) return [];
        const { level, greyShare, underlay, counter } = reading;
        const parts = [
          level === null ? t('answer.none') : t('bench.readLevel', { level }),
          ...(greyShare ? [t('bench.readGrey', { share: greyShare })] : []),
          ...(underlay ? [t(`craft:underlay.${underlay}`)] : []),
          ...(counter ? [t(`craft:counter.${counter}`)] : []),
        ];
        return [{ term: t('bench.readOf', { zone }), value: parts.join(' · ') }];
      }),
      ...plan.bowls.map((bowl) => ({
        term: t('bench.bowlTab', {
          name: bowl.name,
          line:
            lines.find(({ id }) => id === bowl.lineId)?.name ??
            (bowl.from ? t('bench.leftoverOf', { bowl: bowl.from.bowl }) : '–'),
        }),
        value: bowlWords(bowl, lines),
      })),
      ...(plan.station
        ? [
            {
              term: t('bench.station'),
              value: plan.station.map((item) => t(`craft:station.${item}`)).join(', ') || null,
            },
          ]
        : []),
      ...(plan.quote
        ? [
            {
              term: t('appointments:quote.card'),
              value:
                plan.quote.price === null || plan.quote.minutes === null
                  ? null
                  : t('appointments:quote.onCard', plan.quote),
            },
          ]
        : []),
      ...(plan.wash ? [{ term: t('bench.washFirst'), value: t(`craft:wash.${plan.wash}`) }] : []),
    ],
    // In the order it is done, whatever it is.
    timeline: [
      ...plan.care.map((care) => ({
        start: care.start,
        when: t('care.minute', { start: care.start }),
        what: t('care.words', { what: careWords(care), places: list(care.zones) }),
      })),
      ...plan.steps.map((application) => ({
        start: application.start,
        when: t('bench.from', { start: application.start, end: application.start + application.minutes }),
        what: stepWords(application),
      })),
    ]
      .sort((a, b) => a.start - b.start)
      .map(({ when, what }) => ({ when, what })),
    home: [
      plan.aftercare.map((care) => t(`craft:aftercare.${care}`)).join(', '),
      plan.aftercare.length > 0 && plan.nextVisitWeeks
        ? t('bench.backIn', { weeks: plan.nextVisitWeeks })
        : '',
    ]
      .filter(Boolean)
      .join(' · '),
  });
}
