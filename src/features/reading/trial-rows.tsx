import { columnsOf, type Hook } from '@/core/hooks';
import { naturalGroup } from '@/records';
import { useApp } from '@/state';
import { selectCardOf, selectHooks } from '@/state/answering';
import { BoxRow, HeldFly } from '@/features/box/screens';
import { heldPacket, PacketRow } from '@/features/drawer/screens';
import { GroupRow } from '@/features/guide';
import { MatchRow } from '@/features/matches';
import { InList } from '@/features/shell';
import { FlyThumb } from '@/ui/drawings';

import type { Listed } from './trial';

const OWN_DRESSING = 'dressing_';

/** A record as it stands in its list. */
export function ListRow({ kind, id }: { kind: Listed; id: string }) {
  if (kind === 'match') return <MatchRow id={id} />;
  const Row = ROWS[kind];
  return (
    <InList record={{ kind, id }} name="" data={id}>
      <Row id={id} />
    </InList>
  );
}

const ROWS: Readonly<Record<Exclude<Listed, 'match'>, (props: { id: string }) => React.ReactNode>> = {
  dressing: function Dressing({ id }) {
    const cardOf = useApp(selectCardOf);
    return <FlyThumb card={cardOf(id.replace(OWN_DRESSING, ''))} width={120} height={80} plain={false} />;
  },
  packet: function Packet({ id }) {
    const packet = useApp((state) => state.records.entities.packet[id]!);
    const hooks = useApp(selectHooks);
    return (
      <PacketRow held={heldPacket(id, packet, columnsOf(hooks))} marked={false} open={false} onOpen={() => undefined} />
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
