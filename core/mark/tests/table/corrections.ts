import type { Table } from './plan';

export const CORRECT_PLANS: Table = {
  'out-of-two-years-of-brown': [
    {
      name: 'remover, powder off the scalp, tone',
      plan: `A lantry; B calder @20; C quillet 7-H
        A>mids,ends 0-20; B>mids,ends 25-50 check5; C>mids,ends 55-75 check3`,
      span: [80, 100],
      why: 'one of the ways',
    },
    {
      name: '7 gold with 40 vol over it',
      plan: `A tarnwick 7:1 @40
        A>mids,ends 0-35`,
      span: [10, 40],
      why: 'colour does not lift colour',
    },
    {
      name: '7 gold demi over it',
      plan: `A quillet 7-H
        A>mids,ends 0-20`,
      span: [10, 45],
      why: 'a toner does not either',
    },
  ],
  'copper-into-gold': [
    {
      name: '5 gold with a trace of matte, 10 vol',
      plan: `A tarnwick 5:1*9 K:6 @10
        A>mids 0-35`,
      span: [75, 100],
      why: 'the red is taken off by its opposite',
    },
    {
      name: '7 gold, 30 vol',
      plan: `A tarnwick 7:1 @30
        A>mids 0-35`,
      span: [10, 50],
      why: 'colour over colour, lift nobody asked for',
    },
    {
      name: '5 ash',
      plan: `A quillet 5-S
        A>mids 0-20`,
      span: [40, 70],
      why: 'takes the red and the gold',
    },
    {
      name: 'left alone',
      plan: ``,
      span: [0, 40],
      why: 'nothing was done',
    },
  ],
  'creamy-pearl': [
    {
      name: 'demi 9 pearl, watched',
      plan: `A quillet 9-U
        A>mids 0-13 check3`,
      span: [95, 100],
      why: 'creamy takes little',
    },
    {
      name: '10 pearl',
      plan: `A quillet 10-U
        A>mids 0-13 check3`,
      span: [60, 85],
      why: 'lighter than the hair',
    },
    {
      name: 'permanent 9 pearl, 20 vol',
      plan: `A tarnwick 9:8 @20
        A>mids 0-35`,
      span: [20, 60],
      why: 'lifts on',
    },
    {
      name: '7 ash',
      plan: `A quillet 7-S
        A>mids 0-20 check3`,
      span: [15, 55],
      why: 'two levels deeper, and drab',
    },
    {
      name: 'half the ratio',
      plan: `A quillet 9-U r1
        A>mids 0-13 check3`,
      span: [85, 98],
      why: 'mixed by another line’s ratio',
    },
    {
      name: 'twice the amount',
      plan: `A quillet 9-U x2
        A>mids 0-13 check3`,
      span: [94, 99],
      why: 'waste, no more',
    },
  ],
  'yellow-orange-to-neutral': [
    {
      name: 'neutral 7',
      plan: `A quillet 7-L
        A>mids 0-20 check3`,
      span: [95, 100],
      why: 'neutrals hold all three',
    },
    {
      name: 'blue with a little violet at 7',
      plan: `A quillet 7-SI
        A>mids 0-10 check3`,
      span: [80, 100],
      why: 'the opposite of yellow-orange',
    },
    {
      name: '9 ash',
      plan: `A quillet 9-S
        A>mids 0-20 check3`,
      span: [25, 55],
      why: 'no toner lighter than the hair covers it',
    },
    {
      name: 'violet alone',
      plan: `A quillet 7-I
        A>mids 0-20 check3`,
      span: [55, 72],
      why: 'half of the opposite',
    },
    {
      name: 'lightener again',
      plan: `A calder @20; B quillet 7-L
        A>mids 0-15 check5; B>mids 20-40 check3`,
      span: [20, 60],
      why: 'it was light enough',
    },
    {
      name: '20 vol colour',
      plan: `A tarnwick 7:0 @20
        A>mids 0-35`,
      span: [20, 60],
      why: 'lift on lift',
    },
  ],
  'brown-over-pale-ends': [
    {
      name: 'filled, then demi; root left',
      plan: `A hobday Ground_5; B quillet 5-L
        A>mids 0-15 stay; B>mids 15-35`,
      span: [90, 100],
      why: 'the missing warmth first',
    },
    {
      name: 'no filler',
      plan: `B quillet 5-L
        B>mids 0-20`,
      span: [40, 62],
      why: 'flat and greenish',
    },
    {
      name: '5 ash, no filler',
      plan: `B quillet 5-S
        B>mids 0-20`,
      span: [15, 45],
      why: 'green',
    },
    {
      name: 'filled, then permanent on the lengths',
      plan: `A hobday Ground_5; B tarnwick 6:0 @10
        A>mids 0-15 stay; B>mids 15-50`,
      span: [60, 80],
      why: 'stronger than porous hair wants',
    },
  ],
  'green-lengths': [
    {
      name: 'remover on the green, powder on the root, toned',
      plan: `A calder @20; B lantry; C quillet 7-O
        B>mids 0-20; A>regrowth 0-24 check5; C>regrowth,mids 29-49 check3`,
      span: [75, 100],
      why: 'two products, kept apart',
    },
    {
      name: 'powder on the green',
      plan: `A calder @20; C quillet 7-O
        A>regrowth 0-24 check5; A>mids 16-24 check5; C>regrowth,mids 29-49 check3`,
      span: [50, 72],
      why: 'drives some of it in',
    },
    {
      name: 'ash over green',
      plan: `C quillet 7-S
        C>regrowth,mids 0-20 check3`,
      span: [5, 40],
      why: 'greener',
    },
  ],
  'rose-on-weak-hair': [
    {
      name: 'root gently lightened, lengths spared, rose-beige over all',
      plan: `A wrenfell @10; B quillet 9-O*3 7-F
        A>regrowth 0-45 check5; B>regrowth,mids 50-60 check3`,
      span: [75, 100],
      why: 'works with the pink',
    },
    {
      name: 'the lengths lightened too',
      plan: `A wrenfell @20; B quillet 9-O
        A>regrowth,mids 0-30 check5; B>regrowth,mids 35-45 check3`,
      span: [5, 40],
      why: 'a second lightening of weak hair',
    },
    {
      name: 'ash to kill the pink',
      plan: `A wrenfell @10; B quillet 9-S
        A>regrowth 0-45 check5; B>regrowth,mids 50-70 check3`,
      span: [40, 65],
      why: 'drab',
    },
  ],
  'toned-too-often': [
    {
      name: 'gentle wet cleanse, then 9 neutral',
      plan: `A wrenfell @10 conditioner; B quillet 9-L
        A>mids 0-15 wet check3; B>mids 20-30 check3`,
      span: [85, 100],
      why: 'takes the build-up, spares the hair',
    },
    {
      name: 'toner straight on',
      plan: `B quillet 9-L
        B>mids 0-10 check3`,
      span: [15, 50],
      why: 'darker again',
    },
    {
      name: 'dry powder, 20 vol',
      plan: `A calder @20; B quillet 9-L
        A>mids 0-12 check3; B>mids 17-27 check3`,
      span: [45, 65],
      why: 'far more than it takes',
    },
    {
      name: 'declined',
      plan: ``,
      card: { decision: 'decline' },
      span: [30, 50],
      why: 'it could be done',
    },
  ],
  'metal-on-the-hair': [
    {
      name: 'declined, incompatibility test shown',
      span: [95, 100],
      why: 'nothing oxidative over metal',
    },
    {
      name: 'remover and colour',
      plan: `A lantry; B tarnwick 6:0 @20
        A>mids 0-20; B>mids 25-60`,
      card: { decision: 'goOn', visits: 1 },
      span: [0, 10],
      why: 'it heats',
    },
  ],
  'reacted-before': [
    { name: 'declined, sent to a doctor', span: [95, 100], why: 'a reaction stops the service' },
    {
      name: 'served',
      plan: `A tarnwick 5:0 @20
        A>mids 0-45 front`,
      card: { decision: 'goOn', visits: 1 },
      span: [0, 10],
      why: 'it can hurt her',
    },
    {
      name: 'declined without asking',
      card: { asked: [], tests: [] },
      span: [40, 60],
      why: 'right for no reason',
    },
  ],
  'stretches-on': [
    {
      name: 'no lightener, home with treatment and a date',
      span: [90, 100],
      why: 'nothing is lightened that does not come back',
    },
    {
      name: 'gentle powder',
      plan: `A wrenfell @10; B quillet 9-L
        A>mids 0-30 check5; B>mids 35-45 check3`,
      card: { decision: 'goOn', visits: 1 },
      span: [0, 40],
      why: 'it breaks',
    },
  ],
  'warm-root': [
    {
      name: '6 neutral demi',
      plan: `A quillet 6-L
        A>regrowth 0-20 check3`,
      span: [90, 100],
      why: 'down to the level, no lift',
    },
    {
      name: '6 neutral, 10 vol',
      plan: `A tarnwick 6:0 @10
        A>regrowth 0-35`,
      span: [85, 100],
      why: 'as good a way',
    },
    {
      name: '6 neutral, 20 vol',
      plan: `A tarnwick 6:0 @20
        A>regrowth 0-35`,
      span: [55, 78],
      why: 'lift on lift',
    },
    {
      name: '9 ash',
      plan: `A quillet 9-S
        A>regrowth 0-20 check3`,
      span: [15, 50],
      why: 'ash does not lower a level',
    },
    {
      name: 'over all of it',
      plan: `A quillet 6-L
        A>regrowth,mids 0-20 check3`,
      span: [70, 85],
      why: 'the lengths were right',
    },
  ],
  'gone-violet': [
    {
      name: 'cleansed gently, then a thin beige gloss',
      plan: `A wrenfell @10 conditioner; B pellow 10~U
        A>ends 0-15 wet check5; B>ends 20-30 check3`,
      span: [85, 100],
      why: 'what has built up comes off before anything goes on',
    },
    {
      name: 'gold permanent',
      plan: `A tarnwick 9:1 @20
        A>ends 0-35`,
      span: [45, 65],
      why: 'lift and gold on porous ends',
    },
    {
      name: 'lightened',
      plan: `A wrenfell @20; B pellow 10~U
        A>ends 0-15 check5; B>ends 20-25 check3`,
      span: [0, 40],
      why: 'a second lightening to take off a toner',
    },
  ],
  'dark-band': [
    {
      name: 'the band alone: remover, then 6',
      plan: `A lantry; B quillet 6-L; C tarnwick 6:0 @10
        A>band 0-20; B>band 25-45`,
      span: [80, 100],
      why: 'a zone of its own',
    },
    {
      name: 'everything down to 4',
      plan: `A quillet 4-L
        A>regrowth,mids 0-20`,
      span: [10, 55],
      why: 'even, and not what was wished',
    },
    {
      name: 'remover on band and lengths together',
      plan: `A lantry; B quillet 6-L
        A>band,mids 0-20; B>band,mids 25-45`,
      span: [50, 70],
      why: 'the lengths were right',
    },
  ],
  'layers-of-black': [
    {
      name: 'one visit promised and tried',
      plan: `A calder @30; B quillet 8-O
        A>mids 0-50 check5; B>mids 55-70 check3`,
      card: { visits: 1 },
      span: [0, 40],
      why: 'black in layers does not go in a day',
    },
    {
      name: 'one visit fewer promised',
      card: { visits: 2 },
      span: [55, 75],
      why: 'a promise that will be broken',
    },
  ],
  'shadowed-root': [
    {
      name: 'demi 6 on the root, demi 9 beige below',
      plan: `A quillet 6-L; B quillet 9-O
        A>regrowth 0-20 check3; B>mids 5-20 check3`,
      span: [90, 100],
      why: 'two bowls that meet',
    },
    {
      name: 'one bowl of 9 beige',
      plan: `B quillet 9-O
        B>regrowth,mids 0-20 check3`,
      span: [20, 55],
      why: 'no shadow at all',
    },
    {
      name: 'one bowl of 6',
      plan: `A quillet 6-L
        A>regrowth,mids 0-20 check3`,
      span: [15, 50],
      why: 'the lengths are lost',
    },
  ],
  'back-to-brown': [
    {
      name: 'without a filler',
      plan: `A quillet 6-L
        A>mids,ends 0-20`,
      span: [30, 65],
      why: 'F6',
    },
    {
      name: 'three levels too dark',
      plan: `A hobday Ground_6; B quillet 3-L
        A>mids,ends 0-15 stay; B>mids,ends 15-35`,
      span: [10, 55],
      why: 'nobody asked for nearly black',
    },
  ],
  'pale-toner': [
    {
      name: 'toner three levels too dark',
      plan: `A quillet 6-S
        A>mids,ends 0-15 check3`,
      span: [10, 50],
      why: 'the case measured: this once earned 34 of 36',
    },
    {
      name: 'never looked at',
      plan: `A quillet 9-U
        A>mids,ends 0-20`,
      span: [75, 97],
      why: 'a toner is watched',
    },
    {
      name: 'copper',
      plan: `A quillet 7-F
        A>mids,ends 0-15 check3`,
      span: [5, 40],
      why: 'the opposite of what was asked',
    },
    {
      name: 'nothing but the readings',
      plan: ``,
      card: { asked: [], tests: [], decision: null, visits: null, aftercare: [], nextVisitWeeks: null },
      span: [5, 40],
      why: 'reading and prediction, no more',
    },
  ],
  'shine-and-no-more': [
    {
      name: 'clear acid gloss, root to tip',
      plan: `A pellow Dew
        A>mids,ends 0-15`,
      span: [95, 100],
      why: 'shine and nothing else',
    },
    {
      name: 'demi 6',
      plan: `A quillet 6-L
        A>mids,ends 0-20`,
      span: [60, 80],
      why: 'colours where nothing was to change',
    },
    {
      name: 'only the ends',
      plan: `A pellow Dew
        A>ends 0-15`,
      span: [20, 55],
      why: 'dull from the root down',
    },
  ],
};
