import { DRESSINGS, WAY_DRESSINGS } from '@/catalogue';
import { printPart } from '@/core/ways';
for (const id of process.argv.slice(2)) { const r = WAY_DRESSINGS.find((x) => x.id === id)!; console.log(id, r.style, r.taper, r.protection, '\n ' + r.parts.map(printPart).join('\n '), '\n ', r.order.join(', ')); console.log(DRESSINGS.find((x) => x.id === id)!.steps.map((s) => `${s.do}${s.as ? '(' + s.as + ')' : ''}:${s.part ?? ''}@${s.at}`).join(' | ')); }
