import type { Table } from './plan';

/** Grey and lift on hair that is not the usual: thin, coarse, short, only here and there white. */
export const HAIR_PLANS: Table = {
  'soft-over-white': [
    {
      name: 'demi 5, ten minutes',
      plan: `A quillet 5-L
        A>mids 0-10 check5`,
      span: [90, 100],
      why: 'blended, and soft when it grows',
    },
    {
      name: 'demi 5 and 6, eight minutes',
      plan: `A quillet 5-L 6-L
        A>mids 0-8 check3`,
      span: [75, 100],
      why: 'a little lighter is as soft',
    },
    {
      name: 'full cover by permanent',
      plan: `A tarnwick 5:0 @20
        A>mids 0-45 front`,
      span: [50, 75],
      why: 'a line in three weeks, which was not to be',
    },
    {
      name: 'lightened',
      plan: `A tarnwick 8:0 @40
        A>mids 0-35`,
      span: [5, 50],
      why: 'nobody asked for light',
    },
  ],
  'temples-only': [
    {
      name: 'demi 4 cool, five minutes, the temples alone',
      plan: `A quillet 4-S
        A>sides-mids 0-5 check3`,
      span: [80, 100],
      why: 'less of it, and no colour',
    },
    {
      name: 'permanent 3, full time',
      plan: `A tarnwick 3:0 @20
        A>sides-mids 0-45`,
      span: [30, 85],
      why: 'dyed, which it was not to be; the page of heads says 60 at most',
    },
    {
      name: 'twenty minutes, all over',
      plan: `A quillet 3-L
        A>sides-mids,rest-mids 0-20`,
      span: [60, 88],
      why: 'the rest had nothing to hide',
    },
  ],
  'gold-eight': [
    {
      name: '8 natural and 8 gold, half and half, 20 vol',
      plan: `A tarnwick 8:0 8:1 @20
        A>mids 0-45 front`,
      span: [90, 100],
      why: 'half natural on six tenths white',
    },
    {
      name: 'gold alone',
      plan: `A tarnwick 8:1 @20
        A>mids 0-45 front`,
      span: [25, 62],
      why: 'glassy gold over white',
    },
    {
      name: '9 gold with 40 vol',
      plan: `A tarnwick 9:1 @40
        A>mids 0-35`,
      span: [10, 60],
      why: 'a level too light and no natural',
    },
    {
      name: '10 vol',
      plan: `A tarnwick 8:0 8:1 @10
        A>mids 0-45 front`,
      span: [20, 60],
      why: 'neither lifts nor covers',
    },
  ],
  'first-white-at-the-parting': [
    {
      name: 'demi at the parting, ten minutes',
      plan: `A quillet 4-L
        A>top-regrowth 0-10`,
      span: [92, 100],
      why: 'less of it and no line',
    },
    {
      name: 'permanent at the parting',
      plan: `A tarnwick 4:0 @20
        A>top-regrowth 0-45 front`,
      span: [55, 80],
      why: 'a line in four weeks',
    },
    {
      name: 'permanent all over',
      plan: `A tarnwick 4:0 @20
        A>top-regrowth,top-mids,rest-mids 0-45 front`,
      span: [30, 66],
      why: 'the lengths were to be left',
    },
  ],
  'thin-at-the-crown': [
    {
      name: 'natural 5, 20 vol, dense areas first',
      plan: `A tarnwick 5:0 @20
        A>crown-mids,rest-mids 0-45 from:nape,back,sides,temples,hairline,top,crown`,
      span: [92, 100],
      why: 'where the hair is first, the crown last',
    },
    {
      name: '30 vol',
      plan: `A tarnwick 5:0 @30
        A>crown-mids,rest-mids 0-45 from:nape,back,sides,temples,hairline,top,crown`,
      span: [58, 85],
      why: 'more than it needs, on fine hair',
    },
    {
      name: 'as much as for dense hair',
      plan: `A tarnwick 5:0 @20 x1.5
        A>crown-mids,rest-mids 0-45 from:nape,back,sides,temples,hairline,top,crown`,
      span: [95, 100],
      why: 'waste, no more',
    },
  ],
  'one-to-one-and-a-half': [
    {
      name: '32 g and 48 g',
      card: {
        bowls: [
          {
            name: 'A',
            lineId: 'tarnwick',
            shades: [
              { label: '5:0', grams: 16 },
              { label: '5:1', grams: 16 },
            ],
            productGrams: 0,
            developer: [{ vol: 20, grams: 48 }],
            additive: false,
          },
        ],
      },
      span: [97, 100],
      why: 'eighty grams by the line’s own ratio',
    },
    {
      name: '32 g and 32 g',
      card: {
        bowls: [
          {
            name: 'A',
            lineId: 'tarnwick',
            shades: [
              { label: '5:0', grams: 16 },
              { label: '5:1', grams: 16 },
            ],
            productGrams: 0,
            developer: [{ vol: 20, grams: 32 }],
            additive: false,
          },
        ],
      },
      span: [90, 98],
      why: 'another line’s ratio',
    },
    {
      name: '40 g and 40 g',
      card: {
        bowls: [
          {
            name: 'A',
            lineId: 'tarnwick',
            shades: [
              { label: '5:0', grams: 20 },
              { label: '5:1', grams: 20 },
            ],
            productGrams: 0,
            developer: [{ vol: 20, grams: 40 }],
            additive: false,
          },
        ],
      },
      span: [92, 98],
      why: 'another line’s ratio, and the right amount',
    },
  ],
  'a-quarter-in-foils': [
    {
      name: 'gentle powder 20 vol in fine weaves, toned 7',
      plan: `A wrenfell @20; B quillet 7-L
        A>mids 0-30 foils0.25 fineWeave check5; B>mids 35-50 foils0.25 fineWeave check3`,
      span: [85, 100],
      why: 'a little light, and cooled',
    },
    {
      name: 'permanent 7, half ash, 20 vol in foils',
      plan: `A tarnwick 7:0 7:7 @20
        A>mids 0-35 foils0.25 fineWeave`,
      span: [85, 100],
      why: 'one level is colour’s',
    },
    {
      name: 'powder with 40 vol',
      plan: `A calder @40; B quillet 7-L
        A>mids 0-15 foils0.25 fineWeave check5; B>mids 20-35 foils0.25 fineWeave check3`,
      span: [50, 80],
      why: 'a cannon for a sparrow',
    },
    {
      name: 'open, all over',
      plan: `A tarnwick 7:0 7:7 @20
        A>mids 0-35`,
      span: [10, 55],
      why: 'a quarter was wished',
    },
    {
      name: 'untoned',
      plan: `A wrenfell @20
        A>mids 0-30 foils0.25 fineWeave check5`,
      span: [30, 62],
      why: 'orange stripes',
    },
  ],
  'warm-brown-from-black-brown': [
    {
      name: '4 warm, 30 vol, mids first, the longest time',
      plan: `A tarnwick 4:3 @30
        A>mids 0-50; A>regrowth 15-50`,
      span: [95, 100],
      why: 'warmth meant',
    },
    {
      name: 'powder first',
      plan: `A calder @20; B tarnwick 4:3 @10
        A>mids 0-15 check5; A>regrowth 10-15 check5; B>regrowth,mids 20-45`,
      span: [15, 85],
      why: 'she said no powder, and colour gets there; the page of heads says 60 at most',
    },
    {
      name: '20 vol',
      plan: `A tarnwick 4:3 @20
        A>mids 0-50; A>regrowth 15-50`,
      span: [50, 80],
      why: 'half of the lift',
    },
    {
      name: 'ash in it',
      plan: `A tarnwick 4:3 4:7 @30
        A>mids 0-50; A>regrowth 15-50`,
      span: [45, 85],
      why: 'kills the warmth that was wished',
    },
  ],
  'high-lift-retouch': [
    {
      name: 'high-lift, 40 vol, the regrowth alone',
      plan: `A tarnwick 11:0 @40 r2
        A>regrowth 0-50`,
      span: [88, 100],
      why: 'as the lengths were made',
    },
    {
      name: 'over the lengths',
      plan: `A tarnwick 11:0 @40 r2
        A>regrowth,mids 0-50 over`,
      span: [10, 55],
      why: 'lift on lift on all of it',
    },
    {
      name: 'powder',
      plan: `A wrenfell @20; B quillet 10-L
        A>regrowth 0-30 check5; B>regrowth 35-45 check3`,
      span: [40, 88],
      why: 'gets there at a price; the page of heads says 60 at most',
    },
    {
      name: 'ordinary 10, 20 vol',
      plan: `A tarnwick 10:0 @20
        A>regrowth 0-35`,
      span: [30, 70],
      why: 'a level short',
    },
  ],
  'tips-of-coils': [
    {
      name: 'permanent 4 red, 30 vol, the tips alone',
      plan: `A tarnwick 4:4 @30
        A>ends 0-40`,
      span: [90, 100],
      why: 'warmth carries it',
    },
    {
      name: '40 vol',
      plan: `A tarnwick 4:4 @40
        A>ends 0-35`,
      span: [50, 85],
      why: 'more than it needs, on coils',
    },
    {
      name: 'powder to 6 first',
      plan: `A calder @20; B quillet 4-R
        A>ends 0-30 check5; B>ends 35-55`,
      span: [20, 70],
      why: 'takes what carries the red',
    },
    {
      name: 'up to the scalp',
      plan: `A tarnwick 4:4 @30
        A>mids,ends 0-40`,
      span: [10, 52],
      why: 'nothing above was asked for',
    },
  ],
};
