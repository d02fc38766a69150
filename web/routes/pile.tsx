import type { Pile } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { ChevronDown, ChevronUp, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { Glance } from '../features/pile/glance';
import { GroupList, lookedAt } from '../features/pile/group-list';
import { GroupSheet } from '../features/pile/group-sheet';
import { pileQuery, usePileActions } from '../features/pile/use-pile';
import { useShortcuts } from '../lib/shortcuts';
import { keep, readKept } from '../lib/storage';
import { Button } from '../ui/button';
import { Tick } from '../ui/field';
import { Key } from '../ui/key';
import { Empty, Failure, Loading } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/bench';
import '../lib/words/craft';
import '../lib/words/pile';

const NAMELESS = 'cimbel.pile.nameless';

function PileOf({ pile }: { pile: Pile }) {
  const { t } = useTranslation(['pile', 'ui']);
  const { groups, assignmentId, max } = pile;
  const actions = usePileActions(assignmentId);
  const [nameless, setNameless] = useState(() => readKept<boolean>(NAMELESS) ?? false);
  const [groupName, setGroupName] = useState<string | null>(null);
  const [attemptId, setAttemptId] = useState<string | null>(null);
  const all = groups.flatMap(({ answers }) => answers);
  const firstFresh = groups.find(({ answers }) => answers.some(({ state }) => state === 'new'));
  const group = groups.find(({ name }) => name === groupName) ?? firstFresh ?? groups[0];
  const chosen = group.answers.find((answer) => answer.attemptId === attemptId) ?? group.answers[0];
  const numbers = new Map([...all.map((answer) => answer.attemptId)].sort().map((id, i) => [id, i + 1]));
  const done = lookedAt(all);
  const talk = all.filter(({ state }) => state === 'talk').length;
  const go = (to: (typeof groups)[number] | undefined) => {
    if (to) setGroupName(to.name);
  };
  const step = (by: number) => go(groups[groups.indexOf(group) + by]);
  /** The next group that has something new, from this one on; the one after where there is none. */
  const goOn = () => {
    const at = groups.indexOf(group);
    const round = [...groups.slice(at + 1), ...groups.slice(0, at)];
    go(round.find(({ answers }) => answers.some(({ state }) => state === 'new')) ?? groups[at + 1]);
  };
  useShortcuts({ j: () => step(1), k: () => step(-1), 'mod+z': actions.undo });
  return (
    <div className="mx-auto flex max-w-7xl flex-col gap-3 p-4">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <div className="me-auto">
          <PageTitle back={{ to: `/assignments/${assignmentId}`, text: pile.title }}>
            {t('pile:title')}
          </PageTitle>
          <p className="text-quiet text-sm" role="status">
            {[
              done === all.length ? t('pile:allDone') : t('pile:progress', { done, all: all.length }),
              ...(talk > 0 ? [t('pile:talk', { count: talk })] : []),
              ...(pile.waiting > 0 ? [t('pile:waiting', { count: pile.waiting })] : []),
            ].join(' · ')}
          </p>
        </div>
        {actions.last ? (
          <Button
            icon={<Undo2 aria-hidden className="size-4" />}
            disabled={actions.pending}
            onClick={actions.undo}
          >
            {t('pile:undo', { what: actions.last.what })}
          </Button>
        ) : null}
        <Tick
          label={t('pile:hideNames')}
          on={nameless}
          onChange={(on) => {
            setNameless(on);
            keep(NAMELESS, on);
          }}
        />
        <div className="flex gap-1">
          <Button
            aria-label={t('pile:previous')}
            className="px-2"
            disabled={groups.indexOf(group) === 0}
            onClick={() => step(-1)}
          >
            <ChevronUp aria-hidden className="size-5" /> <Key>K</Key>
          </Button>
          <Button
            aria-label={t('pile:next')}
            className="px-2"
            disabled={groups.indexOf(group) === groups.length - 1}
            onClick={() => step(1)}
          >
            <ChevronDown aria-hidden className="size-5" /> <Key>J</Key>
          </Button>
        </div>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 wide:grid-cols-[17rem_minmax(0,1fr)_24rem]">
        <GroupList groups={groups} max={max} chosen={group.name} onChoose={setGroupName} />
        <GroupSheet
          key={group.name}
          group={group}
          pile={pile}
          actions={actions}
          chosen={chosen}
          nameOf={({ attemptId: id, studentName }) =>
            nameless ? t('pile:nameless', { number: numbers.get(id) }) : studentName
          }
          onChoose={setAttemptId}
          onLeft={goOn}
        />
        <Glance
          attemptId={chosen.attemptId}
          name={nameless ? t('pile:nameless', { number: numbers.get(chosen.attemptId) }) : chosen.studentName}
        />
      </div>
    </div>
  );
}

/** All answers to an assignment, in groups of those that were got wrong in the same way, to be marked in one go. */
export function PilePage() {
  const { t } = useTranslation(['pile', 'ui']);
  const { assignmentId } = useParams();
  const query = useQuery(pileQuery(assignmentId!));
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  if (query.data.groups.length > 0) return <PileOf pile={query.data} />;
  return (
    <div className="mx-auto flex max-w-7xl flex-col gap-3 p-4">
      <PageTitle back={{ to: `/assignments/${assignmentId}`, text: query.data.title }}>
        {t('pile:title')}
      </PageTitle>
      <Empty>{t('pile:empty')}</Empty>
    </div>
  );
}
