import { DRESSINGS, MATERIALS, STAGES, STYLES, tailsOf, KNOWN } from '../src/catalogue';
import { dressingFaults } from '../src/core/bench';
import { dressingSchema } from '../src/core/dressings';
const c: any = { styles: STYLES, stages: STAGES, materials: MATERIALS, tailsOf };
const schema = dressingSchema(KNOWN);
for (const d of DRESSINGS) {
  for (const f of dressingFaults(d, c)) console.log(d.id, f.code, f.step, f.part, JSON.stringify(f.params));
  try { schema.validateSync(d, { strict: true }); } catch (e: any) { console.log(d.id, 'SCHEMA', e.message); }
}
