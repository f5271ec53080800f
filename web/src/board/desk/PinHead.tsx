import { headPath, setStyle } from "@zanvo/core/drawing";
import type { Pin } from "@zanvo/core/vanishing";

/** The head of a pin: hue and shape of its set. */
export function PinHead({ pin, size = 14 }: { readonly pin: Pick<Pin, "set">; readonly size?: number }) {
  const { stroke, head } = setStyle(pin);
  return (
    <svg width={size} height={size} viewBox="-7 -7 14 14" aria-hidden className="shrink-0">
      <path d={headPath(head, 5.8)} fill={stroke} fillRule="evenodd" stroke="#fffdf8" strokeWidth={1.2} />
    </svg>
  );
}
