import type { Table } from './plan';

/** Clients who come back: what has grown and what has faded, each for itself, and what they are told. */
export const MONTHS_PLANS: Table = {
  'seven-weeks-blonde': [
    {
      name: 'gentle powder on the root, pearl on all of it',
      plan: `A wrenfell @20; B quillet 9-U
        A>regrowth 0-50 check5; B>regrowth,mids,ends 55-70 check3`,
      span: [85, 100],
      why: 'lightener on what grew, toner on what faded',
    },
    {
      name: 'strong powder on the root, pearl on all of it',
      plan: `A calder @20; B quillet 9-U
        A>regrowth 0-40 check5; B>regrowth,mids,ends 45-60 check3`,
      span: [80, 100],
      why: 'within the limit at the scalp, and watched',
    },
    {
      name: 'pearl on all of it, the root left as it grew',
      plan: `A quillet 9-U
        A>regrowth,mids,ends 0-15 check3`,
      span: [5, 50],
      why: 'a toner lifts nothing',
    },
    {
      name: 'powder run over the lengths',
      plan: `A calder @20; B quillet 9-U
        A>regrowth,mids,ends 0-40 check5 over; B>regrowth,mids,ends 45-60 check3`,
      span: [0, 45],
      why: 'lightened hair is not lightened again to freshen it',
    },
    {
      name: 'the root alone',
      plan: `A wrenfell @20; B quillet 9-U
        A>regrowth 0-50 check5; B>regrowth 55-70 check3`,
      span: [25, 75],
      why: 'the lengths are as yellow as they came',
    },
    {
      name: 'booked in three months',
      card: { nextVisitWeeks: 13 },
      span: [96, 99.5],
      why: 'only the date is wrong: three centimetres by then',
    },
    {
      name: 'half of the price, half of the time',
      card: { quote: { price: 55, minutes: 60 } },
      span: [96, 99.5],
      why: 'the client pays twice what was said; the hair is right',
    },
  ],
  'nine-weeks-red': [
    {
      name: '5 red, 20 vol on the root; demi red on the lengths',
      plan: `A tarnwick 5:4 @20; B quillet 5-R
        A>regrowth 0-35; B>mids,ends 15-35`,
      span: [85, 100],
      why: 'permanent where it has to lift, demi where it only faded',
    },
    {
      name: 'permanent from root to tip, 20 vol',
      plan: `A tarnwick 5:4 @20
        A>regrowth,mids,ends 0-35 over`,
      span: [45, 85],
      why: 'pulled through each time, it builds up and opens the ends',
    },
    {
      name: 'the root alone',
      plan: `A tarnwick 5:4 @20
        A>regrowth 0-35`,
      span: [20, 70],
      why: 'the lengths were to be red as well',
    },
    {
      name: 'lightener first',
      plan: `A calder @20; B tarnwick 5:4 @20
        A>mids,ends 0-30 check5; B>regrowth,mids,ends 35-70`,
      span: [0, 45],
      why: 'faded red is no reason to lighten',
    },
    {
      name: '5 ash on all of it',
      plan: `A tarnwick 5:7 @20
        A>regrowth,mids,ends 0-35 over`,
      span: [0, 45],
      why: 'the wish was red',
    },
  ],
  'five-weeks-pink': [
    {
      name: 'pink on the lengths again',
      plan: `A brindle Rosehip
        A>mids,ends 0-25`,
      span: [90, 100],
      why: 'what washes out is put on again, and nothing else',
    },
    {
      name: 'lightened first',
      plan: `A wrenfell @20; B brindle Rosehip
        A>mids,ends 0-25 check5; B>mids,ends 30-55`,
      span: [10, 65],
      why: 'the hair is light enough, and pays for it',
    },
    {
      name: 'violet',
      plan: `A brindle Damson
        A>mids,ends 0-25`,
      span: [5, 50],
      why: 'the wish was pink',
    },
    {
      name: 'five minutes',
      plan: `A brindle Rosehip
        A>mids,ends 0-5`,
      span: [35, 85],
      why: 'a ready dye takes its time',
    },
    {
      name: 'booked in four months',
      card: { nextVisitWeeks: 16 },
      span: [95, 99.5],
      why: 'only the date is wrong: it will be gone in four weeks',
    },
  ],
};
