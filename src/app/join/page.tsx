import '@/features/access/access.css';
import { JoinForm } from '@/features/access/SignInForm';
import { admit } from '@/server/access/admit';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Come in' };

export default async function JoinPage({
  searchParams,
}: {
  searchParams: Promise<{ code?: string | string[] }>;
}) {
  await admit('/join');
  const { code } = await searchParams;
  return (
    <div className="page">
      <div className="page-head">
        <h1>Come to a session</h1>
      </div>
      <JoinForm code={typeof code === 'string' ? code.slice(0, 12) : ''} />
      <p className="soft pt-3">The educator shows the code at Check: six letters and figures.</p>
    </div>
  );
}
