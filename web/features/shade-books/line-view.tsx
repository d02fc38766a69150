import { writeShadeBook, writeShadeTable } from '@cimbel/core/io';
import { hasDeveloper, hasShades, type Line } from '@cimbel/core/product';
import { Download } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { Facts, Sheet } from '../../ui/panel';
import { LineKey, ShadeGrid, Swatch } from '../bench/shade-chart';
import { download, fileName, textFile } from '../../lib/download';
import '../../lib/words/craft';
import '../../lib/words/shade-books';

function LineFacts({ line }: { line: Line }) {
  const { t } = useTranslation(['ui', 'craft']);
  const yes = (value: boolean) => t(`craft:yesNo.${value}`);
  // A figure stays with its unit when the line breaks.
  const list = (values: readonly string[]) =>
    values.map((value) => value.replaceAll(' ', '\u00a0')).join(', ');
  return (
    <Facts
      rows={[
        { term: t('shadeBooks.kind'), value: t(`craft:kind.${line.kind}`) },
        ...(hasDeveloper(line.kind)
          ? [
              {
                term: t('shadeBooks.developers'),
                value: list(line.developersVol.map((vol) => t('shadeBooks.volume', { vol }))),
              },
              {
                term: t('shadeBooks.ratios'),
                value: list(line.ratios.map((ratio) => t('shadeBooks.ratio', { ratio }))),
              },
              { term: t('shadeBooks.mayDilute'), value: yes(line.mayDilute) },
            ]
          : []),
        {
          term: t('shadeBooks.standard'),
          value: t('shadeBooks.minutes', { minutes: line.minutes.standard }),
        },
        ...(line.minutes.grey !== line.minutes.standard
          ? [{ term: t('shadeBooks.grey'), value: t('shadeBooks.minutes', { minutes: line.minutes.grey }) }]
          : []),
        ...(line.minutes.resistant
          ? [
              {
                term: t('shadeBooks.resistant'),
                value: t('shadeBooks.minutes', { minutes: line.minutes.resistant }),
              },
            ]
          : []),
        ...(line.highLift
          ? [
              {
                term: t('shadeBooks.highLiftDirections'),
                value: `${list(line.highLift.ratios.map((ratio) => t('shadeBooks.ratio', { ratio })))}, ${t('shadeBooks.minutes', { minutes: line.highLift.minutes })}`,
              },
            ]
          : []),
        ...(line.greyShares
          ? [
              {
                term: t('shadeBooks.greyShares'),
                value: list(line.greyShares.map((row) => t('shadeBooks.greyRow', row))),
              },
            ]
          : []),
        ...(line.preWash ? [{ term: t('shadeBooks.preWash'), value: t(`craft:wash.${line.preWash}`) }] : []),
        { term: t('shadeBooks.timer'), value: t(`craft:timerStarts.${line.timerStarts}`) },
        { term: t('shadeBooks.mayHeat'), value: yes(line.mayHeat ?? false) },
        { term: t('shadeBooks.active'), value: t('shadeBooks.minutes', { minutes: line.activeMinutes }) },
        { term: t('shadeBooks.tube'), value: t('shadeBooks.grams', { grams: line.tubeGrams }) },
        ...(line.additives ?? []).map(({ name, gramsPer100 }) => ({
          term: name,
          value: t('shadeBooks.additive', { grams: gramsPer100 }),
        })),
      ]}
    />
  );
}

/** A shade book as it lies open: directions, key, chart, and the way out into a file. */
export function LineView({ line }: { line: Line }) {
  const { t } = useTranslation();
  return (
    <div className="grid items-start gap-4 wide:grid-cols-[20rem_minmax(0,1fr)]">
      <div className="flex flex-col gap-4">
        <Sheet className="flex flex-col gap-3">
          <LineFacts line={line} />
        </Sheet>
        <div className="flex flex-wrap gap-2">
          <Button
            icon={<Download aria-hidden className="size-5" />}
            onClick={() =>
              download(fileName(line.name, 'json'), textFile(writeShadeBook(line), 'application/json'))
            }
          >
            {t('shadeBooks.json')}
          </Button>
          {hasShades(line.kind) ? (
            <Button
              icon={<Download aria-hidden className="size-5" />}
              onClick={() =>
                download(fileName(line.name, 'csv'), textFile(writeShadeTable(line), 'text/csv'))
              }
            >
              {t('shadeBooks.csv')}
            </Button>
          ) : null}
        </div>
      </div>
      {hasShades(line.kind) ? (
        <div className="flex min-w-0 flex-col gap-3">
          {Object.keys(line.key.signs).length > 0 ? <LineKey line={line} /> : null}
          <ShadeGrid
            line={line}
            cell={(shade) => (
              <span className="text-on-surround flex flex-col items-center px-0.5 pb-0.5">
                <Swatch shade={shade} />
              </span>
            )}
          />
        </div>
      ) : (
        <p className="text-quiet">{t('shadeBooks.noShades')}</p>
      )}
    </div>
  );
}
