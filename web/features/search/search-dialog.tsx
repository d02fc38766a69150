import type { SearchEntry } from '@cimbel/contract';
import { RULE_IDS } from '@cimbel/core/rules';
import {
  Combobox,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Dialog,
  DialogBackdrop,
  DialogPanel,
  DialogTitle,
} from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { Search, X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { api, asApiError } from '../../lib/api';
import { useMe } from '../../lib/session';
import '../../lib/words/handbook';
import '../../lib/words/search';
import { Notice } from '../../ui/panel';
import { finder, ruleToFind, toFindable, type Findable } from './find';

/** What is told of the names is good for so long, milliseconds: whoever looks twice is not made to wait. */
const GOOD_FOR_MS = 60_000;

function useFinder() {
  const { t } = useTranslation('handbook');
  const teaches = useMe().role === 'educator';
  const entries = useQuery({
    queryKey: ['search'],
    queryFn: () => api<SearchEntry[]>('GET', '/api/search'),
    staleTime: GOOD_FOR_MS,
  });
  const find = useMemo(() => {
    const rules = RULE_IDS.map((rule) => ruleToFind(rule, t(`handbook:rule.${rule}`)));
    return finder([...(entries.data ?? []).map((entry) => toFindable(entry, teaches)), ...rules]);
  }, [entries.data, t, teaches]);
  return { find, teaches, error: entries.data ? null : entries.error, isPending: entries.isPending };
}

function Found({ found }: { found: Findable }) {
  const { t } = useTranslation('search');
  return (
    <>
      <span className="flex min-w-0 flex-col">
        <span className="truncate font-semibold">{found.title}</span>
        {found.text ? <span className="text-quiet truncate text-sm">{found.text}</span> : null}
      </span>
      <span className="text-quiet ms-auto shrink-0 text-sm">
        {found.kind === 'student' && found.also ? `${found.also} · ` : ''}
        {t(`kind.${found.kind}`)}
      </span>
    </>
  );
}

/** Looks for something by its name, wherever it is, and opens it. */
export default function SearchDialog({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation(['search', 'ui']);
  const navigate = useNavigate();
  const [words, setWords] = useState('');
  const { find, teaches, error, isPending } = useFinder();
  const asked = words.trim() !== '';
  const found = useMemo(() => (asked ? find(words) : []), [asked, find, words]);
  const role = teaches ? 'educator' : 'student';
  const open = (one: Findable | null) => {
    if (!one) return;
    onClose();
    void navigate(one.to);
  };
  return (
    <Dialog open onClose={onClose} className="relative z-50">
      <DialogBackdrop className="fixed inset-0 bg-black/55" />
      <div className="fixed inset-0 flex items-start justify-center p-4 pt-[12vh] max-sm:p-2 max-sm:pt-2">
        <DialogPanel className="bg-sheet border-strong-line flex max-h-full w-full max-w-2xl flex-col overflow-hidden rounded-sm border">
          <DialogTitle className="sr-only">{t('title')}</DialogTitle>
          <Combobox value={null} onChange={open}>
            <div
              className="border-strong-line flex items-center gap-3 border-b px-4"
              // Before the list, which would take the first Escape for itself.
              onKeyDownCapture={({ key }) => key === 'Escape' && onClose()}
            >
              <Search aria-hidden className="text-quiet size-5 shrink-0" />
              <ComboboxInput
                autoFocus
                aria-label={t('title')}
                placeholder={t(`placeholder.${role}`)}
                className="min-h-14 w-full min-w-0 bg-transparent text-lg outline-none"
                autoComplete="off"
                spellCheck={false}
                maxLength={80}
                displayValue={() => words}
                onChange={(event) => setWords(event.target.value)}
              />
              <button
                type="button"
                className="hover:bg-raised inline-flex size-10 shrink-0 items-center justify-center rounded-sm"
                aria-label={t('ui:action.close')}
                onClick={onClose}
              >
                <X aria-hidden className="size-5" />
              </button>
            </div>
            <p role="status" className="sr-only">
              {asked && !isPending ? t('count', { count: found.length }) : ''}
            </p>
            {error ? (
              <div className="p-3">
                <Notice kind="info">
                  {asApiError(error).offline ? t('offline') : t(`ui:error.${asApiError(error).code}`)}
                </Notice>
              </div>
            ) : null}
            {found.length > 0 ? (
              <ComboboxOptions static modal={false} className="overflow-y-auto p-1">
                {found.map((one) => (
                  <ComboboxOption
                    key={one.key}
                    value={one}
                    className="data-focus:bg-raised data-focus:outline-accent flex min-h-12 cursor-pointer items-center gap-4 rounded-sm px-3 py-1.5 data-focus:outline-2 data-focus:-outline-offset-2"
                  >
                    <Found found={one} />
                  </ComboboxOption>
                ))}
              </ComboboxOptions>
            ) : (
              <p className="text-quiet p-4">
                {!asked ? t(`begin.${role}`) : isPending ? t('ui:state.loading') : t('nothing')}
              </p>
            )}
            <p className="border-line text-quiet border-t px-4 py-2 text-sm max-sm:hidden">{t('keys')}</p>
          </Combobox>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
