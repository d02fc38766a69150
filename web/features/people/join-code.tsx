import { Copy } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import '../../lib/words/educating';

/** The code students join a class with, as it is read out. */
export function JoinCode({ code }: { code: string }) {
  const { t } = useTranslation();
  const [copied, setCopied] = useState(false);
  const written = `${code.slice(0, 4)}-${code.slice(4)}`;
  return (
    <p className="flex items-center gap-2">
      <span className="text-quiet text-sm">{t('class.code')}</span>
      <strong className="font-mono text-lg tracking-widest" title={t('class.codeHint')}>
        {written}
      </strong>
      <Button
        weight="quiet"
        icon={<Copy aria-hidden className="size-4" />}
        onClick={() => void navigator.clipboard?.writeText(written).then(() => setCopied(true))}
      >
        {t(copied ? 'action.copied' : 'action.copy')}
      </Button>
    </p>
  );
}
