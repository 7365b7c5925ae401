import '@/features/glossary/glossary.css';
import { admit } from '@/server/access/admit';
import { GlossaryForm } from '@/features/glossary/GlossaryForm';
import { glossary } from '@/server/repositories/settings';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Glossary' };

export default async function GlossaryPage() {
  await admit('/glossary');
  const own = await glossary();
  return (
    <div className="page">
      <div className="page-head">
        <h1>Glossary</h1>
      </div>
      <p className="soft">
        A lesson says the words that it needs, at the level that its students are given. Where you have words
        of your own, they stand instead of both.
      </p>
      <GlossaryForm own={own.value} version={own.version} />
    </div>
  );
}
