import { levelOfLightness, neutralLab, toneLab, type ToneFamily, differenceOf } from '../../colour';
import { zoneMeanLab } from '../../draw';
import { readStrand } from '../../hair';
import { shippedLine, SHIPPED_LINES, readLabel } from '../../product';
import { LEVEL_SPANS, type DrillContext } from '../context';
import type { Item, Term } from '../item';
import { JUDGEMENTS } from '../judgements';
import type { Skill } from '../skill';
import { labOfSubject, strandOfSubject } from '../subject';

/**
 * The right answer of each kind of item, reckoned once more from what the student is shown and from figures written
 * down here, not from the generator's own functions: an item whose answer differs, or that has two, throws.
 */
function hold(condition: boolean, what: string, item: Item): asserts condition {
  if (!condition) throw new Error(`${what}: ${JSON.stringify(item)}`);
}
const near = (a: number, b: number, by = 1e-6) => Math.abs(a - b) <= by;
const facts = (item: Item) =>
  Object.assign({}, ...item.question.facts.map(({ params }) => params)) as Term['params'];
const ask = (item: Item) => item.question.ask.params as Record<string, number>;
const askWords = (item: Item) => item.question.ask.params as Record<string, string>;

/** Exactly the option that is right passes; every other fails. */
function onlyRight(item: Item, passes: (option: Term, index: number) => boolean): void {
  const { form } = item.question;
  const { solution } = item;
  hold(form.kind === 'choice' && solution.kind === 'choice', 'not a choice', item);
  const passing = form.options.flatMap((option, i) => (passes(option, i) ? [i] : []));
  hold(passing.length === 1 && passing[0] === solution.right, `right are ${passing.join()}`, item);
}
/**
 * A question of judgement has its answer as data: what is held here is that every option of it is there, each with a
 * sentence of its own, and that the answer is the one this class's school gives.
 */
function judgement(item: Item): void {
  const { form, ask: asked, facts: said } = item.question;
  const id = asked.code.split('.')[1];
  const known = JUDGEMENTS.find((judgement) => judgement.id === id);
  hold(known !== undefined && form.kind === 'choice', 'no such judgement', item);
  hold(form.options.length === known.options.length, 'an option is missing', item);
  const school = said
    .find(({ code }) => code.startsWith('fact.house.'))
    ?.code.split('.')
    .at(-1);
  const right = typeof known.right === 'string' ? known.right : known.right.by[school!];
  onlyRight(item, ({ code }) => code === `judgement.${id}.options.${right}`);
}
function figure(item: Item, value: number, by = 1e-6): void {
  const { solution } = item;
  hold(solution.kind === 'figure' && near(solution.value, value, by), `it is ${value}`, item);
}

const FINE = [
  'redBrownHardlySeen', 'darkRedBrown', 'redBrown', 'red', 'redOrange', 'orange', 'yellowOrange', 'yellow',
  'lightYellow', 'palestYellow',
]; // prettier-ignore
const COARSE = ['red', 'red', 'red', 'red', ...FINE.slice(4, 8), 'paleYellow', 'palestYellow'];
const OPPOSITES = [
  'green', 'green', 'green', 'green', 'blueGreen', 'blue', 'blueViolet', 'violet', 'softViolet', 'traceViolet',
]; // prettier-ignore
const underlayRow = (level: number, { rules }: DrillContext) =>
  (rules.underlay === 'fine' ? FINE : COARSE)[Math.floor(level) - 1];

/** The level that a picture of one zone really has, white strands apart; the dye of a tone darkens it (L4). */
const levelShown = (item: Item, picture = 0) => {
  const { l } = item.question.pictures[picture].look.zones[0].colour;
  const { subject } = item;
  if (subject?.kind !== 'toned') return levelOfLightness(l);
  const lost = neutralLab(subject.level).l - toneLab(subject.level, subject.tone).l;
  return levelOfLightness(l + lost);
};

