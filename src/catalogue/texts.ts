import type { NaturalGroup } from '@/core/belief';
import type { Dressing, Tool } from '@/core/dressings';
import type { Material, MaterialShade } from '@/core/materials';
import { GROUPS } from './key';
import { DRESSINGS, MATERIALS, SHADES, shadesIn, TOOLS } from './shipped';

/** What the shipped lists say to a reader in another language, by key: `dressing.first-light-dun.name`. What is not named stays as the list has it. */
export type Texts = Readonly<Record<string, string>>;

/** The shipped lists whose rows carry words of their own. */
export interface Shipped {
  dressings: readonly Dressing[];
  materials: readonly Material[];
  shades: readonly MaterialShade[];
  groups: readonly NaturalGroup[];
  tools: readonly Tool[];
}

type Say = (key: string, text: string) => string;

/** Each kind of row with every text in it passed through `say`; a code stays a code. */
const dressing = (row: Dressing, say: Say): Dressing => {
  const of = (key: string, text: string) => say(`dressing.${row.id}.${key}`, text);
  return {
    ...row,
    name: of('name', row.name),
    bank: row.bank.map((item) => ({ ...item, text: of(`bank.${item.id}`, item.text) })),
    claims: row.claims.map((claim, at) => ({ ...claim, text: of(`claims.${at + 1}`, claim.text) })),
    changes: row.changes.map((change, at) => ({ ...change, text: of(`changes.${at + 1}`, change.text) })),
    switches: row.switches.map((item, at) => ({
      ...item,
      name: of(`switches.${at + 1}.name`, item.name),
      ...(item.why ? { why: of(`switches.${at + 1}.why`, item.why) } : {}),
    })),
    steps: row.steps.map((step, at) => (step.note ? { ...step, note: of(`steps.${at + 1}`, step.note) } : step)),
  };
};
const shadeKey = (shade: string) => `shade.${shade.replaceAll(' ', '-')}`;
const material = (row: Material, say: Say): Material => ({
  ...row,
  name: say(`material.${row.id}.name`, row.name),
  ...(row.shade ? { shade: say(shadeKey(row.shade), row.shade) } : {}),
});
const group = (row: NaturalGroup, say: Say): NaturalGroup => ({
  ...row,
  name: say(`group.${row.id}.name`, row.name),
  ...(row.note ? { note: say(`group.${row.id}.note`, row.note) } : {}),
  colours: Object.fromEntries(
    Object.entries(row.colours).map(([stage, text]) => [stage, text && say(`group.${row.id}.colours.${stage}`, text)]),
  ) as NaturalGroup['colours'],
});
const tool = (row: Tool, say: Say): Tool => ({
  ...row,
  name: say(`tool.${row.id}.name`, row.name),
  for: say(`tool.${row.id}.for`, row.for),
  without: say(`tool.${row.id}.without`, row.without),
});

const through = (say: Say): Shipped => {
  const materials = MATERIALS.map((row) => material(row, say));
  return {
    dressings: DRESSINGS.map((row) => dressing(row, say)),
    materials,
    shades: shadesIn(materials, (shade) => say(shadeKey(shade), shade)),
    groups: GROUPS.map((row) => group(row, say)),
    tools: TOOLS.map((row) => tool(row, say)),
  };
};

/** Every text of the shipped lists by its key, as a translator gets them. */
export function shippedTexts(): Texts {
  const texts: Record<string, string> = {};
  through((key, text) => (texts[key] = text));
  return texts;
}

const AS_WRITTEN: Shipped = {
  dressings: DRESSINGS,
  materials: MATERIALS,
  shades: SHADES,
  groups: GROUPS,
  tools: TOOLS,
};

/** The shipped lists in the words of a language, and as they are written for null; what it has no words for stays as written. */
export function shippedIn(texts: Texts | null): Shipped {
  return texts === null ? AS_WRITTEN : through((key, text) => texts[key] ?? text);
}
