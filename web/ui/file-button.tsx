import { FileUp } from 'lucide-react';
import { useRef } from 'react';
import { Button } from './button';

/** Takes a file from the device; the same one may be chosen again. */
export function FileButton({
  label,
  accept,
  onFile,
}: {
  label: string;
  accept: string;
  onFile: (file: File) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        aria-label={label}
        onChange={({ target }) => {
          const [chosen] = target.files ?? [];
          if (chosen) onFile(chosen);
          target.value = '';
        }}
      />
      <Button icon={<FileUp aria-hidden className="size-5" />} onClick={() => input.current?.click()}>
        {label}
      </Button>
    </>
  );
}
