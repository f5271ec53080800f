import useSWRImmutable from "swr/immutable";
import type { FormatInfo } from "@zanvo/core/answers";
import { listFormats } from "./api";

/** The formats that a drawing, or the masses of a scene, can be saved as; none until the server has told. */
export function useFormats(of: FormatInfo["of"]): readonly FormatInfo[] {
  const { data = [] } = useSWRImmutable("/api/formats", listFormats);
  return data.filter((format) => format.of === of);
}
