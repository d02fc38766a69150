import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { CircleUser } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { api } from '../lib/api';
import { useSession, useSessionChange } from '../lib/session';
import { Confirm } from '../ui/dialog';

/** Who is signed in, and the way out. */
export function AccountMenu() {
  const { t } = useTranslation();
  const { data } = useSession();
  const sessionChanged = useSessionChange();
  const [unsent, setUnsent] = useState(0);
  if (!data?.me) return null;
  const { me } = data;
  const leave = async () => {
    // What is still open on the page writes to the device until it is gone.
    await api('DELETE', '/api/session').catch(() => undefined);
    await sessionChanged(null);
    if (me.role === 'student') (await import('../features/bench/leave-device')).leaveDevice(me.id);
  };
  const signOut = async () => {
    const left =
      me.role === 'student' ? await (await import('../features/bench/leave-device')).sendWaiting(me.id) : 0;
    if (left > 0) setUnsent(left);
    else await leave();
  };
  return (
    <>
      <Confirm
        open={unsent > 0}
        danger
        title={t('nav.unsentTitle')}
        text={t('nav.unsent', { count: unsent })}
        confirm={t('nav.signOutAnyway')}
        busy={false}
        onCancel={() => setUnsent(0)}
        onConfirm={() => {
          setUnsent(0);
          void leave();
        }}
      />
      <Menu>
        <MenuButton
          className="hover:bg-sheet inline-flex min-h-10 items-center gap-2 rounded-sm px-2"
          aria-label={t('nav.account', { name: data.me.name })}
        >
          <CircleUser aria-hidden className="size-5" />
          <span className="max-sm:hidden">{data.me.name}</span>
        </MenuButton>
        <MenuItems
          anchor="bottom end"
          className="bg-raised border-strong-line z-40 mt-1 rounded-sm border p-1 shadow-lg"
        >
          <p className="text-quiet px-3 py-1 text-sm">{t(`role.${data.me.role}`)}</p>
          {[
            { to: '/account', text: t('nav.yourAccount') },
            ...(me.administrator ? [{ to: '/people', text: t('nav.people') }] : []),
          ].map(({ to, text }) => (
            <MenuItem key={to}>
              <Link to={to} className="data-focus:bg-sheet block rounded-sm px-3 py-2">
                {text}
              </Link>
            </MenuItem>
          ))}
          <MenuItem>
            <button
              type="button"
              onClick={signOut}
              className="data-focus:bg-sheet w-full rounded-sm px-3 py-2 text-start"
            >
              {t('nav.signOut')}
            </button>
          </MenuItem>
        </MenuItems>
      </Menu>
    </>
  );
}
