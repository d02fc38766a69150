import { doneHead, doneHeadLater, planAppointments } from '../../core/appointments';
import { SHIPPED_CASES } from '../../core/cases/index';
import { defaultRubric, markCard, typicalErrors } from '../../core/mark';
import { differenceOf } from '../../core/colour';
import { BENCH_STEPS } from '../../core/exercise';
import { partName, targetLab } from '../../core/case';
import { AREAS, labOfStrand, lightenedStrand, naturalStrand, HAIR_FORMS } from '../../core/hair';
import { USUAL_HABITS, strandUnder, zoneAt, type Mix, type ZoneMoment } from '../../core/process';
import { GROWTH_RATES } from '../../core/simulate';
import {
  choicesFor,
  coloursAfter,
  plannedPlaces,
  solveCase,
  groupPlans,
  LazyGroupPlans,
} from '../../core/solve';
import { SHIPPED_LINES } from '../../core/product';
import {
  colourTress,
  geometryOf,
  naturalLook,
  paintHead,
  paintTress,
  paintTressAs,
  shapeOf,
  type HeadLook,
} from '../../core/draw';
import { headGeometryOf } from '../../core/draw/growth';
import { DEFAULT_HOUSE_RULES, SAMPLE_PRICES } from '../../core/rules';
import { facetsOf, generate, PLAIN_CONTEXT, SKILLS, DRILL_STEPS } from '../../core/drill';
import { VIEWS, headOf } from '../../web/features/head/sheet-views';

/** Milliseconds a call takes: warmed up, then the median of several rounds, so that a hiccup does not count. */
function timeOf(work: () => void, rounds = 9, calls = 1): number {
  for (let i = 0; i < 3; i++) work();
  const times = Array.from({ length: rounds }, () => {
    const begun = performance.now();
    for (let i = 0; i < calls; i++) work();
    return (performance.now() - begun) / calls;
  });
  return times.sort((a, b) => a - b)[Math.floor(rounds / 2)];
}

const powder: Mix = { product: 'lightenerStrong', shades: [], developerVol: 20, ratio: 2 };
/** A head of its own each time: what is worked out once for a plan is part of the work. */
const head = () =>
  [1, 12, 26].map((fromScalpCm) => ({
    start: naturalStrand(4, { fromScalpCm }),
    events: [
      { at: 0, do: 'apply' as const, coat: { mix: powder } },
      { at: 50, do: 'rinse' as const },
    ],
  }));
/** A head minute by minute, places within. */
const minuteByMinute = (): ZoneMoment[][] => {
  const places = head();
  return Array.from({ length: 61 }, (_, minute) => places.map((place) => zoneAt(place, minute)));
};

/** What a search does of every mix it looks at: lay it on a strand, see what it makes of it. */
const strand = lightenedStrand(7);
const mixes = (['ash', 'violet', 'gold', 'beige'] as const).map((primary, i): Mix => ({
  product: 'demi',
  shades: [{ shade: { label: '', series: 'fashion', level: 7 + (i % 2), tone: { primary } }, parts: 1 }],
  developerVol: 7,
  ratio: 2,
}));
const BATCH = 400;
let sink = 0;
const mixBatch = () => {
  for (let i = 0; i < BATCH; i++)
    sink += labOfStrand(strandUnder({ mix: mixes[i % mixes.length] }, strand, 15)).l;
};

const look = naturalLook({ naturalLevel: 5, greyShare: 0.3, porosity: 'normal', diameter: 'medium' }, 7);

