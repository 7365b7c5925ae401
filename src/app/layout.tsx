import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import 'bootstrap/dist/css/bootstrap.min.css';
import '@/ui/theme.css';
import '@/ui/controls.css';
import '@/ui/shell.css';
import { Shell } from '@/ui/Shell';
import { THEME_SCRIPT } from '@/ui/ThemeSwitch';

export const metadata: Metadata = {
  title: { default: 'Mivvet', template: '%s · Mivvet' },
  description: 'Plans beginner LED circuit lessons and checks every build.',
};

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" data-bs-theme="light" suppressHydrationWarning>
      <head>
        <script dangerouslySetInnerHTML={{ __html: THEME_SCRIPT }} />
      </head>
      <body>
        <Shell />
        <main>{children}</main>
      </body>
    </html>
  );
}
