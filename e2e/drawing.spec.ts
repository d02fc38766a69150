import { expect } from '@playwright/test';
import { test } from './pages';
import { build } from 'esbuild';
import { resolve } from 'node:path';

/** Draws locks of every kind, and heads, and folds their bytes into one number each (FNV-1a). */
const DRAWS = `
  import { COATINGS, naturalLook, paintHead, paintTress } from './core/draw';
  import { HAIR_FORMS } from './core/hair';
  import { DRAWN, VIEWS, headOf } from './web/features/head/sheet-views';
  const folded = ({ data }) => data.reduce((hash, byte) => Math.imul(hash ^ byte, 0x01000193), 0x811c9dc5);
  const locks = HAIR_FORMS.map((form, i) => {
    const look = naturalLook({ naturalLevel: 3 + i, greyShare: i / 5, porosity: 'high', diameter: 'fine' }, 7 + i);
    const [zone] = look.zones;
    const zones = [{ ...zone, to: 0.4, under: COATINGS[i] }, { ...zone, from: 0.4 }];
    return folded(paintTress({ ...look, form, zones, frizz: i / 4, wet: i === 1, limp: i === 2 ? 1 : 0 }, { width: 150, height: 300 }));
  });
  const heads = VIEWS.map((view, i) => {
    const [zone] = naturalLook({ naturalLevel: 3 + i, greyShare: i / 4, porosity: 'high', diameter: 'fine' }, 7).zones;
    const area = { ...zone, form: HAIR_FORMS[i + 1], density: 'medium' };
    const areas = Object.keys(DRAWN[view].areas).map((name, n) => [name, n === 0 ? { ...area, under: COATINGS[i] } : area]);
    return folded(paintHead(headOf(view), Object.fromEntries(areas), { width: 120, height: 150 }));
  });
  globalThis.drawn = [...locks, ...heads];
`;

test('a browser and the server draw the same hair, to the bit', async ({ page }) => {
  const { outputFiles } = await build({
    stdin: { contents: DRAWS, resolveDir: resolve(import.meta.dirname, '..'), loader: 'ts' },
    bundle: true,
    write: false,
    format: 'iife',
  });
  const code = outputFiles[0].text;
  const here = new Function(`${code}; return globalThis.drawn;`)() as number[];
  await page.goto('/');
  const there = await page.evaluate(
    (text) => new Function(`${text}; return globalThis.drawn;`)() as number[],
    code,
  );
  expect(new Set(here).size).toBe(here.length);
  expect(there).toEqual(here);
});