/** Levels that the hair may look off what is asked for: less where halves are asked. */
const MOST_OFF = { half: 0.27, whole: 0.42 };
const level = (item: Item) => {
  const { solution, apart, facet } = item;
  if (facet === 'cures') return judgement(item);
  if (facet === 'acrossTones') {
    const wanted = ask(item).level;
    // The tone's own darkening put back, as the reason names tone and level of the others.
    const named = item.slips.map(({ answer, why }) => [answer, why.params.level] as const);
    hold(named.length === 3 && named.every(([, other]) => other !== wanted), 'two of that level', item);
    return;
  }
  hold(solution.kind === 'figure', 'not a level', item);
  const most = apart!.levels === 0.5 ? MOST_OFF.half : MOST_OFF.whole;
  hold(Math.abs(levelShown(item) - solution.value) < most, 'another level', item);
};

const tone = (item: Item) => {
  const shown = item.question.pictures.map(({ look }) => look.zones[0].colour);
  if (item.facet === 'cooler')
    return onlyRight(item, (_, i) =>
      shown.every((other, j) => j === i || (shown[i].b < other.b && shown[i].a <= other.a + 1.5)),
    );
  const deltaE = item.optionSubjects!.map((subject) =>
    differenceOf(labOfSubject(subject, item.question.light), shown[0]),
  );
  // The only option that looks like the picture; the others are seen to differ.
  onlyRight(item, (_, i) => deltaE[i] < 1.5);
  hold(
    deltaE.every((d) => d < 1.5 || d >= 2.9),
    'two look alike',
    item,
  );
};

const underlay = (item: Item, context: DrillContext) => {
  const { form } = item.question;
  if (form.kind === 'level') return level(item);
  const shown = levelShown(item);
  const truth = underlayRow(Math.round(shown), context);
  onlyRight(item, ({ params }) => params.underlay === truth);
  hold(Math.abs(shown - Math.round(shown)) <= MOST_OFF.whole, 'hair between two levels', item);
};

const predict = (item: Item, context: DrillContext) => {
  if (item.facet === 'beam') {
    const hair = ask(item).level;
    const opposite = hair >= 8 ? 'violet' : OPPOSITES[hair - 1];
    const isCreamy = item.question.facts.some(({ code }) => code === 'fact.yellow.creamy');
    return onlyRight(
      item,
      ({ params }) => params.counter === opposite && params.dose === (isCreamy ? 'third' : 'whole'),
    );
  }
  if (!(item.facet in LEVEL_SPANS)) return judgement(item);
  const { natural, target } = ask(item);
  hold(natural < target, 'nothing to lift', item);
  if (item.question.ask.code === 'predict.pigment')
    return onlyRight(item, ({ params }) => params.underlay === underlayRow(target, context));
  onlyRight(item, ({ params }) => params.counter === OPPOSITES[target - 1]);
};

/** F8, both schools, as rows of the share of grey from which each holds: its place among the answers. */
const naturalRow = (share: number, { rules }: DrillContext): number =>
  rules.greyShare === 'oneToTwo'
    ? share > 0.5 ? 1 : 0
    : share < 0.25 ? 0 : share < 0.5 ? 1 : share <= 0.75 ? 2 : 3; // prettier-ignore
const NATURAL_NAMES = {
  stepped: ['none', 'quarterToThird', 'half', 'mostOrAll'],
  oneToTwo: ['none', 'third', 'half', 'all'],
};

const grey = (item: Item, context: DrillContext) => {
  const shares = item.question.pictures.map(({ look }) => look.zones[0].greyShare);
  if (item.facet === 'where') return onlyRight(item, (_, i) => shares[i] === Math.max(...shares));
  if (item.facet === 'rest') return level(item);
  if (item.facet === 'natural') {
    const name = NATURAL_NAMES[context.rules.greyShare][naturalRow(shares[0], context)];
    return onlyRight(item, ({ code }) => code === `option.naturalShare.${name}`);
  }
  if (item.facet === 'parted') {
    const { solution } = item;
    hold(solution.kind === 'shares', 'not shares', item);
    hold(
      solution.shares.every((share, i) => near(share, shares[i])),
      'other shares',
      item,
    );
    return hold(solution.natural === naturalRow(Math.max(...shares), context), 'another natural share', item);
  }
  figure(item, shares[0]);
  const { form } = item.question;
  hold(form.kind === 'share' && near((shares[0] * 100) % form.stepPercent, 0), 'not a step', item);
};

