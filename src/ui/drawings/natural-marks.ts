import type { RegionId, StageId } from '@/catalogue/ids';
import { pathOf, smooth, type Mark, type Point } from '@/core/hooks/drawn';
import { BASE, FORMS, profileAt, type Form } from './natural-forms';

export interface NaturalDrawing {
  marks: Mark[];
  bounds: { left: number; right: number; top: number; bottom: number };
}

export type RegionColours = Partial<Record<RegionId, string>>;

const INK = 'var(--ink)';
const WASH = 'var(--plane)';
/** How much of its fill a clear body shows. */
const CLEAR = 0.3;

/** A natural from the side, to scale; of a raft several insects as they cling together. */
export function naturalMarks(
  stage: StageId | null,
  bodyMm: number,
  colours: RegionColours,
  caseMm: number | null = null,
): NaturalDrawing {
  const one = insectMarks(stage, bodyMm, colours, caseMm);
  if (stage !== null && FORMS[stage]?.upside) return turnedOver(one);
  if (stage !== 'midge/cluster') return one;
  const places = RAFT.map(([x, y]) => [x * bodyMm, y * bodyMm] as const);
  const reach = (pick: 0 | 1) => places.map((place) => place[pick]);
  return {
    marks: places.flatMap(([dx, dy]) =>
      one.marks.map((mark) => ({ ...mark, d: placed(mark.d, ([x, y]) => [x + dx, y - dy]) })),
    ),
    bounds: {
      left: one.bounds.left + Math.min(...reach(0)),
      right: one.bounds.right + Math.max(...reach(0)),
      top: one.bounds.top + Math.max(...reach(1)),
      bottom: one.bounds.bottom + Math.min(...reach(1)),
    },
  };
}

type Put = (d: string, more: Omit<Mark, 'd'>) => void;

/** A body being drawn: head at 0, the tip at −L, up is +. */
interface Body {
  form: Form;
  L: number;
  colours: RegionColours;
  put: Put;
  /** Height of its middle line, and half its own height there, at a share from head to tip. */
  line(u: number): number;
  half(u: number): number;
  top(u: number, k?: number): Point;
  bottom(u: number, k?: number): Point;
}

const spread = (from: number, to: number, count: number) =>
  Array.from({ length: count + 1 }, (_, index) => from + ((to - from) * index) / count);

/** A natural from the side, to scale: head at 0, the tip of the abdomen at −`bodyMm`. Parametric outlines; regions in their measured colours. */
function insectMarks(
  stage: StageId | null,
  L: number,
  colours: RegionColours,
  caseMm: number | null = null,
): NaturalDrawing {
  const form: Form = { ...BASE, ...(stage ? FORMS[stage] : {}) };
  const marks: Mark[] = [];
  const line = (u: number): number => form.arch * 4 * u * (1 - u) * L;
  const half = (u: number): number => profileAt(form.profile, u) * L;
  const body: Body = {
    form,
    L,
    colours,
    put: (d, more) => void marks.push({ d, ...more }),
    line,
    half,
    top: (u, k = 1) => [-u * L, line(u) + half(u) * k],
    bottom: (u, k = 1) => [-u * L, line(u) - half(u) * k],
  };
  if (form.case !== 'none') {
    drawCased(body, caseMm ?? L * 1.2);
    return {
      marks,
      bounds: { left: -0.25 * L - (caseMm ?? L * 1.2), right: 0.15 * L, top: 0.2 * L, bottom: -0.3 * L },
    };
  }
  drawTails(body);
  drawFan(body);
  drawWingsBehind(body);
  drawLegs(body, 'far');
  drawTrunk(body);
  drawLegs(body, 'near');
  drawHead(body);
  drawWings(body);
  drawExtras(body);
  return { marks, bounds: boundsOf(body) };
}

const bellyOf = ({ colours }: Body): string => colours['abdomen-belly'] ?? colours['abdomen-back'] ?? WASH;
const backOf = (body: Body): string => body.colours['abdomen-back'] ?? bellyOf(body);
const thoraxOf = (body: Body): string => body.colours['thorax-back'] ?? body.colours['thorax-belly'] ?? backOf(body);

