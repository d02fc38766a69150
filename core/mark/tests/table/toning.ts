import type { Table } from './plan';

/** Lightened hair: toned, freed of what lies on it, made another colour. */
export const TONING_PLANS: Table = {
  'a-swimmer': [
    {
      name: 'chelated, read again, toned at 9',
      plan: `A quillet 9-L
        A>mids,ends 15-30 check3`,
      span: [90, 100],
      why: 'what water brought goes out first',
    },
    {
      name: 'colour remover',
      plan: `A lantry; B quillet 9-L
        A>mids,ends 0-20; B>mids,ends 25-45 check3`,
      card: { care: [] },
      span: [40, 75],
      why: 'a remover takes dye, not copper',
    },
    {
      name: 'gold over it',
      plan: `A quillet 9-H
        A>mids,ends 0-20 check3`,
      card: { care: [] },
      span: [30, 75],
      why: 'warmth over green is mud',
    },
    {
      name: 'lightener',
      plan: `A wrenfell @10; B quillet 9-L
        A>mids,ends 0-20 check5; B>mids,ends 25-40 check3`,
      card: { care: [] },
      span: [5, 50],
      why: 'metal and lightener, on hair that is light enough',
    },
  ],
  'a-year-of-light-ends': [
    {
      name: '7 beige and 9 beige, melted',
      plan: `A quillet 7-O; B quillet 9-O
        A>mids 0-15 check3; B>ends 0-15 check3`,
      span: [92, 100],
      why: 'each toner at its own level',
    },
    {
      name: '7 beige with the blue-violet in it',
      plan: `A quillet 7-O*3 7-SI; B quillet 9-O
        A>mids 0-15 check3; B>ends 0-15 check3`,
      span: [80, 100],
      why: 'the opposite of yellow-orange in the mix',
    },
    {
      name: 'one 9 beige on all of it',
      plan: `A quillet 9-O
        A>mids,ends 0-15 check3`,
      span: [25, 60],
      why: 'a toner lighter than the middle',
    },
    {
      name: 'lightened again',
      plan: `A calder @20; B quillet 9-O
        A>mids,ends 0-25 check5; B>mids,ends 30-45 check3`,
      span: [5, 60],
      why: 'the tips were there',
    },
    {
      name: 'the root toned too',
      plan: `A quillet 7-O; B quillet 9-O
        A>regrowth,mids 0-15 check3; B>ends 0-15 check3`,
      span: [70, 88],
      why: 'it was to stay',
    },
  ],
  'blue-to-blonde': [
    {
      name: 'powder on the blue first',
      plan: `A calder @20; B quillet 9-L
        A>regrowth,mids 0-30 check5; B>regrowth,mids 35-55 check3`,
      span: [5, 70],
      why: 'drives blue deeper',
    },
    {
      name: 'neutral toner over teal',
      plan: `A calder @20; B quillet 9-L
        A>regrowth 0-30 foils1 check5; B>regrowth,mids 35-55 check3`,
      span: [10, 55],
      why: 'no toner covers a vivid',
    },
    {
      name: 'copper over blue',
      plan: `A calder @20; B quillet 9-L; C quillet 7-F
        A>regrowth 0-30 foils1 check5; B>regrowth 35-55 check3; C>mids 35-55`,
      span: [5, 45],
      why: 'mud two levels down',
    },
    {
      name: 'remover twice, the root lightened apart, toned last',
      plan: `A calder @20; B lantry x2; C quillet 9-L
        A>regrowth 0-35 foils1 check5; B>mids 0-20 foils1; B>mids 20-40 foils1; C>regrowth,mids 45-65 check3`,
      span: [75, 100],
      why: 'as it is worked',
    },
  ],
  'rose-gold-to-copper': [
    {
      name: 'demi 7 copper, the ends less',
      plan: `A quillet 7-F
        A>mids 0-15 check3; A>ends 5-15 check3`,
      span: [85, 100],
      why: 'copper fills itself over what is left of the red',
    },
    {
      name: 'with a third of gold',
      plan: `A quillet 7-F*2 7-H
        A>mids 0-15 check3; A>ends 5-15 check3`,
      span: [80, 100],
      why: 'gold under copper holds',
    },
    {
      name: 'permanent 7 copper, 20 vol',
      plan: `A tarnwick 7:2 @20
        A>mids,ends 0-35`,
      span: [30, 80],
      why: 'on light porous ends',
    },
    {
      name: 'lightener first',
      plan: `A calder @20; B quillet 7-F
        A>mids,ends 0-15 check5; B>mids,ends 20-35 check3`,
      span: [5, 50],
      why: 'takes what carries the copper',
    },
    {
      name: '6 red',
      plan: `A quillet 6-R
        A>mids,ends 0-20 check3`,
      span: [25, 75],
      why: 'a level too deep, and red',
    },
  ],
  'violet-from-the-shower': [
    {
      name: 'clarified, the root in foils, then a beige with gold in it',
      plan: `A calder @20; B quillet 9-O*2 9-H
        A>regrowth 5-35 foils1 check5; B>regrowth,mids 40-55 check3`,
      card: {
        care: [
          { do: 'wash', zones: ['mids'], start: 0, how: 'clarifying', times: 2 },
          { do: 'wash', zones: ['regrowth'], start: 35, how: 'gentle', times: 2 },
        ],
      },
      span: [80, 100],
      why: 'washed out, read again, toned',
    },
    {
      name: 'gold permanent over it',
      plan: `A calder @20; B tarnwick 9:1 @20
        A>regrowth 0-30 foils1 check5; B>regrowth,mids 35-70`,
      span: [5, 55],
      why: 'lifts on, for a tone that a wash takes',
    },
    {
      name: 'the lengths lightened',
      plan: `A calder @20; B quillet 9-O
        A>regrowth,mids 0-30 check5; B>regrowth,mids 35-50 check3`,
      span: [5, 40],
      why: 'lightener on light hair that needed a wash',
    },
    {
      name: 'toner over the cast',
      plan: `A calder @20; B quillet 9-O
        A>regrowth 0-30 foils1 check5; B>regrowth,mids 35-50 check3`,
      span: [30, 75],
      why: 'the violet is still there',
    },
  ],
  'pink-to-blue-grey': [
    {
      name: 'the pink taken by gentle lightener, then ash',
      plan: `A wrenfell @10; B quillet 9-S*4 9-I
        A>mids 0-25 check5; B>mids 30-45 check3`,
      span: [75, 100],
      why: 'gentle lightener fades pink',
    },
    {
      name: 'ash straight over pink and yellow',
      plan: `A quillet 9-S
        A>mids 0-20 check3`,
      span: [25, 75],
      why: 'the pink shows through',
    },
    {
      name: 'violet on all of it',
      plan: `A quillet 9-I
        A>mids 0-20 check3`,
      span: [25, 70],
      why: 'no grey comes of it',
    },
  ],
  'by-the-key': [
    {
      name: 'neutral with ash by this key',
      plan: `A pellow 6~E*3 6~D
        A>mids 0-15 check3`,
      span: [85, 100],
      why: 'blue-based, by the letter of this line',
    },
    {
      name: 'H for gold, as in the other line',
      plan: `A pellow 6~H
        A>mids 0-15 check3`,
      span: [20, 70],
      why: 'H is matte here',
    },
    {
      name: 'I for violet, as in the other line',
      plan: `A pellow 6~I
        A>mids 0-15 check3`,
      span: [5, 60],
      why: 'I is copper here',
    },
  ],
  'copper-over-light': [
    {
      name: 'permanent 7 copper on the lengths, watched, where the class tones so',
      plan: `A tarnwick 7:2 @20; B tarnwick 6:2 7:2 @20
        A>regrowth 0-35; B>mids 22-35 check3`,
      house: { tonerProduct: 'permanentAllowed' },
      span: [80, 100],
      why: 'right in that school',
    },
    {
      name: 'permanent on the lengths, watched, where the class does not',
      plan: `A tarnwick 7:2 @20; B tarnwick 6:2 7:2 @20
        A>regrowth 0-35; B>mids 22-35 check3`,
      span: [20, 72],
      why: 'lift on lift',
    },
    {
      name: 'permanent on the lengths for its full time, unwatched',
      plan: `A tarnwick 7:2 @20
        A>regrowth,mids 0-35`,
      house: { tonerProduct: 'permanentAllowed' },
      span: [20, 72],
      why: 'that school watches it',
    },
    {
      name: 'demi on the lengths in either school',
      plan: `A tarnwick 7:2 @20; B quillet 7-F
        A>regrowth 0-35; B>mids 20-35 check3`,
      house: { tonerProduct: 'permanentAllowed' },
      span: [95, 100],
      why: 'low-strength is right everywhere',
    },
  ],
};
