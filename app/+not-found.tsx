import { Missing } from '@/features/shell';

export default function NotFound() {
  return <Missing what="page" list="/" />;
}