const zones = (item: Item) => {
  const { solution } = item;
  const [{ look }] = item.question.pictures;
  hold(solution.kind === 'mark', 'not a mark', item);
  const joints = look.zones.slice(1).map(({ from }) => from);
  hold(
    joints.length === solution.at.length && joints.every((at, i) => near(at, solution.at[i])),
    'joints',
    item,
  );
  look.zones.slice(1).forEach((zone, i) => {
    hold(differenceOf(zoneMeanLab(zone), zoneMeanLab(look.zones[i])) >= 4.5, 'an unseen joint', item);
  });
};

const order = (item: Item) => {
  const { solution } = item;
  hold(solution.kind === 'order', 'not an order', item);
  const shown = solution.right.map((i) => item.question.pictures[i].look.zones[0].colour);
  const along = shown
    .slice(1)
    .map((lab, i) => (item.facet === 'light' ? shown[i].l - lab.l : lab.b - shown[i].b));
  hold(
    along.every((step) => step > 0.4),
    'not in order',
    item,
  );
};

const label = (item: Item) => {
  const line = shippedLine(item.question.lineId!)!;
  const says = (text: string): string => {
    const reading = readLabel(line, text);
    if (!reading.ok) return 'unreadable';
    const { level: depth, tone: t, series } = reading.shade;
    return series === 'fashion' ? `${depth} ${t.primary} ${t.secondary ?? ''}` : `${depth} ${series}`;
  };
  const words = ({ code, params }: Term) =>
    code === 'option.shadeIntense'
      ? `${params.level} ${params.primary} ${params.primary}`
      : code === 'option.shadeOne' || code === 'option.shadeTwo'
        ? `${params.level} ${params.primary} ${params.secondary ?? ''}`
        : `${params.level} ${code.replace('option.', '')}`;
  if (item.facet === 'carried') {
    const { from, label: written, to } = askWords(item);
    const other = SHIPPED_LINES.find(({ name }) => name === from)!;
    const reading = readLabel(other, written);
    hold(reading.ok && line.name === to, 'a card that cannot be read', item);
    const { level: depth, tone: wanted } = reading.shade;
    const grams = ask(item).colour * line.ratios[0];
    return onlyRight(
      item,
      ({ params }) =>
        says(String(params.label)) === `${depth} ${wanted.primary} ${wanted.secondary ?? ''}` &&
        params.developer === grams,
    );
  }
  if (item.question.ask.code === 'label.read')
    return onlyRight(item, (option) => words(option) === says(askWords(item).label));
  const wanted = words(item.question.facts[0]);
  onlyRight(item, ({ params }) => says(String(params.label)) === wanted);
};

