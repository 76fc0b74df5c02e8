import { DRESSINGS, MATERIALS, STAGES, STYLES, REFERENCE_HOOKS, tailsOf, catalogueOf } from '@/catalogue';
import ids from '@/catalogue/ids.json';
import { benchFaults } from '@/core/bench';
import { inSchool } from '@/core/tying/in-school';
const cat: any = { ...catalogueOf(REFERENCE_HOOKS), tailsOf };
const by: Record<string, number> = {}; const unused: Record<string, number> = {}; const same: Record<string, number> = {}; const ex: Record<string,string[]> = {};
for (const s of ids.schools as any[]) for (const o of s.options) {
  const key = `${s.id}=${o.id}`;
  for (const d of DRESSINGS) {
    const r = inSchool(d, { [s.id]: o.id } as any, cat);
    if (r.unused.length) { unused[key] = (unused[key] ?? 0) + 1; continue; }
    if (JSON.stringify(r.dressing) === JSON.stringify(d)) { same[key] = (same[key] ?? 0) + 1; continue; }
    const f = benchFaults(r.dressing, cat);
    if (f.length) { by[key] = (by[key] ?? 0) + 1; (ex[key] ??= []).push(d.id + ':' + [...new Set(f.map((x) => x.rule))].join('/')); }
  }
}
for (const s of ids.schools as any[]) for (const o of s.options) { const k = `${s.id}=${o.id}`; console.log(k, 'unused', unused[k] ?? 0, 'same', same[k] ?? 0, 'refused', by[k] ?? 0, (ex[k] ?? []).slice(0, 3).join(' ')); }
