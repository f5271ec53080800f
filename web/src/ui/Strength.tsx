import { Slider } from "radix-ui";

interface StrengthProps {
  readonly label: string;
  readonly value: number;
  readonly onChange: (value: number) => void;
  /** Called when a hand takes hold of it, and when it lets go: the way between is one change. */
  readonly onHold: () => void;
  readonly onRelease: () => void;
}

/** How strongly a kind of line is drawn: from left out to full. */
export function Strength({ label, value, onChange, onHold, onRelease }: StrengthProps) {
  return (
    <label className="flex items-center justify-between gap-2">
      <span className="text-pencil">{label}</span>
      <Slider.Root
        className="relative flex h-7 w-24 shrink-0 touch-none items-center"
        value={[value]}
        min={0}
        max={1}
        step={0.05}
        onValueChange={([next]) => onChange(next)}
        onPointerDownCapture={onHold}
        onPointerUp={onRelease}
        onPointerCancel={onRelease}
      >
        <Slider.Track className="relative h-px grow bg-pencil">
          <Slider.Range className="absolute h-[3px] -translate-y-px bg-ink" />
        </Slider.Track>
        <Slider.Thumb aria-label={label} className="block size-3.5 rounded-full border border-ink bg-slip" />
      </Slider.Root>
    </label>
  );
}