const LIFTS: Record<number, number> = { 10: 0, 20: 1, 30: 2, 40: 3 };
const developer = (item: Item, { rules }: DrillContext) => {
  const { vol, percent, natural, target } = ask(item);
  switch (item.facet) {
    case 'percent':
      return figure(item, Math.round(vol * 3) / 10);
    case 'vol':
      return figure(item, percent / 0.3);
    case 'gives':
      return onlyRight(item, ({ code, params }) =>
        vol === 10 ? code === 'option.noLift' : code === 'option.lift' && params.typical === LIFTS[vol],
      );
    case 'task': {
      // What is lifted by colour alone ends where the class says: more leaves warmth that shows (F3).
      const most = rules.liftByColourLimit === 'three' ? 3 : 2;
      const white = ask(item).share ?? 0;
      hold(near(item.question.pictures[0].look.zones[0].greyShare, white), 'another share of white', item);
      return onlyRight(item, ({ code, params }) => {
        if (target - natural > most) return code === 'option.preLighten';
        if (white > 0) return params.vol === 20;
        return LIFTS[Number(params.vol)] === Math.max(0, target - natural);
      });
    }
    case 'dyed': {
      const { from } = ask(item);
      const grown = item.question.ask.code === 'developer.dyedRoot';
      return onlyRight(item, ({ code, params }) =>
        grown ? params.vol === 20 : target > from ? code === 'option.noneLifts' : params.vol === 10,
      );
    }
    case 'shelf':
    case 'lightening':
    case 'liquids':
      return judgement(item);
    default: {
      const onScalp =
        rules.lightenerOnScalp === 'max20' ? 20 : rules.fortyVolLightener === 'always' ? 40 : 30;
      const where = item.question.ask.code.split('.').at(-1)!;
      if (['relaxedLengths', 'soreScalp', 'overSoftEnds'].includes(where))
        return onlyRight(item, ({ code }) => code === 'option.noLightenerHere');
      const touches = ['retouch', 'hairlinePainted', 'shortAllOver'].includes(where);
      const strongest = touches ? onScalp : rules.fortyVolLightener === 'never' ? 30 : 40;
      onlyRight(item, ({ params }) => params.vol === strongest);
    }
  }
};

/** Strength each piece of work takes (D2, F7, F8). */
const FOR_TASK: Record<string, number> = { deposit: 10, liftOne: 20, grey: 20, liftTwo: 30 };
const wantedVol = (item: Item): number => {
  const said = item.question.facts.find(({ code }) => code === 'fact.wantedVol')?.params.vol;
  const work = item.question.facts
    .find(({ code }) => code.startsWith('fact.task.'))
    ?.code.split('.')
    .at(-1);
  const takes = work === undefined ? Number(said) : FOR_TASK[work];
  hold(said === undefined || said === takes, 'the work takes another strength', item);
  return takes;
};
/** Whoever is asked to thin is told that it is allowed: by the class, or by the class's line. */
function mustBeAllowed(item: Item, { rules }: DrillContext): void {
  const said = item.question.facts.map(({ code }) => code);
  hold(
    rules.diluteDeveloper === 'always' ||
      (rules.diluteDeveloper === 'ifLinePermits' && said.includes('fact.lineMayDilute')),
    'thinned where it is not allowed',
    item,
  );
}
const dilution = (item: Item, context: DrillContext) => {
  const { stock, total, a, b, gramsA, gramsB, low, high } = ask(item);
  const { line } = askWords(item);
  const { rules } = context;
  switch (item.facet) {
    case 'thinning':
      return judgement(item);
    case 'stock':
      mustBeAllowed(item, context);
      return figure(item, (total * wantedVol(item)) / stock);
    case 'water':
      mustBeAllowed(item, context);
      return figure(item, total - (total * wantedVol(item)) / stock);
    case 'strength':
      return figure(item, (a * gramsA + b * gramsB) / (gramsA + gramsB));
    case 'pour': {
      const { solution } = item;
      hold(solution.kind === 'strength', 'nothing to pour', item);
      if (item.question.ask.code === 'dilution.pourWater') mustBeAllowed(item, context);
      hold(solution.vol === wantedVol(item) && solution.grams === total, 'another bowl', item);
      return hold(
        solution.vols[0] > solution.vol && solution.vol > solution.vols[1],
        'cannot be poured',
        item,
      );
    }
    case 'between': {
      const { solution } = item;
      hold(solution.kind === 'figure', 'not a figure', item);
      const mean = (solution.value * high + (total - solution.value) * low) / total;
      return hold(near(mean, wantedVol(item), 1e-9), 'another strength', item);
    }
    default: {
      hold(rules.diluteDeveloper === 'ifLinePermits', 'the class has decided it', item);
      // A line that is new says nothing; of the others their charts do.
      const known = SHIPPED_LINES.find(({ name }) => name === line);
      const ruling = known === undefined ? 'lineSilent' : known.mayDilute ? 'lineAllows' : 'lineForbids';
      onlyRight(item, ({ params }) => params.ruling === ruling);
    }
  }
};

