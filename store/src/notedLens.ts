import exifr from "exifr";

/** The diagonal of a frame of 36 by 24 mm: lenses of other sensors are compared by it (CIPA DCG-001 (from memory)). */
const DIAGONAL = Math.hypot(36, 24);
/** What a unit of the focal plane's resolution is in mm: inch, centimetre, and two that some cameras write. */
const UNITS: Readonly<Record<number, number>> = { 2: 25.4, 3: 10, 4: 1, 5: 0.001 };
/** Sensors that are built, by their diagonal, mm; what lies outside was noted wrongly. */
const SENSORS = { least: 2, most: 100 };
/** Lenses that are built, as 35 mm equivalents. */
const LENSES = { least: 4, most: 3000 };

const TAGS = [
  "FocalLengthIn35mmFormat",
  "FocalLength",
  "FocalPlaneXResolution",
  "FocalPlaneYResolution",
  "FocalPlaneResolutionUnit",
  "ExifImageWidth",
  "ExifImageHeight",
] as const;
type Noted = Partial<Record<(typeof TAGS)[number], unknown>>;

const positive = (value: unknown): number | null =>
  typeof value === "number" && Number.isFinite(value) && value > 0 ? value : null;

/** The sensor's diagonal, mm, from how many px of the photo lie on a unit of it (Exif 2.32, tags 0xA20E to 0xA210). */
function sensorDiagonal(noted: Noted): number | null {
  // Inches are what is meant where no unit is noted.
  const unit = UNITS[positive(noted.FocalPlaneResolutionUnit) ?? 2];
  const across = positive(noted.FocalPlaneXResolution);
  const down = positive(noted.FocalPlaneYResolution) ?? across;
  const [width, height] = [positive(noted.ExifImageWidth), positive(noted.ExifImageHeight)];
  if (!unit || !across || !down || !width || !height) return null;
  const diagonal = unit * Math.hypot(width / across, height / down);
  return diagonal >= SENSORS.least && diagonal <= SENSORS.most ? diagonal : null;
}

/** The lens as the camera noted it, or as its focal length and its sensor tell it. */
function equivalentOf(noted: Noted): number | null {
  const equivalent = positive(noted.FocalLengthIn35mmFormat);
  if (equivalent) return equivalent;
  const [focal, diagonal] = [positive(noted.FocalLength), sensorDiagonal(noted)];
  return focal && diagonal ? Number(((focal * DIAGONAL) / diagonal).toFixed(1)) : null;
}

/**
 * What the camera wrote into a photo's file of its lens, as a 35 mm equivalent in mm; null where it noted nothing that
 * can be so. It may be wrong.
 */
export async function notedLens(bytes: Buffer): Promise<number | null> {
  const options = { pick: [...TAGS], translateValues: false };
  const noted = (await exifr.parse(bytes, options).catch(() => undefined)) as Noted | undefined;
  const lens = noted ? equivalentOf(noted) : null;
  return lens && lens >= LENSES.least && lens <= LENSES.most ? lens : null;
}
