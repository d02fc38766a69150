import { Check } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import '../lib/words/bench';

/** Steps in their order: where one is, what is complete, what is open. Going anywhere is free. */
export function StepLine<Step extends string>({
  label,
  steps,
  current,
  complete,
  name,
  onGo,
}: {
  /** What the steps are of. */
  label: string;
  steps: readonly Step[];
  current: Step;
  complete: (step: Step) => boolean;
  name: (step: Step) => string;
  onGo: (step: Step) => void;
}) {
  const { t } = useTranslation();
  const row = useRef<HTMLElement>(null);
  // On a phone the step one is at may lie beyond the edge.
  useEffect(() => {
    row.current?.querySelector('[aria-current]')?.scrollIntoView({ inline: 'center', block: 'nearest' });
  }, [current]);
  return (
    <nav ref={row} aria-label={label} className="overflow-x-auto">
      <ol className="border-strong-line flex min-w-max border-b-2">
        {steps.map((step, i) => {
          const here = step === current;
          const done = complete(step);
          return (
            <li key={step} className="relative">
              <button
                type="button"
                aria-current={here ? 'step' : undefined}
                onClick={() => onGo(step)}
                className={`flex min-h-11 items-center gap-2 px-3 wide:px-4 ${here ? 'font-display text-lg font-semibold' : 'text-quiet hover:text-ink'}`}
              >
                <span
                  aria-hidden
                  className={`border-strong-line flex size-5 items-center justify-center rounded-full border-2 text-xs ${done ? 'bg-ink text-sheet border-ink' : 'bg-sheet'}`}
                >
                  {done ? <Check className="size-3.5" strokeWidth={3.5} /> : i + 1}
                </span>
                {name(step)}
                <span className="sr-only">{t(done ? 'bench.stepDone' : 'bench.stepOpen')}</span>
              </button>
              {here ? <span aria-hidden className="bg-accent absolute inset-x-0 -bottom-0.5 h-1" /> : null}
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