/** Grams of mixture for a head of medium density (M2). */
const HEADS_TAKE: Record<string, readonly [number, number]> = {
  retouch: [60, 90],
  shortAllOver: [80, 120],
  shoulderAllOver: [120, 180],
  longAllOver: [180, 300],
};
const ratio = (item: Item) => {
  // Colour is never thinner than 1 : 2.
  if (['permanent', 'demi', 'acidGloss', 'highLift'].includes(askWords(item).product))
    hold(ask(item).ratio <= 2 || item.facet === 'amount', 'no colour is mixed so thin', item);
  const { colour, ratio: r, total, tube, a, b, c, grams, flOz } = ask(item);
  switch (item.facet) {
    case 'total':
      return figure(item, colour + colour * r);
    case 'developer':
      return figure(item, colour * r);
    case 'colour':
      return figure(item, total / (1 + r));
    case 'tubes':
      return figure(item, total / (1 + r) / tube);
    case 'parts':
      return figure(item, (colour * a) / (a + b + c));
    case 'corrector':
      // A gram or two in a full mix, or it is no correction (U5).
      hold(grams >= 0.5 && grams <= 2, 'no dose of a corrector', item);
      return figure(item, (colour + grams) * r);
    case 'weigh': {
      const { solution } = item;
      hold(solution.kind === 'amounts', 'nothing to weigh', item);
      return hold(
        [colour, grams, (colour + grams) * r].every((value, i) => near(value, solution.grams[i])),
        'another bowl',
        item,
      );
    }
    case 'amount': {
      const { solution } = item;
      hold(solution.kind === 'figure', 'not an amount', item);
      const { service, density } = askWords(item);
      const [least, most] = HEADS_TAKE[service];
      const factor = { sparse: 0.8, medium: 1, dense: 1.3 }[density]!;
      return hold(
        solution.value - solution.full < least * factor + 1e-6 &&
          solution.value + solution.full > most * factor - 1e-6,
        'another amount',
        item,
      );
    }
    case 'bowl':
      return judgement(item);
    case 'toGrams':
      return figure(item, flOz * 29.57);
    default:
      return figure(item, grams / 29.57);
  }
};

