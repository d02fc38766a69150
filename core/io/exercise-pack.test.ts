import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { SHIPPED_CASES } from '../cases';
import { BENCH_STEPS } from '../exercise';
import { markCard } from '../mark';
import { shippedLine } from '../product';
import { AREA_ORDERS } from '../rules';
import { solved, gradingOf } from '../testing/solved';
import {
  type ExercisePack,
  writeExercisePack,
  readExercisePack,
  linesOfPack,
  exercisePackJsonSchema,
} from './exercise-pack';

const docs = (name: string) => readFileSync(join(__dirname, '../../docs/formats', name), 'utf8');
const pack: ExercisePack = {
  format: 'cimbel.exercise-pack',
  formatVersion: 3,
  name: 'All that ship',
  cases: SHIPPED_CASES.map(({ id, clientCase }) => ({ id, case: clientCase, open: [...BENCH_STEPS] })),
};
/** The pack with one place changed, as text. */
function changed(path: (string | number)[], value: unknown): string {
  const copy = JSON.parse(writeExercisePack(pack));
  const last = path[path.length - 1];
  let place = copy;
  for (const part of path.slice(0, -1)) place = place[part];
  place[last] = value;
  return JSON.stringify(copy);
}

describe('a pack of the first version', () => {
  it('is read as one of today: history in layers, times with the application', () => {
    const [ground] = pack.cases;
    const zone = ground.case.head.zones[0];
    const kinds = [
      { kind: 'untouched' },
      { kind: 'coloured', level: 5, tone: { primary: 'gold' }, faded: 0.2 },
      { kind: 'lightened', level: 9 },
      { kind: 'vivid', level: 8, dye: 'directPink', faded: 0.5 },
    ];
    const old = {
      ...pack,
      formatVersion: 1,
      cases: kinds.map((history, i) => ({
        ...ground,
        id: `case-${i}`,
        open: ['mix', 'apply'],
        case: { ...ground.case, head: { ...ground.case.head, zones: [{ ...zone, history }] } },
      })),
    };
    const read = readExercisePack(JSON.stringify(old));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.value.formatVersion).toBe(3);
    expect(read.value.cases.map((packedCase) => packedCase.case.head.zones[0].history)).toEqual([
      [],
      [{ kind: 'permanent', level: 5, tone: { primary: 'gold' }, faded: 0.2 }],
      [{ kind: 'lightened', level: 9 }],
      [
        { kind: 'lightened', level: 8 },
        { kind: 'direct', dye: 'directPink', faded: 0.5 },
      ],
    ]);
    expect(read.value.cases[0].open).toEqual(['mix', 'apply', 'process']);
  });

  it('names what is wrong in it, as in any other', () => {
    const broken = { ...pack, formatVersion: 1, cases: [{ ...pack.cases[0], case: 3 }] };
    const read = readExercisePack(JSON.stringify(broken));
    expect(read.ok ? [] : read.problems.map(({ path }) => path)).toEqual(['cases.0.case']);
  });
});

describe('a pack of the second version', () => {
  it('is read as one of today: a weave is a placement, where a step began the order of its areas', () => {
    const woven = pack.cases.find(({ id }) => id === 'woven-light')!;
    const { placements, ...plainCase } = woven.case;
    const { card } = solved('woven-light');
    const { areas: _, ...step } = card.steps[0];
    const old = {
      ...pack,
      formatVersion: 2,
      cases: [
        {
          ...woven,
          case: { ...plainCase, weave: placements![0] },
          answers: [{ name: 'a', plan: { ...card, steps: [{ ...step, startsAt: 'front' }] } }],
        },
      ],
    };
    const read = readExercisePack(JSON.stringify(old));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.value.cases[0].case).toEqual(woven.case);
    expect(read.value.cases[0].answers![0].plan.steps[0].areas).toEqual(AREA_ORDERS.faceBack);
  });
});

describe('an exercise pack', () => {
  it('goes out and comes back the same, with all the shipped cases', () => {
    expect(readExercisePack(writeExercisePack(pack))).toEqual({ ok: true, value: pack });
  });

  it.each([
    [['cases', 0, 'id'], 'one-lighter', 'pack.idTwice', 'cases.4.id'],
    [['cases', 0, 'case', 'lineIds', 0], 'nowhere', 'pack.noLine', 'cases.0.case.lineIds.0'],
    [
      ['cases', 3, 'case', 'head', 'zones', 0, 'zone'],
      'ends',
      'pack.zonesInOrder',
      'cases.3.case.head.zones.1.zone',
    ],
    [
      ['cases', 2, 'case', 'wish', 'band'],
      { level: 5, tone: { primary: 'ash' } },
      'pack.zoneNotOnHead',
      'cases.2.case.wish.band',
    ],
    [['cases', 2, 'case', 'wish'], {}, 'pack.noWish', 'cases.2.case.wish'],
    [['cases', 3, 'case', 'head', 'density'], 'thickish', 'field.invalid_value', 'cases.3.case.head.density'],
    [['format'], 'else', 'file.notPack', 'format'],
    [['extra'], 1, 'field.unrecognized_keys', ''],
  ])('names what is wrong at %j', (path, value, code, where) => {
    const read = readExercisePack(changed(path, value));
    expect(read.ok ? [] : read.problems).toEqual(
      expect.arrayContaining([expect.objectContaining({ code, path: where })]),
    );
  });

  it('names a bowl that is not there, and a line with faults of its own', () => {
    const { card } = gradingOf('winter-brown').modelAnswer;
    const plan = { ...card, steps: [{ ...card.steps[0], bowl: 'Z' }] };
    const line = { ...shippedLine('velm')!, id: 'own', shades: ['5+o', '5-o'] };
    const read = readExercisePack(
      writeExercisePack({
        ...pack,
        lines: [line],
        cases: [{ ...pack.cases[3], answers: [{ name: 'one', plan }] }],
      }),
    );
    expect(read.ok ? [] : read.problems.map(({ code, path }) => [code, path])).toEqual([
      ['label.noSeparator', 'lines.0.shades.1'],
      ['pack.noBowl', 'cases.0.answers.0.plan.steps.0.bowl'],
    ]);
  });

  it('prefers its own lines to the shipped ones of the same id', () => {
    const own = { ...shippedLine('velm')!, name: 'Ours' };
    const lines = linesOfPack({ lines: [own] });
    expect(lines.filter(({ id }) => id === 'velm')).toEqual([own]);
  });

  it('is described by the JSON Schema in the docs, and so is the example', () => {
    expect(JSON.parse(docs('exercise-pack.schema.json'))).toEqual(
      JSON.parse(JSON.stringify(exercisePackJsonSchema())),
    );
    const example = readExercisePack(docs('example-pack.json'));
    if (!example.ok) throw new Error(JSON.stringify(example.problems));
    for (const { id, answers } of example.value.cases) {
      const marks = answers!
        .map(({ plan }) => markCard(gradingOf(id), plan))
        .map(({ points, max }) => points / max);
      expect(marks[0]).toBe(1);
      expect(marks[1]).toBeLessThan(1);
    }
  });

  it('never throws, whatever the file holds', () => {
    fc.assert(
      fc.property(fc.json(), (text) => {
        const read = readExercisePack(text);
        if (!read.ok) expect(read.problems.length).toBeGreaterThan(0);
      }),
    );
  });
});
