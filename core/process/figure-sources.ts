/**
 * What every figure of `figures.json` rests on: physics, a published figure, judgement, or the rows it was fitted to.
 * A `*` in a path stands for any one name or row. The fit moves only what is fitted, within the span.
 */
export interface FigureSource {
  /** Path of the figure in the file. */
  path: string;
  /** Published, fitted or judged. */
  kind: 'physics' | 'published' | 'fitted' | 'judgement';
  /** Rows of the behaviour table, or where it comes from. */
  from: string;
  /** For fitted figures: how far the fit may move them, as factors of what stands there. */
  span?: readonly [number, number];
}
const fitted = (path: string, from: string, span: readonly [number, number] = [0.3, 3]): FigureSource => ({
  path,
  kind: 'fitted',
  from,
  span,
});
const judged = (path: string, from: string): FigureSource => ({ path, kind: 'judgement', from });
const published = (path: string, from: string): FigureSource => ({ path, kind: 'published', from });

export const FIGURE_SOURCES: readonly FigureSource[] = [
  fitted('model.reachPower', 'H10, H18'),
  fitted('model.dyeHoldsUpColour', 'H4, H16'),
  fitted('model.dyeHoldsUpLightener', 'H17'),
  fitted('model.liftedBefore', 'H13, H39'),
  fitted('model.dyePace', 'H52', [0.5, 1.6]),
  fitted('model.buildsUp', 'H61'),
  fitted('effort.*', 'H5, H49, H51', [0.5, 2]),
  published('model.wetPace', 'handbook D6: about half when soaked'),
  fitted('model.conditionerLift', 'H22'),
  fitted('model.conditionerDamage', 'H23'),
  fitted('model.protectedLift', 'H33'),
  fitted('model.heatAtScalpLate', 'H32', [0.8, 2]),
  fitted('model.masks', 'H7, practice', [0.8, 1.05]),
  fitted('model.deepMasksYellow', 'H45, practice', [0.6, 1.1]),
  fitted('model.tooLight', 'H8, H42'),
  fitted('model.liftOnLift', 'H13, H39'),
  fitted('model.cancels', 'H9, H14, H29'),
  fitted('model.blueOnRed', 'practice: toners name their tone', [0.7, 1.4]),
  fitted('model.surplusShows', 'H43'),
  fitted('model.correctorStrength', 'H29'),
  fitted('model.depthSoftness', 'H24', [0.5, 1.5]),
  fitted('model.overlapDepth', 'H12, H38'),
  fitted('model.overlapPorous', 'H38', [0.7, 2]),
  judged('model.overlapLow', 'a demi over its own colour deepens less than permanent'),
  fitted('model.uptakePorous', 'H9, H43'),
  fitted('model.blueGrab', 'H9', [0.3, 5]),
  fitted('model.fills', 'H43', [0.7, 1.1]),
  fitted('model.hollowsOverVol', 'H45'),
  fitted('model.thinPower', 'H30, H38', [0.6, 2]),
  judged('model.dilutionPower', 'a thinner mix is laid on thicker'),
  fitted('model.whiteTauMinutes', 'H36', [0.5, 2]),
  fitted('model.whiteLags', 'H36', [0.5, 2]),
  fitted('model.whiteNatural', 'H11'),
  fitted('model.whiteExtra', 'H44'),
  fitted('model.whiteResists', 'H44'),
  fitted('model.whiteAtTen', 'H35'),
  judged('model.toneHolds', 'six toners build up to a dull tone, not to another colour'),
  judged('model.vividOnDark', 'direct dye stains dark hair about half as much'),
  fitted('model.drivesVivid', 'H20'),
  judged('model.heldResists', 'what sits deep leaves at an eighth of the rate (P7)'),
  fitted('model.residueRed', 'H17'),
  fitted('model.residueYellow', 'H17'),
  fitted('model.residueLeaves', 'H17'),
  fitted('model.hurtsFine', 'H40', [0.8, 1.6]),
  fitted('model.dries', 'H28'),
  judged('model.dullness', 'lightened hair loses its gloss faster than its strength'),
  judged('model.bondPace', 'handbook F12: may ask a longer time'),
  judged('model.bondSpares', 'handbook F12: lessens damage'),
  judged('hurtByVol.2.factor', '20 vol is what the others are measured against'),
  fitted('hurtByVol.*.factor', 'H6, H40, H45'),
  published('hurtByVol.*.vol', 'strengths that are sold (D1)'),
  published('products.*.lift.*.vol', 'strengths that are sold (D1)'),
  fitted('products.permanent.lift.*.dose', 'H3, H16, H39', [0.5, 1.6]),
  fitted('products.permanent.lift.*.tauMinutes', 'H3, practice', [0.6, 1.6]),
  fitted('products.permanent.dye.tauMinutes', 'H36, practice', [0.7, 1.5]),
  published('products.*.dye.fullMinutes', 'as its makers say: full times'),
  judged('products.*.dye.tauMinutes', 'most of it forms in the first half of the full time'),
  fitted('products.permanent.dye.strength', 'H24, practice', [0.9, 1.1]),
  fitted('products.demi.dye.strength', 'H24, H37, practice', [0.9, 1.1]),
  judged('products.*.dye.strength', 'gloss is sheerer, high-lift thinner than permanent'),
  fitted('products.permanent.coversWhite', 'H11', [0.6, 1.6]),
  fitted('products.demi.coversWhite', 'H37', [0.5, 1.8]),
  judged('products.*.coversWhite', 'a gloss hardly, vivid stains, express as permanent'),
  fitted('products.permanent.hurtsPerDose', 'H26, H39, H45'),
  fitted('products.permanent.hurtsPerMinute', 'H26, H39, H45'),
  fitted('products.demi.hurtsPerMinute', 'H39'),
  fitted('products.lightenerStrong.lift.*.dose', 'H5, H6, H17', [0.7, 1.4]),
  fitted('products.lightenerStrong.lift.*.tauMinutes', 'H5, H6, H10', [0.6, 1.6]),
  fitted('products.lightenerStrong.hurts*', 'H6, H26, H27, H28, H41'),
  fitted('products.lightenerGentle.lift.*.dose', 'H18, H23, practice', [0.6, 1.6]),
  fitted('products.lightenerGentle.lift.*.tauMinutes', 'H18, H23', [0.5, 2]),
  fitted('products.lightenerGentle.hurts*', 'H23, H27, H40'),
  judged('products.express.*', 'as permanent in ten minutes, up to two levels'),
  judged('products.express.lift.*.*', 'as permanent in ten minutes, up to two levels'),
  fitted('products.highLift.lift.*.dose', 'practice: three levels and more from 7', [0.6, 1.5]),
  judged('products.highLift.lift.*.tauMinutes', 'a longer run than ordinary colour'),
  judged('products.demi.lift.*.*', 'a slight shift at most'),
  judged('products.*.hurts*', 'of the kind of its neighbours in the table'),
  fitted('strips.lightenerStrong.permanent', 'H17'),
  fitted('strips.lightenerStrong.directCool', 'H20'),
  fitted('strips.lightenerGentle.demi', 'H22'),
  fitted('strips.lightenerGentle.directWarm', 'H21'),
  fitted('strips.lightenerGentle.directCool', 'H20, H21'),
  fitted('strips.remover.permanent', 'H19'),
  fitted('strips.remover.directCool', 'H20'),
  fitted('months.homeWash', 'H56', [0.7, 1.4]),
  fitted('months.redLeaves', 'H57', [0.6, 1.4]),
  judged('months.yellowLeaves', 'gold and copper go sooner than depth, later than red'),
  fitted('months.warmVivid', 'H58', [0.8, 1.3]),
  fitted('months.coolVivid', 'H58', [0.8, 1.3]),
  published('months.pastel', 'H58: pastels go twice as fast'),
  fitted('months.hotWater', 'H56', [0.9, 1.1]),
  judged('months.coolWater', 'cool water takes about a fifth less than warm'),
  judged('months.ordinaryShampoo', 'sulfates take about a third more'),
  judged('months.porous', 'ends of high porosity lose half as much again (F11)'),
  judged('months.sunFades', 'a summer takes about a fifth more'),
  judged('months.poolWash', 'a swim takes what a wash takes'),
  judged('months.covered', 'colour over a filler holds it in (F6)'),
  fitted('months.violetYellow', 'H59', [0.6, 1.6]),
  fitted('months.violetCast*', 'H59', [0.6, 1.6]),
  judged('months.blue*', 'as care against yellow, against orange'),
  judged('months.sunLifts', 'with the pool at most half a level in three months'),
  judged('months.poolLifts', 'with the sun at most half a level in three months'),
  judged('months.poolGreen', 'green after a summer on pale hair, seen on nothing dark'),
  judged('months.*Hurts', 'a summer dries more than it weakens'),
  judged('months.dulls', 'gloss of a service lasts about as long as its toner'),
  judged('strips.*.*', 'gloss leaves before demi, demi before permanent, pink before blue (P2)'),
];

const matches = (pattern: string, path: string) =>
  new RegExp(
    `^${pattern
      .split('.')
      .map((part) => part.replace(/\*/g, '[^.]*'))
      .join('\\.')}$`,
  ).test(path);
/** The first source that names a path is its own. */
export const sourceOf = (path: string): FigureSource | undefined =>
  FIGURE_SOURCES.find(({ path: pattern }) => matches(pattern, path));

/** Every number in a tree, by its path. */
export function figurePaths(tree: unknown, path = ''): string[] {
  if (typeof tree === 'number') return [path];
  if (tree === null || typeof tree !== 'object') return [];
  return Object.entries(tree).flatMap(([name, value]) =>
    figurePaths(value, path === '' ? name : `${path}.${name}`),
  );
}
