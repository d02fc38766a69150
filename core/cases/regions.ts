import { type RegionName, type Area, AREAS } from '../hair';
import { type ShippedCase, makeCase, zone, dyed, to } from './case-maker';

/** A region of some areas, and one of all the others. */
const around = (name: RegionName, areas: Area[], of: object = {}, rest: object = {}) => [
  { name, areas, ...of },
  { name: 'rest' as const, areas: AREAS.filter((area) => !areas.includes(area)), ...rest },
];

/** Heads whose hair is not alike all over. */
export const REGION_CASES: readonly ShippedCase[] = [
  {
    id: 'white-at-the-face',
    clientCase: makeCase({
      title: 'White only at the face',
      difficulty: 2,
      client: {
        name: 'Mrs Tamsin Okoro-Bell',
        note: 'Medium brown, coloured for years. White at the hairline and the temples and hardly one behind. Sees it after three weeks.',
      },
      zones: [
        zone('front-regrowth', { cm: 1.5, natural: 4, grey: 0.3 }),
        zone('front-mids', {
          cm: 20,
          natural: 4,
          grey: 0.3,
          history: dyed(4, 'neutral', 0.25),
          damage: 0.1,
        }),
        zone('rest-regrowth', { cm: 1.5, natural: 4, grey: 0.05 }),
        zone('rest-mids', {
          cm: 24,
          natural: 4,
          grey: 0.05,
          history: dyed(4, 'neutral', 0.25),
          damage: 0.08,
        }),
      ],
      head: { regions: around('front', ['hairline', 'temples']) },
      facts: { weeksSinceColour: 5, upkeepWeeks: 5 },
      wish: {
        'front-regrowth': to(4, 'neutral'),
        'front-mids': to(4, 'neutral'),
        'rest-regrowth': to(4, 'neutral'),
        'rest-mids': to(4, 'neutral'),
      },
      lineIds: ['tarnwick', 'quillet'],
    }),
  },
  {
    id: 'dense-nape',
    clientCase: makeCase({
      title: 'A dense nape, a thin crown',
      difficulty: 3,
      client: {
        name: 'Ottoline Farrar',
        note: 'Coarse and thick below, fine and thin on top and a shade lighter there. Gold all over, and the same gold.',
      },
      zones: [zone('nape-mids', { cm: 6, natural: 3 }), zone('crown-mids', { cm: 6, natural: 4 })],
      head: {
        length: 'shortAllOver',
        regions: [
          {
            name: 'nape',
            areas: ['sides', 'back', 'nape'],
            density: 'dense',
            diameter: 'coarse',
          },
          {
            name: 'crown',
            areas: ['hairline', 'temples', 'top', 'crown'],
            density: 'sparse',
            diameter: 'fine',
          },
        ],
      },
      wish: { 'nape-mids': to(5, 'gold'), 'crown-mids': to(5, 'gold') },
      lineIds: ['tarnwick', 'quillet', 'calder'],
    }),
  },
  {
    id: 'light-round-the-face',
    clientCase: makeCase({
      title: 'Light round the face, softer behind',
      difficulty: 3,
      client: {
        name: 'Philippa Drax-Nwosu',
        note: 'Light brown, never coloured, strong. Fine light strands that frame the face; behind them fewer and softer ones, her own depth between.',
      },
      zones: [zone('front-mids', { cm: 22, natural: 5 }), zone('rest-mids', { cm: 26, natural: 5 })],
      head: { regions: around('front', ['hairline', 'temples', 'top']) },
      wish: {},
      placements: [
        { share: 0.4, zones: ['front-mids'], target: to(9, 'beige'), taken: 'fineWeave' },
        { share: 0.2, zones: ['rest-mids'], target: to(8, 'beige'), taken: 'backCombedWeave' },
      ],
      station: true,
      lineIds: ['calder', 'wrenfell', 'quillet'],
    }),
  },
];
