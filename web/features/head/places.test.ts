import type { ShownHair, VisibleRegion } from '@cimbel/core/exercise';
import { AREAS } from '@cimbel/core/hair';
import { naturalLook } from '@cimbel/core/draw';
import { headLook } from './places';

const region = (areas: VisibleRegion['areas'], density: VisibleRegion['density']) =>
  ({ areas, density, zones: [] }) as unknown as VisibleRegion;
const look = naturalLook({ naturalLevel: 4, greyShare: 0.4, porosity: 'normal', diameter: 'medium' }, 1);

describe('the look of a head', () => {
  it('gives each area the hair of its region, and of the first where no region has it', () => {
    const front = { ...look, zones: [{ ...look.zones[0], under: 'foam' as const }] };
    const regions = [region(['crown', 'back'], 'dense'), region(['hairline'], 'sparse')];
    const seen = headLook(regions, [{ look }, { look: { ...front, form: 'coily' } }] as ShownHair[]);
    expect(Object.keys(seen).sort()).toEqual([...AREAS].sort());
    expect(seen.hairline).toMatchObject({ under: 'foam', form: 'coily', density: 'sparse', greyShare: 0.4 });
    for (const area of ['crown', 'nape'] as const)
      expect(seen[area]).toMatchObject({ form: 'straight', density: 'dense', greyShare: 0.4 });
    expect(seen.crown?.under).toBeUndefined();
  });

  it('tells no white apart where only the colour from a step away is known', () => {
    const root = { l: 40, a: 5, b: 9 };
    const seen = headLook([region(['top'], 'medium')], [
      { src: '/hair', root, form: 'wavy' },
    ] as unknown as ShownHair[]);
    expect(seen.top).toMatchObject({ colour: root, greyShare: 0, form: 'wavy' });
  });
});
