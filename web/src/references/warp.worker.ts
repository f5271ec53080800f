import { expose } from "comlink";
import { resample, type Pixels, type Warp } from "@zanvo/core/recover";

/** A canvas's pen. @throws Error where the browser has none in the background */
function penOf(canvas: OffscreenCanvas): OffscreenCanvasRenderingContext2D {
  const pen = canvas.getContext("2d");
  if (!pen) throw new Error("This browser cannot work on pictures in the background.");
  return pen;
}

async function warped(picture: Blob, plan: Warp): Promise<Pixels> {
  const bitmap = await createImageBitmap(picture);
  const old = penOf(new OffscreenCanvas(bitmap.width, bitmap.height));
  old.drawImage(bitmap, 0, 0);
  return resample(old.getImageData(0, 0, bitmap.width, bitmap.height), plan);
}

/** The strip under an elevation that its scale bar stands on: its height, and what is kept free beside the bar, px. */
const STRIP = 64;
const SIDE = 24;

/** A bar of a round length, no longer than a third of the picture, with its ends and its middle marked. */
function scaleBar(pen: OffscreenCanvasRenderingContext2D, width: number, top: number, perMetre: number): void {
  const most = width / 3 / perMetre;
  const power = 10 ** Math.floor(Math.log10(most));
  const metres = [5, 2, 1].map((k) => k * power).find((length) => length <= most) ?? power;
  const [long, y] = [metres * perMetre, top + STRIP - 20];
  pen.fillStyle = "#26251f";
  pen.fillRect(SIDE, y, long, 4);
  for (const share of [0, 0.5, 1]) pen.fillRect(SIDE + share * long - 1, y - 8, 2, 12);
  pen.font = "18px sans-serif";
  pen.fillText("0", SIDE - 5, y - 14);
  pen.fillText(`${Number(metres.toPrecision(3))} m`, SIDE + long - 12, y - 14);
}

const api = {
  /** A picture straightened or undistorted, as a JPEG. */
  async warp(picture: Blob, plan: Warp): Promise<Blob> {
    const { width, height, data } = await warped(picture, plan);
    const canvas = new OffscreenCanvas(width, height);
    penOf(canvas).putImageData(new ImageData(data, width, height), 0, 0);
    return canvas.convertToBlob({ type: "image/jpeg", quality: 0.94 });
  },
  /** A wall seen flat, as a PNG, over a scale bar where its size is known: `perMetre` px to a metre. */
  async elevation(picture: Blob, plan: Warp, perMetre: number | null): Promise<Blob> {
    const { width, height, data } = await warped(picture, plan);
    const canvas = new OffscreenCanvas(width, height + (perMetre === null ? 0 : STRIP));
    const pen = penOf(canvas);
    pen.fillStyle = "#fffdf8";
    pen.fillRect(0, 0, canvas.width, canvas.height);
    pen.putImageData(new ImageData(data, width, height), 0, 0);
    if (perMetre !== null) scaleBar(pen, width, height, perMetre);
    return canvas.convertToBlob({ type: "image/png" });
  },
};

export type WarpWorker = typeof api;
expose(api);
