import { expose } from "comlink";
import { resample, type Straightening } from "@zanvo/core/recover";

const api = {
  /** A picture straightened, as a JPEG. */
  async straighten(picture: Blob, plan: Straightening): Promise<Blob> {
    const bitmap = await createImageBitmap(picture);
    const old = new OffscreenCanvas(bitmap.width, bitmap.height).getContext("2d");
    if (!old) throw new Error("This browser cannot work on pictures in the background.");
    old.drawImage(bitmap, 0, 0);
    const { width, height, data } = resample(old.getImageData(0, 0, bitmap.width, bitmap.height), plan);
    const canvas = new OffscreenCanvas(width, height);
    canvas.getContext("2d")?.putImageData(new ImageData(data, width, height), 0, 0);
    return canvas.convertToBlob({ type: "image/jpeg", quality: 0.94 });
  },
};

export type StraightenWorker = typeof api;
expose(api);
