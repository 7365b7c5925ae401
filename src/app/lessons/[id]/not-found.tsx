import { MissingPage } from '@/ui/MissingPage';

export default function MissingLesson() {
  return <MissingPage thing="This lesson" href="/lessons" place="the lessons" />;
}
