import { View } from 'react-native';
import { useWords } from '@/features/shell';
import { TabLink } from '@/ui/primitives';

const TABS = [
  ['hooks', '/drawer/hooks'],
  ['packets', '/drawer/packets'],
  ['materials', '/drawer/materials'],
  ['convert', '/drawer/convert'],
  ['import', '/drawer/import'],
] as const;
export type DrawerTab = (typeof TABS)[number][0];

/** The parts of the drawer: the catalogue, what is owned, what is tied with, one hook in another maker's, files. */
export function DrawerTabs({ at }: { at: DrawerTab }) {
  const words = useWords();
  return (
    <View role="navigation" aria-label={words('drawer.tabs')} className="flex-row flex-wrap border-b border-line px-2">
      {TABS.map(([tab, href]) => (
        <TabLink key={tab} to={href} on={tab === at}>
          {words(`drawer.tab.${tab}`)}
        </TabLink>
      ))}
    </View>
  );
}
