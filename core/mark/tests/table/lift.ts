import type { Table } from './plan';

export const LIFT_PLANS: Table = {
  'two-lighter-neutral': [
    {
      name: 'lengths first, root fifteen minutes later, 30 vol',
      plan: `A tarnwick 7:0 @30
        A>mids,ends 0-50; A>regrowth 15-50`,
      span: [95, 100],
      why: 'A2',
    },
    {
      name: 'root first',
      plan: `A tarnwick 7:0 @30
        A>regrowth 0-50; A>mids,ends 15-50`,
      span: [55, 75],
      why: 'a hot root',
    },
    {
      name: '20 vol',
      plan: `A tarnwick 7:0 @20
        A>mids,ends 0-50; A>regrowth 15-50`,
      span: [55, 75],
      why: 'a level short',
    },
    {
      name: '10 vol',
      plan: `A tarnwick 7:0 @10
        A>mids,ends 0-50; A>regrowth 15-50`,
      span: [20, 40],
      why: 'lifts nothing',
    },
    {
      name: '9 ash with 40 vol',
      plan: `A tarnwick 9:7 @40
        A>mids,ends 0-50; A>regrowth 15-50`,
      span: [40, 65],
      why: 'lift on lift against warmth',
    },
    {
      name: 'all at once',
      plan: `A tarnwick 7:0 @30
        A>regrowth,mids,ends 0-40`,
      span: [55, 82],
      why: 'the root did not wait',
    },
    {
      name: 'rinsed at half time',
      plan: `A tarnwick 7:0 @30
        A>mids,ends 0-20; A>regrowth 5-20`,
      span: [20, 60],
      why: 'lifted and hollow',
    },
  ],
  'nine-beige': [
    {
      name: 'ordinary 9 beige, 30 vol',
      plan: `A tarnwick 9:9 @30
        A>mids 0-50; A>regrowth 15-50`,
      span: [95, 100],
      why: 'two levels by colour',
    },
    {
      name: 'gentle powder, beige toner',
      plan: `A wrenfell @20; B quillet 9-O
        A>mids 0-35 check5; A>regrowth 12-35 check5; B>regrowth,mids 40-55 check3`,
      span: [85, 100],
      why: 'another way that gets there',
    },
    {
      name: 'ordinary 9, 40 vol',
      plan: `A tarnwick 9:9 @40
        A>mids 0-50; A>regrowth 15-50`,
      span: [55, 80],
      why: 'a step too strong',
    },
    {
      name: 'strong powder, 40 vol',
      plan: `A calder @40; B quillet 9-O
        A>mids 0-25 check5; A>regrowth 10-25 check5; B>regrowth,mids 30-50 check3`,
      span: [10, 40],
      why: '40 vol lightener on the scalp',
    },
    {
      name: '20 vol',
      plan: `A tarnwick 9:9 @20
        A>mids 0-50; A>regrowth 15-50`,
      span: [50, 72],
      why: 'a level short',
    },
  ],
  'copper-from-dark': [
    {
      name: '5 copper, 30 vol, lengths first',
      plan: `A tarnwick 5:2 @30
        A>mids 0-50; A>regrowth 15-50`,
      span: [95, 100],
      why: 'warmth carries it',
    },
    {
      name: 'ash in it',
      plan: `A tarnwick 5:2 5:7 @30
        A>mids 0-50; A>regrowth 15-50`,
      span: [30, 60],
      why: 'the copper is cancelled',
    },
    {
      name: '10 vol',
      plan: `A tarnwick 5:2 @10
        A>mids 0-50; A>regrowth 15-50`,
      span: [20, 45],
      why: 'no lift, no copper',
    },
    {
      name: 'powder first',
      plan: `A calder @20; B quillet 5-F
        A>mids 0-20 check5; A>regrowth 10-20 check5; B>regrowth,mids 25-45 check3`,
      span: [55, 75],
      why: 'costlier to the hair than it need be',
    },
  ],
  'short-and-pale': [
    {
      name: 'powder 20 vol, off the scalp first, watched; toned',
      plan: `A calder @20; B quillet 9-L
        A>mids 0-30 check5; A>regrowth 11-30 check5; B>regrowth,mids 35-50 check3`,
      span: [90, 100],
      why: 'the class limit, two strips',
    },
    {
      name: '30 vol',
      plan: `A calder @30; B quillet 9-L
        A>mids 0-25 check5; A>regrowth 10-25 check5; B>regrowth,mids 30-45 check3`,
      span: [10, 40],
      why: 'over the limit at the scalp',
    },
    {
      name: '30 vol where the class allows it',
      plan: `A calder @30; B quillet 9-L
        A>mids 0-45 check5; A>regrowth 15-45 check5; B>regrowth,mids 50-65 check3`,
      house: { lightenerOnScalp: 'max30' },
      span: [85, 100],
      why: 'right in that school',
    },
    {
      name: '45 min, unwatched',
      plan: `A calder @20; B quillet 9-L
        A>mids 0-45; A>regrowth 12-45; B>regrowth,mids 50-65 check3`,
      span: [50, 75],
      why: 'by the clock and past it',
    },
    {
      name: 'rinsed twelve minutes early',
      plan: `A calder @20; B quillet 9-L
        A>mids 0-15 check5; A>regrowth 5-15 check5; B>regrowth,mids 20-40 check3`,
      span: [15, 55],
      why: 'the hair is still brown-orange',
    },
    {
      name: 'never rinsed',
      plan: `A calder @20
        A>mids 0-30 check5 stay; A>regrowth 11-30 check5 stay`,
      card: { care: [] },
      span: [5, 40],
      why: 'lightener left on the head',
    },
  ],
  'face-frame-on-coils': [
    {
      name: 'gentle powder 20 vol in foils, looked at every 10; 7 gold demi',
      plan: `A wrenfell @20; B quillet 7-H
        A>mids 0-43 foils0.33 check10; B>mids 48-68 foils0.33 check3`,
      span: [90, 100],
      why: 'fine, textured, off the scalp',
    },
    {
      name: '40 vol',
      plan: `A calder @40; B quillet 7-H
        A>mids 0-12 foils0.33 check10; B>mids 17-37 foils0.33 check3`,
      span: [50, 72],
      why: 'a strong school’s strength on fine coils',
    },
    {
      name: 'all over',
      plan: `A wrenfell @20; B quillet 7-H
        A>mids 0-43 check10; B>mids 48-68 check3`,
      span: [15, 60],
      why: 'a third was asked for',
    },
    {
      name: 'no checks',
      plan: `A wrenfell @20; B quillet 7-H
        A>mids 0-43 foils0.33; B>mids 48-68 foils0.33`,
      span: [70, 86],
      why: 'never looked at',
    },
  ],
  'ends-painted': [
    {
      name: 'powder 20 vol on the ends, toned beige',
      plan: `A calder @20; B quillet 8-O
        A>ends 0-30 check5; B>ends 35-50 check3`,
      span: [90, 100],
      why: 'as asked',
    },
    {
      name: 'colour 8 with 40 vol',
      plan: `A tarnwick 8:9 @40
        A>ends 0-40`,
      span: [15, 50],
      why: 'four levels are not lifted by colour',
    },
    {
      name: 'the lengths too',
      plan: `A calder @20; B quillet 8-O
        A>mids,ends 0-30 check5; B>mids,ends 35-50 check3`,
      span: [15, 50],
      why: 'nothing was to change there',
    },
  ],
  'high-lift-pearl': [
    {
      name: 'high-lift 11 pearl, 40 vol, 1:2, 50 min',
      plan: `A tarnwick 11:8 @40 r2
        A>mids 0-50`,
      house: { levelScale: 'twelve' },
      span: [95, 100],
      why: 'what high-lift is for',
    },
    {
      name: 'ordinary 10',
      plan: `A tarnwick 10:8 @40
        A>mids 0-50`,
      house: { levelScale: 'twelve' },
      span: [25, 65],
      why: 'does not get there',
    },
    {
      name: 'strong powder',
      plan: `A calder @30; B quillet 10-U
        A>mids 0-35 check5; B>mids 40-50 check3`,
      house: { levelScale: 'twelve' },
      span: [20, 60],
      why: 'more than light blonde needs',
    },
  ],
  'four-centimetres-grown': [
    {
      name: 'two strips, off the scalp first, 20 vol',
      plan: `A calder @20; B quillet 9-L
        A>band 0-30 check5; A>regrowth 10-30 check5; B>regrowth,band 35-50 check3`,
      span: [90, 100],
      why: 'the scalp part waits',
    },
    {
      name: 'one strip at once',
      plan: `A calder @20; B quillet 9-L
        A>regrowth,band 0-30 check5; B>regrowth,band 35-50 check3`,
      span: [60, 80],
      why: 'a root lighter than the strip above',
    },
    {
      name: 'over the lengths',
      plan: `A calder @20; B quillet 9-L
        A>band,mids 0-30 check5 over; A>regrowth 10-30 check5; B>regrowth,band,mids 35-50 check3`,
      span: [5, 40],
      why: 'lightened hair once more',
    },
    {
      name: '30 vol at the scalp',
      plan: `A calder @30; B quillet 9-L
        A>band 0-25 check5; A>regrowth 10-25 check5; B>regrowth,band 30-45 check3`,
      span: [10, 40],
      why: 'over the limit',
    },
  ],
  'woven-back-deeper': [
    {
      name: 'demi 7 gold in weaves',
      plan: `A quillet 7-H
        A>mids 0-20 foils0.25 check3`,
      span: [90, 100],
      why: 'nothing on the rest',
    },
    {
      name: 'permanent 6 ash',
      plan: `A tarnwick 6:7 @20
        A>mids 0-35 foils0.25`,
      span: [45, 68],
      why: 'wrong product, wrong tone, too deep',
    },
    {
      name: 'all over',
      plan: `A quillet 7-H
        A>mids 0-20 check3`,
      span: [20, 50],
      why: 'a quarter was asked for',
    },
  ],
  'first-blonde': [
    {
      name: 'rinsed twenty minutes early',
      plan: `A calder @20; B quillet 9-U
        A>mids,ends 0-10 check5; A>regrowth 5-10 check5; B>regrowth,mids,ends 15-30 check3`,
      span: [10, 55],
      why: 'still brown',
    },
    {
      name: 'toner alone',
      plan: `A quillet 9-U
        A>regrowth,mids,ends 0-20 check3`,
      span: [10, 45],
      why: 'a toner cannot lighten',
    },
    {
      name: 'toner three levels too dark',
      plan: `A calder @20; B quillet 6-S
        A>mids,ends 0-32 check5; A>regrowth 12-32 check5; B>regrowth,mids,ends 37-52 check3`,
      span: [15, 55],
      why: 'a light base buried',
    },
    {
      name: 'warm toner on the pale base',
      plan: `A calder @20; B quillet 9-H
        A>mids,ends 0-32 check5; A>regrowth 12-32 check5; B>regrowth,mids,ends 37-52 check3`,
      span: [35, 72],
      why: 'gold where pearl was asked',
    },
    {
      name: 'colour with 40 vol',
      plan: `A tarnwick 9:8 @40
        A>mids,ends 0-50; A>regrowth 15-50`,
      span: [25, 70],
      why: 'three levels and warm',
    },
  ],
};
