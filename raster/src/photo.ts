import { BadInput } from "@zanvo/core/problem";
import type { Grey } from "@zanvo/core/recover";
import sharp, { type Sharp } from "sharp";

/** The most px a picture may have. */
const MAX_PIXELS = 40_000_000;
/** The longest side it may have: that of the format in which pictures are kept. */
const MAX_SIDE = 16_383;
const TYPES = ["jpeg", "png", "webp"];
/** What a file begins with (from byte 4) that a telephone made in a format browsers do not show. */
const HEIC = /^ftyp(heic|heix|hevc|mif1|msf1|heim|heis)/;

const refuse = (message: string): never => {
  throw new BadInput([{ path: "picture", message }]);
};

/** Why a picture that looked whole could not be decoded. @throws BadInput */
export const damaged = (error: Error): never =>
  refuse(
    /truncat|premature|end of/i.test(error.message)
      ? "is cut off: a part of the file is missing."
      : "is damaged and cannot be read.",
  );

/**
 * What is in the file of a photo, upright, and nothing but the picture itself. @throws BadInput for what is no
 * picture that can be taken
 */
export async function openPhoto(bytes: Buffer): Promise<Sharp> {
  if (HEIC.test(bytes.subarray(4, 12).toString("latin1")))
    refuse("is HEIC, which browsers do not show. Save or share it as JPEG first.");
  // Only the head of the file is read for its size, however large it says to be.
  const {
    format,
    width,
    height,
    pages = 1,
  } = await sharp(bytes, { limitInputPixels: false })
    .metadata()
    .catch(() => refuse("is no picture that can be read: JPEG, PNG and WebP are."));
  if (!TYPES.includes(format)) refuse(`is ${format.toUpperCase()}; JPEG, PNG and WebP can be read.`);
  if (Math.max(width, height) > MAX_SIDE)
    refuse(
      `is ${Math.max(width, height).toLocaleString("en")} px long; up to ${MAX_SIDE.toLocaleString("en")} can ` +
        "be taken.",
    );
  if (width * height > MAX_PIXELS)
    refuse(`has ${((width * height) / 1e6).toFixed(0)} megapixels; up to ${MAX_PIXELS / 1e6} can be taken.`);
  if (pages > 1) refuse("moves: save one still of it.");
  return sharp(bytes, { limitInputPixels: MAX_PIXELS, failOn: "truncated" }).rotate();
}

/** The brightness of a photo, turned upright. @throws BadInput */
export async function greyPhoto(bytes: Buffer): Promise<Grey> {
  const { data, info } = await (
    await openPhoto(bytes)
  )
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true })
    .catch(damaged);
  return { width: info.width, height: info.height, data: new Uint8Array(data) };
}

/** A photo as a JPEG, turned upright: what goes into SVG and PDF. @throws BadInput */
export const jpegOf = async (bytes: Buffer): Promise<Buffer> =>
  (await openPhoto(bytes)).jpeg({ quality: 90 }).toBuffer().catch(damaged);
