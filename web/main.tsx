import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { I18nextProvider } from 'react-i18next';
import { RouterProvider } from 'react-router';
import { ApiError } from './lib/api';
import { tellNewVersion } from './ui/new-version-notice';
import { i18n } from './lib/i18n';
import { speak } from './lib/languages';
import { router } from './routes/router';
import './styles.css';

const client = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 15_000,
      // Trying again helps against a lost connection or a server that stands up again, not against a clear answer.
      retry: (count, error) =>
        count < 3 && !(error instanceof ApiError && error.status >= 400 && error.status !== 503),
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
});

// Loaded after the page, which must not wait for it.
void import('./lib/new-version').then(
  ({ workOffline }) => workOffline(tellNewVersion),
  () => undefined,
);
await speak();
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <I18nextProvider i18n={i18n}>
      <QueryClientProvider client={client}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </I18nextProvider>
  </StrictMode>,
);