/** A closed piece of the body with rounded ends, as far as they bulge past it in shares of its own height. */
function piece({ L, line, half, top, bottom }: Body, from: number, to: number, front: number, rear: number): string {
  const cap = (u: number, reach: number): Point[] =>
    spread(0.15, 0.85, 4).map((t) => [
      -u * L + Math.sin(Math.PI * t) * reach * half(u),
      line(u) + Math.cos(Math.PI * t) * half(u) * (reach < 0 ? 1 : -1),
    ]);
  return smooth([
    ...spread(from, to, 12).map((u) => top(u)),
    ...cap(to, -rear),
    ...spread(to, from, 12).map((u) => bottom(u)),
    ...cap(from, front),
  ]);
}

/** A filled outline; of a clear body the fill is a breath of it. */
function skin({ form, put }: Body, d: string, fill: string, width = 1.1): void {
  if (form.clear) put(d, { fill, opacity: CLEAR });
  put(d, form.clear ? { stroke: INK, width } : { fill, stroke: INK, width });
}

function ellipse([x, y]: Point, rx: number, ry: number, lean = 0): string {
  return smooth(
    spread(0, 1, 12)
      .slice(1)
      .map((t): Point => {
        const [a, b] = [Math.cos(2 * Math.PI * t) * rx, Math.sin(2 * Math.PI * t) * ry];
        return [x + a * Math.cos(lean) - b * Math.sin(lean), y + a * Math.sin(lean) + b * Math.cos(lean)];
      }),
  );
}

function drawTails({ form, L, line, colours, put }: Body): void {
  for (let i = 0; i < form.tails; i++) {
    // A dun lifts its tails; the others follow the body.
    const a =
      Math.PI + (form.wing === 'upright' ? -0.18 : Math.atan(4 * form.arch) + 0.02) + (i - (form.tails - 1) / 2) * 0.16;
    const start: Point = [-L, line(1)];
    const t = form.tailLength * L;
    put(
      smooth(
        [
          start,
          [start[0] + Math.cos(a) * t * 0.5, start[1] + Math.sin(a) * t * 0.5 + 0.02 * L],
          [start[0] + Math.cos(a - 0.1) * t, start[1] + Math.sin(a - 0.1) * t + 0.06 * L],
        ],
        false,
      ),
      { stroke: colours.tails ?? INK, width: 1.2 },
    );
  }
}

/** What the body ends in: a forked fin, or a fan of three plates. */
function drawFan({ form, L, line, half, colours, put }: Body): void {
  if (form.fan === 'none') return;
  const t = form.tailLength * L;
  const root = line(1);
  const blade = (lean: number, scale: number): string =>
    smooth([
      [-L * 0.97, root + half(1) * 0.6],
      [-L - Math.cos(lean - 0.25) * t * scale * 0.6, root + Math.sin(lean + 0.22) * t * scale * 0.75],
      [-L - Math.cos(lean) * t * scale, root + Math.sin(lean) * t * scale],
      [-L - Math.cos(lean) * t * scale * 0.55, root + Math.sin(lean - 0.2) * t * scale * 0.5],
      [-L * 0.97, root - half(1) * 0.6],
    ]);
  put(
    (form.fan === 'fork'
      ? [blade(0.55, 1), blade(-0.55, 1)]
      : [blade(0.42, 0.92), blade(-0.42, 0.92), blade(0, 1)]
    ).join(''),
    { fill: colours.tails ?? WASH, stroke: INK, width: 1 },
  );
}

/** Wings that stand up from the back: the body is drawn over their roots. */
function drawWingsBehind({ form, L, line, half, colours, put }: Body): void {
  const fill = colours.wing ?? WASH;
  const up = (u: number, height: number, lean: number, length: number, width: number, shade: number, veins: number) =>
    wingLeaf(put, [-u * L, line(u) + half(u) * height], Math.PI / 2 + lean, length * L, width, fill, shade, veins);
  if (form.wing === 'upright') {
    up(0.24, 0.6, 0.42, form.wingLength * 0.9, 0.2, 0.5, 8);
    up(0.24, 0.6, 0.3, form.wingLength, 0.2, 0.85, 8);
  }
  if (form.wing === 'sails') {
    up(0.2, 0.5, 0.55, form.wingLength, 0.1, 0.65, 7);
    up(0.27, 0.5, 0.95, form.wingLength, 0.1, 0.65, 7);
  }
  if (form.wing === 'held-out') up(0.25, 0.5, 0.95, form.wingLength, 0.12, 0.6, 6);
}

