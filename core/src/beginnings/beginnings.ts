import { roomPlanes, type RoomId } from "../grid";
import { newScene, type Orientation, type Scene, type Shot } from "../scene";
import { CURVED_SYSTEMS, inCurvedSystem, inSituation, SITUATIONS, withLaw, type Convergence } from "../shot";

/** What a new scene is begun with: a whole view, to be changed freely. */
export interface Beginning {
  readonly id: string;
  readonly name: string;
  /** The shot with this view of the main directions, on the sheet and with the eye's place that it has. */
  readonly of: (shot: Shot, main: Orientation) => Shot;
}

const named = <T extends { readonly id: string }>(list: readonly T[], id: string): T => {
  const one = list.find((other) => other.id === id);
  if (!one) throw new Error(`There is no "${id}".`);
  return one;
};

/** A straight view without what an earlier beginning laid out. */
const plain = ({ measured: _, ...shot }: Shot): Shot => withLaw(shot, "rectilinear");

const situated =
  (id: string, convergence: Convergence = "calm"): Beginning["of"] =>
  (shot, main) =>
    inSituation(plain(shot), main, named(SITUATIONS, id), convergence);

/** A wall that is faced, with planes of true squares around the eye. */
const within =
  (id: RoomId): Beginning["of"] =>
  (shot, main) => {
    const faced = situated("wall", "normal")(shot, main);
    return { ...faced, measured: roomPlanes(main, faced, id) };
  };

const curved =
  (id: string): Beginning["of"] =>
  (shot, main) =>
    inCurvedSystem(situated("corner")(shot, main), main, named(CURVED_SYSTEMS, id));

/** Every beginning; a new scene has the first until another is chosen. */
export const BEGINNINGS: readonly Beginning[] = [
  { id: "corner", name: "Street corner", of: situated("corner") },
  { id: "wall", name: "Facing a wall", of: situated("wall") },
  { id: "corridor", name: "Corridor", of: within("corridor") },
  { id: "room", name: "Room", of: within("room") },
  { id: "street", name: "Down a street", of: within("street") },
  { id: "up", name: "Looking up", of: situated("up", "normal") },
  { id: "down", name: "Looking down", of: situated("down", "normal") },
  { id: "tilted", name: "Tilted camera", of: situated("tilted") },
  { id: "disc", name: "Disc, five points", of: curved("disc-ahead") },
  { id: "sweep", name: "Panorama, around", of: curved("sweep-around") },
];

/** A scene as it lies on the table when it is new: calm points, and nothing to find fault with. */
export function begunScene(title: string): Scene {
  const scene = newScene(title);
  const [main] = scene.orientations;
  return { ...scene, shots: scene.shots.map((shot) => BEGINNINGS[0].of(shot, main)) };
}
