import { MissingPage } from '@/ui/MissingPage';

export default function MissingSession() {
  return <MissingPage thing="This session" href="/check" place="the sessions" />;
}