/** Where legs stand, in shares from head to tip: all of an insect's on its thorax. */
function hips({ form }: Body): number[] {
  const first = Math.max(0.12, form.waist * 0.35);
  const last = form.legs > 3 ? (form.head === null ? form.waist * 0.9 : 0.75) : form.waist * 0.92;
  return spread(first, Math.max(first, last), Math.max(1, form.legs - 1)).slice(0, form.legs);
}

function drawLegs(body: Body, side: 'near' | 'far'): void {
  const { form, L, bottom, colours, put } = body;
  if (form.legs === 0) return;
  const l = form.legLength * L;
  const shift = side === 'far' ? 0.06 * L : 0;
  const d = hips(body)
    .map((u, index) => {
      const [x, y] = bottom(u, 0.7);
      const way = index < form.legs / 3 ? 1 : index < (2 * form.legs) / 3 ? -0.25 : -1;
      const at = (along: number, down: number): Point => [x + shift + way * along * l, y - down * l];
      return pathOf([at(0, 0), at(0.35, -form.knee), at(0.72, 0.62), at(0.95, 0.67)]);
    })
    .join('');
  if (side === 'far') return put(d, { stroke: INK, width: 0.8, opacity: 0.4 });
  put(d, { stroke: colours.legs ?? INK, width: 1.8 });
  put(d, { stroke: INK, width: 0.8, opacity: 0.7 });
}

/** Abdomen and thorax, or the one outline of what has none: rings, gills, soft feet and what shows through. */
function drawTrunk(body: Body): void {
  const { form, L, line, half, top, bottom, colours, put } = body;
  const from = form.whole ? (form.head ? form.head[0] * 0.7 : 0) : form.waist;
  const back = backOf(body);
  if (form.stubs > 0)
    put(
      (form.stubs === 1 ? [0.12, 0.97] : [...spread(0.5, 0.74, form.stubs - 2), 0.96])
        .map((u) => ellipse([-u * L, line(u) - half(u) * 1.02], 0.022 * L, 0.026 * L))
        .join(''),
      { fill: bellyOf(body), stroke: INK, width: 0.9 },
    );
  skin(body, piece(body, from, 1, form.head === null ? 0.9 : 0.2, 0.9), bellyOf(body));
  if (back !== bellyOf(body))
    put(
      pathOf([...spread(from, 1, 14).map((u) => top(u, 0.97)), ...spread(1, from, 14).map((u) => top(u, 0.2))], true),
      { fill: back, opacity: form.clear ? CLEAR : 0.9 },
    );
  if (form.rings > 0)
    put(
      spread(from, 0.97, form.rings)
        .slice(1, form.rings)
        .map((u) => smooth([top(u, 0.96), [-u * L - half(u) * 0.22, line(u)], bottom(u, 0.96)], false))
        .join(''),
      { stroke: INK, width: 0.8, opacity: 0.5 },
    );
  if (form.gills)
    put(
      spread(form.waist + 0.05, 0.85, 6)
        .map((u) =>
          smooth(
            [top(u, 0.6), [-(u + 0.03) * L, line(u) + half(u) * 1.25], [-(u + 0.06) * L, line(u) + half(u) * 0.9]],
            false,
          ),
        )
        .join(''),
      { stroke: colours.gills ?? INK, width: 1.1, opacity: 0.8 },
    );
  if (!form.whole) skin(body, piece(body, form.head ? form.head[0] * 0.75 : 0, form.waist, 0.35, 0.3), thoraxOf(body));
}

/** Where the middle of the head lies, and how large it is. */
function headOf({ form, L, line, half }: Body): { at: Point; rx: number; ry: number } {
  const [length, own] = form.head ?? [0.12, 0];
  return {
    at: [-length * 0.45 * L, line(length * 0.5)],
    rx: length * 0.55 * L,
    ry: own > 0 ? own * L : half(0.07) * 0.95,
  };
}

