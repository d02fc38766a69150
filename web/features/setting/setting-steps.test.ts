import { SHIPPED_CASES } from '@cimbel/core/cases';
import { caseFaults } from '@cimbel/core/case';
import { placeOfFault } from './setting-steps';

const [{ clientCase }] = SHIPPED_CASES;
const [{ zone }] = clientCase.head.zones;

describe('what is missing of a case', () => {
  it('leads to the step and the field where it is put right, all of it at once', () => {
    const broken = {
      ...clientCase,
      client: { ...clientCase.client, name: '' },
      head: { ...clientCase.head, zones: clientCase.head.zones.map((one) => ({ ...one, lengthCm: 0 })) },
      wish: {},
      lineIds: [],
    };
    const places = caseFaults(broken).map((fault) => placeOfFault(broken, fault));
    expect(places).toEqual(
      expect.arrayContaining([
        { step: 'client', field: 'client' },
        { step: 'client', field: `place.${zone}` },
        { step: 'wish', field: 'lines' },
      ]),
    );
    expect(placeOfFault(clientCase, 'wish')).toEqual({ step: 'wish', field: 'wish' });
    expect(placeOfFault(clientCase, 'placements.0.zones.1')).toEqual({ step: 'wish', field: 'placements' });
    expect(placeOfFault(clientCase, 'head.regions.0.areas')).toEqual({ step: 'client', field: 'head' });
    expect(placeOfFault(clientCase, 'title')).toEqual({ step: 'client', field: 'title' });
  });
});
