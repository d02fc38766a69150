import { seedFrom } from '@cimbel/core';
import { markItem, planTest, sittingOf, type DrillContext, type ItemSpec } from '@cimbel/core/drill';
import type { NewTest } from '@cimbel/contract';
import { useEffect, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { makeItem } from '../../workers/drill-maker';
import type { DrillMade } from '../../workers/drill.worker';
import { Button } from '../../ui/button';
import { Loading, Notice } from '../../ui/panel';
import { ItemCard } from '../drill/item-card';
import type { AnswerFeedback } from '../drill/feedback';
import { ownLineOf } from '../drill/own-line';
import '../../lib/words/reading';

const drawSeed = () => crypto.getRandomValues(new Uint32Array(1))[0];

function Question({
  spec,
  context,
  last,
  onNext,
}: {
  spec: ItemSpec;
  context: DrillContext;
  last: boolean;
  onNext: () => void;
}) {
  const { t } = useTranslation();
  const [made, setMade] = useState<DrillMade | 'failed' | null>(null);
  const [told, setTold] = useState<AnswerFeedback | null>(null);
  useEffect(() => {
    let current = true;
    makeItem(spec, context).then(
      (next) => current && setMade(next),
      () => current && setMade('failed'),
    );
    return () => {
      current = false;
    };
  }, [spec, context]);
  if (made === null) return <Loading />;
  if (made === 'failed') return <Notice kind="warn">{t('reading.notMade')}</Notice>;
  const { item } = made;
  return (
    <ItemCard
      question={{ ...item.question, ownLine: ownLineOf(item.question, context) }}
      hairs={item.question.pictures.map(({ look }) => ({ look }))}
      told={told}
      immediate={false}
      onAnswer={(response) => setTold({ item, response, mark: markItem(item, response) })}
      beside={
        <Button weight="quiet" onClick={() => setTold({ item, response: null, mark: null })}>
          {t('reading.test.leave')}
        </Button>
      }
      below={
        <Button weight="main" className="self-start" autoFocus onClick={onNext}>
          {t(last ? 'reading.set.closePreview' : 'action.next')}
        </Button>
      }
    />
  );
}

/** The test as a student will meet it, with hair of its own; answers are shown at once and nothing is kept. */
export function TestPreview({
  test,
  context,
  onClose,
}: {
  test: NewTest;
  context: DrillContext;
  onClose: () => void;
}) {
  const { t } = useTranslation();
  const items = useMemo(() => {
    const seed = drawSeed();
    const plan = planTest(test.parts, test.step, context, seed);
    return sittingOf(plan, (what) => seedFrom(`${seed} ${what}`), test.variants);
  }, [test, context]);
  const [at, setAt] = useState(0);
  return (
    <div className="flex min-h-[calc(100dvh-3.3rem)] flex-col">
      <div className="border-strong-line bg-room flex flex-wrap items-center gap-4 border-b px-4 py-2">
        <h1 className="text-base">{t('reading.previewTitle')}</h1>
        <p className="text-sm">{t('reading.test.position', { position: at + 1, total: items.length })}</p>
        <Button className="ms-auto" onClick={onClose}>
          {t('reading.set.closePreview')}
        </Button>
      </div>
      <Question
        key={at}
        spec={items[at].spec}
        context={context}
        last={at + 1 === items.length}
        onNext={() => (at + 1 < items.length ? setAt(at + 1) : onClose())}
      />
    </div>
  );
}