const mixesPerSecond = (BATCH / timeOf(mixBatch)) * 1000;
const headMs = timeOf(() => void minuteByMinute());
const colourOfHeadMs = timeOf(() =>
  minuteByMinute().forEach((frame) => frame.forEach(({ strand: s }) => (sink += labOfStrand(s).l))),
);
const BIG = { width: 300, height: 600 };
const shape = shapeOf(look);
const geometry = geometryOf(shape, BIG);
const geometryMs = timeOf(() => void geometryOf(shape, BIG), 7);
const slowestFormMs = Math.max(
  ...HAIR_FORMS.map((form) => timeOf(() => void geometryOf({ ...shape, form }, BIG), 7)),
);
/** As many rounds as it takes to be compiled: a time-lapse colours hundreds. */
const colouringMs = timeOf(() => void colourTress(geometry, look), 61);
/** The same with another share of white each time, so that how light falls on it is worked out anew. */
let share = 0;
const otherShareMs = timeOf(() => {
  share = (share + 0.07) % 1;
  colourTress(geometry, { ...look, zones: look.zones.map((zone) => ({ ...zone, greyShare: share })) });
}, 15);
/** A frame of a time-lapse: three locks, each a little further on. */
const threeLocks = [1, 2, 3].map((seed) => geometryOf({ ...shape, seed }, BIG));
const frameMs = timeOf(() => threeLocks.forEach((geometry) => void colourTress(geometry, look)), 15);
/** A chart: thirty swatches, each a shape of its own that has been drawn before. */
const swatches = Array.from({ length: 30 }, (_, i) => ({ ...look, seed: 900 + i, cut: 'swatch' as const }));
const chartMs = timeOf(
  () => swatches.forEach((swatch) => void paintTress(swatch, { width: 76, height: 184 })),
  7,
);
/** A head sheet of the size it has on a screen: its four views grown, and coloured anew. */
const SHEET = { width: 160, height: 200 };
const sheet = VIEWS.map(headOf);
const headOfLook: HeadLook = Object.fromEntries(
  AREAS.map((area) => [area, { ...look.zones[0], form: 'straight' as const, density: 'dense' as const }]),
);
const growMs = timeOf(
  () =>
    sheet.forEach(
      (head) =>
        void headGeometryOf(
          head,
          AREAS.filter((area) => head.areas[area]).map((area) => [area, 'straight', 'dense']),
          SHEET,
        ),
    ),
  5,
);
const sheetMs = timeOf(() => sheet.forEach((head) => void paintHead(head, headOfLook, SHEET)), 31);
/** A whole picture as it was drawn before geometry was kept apart from colour. */
const wholeAsFirstMs = timeOf(() => void paintTressAs(1, look, BIG), 7);
const tressMs = geometryMs + colouringMs;

/** Milliseconds of making one item, over all facets and steps of every skill: median, one in a hundred, and the worst. */
const itemTimes = SKILLS.map((skill) => {
  const facets = facetsOf(skill, PLAIN_CONTEXT);
  const times = Array.from({ length: 1000 }, (_, seed) => {
    const spec = { skill, facet: facets[seed % facets.length], step: DRILL_STEPS[seed % 5], seed };
    const begun = performance.now();
    generate(spec, PLAIN_CONTEXT);
    return performance.now() - begun;
  });
  const sorted = [...times].sort((a, b) => a - b);
  return { skill, median: sorted[500], p99: sorted[990], worst: sorted[999], first: times[0] };
});
const slowest = itemTimes.reduce((a, b) => (b.p99 > a.p99 ? b : a));

/** The search over every shipped case, cold and again, and marking: what a class of answers comes to. */
const searches = SHIPPED_CASES.map(({ id, clientCase: whole, house }) => {
  const rules = { ...DEFAULT_HOUSE_RULES, ...house };
  const once = () => {
    const begun = performance.now();
    const solved = solveCase(whole, SHIPPED_LINES, rules);
    return { ms: performance.now() - begun, solved };
  };
  const { ms: cold, solved } = once();
  return { id, cold, warm: once().ms, solved, rules };
});
const gradeMs = searches.map(({ solved, rules }) => {
  if (!solved.ok) throw new Error('a shipped case has no plan');
  const { modelAnswer } = solved;
  const rubric = defaultRubric(modelAnswer, modelAnswer.clientCase);
  const input = { modelAnswer, rules, rubric, lines: SHIPPED_LINES, open: BENCH_STEPS };
  const cards = [modelAnswer.card, ...typicalErrors(input).map(({ card }) => card)];
  return timeOf(() => cards.forEach((card) => void markCard(input, card))) / cards.length;
});
/** A year of every head that was done, week by week, and its appointments over half a year with a tight purse. */
const WEEKS_OF_A_YEAR = Array.from({ length: 52 }, (_, week) => week + 1);
const monthsOn = searches.flatMap(({ id, solved, rules }) => {
  if (!solved.ok || solved.modelAnswer.card.decision === 'decline') return [];
  const { modelAnswer } = solved;
  const { clientCase } = modelAnswer;
  const lines = SHIPPED_LINES.filter((line) => clientCase.lineIds.includes(line.id));
  const done = doneHead(clientCase, modelAnswer.card, (lineId) => lines.find((line) => line.id === lineId));
  const life = { habits: USUAL_HABITS, growthCm: GROWTH_RATES.usual };
  const rhythm = { ...life, everyWeeks: clientCase.facts.upkeepWeeks, purseAYear: 200 };
  const school = { lines, rules, prices: SAMPLE_PRICES };
  return [
    {
      id,
      yearMs: timeOf(() => WEEKS_OF_A_YEAR.forEach((week) => void doneHeadLater(done, week, life)), 3),
      planMs: timeOf(() => void planAppointments(modelAnswer, school, rhythm, 26), 3),
    },
  ];
});
const byTime = (of: 'yearMs' | 'planMs') => [...monthsOn].sort((a, b) => a[of] - b[of]);
const middle = (of: 'yearMs' | 'planMs') => byTime(of)[monthsOn.length >> 1][of];
const [longestYear, longestPlan] = [byTime('yearMs').at(-1)!, byTime('planMs').at(-1)!];
/**
 * What a search does with the bowls it may choose from, against laying every one of them on the hair: of every route of
 * every part of the shipped cases the best way, and of those that are taken eight more that may be as good.
 */