const PACE: Record<string, number> = {
  veryFine: 1.6, fine: 1.25, coarse: 0.8, lowPorosity: 0.8, highPorosity: 1.3, atScalp: 1.3, heat: 4 / 3, wet: 0.5,
}; // prettier-ignore
/** Zones in the order each head is worked in (A1–A3, A5, A9). */
const WORKED: Record<string, readonly string[]> = {
  neverLightened: ['mids', 'ends', 'root'],
  neverLifted: ['mids', 'ends', 'root'],
  porousEnds: ['mids', 'root', 'ends'],
  retouchGrey: ['root', 'ends'],
  retouchLifted: ['root', 'ends'],
  longRegrowth: ['offScalp', 'atScalp'],
  unevenLengths: ['darkLengths', 'lightLengths'],
};
function needsOf(item: Item) {
  const needs = item.question.facts.flatMap(({ code, params }) =>
    code === 'fact.zoneNeeds' ? [params as { zone: string; minutes: number }] : [],
  );
  const longest = Math.max(...needs.map(({ minutes }) => minutes));
  const startOf = (zone: string) => longest - needs.find((need) => need.zone === zone)!.minutes;
  const head = item.question.facts[0].code.split('.').at(-1)!;
  const inOrder = [...needs].sort((a, b) => startOf(a.zone) - startOf(b.zone)).map(({ zone }) => zone);
  hold(inOrder.join() === WORKED[head].join(), 'not the order of this head', item);
  return { longest, startOf };
}
const timing = (item: Item, { rules }: DrillContext) => {
  const { takes, minutes, lead, usual } = ask(item);
  const { zone, product } = askWords(item);
  switch (item.facet) {
    case 'start':
      return figure(item, needsOf(item).startOf(zone));
    case 'clock': {
      const { longest, startOf } = needsOf(item);
      const { solution } = item;
      hold(solution.kind === 'clock' && solution.rinse === longest, 'another rinse', item);
      return hold(
        ['mids', 'ends', 'root'].every((name, i) => startOf(name) === solution.starts[i]),
        'another start',
        item,
      );
    }
    case 'rinse': {
      const at = rules.timerStarts === 'endOfApplication' ? takes + minutes : minutes;
      hold(at > takes, 'rinsed before application ends', item);
      return figure(item, at);
    }
    case 'active':
      return figure(item, Number(facts(item).minutes) - lead);
    case 'pace':
      return figure(item, usual / PACE[item.question.ask.code.split('.').at(-1)!], 0.5);
    case 'looks': {
      const most = product === 'acidGloss' ? 3 : 10;
      return onlyRight(item, ({ params }) => {
        const at = [0, ...String(params.minutes).split(', ').map(Number), minutes];
        return at.every((minute, i) => i === 0 || minute - at[i - 1] <= most);
      });
    }
    case 'judging':
    case 'heat':
    case 'rinsing':
    default:
      judgement(item);
  }
};

const IN_ONE_VISIT: Record<string, number> = {
  strong: 7,
  fair: 4,
  weak: 2,
  brittle: 0,
  overSoft: 0,
  failed: 0,
};
/** What is felt, and what is to be done, where it is not to rinse. */
const FEELS: Record<string, string> = {
  slides: 'low', beads: 'low', repels: 'low', drag: 'normal', sinksSlowly: 'normal', even: 'normal',
  rough: 'high', sinksAtOnce: 'high', swells: 'high', grabs: 'high',
}; // prettier-ignore
const DOES: Record<string, string> = {
  springsBack: 'goOn',
  warmButMoving: 'goOn',
  drying: 'moisten',
  crustAtEdge: 'moisten',
};
const condition = (item: Item) => {
  const { stretches, returns } = facts(item) as Record<string, number | undefined>;
  const does = item.question.facts[0]?.code;
  hold(
    stretches === undefined || (does === 'fact.stretch.snaps' ? stretches < 0.25 : stretches >= 0.5),
    'wet hair stretches by half, or snaps',
    item,
  );
  const shown =
    does === 'fact.stretch.snaps'
      ? 'brittle'
      : does === 'fact.stretch.runsOn'
        ? 'overSoft'
        : returns! < 0.5
          ? 'failed'
          : returns! < 0.7
            ? 'weak'
            : returns! < 0.9
              ? 'fair'
              : 'strong';
  const lightened = item.question.facts.some(({ code }) => code === 'fact.lightenedBefore');
  const bears = (of: string) => (of === 'weak' && lightened ? 0 : IN_ONE_VISIT[of]);
  switch (item.facet) {
    case 'visits': {
      const { from, to } = ask(item);
      const level = Math.min(to, from + bears(askWords(item).condition));
      return onlyRight(item, ({ code, params }) =>
        code === 'option.todayNone' ? level === from : params.level === level,
      );
    }
    case 'porosity':
      return onlyRight(
        item,
        ({ code }) => code === `option.porous.${FEELS[item.question.facts[0].code.split('.').at(-1)!]}`,
      );
    case 'stop':
      return onlyRight(
        item,
        ({ code }) =>
          code === `option.action.${DOES[item.question.facts[0].code.split('.').at(-1)!] ?? 'rinse'}`,
      );
    case 'levels':
      // Nothing that takes back less than half is lightened, whatever else it is called.
      hold(returns === undefined || returns >= 0.5 || bears(shown) === 0, 'weak hair is lightened', item);
      return onlyRight(item, ({ code, params }) =>
        code === 'option.noLightener' ? bears(shown) === 0 : params.levels === bears(shown),
      );
    case 'name':
      return onlyRight(item, ({ params }) => params.condition === shown);
    default:
      judgement(item);
  }
};

