import { FIELD_CARDS } from '../src/catalogue/field-cards';
import { anyScene, takePhoto } from '../src/standins/camera';
import { findCard } from '../src/core/photo/find/find-card';
import { project } from '../src/core/photo/find/homography';
for (let seed = 1; seed <= Number(process.argv[2] ?? 12); seed++) {
  const scene = anyScene(seed, 2400);
  const { photo, corners } = takePhoto(scene, FIELD_CARDS);
  const t = Date.now();
  const card = findCard(photo, FIELD_CARDS);
  const ms = Date.now() - t;
  if (!card) { console.log(seed, photo.width, 'NOT FOUND', 'tilt', scene.tilt.toFixed(0), 'fill', scene.fill.toFixed(2), ms); continue; }
  const [w, h] = card.geometry.size_mm;
  const got = [[0, 0], [w, 0], [w, h], [0, h]].map((p) => project(card.toPicture, p as never));
  const off = Math.max(...got.map((g, i) => Math.hypot(g[0] - corners[i]![0], g[1] - corners[i]![1])));
  console.log(seed, photo.width, 'marks', card.marks, 'off px', off.toFixed(2), 'px/mm', card.pxPerMm.toFixed(1), 'res', card.residualMm.toFixed(3), 'bow', card.bow.upper.map((v) => v.toFixed(3)).join(), 'edge', card.edgePx.toFixed(2), 'blur', scene.blurPx.toFixed(2), ms + 'ms');
}