const WAYS_LOOKED_AT = 9;
const jobs = SHIPPED_CASES.flatMap(({ clientCase: whole, house }) => {
  const rules = { ...DEFAULT_HOUSE_RULES, ...house };
  const lines = SHIPPED_LINES.filter(({ id }) => whole.lineIds.includes(id));
  const solved = solveCase(whole, SHIPPED_LINES, rules);
  const taken = new Set(
    solved.ok ? solved.modelAnswer.choices.map(({ part, technique }) => `${part} ${technique}`) : [],
  );
  return plannedPlaces(whole, rules).map((planned) => {
    const looks = taken.has(`${partName(planned.goal.part)} ${planned.technique}`)
      ? [1, WAYS_LOOKED_AT]
      : [1];
    return { job: planned, lines, rules, looks };
  });
});
let candidates = 0;
for (const { job, lines, rules, looks } of jobs)
  candidates += looks.length * (choicesFor([job], lines, rules)?.candidates?.length ?? 0);
const plainMs = timeOf(() => {
  for (const { job, lines, rules, looks } of jobs)
    for (let look = 0; look < looks.length; look++) {
      const choices = choicesFor([job], lines, rules);
      const goal = targetLab(job.goal.target);
      for (const { chosen } of choices?.candidates ?? [])
        for (const lab of coloursAfter(chosen, choices!.strands)) sink += differenceOf(lab, goal);
    }
}, 5);
const chosenMs = timeOf(() => {
  for (const { job, lines, rules, looks } of jobs) {
    const plans = new LazyGroupPlans(groupPlans([job], lines, rules));
    for (const most of looks) {
      let left = most;
      for (const { cost } of plans) {
        sink += cost;
        if (--left === 0) break;
      }
    }
  }
}, 5);

const meanGradeMs = gradeMs.reduce((sum, ms) => sum + ms, 0) / gradeMs.length;
const slowestSearch = searches.reduce((a, b) => (b.cold > a.cold ? b : a));
const warmSearchMs = [...searches].map(({ warm }) => warm).sort((a, b) => a - b)[10];

