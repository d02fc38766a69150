/**
 * Plans whose computed mark lies outside the span that was written for them, and why the mark stands. By case and name.
 * A reason that is no longer needed fails the test.
 */
export const ARGUED: Record<string, string> = {
  'green-lengths powder on the green': 'green is still there, sixteen from the wish: to be corrected',
  'glassy-white plain 7, standard time':
    'the model leaves glassy white one and a half levels light after 35 of 50 min: noticed, with the time wrong',
  'red-with-a-little-white demi':
    'one strand in ten is blended so well that nobody sees it; the route costs its share',
  'red-lengths-freshened permanent through':
    'two levels too dark has to be corrected, and overlap and product are both wrong',
  'red-lengths-freshened lightener on the lengths first':
    'the red lands all the same; the hair is a class weaker and one decision wrong',
  'two-lighter-neutral rinsed at half time': 'half a level short is near; one decision wrong',
  'two-lighter-neutral 9 ash with 40 vol':
    'the root runs to 9: to be corrected, with shade and strength wrong',
  'copper-from-dark 10 vol':
    'a level and a half short is noticed, not yet to be corrected; one decision wrong',
  'copper-from-dark ash in it':
    'dark hair bares so much warmth that the copper is still there; one decision wrong',
  'first-blonde colour with 40 vol': 'three levels by 40 vol is within D2; only the hair pays for it',
  'face-frame-on-coils 40 vol': 'strength and time are both off, and the coils are a class weaker',
  'ends-painted colour 8 with 40 vol': 'ends at a warm 7 are noticed; one decision wrong',
  'high-lift-pearl ordinary 10': 'two thirds of a level short is near; one decision wrong',
  'woven-back-deeper permanent 6 ash': 'matte strands in gold hair have to be corrected; one decision wrong',
  'copper-into-gold 7 gold, 30 vol': 'as near to the wish as deposit comes here; shade and strength wrong',
  'rose-on-weak-hair root gently lightened, lengths spared, rose-beige over all':
    'a demi at 8.5 for ten minutes over hair of 10 leaves the lengths a level deep and red',
  'toned-too-often toner straight on': 'near a level too deep and ash: noticed, with the route wrong',
  'toned-too-often dry powder, 20 vol': 'the wished head, by the wrong way: seventy',
  'toned-too-often declined':
    'what is left out is lost whole, and declining what can be done loses consultation',
  'gone-violet gold permanent': 'two levels too deep on porous ends has to be corrected',
  'gone-violet lightened': 'the ends come out as wished and bear it; the way is wrong',
  'yellow-orange-to-neutral lightener again': 'near the wish, by the wrong way',
  'back-to-brown without a filler': 'flat, and near the wish; the way is wrong',
  'hairline-grey 30 min': 'white a level and a half light is near; the time costs its share',
  'less-grey demi 20 min': 'still a blend; the time costs its share',
  'pale-toner never looked at': 'a demi of its full time was right; only the looking is missing',
  'white-at-the-face only the front done':
    'nothing done where something was wished has to be corrected, and that the rest is to be covered is what the case turns on',
};
