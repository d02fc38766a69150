/**
 * Plans whose computed mark lies outside the span that was written for them, and why the mark stands. By case and name.
 * A reason that is no longer needed fails the test.
 */

/** A head as wished, safely and by no forbidden way, is worth 85 less what it is off; a heavy fault holds it there. */
const HEAD_IS_RIGHT =
  'the head comes out as wished: eighty-five, which a heavy fault holds it at; the span is stricter';
/** Straight lines between the rows give a little more than the row the span was written by. */
const BETWEEN_ROWS = 'between two rows of the table, on a straight line; one decision wrong';

export const ARGUED: Record<string, string> = {
  'gold-over-white naturals alone': `${HEAD_IS_RIGHT}: a quarter of gold is hardly seen over white, which the model may have wrong`,
  'gold-over-white 30 vol': HEAD_IS_RIGHT,
  'gold-over-white half and half':
    'a quarter more gold for a quarter less natural: no eye tells it on this head',
  'glassy-white 30 vol': HEAD_IS_RIGHT,
  'red-with-a-little-white half natural': HEAD_IS_RIGHT,
  'mixed-from-ten-and-thirty 30 neat': `${HEAD_IS_RIGHT} than practitioners are, who go to 85`,
  'all-white-pearl natural 10': HEAD_IS_RIGHT,
  'two-lighter-neutral root first': `${HEAD_IS_RIGHT}: with colour the model sees no hot root`,
  'two-lighter-neutral all at once': `${HEAD_IS_RIGHT}: with colour the model sees no hot root`,
  'copper-from-dark powder first': HEAD_IS_RIGHT,
  'copper-from-dark ash in it': `${HEAD_IS_RIGHT}: dark hair bares so much warmth that the copper is still there`,
  'copper-into-gold 5 ash': HEAD_IS_RIGHT,
  'four-centimetres-grown one strip at once': HEAD_IS_RIGHT,
  'brown-over-pale-ends filled, then permanent on the lengths': HEAD_IS_RIGHT,
  'warm-root 6 neutral, 20 vol': HEAD_IS_RIGHT,
  'four-centimetres-grown joint left bare':
    'a joint unprotected is a heavy fault of order, and holds the mark',
  'the-other-line 40 thinned against the directions':
    'the head is right and the directions are not kept: method alone decides',
  'less-grey permanent, full cover':
    'covered where a blend was wished is noticed, and that is what the case turns on',
  'creamy-pearl 7 ash': 'looked at every three minutes it is taken off before it is seen from afar',
  'pale-toner toner three levels too dark': 'looked at, it is taken off while it is a row and a half down',
  'pale-toner copper': 'looked at, it is taken off while it is a row and a half down',
  'copper-into-gold 7 gold, 30 vol':
    'as near to the wish as deposit comes here, so no decision is wrong; shade, strength and time cost their shares',
  'creamy-pearl permanent 9 pearl, 20 vol': BETWEEN_ROWS,
  'two-lighter-neutral 20 vol': BETWEEN_ROWS,
  'two-lighter-neutral 10 vol': BETWEEN_ROWS,
  'two-lighter-neutral rinsed at half time': BETWEEN_ROWS,
  'copper-from-dark 10 vol': BETWEEN_ROWS,
  'yellow-orange-to-neutral 9 ash': BETWEEN_ROWS,
  'yellow-orange-to-neutral violet alone': BETWEEN_ROWS,
  'brown-over-pale-ends no filler': BETWEEN_ROWS,
  'brown-over-pale-ends 5 ash, no filler': BETWEEN_ROWS,
  'back-to-brown without a filler': BETWEEN_ROWS,
  'rose-on-weak-hair ash to kill the pink': BETWEEN_ROWS,
  'dense-nape half the amount on the dense nape':
    'six tenths of what is needed covers four fifths: near; what is weighed is never what a case turns on',
  'green-lengths powder on the green': 'lightener on lightened hair that needs none is a danger',
  'glassy-white plain 7, standard time':
    'the model leaves glassy white one and a half levels light after 35 of 50 min: noticed, with the time wrong',
  'red-with-a-little-white demi':
    'one strand in ten is blended so well that nobody sees it; the route costs its share',
  'red-lengths-freshened permanent through':
    'two levels too dark has to be corrected, and overlap and product are both wrong',
  'red-lengths-freshened lightener on the lengths first':
    'the red lands all the same; a way the rules forbid is one decision wrong',
  'two-lighter-neutral 9 ash with 40 vol':
    'the root runs to 9: to be corrected, with shade and strength wrong',
  'ends-painted colour 8 with 40 vol': 'ends at a warm 7 are noticed; one decision wrong',
  'high-lift-pearl ordinary 10': 'two thirds of a level short is near; one decision wrong',
  'toned-too-often toner straight on': 'a row and a third too deep and ash, with the route wrong',
  'toned-too-often dry powder, 20 vol': 'the wished head, by a way the rules forbid: seventy',
  'toned-too-often declined':
    'what is left out is lost whole, and declining what can be done loses consultation',
  'gone-violet gold permanent': 'two levels too deep on porous ends has to be corrected',
  'less-grey demi 20 min': 'still a blend; the time costs its share',
  'white-at-the-face only the front done':
    'nothing done where something was wished has to be corrected, and that the rest is to be covered is what the case turns on',
  'hairline-grey 30 min':
    'two thirds of the time cover nearly all of three white strands in ten: near, and the time is paid for',
  'nine-beige 20 vol': BETWEEN_ROWS,
  'soft-over-white full cover by permanent':
    'covered where a blend was wished has nearly to be corrected, and that is what the case turns on',
  'gold-eight gold alone': BETWEEN_ROWS,
  'gold-eight 10 vol': BETWEEN_ROWS,
  'a-quarter-in-foils open, all over': BETWEEN_ROWS,
  'warm-brown-from-black-brown 20 vol': `${HEAD_IS_RIGHT}: 20 vol may lift two levels (D2), and on very dark hair the model sees that it does`,
  'warm-brown-from-black-brown ash in it':
    'dark hair bares so much warmth that the warm brown is still there; the tone costs its share',
  'high-lift-retouch over the lengths': `${HEAD_IS_RIGHT}: hair made by high-lift is hardly moved by it once more`,
  'high-lift-retouch powder':
    'gentle powder and a toner land as wished in the same class of condition: another way that no rule forbids',
  'tips-of-coils powder to 6 first': HEAD_IS_RIGHT,
  'copper-root-from-a-box 5 neutral, 20 vol': HEAD_IS_RIGHT,
  'taken-by-the-sun a gold in it': BETWEEN_ROWS,
  'taken-by-the-sun permanent 20 vol': BETWEEN_ROWS,
  'a-lighter-summer high-lift in the weaves': BETWEEN_ROWS,
  'a-year-of-light-ends one 9 beige on all of it': BETWEEN_ROWS,
  'rose-gold-to-copper 6 red':
    'looked at every three minutes it is taken off while it reads as the copper that was wished',
  'by-the-key H for gold, as in the other line':
    'matte at the level of the hair cancels its orange: the head is neutral, and the tone costs its share',
  'by-the-key I for violet, as in the other line': BETWEEN_ROWS,
  'copper-over-light permanent on the lengths, watched, where the class does not': `${HEAD_IS_RIGHT}: half a row too deep`,
  'copper-over-light permanent on the lengths for its full time, unwatched': BETWEEN_ROWS,
  'relaxed-and-lighter permanent, 20 vol':
    'one decision wrong and a class of condition lost: sixty by the table of ceilings',
  'soft-as-wool 10 ash': BETWEEN_ROWS,
  'high-lift-retouch ordinary 10, 20 vol': BETWEEN_ROWS,
  'five-weeks-pink lightened first':
    'one decision wrong is seventy at most, and the head comes out as wished; the span is stricter',
  'five-weeks-pink violet': `violet over a blush of pink is two rows and a half down: ${BETWEEN_ROWS}`,
  'five-weeks-pink five minutes':
    'open hair has taken most of a ready dye in five minutes: near, and all of timing is lost',
};
