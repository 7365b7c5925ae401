import { MissingPage } from '@/ui/MissingPage';

export default function MissingGroup() {
  return <MissingPage thing="This group" href="/classes" place="the classes" />;
}
