import type { Table } from './plan';

/** Heads whose hair is not alike all over, and what is done beside the bowls. */
export const REGION_PLANS: Table = {
  'dense-nape': [
    {
      name: '30 vol on the nape, 20 on the crown, dense nape first',
      plan: `A tarnwick 5:1 @30; B tarnwick 5:1 @20
        A>nape-mids 0-35 from:nape,back,sides; B>crown-mids 0-35 from:crown,top,temples,hairline`,
      span: [97, 100],
      why: 'each region by its own hair',
    },
    {
      name: 'crown first',
      plan: `A tarnwick 5:1 @30; B tarnwick 5:1 @20
        B>crown-mids 0-35 from:crown,top,temples,hairline; A>nape-mids 5-40 from:nape,back,sides`,
      span: [95, 99],
      why: 'a small thing',
    },
    {
      name: 'one strength for all, 20 vol',
      plan: `A tarnwick 5:1 @20
        A>nape-mids,crown-mids 0-35 from:nape,back,sides,crown,top,temples,hairline`,
      span: [60, 85],
      why: 'the nape stays behind',
    },
    {
      name: '40 vol on all of it',
      plan: `A tarnwick 5:1 @40
        A>nape-mids,crown-mids 0-35 from:nape,back,sides,crown,top,temples,hairline`,
      span: [35, 70],
      why: 'far too much on fine hair, more than the nape needs',
    },
    {
      name: 'half the amount on the dense nape',
      plan: `A tarnwick 5:1 @30 x0.5; B tarnwick 5:1 @20
        A>nape-mids 0-35 from:nape,back,sides; B>crown-mids 0-35 from:crown,top,temples,hairline`,
      span: [40, 75],
      why: 'a thin coat leaves patches where the hair is thickest',
    },
    {
      name: 'the crown left as it is',
      plan: `A tarnwick 5:1 @30
        A>nape-mids 0-35 from:nape,back,sides`,
      span: [10, 55],
      why: 'nothing done where gold was wished',
    },
  ],
  'white-at-the-face': [
    {
      name: 'natural 4, 20 vol, hairline first and again, lengths refreshed',
      plan: `A tarnwick 4:0 @20; B quillet 4-L
        A>regrowth 0-45 front; B>mids 35-45`,
      span: [97, 100],
      why: 'as a practitioner works it',
    },
    {
      name: 'nape first',
      plan: `A tarnwick 4:0 @20; B quillet 4-L
        A>regrowth 0-45; B>mids 35-45`,
      span: [95, 99],
      why: 'a small thing',
    },
    {
      name: 'demi over all of it',
      plan: `A quillet 4-L
        A>regrowth,mids 0-20 front`,
      span: [50, 70],
      why: 'the white at the face is blended, not covered',
    },
    {
      name: 'only the front done',
      plan: `A tarnwick 4:0 @20; B quillet 4-L
        A>front-regrowth 0-45 front; B>front-mids,rest-mids 35-45`,
      span: [45, 85],
      why: 'what grows behind matches all but a few white hairs; it was wished covered',
    },
    {
      name: '10 vol',
      plan: `A tarnwick 4:0 @10; B quillet 4-L
        A>regrowth 0-45 front; B>mids 35-45`,
      span: [50, 70],
      why: 'the white stays visibly lighter',
    },
  ],
  'light-round-the-face': [
    {
      name: 'gentle, each as it is asked, watched',
      plan: `A calder @20; B quillet 9-O; C quillet 8-O
        A>front-mids 0-30 foils0.4 fineWeave check5; A>rest-mids 7-30 foils0.2 backCombedWeave check5
        B>front-mids 35-55 foils0.4 fineWeave check3; C>rest-mids 35-55 foils0.2 backCombedWeave check3`,
      span: [95, 100],
      why: 'as asked',
    },
    {
      name: 'slices everywhere',
      plan: `A calder @20; B quillet 9-O; C quillet 8-O
        A>front-mids 0-30 foils0.4 slice check5; A>rest-mids 7-30 foils0.2 slice check5
        B>front-mids 35-55 foils0.4 slice check3; C>rest-mids 35-55 foils0.2 slice check3`,
      span: [90, 99],
      why: 'harder at the root than was asked',
    },
    {
      name: 'never looked at',
      plan: `A calder @20; B quillet 9-O; C quillet 8-O
        A>front-mids 0-30 foils0.4 fineWeave; A>rest-mids 7-30 foils0.2 backCombedWeave
        B>front-mids 35-55 foils0.4 fineWeave; C>rest-mids 35-55 foils0.2 backCombedWeave`,
      span: [60, 75],
      why: 'by the clock',
    },
    {
      name: 'all of the hair lightened',
      plan: `A calder @20; B quillet 9-O; C quillet 8-O
        A>front-mids,rest-mids 0-30 check5; B>front-mids 35-55 check3; C>rest-mids 35-55 check3`,
      span: [15, 60],
      why: 'her own depth is gone',
    },
    {
      name: 'the front only',
      plan: `A calder @20; B quillet 9-O
        A>front-mids 0-30 foils0.4 fineWeave check5; B>front-mids 35-55 foils0.4 fineWeave check3`,
      span: [20, 65],
      why: 'half of what was asked',
    },
  ],
  'shadowed-root': [
    {
      name: 'the two worked into each other',
      plan: `A quillet 6-L; B quillet 9-O
        A>regrowth 0-20 check3; B>mids 0-20 check3`,
      card: { care: [{ do: 'melt', zones: ['regrowth', 'mids'], start: 5 }] },
      span: [97, 100],
      why: 'a melt',
    },
    {
      name: 'hard line',
      plan: `A quillet 6-L; B quillet 9-O
        A>regrowth 0-20 check3; B>mids 0-20 check3`,
      card: { care: [] },
      span: [70, 85],
      why: 'the melt was what she asked for',
    },
  ],
  'four-centimetres-grown': [
    {
      name: 'joint left bare',
      card: { care: [] },
      span: [88, 97],
      why: 'the joint is where it breaks; a careful brush and nothing else',
    },
  ],
};
