import { differenceOf, levelOfLightness, neutralLab, toneLab, TONES, type ToneFamily } from '../../colour';
import { labOfSubject, type DrillContext, type Item, type Skill, type Term } from '..';
import { FORMULA_LINES, readLabel, shippedLine } from '../../shades';
import { zoneMeanLab } from '../../tress';

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

const level = (item: Item) => {
  const { solution, apart } = item;
  hold(solution.kind === 'figure', 'not a level', item);
  // Nearer to its own level than to any other that could be answered.
  hold(
    Math.abs(levelShown(item) - solution.value) < (apart!.levels === 0.5 ? 0.36 : 0.5),
    'another level',
    item,
  );
};

const tone = (item: Item) => {
  const shown = item.question.pictures.map(({ look }) => look.zones[0].colour);
  if (item.facet === 'cooler') {
    const cooler = (i: number) => shown[i].b < shown[1 - i].b && shown[i].a <= shown[1 - i].a + 1.5;
    return onlyRight(item, (_, i) => cooler(i));
  }
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
  const truth = underlayRow(Number(item.facet), context);
  onlyRight(item, ({ params }) => params.underlay === truth);
  hold(Math.abs(levelShown(item) - Number(item.facet)) <= 0.36, 'hair of another level', item);
};

const predict = (item: Item, context: DrillContext) => {
  const { natural, target } = ask(item);
  hold(natural < target, 'nothing to lift', item);
  if (item.question.ask.code === 'predict.pigment')
    return onlyRight(item, ({ params }) => params.underlay === underlayRow(target, context));
  onlyRight(item, ({ params }) => params.counter === OPPOSITES[target - 1]);
};

const grey = (item: Item) => {
  const shares = item.question.pictures.map(({ look }) => look.zones[0].greyShare);
  if (item.facet === 'where') return onlyRight(item, (_, i) => shares[i] === Math.max(...shares));
  if (item.facet === 'rest') return level(item);
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
    code === 'option.shadeOne' || code === 'option.shadeTwo'
      ? `${params.level} ${params.primary} ${params.secondary ?? ''}`
      : `${params.level} ${code.replace('option.', '')}`;
  if (item.question.ask.code === 'label.read')
    return onlyRight(item, (option) => words(option) === says(askWords(item).label));
  const wanted = words(item.question.facts[0]);
  onlyRight(item, ({ params }) => says(String(params.label)) === wanted);
};

const LIFTS: Record<number, number> = { 10: 0, 20: 1, 30: 2, 40: 3 };
const developer = (item: Item, { rules }: DrillContext) => {
  const { vol, percent, natural, target } = ask(item);
  const { place } = askWords(item);
  switch (item.facet) {
    case 'percent':
      return figure(item, Math.round(vol * 3) / 10);
    case 'vol':
      return figure(item, percent / 0.3);
    case 'gives':
      return onlyRight(item, ({ code, params }) => code === 'option.lift' && params.typical === LIFTS[vol]);
    case 'lift':
      return onlyRight(item, ({ params }) => LIFTS[Number(params.vol)] === target - natural);
    case 'deposit':
      return onlyRight(item, ({ params }) => params.vol === 10);
    case 'grey':
      return onlyRight(item, ({ params }) => params.vol === 20);
    case 'artificial':
      return onlyRight(item, ({ code }) => code === 'option.noneLifts');
    default: {
      const onScalp =
        rules.lightenerOnScalp === 'max20' ? 20 : rules.fortyVolLightener === 'always' ? 40 : 30;
      const strongest = place === 'onScalp' ? onScalp : rules.fortyVolLightener === 'never' ? 30 : 40;
      onlyRight(item, ({ params }) => params.vol === strongest);
    }
  }
};

