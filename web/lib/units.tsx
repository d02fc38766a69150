import { flOzOfGrams, gramsOfFlOz } from '@cimbel/core/product';
import { createContext, useContext, type ComponentProps, type ReactNode } from 'react';
import { I18nextProvider, useTranslation } from 'react-i18next';
import { NumberInput } from '../ui/field';
import { figure, wordsIn, type Units } from './i18n';
import './words/bench';

const UnitsContext = createContext<Units>('grams');

/** Everything inside weighs and writes amounts as the class does. What is kept and marked stays in grams. */
export function InUnits({ units, children }: { units: Units; children: ReactNode }) {
  return (
    <UnitsContext value={units}>
      <I18nextProvider i18n={wordsIn(units)}>{children}</I18nextProvider>
    </UnitsContext>
  );
}

/** A weight as it stands on a scale: figure and unit apart, hundredths of an ounce or tenths of a gram. */
export function useScaleFigure(): (grams: number) => { figure: string; unit: string } {
  const units = useContext(UnitsContext);
  const { t } = useTranslation();
  return (grams) =>
    units === 'flOz'
      ? { figure: figure(flOzOfGrams(grams), undefined, 2), unit: t('unit.flOz') }
      : { figure: figure(grams, undefined, 1), unit: t('unit.grams') };
}

const round = (value: number, digits: number) => Math.round(value * 10 ** digits) / 10 ** digits;

type Props = Omit<ComponentProps<typeof NumberInput>, 'unit' | 'min' | 'max' | 'step'> & {
  min: number;
  max: number;
  step: number;
};

/** A field for an amount: grams outside, what the class measures in inside. */
export function WeightInput({ value, onValue, min, max, step, ...rest }: Props) {
  const units = useContext(UnitsContext);
  const { t } = useTranslation();
  if (units === 'grams')
    return (
      <NumberInput
        value={value}
        onValue={onValue}
        min={min}
        max={max}
        step={step}
        unit={t('unit.grams')}
        {...rest}
      />
    );
  return (
    <NumberInput
      value={value === null ? null : round(flOzOfGrams(value), 2)}
      onValue={(ounces) => onValue(ounces === null ? null : round(gramsOfFlOz(ounces), 1))}
      min={round(flOzOfGrams(min), 2)}
      max={round(flOzOfGrams(max), 2)}
      step={step >= 1 ? 0.05 : 0.01}
      unit={t('unit.flOz')}
      {...rest}
    />
  );
}