function drawHead(body: Body): void {
  const { form, colours } = body;
  const { at, rx, ry } = headOf(body);
  if (form.head) skin(body, ellipse(at, rx, ry), colours.head ?? thoraxOf(body));
  drawAntennae(body);
  drawEye(body);
}

function drawAntennae(body: Body): void {
  const { form, L, put } = body;
  if (form.antennae === 0) return;
  const { at, rx, ry } = headOf(body);
  const root: Point = [at[0] + rx * 0.75, at[1] + ry * 0.55];
  const t = form.antennae * L;
  put(
    [0.3, 0.55]
      .map((a) =>
        smooth(
          [
            root,
            [root[0] + Math.cos(a) * t * 0.5, root[1] + Math.sin(a) * t * 0.55],
            [root[0] + Math.cos(a * 0.8) * t, root[1] + Math.sin(a * 0.7) * t],
          ],
          false,
        ),
      )
      .join(''),
    { stroke: INK, width: 0.9 },
  );
}

function drawEye(body: Body): void {
  const { form, L, put } = body;
  if (form.eye === 0) return;
  const { at, rx, ry } = headOf(body);
  const r = form.eye * L;
  put(ellipse([at[0] + rx * 0.25, at[1] + Math.min(ry * 0.3, 0.03 * L)], r, r), { fill: INK });
}

/** Wings, wing cases and what becomes wings, over the body. */
function drawWings(body: Body): void {
  const { form, L, line, half, top, bottom, colours, put } = body;
  const fill = colours.wing ?? WASH;
  const leaf = (u: number, height: number, lean: number, length: number, width: number, shade: number, veins: number) =>
    wingLeaf(put, [-u * L, line(u) + half(u) * height], Math.PI - lean, length * L, width, fill, shade, veins);
  if (form.wing === 'pads') {
    const w = Math.max(form.wingLength, 0.2);
    put(smooth([top(0.18, 0.95), top(0.2 + w * 0.6, 1.08), top(0.2 + w, 0.7), top(0.24 + w * 0.4, 0.35)]), {
      fill: form.wingLength >= 0.3 ? 'var(--ink)' : (colours['thorax-back'] ?? backOf(body)),
      opacity: 0.8,
      stroke: INK,
      width: 0.9,
    });
  }
  // Folded against the breast, tip toward the tail.
  if (form.wing === 'buds') {
    const w = form.wingLength;
    put(
      smooth([
        top(0.16, -0.1),
        top(0.18 + w * 0.55, -0.2),
        bottom(0.18 + w, 0.9),
        bottom(0.2 + w * 0.4, 1),
        bottom(0.14, 0.75),
      ]),
      {
        fill: colours.wing ?? backOf(body),
        stroke: INK,
        width: 0.9,
      },
    );
  }
  if (form.wing === 'flat') leaf(0.2, 0.8, 0.28, form.wingLength, 0.13, 0.7, 6);
  if (form.wing === 'stone') leaf(0.2, 0.95, 0.05, form.wingLength, 0.07, 0.8, 6);
  // One wing free and bent, the other still half in its skin.
  if (form.wing === 'crumpled') {
    leaf(0.2, 0.7, 1.05, form.wingLength * 0.75, 0.2, 0.8, 4);
    leaf(0.26, 0.3, -0.22, form.wingLength * 0.6, 0.16, 0.8, 3);
  }
  // Spread flat on the water and seen along it: both wings are short, one beyond the body and one before it.
  if (form.wing === 'spent') {
    leaf(0.24, 0.5, 0.66, form.wingLength * 0.46, 0.2, 0.4, 5);
    leaf(0.24, 0, -0.5, form.wingLength * 0.55, 0.2, 0.75, 7);
  }
  if (form.wing === 'roof') drawRoof(body, fill);
  // Hard wing cases from the shoulder to the tip, over the upper half of the body.
  if (form.wing === 'shell') {
    const from = 0.24;
    const to = Math.min(0.99, from + form.wingLength);
    put(
      smooth([
        top(from, 0.2),
        ...spread(from, to, 8).map((u) => top(u, 1.04)),
        top(to, -0.4),
        ...spread(to - 0.08, from + 0.06, 5).map((u) => top(u, 0.05)),
      ]),
      { fill: colours.wing ?? backOf(body), stroke: INK, width: 1.1 },
    );
    put(
      [0.4, 0.68]
        .map((k) =>
          smooth(
            spread(from + 0.05, to - 0.06, 5).map((u) => top(u, k)),
            false,
          ),
        )
        .join(''),
      { stroke: INK, width: 0.6, opacity: 0.4 },
    );
  }
}

