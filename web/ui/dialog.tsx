import { Dialog as HeadlessDialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from './button';

export function Dialog({
  open,
  onClose,
  title,
  children,
  actions,
  wide = false,
}: {
  open: boolean;
  onClose: () => void;
  title: string;
  children: ReactNode;
  actions?: ReactNode;
  /** For what is read rather than answered. */
  wide?: boolean;
}) {
  const { t } = useTranslation();
  return (
    <HeadlessDialog open={open} onClose={onClose} className="relative z-50">
      <DialogBackdrop className="fixed inset-0 bg-black/55" />
      <div className="fixed inset-0 overflow-y-auto">
        {/* One that is taller than the window begins at its top. */}
        <div className="flex min-h-full items-center justify-center p-4">
          <DialogPanel
            className={`bg-sheet border-strong-line flex w-full flex-col gap-4 rounded-sm border p-6 ${wide ? 'max-w-3xl' : 'max-w-lg'}`}
          >
            <DialogTitle className="text-xl">{title}</DialogTitle>
            {children}
            <div className="flex flex-wrap justify-end gap-3">
              {actions ?? (
                <Button weight="main" onClick={onClose}>
                  {t('action.close')}
                </Button>
              )}
            </div>
          </DialogPanel>
        </div>
      </div>
    </HeadlessDialog>
  );
}

/** Asks before anything that cannot be taken back. Cancel comes first, so that Enter by habit destroys nothing. */
export function Confirm({
  open,
  onCancel,
  onConfirm,
  title,
  text,
  confirm,
  danger = false,
  busy = false,
}: {
  open: boolean;
  onCancel: () => void;
  onConfirm: () => void;
  title: string;
  text: string;
  confirm: string;
  danger?: boolean;
  busy?: boolean;
}) {
  const { t } = useTranslation();
  return (
    <Dialog
      open={open}
      onClose={onCancel}
      title={title}
      actions={
        <>
          <Button onClick={onCancel} autoFocus>
            {t('action.cancel')}
          </Button>
          <Button weight={danger ? 'danger' : 'main'} onClick={onConfirm} disabled={busy}>
            {confirm}
          </Button>
        </>
      }
    >
      <p>{text}</p>
    </Dialog>
  );
}
