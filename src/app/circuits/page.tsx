import { CircuitPage } from '@/features/circuits/CircuitPage';
import { admit } from '@/server/access/admit';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Circuits' };

export default async function CircuitsPage() {
  await admit('/circuits');
  return <CircuitPage />;
}
