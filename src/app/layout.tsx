import '@fontsource/commissioner/400.css';
import '@fontsource/commissioner/600.css';
import '@fontsource/red-hat-mono/400.css';
import '@fontsource/red-hat-mono/500.css';
import './global.css';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import type { Metadata } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { Frame } from '@/ui/shared/Frame';

export const metadata: Metadata = {
  title: 'Orden',
  description: 'From a screen mockup to a page, every decision explained.',
};

export default async function Layout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <InitColorSchemeScript attribute="data-scheme" nonce={nonce} />
        <AppRouterCacheProvider options={{ nonce }}>
          <Frame>{children}</Frame>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
