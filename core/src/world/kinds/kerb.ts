import { metres, metresBetween, sentence } from "../../units";
import type { Figure } from "./kind";

/** Kerbs are 0.10 to 0.15 m high (common practice); one as high as a quay is meant as that or as a step, m. */
const KERB = [0.08, 0.2] as const;
const QUAY = 0.4;

/** The figure of a kerb, where there is one. */
export const kerbFigures = (name: string, value: number): Figure[] =>
  value > 0 && value < QUAY
    ? [
        {
          value,
          limits: KERB,
          told: sentence`A kerb of ${name} is ${metres(value)} high.`,
          usual: sentence`Kerbs have ${metresBetween(0.1, 0.15)}`,
        },
      ]
    : [];
