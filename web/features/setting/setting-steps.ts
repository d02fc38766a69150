import { fieldOfFault, type ClientCase } from '@cimbel/core/case';

/** An exercise is composed in this order; the last step is there where it is assigned. */
export const SETTING_STEPS = ['client', 'wish', 'work', 'marks', 'assign'] as const;
/** Id of the form that the buttons below it send. */
export const SETTING_FORM = 'set-exercise';
export type SettingStep = (typeof SETTING_STEPS)[number];

/** Something that is missing or does not fit: in which step it is put right, and in which field there. */
export interface SettingFault {
  step: SettingStep;
  /** The field, as its `data-field` says. */
  field: string;
  /** What is wrong, by its words. */
  text: string;
}

/** Where a fault of a case, by its path, is put right. */
export function placeOfFault(clientCase: ClientCase, fault: string): Pick<SettingFault, 'step' | 'field'> {
  const [first] = fault.split('.');
  const { place } = fieldOfFault(clientCase, fault);
  if (first === 'head') return { step: 'client', field: place ? `place.${place}` : 'head' };
  if (first === 'client' || first === 'facts') return { step: 'client', field: first };
  if (first === 'lineIds' || first === 'shelf') return { step: 'wish', field: 'lines' };
  if (first === 'title') return { step: 'client', field: 'title' };
  return { step: 'wish', field: first };
}

/** Moves the focus to the first control of a field, once its step is drawn. */
export function focusField(field: string): void {
  const at = document.querySelector<HTMLElement>(`[data-field="${CSS.escape(field)}"]`);
  const control = at?.matches('input,select,textarea')
    ? at
    : at?.querySelector<HTMLElement>('input:not([type="hidden"]),select,textarea,button,[tabindex="0"]');
  control?.focus();
  (control ?? at)?.scrollIntoView({ block: 'center' });
}
