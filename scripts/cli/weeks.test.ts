import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readExercisePack } from '../../core/io';
import { USUAL_HABITS } from '../../core/process';
import { runPack } from './pack';
import { weeksAsked } from './weeks';

describe('weeks on the command line', () => {
  it('are read with the habits that are said, the rest as usual', () => {
    expect(weeksAsked([])).toBeNull();
    expect(weeksAsked(['--weeks=6'])).toEqual({ weeks: 6, habits: USUAL_HABITS, growth: 1.25 });
    expect(
      weeksAsked(['--weeks=0', '--habits=wash:2,hot,clarifying:1,violet:1,blue:0.5,sun,pool:2,growth:0.8']),
    ).toEqual({
      weeks: 0,
      habits: {
        washes: 2,
        water: 'hot',
        shampoo: 'gentle',
        clarifying: 1,
        violet: 1,
        blue: 0.5,
        sun: true,
        pool: 2,
      },
      growth: 0.8,
    });
  });

  it('are refused with the option named, on both sides of what there can be', () => {
    for (const [args, says] of [
      [['--weeks='], '--weeks'],
      [['--weeks=1.5'], '--weeks'],
      [['--weeks=-1'], '--weeks'],
      [['--weeks=105'], '--weeks'],
      [['--habits=sun'], '--habits'],
      [['--weeks=1', '--habits=wash:15'], 'wash'],
      [['--weeks=1', '--habits=wash'], 'wash'],
      [['--weeks=1', '--habits=sun:2'], '--habits'],
      [['--weeks=1', '--habits=rain'], 'rain'],
      [['--weeks=1', '--habits=growth:0.7'], 'growth'],
    ] as const)
      expect(() => weeksAsked(args)).toThrow(says);
    expect(weeksAsked(['--weeks=104'])?.weeks).toBe(104);
    expect(weeksAsked(['--weeks=1', '--habits=wash:14'])?.habits.washes).toBe(14);
  });

  it('are played from the last minute: each place by level, tone, ΔE, regrowth and condition', () => {
    const text = readFileSync(join(__dirname, '../../docs/formats/example-pack.json'), 'utf8');
    const pack = readExercisePack(text);
    if (!pack.ok) throw new Error(JSON.stringify(pack.problems));
    const results = runPack('simulate', pack.value, weeksAsked(['--weeks=6'])).results as {
      plays: { weeks: { week: number; parts: Record<string, Record<string, unknown>> }[] }[];
    }[];
    const [{ weeks }] = results[0].plays;
    expect(weeks.map(({ week }) => week)).toEqual([0, 1, 2, 3, 4, 5, 6]);
    expect(Object.keys(weeks[6].parts.mids)).toEqual(['level', 'tone', 'deltaE', 'regrowthCm', 'condition']);
    expect(weeks[0].parts.regrowth).toMatchObject({ deltaE: 0, regrowthCm: 0 });
    expect(weeks[6].parts.regrowth.regrowthCm).toBe(1.75);
    expect(weeks[6].parts.mids.regrowthCm).toBe(0);
  });
});
