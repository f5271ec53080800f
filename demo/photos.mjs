// Renders the demo's photos from its own geometry with three in headless Chromium, once: node demo/photos.mjs [name
// ...] Each has a known camera, grain, and the lens noted in its EXIF; their true cameras stand beside them as JSON.
import { Buffer } from "node:buffer";
import { readFileSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { chromium } from "@playwright/test";
import { build } from "esbuild";
import sharp from "sharp";
import { chromiumPath } from "../scripts/chromium.mjs";

const here = dirname(fileURLToPath(import.meta.url));
const SIZE = { width: 2400, height: 1600 };
/**
 * Name, eye in m, gaze in degrees, and lens in mm on full frame; k1 of a lens that bows; and whether its edges are
 * left to trace.
 */
const PHOTOS = [
  { name: "the-corner", eye: [1.5, -1, 1.7], heading: 2, pitch: 0, roll: 0, lens: 28 },
  { name: "up-the-tower", eye: [-4, 3, 1.6], heading: -6, pitch: 22, roll: 1.5, lens: 24 },
  { name: "facing-the-house", eye: [2.6, -2.5, 1.65], heading: 32, pitch: 0, roll: 0, lens: 26, plain: true },
  {
    name: "tilted-and-bowed",
    eye: [14.4, 15.6, 1.7],
    heading: -56,
    pitch: 9,
    roll: -4,
    lens: 18,
    bow: -0.14,
    plain: true,
  },
];
/** A bowed photo is made of a straight one that takes in so many times more. */
const WIDER = 1.5;

/** What is traced in the demo. */
const TRACED = ["fish-hall", "kiosk"];

/** Draws one photo; runs in the page. */
const PAGE = `
import * as THREE from "three";
const wall = (seed, w, h) => {
  const c = document.createElement("canvas");
  c.width = 64 * Math.max(1, Math.round(w / 2.6)); c.height = 64 * Math.max(1, Math.round(h / 3.1));
  const g = c.getContext("2d");
  g.fillStyle = "hsl(" + (20 + (seed * 37) % 40) + " " + (14 + (seed * 13) % 20) + "% " + (52 + (seed * 29) % 22) + "%)";
  g.fillRect(0, 0, c.width, c.height);
  for (let y = 0; y < c.height; y += 8) { g.fillStyle = "rgba(0,0,0," + (0.03 + ((y * seed) % 5) / 160) + ")"; g.fillRect(0, y, c.width, 1); }
  for (let x = 0; x < c.width; x += 64) for (let y = 0; y < c.height; y += 64) {
    g.fillStyle = "#e9e2d2"; g.fillRect(x + 17, y + 15, 30, 36);
    g.fillStyle = (x + y + seed) % 3 ? "#3b4650" : "#57646b"; g.fillRect(x + 20, y + 18, 24, 30);
    g.fillStyle = "#e9e2d2"; g.fillRect(x + 31, y + 18, 2, 30);
  }
  const t = new THREE.CanvasTexture(c);
  t.colorSpace = THREE.SRGBColorSpace; t.anisotropy = 8;
  return new THREE.MeshLambertMaterial({ map: t });
};
globalThis.render = ({ blocks, eye, axes, fov, width, height }) => {
  const renderer = new THREE.WebGLRenderer({ antialias: true, preserveDrawingBuffer: true });
  renderer.setSize(width, height);
  const scene = new THREE.Scene();
  scene.background = new THREE.Color("#cfd8dc");
  scene.add(new THREE.HemisphereLight("#e8eef2", "#857b68", 2.2));
  const sun = new THREE.DirectionalLight("#fff2d8", 1.6);
  sun.position.set(-30, -60, 50);
  scene.add(sun);
  const ground = new THREE.Mesh(new THREE.PlaneGeometry(600, 600), new THREE.MeshLambertMaterial({ color: "#8f8a7f" }));
  scene.add(ground);
  blocks.forEach((b, i) => {
    const roof = new THREE.MeshLambertMaterial({ color: "#6a5a50" });
    const [long, wide] = [wall(i + 3, b.length, b.height), wall(i + 3, b.width, b.height)];
    // Box axes: x along the width, y along the length, z up.
    const mesh = new THREE.Mesh(new THREE.BoxGeometry(b.width, b.length, b.height), [0, 1, 2, 3, 4, 5].map((side) => (side < 2 ? long : side < 4 ? wide : roof)));
    const geometry = mesh.geometry;
    // Walls are numbered so that the texture stands upright on each.
    const uv = geometry.attributes.uv, p = geometry.attributes.position;
    for (let v = 0; v < 16; v++) { const across = v < 8 ? p.getY(v) / b.length : p.getX(v) / b.width; uv.setXY(v, across + 0.5, p.getZ(v) / b.height + 0.5); }
    const a = (b.heading * Math.PI) / 180, l = [Math.sin(a), Math.cos(a)], w = [Math.cos(a), -Math.sin(a)];
    mesh.position.set(b.origin.x + (l[0] * b.length + w[0] * b.width) / 2, b.origin.y + (l[1] * b.length + w[1] * b.width) / 2, b.origin.z + b.height / 2);
    mesh.rotation.z = -a;
    scene.add(mesh);
  });
  const camera = new THREE.PerspectiveCamera(fov, width / height, 0.1, 1000);
  const m = new THREE.Matrix4();
  const V = (v) => new THREE.Vector3(...v);
  m.makeBasis(V(axes.right), V(axes.up), V(axes.forward).negate());
  camera.quaternion.setFromRotationMatrix(m);
  camera.position.set(...eye);
  renderer.render(scene, camera);
  return renderer.domElement.toDataURL("image/png");
};
`;

/** The axes of an eye: forward, right and up of a heading, a pitch and a roll. */
function axesOf({ heading, pitch, roll }) {
  const [h, p, q] = [heading, pitch, roll].map((d) => (d * Math.PI) / 180);
  const [f0, r0] = [
    [Math.sin(h), Math.cos(h), 0],
    [Math.cos(h), -Math.sin(h), 0],
  ];
  const forward = [Math.cos(p) * f0[0], Math.cos(p) * f0[1], Math.sin(p)];
  const u1 = [-Math.sin(p) * f0[0], -Math.sin(p) * f0[1], Math.cos(p)];
  const mix = (a, x, b, y) => a.map((v, i) => v * x + b[i] * y);
  return { forward, right: mix(r0, Math.cos(q), u1, -Math.sin(q)), up: mix(r0, Math.sin(q), u1, Math.cos(q)) };
}

/**
 * Evenly spread numbers around 0 from a seed: a linear congruential generator (Numerical Recipes, 1992 (from
 * memory)).
 */
function shaker(seed) {
  let state = seed;
  return () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 4294967296 - 0.5;
}

/** Edges of some blocks as a hand would trace them: a little short, and a pixel or two off. */
function traced(blocks, eye, axes, f) {
  const shake = shaker(7);
  const dot = (a, b) => a.reduce((sum, v, i) => sum + v * b[i], 0);
  const px = (p) => {
    const v = p.map((c, i) => c - eye[i]);
    const c = dot(v, axes.forward);
    return [SIZE.width / 2 + (f * dot(v, axes.right)) / c, SIZE.height / 2 - (f * dot(v, axes.up)) / c];
  };
  const corner = (b, u, v, up) => {
    const a = (b.heading * Math.PI) / 180;
    return [
      b.origin.x + Math.sin(a) * u * b.length + Math.cos(a) * v * b.width,
      b.origin.y + Math.cos(a) * u * b.length - Math.sin(a) * v * b.width,
      b.origin.z + up * b.height,
    ];
  };
  const edge = (b, from, to) => {
    const [p, q] = [corner(b, ...from), corner(b, ...to)];
    const at = (t) => px(p.map((c, i) => c + t * (q[i] - c))).map((c) => Math.round((c + 3 * shake()) * 10) / 10);
    const [[x1, y1], [x2, y2]] = [at(0.04), at(0.8)];
    return { x1, y1, x2, y2, hand: 1.5 };
  };
  const of = (from, to) => blocks.map((b) => edge(b, from, to));
  return {
    left: [...of([0, 0, 0], [1, 0, 0]), ...of([0, 0, 1], [1, 0, 1])],
    right: [...of([0, 0, 0], [0, 1, 0]), ...of([0, 0, 1], [0, 1, 1])],
    upright: [...of([0, 0, 0], [0, 0, 1]), ...of([1, 0, 0], [1, 0, 1])],
  };
}

/**
 * A straight picture as a lens sees it that bows by k1: what lies r half diagonals from the middle is seen at r (1 +
 * k1 r^2).
 * @param straight raw px of a picture WIDER times as large each way, at the same focal length
 */
function bowed(straight, k1) {
  const { width, height } = SIZE;
  const [w, h] = [width * WIDER, height * WIDER];
  const out = Buffer.alloc(3 * width * height);
  const half = Math.hypot(width, height) / 2;
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const [dx, dy] = [(x + 0.5 - width / 2) / half, (y + 0.5 - height / 2) / half];
      const seen = Math.hypot(dx, dy);
      let r = seen;
      for (let i = 0; i < 12; i++) r -= (r * (1 + k1 * r * r) - seen) / (1 + 3 * k1 * r * r);
      const k = seen > 0 ? r / seen : 1;
      const [u, v] = [w / 2 + k * dx * half - 0.5, h / 2 + k * dy * half - 0.5];
      const [i, j] = [Math.floor(u), Math.floor(v)];
      const [s, t] = [u - i, v - j];
      for (let c = 0; c < 3; c++) {
        const at = (p, q) => straight[3 * (q * w + p) + c];
        out[3 * (y * width + x) + c] =
          (at(i, j) * (1 - s) + at(i + 1, j) * s) * (1 - t) + (at(i, j + 1) * (1 - s) + at(i + 1, j + 1) * s) * t;
      }
    }
  }
  return out;
}