/** Wings held over the body like a roof. */
function drawRoof({ form, L, half, put }: Body, fill: string): void {
  const w = form.wingLength * L;
  put(
    smooth([
      [-0.13 * L, half(0.2) * 1.1],
      [-0.13 * L - w * 0.45, 0.2 * L],
      [-0.13 * L - w * 0.88, 0.17 * L],
      [-0.1 * L - w, 0.02 * L],
      [-0.13 * L - w * 0.75, -0.1 * L],
      [-0.13 * L - w * 0.3, -0.06 * L],
    ]),
    { fill, stroke: INK, width: 1.1, opacity: 0.95 },
  );
  put(
    [0.12, 0.06, 0.0, -0.05]
      .map((y, index) =>
        smooth(
          [
            [-0.18 * L, half(0.2) * 0.8],
            [-0.13 * L - w * 0.5, y * L + 0.03 * L],
            [-0.12 * L - w * (0.95 - 0.06 * index), y * L],
          ],
          false,
        ),
      )
      .join(''),
    { stroke: INK, width: 0.7, opacity: 0.45 },
  );
}

/** A case with head, thorax and legs out of it: a tube of grains, or two pieces of leaf laid on each other. */
function drawCased(body: Body, c: number): void {
  const { form, L, colours, put } = body;
  const shown = 0.25 * L;
  drawLegs(body, 'far');
  skin(body, piece(body, 0.08, 0.4, 0.35, 0.2), colours['thorax-belly'] ?? thoraxOf(body));
  drawLegs(body, 'near');
  drawHead(body);
  if (form.case === 'leaves') return drawLeaves(body, c, shown);
  const tube: Point[] = [
    [-shown, 0.115 * c],
    [-shown - c * 0.5, 0.1 * c],
    [-shown - c, 0.06 * c],
    [-shown - c, -0.06 * c],
    [-shown - c * 0.5, -0.1 * c],
    [-shown, -0.115 * c],
  ];
  put(pathOf(tube, true), { fill: colours.case ?? WASH, stroke: INK, width: 1.2 });
  const grains = Array.from({ length: 34 }, (_, index) => {
    const u = ((index * 0.5698) % 1) * 0.94 + 0.03;
    const v = (((index * 0.7549) % 1) - 0.5) * 1.7 * (0.105 - 0.045 * u);
    const r = c * (0.012 + 0.008 * ((index * 0.27) % 1));
    return ellipse([-shown - u * c, v * c], r, r * 0.85);
  }).join('');
  put(grains, { stroke: INK, width: 0.7, opacity: 0.6 });
}

/** Two oval pieces of leaf, the lower one a little ahead, each with its rib and veins. */
function drawLeaves({ colours, put }: Body, c: number, shown: number): void {
  for (const [ahead, half] of [
    [0.06, 0.13],
    [0, 0.115],
  ] as const) {
    const front = -shown + ahead * c;
    const edge = (side: 1 | -1): Point[] =>
      spread(0, 1, 8).map((u) => [front - u * c, side * half * c * Math.sin(Math.PI * (0.16 + 0.72 * u))]);
    put(pathOf([...edge(1), ...edge(-1).reverse()], true), { fill: colours.case ?? WASH, stroke: INK, width: 1.2 });
  }
  const veins = spread(0.15, 0.75, 5).flatMap((u) =>
    ([1, -1] as const).map((side) =>
      pathOf([
        [-shown - u * c, 0],
        [-shown - (u + 0.12) * c, side * 0.075 * c],
      ]),
    ),
  );
  put(
    [
      pathOf([
        [-shown, 0],
        [-shown - c, 0],
      ]),
      ...veins,
    ].join(''),
    { stroke: INK, width: 0.7, opacity: 0.6 },
  );
}

