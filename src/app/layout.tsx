import type { Metadata } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import 'bootstrap/dist/css/bootstrap.min.css';
import '@/ui/theme.css';
import '@/ui/controls.css';
import '@/ui/shell.css';
import { who } from '@/server/access/who';
import { environment } from '@/server/env';
import { houseStyle, houseZone } from '@/server/repositories/settings';
import { TellZone } from '@/features/settings/TellZone';
import { Shell } from '@/features/access/Shell';
import { Awake } from '@/ui/Awake';
import { ReachableRegions } from '@/ui/ReachableRegions';
import { THEME_SCRIPT } from '@/ui/ThemeSwitch';

export const metadata: Metadata = {
  title: { default: 'Mivvet', template: '%s · Mivvet' },
  description: 'Plans beginner LED circuit lessons and checks every build.',
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? '';
  const { tables, role, mayLeave, zone } = await house();
  return (
    <html
      lang="en"
      data-bs-theme="light"
      data-tables={tables}
      data-zone={zone ?? undefined}
      suppressHydrationWarning
    >
      <head>
        <script nonce={nonce} dangerouslySetInnerHTML={{ __html: THEME_SCRIPT }} suppressHydrationWarning />
      </head>
      <body>
        <a className="skip-link no-print" href="#content">
          To the content
        </a>
        <Shell role={role} mayLeave={mayLeave} />
        <ReachableRegions />
        {zone === null && role === 'educator' && <TellZone />}
        <main id="content" tabIndex={-1}>
          <Awake>{children}</Awake>
        </main>
      </body>
    </html>
  );
}

/** Where the database is not fit for use, the page itself says so; the frame around it stands. */
async function house() {
  try {
    const [style, asking, own] = await Promise.all([houseStyle(), who(), houseZone()]);
    const role = asking?.role;
    // In the demo whoever is on this machine is its educator, and comes back at once.
    const mayLeave = role !== undefined && !(environment().demo && role === 'educator');
    return { tables: style.value.tables, role, mayLeave, zone: own.value.zone };
  } catch {
    return { tables: 'comma', role: 'educator', mayLeave: false, zone: undefined } as const;
  }
}
