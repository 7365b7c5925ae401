import { MissingPage } from '@/ui/MissingPage';

export default function NotFound() {
  return <MissingPage thing="This page" href="/" place="Today" />;
}
