import { createContext, useContext, useEffect, useMemo, useRef, type ReactNode } from "react";

/** Paints something in its own units. @param scale px of the screen to one of them */
export type Painter = (context: CanvasRenderingContext2D, scale: number) => void;

/** Where what is painted on a canvas comes from: painters in their order, each painted over the ones before. */
interface Painting {
  readonly add: (order: number, paint: Painter) => () => void;
}

const Current = createContext<Painting | null>(null);

interface CanvasProps {
  /** Size on the screen, px. */
  readonly width: number;
  readonly height: number;
  /** Where the origin of what is painted lies, px, and how many px stand for one of its units. */
  readonly x: number;
  readonly y: number;
  readonly scale: number;
  readonly className?: string;
  /** Components that paint, by `usePainter`. */
  readonly children: ReactNode;
}

/** A canvas whose children paint on it; it is painted at most once a frame, sharp at any density of px. */
export function Canvas({ width, height, x, y, scale, className = "", children }: CanvasProps) {
  const element = useRef<HTMLCanvasElement>(null);
  const painters = useRef(new Map<Painter, number>());
  const view = useRef({ width, height, x, y, scale });
  const frame = useRef(0);

  const { painting, soon } = useMemo(() => {
    const paint = () => {
      frame.current = 0;
      const canvas = element.current;
      const context = canvas?.getContext("2d");
      if (!canvas || !context) return;
      const now = view.current;
      const density = window.devicePixelRatio || 1;
      const [w, h] = [Math.round(now.width * density), Math.round(now.height * density)];
      if (canvas.width !== w || canvas.height !== h) Object.assign(canvas, { width: w, height: h });
      context.setTransform(1, 0, 0, 1, 0, 0);
      context.clearRect(0, 0, w, h);
      const to = now.scale * density;
      for (const [painter] of [...painters.current].sort((a, b) => a[1] - b[1])) {
        context.save();
        context.setTransform(to, 0, 0, to, now.x * density, now.y * density);
        painter(context, now.scale);
        context.restore();
      }
    };
    const later = () => {
      frame.current ||= requestAnimationFrame(paint);
    };
    const add = (order: number, painter: Painter) => {
      painters.current.set(painter, order);
      later();
      return () => {
        painters.current.delete(painter);
        later();
      };
    };
    return { painting: { add }, soon: later };
  }, []);

  useEffect(() => {
    view.current = { width, height, x, y, scale };
    soon();
  }, [width, height, x, y, scale, soon]);
  useEffect(
    () => () => {
      cancelAnimationFrame(frame.current);
      frame.current = 0;
    },
    [],
  );
  return (
    <>
      <canvas ref={element} aria-hidden className={`pointer-events-none ${className}`} style={{ width, height }} />
      <Current value={painting}>{children}</Current>
    </>
  );
}

/**
 * Paints on the canvas around this component, over what has a lower order.
 * @param paint the same function for as long as the same is to be painted
 */
export function usePainter(order: number, paint: Painter): void {
  const painting = useContext(Current);
  useEffect(() => painting?.add(order, paint), [painting, order, paint]);
}
