import type { ClassDetail } from '@cimbel/contract';
import { SHIPPED_LINES } from '@cimbel/core/product';
import {
  choicesOf,
  DEFAULT_HOUSE_RULES,
  HOUSE_RULES,
  houseRuleExample,
  type HouseRule,
  type HouseRules,
} from '@cimbel/core/rules';
import { Radio, RadioGroup } from '@headlessui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { CircleCheck, Circle } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { PriceListFields } from '../features/appointments/price-list-fields';
import { RuleChip } from '../features/handbook/rule-chip';
import { CeilingsFields, risingCell } from '../features/marking/ceilings-fields';
import { ReasonText } from '../features/marking/reasons';
import { RegradeClassDialog } from '../features/marking/regrade-class-dialog';
import { ClassTabs } from '../features/reading/class-tabs';
import { WithClass } from '../features/reading/with-class';
import { api, asApiError } from '../lib/api';
import { useStored } from '../lib/use-stored';
import { Button } from '../ui/button';
import { Notice } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/craft';
import '../lib/words/house-rules';

/** A permanent line that does not permit water, so that the rule on thinning has something to decide. */
const EXAMPLE_LINE =
  SHIPPED_LINES.find(({ kind, mayDilute }) => kind === 'permanent' && !mayDilute) ?? SHIPPED_LINES[0];
const MINUTES = [0, 2, 5] as const;
const GRAMS = [1, 2, 4] as const;
const PASS_MARKS = [50, 60, 65, 70, 75, 80, 85, 90];

/** A rule that is a figure: how near counts as exact. */
function FigureChoice({
  label,
  value,
  options,
  name,
  onChange,
}: {
  label: string;
  value: number;
  options: readonly number[];
  name: (figure: number) => string;
  onChange: (figure: number) => void;
}) {
  return (
    <section className="border-line border-t py-3">
      <h2 className="text-lg">{label}</h2>
      <RadioGroup value={value} onChange={onChange} aria-label={label} className="mt-1 flex flex-wrap gap-2">
        {[...new Set(options)]
          .sort((a, b) => a - b)
          .map((figure) => (
            <Radio
              key={figure}
              value={figure}
              className="border-strong-line bg-raised data-checked:border-accent data-checked:bg-accent data-checked:text-on-accent min-h-10 rounded-sm border px-3 py-1.5"
            >
              {name(figure)}
            </Radio>
          ))}
      </RadioGroup>
    </section>
  );
}

