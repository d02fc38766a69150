import { MOST_TAGS, sameTag } from '@cimbel/contract';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import '../../lib/words/assigning';
import { Field, Input } from '../../ui/field';

/** Tags of an exercise: Enter or a comma ends one, what other exercises bear is offered. */
export function TagsField({
  tags,
  known,
  onChange,
}: {
  tags: readonly string[];
  known: readonly string[];
  onChange: (tags: string[]) => void;
}) {
  const { t } = useTranslation('assigning');
  const [typed, setTyped] = useState('');
  const full = tags.length >= MOST_TAGS;
  const add = (text: string) => {
    const tag = text.trim().slice(0, 40);
    setTyped('');
    if (tag !== '' && !full && !tags.some((one) => sameTag(one, tag))) onChange([...tags, tag]);
  };
  return (
    <div className="flex flex-col gap-2">
      <Field
        label={t('library.addTag')}
        hint={full ? t('library.manyTags', { most: MOST_TAGS }) : t('library.tagHint')}
      >
        <Input
          list="known-tags"
          maxLength={40}
          disabled={full}
          value={typed}
          onChange={({ target }) =>
            target.value.endsWith(',') ? add(target.value.slice(0, -1)) : setTyped(target.value)
          }
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || typed.trim() === '') return;
            event.preventDefault();
            add(typed);
          }}
          onBlur={() => add(typed)}
        />
      </Field>
      <datalist id="known-tags">
        {known.map((tag) => (
          <option key={tag} value={tag} />
        ))}
      </datalist>
      {tags.length > 0 ? (
        <ul className="flex flex-wrap gap-2" aria-label={t('library.tags')}>
          {tags.map((tag) => (
            <li
              key={tag}
              className="border-strong-line inline-flex items-center rounded-sm border ps-2 text-sm"
            >
              {tag}
              <button
                type="button"
                aria-label={t('library.removeTag', { tag })}
                className="hover:bg-raised inline-flex size-9 items-center justify-center"
                onClick={() => onChange(tags.filter((one) => one !== tag))}
              >
                <X aria-hidden className="size-4" />
              </button>
            </li>
          ))}
        </ul>
      ) : null}
    </div>
  );
}