/** What only some have: a coiled shell, air sacs, a leg to jump, row or pinch with, breathing plumes, a shuck, eggs, air, fins. */
function drawExtras(body: Body): void {
  const { form, L, line, half, top, bottom, colours, put } = body;
  if (form.shell) drawCoil(body);
  if (form.sacs)
    put([0.17, 0.84].map((u) => ellipse([-u * L, line(u)], 0.035 * L, half(u) * 0.6)).join(''), {
      fill: INK,
      opacity: 0.75,
    });
  if (form.strong !== 'none') drawStrongLeg(body);
  if (form.plumes)
    put(
      Array.from({ length: 5 }, (_, index) =>
        smooth(
          [
            top(0.1, 0.9),
            [0.0 * L + index * 0.012 * L, line(0.1) + half(0.1) + 0.07 * L],
            [(index - 2) * 0.04 * L + 0.02 * L, line(0.1) + half(0.1) + 0.13 * L],
          ],
          false,
        ),
      ).join(''),
      { stroke: colours.gills ?? INK, width: 1.2 },
    );
  // The empty skin is drawn as what it is: clear, slack, and longer than what has left it.
  if (form.shuck) {
    const skinPath = smooth([
      top(0.7, 1.5),
      top(0.95, 1.6),
      [-1.25 * L, line(1) + 0.035 * L],
      [-1.42 * L, line(1)],
      [-1.25 * L, line(1) - 0.045 * L],
      bottom(0.95, 1.7),
      bottom(0.7, 1.5),
    ]);
    put(skinPath, { fill: WASH, opacity: 0.6 });
    put(skinPath, { stroke: INK, width: 0.9, dash: `${0.04 * L} ${0.03 * L}` });
  }
  if (form.eggs)
    put(
      [
        [0.98, -1.1],
        [1.03, -1.9],
        [0.94, -2.2],
        [1.0, -2.9],
      ]
        .map(([u, k]) => ellipse([-u! * L, line(1) + k! * 0.018 * L], 0.026 * L, 0.024 * L))
        .join(''),
      { fill: colours.tails ?? WASH, stroke: INK, width: 0.9 },
    );
  if (form.air)
    put(ellipse([-0.55 * L, line(0.5) + 0.03 * L], 0.68 * L, 0.24 * L), {
      stroke: INK,
      width: 0.8,
      opacity: 0.6,
      dash: `${0.05 * L} ${0.035 * L}`,
    });
  if (form.band === 'suckers')
    put(
      [
        ellipse([-0.01 * L, line(0) - half(0.03) * 0.5], 0.03 * L, 0.025 * L),
        ellipse([-0.98 * L, line(1) - half(0.97) * 0.4], 0.035 * L, 0.045 * L),
      ].join(''),
      { fill: bellyOf(body), stroke: INK, width: 1 },
    );
  if (form.band === 'saddle') skin(body, piece(body, 0.27, 0.38, 0.1, 0.1), backOf(body));
  if (form.fins) drawFins(body);
  // Light goes through a water flea: its gut, and eggs under the back.
  if (form.brood) {
    put(
      smooth(
        [
          [-0.12 * L, line(0.1)],
          [-0.3 * L, -0.05 * L],
          [-0.62 * L, -0.12 * L],
          [-0.9 * L, -0.02 * L],
        ],
        false,
      ),
      {
        stroke: INK,
        width: 2,
        opacity: 0.45,
      },
    );
    put(
      (
        [
          [0.52, 0.18],
          [0.64, 0.14],
          [0.58, 0.06],
          [0.71, 0.05],
        ] as const
      )
        .map(([u, y]) => ellipse([-u * L, y * L], 0.05 * L, 0.05 * L))
        .join(''),
      { stroke: INK, width: 0.8, opacity: 0.7 },
    );
  }
}