const DOSES: Record<string, number> = { quarter: 1, half: 2, whole: 4 };
/** The finish as asked for, the hair no lighter and no deeper, a depth of this class, and nothing that takes less shade. */
const laid = (item: Item, { rules }: DrillContext) => {
  const hair = ask(item).level;
  const line = shippedLine(item.question.lineId!)!;
  const goal = toneLab(hair, { primary: askWords(item).tone as ToneFamily });
  const depths = rules.tonerDepth === 'sameLevel' ? [hair] : [hair, hair - 1];
  const { form } = item.question;
  hold(form.kind === 'choice', 'not a choice', item);
  const fits = form.options.map(({ params }, i) => {
    const reading = readLabel(line, String(params.label));
    hold(reading.ok, 'not a label of the line', item);
    const subject = item.optionSubjects![i];
    const { level } = readStrand(strandOfSubject(subject));
    return (
      differenceOf(labOfSubject(subject), goal) <= 6 &&
      Math.abs(level - hair) < 0.25 &&
      depths.includes(reading.shade.level!)
    );
  });
  const least = Math.min(
    ...form.options.flatMap(({ params }, i) => (fits[i] ? DOSES[params.dose as string] : [])),
  );
  onlyRight(item, ({ params }, i) => fits[i] && DOSES[params.dose as string] === least);
};

const toner = (item: Item, context: DrillContext) => {
  const { rules } = context;
  if (item.facet === 'depth') return judgement(item);
  if (item.facet === 'laid') return laid(item, context);
  const hair = ask(item).level;
  const line = shippedLine(item.question.lineId!)!;
  const wish = askWords(item).tone as ToneFamily;
  const goal = toneLab(hair, { primary: wish });
  const deltaE = item.optionSubjects!.map((subject) => differenceOf(labOfSubject(subject), goal));
  const depths = rules.tonerDepth === 'sameLevel' ? [hair] : [hair, hair - 1];
  // The finish decides, not the name: nearest by far to the wish, as wished, in a depth this class uses.
  onlyRight(item, ({ params }, i) => {
    const reading = readLabel(line, String(params.label));
    hold(reading.ok, 'not a label of the line', item);
    const nearest = deltaE.every((d, j) => j === i || d >= deltaE[i] + 1.9);
    hold(
      !nearest || (deltaE[i] <= 6 && depths.includes(reading.shade.level!)),
      'no finish of this class',
      item,
    );
    hold(
      !nearest || readStrand(strandOfSubject(item.optionSubjects![i])).tone === wish,
      'it is called otherwise',
      item,
    );
    return nearest;
  });
};

const product = (item: Item) => {
  if (item.facet !== 'comesOut') return judgement(item);
  const { level: from, shade, vol } = ask(item);
  const natural = item.question.ask.code.endsWith('natural');
  const level = natural ? from + Math.min(shade - from, LIFTS[vol]) : from;
  onlyRight(item, ({ params }) => params.level === level);
};

const formula = (item: Item, { rules }: DrillContext) => {
  const { natural, target, a, b, partsA, partsB } = ask(item);
  if (item.facet === 'mixLevel') return figure(item, (a * partsA + b * partsB) / (partsA + partsB));
  if (item.facet !== 'shadeLevel') return judgement(item);
  const level = rules.liftByColour === 'counterbalance' ? 2 * target - natural : target;
  onlyRight(item, ({ params }) => params.level === level);
};

const application = (item: Item) =>
  // A centimetre and a quarter a month, twelve months in fifty-two weeks (A5).
  item.facet === 'weeks' ? figure(item, (ask(item).cm / 1.25) * (52 / 12)) : judgement(item);

