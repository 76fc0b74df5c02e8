import { DRESSINGS, MATERIALS, WAYS, STAGES, STYLES, tailsOf } from '../src/catalogue';
import { recordOf, workOut, addByWay } from '../src/core/ways';
import { dressingFaults } from '../src/core/bench';
const c: any = { styles: STYLES, stages: STAGES, materials: MATERIALS, tailsOf };
let bad = 0;
for (const d of DRESSINGS) {
  const again = workOut(recordOf(d)!, { ways: WAYS, materials: MATERIALS });
  const a = JSON.stringify(d), b = JSON.stringify(again.dressing);
  if (a !== b) { bad++; if (bad < 8) { const p: any = again.dressing; for (const k of Object.keys(d) as any[]) if (JSON.stringify((d as any)[k]) !== JSON.stringify(p[k])) { console.log(d.id, k); if (k === 'steps') console.log('  ', d.steps.map((s) => s.part + '.' + s.phase).join(' '), '\n  ', p.steps.map((s: any) => s.part + '.' + s.phase).join(' ')); else console.log('   ', JSON.stringify((d as any)[k]).slice(0, 400), '\n   ', JSON.stringify(p[k]).slice(0, 400)); } console.log(again.faults); } }
}
console.log('differ', bad);
for (const [id, kind] of [['first-light-dun', 'egg-mass'], ['first-light-dun', 'tag'], ['rough-herl-nymph', 'beard'], ['any-grub', 'rib'], ['dark-pad-nymph', 'legs'], ['hair-roof-adult', 'antennae'], ['cheeked-quill-nymph', 'wing-case'],['rough-herl-nymph','bead']] as any) {
  const d = DRESSINGS.find((x) => x.id === id)!;
  const own = addByWay(d, kind, DRESSINGS, { ways: WAYS, materials: MATERIALS })!;
  console.log(id, kind, dressingFaults(own, c).map((f) => f.code + ' ' + f.step + ' ' + f.part));
}
