import { type RecordCard, type Bowl, type Application, colourGrams, bowlVol } from '../card';
import { uppermostHistory } from '../case';
import type { ToneFamily } from '../colour';
import type { Criterion } from '../exercise';
import { type Line, hasDeveloper, hasShades, readLabel, writeLabel } from '../product';
import type { ModelAnswer } from '../solve';
import { tenth, withBowl, toVol, shifted, withSteps, ofLine } from './slips/context';

/** One decision of the model answer taken otherwise: the card it makes, and where the fault of it stands. */
export interface Alternative {
  /** Criterion it belongs to. */
  criterion: Criterion;
  /** Name of the bowl it is about; null for the head as a whole. */
  bowl: string | null;
  /** The model answer’s card with this decision taken otherwise. */
  card: RecordCard;
}

/** Steps of strength, in volumes; levels; and times, as a fraction of the right one. */
const VOLS = [-20, -10, 10, 20] as const;
const LEVELS = [-2, -1, 1, 2] as const;
const TIMES = [1 / 2, 2 / 3, 2] as const;
/** What cancels a tone on a shade chart. */
const OPPOSITE: Partial<Record<ToneFamily, ToneFamily>> = {
  ash: 'copper',
  violet: 'gold',
  matte: 'red',
  pearl: 'gold',
  beige: 'ash',
  gold: 'violet',
  copper: 'ash',
  red: 'matte',
  mahogany: 'matte',
  warmBrown: 'ash',
};

const shadeTo = (bowl: Bowl, label: string): Bowl => ({
  ...bowl,
  shades: [{ label, grams: tenth(colourGrams(bowl)) }],
});

const NEIGHBOURS: Partial<Record<Line['kind'], { kind: Line['kind']; vol: number | null }[]>> = {
  permanent: [{ kind: 'demi', vol: null }],
  express: [{ kind: 'demi', vol: null }],
  demi: [{ kind: 'permanent', vol: 20 }],
  acidGloss: [{ kind: 'permanent', vol: 20 }],
  lightenerStrong: [{ kind: 'permanent', vol: 40 }],
  lightenerGentle: [{ kind: 'lightenerStrong', vol: 30 }],
};

const isChelating = (care: RecordCard['care'][number]) => care.do === 'wash' && care.how === 'chelating';

