import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { letSingleKeysAct, singleKeysAct } from '../lib/shortcuts';
import { Dialog } from './dialog';
import { Tick } from './field';

const SHORTCUTS = [
  { keys: ['?'], words: 'help' },
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
  const { t } = useTranslation();
  const [act, setAct] = useState(singleKeysAct);
  return (
    <Dialog open={open} onClose={onClose} title={t('shortcuts.title')}>
      <dl className="grid grid-cols-[auto_1fr] items-center gap-x-4 gap-y-2">
        {SHORTCUTS.map(({ keys, words }) => (
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
            <dd>{t(`shortcuts.${words}`)}</dd>
          </div>
        ))}
      </dl>
      <div>
        <Tick
          label={t('shortcuts.singleKeys')}
          on={act}
          onChange={(on) => {
            setAct(on);
            letSingleKeysAct(on);
          }}
        />
        <p className="text-quiet text-sm">{t('shortcuts.singleKeysHint')}</p>
      </div>
    </Dialog>
  );
}
