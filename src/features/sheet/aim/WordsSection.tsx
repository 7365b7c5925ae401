import Link from 'next/link';
import type { Level, Sheet } from '@/core';
import { Meanings } from '@/features/glossary/Meanings';
import { glossaryFor, type OwnWords } from '@/messages/glossary';

/** The words that the lesson needs, said as its students are given them. */
export function WordsSection({ sheet, level, own }: { sheet: Sheet; level: Level; own: OwnWords }) {
  return (
    <section className="ruled">
      <div className="ruled-head">
        <h2>Words</h2>
        <Link prefetch={false} className="no-print" href="/glossary">
          Say them in your own words
        </Link>
      </div>
      <Meanings list={glossaryFor(sheet, level, own).map(({ term, meaning }) => [term, meaning])} />
    </section>
  );
}