/** Every alternative of a model answer: each of its decisions, one at a time, as somebody might take it. */
export function alternativesTo(
  { card: best, clientCase, visits, stops }: ModelAnswer,
  lines: readonly Line[],
): Alternative[] {
  const alternatives: Alternative[] = [];
  const add = (criterion: Criterion, bowl: string | null, card: RecordCard | null) => {
    if (card) alternatives.push({ criterion, bowl, card });
  };
  if (stops.length > 0) return [];
  const lineOf = ({ lineId }: Bowl) => lines.find(({ id }) => id === lineId);
  for (const bowl of best.bowls) {
    const line = lineOf(bowl);
    if (!line) continue;
    const own = best.steps.filter((application) => application.bowl === bowl.name);
    if (
      hasDeveloper(line.kind) &&
      line.kind !== 'remover' &&
      line.kind !== 'demi' &&
      line.kind !== 'acidGloss'
    )
      for (const by of VOLS) {
        const vol = (bowlVol(bowl) ?? 0) + by;
        if (vol >= 5 && vol <= 40)
          add(
            'developer',
            bowl.name,
            withBowl(best, bowl.name, () => toVol(bowl, vol)),
          );
      }
    if (bowl.shades.length > 0) {
      for (const by of LEVELS) {
        const other = shifted(bowl, line, by);
        if (other)
          add(
            'depth',
            bowl.name,
            withBowl(best, bowl.name, () => other),
          );
      }
      addTones(bowl, line, (label) =>
        add(
          'tone',
          bowl.name,
          withBowl(best, bowl.name, () => shadeTo(bowl, label)),
        ),
      );
      const natural = bowl.shades.filter(({ label }) => isNatural(line, label));
      if (natural.length > 0 && natural.length < bowl.shades.length) {
        const rest = bowl.shades.filter((shade) => !natural.includes(shade));
        add(
          'greyShare',
          bowl.name,
          withBowl(best, bowl.name, () => shadeTo(bowl, rest[0].label)),
        );
        add(
          'tone',
          bowl.name,
          withBowl(best, bowl.name, () => shadeTo(bowl, natural[0].label)),
        );
      } else if (natural.length === 0) {
        const half = halfNatural(bowl, line);
        if (half)
          add(
            'greyShare',
            bowl.name,
            withBowl(best, bowl.name, () => half),
          );
      }
    }
    for (const by of TIMES)
      add(
        'timing',
        bowl.name,
        withSteps(best, (application) =>
          application.bowl === bowl.name
            ? { ...application, minutes: Math.max(1, Math.round(application.minutes * by)) }
            : application,
        ),
      );
    for (const { kind, vol } of NEIGHBOURS[line.kind] ?? []) {
      const other = lines.find((line) => line.kind === kind);
      const made = other && ofLine(bowl, line, other, vol ?? other.developersVol[0] ?? 0);
      if (!made || !other) continue;
      const card = withBowl(best, bowl.name, () => made);
      add(
        'route',
        bowl.name,
        withSteps(card, (application) =>
          application.bowl === bowl.name && hasShades(kind)
            ? { ...application, minutes: other.minutes.standard }
            : application,
        ),
      );
    }
    if (['filler', 'remover', 'lightenerStrong', 'lightenerGentle'].includes(line.kind))
      add('route', bowl.name, {
        ...best,
        bowls: best.bowls.filter((one) => one !== bowl),
        steps: best.steps.filter((application) => application.bowl !== bowl.name),
      });
    addOverlaps(bowl, own);
  }
  if (best.steps.some(({ placement }) => placement === 'foils'))
    add(
      'order',
      null,
      withSteps(best, (application) =>
        application.placement === 'foils' ? { ...application, placement: 'open', share: 1 } : application,
      ),
    );
  const starts = [...new Set(best.steps.map(({ start }) => start))];
  if (starts.length > 1) {
    const first = best.steps.filter(({ start }) => start < 30);
    const last = Math.max(...first.map(({ start }) => start));
    if (last > 0)
      add(
        'order',
        null,
        withSteps(best, (application) =>
          first.includes(application)
            ? {
                ...application,
                start: last - application.start,
                minutes: Math.max(1, application.minutes + 2 * application.start - last),
              }
            : application,
        ),
      );
  }
  if (best.care.some(isChelating))
    add('route', null, { ...best, care: best.care.filter((care) => !isChelating(care)) });
  if (visits.length > 1) add('safety', null, { ...best, visits: visits.length - 1 });
  return alternatives;

  function addOverlaps(bowl: Bowl, own: readonly Application[]) {
    const zones = clientCase.head.zones;
    const others = zones
      .filter(
        (zone) =>
          uppermostHistory(zone).kind !== 'untouched' &&
          !own.some((application) => application.zones.includes(zone.zone)),
      )
      .map(({ zone }) => zone);
    if (others.length === 0 || own.length === 0) return;
    const [first] = own;
    add('order', bowl.name, {
      ...best,
      steps: best.steps
        .map((application) =>
          application === first
            ? { ...application, zones: [...application.zones, ...others], stopsAtLine: false }
            : application,
        )
        .filter(
          (application) => application === first || !application.zones.every((zone) => others.includes(zone)),
        ),
    });
  }
}

/** The bowl with as much of the natural shade of its level as of what is in it. */
function halfNatural(bowl: Bowl, line: Line): Bowl | null {
  const reading = bowl.shades[0] && readLabel(line, bowl.shades[0].label);
  if (!reading?.ok || reading.shade.level === null) return null;
  const label = writeLabel(line, reading.shade.level, { primary: 'neutral' });
  if (!label || !line.shades.includes(label)) return null;
  const grams = tenth(colourGrams(bowl) / 2);
  return {
    ...bowl,
    shades: [...bowl.shades.map((shade) => ({ ...shade, grams: tenth(shade.grams / 2) })), { label, grams }],
  };
}

const isNatural = (line: Line, label: string): boolean => {
  const reading = readLabel(line, label);
  return reading.ok && (reading.shade.series === 'natural' || reading.shade.series === 'extraNatural');
};

/** No tone, and the opposite one, at the level of the first shade that has a tone. */
function addTones(bowl: Bowl, line: Line, add: (label: string) => void): void {
  for (const { label } of bowl.shades) {
    const reading = readLabel(line, label);
    if (!reading.ok || reading.shade.level === null) continue;
    const { level, tone } = reading.shade;
    const other =
      tone.primary === 'neutral'
        ? (['ash', 'gold'] as const)
        : (['neutral', OPPOSITE[tone.primary]] as const);
    for (const primary of other) {
      const name = primary && writeLabel(line, level, { primary });
      if (name && line.shades.includes(name)) add(name);
    }
    return;
  }
}
