import type { Table } from './plan';

/** Dye that has to come out, and hair that goes back to a darker colour. */
export const DARK_BACK_PLANS: Table = {
  'copper-root-from-a-box': [
    {
      name: '5 neutral with a trace of ash, demi, the root alone',
      plan: `A quillet 5-L*4 5-S
        A>regrowth 0-20`,
      span: [85, 100],
      why: 'too light and too warm is deposited on',
    },
    {
      name: 'the same shade in permanent, 10 vol',
      plan: `A tarnwick 5:0*9 5:7 @10
        A>regrowth 0-35`,
      span: [80, 100],
      why: 'a deposit strength is as good',
    },
    {
      name: 'remover first',
      plan: `A lantry; B quillet 5-L
        A>regrowth 0-20; B>regrowth 25-45`,
      span: [25, 85],
      why: 'gets there, and nobody needed it; the page of heads says 55 at most',
    },
    {
      name: '9 ash',
      plan: `A quillet 9-S
        A>regrowth 0-20`,
      span: [10, 50],
      why: 'a shade lighter than the hair covers nothing',
    },
    {
      name: '5 neutral, 20 vol',
      plan: `A tarnwick 5:0 @20
        A>regrowth 0-35`,
      span: [55, 78],
      why: 'lift on a root that is too light',
    },
    {
      name: 'neat and all over',
      plan: `A quillet 5-L*4 5-S
        A>regrowth,mids 0-20`,
      span: [65, 88],
      why: 'the lengths were right',
    },
  ],
  'two-centimetres-of-dark': [
    {
      name: 'remover on the band, then 6 gold over band and root',
      plan: `A lantry; B quillet 6-H
        A>band 0-20; B>regrowth,band 25-45`,
      span: [90, 100],
      why: 'the band is worked as a place of its own',
    },
    {
      name: 'all to 3',
      plan: `A quillet 3-L
        A>regrowth,mids 0-20`,
      span: [5, 40],
      why: 'the wish was gold',
    },
    {
      name: 'lightener over band and lengths',
      plan: `A calder @20; B quillet 6-H
        A>band,mids 0-25 check5; B>regrowth,band,mids 30-50`,
      span: [10, 50],
      why: 'the lengths had done nothing',
    },
    {
      name: '8 gold with 40 vol on the band',
      plan: `A tarnwick 8:1 @40; B quillet 6-H
        A>band 0-35; B>regrowth 15-35`,
      span: [10, 40],
      why: 'colour does not lift colour',
    },
  ],
  'black-to-warm-brown': [
    {
      name: 'powder with 40 vol on all of it',
      plan: `A calder @40; B quillet 6-E
        A>mids,ends 0-50 check10; B>mids,ends 55-75`,
      span: [5, 45],
      why: 'too much at once for hair that is only fair',
    },
    {
      name: 'promised in one',
      plan: `A lantry; B calder @20; C quillet 6-E
        A>mids,ends 0-20; B>mids,ends 25-75 check5; C>mids,ends 80-100`,
      card: { visits: 1 },
      span: [5, 45],
      why: 'layers of black do not leave in a morning',
    },
    {
      name: 'three appointments where two would do',
      card: { visits: 3 },
      span: [90, 100],
      why: 'careful, and said before it begins',
    },
  ],
  'half-grown-out': [
    {
      name: 'ends filled, demi on both, the ends half a level lighter',
      plan: `A hobday Ground_6; B quillet 6-L 7-L; C quillet 7-L
        A>ends 0-15 stay; B>mids 15-35 check3; C>ends 15-30`,
      span: [85, 100],
      why: 'porous and sound are served apart',
    },
    {
      name: 'one 6 on all of it',
      plan: `A quillet 6-L
        A>mids,ends 0-20 check3`,
      span: [45, 68],
      why: 'no filler, and the ends drink it',
    },
    {
      name: 'the ends unfilled',
      plan: `A quillet 6-L 7-L
        A>mids,ends 0-20 check3`,
      span: [30, 62],
      why: 'ends with nothing under a cool brown',
    },
    {
      name: 'permanent on the ends',
      plan: `A hobday Ground_6; B quillet 6-L 7-L; C tarnwick 6:0 @20
        A>ends 0-15 stay; B>mids 15-35 check3; C>ends 15-50`,
      span: [20, 65],
      why: 'lift on porous ends',
    },
  ],
  'taken-by-the-sun': [
    {
      name: 'demi 5 and 6 ash, the ends shorter',
      plan: `A quillet 5-S 6-S
        A>mids 0-20; A>ends 5-18`,
      span: [85, 100],
      why: 'blue against orange, at the depth that is wished',
    },
    {
      name: 'demi 6 ash with neutral',
      plan: `A quillet 6-S*2 5-L
        A>mids 0-20; A>ends 6-18`,
      span: [70, 100],
      why: 'a little less ash lands as well',
    },
    {
      name: 'a gold in it',
      plan: `A quillet 5-H 6-H
        A>mids,ends 0-20`,
      span: [15, 60],
      why: 'feeds what is to go',
    },
    {
      name: '8 ash',
      plan: `A quillet 8-S
        A>mids,ends 0-20`,
      span: [10, 50],
      why: 'lighter than the hair',
    },
    {
      name: 'permanent 20 vol',
      plan: `A tarnwick 5:7*1 6:7*1 @20
        A>mids,ends 0-35`,
      span: [30, 72],
      why: 'lifts on, and porous ends under permanent',
    },
  ],
  'a-lighter-summer': [
    {
      name: 'remover and a short powder in the weaves, toned 6',
      plan: `A lantry; B calder @20; C quillet 6-O
        A>mids 0-20 foils0.3 fineWeave; B>mids 25-40 foils0.3 fineWeave check5; C>mids 45-60 foils0.3 fineWeave check3`,
      span: [88, 100],
      why: 'dye out, hair up, tone on',
    },
    {
      name: 'powder alone in the weaves, toned 6',
      plan: `A calder @20; B quillet 6-O
        A>mids 0-40 foils0.3 fineWeave check5; B>mids 45-60 foils0.3 fineWeave check3`,
      span: [80, 100],
      why: 'lightener takes dye as well',
    },
    {
      name: '6 with 40 vol in the weaves',
      plan: `A tarnwick 6:9 @40
        A>mids 0-35 foils0.3 fineWeave`,
      span: [5, 40],
      why: 'colour does not lift colour',
    },
    {
      name: 'high-lift in the weaves',
      plan: `A tarnwick 11:0 @40
        A>mids 0-50 foils0.3 fineWeave`,
      span: [5, 40],
      why: 'nor does high-lift',
    },
  ],
};
