import { columnsOf, type Hook } from '@/core/hooks';
import { naturalGroup } from '@/records';
import { useApp } from '@/state';
import { selectCardOf, selectHooks } from '@/state/answering';
import { GroupRow } from '@/features/guide';
import { MatchRow } from '@/features/matches';
import { InList } from '@/features/shell';
import { FlyThumb } from '@/ui/drawings';

import type { Listed, ListRow } from './trial';

const OWN_DRESSING = 'dressing_';

/** A record as it stands in its list. The screens of the lists stay parts of their own: they are asked for here as anywhere. */
export async function listRow(): Promise<ListRow> {
  const [{ BoxRow, HeldFly }, { heldPacket, PacketRow }] = await Promise.all([
    import('@/features/box/screens'),
    import('@/features/drawer/screens'),
  ]);
  const ROWS: Readonly<Record<Exclude<Listed, 'match'>, (props: { id: string }) => React.ReactNode>> = {
    dressing: function Dressing({ id }) {
      const cardOf = useApp(selectCardOf);
      return <FlyThumb card={cardOf(id.replace(OWN_DRESSING, ''))} width={120} height={80} plain={false} />;
    },
    packet: function Packet({ id }) {
      const packet = useApp((state) => state.records.entities.packet[id]!);
      const hooks = useApp(selectHooks);
      return (
        <PacketRow
          held={heldPacket(id, packet, columnsOf(hooks))}
          marked={false}
          open={false}
          onOpen={() => undefined}
        />
      );
    },
    fly: function Fly({ id }) {
      const fly = useApp((state) => state.records.entities.fly[id]!);
      const hooks = useApp(selectHooks);
      const hook = hooks.find((own) => own.id === fly.hookId);
      const byId = new Map<string, Hook>(hook ? [[hook.id, hook]] : []);
      const [place] = fly.tally.places;
      return (
        <HeldFly item={{ id, fly, left: place?.count ?? 0, slot: place?.slot ?? null }} hooks={byId} marked={false} />
      );
    },
    box: function Box({ id }) {
      const box = useApp((state) => state.records.entities.box[id]!);
      return <BoxRow id={id} box={box} marked={false} />;
    },
    group: function Group({ id }) {
      const group = useApp((state) => state.records.entities.group[id]!);
      return <GroupRow group={naturalGroup(id, group)} wide={false} />;
    },
  };
  return function Row({ kind, id }) {
    if (kind === 'match') return <MatchRow id={id} />;
    const Own = ROWS[kind];
    return (
      <InList record={{ kind, id }} name="" data={id}>
        <Own id={id} />
      </InList>
    );
  };
}
