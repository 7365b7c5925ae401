import { MissingPage } from '@/ui/MissingPage';

export default function MissingBench() {
  return <MissingPage thing="This bench" href="/check" place="the sessions" />;
}
