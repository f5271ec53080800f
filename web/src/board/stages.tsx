import {
  ArrowDownUp,
  Building2,
  DoorOpen,
  Grid3x3,
  Image,
  type LucideIcon,
  MapPin,
  PencilRuler,
  Send,
  StickyNote,
  Sun,
  TreeDeciduous,
} from "lucide-react";
import type { ComponentType } from "react";
import { lazily, type Lazy } from "../ui";
import { PointsPanel } from "./panels/PointsPanel";
import { type StageId } from "../document";

// What one begins with is there at once; the tools of the other stages come when they are first taken up.
const SheetPanel = lazily(async () => (await import("./panels/SheetPanel")).SheetPanel);
const EyeLevelPanel = lazily(async () => (await import("./panels/EyeLevelPanel")).EyeLevelPanel);
const GridPanel = lazily(async () => (await import("./panels/GridPanel")).GridPanel);
const DrawPanel = lazily(async () => (await import("./draw/DrawPanel")).DrawPanel);
const MassesPanel = lazily(async () => (await import("./panels/MassesPanel")).MassesPanel);
const FittingsPanel = lazily(async () => (await import("./fittings/FittingsPanel")).FittingsPanel);
const StreetPanel = lazily(async () => (await import("./street/StreetPanel")).StreetPanel);
const LightPanel = lazily(async () => (await import("./light/LightPanel")).LightPanel);
const ReferencesPanel = lazily(async () => (await import("./panels/ReferencesPanel")).ReferencesPanel);
const HandOverPanel = lazily(async () => (await import("./handOver/HandOverPanel")).HandOverPanel);

export interface Stage {
  readonly id: StageId;
  readonly name: string;
  readonly Icon: LucideIcon;
  readonly Panel: ComponentType;
  /** Fetches its tools, where they come later. */
  readonly preload?: () => Promise<void>;
  /** The page of the pocket guide that tells about it. */
  readonly guide: string;
}

/** The key that leads to a stage by its place: of the tenth 0, and of the one behind it the letter L. */
export const stageKey = (place: number): string => (place < 10 ? String((place + 1) % 10) : "l");

const later = (Panel: Lazy<object>) => ({ Panel, preload: Panel.preload });

/** The order of work. A stage shows only its own tools, and any can be entered at any time. */
export const STAGES: readonly Stage[] = [
  { id: "sheet", name: "Sheet", Icon: StickyNote, ...later(SheetPanel), guide: "panels" },
  { id: "eye-level", name: "Eye level", Icon: ArrowDownUp, ...later(EyeLevelPanel), guide: "eye-level" },
  { id: "points", name: "Points", Icon: MapPin, Panel: PointsPanel, guide: "two-points" },
  { id: "grid", name: "Grid", Icon: Grid3x3, ...later(GridPanel), guide: "squares" },
  { id: "draw", name: "Draw", Icon: PencilRuler, ...later(DrawPanel), guide: "drawing" },
  { id: "masses", name: "Masses", Icon: Building2, ...later(MassesPanel), guide: "masses" },
  { id: "fittings", name: "Fittings", Icon: DoorOpen, ...later(FittingsPanel), guide: "fittings" },
  { id: "street", name: "Street", Icon: TreeDeciduous, ...later(StreetPanel), guide: "people" },
  { id: "light", name: "Light", Icon: Sun, ...later(LightPanel), guide: "light" },
  { id: "hand-over", name: "Hand-over", Icon: Send, ...later(HandOverPanel), guide: "hand-over" },
  { id: "references", name: "References", Icon: Image, ...later(ReferencesPanel), guide: "references" },
];
