import { MissingPage } from '@/ui/MissingPage';

export default function MissingPrint() {
  return <MissingPage thing="This page to print" href="/lessons" place="the lessons" />;
}
