import { CircuitPage } from '@/features/circuits/CircuitPage';

export const metadata = { title: 'Circuits' };

export default function CircuitsPage() {
  return <CircuitPage />;
}
