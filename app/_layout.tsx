import '../src/global.css';
import { AppRoot, Shell } from '@/features/shell';

export default function Layout() {
  return (
    <AppRoot>
      <Shell />
    </AppRoot>
  );
}
