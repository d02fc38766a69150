import type { Table } from './plan';

const ASKED = { decision: 'goOn' as const, visits: 1 };

/** What is not done, not today, or not so much of. */
export const SAFETY_PLANS: Table = {
  'relaxed-and-lighter': [
    {
      name: 'a warm brown gloss, and said why',
      plan: `A pellow 4~T 5~I
        A>mids 0-15`,
      card: ASKED,
      span: [80, 100],
      why: 'deposits, and lifts nothing',
    },
    {
      name: 'lightener, gentle and slow',
      plan: `A wrenfell @10; B quillet 5-E
        A>mids 0-30 check5; B>mids 35-50`,
      card: ASKED,
      span: [0, 10],
      why: 'hair relaxed with hydroxide breaks',
    },
    {
      name: 'permanent, 20 vol',
      plan: `A tarnwick 5:3 @20
        A>mids 0-35`,
      card: ASKED,
      span: [10, 55],
      why: 'lift on relaxed hair',
    },
    {
      name: 'declined, nothing asked',
      card: { asked: ['reactions', 'scalp'], tests: ['patch'] },
      span: [40, 75],
      why: 'right by luck',
    },
  ],
  'permed-last-week': [
    {
      name: 'an acid copper today',
      plan: `A pellow 6~I
        A>mids 0-15`,
      card: ASKED,
      span: [80, 100],
      why: 'no peroxide worth the name',
    },
    {
      name: 'permanent, 20 vol, today',
      plan: `A tarnwick 6:2 @20
        A>mids 0-35`,
      card: ASKED,
      span: [40, 70],
      why: 'a week too soon',
    },
    {
      name: 'permanent, 30 vol, today',
      plan: `A tarnwick 6:2 @30
        A>mids 0-35`,
      card: ASKED,
      span: [10, 70],
      why: 'too soon and too strong',
    },
  ],
  'soft-as-wool': [
    {
      name: '9 beige by demi, gently, and treated',
      plan: `A quillet 9-O
        A>mids 0-12 check3`,
      card: { care: [{ do: 'treat', zones: ['mids'], start: 15, treatment: 'protein' }] },
      span: [90, 100],
      why: 'deposit and time',
    },
    {
      name: 'lightened again',
      plan: `A wrenfell @10; B quillet 9-O
        A>mids 0-15 check5; B>mids 20-35 check3`,
      span: [0, 40],
      why: 'hair that stretches on and on',
    },
    {
      name: 'permanent, 20 vol',
      plan: `A tarnwick 9:9 @20
        A>mids 0-35`,
      span: [10, 55],
      why: 'lift on hair that has given way',
    },
    {
      name: '10 ash',
      plan: `A quillet 10-S
        A>mids 0-20 check3`,
      span: [15, 60],
      why: 'grabs, and is no beige',
    },
  ],
  'three-months-after': [
    {
      name: 'a full head with 30 vol',
      plan: `A calder @30; B quillet 9-O
        A>mids 0-30 check5; A>regrowth 10-30 check5; B>regrowth,mids 35-50 check3`,
      span: [30, 75],
      why: 'over the limit at the scalp, on hair that falls',
    },
    {
      name: 'declined without an offer',
      card: { decision: 'decline', bowls: [], steps: [], care: [] },
      span: [0, 40],
      why: 'shedding forbids nothing',
    },
  ],
  'scratched-yesterday': [
    {
      name: 'retouched all the same',
      plan: `A tarnwick 5:0 @20
        A>regrowth 0-45 front`,
      card: ASKED,
      span: [0, 10],
      why: 'nothing goes on a sore scalp',
    },
    {
      name: 'declined and dated',
      span: [100, 100],
      why: 'not today',
    },
  ],
};
