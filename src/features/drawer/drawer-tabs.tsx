import { Link } from 'expo-router';
import { View } from 'react-native';
import { useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';

const TABS = [
  ['hooks', '/drawer/hooks'],
  ['packets', '/drawer/packets'],
  ['convert', '/drawer/convert'],
  ['import', '/drawer/import'],
] as const;
export type DrawerTab = (typeof TABS)[number][0];

/** The parts of the drawer: the catalogue, what is owned, one hook in another maker's, files. */
export function DrawerTabs({ at }: { at: DrawerTab }) {
  const words = useWords();
  return (
    <View role="navigation" aria-label={words('drawer.tabs')} className="flex-row flex-wrap border-b border-line px-3">
      {TABS.map(([tab, href]) => (
        <Link
          key={tab}
          href={href}
          aria-current={tab === at ? 'page' : undefined}
          className={`min-h-target justify-center border-b-4 px-2 py-3 ${tab === at ? 'border-river' : 'border-transparent'}`}
        >
          <Say weight={tab === at ? 'strong' : 'medium'} tone={tab === at ? 'river' : 'soft'}>
            {words(`drawer.tab.${tab}`)}
          </Say>
        </Link>
      ))}
    </View>
  );
}