const dilution = (item: Item, { rules }: DrillContext) => {
  const { stock, wanted, total, a, b, gramsA, gramsB, low, high } = ask(item);
  const { line } = askWords(item);
  switch (item.facet) {
    case 'stock':
      return figure(item, (total * wanted) / stock);
    case 'water':
      return figure(item, total - (total * wanted) / stock);
    case 'strength':
      return figure(item, (a * gramsA + b * gramsB) / (gramsA + gramsB));
    case 'between': {
      const { solution } = item;
      hold(solution.kind === 'figure', 'not a figure', item);
      const mean = (solution.value * high + (total - solution.value) * low) / total;
      return hold(near(mean, wanted, 1e-9), 'another strength', item);
    }
    default: {
      const permits = FORMULA_LINES.find(({ name }) => name === line)!.mayDilute;
      const ruling =
        rules.diluteDeveloper === 'always'
          ? 'alwaysHere'
          : rules.diluteDeveloper === 'never'
            ? 'neverHere'
            : permits
              ? 'lineAllows'
              : 'lineForbids';
      onlyRight(item, ({ params }) => params.ruling === ruling);
    }
  }
};

const ratio = (item: Item) => {
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
      return figure(item, (colour + grams) * r);
    case 'toGrams':
      return figure(item, flOz * 29.57);
    default:
      return figure(item, grams / 29.57);
  }
};

const timing = (item: Item, { rules }: DrillContext) => {
  const { takes, minutes, lead, every } = ask(item);
  const { zone } = askWords(item);
  switch (item.facet) {
    case 'start': {
      const needs = item.question.facts.map(({ params }) => params as { zone: string; minutes: number });
      const longest = Math.max(...needs.map((n) => n.minutes));
      return figure(item, longest - needs.find((n) => n.zone === zone)!.minutes);
    }
    case 'rinse':
      return figure(item, rules.timerStarts === 'endOfApplication' ? takes + minutes : minutes);
    case 'active':
      return figure(item, Number(facts(item).minutes) - lead);
    case 'looks': {
      let count = 0;
      for (let minute = every; minute < minutes; minute += every) count++;
      return figure(item, count);
    }
    default:
      // Looking more often than asked suffices as well, so it must not be offered as a wrong answer.
      onlyRight(
        item,
        ({ params }) =>
          params.watch === 'everyTwoToThree' ||
          (askWords(item).product !== 'acidGloss' && params.watch === 'everyFiveToTen'),
      );
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
const condition = (item: Item) => {
  const { stretches, returns } = facts(item) as Record<string, number>;
  const { feels, sign } = facts(item);
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
        : returns < 0.5
          ? 'failed'
          : returns < 0.7
            ? 'weak'
            : returns < 0.9
              ? 'fair'
              : 'strong';
  switch (item.facet) {
    case 'visits': {
      const { from, to } = ask(item);
      const has = askWords(item).condition;
      return figure(item, Math.ceil((to - from) / IN_ONE_VISIT[has]));
    }
    case 'porosity':
      return onlyRight(item, ({ params }) => params.porosity === feels);
    case 'stop':
      return onlyRight(item, ({ params }) => params.action === (sign === 'springsBack' ? 'goOn' : 'rinse'));
    case 'levels':
      return onlyRight(item, ({ code, params }) =>
        code === 'option.noLightener' ? IN_ONE_VISIT[shown] === 0 : params.levels === IN_ONE_VISIT[shown],
      );
    default:
      onlyRight(item, ({ params }) => params.condition === shown);
  }
};

const toner = (item: Item, { rules }: DrillContext) => {
  const hair = Number(item.facet);
  const line = shippedLine(item.question.lineId!)!;
  const wish = askWords(item).tone as ToneFamily;
  const goal = toneLab(hair, { primary: wish });
  const deltaE = item.optionSubjects!.map((subject) => differenceOf(labOfSubject(subject), goal));
  const depths = rules.tonerDepth === 'sameLevel' ? [hair] : [hair, hair - 1];
  onlyRight(item, ({ params }, i) => {
    const reading = readLabel(line, String(params.label));
    hold(reading.ok, 'not a label of the line', item);
    const fits = depths.includes(reading.shade.level!) && reading.shade.tone.primary === wish;
    // The theory and the hair model have to agree on which one it is.
    hold(fits === deltaE.every((d, j) => j === i || d >= deltaE[i] + 1.9), 'theory and model differ', item);
    return fits;
  });
  hold(TONES[wish].temperature !== 'warm', 'nothing to cancel', item);
};

export const ORACLES: Record<Skill, (item: Item, context: DrillContext) => void> = {
  level, tone, underlay, predict, grey, zones, order, label, developer, dilution, ratio, timing, condition, toner,
}; // prettier-ignore
