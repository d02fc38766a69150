import { type ShippedCase, makeCase, zone, to, dyed, lightened } from '../case-maker';

/** What is not done, not today, or not so much of. */
export const SAFETY_CASES: readonly ShippedCase[] = [
  {
    id: 'relaxed-and-lighter',
    clientCase: makeCase({
      title: 'Relaxed, and she wants it lighter',
      difficulty: 2,
      client: {
        name: 'Adaeze Fontaine',
        note: 'Relaxed six weeks ago, dark brown. Would like it lighter and warm.',
      },
      zones: [
        zone('mids', {
          cm: 20,
          natural: 3,
          history: [{ kind: 'chemical', service: 'hydroxideRelaxer', weeksAgo: 6 }],
          damage: 0.3,
        }),
      ],
      head: { form: 'straight' },
      facts: { weeksSinceColour: null },
      wish: { mids: to(5, 'warmBrown') },
      lineIds: ['pellow', 'quillet', 'tarnwick', 'wrenfell'],
    }),
  },
  {
    id: 'permed-last-week',
    clientCase: makeCase({
      title: 'Permed last week',
      difficulty: 2,
      client: {
        name: 'Dorothea Linklater',
        note: 'A perm ten days ago, light brown, never coloured. Copper today, if it can be had.',
      },
      zones: [
        zone('mids', {
          cm: 14,
          natural: 5,
          history: [{ kind: 'chemical', service: 'perm', weeksAgo: 1 }],
          damage: 0.16,
        }),
      ],
      facts: { upkeepWeeks: 6 },
      wish: { mids: to(6, 'copper') },
      lineIds: ['tarnwick', 'pellow'],
    }),
  },
  {
    id: 'soft-as-wool',
    clientCase: makeCase({
      title: 'Soft as wet wool',
      difficulty: 2,
      client: {
        name: 'Minna Castellow',
        note: 'Lightened three times in a month. White-yellow and soft; it stretches in the comb. Beige, and calmer.',
      },
      zones: [
        zone('mids', {
          cm: 16,
          natural: 6,
          porosity: 'high',
          history: lightened(10),
          damage: 0.52,
          moisture: 0.94,
        }),
      ],
      facts: { weeksSinceColour: 2 },
      wish: { mids: to(9, 'beige') },
      lineIds: ['quillet', 'pellow', 'tarnwick', 'wrenfell'],
    }),
  },
  {
    id: 'three-months-after',
    clientCase: makeCase({
      title: 'Three months after a birth',
      difficulty: 2,
      client: {
        name: 'Rosalind Achterberg',
        note: 'A baby of three months. Her hair comes out by the handful; what is there is strong. All over blonde.',
      },
      zones: [zone('regrowth', { cm: 1.3, natural: 6 }), zone('mids', { cm: 20, natural: 6 })],
      head: { density: 'sparse' },
      facts: { told: { medicines: 'None. It began after the birth, the doctor says that it passes.' } },
      wish: { regrowth: to(9, 'beige'), mids: to(9, 'beige') },
      lineIds: ['wrenfell', 'calder', 'quillet'],
    }),
  },
  {
    id: 'scratched-yesterday',
    clientCase: makeCase({
      title: 'Scratched yesterday',
      difficulty: 1,
      client: {
        name: 'Mrs Beaufoy',
        note: 'Retouch as every five weeks. Rubs behind her ear while she talks.',
      },
      zones: [
        zone('regrowth', { cm: 1.5, natural: 5, grey: 0.4 }),
        zone('mids', { cm: 16, natural: 5, grey: 0.4, history: dyed(5, 'neutral'), damage: 0.08 }),
      ],
      facts: { scalp: 'irritated', weeksSinceColour: 5, upkeepWeeks: 5 },
      wish: { regrowth: to(5, 'neutral') },
      lineIds: ['tarnwick', 'quillet'],
    }),
  },
];
