import { RULE_IDS, RULE_SECTIONS } from '@cimbel/core/rules';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useLocation } from 'react-router';
import { RuleText } from '../features/handbook/rule-text';
import { plainText } from '../lib/plain-text';
import '../lib/words/handbook';
import { Field, Input } from '../ui/field';
import { Empty, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

/** The rules of the craft, for everyone: by section, or by what one looks for. `#F8` is one of them. */
export function HandbookPage() {
  const { t } = useTranslation('handbook');
  const { hash } = useLocation();
  const [search, setSearch] = useState('');
  const asked = hash.slice(1);
  useEffect(() => {
    document.getElementById(asked)?.scrollIntoView({ block: 'center' });
  }, [asked]);
  const words = plainText(search).split(/\s+/).filter(Boolean);
  const isFound = (rule: string) => {
    const text = plainText(`${rule} ${t(`rule.${rule}`)}`);
    return words.every((word) => text.includes(word));
  };
  const rules = RULE_IDS.filter(isFound);
  const intro = t('intro', { returnObjects: true }) as unknown as string[];
  const cautions = t('cautions.text', { returnObjects: true }) as unknown as string[];
  return (
    <div className="mx-auto flex max-w-4xl flex-col gap-4 p-4 py-6">
      <PageTitle>{t('page.title')}</PageTitle>
      {intro.map((line) => (
        <p key={line}>{line}</p>
      ))}
      <search>
        <Field label={t('page.search')} hint={t('page.searchHint')} className="max-w-md">
          <Input type="search" value={search} onChange={({ target }) => setSearch(target.value)} />
        </Field>
      </search>
      <p role="status" className="text-quiet text-sm">
        {rules.length === 0 ? '' : t('page.found', { count: rules.length })}
      </p>
      {rules.length === 0 ? <Empty>{t('page.nothing')}</Empty> : null}
      {search === '' ? (
        <nav aria-label={t('page.sections')}>
          <ul className="flex flex-wrap gap-x-4 gap-y-1">
            {RULE_SECTIONS.map((section) => (
              <li key={section}>
                <a className="inline-flex min-h-9 items-center underline" href={`#section-${section}`}>
                  {t(`section.${section}`)}
                </a>
              </li>
            ))}
          </ul>
        </nav>
      ) : null}
      {RULE_SECTIONS.map((section) => {
        const own = rules.filter((rule) => rule.startsWith(section));
        if (own.length === 0) return null;
        return (
          <section key={section} aria-labelledby={`section-${section}`} className="flex flex-col gap-2">
            <h2 id={`section-${section}`} className="scroll-mt-20 text-xl">
              {t(`section.${section}`)}
            </h2>
            <ul className="flex flex-col gap-2">
              {own.map((rule) => (
                <li
                  key={rule}
                  id={rule}
                  className={`bg-sheet flex scroll-mt-20 gap-4 rounded-sm border p-3 ${rule === asked ? 'border-accent border-2' : 'border-line'}`}
                >
                  <h3 className="font-display w-10 shrink-0 text-lg font-semibold">{rule}</h3>
                  <div className="flex flex-col gap-1">
                    <RuleText rule={rule} />
                  </div>
                </li>
              ))}
            </ul>
          </section>
        );
      })}
      {search === '' ? (
        <Sheet className="flex flex-col gap-2">
          <h2 className="text-xl">{t('cautions.title')}</h2>
          {cautions.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </Sheet>
      ) : null}
    </div>
  );
}
