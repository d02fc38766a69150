import { colourGrams, bowlGrams, bowlRatio } from '../../card';
import { partName } from '../../case';
import { goalsOf, coversGrey } from '../../method';
import { writeLabel, splitLabel, readLabel, hasShades } from '../../product';
import type { Misconception } from '../misconception';
import {
  type SlipContext,
  bowlWhere,
  lineOf,
  shifted,
  withBowl,
  toVol,
  tenth,
  ofKind,
  ofLine,
  withSteps,
  type SlipMaker,
} from './context';

/** The bowl of permanent colour that covers grey, where the answer has one. */
const coveringBowl = (context: SlipContext) => {
  const grey = goalsOf(context.modelAnswer.clientCase).filter((goal) => {
    const choice = context.modelAnswer.choices.find(({ part }) => part === partName(goal.part));
    return choice && coversGrey(goal, choice.technique);
  });
  return bowlWhere(
    context,
    ({ kind }, { name }) =>
      (kind === 'permanent' || kind === 'express') &&
      context.card.steps.some(
        (application) =>
          application.bowl === name && grey.some(({ part }) => application.zones.includes(part.zone)),
      ),
  );
};

/** Slips in the bowl: shades, developer, ratio, amount. */
export const MIX_SLIPS = {
  tonerLighterThanHair: (context) => {
    const { card, modelAnswer } = context;
    const tones = bowlWhere(context, ({ kind }) => kind === 'demi' || kind === 'acidGloss');
    const bared =
      goalsOf(modelAnswer.clientCase).some(
        ({ history, porosity }) => history.kind === 'lightened' && porosity !== 'high',
      ) || bowlWhere(context, ({ kind }) => kind === 'lightenerStrong' || kind === 'lightenerGentle');
    const line = tones && lineOf(context, tones);
    const filled = modelAnswer.choices.some(({ technique }) => technique === 'fillThenColour');
    if (!tones || !line || !bared || filled) return null;
    const lighter = shifted(tones, line, 2) ?? shifted(tones, line, 1);
    return lighter ? withBowl(card, tones.name, () => lighter) : null;
  },
  strongerThanNeeded: (context) => {
    const bowl = bowlWhere(
      context,
      ({ kind, developersVol }, { shades }) =>
        (kind === 'permanent' || kind === 'express') && shades.length > 0 && developersVol.length > 1,
    );
    const line = bowl && lineOf(context, bowl);
    const strongest = line && Math.max(...line.developersVol);
    if (!bowl || !strongest || strongest <= bowl.developer[0].vol + 5) return null;
    return withBowl(context.card, bowl.name, (bowl) => toVol(bowl, strongest));
  },
  depositForLift: (context) => {
    const lifts = context.modelAnswer.choices.some(({ technique }) => technique === 'liftWithColour');
    const bowl = bowlWhere(context, ({ kind }) => kind === 'permanent' || kind === 'express');
    return lifts && bowl ? withBowl(context.card, bowl.name, (bowl) => toVol(bowl, 10)) : null;
  },
  strongOnScalp: (context) => {
    const { card, modelAnswer } = context;
    const onScalp = goalsOf(modelAnswer.clientCase).some(
      ({ scalpContact: place, part }) =>
        place === 'onScalp' &&
        card.steps.some(
          ({ zones, bowl }) =>
            zones.includes(part.zone) &&
            bowlWhere(
              context,
              ({ kind }, { name }) =>
                name === bowl && (kind === 'lightenerStrong' || kind === 'lightenerGentle'),
            ),
        ),
    );
    const bowl = bowlWhere(context, ({ kind }) => kind === 'lightenerStrong' || kind === 'lightenerGentle');
    return onScalp && bowl ? withBowl(card, bowl.name, (bowl) => toVol(bowl, 40)) : null;
  },
  warmOnWarm: (context) => {
    const cool = goalsOf(context.modelAnswer.clientCase).find(
      ({ target }) => !target.vivid && ['ash', 'pearl', 'violet'].includes(target.tone.primary),
    );
    const bowl = bowlWhere(context, ({ kind }) =>
      ['permanent', 'express', 'demi', 'acidGloss'].includes(kind),
    );
    const line = bowl && lineOf(context, bowl);
    if (!cool || !bowl || !line) return null;
    const label = (['gold', 'beige', 'copper'] as const)
      .map((primary) => writeLabel(line, cool.target.level, { primary }))
      .find((name) => name !== null && line.shades.includes(name));
    return label
      ? withBowl(context.card, bowl.name, (bowl) => ({
          ...bowl,
          shades: [{ label, grams: tenth(colourGrams(bowl)) }],
        }))
      : null;
  },
  otherLinesKey: (context) => {
    const { card, lines, modelAnswer } = context;
    const bowl = bowlWhere(
      context,
      (line, { shades }) =>
        hasShades(line.kind) && shades.length > 0 && Object.keys(line.key.signs).length > 0,
    );
    const own = bowl && lineOf(context, bowl);
    if (!bowl || !own) return null;
    const tone = goalsOf(modelAnswer.clientCase).find(({ part }) =>
      card.steps.some(
        (application) => application.bowl === bowl.name && application.zones.includes(part.zone),
      ),
    )?.target;
    if (!tone || tone.tone.primary === 'neutral') return null;
    for (const other of lines) {
      if (other.id === own.id) continue;
      const label = writeLabel(other, Math.floor(tone.level), { primary: tone.tone.primary });
      const sign = label ? splitLabel(other, label)?.signs : undefined;
      const mistaken = sign && `${Math.floor(tone.level)}${own.key.separator}${sign}`;
      const reading = mistaken && own.shades.includes(mistaken) ? readLabel(own, mistaken) : null;
      if (
        !reading?.ok ||
        reading.shade.tone.primary === tone.tone.primary ||
        reading.shade.tone.primary === 'neutral'
      )
        continue;
      return withBowl(card, bowl.name, (bowl) => ({
        ...bowl,
        shades: [{ label: mistaken!, grams: tenth(colourGrams(bowl)) }],
      }));
    }
    return null;
  },
  otherLinesRatio: (context) => {
    const bowl = bowlWhere(
      context,
      ({ ratios }, { developer }) => developer.length > 0 && ratios.length === 1,
    );
    const line = bowl && lineOf(context, bowl);
    if (!bowl || !line) return null;
    const other = [1, 1.5, 2].find(
      (ratio) => Math.abs(ratio - line.ratios[0]) > 0.3 && Math.abs(1 / line.ratios[0] - ratio) > 0.1,
    );
    if (!other) return null;
    return withBowl(context.card, bowl.name, (bowl) => {
      const total = bowlGrams(bowl);
      const scale = total / (1 + other) / colourGrams(bowl);
      return {
        ...bowl,
        shades: bowl.shades.map((shade) => ({ ...shade, grams: tenth(shade.grams * scale) })),
        productGrams: tenth(bowl.productGrams * scale),
        developer: [{ ...bowl.developer[0], grams: tenth(total - total / (1 + other)) }],
      };
    });
  },
  ratioTurned: (context) => {
    const bowl = context.card.bowls.find((bowl) => {
      const ratio = bowlRatio(bowl);
      return ratio !== null && ratio > 1.2;
    });
    if (!bowl) return null;
    return withBowl(context.card, bowl.name, (bowl) => {
      const total = bowlGrams(bowl);
      const scale = (total - colourGrams(bowl)) / colourGrams(bowl);
      return {
        ...bowl,
        shades: bowl.shades.map((shade) => ({ ...shade, grams: tenth(shade.grams * scale) })),
        productGrams: tenth(bowl.productGrams * scale),
        developer: [{ ...bowl.developer[0], grams: tenth(colourGrams(bowl)) }],
      };
    });
  },
  noNaturalOnGrey: (context) => {
    const { card, modelAnswer } = context;
    const grey = goalsOf(modelAnswer.clientCase).find(
      ({ greyShare, target }) => greyShare >= 0.25 && target.tone.primary !== 'neutral',
    );
    const bowl = bowlWhere(context, ({ kind }) => kind === 'permanent' || kind === 'express');
    const line = bowl && lineOf(context, bowl);
    if (!grey || !bowl || !line) return null;
    const label = writeLabel(line, Math.floor(grey.target.level), grey.target.tone);
    return label && line.shades.includes(label)
      ? withBowl(card, bowl.name, (bowl) => ({
          ...bowl,
          shades: [{ label, grams: tenth(colourGrams(bowl)) }],
        }))
      : null;
  },
  depositForGrey: (context) => {
    const bowl = coveringBowl(context);
    return bowl ? withBowl(context.card, bowl.name, (bowl) => toVol(bowl, 10)) : null;
  },
  blendForCover: (context) => {
    const bowl = coveringBowl(context);
    const own = bowl && lineOf(context, bowl);
    const demi = ofKind(context, 'demi');
    const made = own && demi && ofLine(bowl, own, demi, demi.developersVol[0]);
    if (!made || !demi) return null;
    return withSteps(
      withBowl(context.card, bowl.name, () => made),
      (application) =>
        application.bowl === bowl.name ? { ...application, minutes: demi.minutes.standard } : application,
    );
  },
  tooLittleProduct: ({ card }) => {
    if (card.bowls.length === 0) return null;
    const third = (grams: number) => tenth(grams / 3);
    return {
      ...card,
      bowls: card.bowls.map((bowl) => ({
        ...bowl,
        productGrams: third(bowl.productGrams),
        shades: bowl.shades.map((shade) => ({ ...shade, grams: third(shade.grams) })),
        developer: bowl.developer.map((part) => ({ ...part, grams: third(part.grams) })),
      })),
    };
  },
} satisfies Partial<Record<Misconception, SlipMaker>>;
