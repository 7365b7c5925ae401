'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import type { Role } from '@/server/access/table';
import { SignOut } from './SignOut';
import { ThemeSwitch } from '@/ui/ThemeSwitch';

const PLACES = [
  { href: '/', name: 'Today' },
  { href: '/lessons', name: 'Lessons' },
  { href: '/store', name: 'Store' },
  { href: '/classes', name: 'Classes' },
  { href: '/check', name: 'Check' },
  { href: '/logbook', name: 'Logbook' },
  { href: '/circuits', name: 'Circuits' },
  { href: '/settings', name: 'House style' },
] as const;

interface Props {
  readonly role: Role | undefined;
  readonly mayLeave: boolean;
}

/** The bar over every screen: the places in the order of the work, for the educator whose places they are. */
export function Shell({ role, mayLeave }: Props) {
  const path = usePathname();
  return (
    <header className="shell-bar no-print">
      <Link href="/" prefetch={false} className="wordmark" aria-label="Mivvet, to Today">
        m
        <svg width="11" height="11" viewBox="0 0 11 11" aria-hidden="true">
          <circle cx="5.5" cy="5.5" r="5" fill="var(--copper)" />
        </svg>
        vvet
      </Link>
      <nav aria-label="Places">
        {(role === 'educator' ? PLACES : []).map(({ href, name }) => (
          <Link
            key={href}
            href={href}
            prefetch={false}
            aria-current={isHere(path, href) ? 'page' : undefined}
          >
            {name}
          </Link>
        ))}
      </nav>
      <div className="shell-end">
        {mayLeave && <SignOut />}
        <ThemeSwitch />
      </div>
    </header>
  );
}

function isHere(path: string, href: string): boolean {
  return href === '/' ? path === '/' : path.startsWith(href);
}
