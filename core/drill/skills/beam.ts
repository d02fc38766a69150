import { reason } from '../../reason';
import { VIOLET_DOSE, type Counter, COUNTERS, counterAt, underlayAt } from '../../rules';
import { lightFor, houseFact } from '../context';
import { type DoseResult, dosedChoice } from '../dosed-choice';
import { term } from '../item';
import type { ItemRequest, MadeItem } from '../maker';
import { type Subject, lookOfSubject } from '../subject';

/** Levels whose warmth is laid level; 10 wants no more than a trace. */
export const BEAM_LEVELS = { from: 5, to: 9 } as const;
/** Parts of the whole dose that are laid: the whole is what the warmth of levels 5 to 8 asks for (U1, U5). */
const DOSES = { third: VIOLET_DOSE.creamy, whole: VIOLET_DOSE.bright, twice: 2 } as const;
type Dose = keyof typeof DOSES;
const DOSE_NAMES = Object.keys(DOSES) as Dose[];
const THINGS = 4;
/** The doses of violet are one opposite. */
const asOpposite = (counter: Counter): Counter =>
  counter === 'softViolet' || counter === 'traceViolet' ? 'violet' : counter;
const OPPOSITES = [...new Set(COUNTERS.map(asOpposite))];

/**
 * The beam: warmth lies in one pan, its opposite is laid in the other until it is level (U1, U2). At 9 it depends on the
 * yellow: bright asks for the whole dose of level 8, creamy for a third (U5).
 */
export function beam({ draw, step, rules, scope }: ItemRequest, level: number): MadeItem {
  const right = asOpposite(counterAt(level));
  const yellow = level === 9 ? draw.pick(['bright', 'creamy'] as const) : null;
  const needed: Dose = yellow === 'creamy' ? 'third' : 'whole';
  const underlay = underlayAt(level, rules);
  const at = OPPOSITES.indexOf(right);
  const others = OPPOSITES.filter((counter) => counter !== right).sort(
    (a, b) => Math.abs(OPPOSITES.indexOf(a) - at) - Math.abs(OPPOSITES.indexOf(b) - at),
  );
  const offered = (step >= 3 ? others : draw.shuffled(others)).slice(0, THINGS - 1);
  const judge = (counter: Counter, dose: Dose): DoseResult => {
    const params = { given: counter, counter: right, underlay, level, target: level, dose, needed };
    if (counter === right) {
      if (dose === needed) return { score: 1, why: null };
      const much = DOSES[dose] > DOSES[needed];
      return {
        score: 0.5,
        why: reason(`drill.beam.${much ? 'tooMuch' : 'tooLittle'}`, level >= 8 ? 'U5' : 'U2', params),
      };
    }
    const redder = OPPOSITES.indexOf(counter) < at;
    return {
      score: 0,
      why: reason(redder ? 'drill.beam.ofRedder' : 'drill.beam.ofYellower', 'U2', params),
    };
  };
  const light = lightFor(scope, step, draw.pick);
  const subject: Subject = { kind: 'lightened', level, white: 0, ...(yellow ? { yellow } : {}) };
  const things = draw.shuffled([right, ...offered]);
  return {
    ask: term('predict.beam', { level }),
    facts: [
      ...(yellow ? [term(`fact.yellow.${yellow}`)] : []),
      ...(step <= 2 ? [term('fact.underlayShows', { underlay }), houseFact(rules, 'underlay')] : []),
    ],
    pictures: [{ look: lookOfSubject(subject, { light, seed: draw.seed(), shine: 0.5 }), caption: null }],
    light,
    ...dosedChoice(things, DOSE_NAMES, (counter, dose) => term('option.opposite', { counter, dose }), judge),
    hands: {
      kind: 'beam',
      things: things.map((counter) => term('option.counter', { counter })),
      doses: DOSE_NAMES.map((dose) => term('option.beamDose', { dose })),
    },
    why: [
      reason('drill.beam.level', level >= 8 ? 'U5' : 'U1', {
        level,
        underlay,
        counter: right,
        dose: needed,
        yellow: yellow ?? '',
      }),
    ],
  };
}