/** A shell is wound from its mouth: each turn is smaller by a fifth and ends in the point of the coil. */
function drawCoil(body: Body): void {
  const { L, put } = body;
  const r = 0.3 * L;
  put(ellipse([-0.52 * L, 0.29 * L], r, r), { fill: backOf(body), stroke: INK, width: 1.2 });
  put(
    smooth(
      Array.from({ length: 22 }, (_, at): Point => {
        const round = at * 0.7;
        return [
          -0.52 * L + Math.cos(-2.4 + round) * r * 0.8 ** (round / 1.6),
          0.29 * L + Math.sin(-2.4 + round) * r * 0.8 ** (round / 1.6),
        ];
      }),
      false,
    ),
    { stroke: INK, width: 0.9, opacity: 0.7 },
  );
}

function drawStrongLeg(body: Body): void {
  const { form, L, bottom, colours, put } = body;
  const fill = colours.legs ?? thoraxOf(body);
  if (form.strong === 'pinch') {
    for (const lift of [0.02, -0.07])
      put(
        smooth([
          bottom(0.14, 0.4),
          [0.12 * L, (lift - 0.06) * L],
          [0.24 * L, (lift + 0.045) * L],
          [0.42 * L, (lift + 0.02) * L],
          [0.29 * L, lift * L],
          [0.43 * L, (lift - 0.035) * L],
          [0.25 * L, (lift - 0.05) * L],
        ]),
        { fill, stroke: INK, width: 1.1 },
      );
    return;
  }
  if (form.strong === 'jump') {
    const [hip, knee]: Point[] = [bottom(0.42, 0.3), [-0.8 * L, 0.25 * L]];
    put(
      smooth([hip!, [-0.5 * L, 0.09 * L], [-0.66 * L, 0.2 * L], knee!, [-0.7 * L, 0.13 * L], [-0.54 * L, -0.02 * L]]),
      { fill, stroke: INK, width: 1.1 },
    );
    put(pathOf([knee!, [-0.99 * L, -0.26 * L], [-1.1 * L, -0.28 * L]]), { stroke: INK, width: 1.8 });
    return;
  }
  const oar: Point[] = [bottom(0.4, 0.7), [-0.52 * L, -0.25 * L], [-0.98 * L, -0.3 * L]];
  put(pathOf(oar), { stroke: colours.legs ?? INK, width: 3 });
  put(pathOf(oar), { stroke: INK, width: 1, opacity: 0.7 });
  // The fringe that makes an oar of it.
  put(
    spread(0.1, 1, 9)
      .map((t) => {
        const [x, y] = [oar[1]![0] + (oar[2]![0] - oar[1]![0]) * t, oar[1]![1] + (oar[2]![1] - oar[1]![1]) * t];
        return pathOf([
          [x, y],
          [x - 0.05 * L, y - 0.06 * L],
        ]);
      })
      .join(''),
    { stroke: INK, width: 0.7, opacity: 0.7 },
  );
}

function drawFins({ L, line, half, top, bottom, put }: Body): void {
  put(
    [
      smooth([top(0.42, 0.9), [-0.5 * L, line(0.5) + half(0.5) + 0.08 * L], top(0.6, 0.95)]),
      smooth([bottom(0.62, 0.9), [-0.72 * L, line(0.7) - half(0.7) - 0.06 * L], bottom(0.76, 0.9)]),
    ].join(''),
    {
      fill: WASH,
      stroke: INK,
      width: 0.9,
    },
  );
  put(
    [
      smooth([top(0.2, 0.8), [-0.24 * L, line(0.24)], bottom(0.2, 0.8)], false),
      smooth(
        [
          [-0.26 * L, line(0.3)],
          [-0.6 * L, line(0.6)],
          [-0.94 * L, line(0.94)],
        ],
        false,
      ),
    ].join(''),
    { stroke: INK, width: 0.8, opacity: 0.6 },
  );
}

const WING_TOP: Partial<Record<Form['wing'], (length: number) => number>> = {
  flat: (length) => 0.16 + 0.32 * length,
  crumpled: (length) => 0.1 + 0.8 * length,
  spent: (length) => 0.36 * length,
  upright: (length) => length + 0.1,
  sails: (length) => length * 0.95,
  'held-out': (length) => length * 0.65,
};