/** What is to be seen where a thing went wrong, by the picture alone. */
const SEEN: Record<string, (zones: Item['question']['pictures'][number]['look']['zones']) => boolean> = {
  rootFirst: ([root, lengths]) => root.colour.l > lengths.colour.l + 3,
  overlap: ([above, band, below]) => band.colour.l < Math.min(above.colour.l, below.colour.l) - 2,
  noBase: ([{ greyShare, grey, colour }]) => greyShare >= 0.5 && grey.l > colour.l + 10,
  rinsedEarly: ([{ colour }]) => colour.b > neutralLab(levelOfLightness(colour.l)).b + 2,
  noFiller: ([{ colour }]) => colour.a < neutralLab(levelOfLightness(colour.l)).a - 2,
  pulledThrough: ([lengths, ends]) => ends.colour.l < lengths.colour.l - 3,
  tooMuchOpposite: ([{ colour }]) => colour.l > 45 && colour.b < 8,
  tonerTooLight: ([{ colour }]) => colour.b > neutralLab(levelOfLightness(colour.l)).b + 4,
};
/** One cause and one cure each (C6, C12). */
const CURES: Record<string, string> = {
  rootFirst: 'depositOnRoot', overlap: 'removerOnBand', noBase: 'baseForWhite', rinsedEarly: 'demiOver', noFiller: 'warmThin',
  pulledThrough: 'removerOnEnds', tooMuchOpposite: 'clarify', tonerTooLight: 'tonerAtLevel',
}; // prettier-ignore
const mishap = (item: Item) => {
  const done = item.question.facts
    .find(({ code }) => code.startsWith('fact.wasDone.'))!
    .code.split('.')
    .at(-1)!;
  hold(SEEN[done](item.question.pictures[0].look.zones), 'it does not look like that', item);
  const right = item.facet === 'cure' ? CURES[done] : done;
  onlyRight(item, ({ code }) => code === `option.${item.facet}.${right}`);
};

/** One line alone is written as wrong, by its words; a card that another school writes so is not asked. */
const onCard = (item: Item, { rules }: DrillContext) => {
  onlyRight(item, ({ code }) => code.endsWith('.wrong'));
  const { solution } = item;
  const { form } = item.question;
  hold(form.kind === 'choice' && solution.kind === 'choice', 'not a choice', item);
  hold(
    form.options[solution.right].code !== 'onCard.toner.line.wrong' || rules.tonerProduct === 'lowStrength',
    'another school tones so',
    item,
  );
};

const correction = (item: Item, context: DrillContext) => {
  if (item.facet === 'onCard') return onCard(item, context);
  if (item.facet === 'wentWrong' || item.facet === 'cure') return mishap(item);
  if (item.facet !== 'throughDye') return judgement(item);
  const bears = { strong: 7, fair: 4 }[askWords(item).condition]!;
  figure(item, ask(item).dyed + Math.floor(bears / 2));
};

const care = (item: Item) => {
  if (item.facet !== 'upkeep') return judgement(item);
  const { level: at } = ask(item);
  const { subject } = item;
  hold(subject?.kind === 'toned' && subject.level === at, 'hair of another level', item);
  const { primary } = subject.tone;
  const warm = ['gold', 'copper', 'red'].includes(primary);
  const said = askWords(item).tone;
  hold(said === undefined || said === primary, 'hair of another tone', item);
  // What is worn has to be hair: no full copper on the palest levels, no red above 7.
  hold(!(primary === 'copper' && at > 8) && !(primary === 'red' && at > 7), 'no such hair', item);
  onlyRight(item, ({ code }) => code === `option.care.${warm ? 'none' : at >= 8 ? 'violet' : 'blue'}`);
};

export const ORACLES: Record<Skill, (item: Item, context: DrillContext) => void> = {
  level, tone, underlay, predict, grey, zones, order, label, developer, dilution, ratio, timing, condition, toner,
  product, formula, application, correction, care,
}; // prettier-ignore
