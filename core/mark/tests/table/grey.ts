import type { Table } from './plan';

/** Spans written before the marker was; a plan is as good as the model answer in all that is not said. */
export const GREY_PLANS: Table = {
  'hairline-grey': [
    {
      name: 'natural 4, 20 vol, regrowth only, 45 min; demi on the lengths for the last 10',
      plan: `A tarnwick 4:0 @20; B quillet 4-L
        A>regrowth 0-45 front; B>mids,ends 35-45`,
      span: [95, 100],
      why: 'as a practitioner works it',
    },
    {
      name: 'the ends from what is left, thinned with water',
      plan: `A tarnwick 4:0 @20; B tarnwick 4:0 @20+w r2.4
        A>regrowth 0-45 front; B>mids,ends 38-45`,
      span: [90, 100],
      why: 'another school’s refresh, and the head as wished',
    },
    {
      name: 'demi 20 min all over',
      plan: `A quillet 4-L
        A>regrowth,mids,ends 0-20 front`,
      span: [50, 70],
      why: 'blends the white, does not cover it',
    },
    {
      name: '10 vol',
      plan: `A tarnwick 4:0 @10; B quillet 4-L
        A>regrowth 0-45 front; B>mids,ends 35-45`,
      span: [50, 70],
      why: 'the white stays visibly lighter',
    },
    {
      name: 'through to the ends at once',
      plan: `A tarnwick 4:0 @20
        A>regrowth,mids,ends 0-45 front`,
      span: [30, 70],
      why: 'colour on colour for the full time',
    },
    {
      name: '30 min',
      plan: `A tarnwick 4:0 @20; B quillet 4-L
        A>regrowth 0-30 front; B>mids,ends 20-30`,
      span: [70, 85],
      why: 'white under-deposited, careless rather than wrong',
    },
    {
      name: 'nape first',
      plan: `A tarnwick 4:0 @20; B quillet 4-L
        A>regrowth 0-45; B>mids,ends 35-45`,
      span: [95, 99],
      why: 'a small thing',
    },
    {
      name: 'three levels too dark on the lengths',
      plan: `A tarnwick 4:0 @20; B quillet 2-L
        A>regrowth 0-45 front; B>mids,ends 35-45`,
      span: [40, 75],
      why: 'lengths darker than the root, seen across the room',
    },
    {
      name: 'a third of the amount',
      plan: `A tarnwick 4:0 @20 x0.3; B quillet 4-L
        A>regrowth 0-45 front; B>mids,ends 35-45`,
      span: [25, 60],
      why: 'spots of white are left',
    },
  ],
  'gold-over-white': [
    {
      name: 'three quarters natural, a quarter gold, 20 vol, 45 min',
      plan: `A tarnwick 6:0*3 6:1 @20
        A>regrowth 0-45 front`,
      span: [95, 100],
      why: 'F8 to the letter',
    },
    {
      name: 'gold alone',
      plan: `A tarnwick 6:1 @20
        A>regrowth 0-45 front`,
      span: [20, 55],
      why: 'no natural series over four fifths white',
    },
    {
      name: 'naturals alone',
      plan: `A tarnwick 6:0 @20
        A>regrowth 0-45 front`,
      span: [60, 80],
      why: 'covered, and as flat as before',
    },
    {
      name: '10 vol',
      plan: `A tarnwick 6:0*3 6:1 @10
        A>regrowth 0-45 front`,
      span: [30, 60],
      why: 'grey needs 20 vol',
    },
    {
      name: '30 vol',
      plan: `A tarnwick 6:0*3 6:1 @30
        A>regrowth 0-45 front`,
      span: [65, 82],
      why: 'stronger than grey needs, thin and lighter',
    },
    {
      name: 'half and half',
      plan: `A tarnwick 6:0 6:1 @20
        A>regrowth 0-45 front`,
      span: [65, 88],
      why: 'natural share short by a quarter',
    },
  ],
  'glassy-white': [
    {
      name: 'extra pigment, the longest time',
      plan: `A tarnwick 7:00 @20
        A>mids 0-50 front`,
      span: [95, 100],
      why: 'what resistant white asks for',
    },
    {
      name: 'plain 7, standard time',
      plan: `A tarnwick 7:0 @20
        A>mids 0-35 front`,
      span: [60, 78],
      why: 'see-through once more',
    },
    {
      name: '30 vol',
      plan: `A tarnwick 7:00 @30
        A>mids 0-50 front`,
      span: [70, 84],
      why: 'nearly all white: 20 vol in either school',
    },
    {
      name: 'demi',
      plan: `A quillet 7-L
        A>mids 0-20 front`,
      span: [20, 55],
      why: 'a demi does not cover glassy white',
    },
  ],
  'red-with-a-little-white': [
    {
      name: '6 red, 20 vol, the grey time',
      plan: `A tarnwick 6:4 @20
        A>mids 0-45 front`,
      span: [95, 100],
      why: 'no natural share under a quarter',
    },
    {
      name: 'half natural',
      plan: `A tarnwick 6:4 6:0 @20
        A>mids 0-45 front`,
      span: [60, 80],
      why: 'the red is thinned to half',
    },
    {
      name: 'demi',
      plan: `A quillet 6-R
        A>mids 0-20 front`,
      span: [70, 90],
      why: 'a tenth of white blended, not covered',
    },
    {
      name: '40 vol',
      plan: `A tarnwick 6:4 @40
        A>mids 0-45 front`,
      span: [60, 80],
      why: 'two steps too strong for a deposit',
    },
  ],
  'mixed-from-ten-and-thirty': [
    {
      name: '10 and 30, half and half',
      plan: `A tarnwick 5:0 @10+30
        A>regrowth 0-45 front`,
      span: [95, 100],
      why: 'makes 20',
    },
    {
      name: '30 neat',
      plan: `A tarnwick 5:0 @30
        A>regrowth 0-45 front`,
      span: [55, 75],
      why: 'a step too strong',
    },
    {
      name: '10 neat',
      plan: `A tarnwick 5:0 @10
        A>regrowth 0-45 front`,
      span: [45, 65],
      why: 'does not cover',
    },
  ],
  'the-other-line': [
    {
      name: 'the line that has 20',
      plan: `A tarnwick 5:0 @20
        A>regrowth 0-45 front`,
      span: [95, 100],
      why: 'what is on the shelf decides',
    },
    {
      name: '40 neat',
      plan: `A ostrel 5/5 @40
        A>regrowth 0-45 front`,
      span: [25, 60],
      why: 'two steps too strong',
    },
    {
      name: '40 thinned against the directions',
      plan: `A ostrel 5/5 @40+w
        A>regrowth 0-45 front`,
      span: [55, 75],
      why: 'comes to 20, breaks the line',
    },
  ],
  'all-white-pearl': [
    {
      name: 'demi pearl, watched',
      plan: `A quillet 10-U
        A>mids 0-10 front check3`,
      span: [90, 100],
      why: 'white hair is toned, not lifted',
    },
    {
      name: 'acid gloss pearl',
      plan: `A pellow 10~S
        A>mids 0-10 front check3`,
      span: [90, 100],
      why: 'as good',
    },
    {
      name: 'permanent high-lift, 40 vol',
      plan: `A tarnwick 12:8 @40 r2
        A>mids 0-50 front`,
      span: [20, 60],
      why: 'nothing to lift, much to lose',
    },
    {
      name: 'natural 10',
      plan: `A quillet 10-L
        A>mids 0-10 front check3`,
      span: [60, 80],
      why: 'no pearl in it',
    },
  ],
  'less-grey': [
    {
      name: 'demi 5, ten minutes',
      plan: `A quillet 5-L
        A>mids 0-10 front check3`,
      span: [90, 100],
      why: 'blended and watched',
    },
    {
      name: 'permanent, full cover',
      plan: `A tarnwick 5:0 @20
        A>mids 0-45 front`,
      span: [60, 80],
      why: 'covered, though that was not wished',
    },
    {
      name: 'demi 20 min',
      plan: `A quillet 5-L
        A>mids 0-20 front check3`,
      span: [72, 90],
      why: 'more than was wished',
    },
  ],
  'red-lengths-freshened': [
    {
      name: 'permanent on the root, red demi on the lengths for the last 20',
      plan: `A tarnwick 5:3 @20; B quillet 6-R
        A>regrowth 0-45 front; B>mids,ends 25-45`,
      span: [90, 100],
      why: 'two bowls, two tasks',
    },
    {
      name: 'permanent through',
      plan: `A tarnwick 5:3 @20
        A>regrowth,mids,ends 0-45 front`,
      span: [50, 70],
      why: 'the lengths are a level too dark and not red',
    },
    {
      name: 'lightener on the lengths first',
      plan: `A calder @20; B tarnwick 5:3 @20; C quillet 6-R
        A>mids,ends 0-20 check5; B>regrowth 25-70 front; C>mids,ends 50-70`,
      span: [15, 50],
      why: 'nothing was to be lightened',
    },
  ],
  'half-grey-gold': [
    {
      name: 'half natural, half gold, 20 vol, 45 min',
      plan: `A tarnwick 5:0 5:1 @20
        A>mids 0-45 front`,
      span: [95, 100],
      why: 'F8',
    },
    {
      name: 'two tubes of it: twice the amount',
      plan: `A tarnwick 5:0 5:1 @20 x2.2
        A>mids 0-45 front`,
      span: [94, 99],
      why: 'waste, no more',
    },
    {
      name: 'ash for gold',
      plan: `A tarnwick 5:0 5:7 @20
        A>mids 0-45 front`,
      span: [30, 70],
      why: 'covered, and cold',
    },
    {
      name: 'two levels too dark',
      plan: `A tarnwick 3:0 3:3 @20
        A>mids 0-45 front`,
      span: [15, 55],
      why: 'to be corrected',
    },
  ],
  'retouch-grey': [
    {
      name: 'no patch test, allergies not asked',
      card: { asked: ['lastColour', 'scalp', 'metallicSalts', 'upkeep'], tests: ['elasticity', 'porosity'] },
      span: [80, 93],
      why: 'consultation is lost whole; the head is right',
    },
    {
      name: 'nothing asked, nothing tested',
      card: { asked: [], tests: [] },
      span: [30, 50],
      why: 'a service on a stranger',
    },
    {
      name: 'no gloves of aftercare: nothing said at the end',
      card: { aftercare: [], nextVisitWeeks: null },
      span: [94, 97],
      why: 'aftercare is lost, and only that',
    },
  ],
};
