import type { RegionId } from '@/catalogue/ids';
import { hexOfLab, type Lab } from '@/core/colour/colour';
import { Z95 } from '@/core/constants';
import { command, enter, found } from '../command';
import { EYE_ID, eyeSchema } from '../eye/schema';
import { beginMatch } from '../match/commands';
import { lastSurface } from './queries';
import { specimen, type SampleRecord } from '../sample/schema';
import { lengthNow, photoSchema, type Overlay, type OverlayInsect } from './schema';

/** Hundredths of a millimetre are kept. */
const kept = (mm: number) => Math.round(mm * 100) / 100;

function colour(sample: SampleRecord, colours: RegionLabs): void {
  for (const [region, { lab }] of Object.entries(colours)) sample.colours[region as RegionId] = hexOfLab(lab);
}

/** Colours of a photograph by region. */
export type RegionLabs = Partial<Record<RegionId, { lab: Lab }>>;

interface OfPhoto {
  photoId: string;
  sampleId: string;
}

interface KeptPhoto {
  photoId: string;
  sampleId: string | null;
  type: string;
  bytes: number;
  /** When the camera says it was taken; else it is now. */
  taken?: string;
}

/** A photograph kept with a sample until it is measured; without one a match of its time is begun that waits for the bench. Its picture is stored already. */
export const keepPhoto = command<KeptPhoto>(
  'photo',
  (draft, { photoId, sampleId, type, bytes, taken: told }, around) => {
    const taken = told ?? around.now;
    const own =
      sampleId ??
      beginMatch(draft, { sample: { kept: true, surface: lastSurface(draft) }, when: taken }, around).sampleId;
    draft.photo[photoId] = photoSchema.cast({ sampleId: own, type, bytes, taken });
    found(draft.sample, own).photos.push(photoId);
  },
);

export const letPhotoGo = command<OfPhoto>('let-go', (draft, { photoId, sampleId }) => {
  delete draft.photo[photoId];
  const own = found(draft.sample, sampleId);
  own.photos = own.photos.filter((other) => other !== photoId);
});

/** Pictures that were measured let go, to make room: what was measured on them stays with their samples. */
export const letPicturesGo = command<{ photoIds: readonly string[] }>('thinned', (draft, { photoIds }) => {
  for (const id of photoIds) {
    const photo = draft.photo[id];
    const own = photo && draft.sample[photo.sampleId];
    if (own) own.photos = own.photos.filter((other) => other !== id);
    delete draft.photo[id];
  }
});

/** What was measured on a photograph taken into its sample: an individual a body, the case, the colours; and what was guessed before. `bytes` is what the kept crop weighs. */
export const takeMeasured = command<
  OfPhoto & { overlay: Overlay; colours: RegionLabs; bytes: number; guessMm: number | null }
>('measured', (draft, { photoId, sampleId, overlay, colours, bytes, guessMm }, around) => {
  const sample = found(draft.sample, sampleId);
  const photo = found(draft.photo, photoId);
  sample.method = 'photo';
  sample.kept = false;
  const insects = overlay.insects.map((insect): OverlayInsect => {
    const { bodyMm, sdMm } = lengthNow(insect);
    if (insect.what === 'case') {
      sample.case = { mm: kept(bodyMm), typed: null };
      return insect;
    }
    const own = specimen(around.newId('specimen'), kept(bodyMm));
    sample.specimens.push({ ...own, halfMm: Z95 * sdMm });
    return { ...insect, specimenId: own.id };
  });
  colour(sample, colours);
  Object.assign(photo, { overlay: { ...overlay, insects }, type: 'image/jpeg', bytes });
  const first = overlay.insects[0];
  if (guessMm === null || first?.what !== 'body') return;
  draft.eye[EYE_ID] ??= eyeSchema.cast({});
  enter(
    draft,
    {
      kind: 'eye',
      owner: EYE_ID,
      id: around.newId('guess'),
      event: { guessMm, trueMm: lengthNow(first).bodyMm, at: photo.taken },
    },
    around,
  );
});

/** One insect of a measured photograph moved by hand: its length follows, and the colours when it is the first. */
export const correctPhoto = command<OfPhoto & { n: number; hand: OverlayInsect['hand']; colours: RegionLabs | null }>(
  'corrected',
  (draft, { photoId, sampleId, n, hand, colours }) => {
    const photo = found(draft.photo, photoId);
    const insect = photo.overlay?.insects.find((item) => item.n === n);
    if (!photo.overlay || !insect) return;
    photo.overlay = {
      ...photo.overlay,
      insects: photo.overlay.insects.map((item) => (item.n === n ? { ...item, hand } : item)),
    };
    const sample = found(draft.sample, sampleId);
    const { bodyMm, sdMm } = lengthNow({ ...insect, hand });
    if (insect.what === 'case') sample.case = { mm: kept(bodyMm), typed: null };
    const own = sample.specimens.find((item) => item.id === insect.specimenId);
    if (own) Object.assign(own, { body: { mm: kept(bodyMm), typed: null }, halfMm: Z95 * sdMm });
    if (colours && n === photo.overlay.insects[0]!.n) colour(sample, colours);
  },
  { field: ({ photoId }) => `trace-${photoId}` },
);
