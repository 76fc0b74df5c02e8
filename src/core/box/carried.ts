import type { RideId, StageId } from '@/catalogue/ids';
import { scoreHook, styleUse, type Catalogue, type StyleInUse } from '../answer';
import { labOfHex, type Lab } from '../colour';
import type { Dressing } from '../dressings';

/** A fly in a box, as it is kept: tied from a dressing on a hook, or one whose making is not known. Lengths mm. */
export interface BoxFly {
  id: string;
  name: string;
  dressing: string | null;
  hook: string | null;
  /** For a fly not tied here: what it is meant for; with a hook, its length follows from the stage's default style. */
  stage: StageId | null;
  lengthMm: number | null;
  hex: string | null;
  ride: RideId | null;
  left: number;
  /** Box and compartment. */
  place: string;
}

/** A fly as a match sees it: which stages it answers, the natural it carries, its belly and its ride. */
export interface CarriedFly {
  id: string;
  name: string;
  hook: string;
  left: number;
  place: string;
  stages: readonly StageId[];
  /** Length of the natural that this fly answers, mm; null when nothing says it. */
  lengthMm: number | null;
  belly: Lab | null;
  ride: RideId | null;
  /** It has a hackle that can be clipped, or a shuck or tuft that can be wetted. */
  hackled: boolean;
  soakable: boolean;
  /** The dressing it was tied from, where that is known. */
  dressing: Dressing | null;
}

const BODY_PARTS: ReadonlySet<string> = new Set(['abdomen', 'case', 'extended-body', 'thorax']);

/** Works a kept fly out: the natural its hook carries for its dressing's style, its belly from the body's material. */
export function carriedFly(fly: BoxFly, catalogue: Catalogue): CarriedFly {
  const dressing = catalogue.dressings.find((item) => item.id === fly.dressing) ?? null;
  const hook = catalogue.hooks.find((item) => item.id === fly.hook) ?? null;
  const styleId = dressing?.style ?? catalogue.stages.find((row) => row.id === fly.stage)?.style;
  const style = catalogue.styles.find((item) => item.id === styleId) ?? null;
  const use: StyleInUse | null = style ? styleUse(style, dressing ?? null) : null;
  const scored = use && hook ? scoreHook(hook, use, { targetMm: null, bodyWidthMm: null }, 0, true) : null;
  const body = dressing?.parts.find((part) => BODY_PARTS.has(part.part));
  const material = catalogue.materials.find((item) => item.id === body?.material);
  const hex = fly.hex ?? material?.hex ?? null;
  return {
    id: fly.id,
    name: fly.name,
    hook: fly.hook ?? '',
    left: fly.left,
    place: fly.place,
    stages: dressing?.stages ?? (fly.stage ? [fly.stage] : []),
    lengthMm: fly.lengthMm ?? (scored && style ? scored.carry_mm / style.share : null),
    belly: hex ? labOfHex(hex) : null,
    ride: fly.ride ?? dressing?.ride ?? null,
    hackled: dressing?.parts.some((part) => part.function === 'hackle.stiff') ?? false,
    dressing,
    soakable: dressing?.parts.some((part) => part.part === 'shuck' || part.part === 'tuft') ?? false,
  };
}
