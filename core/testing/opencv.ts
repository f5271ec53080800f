import cv from "@techstark/opencv-js";

/**
 * Waits until OpenCV can be used by a test. The module has a `then` of its own that never settles: it must not be
 * awaited itself.
 */
export async function cvLoaded(): Promise<void> {
  if ("Mat" in cv && typeof cv.Mat === "function") return;
  await new Promise<void>((resolve) => {
    cv.onRuntimeInitialized = resolve;
  });
}
