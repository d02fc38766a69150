import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import '../lib/words/shortcuts';
import { letSingleKeysAct, singleKeysAct } from '../lib/shortcuts';
import { Dialog } from './dialog';
import { Tick } from './field';

const SHORTCUTS_SHOWN = [
  { keys: ['?'], words: 'help' },
  { keys: ['Ctrl', 'K'], words: 'search' },
  { keys: [']'], words: 'nextStep' },
  { keys: ['['], words: 'previousStep' },
  { keys: ['Ctrl', 'Z'], words: 'undo' },
  { keys: ['Ctrl', 'Shift', 'Z'], words: 'redo' },
  { keys: ['←', '→'], words: 'levels' },
  { keys: ['C'], words: 'card' },
  { keys: ['J'], words: 'nextAnswer' },
  { keys: ['K'], words: 'previousAnswer' },
  { keys: ['L'], words: 'leaveGroup' },
  { keys: ['N', 'P'], words: 'answersOfGroup' },
  { keys: ['O'], words: 'lookedAt' },
  { keys: ['T'], words: 'toTalk' },
  { keys: ['1', '9'], words: 'choose' },
  { keys: ['.'], words: 'halfLevel' },
  { keys: ['Enter'], words: 'answer' },
  { keys: ['A'], words: 'figures' },
  { keys: ['X'], words: 'stop' },
] as const;

export default function ShortcutsDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { t } = useTranslation('shortcuts');
  const [act, setAct] = useState(singleKeysAct);
  return (
    <Dialog open={open} onClose={onClose} title={t('title')}>
      <dl className="grid grid-cols-[auto_1fr] items-center gap-x-4 gap-y-2">
        {SHORTCUTS_SHOWN.map(({ keys, words }) => (
          <div key={words} className="contents">
            <dt className="flex gap-1">
              {keys.map((key) => (
                <kbd
                  key={key}
                  className="border-strong-line bg-raised rounded-sm border px-2 py-0.5 font-sans text-sm"
                >
                  {key}
                </kbd>
              ))}
            </dt>
            <dd>{t(words)}</dd>
          </div>
        ))}
      </dl>
      <div>
        <Tick
          label={t('singleKeys')}
          on={act}
          onChange={(on) => {
            setAct(on);
            letSingleKeysAct(on);
          }}
        />
        <p className="text-quiet text-sm">{t('singleKeysHint')}</p>
      </div>
    </Dialog>
  );
}
