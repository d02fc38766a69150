import { type ToneFamily, toneLab, isWarm, differenceOf } from '../../colour';
import { type HairReading, readStrand } from '../../hair';
import { type Shade, shadesOf } from '../../product';
import { reason } from '../../reason';
import { tonerLevels, underlayAt } from '../../rules';
import { lineNamed, lightFor, houseFact } from '../context';
import { type DoseResult, dosedChoice } from '../dosed-choice';
import { term } from '../item';
import type { ItemRequest, MadeItem } from '../maker';
import { insist } from '../random-draw';
import { type Subject, labOfSubject, strandOfSubject, lookOfSubject } from '../subject';
import {
  type TonerLine,
  TONER_LINES,
  WISHES,
  AS_WISHED,
  MOST_SHIFT,
  levelLeft,
  mistakesAmong,
  comesNear,
} from './toner-finish';

/** Parts of the bowl that are shade, the rest clear: all of it, half, a quarter. */
const DOSES = { quarter: 0.25, half: 0.5, whole: 1 } as const;
type Dose = keyof typeof DOSES;
const DOSE_NAMES = Object.keys(DOSES) as Dose[];
const THINGS = 4;
/** From this level on less than the whole bowl may be enough; and how often that is asked for. */
const THINNED_FROM = 8;
const THINNED_SHARE = 0.7;
const STRONG_SHARE = 0.3;

interface Tried {
  shade: Shade;
  dose: Dose;
  subject: Subject;
  /** ΔE2000 to the wish. */
  deltaE: number;
  reading: HairReading;
}

/**
 * A toner laid on the strand: which shade of the line, and how much of the bowl is it and how much clear. The hair model
 * makes every one of them; right is the finish that was asked for, at the level the hair is, with the least shade (F4, F5).
 */
export function tonerLaid({ draw, step, rules, scope }: ItemRequest, level: number): MadeItem {
  const lineId: TonerLine = draw.pick(Object.keys(TONER_LINES) as TonerLine[]);
  const line = lineNamed(lineId);
  const wish: ToneFamily = draw.pick(WISHES);
  const goal = toneLab(level, { primary: wish });
  const [clear] = shadesOf(line).filter(({ series }) => series === 'clear');
  const tryOf = (shade: Shade, dose: Dose): Tried => {
    const product = TONER_LINES[lineId];
    const subject: Subject = {
      kind: 'glossed',
      level,
      shade,
      white: 0,
      product,
      ...(dose === 'whole' ? {} : { thinned: { clear, dose: DOSES[dose] } }),
    };
    const deltaE = differenceOf(labOfSubject(subject), goal);
    return { shade, dose, subject, deltaE, reading: readStrand(strandOfSubject(subject)) };
  };
  const depths = tonerLevels(level, rules);
  const fits = ({ shade, deltaE, reading }: Tried) =>
    deltaE <= AS_WISHED && Math.abs(reading.level - level) <= MOST_SHIFT && depths.includes(shade.level!);
  const shades = shadesOf(line).filter(({ level: depth }) => depth !== null && Math.abs(depth - level) <= 1);
  const tried = new Map(shades.map((shade) => [shade, DOSE_NAMES.map((dose) => tryOf(shade, dose))]));
  const leastOf = (shade: Shade) => tried.get(shade)!.find(fits);
  const trieds = shades.flatMap((shade) => leastOf(shade) ?? []);
  // Pale hair takes little: what is left undiluted there by habit is the mistake to meet.
  insist(
    level >= THINNED_FROM || draw.chance(STRONG_SHARE),
    'deeper hair takes all of it, and is asked for now and then',
  );
  const isThinned = level >= THINNED_FROM && draw.chance(THINNED_SHARE);
  // What comes as near and is called otherwise is neither offered nor asked for.
  const called = trieds.filter(
    ({ dose, reading }) => reading.tone === wish && (!isThinned || dose !== 'whole'),
  );
  insist(called.length > 0, 'nothing comes out that is called by the wish');
  const right = draw.pick(called);
  insist(tried.get(right.shade)!.filter(fits).length === 1, 'it comes out as wished in another dose, too');
  // Hair that comes out as wished in any dose would make every dose right.
  const wrong = shades.filter((shade) => !leastOf(shade));
  const others = mistakesAmong(
    wrong.map((shade) => ({ shade })),
    level,
    wish,
    draw,
  ).map(({ shade }) => shade);
  insist(others.length >= THINGS - 1, 'too few other shades');
  const things = draw.shuffled([right.shade, ...others.slice(0, THINGS - 1)]);

  const judge = (shade: Shade, dose: Dose): DoseResult => {
    const one = tried.get(shade)!.find((other) => other.dose === dose)!;
    const { subject, deltaE, reading } = one;
    if (shade === right.shade && dose === right.dose) return { score: 1, why: null, subject };
    const params = {
      label: shade.label,
      dose,
      hair: level,
      depth: shade.level!,
      level: levelLeft(reading, level),
      tone: reading.tone,
      wish,
      right: right.shade.label,
      rightDose: right.dose,
    };
    const is = (score: number, code: string, rule: string): DoseResult => ({
      score,
      why: reason(`drill.lay.${code}`, rule, params),
      subject,
    });
    const near = comesNear(deltaE, reading, level, wish);
    if (shade === right.shade)
      return is(near ? 0.5 : 0, DOSES[dose] < DOSES[right.dose] ? 'thin' : 'strong', 'U2');
    if (shade.level! > level) return is(near ? 0.5 : 0, 'tooLight', 'F4');
    if (shade.level! < level) return is(near ? 0.5 : 0, 'tooDeep', 'F4');
    if (near) return is(0.5, 'near', 'F5');
    return is(0, isWarm(shade.tone) ? 'warmSide' : 'coolSide', 'F5');
  };
  const light = lightFor(scope, step, draw.pick);
  const subject: Subject = { kind: 'lightened', level, white: 0 };

  return {
    ask: term('toner.lay', { tone: wish, level, line: line.name, clear: clear.label }),
    facts: [...(step === 1 ? [term('fact.levelReached', { level })] : []), houseFact(rules, 'tonerDepth')],
    lineId: line.id,
    pictures: [{ look: lookOfSubject(subject, { light, seed: draw.seed(), shine: 0.5 }), caption: null }],
    light,
    ...dosedChoice(
      things,
      DOSE_NAMES,
      (shade, dose) => term('option.laid', { label: shade.label, dose }),
      judge,
    ),
    hands: {
      kind: 'lay',
      things: things.map(({ label }) => term('option.label', { label })),
      doses: DOSE_NAMES.map((dose) => term('option.dose', { dose })),
    },
    subject: right.subject,
    why: [
      reason('drill.lay.right', 'F5', {
        level,
        underlay: underlayAt(level, rules),
        label: right.shade.label,
        dose: right.dose,
        tone: wish,
        leaves: levelLeft(right.reading, level),
      }),
    ],
  };
}
