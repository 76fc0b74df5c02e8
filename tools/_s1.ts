import { DRESSINGS, REFERENCE_HOOKS, tailsOf, catalogueOf } from '@/catalogue';
import { benchFaults } from '@/core/bench';
import { inSchool } from '@/core/tying/in-school';
const cat: any = { ...catalogueOf(REFERENCE_HOOKS), tailsOf };
const [id, s, o] = process.argv.slice(2);
const r = inSchool(DRESSINGS.find((d) => d.id === id)!, { [s!]: o } as any, cat);
r.dressing.steps.forEach((x, i) => console.log(i + 1, x.do, x.as ?? '', x.part ?? '', x.at));
console.log(r.unused, JSON.stringify(benchFaults(r.dressing, cat)));