const results = {
  searchColdWorstMs: slowestSearch.cold,
  searchWarmMedianMs: warmSearchMs,
  searchOverWholeHead: warmSearchMs / headMs,
  gradeMs: meanGradeMs,
  gradeOverWholeHead: meanGradeMs / headMs,
  tenThousandGradesS: 10 * meanGradeMs,
  wholeHeadMs: headMs,
  wholeHeadWithColourMs: colourOfHeadMs,
  mixesPerSecond: Math.round(mixesPerSecond),
  candidates,
  candidatesPerSecond: Math.round((candidates / chosenMs) * 1000),
  candidatesPerSecondPlain: Math.round((candidates / plainMs) * 1000),
  searchOverPlain: plainMs / chosenMs,
  tressGeometryMs: geometryMs,
  tressSlowestFormMs: slowestFormMs,
  tressColouringMs: colouringMs,
  tressOtherShareMs: otherShareMs,
  timeLapseFrameMs: frameMs,
  tressGeometryOverColouring: geometryMs / colouringMs,
  chartOf30Ms: chartMs,
  headSheetGrownMs: growMs,
  headSheetMs: sheetMs,
  firstWholeOverColouring: wholeAsFirstMs / colouringMs,
  tressColouringOverWholeHead: colouringMs / headMs,
  yearOfHeadMs: middle('yearMs'),
  yearOfHeadWorstMs: longestYear.yearMs,
  planMs: middle('planMs'),
  planWorstMs: longestPlan.planMs,
  planOverYear: middle('planMs') / middle('yearMs'),
  itemMedianMs: Math.max(...itemTimes.map(({ median }) => median)),
  itemP99Ms: slowest.p99,
  itemWorstMs: Math.max(...itemTimes.map(({ worst }) => worst)),
  itemP99OverTress: slowest.p99 / tressMs,
};
const round = (value: number) => Number(value.toPrecision(4));
console.log('Ratios of one run on this machine; times are medians, for orientation only.\n');
console.log(
  `mixes a second, laid on a strand       ${results.mixesPerSecond.toLocaleString('en')}   (a whole head takes as long as ${round((mixesPerSecond * headMs) / 1000)})`,
);
console.log(
  `whole head, 3 zones × 60 min           ${round(headMs)} ms   with colours ${round(colourOfHeadMs)} ms`,
);
console.log(
  `tress 300 × 600                        geometry once ${round(geometryMs)} ms (slowest form ${round(slowestFormMs)}; wanted: under 120), colouring ${round(colouringMs)} ms, another share of white ${round(otherShareMs)} ms (wanted: under 4), a frame of three locks ${round(frameMs)} ms (wanted: under 16.7) (1 : ${round(geometryMs / colouringMs)}; the first drawing whole is ${round(wholeAsFirstMs / colouringMs)} × as long); chart of 30 swatches ${round(chartMs)} ms`,
);
console.log(
  `head sheet, 4 × 160 × 200              grown once ${round(growMs)} ms, coloured ${round(sheetMs)} ms   = ${round(growMs / geometryMs)} and ${round(sheetMs / colouringMs)} × a tress`,
);
console.log(
  `drill item, slowest skill (${slowest.skill})   median ${round(slowest.median)} ms, 1 in 100 ${round(slowest.p99)} ms   = ${round(results.itemP99OverTress)} × a tress`,
);
for (const { skill, median, p99, worst, first } of itemTimes)
  console.log(
    `  ${skill.padEnd(10)} median ${round(median)}  1 in 100 ${round(p99)}  worst ${round(worst)}  first ${round(first)} ms`,
  );
console.log(
  `search of a whole service              worst cold ${round(slowestSearch.cold)} ms (${slowestSearch.id}), median warm ${round(warmSearchMs)} ms   = ${round(results.searchOverWholeHead)} × a whole head`,
);
console.log(
  `a year of a head, by weeks             ${round(results.yearOfHeadMs)} ms, worst ${round(longestYear.yearMs)} ms (${longestYear.id}; wanted: under 50); its appointments ${round(results.planMs)} ms, worst ${round(longestPlan.planMs)} ms (${longestPlan.id})   = ${round(results.planOverYear)} × a year`,
);
console.log(
  `bowls to choose from                   ${candidates.toLocaleString('en')}; searched ${results.candidatesPerSecond.toLocaleString('en')} a second, all of them laid on hair ${results.candidatesPerSecondPlain.toLocaleString('en')} a second   = ${round(plainMs / chosenMs)} × (wanted: 3)`,
);
console.log(
  `marking a whole service                ${round(meanGradeMs)} ms   = ${round(results.gradeOverWholeHead)} × a whole head; ten thousand ${round(results.tenThousandGradesS)} s (wanted: under 30 s)`,
);
console.log(
  `\n${JSON.stringify(Object.fromEntries(Object.entries(results).map(([name, value]) => [name, round(value)])))}`,
);
if (!Number.isFinite(sink)) throw new Error('nothing was computed');