const {
  outputFiles: [script],
} = await build({
  stdin: { contents: PAGE, resolveDir: here },
  bundle: true,
  write: false,
  format: "iife",
  logLevel: "error",
});
const { elements } = JSON.parse(readFileSync(join(here, "1-quay-street.zanvo.json"), "utf8"));
const browser = await chromium.launch({
  executablePath: chromiumPath(),
  args: ["--no-sandbox", "--use-angle=swiftshader", "--enable-unsafe-swiftshader"],
});
const page = await browser.newPage();
await page.addScriptTag({ content: script.text });
const only = process.argv.slice(2);
for (const { name, eye, lens, bow, plain, ...gaze } of PHOTOS.filter(
  ({ name }) => only.length === 0 || only.includes(name),
)) {
  const f = (lens * Math.hypot(SIZE.width, SIZE.height)) / Math.hypot(36, 24);
  const taken = bow ? { width: SIZE.width * WIDER, height: SIZE.height * WIDER } : SIZE;
  const fov = (2 * Math.atan(taken.height / 2 / f) * 180) / Math.PI;
  const url = await page.evaluate((what) => globalThis.render(what), {
    blocks: elements,
    eye,
    axes: axesOf(gaze),
    fov,
    ...taken,
  });
  const straight = sharp(Buffer.from(url.split(",")[1], "base64")).removeAlpha();
  const picture = bow
    ? sharp(bowed(await straight.raw().toBuffer(), bow), { raw: { ...SIZE, channels: 3 } })
    : straight;
  const grain = await sharp({
    create: { ...SIZE, channels: 3, background: "#808080", noise: { type: "gaussian", mean: 128, sigma: 9 } },
  })
    .png()
    .toBuffer();
  await picture
    .composite([{ input: grain, blend: "soft-light" }])
    .withExif({ IFD2: { FocalLengthIn35mmFilm: String(lens) } })
    .jpeg({ quality: 86 })
    .toFile(join(here, "photos", `${name}.jpg`));
  const edges = plain
    ? {}
    : {
        edges: traced(
          elements.filter(({ id }) => TRACED.includes(id)),
          eye,
          axesOf(gaze),
          f,
        ),
      };
  writeFileSync(
    join(here, "photos", `${name}.json`),
    `${JSON.stringify({ ...SIZE, focalLength: f, centre: [SIZE.width / 2, SIZE.height / 2], eye, ...gaze, lens, ...(bow ? { bow } : {}), ...edges }, null, 2)}\n`,
  );
}
await browser.close();
