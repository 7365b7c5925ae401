import { notFound } from 'next/navigation';
import { styleIn } from '@/core';
import { PrintedCard } from '@/features/print/PrintedCard';
import { PrintedChecks } from '@/features/print/PrintedChecks';
import { StudentSheet } from '@/features/print/StudentSheet';
import { sentences } from '@/messages/findings';
import { admit } from '@/server/access/admit';
import { carefulRequest, diagramOf, sheetOf, sheetSurroundings } from '@/server/lessonSheet';
import { orMissing } from '@/server/orMissing';
import { pageId } from '@/server/pageId';
import { groups } from '@/server/repositories/groups';
import { lesson } from '@/server/repositories/lessons';
import { sessionLines } from '@/server/repositories/sessions';
import { glossary } from '@/server/repositories/settings';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Print' };

interface Asked {
  readonly params: Promise<{ id: string; what: string }>;
  readonly searchParams: Promise<{ size?: string }>;
}

export default async function PrintPage({ params, searchParams }: Asked) {
  await admit('/print/[id]/[what]');
  const { id: text, what } = await params;
  const id = pageId(text);
  const held = id === undefined ? undefined : await orMissing(lesson(id));
  if (!held || !isKnown(what)) {
    notFound();
  }
  const [given] = await sessionLines({ lessonId: held.id, most: 1, newest: true });
  const group = (await groups()).find((g) => g.id === given?.groupId);
  const students = group?.students.filter((s) => s.archivedAt === null) ?? [];
  const around = await sheetSurroundings(students.length || undefined);
  const sheet = await sheetOf(carefulRequest(held, around));
  if (!sheet.ok) return <div className="page">{sentences(sheet.findings)}</div>;
  switch (what) {
    case 'card':
      return (
        <PrintedCard
          title={held.title}
          story={held.story}
          sheet={sheet.value}
          notes={held.notes}
          large={(await searchParams).size === 'large'}
        />
      );
    case 'checks':
      return (
        <PrintedChecks
          title={held.title}
          sheet={sheet.value}
          group={group?.name ?? ''}
          onDate={given?.onDate}
          students={students}
        />
      );
    case 'sheet':
      return (
        <StudentSheet
          words={held}
          sheet={sheet.value}
          style={styleIn(held.choice.params, around.style)}
          own={(await glossary()).value}
          diagram={await diagramOf(sheet.value.circuit)}
        />
      );
  }
}

const KNOWN = ['card', 'checks', 'sheet'] as const;

function isKnown(what: string): what is (typeof KNOWN)[number] {
  return (KNOWN as readonly string[]).includes(what);
}
