import { DRESSINGS, MATERIALS, WAYS, STAGES, STYLES, tailsOf, WORKS } from '../src/catalogue';
import { bareByWay, printPart, recordOf } from '../src/core/ways';
import { dressingFaults, benchFaults } from '../src/core/bench';
const c: any = { styles: STYLES, stages: STAGES, materials: MATERIALS, tailsOf };
const b = bareByWay('b', 'B', 'damselfly/nymph', 'plume-tail', DRESSINGS, WORKS)!;
console.log(recordOf(b)!.parts.map(printPart).join('\n'), b.steps.map((s) => s.do + ':' + s.part).join(' '), JSON.stringify(benchFaults(b, c)));