/** Two or three good schools side by side: what each holds, and what it comes to on one small case. */
function RuleChoice({
  rule,
  value,
  onChange,
}: {
  rule: HouseRule;
  value: string;
  onChange: (choice: string) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const choices = choicesOf(rule);
  const examples = choices.map((choice) => houseRuleExample(rule, choice, EXAMPLE_LINE));
  // The rules of the handbook that the schools differ on, once for all of them: a choice holds nothing to press.
  const ids = [...new Set(examples.flatMap(({ rule: id }) => id ?? []))];
  return (
    <section className="border-line border-t py-3">
      <div className="flex flex-wrap items-baseline">
        <h2 className="text-lg">{t(`craft:houseRule.${rule}.name`)}</h2>
        {ids.map((id) => (
          <RuleChip key={id} rule={id} />
        ))}
      </div>
      <RadioGroup
        value={value}
        onChange={onChange}
        aria-label={t(`craft:houseRule.${rule}.name`)}
        className={`mt-1 grid gap-2 ${choices.length > 2 ? 'wide:grid-cols-3' : 'wide:grid-cols-2'}`}
      >
        {choices.map((choice, i) => (
          <Radio
            key={choice}
            value={choice}
            className="group border-strong-line bg-raised data-checked:border-accent flex gap-3 rounded-sm border-2 p-3"
          >
            <span aria-hidden className="pt-0.5">
              <CircleCheck className="text-accent hidden size-5 group-data-checked:block" />
              <Circle className="text-quiet size-5 group-data-checked:hidden" />
            </span>
            <span className="flex flex-col gap-1">
              <span className="font-semibold first-letter:uppercase">
                {t(`craft:houseRule.${rule}.${choice}`)}
              </span>
              <span className="text-sm">{t(`houseRules.why.${rule}.${choice}`)}</span>
              <span className="text-quiet text-sm">
                <ReasonText reason={{ ...examples[i], rule: undefined }} />
              </span>
            </span>
          </Radio>
        ))}
      </RadioGroup>
    </section>
  );
}

function RulesForm({ detail }: { detail: ClassDetail }) {
  const { t } = useTranslation(['ui', 'craft']);
  const client = useQueryClient();
  // Half-made changes wait on the device; of rules that were saved since they are no change any more.
  const [rules, setRules, dropRules] = useStored<HouseRules>(
    `cimbel.house-rules.${detail.id}`,
    () => detail.houseRules,
  );
  const [before, setBefore] = useState<HouseRules | null>(null);
  const [remarking, setRemarking] = useState(false);
  const saved = detail.houseRules;
  const changed = JSON.stringify(rules) !== JSON.stringify(saved);
  // Prices are no rule: they have a way back of their own.
  const defaults: HouseRules = { ...DEFAULT_HOUSE_RULES, priceList: rules.priceList };
  const save = useMutation({
    mutationFn: (body: HouseRules) => api('PUT', `/api/classes/${detail.id}/house-rules`, body),
    onSuccess: async (_, body) => {
      setBefore(saved);
      setRules(body);
      dropRules();
      await client.invalidateQueries({ queryKey: ['class', detail.id] });
      void client.invalidateQueries({ queryKey: ['reading-desk', detail.id] });
    },
  });
  return (
    <>
      <p>{t('houseRules.intro')}</p>
      <div>
        {HOUSE_RULES.map((rule) => (
          <RuleChoice
            key={rule}
            rule={rule}
            value={rules[rule]}
            onChange={(choice) => setRules({ ...rules, [rule]: choice } as HouseRules)}
          />
        ))}
        <FigureChoice
          label={t('houseRules.minutesTolerance')}
          value={rules.minutesTolerance}
          options={[...MINUTES, saved.minutesTolerance]}
          name={(minutes) => (minutes === 0 ? t('houseRules.exact') : t('houseRules.within', { minutes }))}
          onChange={(minutesTolerance) => setRules({ ...rules, minutesTolerance })}
        />
        <FigureChoice
          label={t('houseRules.weighingTolerance')}
          value={rules.weighingTolerance}
          options={[...GRAMS, saved.weighingTolerance]}
          name={(grams) => t('houseRules.withinGrams', { grams })}
          onChange={(weighingTolerance) => setRules({ ...rules, weighingTolerance })}
        />
        <FigureChoice
          label={t('houseRules.passMark')}
          value={rules.passMark}
          options={[...PASS_MARKS, saved.passMark]}
          name={(percent) => t('houseRules.percentOf', { percent })}
          onChange={(passMark) => setRules({ ...rules, passMark })}
        />
        <CeilingsFields ceilings={rules.ceilings} onChange={(ceilings) => setRules({ ...rules, ceilings })} />
        <PriceListFields
          list={rules.priceList}
          lines={SHIPPED_LINES}
          onChange={(priceList) => setRules({ ...rules, priceList })}
        />
        <section className="border-line border-t py-3">
          <h2 className="text-lg">{t('houseRules.remark.title')}</h2>
          <p className="mt-1 mb-2 max-w-prose text-sm">{t('houseRules.remark.text')}</p>
          <Button disabled={changed} onClick={() => setRemarking(true)}>
            {t('houseRules.remark.open')}
          </Button>
        </section>
      </div>
      {remarking ? <RegradeClassDialog classId={detail.id} onClose={() => setRemarking(false)} /> : null}
      <div className="border-strong-line bg-room sticky bottom-0 flex flex-wrap items-center gap-3 border-t py-2">
        <Button
          weight="main"
          disabled={!changed || save.isPending || risingCell(rules.ceilings) !== null}
          onClick={() => save.mutate(rules)}
        >
          {t('action.save')}
        </Button>
        {changed ? (
          <Button
            onClick={() => {
              setRules(saved);
              dropRules();
            }}
          >
            {t('houseRules.discard')}
          </Button>
        ) : before ? (
          <Button onClick={() => save.mutate(before)}>{t('action.undo')}</Button>
        ) : null}
        <Button
          weight="quiet"
          disabled={JSON.stringify(rules) === JSON.stringify(defaults)}
          onClick={() => setRules(defaults)}
        >
          {t('houseRules.defaults')}
        </Button>
        <span className="ms-auto text-sm">
          {save.isError ? (
            <Notice kind="bad">{t(`error.${asApiError(save.error).code}`)}</Notice>
          ) : changed ? (
            t('houseRules.unsaved')
          ) : save.isSuccess ? (
            <span role="status">{t('houseRules.saved')}</span>
          ) : null}
        </span>
      </div>
    </>
  );
}

/** The points on which good schools differ, as this class has them. */
export function HouseRulesPage() {
  const { t } = useTranslation();
  return (
    <WithClass>
      {(detail) => (
        <div className="mx-auto flex max-w-6xl flex-col gap-3 p-4">
          <PageTitle back={{ to: '/classes', text: t('nav.classes') }} className="text-2xl">
            {detail.name}
          </PageTitle>
          <ClassTabs classId={detail.id} />
          <RulesForm key={detail.id} detail={detail} />
        </div>
      )}
    </WithClass>
  );
}
