import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readExercisePack, type ExercisePack } from '../../core/io';
import { runPack } from './pack';

const read = readExercisePack(readFileSync(join(__dirname, '../../docs/formats/example-pack.json'), 'utf8'));
if (!read.ok) throw new Error(JSON.stringify(read.problems));
const pack = read.value;

describe('a pack on the command line', () => {
  it('is solved: best plan, others as good, near misses with the rule they break', () => {
    const { results, problems } = runPack('solve', pack);
    expect(problems).toEqual([]);
    const [retouch] = results as {
      id: string;
      best: { bowls: unknown[] };
      equivalents: unknown[];
      nearMisses: { breaks: { rule: string } }[];
    }[];
    expect(retouch).toMatchObject({ id: 'retouch-grey', best: { decision: 'goOn' } });
    expect(retouch.best.bowls).toHaveLength(2);
    expect(retouch.equivalents.length).toBeGreaterThan(0);
    expect(retouch.nearMisses.every(({ breaks }) => breaks.rule.length > 0)).toBe(true);
  });

  it('keeps the keys that other programs read', () => {
    const [retouch] = runPack('solve', pack).results as Record<string, Record<string, unknown>[]>[];
    expect(Object.keys(retouch)).toEqual([
      'id',
      'best',
      'choices',
      'visits',
      'stops',
      'proof',
      'equivalents',
      'nearMisses',
    ]);
    expect(Object.keys(retouch.choices[0])).toEqual(['part', 'route', 'reason', 'deltaE']);
    expect(retouch.visits[0]).toMatchObject({ afterWeeks: 0, plan: { decision: 'goOn' } });
    const graded = runPack('grade', { ...pack, houseRules: undefined }).results as {
      answers: { grade: { decided: { code: string }; outcome: Record<string, unknown>[] } }[];
    }[];
    const [, wrong] = graded[1].answers.map(({ grade }) => grade);
    expect(wrong.outcome[0]).toMatchObject({ part: expect.any(String), because: expect.any(String) });
    expect(['asWished', 'near', 'notice', 'correct']).toContain(wrong.outcome[0].cameOut);
    expect(wrong.decided.code).toMatch(
      /\.(correct|notice|near|danger|unwatched|method|wished|weaker|asWished)$/,
    );
  });

  it('is graded, answer by answer, by the rules it brings along', () => {
    const marks = (rules?: ExercisePack['houseRules']) =>
      (
        runPack('grade', { ...pack, houseRules: rules }).results as {
          answers: { grade: { points: number; max: number } }[];
        }[]
      ).map(({ answers }) => answers.map(({ grade }) => grade.points / grade.max));
    const [retouch, blonde] = marks();
    expect([retouch[0], blonde[0]]).toEqual([1, 1]);
    expect(retouch[1]).toBeLessThan(1);
    expect(blonde[1]).toBeLessThanOrEqual(0.4);
  });

  it('is simulated to the last minute, the best plan where no answer is there', () => {
    const cases = pack.cases.map(({ answers: _, ...rest }) => rest);
    const { results } = runPack('simulate', { ...pack, cases });
    const [{ plays }] = results as {
      plays: { name: string; minutes: { minute: number; parts: Record<string, { deltaE: number }> }[] }[];
    }[];
    expect(plays).toHaveLength(1);
    expect(plays[0].minutes.map(({ minute }) => minute)).toEqual([0, 5, 10, 15, 20, 25, 30, 35, 40, 45]);
    expect(plays[0].minutes.at(-1)!.parts.regrowth.deltaE).toBeLessThan(
      plays[0].minutes[0].parts.regrowth.deltaE,
    );
  });

  it('says which case has no answer, and why', () => {
    const [first, ...rest] = pack.cases;
    const wrong = { ...pack, cases: [...rest, { ...first, case: { ...first.case, lineIds: ['hobday'] } }] };
    const { problems } = runPack('solve', wrong);
    expect(problems).toMatchObject([
      { code: 'case.noAnswer', params: { id: 'retouch-grey' }, path: 'cases.1.case' },
    ]);
  });
});