function boundsOf(body: Body): NaturalDrawing['bounds'] {
  const { form, L } = body;
  const legs = hips(body);
  const tall = Math.max(...form.profile.map(([, half]) => half)) + 0.04;
  const wings = !['none', 'pads', 'buds', 'shell'].includes(form.wing);
  return {
    left:
      -L *
      Math.max(
        form.legs > 0 ? legs.at(-1)! + form.legLength * 0.95 : 0,
        form.strong === 'jump' ? 1.15 : 1 + Math.max(form.tailLength, 0.9 * profileAt(form.profile, 1)),
        form.shuck ? 1.45 : 0,
        form.air ? 1.25 : 0,
        wings ? 0.2 + form.wingLength : 1,
      ),
    right:
      L *
      Math.max(
        form.strong === 'pinch' ? 0.45 : 0.1,
        form.legs > 1 ? form.legLength * 0.95 - legs[0]! + 0.05 : 0,
        form.air ? 0.16 : 0,
        form.antennae + 0.02,
      ),
    top:
      L *
      Math.max(
        form.shell ? 0.62 : (WING_TOP[form.wing]?.(form.wingLength) ?? 0.25),
        form.arch + 0.2,
        form.antennae * 0.5 + 0.06,
        form.tails > 0 ? 0.15 + 0.12 * form.tailLength : 0,
        form.legLength * Math.max(0, form.knee),
        form.plumes ? form.arch + 0.32 : 0,
        tall,
      ),
    bottom:
      -L *
      Math.max(
        tall,
        0.15 + Math.max(0, -form.arch),
        form.legs > 0 ? 0.7 * Math.max(...legs.map((u) => profileAt(form.profile, u))) + form.legLength * 0.7 : 0.15,
        form.wing === 'spent' ? form.wingLength * 0.32 : 0,
        form.air ? 0.24 : 0,
        form.strong === 'none' ? 0 : 0.38,
      ),
  };
}

/** A path with every place of it put elsewhere, in the path's own coordinates: down is +. */
function placed(d: string, to: (place: Point) => Point): string {
  return d.replace(/(-?[\d.]+(?:e-?\d+)?)([ ,]+)(-?[\d.]+(?:e-?\d+)?)/g, (_, x: string, gap: string, y: string) =>
    to([Number(x), Number(y)])
      .map((value) => String(Number(value.toFixed(4))))
      .join(gap),
  );
}

/** A drawing with its belly up. */
function turnedOver({ marks, bounds }: NaturalDrawing): NaturalDrawing {
  return {
    marks: marks.map((mark) => ({ ...mark, d: placed(mark.d, ([x, y]) => [x, -y]) })),
    bounds: { ...bounds, top: -bounds.bottom, bottom: -bounds.top },
  };
}

/** Insects of a raft, beside and over one another: shares of the body's length. */
const RAFT = [
  [-0.42, 0.16],
  [0.36, 0.1],
  [-0.05, -0.08],
] as const;

function wingLeaf(
  put: Put,
  base: Point,
  angle: number,
  length: number,
  width: number,
  fill: string,
  opacity: number,
  veins: number,
): void {
  const to = (u: number, v: number): Point => [
    base[0] + Math.cos(angle) * length * u - Math.sin(angle) * length * v,
    base[1] + Math.sin(angle) * length * u + Math.cos(angle) * length * v,
  ];
  put(
    smooth([
      to(0, 0.02),
      to(0.25, width * 0.75),
      to(0.6, width * 1.1),
      to(0.9, width * 0.75),
      to(1, 0),
      to(0.85, -width * 0.62),
      to(0.5, -width * 0.75),
      to(0.15, -width * 0.35),
    ]),
    { fill, opacity, stroke: INK, width: 1.1 },
  );
  const lines = Array.from({ length: veins }, (_, index) => {
    const v = ((index + 0.5) / veins) * 1.6 - 0.7;
    return smooth([to(0.03, 0), to(0.45, v * width * 0.8), to(0.93, v * width * 0.75)], false);
  }).join('');
  const cross = [0.35, 0.52, 0.68, 0.82]
    .map((u) => pathOf([to(u, width * 0.5), to(u + 0.02, 0), to(u, -width * 0.35)]))
    .join('');
  put(lines, { stroke: INK, width: 0.6, opacity: 0.5 });
  put(cross, { stroke: INK, width: 0.5, opacity: 0.3 });
}
