import type { Table } from './plan';

const BACK = 'sides,crown,back,nape';
const FRONT = 'hairline,temples,top';
const GREY = `A tarnwick 4:0 @20; B quillet 4-L`;
const BLONDE = 'A calder @20; B quillet 9-U';

/** How work is done rather than what is chosen: areas, rinses, looks, bowls that were never used. */
export const WORK_PLANS: Table = {
  'hairline-grey': [
    {
      name: 'front now, back three minutes later',
      plan: `${GREY}
        A>regrowth 0-45 from:${FRONT}; A>regrowth 3-48 from:${BACK}; B>mids,ends 35-45`,
      span: [97, 100],
      why: 'one application in two lines',
    },
    {
      name: 'hairline and temples left out',
      plan: `${GREY}
        A>regrowth 0-45 from:top,sides,crown,back,nape; B>mids,ends 35-45`,
      span: [20, 60],
      why: 'the white that was complained of is still there',
    },
    {
      name: 'the nape alone',
      plan: `${GREY}
        A>regrowth 0-45 from:nape; B>mids,ends 35-45`,
      span: [10, 50],
      why: 'six sevenths of the head are as they came',
    },
    {
      name: 'the nape left out',
      plan: `${GREY}
        A>regrowth 0-45 from:${FRONT},sides,crown,back; B>mids,ends 35-45`,
      span: [50, 80],
      why: 'a client finds it when the hair is up',
    },
    {
      name: 'mixed as two half bowls',
      plan: `A tarnwick 4:0 @20 x0.5; C tarnwick 4:0 @20 x0.5; B quillet 4-L
        A>regrowth 0-45 front; C>regrowth 0-45 front; B>mids,ends 35-45`,
      span: [96, 100],
      why: 'the same bowl twice half as large',
    },
    {
      name: 'declined, with the work kept on the card',
      card: { decision: 'decline' },
      span: [5, 40],
      why: 'what can be done is not declined',
    },
    {
      name: 'treated and sealed before the rinse',
      card: {
        care: [
          { do: 'treat', zones: ['regrowth', 'mids', 'ends'], start: 40, treatment: 'moisture' },
          { do: 'seal', zones: ['regrowth', 'mids', 'ends'], start: 41 },
        ],
      },
      span: [85, 99],
      why: 'money in the basin, and no harm',
    },
    {
      name: 'colour left in, never rinsed',
      plan: `${GREY}
        A>regrowth 0-45 front stay; B>mids,ends 35-45`,
      span: [5, 40],
      why: 'oxidative colour goes home on the scalp',
    },
  ],
  'first-blonde': [
    {
      name: 'ten minutes more, looked at every five',
      plan: `${BLONDE}
        A>mids,ends 0-33 check5; A>regrowth 10-35 check5; B>regrowth,mids,ends 40-53 check3`,
      span: [95, 100],
      why: 'it comes off when it is there',
    },
    {
      name: 'the same by the clock',
      plan: `${BLONDE}
        A>mids,ends 0-33; A>regrowth 10-35; B>regrowth,mids,ends 40-53 check3`,
      span: [30, 75],
      why: 'lightener that nobody looks at',
    },
    {
      name: 'lightener left in under the toner',
      plan: `${BLONDE}
        A>mids,ends 0-23 check5 stay; A>regrowth 10-25 check5 stay; B>regrowth,mids,ends 30-43 check3`,
      card: { care: [] },
      span: [5, 40],
      why: 'it goes on lightening, and takes the toner with it',
    },
    {
      name: 'toner off after three minutes',
      plan: `${BLONDE}
        A>mids,ends 0-23 check5; A>regrowth 10-25 check5; B>regrowth,mids,ends 30-33 check2`,
      span: [50, 88],
      why: 'yellow shows through a toner that never took',
    },
    {
      name: 'the front four minutes after the back, each looked at',
      plan: `${BLONDE}
        A>mids,ends 0-31 check5 from:${BACK}; A>mids,ends 4-35 check5 from:${FRONT}
        A>regrowth 10-33 check5; B>regrowth,mids,ends 40-53 check3`,
      span: [92, 100],
      why: 'as two hands work it',
    },
  ],
};
