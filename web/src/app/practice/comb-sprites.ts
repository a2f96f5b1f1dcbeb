import { POLLEN_COLOURS, type PollenColour } from '@brave-comb/core/inspection';
import type { CellKind, Ground } from '@brave-comb/core/practice';

/** Where the light comes from. */
export const LIGHTS = ['from-above', 'along-the-cells', 'from-behind', 'dull-day'] as const;
export type Light = (typeof LIGHTS)[number];

/** How a comb is lit and what it is built on: sprites of one look serve all its cells. */
export interface Look {
  readonly light: Light;
  readonly ground: Ground;
  /** 0 new wax to 1 black. */
  readonly age: number;
  /** Width of a cell, px. */
  readonly size: number;
}

export type Ink = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;

/** A way to draw one kind of cell, around its middle, in a hexagon whose width is 1. */
type Stroke = (ink: Ink, variant: number, look: Look) => void;

/** Variants of each kind. */
export const VARIANTS = 4;
const TURN = 2 * Math.PI;

const mix = (a: readonly [number, number, number], b: readonly [number, number, number], share: number): string =>
  `rgb(${a.map((each, index) => Math.round(each + (b[index]! - each) * share)).join(' ')})`;

const NEW_WAX = [226, 205, 140] as const;
const OLD_WAX = [58, 43, 30] as const;
const wax = ({ age }: Look, lighter = 0): string => mix(NEW_WAX, OLD_WAX, Math.max(0, age - lighter));

function hexagon(ink: Ink, radius: number): void {
  ink.beginPath();
  for (let corner = 0; corner < 6; corner += 1) {
    const angle = (corner / 6) * TURN - Math.PI / 2;
    ink.lineTo(radius * Math.cos(angle), radius * Math.sin(angle));
  }
  ink.closePath();
}

const FULL = 1 / Math.sqrt(3);

function disc(ink: Ink, x: number, y: number, rx: number, ry: number, fill: string, turn = 0): void {
  ink.fillStyle = fill;
  ink.beginPath();
  ink.ellipse(x, y, rx, ry, turn, 0, TURN);
  ink.fill();
}

function arc(ink: Ink, radius: number, from: number, to: number, width: number, colour: string): void {
  ink.strokeStyle = colour;
  ink.lineWidth = width;
  ink.lineCap = 'round';
  ink.beginPath();
  ink.arc(0, 0, radius, from, to);
  ink.stroke();
}

/** An open cell: walls, and a floor as dark as the wax is old. */
function openCell(ink: Ink, look: Look): void {
  const { light, ground } = look;
  hexagon(ink, FULL);
  ink.fillStyle = wax(look, 0.22);
  ink.fill();
  hexagon(ink, FULL * 0.86);
  const floor = ground === 'light' ? [214, 192, 128] : [46, 34, 24];
  const glow = light === 'from-behind' ? 0.35 * (1 - look.age) : light === 'dull-day' ? -0.25 : 0;
  ink.fillStyle = mix([floor[0]!, floor[1]!, floor[2]!], glow < 0 ? [10, 8, 6] : [255, 214, 130], Math.abs(glow));
  ink.fill();
  // Light along the cells leaves one wall bright and throws a shadow from the other.
  if (light === 'along-the-cells') {
    ink.fillStyle = 'rgb(0 0 0 / 0.28)';
    ink.beginPath();
    ink.ellipse(-0.16, -0.18, 0.3, 0.26, 0.7, 0, TURN);
    ink.fill();
  } else {
    disc(ink, 0, 0.02, 0.3, 0.28, 'rgb(0 0 0 / 0.16)');
  }
}

/** An egg, a thin rod; how well it stands out from the floor depends on the light and on what is behind it. */
function egg(ink: Ink, x: number, y: number, turn: number, { light, ground }: Look): void {
  const seen = { 'from-above': 0.6, 'along-the-cells': 1, 'from-behind': 0.75, 'dull-day': 0.38 }[light];
  ink.save();
  ink.translate(x, y);
  ink.rotate(turn);
  if (light === 'along-the-cells') disc(ink, 0.02, 0.05, 0.15, 0.045, 'rgb(0 0 0 / 0.45)');
  ink.globalAlpha = ground === 'light' ? seen * 0.62 : seen;
  disc(ink, 0, 0, 0.145, 0.043, '#fffdf2');
  ink.restore();
}

function larva(
  ink: Ink,
  radius: number,
  width: number,
  turn: number,
  colours: readonly [rim: string, body: string],
): void {
  ink.save();
  ink.rotate(turn);
  arc(ink, radius, 0.6, TURN - 0.6, width + 0.05, colours[0]);
  arc(ink, radius, 0.6, TURN - 0.6, width, colours[1]);
  ink.restore();
}

function lid(ink: Ink, fill: string, rim: string): void {
  hexagon(ink, FULL);
  ink.fillStyle = rim;
  ink.fill();
  hexagon(ink, FULL * 0.93);
  ink.fillStyle = fill;
  ink.fill();
}

/** Brood lids are wax and silk: biscuit on new comb, brown on old. */
const broodLid = ({ age }: Look, variant: number): string =>
  mix([205, 168, 120], [128, 92, 60], Math.min(1, age * 0.9 + variant * 0.05));
const PEARL = ['#cfc7ae', '#f7f4e8'] as const;
const ANGLES = [-0.6, 0.35, 1.3, 2.2] as const;

const DRAW: Readonly<Record<Exclude<CellKind, 'pollen'>, Stroke>> = {
  empty: (ink, _, look) => openCell(ink, look),
  egg: (ink, variant, look) => {
    openCell(ink, look);
    egg(ink, (variant - 1.5) * 0.03, 0.04, ANGLES[variant]!, look);
  },
  'two-eggs': (ink, variant, look) => {
    openCell(ink, look);
    egg(ink, -0.1, 0.06, ANGLES[variant]!, look);
    egg(ink, 0.11, -0.04, ANGLES[variant]! + 1.1, look);
  },
  'young-larva': (ink, variant, look) => {
    openCell(ink, look);
    disc(ink, 0, 0.02, 0.27, 0.25, 'rgb(226 222 200 / 0.35)');
    larva(ink, 0.13 + variant * 0.012, 0.085, variant * 1.7, PEARL);
  },
  'old-larva': (ink, variant, look) => {
    openCell(ink, look);
    larva(ink, 0.22 + variant * 0.01, 0.2, variant * 2.1, PEARL);
  },
  'sealed-worker': (ink, variant, look) => {
    lid(ink, broodLid(look, variant), mix([150, 114, 76], OLD_WAX, look.age * 0.7));
    disc(ink, -0.05, -0.08, 0.27, 0.21, 'rgb(255 236 200 / 0.22)');
    ink.strokeStyle = 'rgb(88 60 36 / 0.5)';
    ink.lineWidth = 0.04;
    ink.beginPath();
    ink.arc((variant - 1.5) * 0.08, 0.1, 0.12, 0.5 + variant * 0.4, 2.2 + variant * 0.4);
    ink.stroke();
  },
  hatching: (ink, variant, look) => {
    lid(ink, broodLid(look, variant), mix([150, 114, 76], OLD_WAX, look.age * 0.7));
    disc(ink, 0, 0, 0.24, 0.21, '#2a1d12');
    disc(ink, 0.02, 0.03, 0.17, 0.15, '#6b4a2a');
    arc(ink, 0.28, variant, variant + 2.6, 0.05, '#c9a273');
  },
  'sealed-drone': (ink, variant, look) => dome(ink, variant, look, 0.5),
  nectar: (ink, variant, look) => {
    openCell(ink, look);
    hexagon(ink, FULL * 0.78);
    ink.fillStyle = 'rgb(176 156 96 / 0.45)';
    ink.fill();
    const glint = look.light === 'dull-day' ? 0.45 : 0.95;
    arc(ink, 0.26, 3.5 + variant * 0.15, 4.7 + variant * 0.15, 0.07, `rgb(255 255 255 / ${glint})`);
    disc(ink, 0.15 - variant * 0.03, 0.14, 0.05, 0.04, `rgb(255 255 255 / ${glint * 0.7})`);
  },
  'capped-honey': (ink, variant, look) => {
    const old = Math.min(1, look.age * 0.8);
    lid(
      ink,
      mix([240, 228, 196], [176, 148, 104], old * 0.6 + variant * 0.06),
      mix([206, 188, 146], [120, 96, 64], old),
    );
    ink.strokeStyle = 'rgb(140 116 70 / 0.5)';
    ink.lineWidth = 0.04;
    ink.beginPath();
    ink.moveTo(-0.26 + variant * 0.05, -0.06 + variant * 0.04);
    ink.quadraticCurveTo(0, 0.06, 0.24, -0.08);
    ink.moveTo(-0.16, 0.17 - variant * 0.02);
    ink.quadraticCurveTo(0.04, 0.26, 0.2, 0.12);
    ink.stroke();
  },
  foundation: (ink, _, { ground }) => {
    hexagon(ink, FULL);
    ink.fillStyle = ground === 'light' ? '#ecdca2' : '#5c4630';
    ink.fill();
    hexagon(ink, FULL * 0.9);
    ink.strokeStyle = ground === 'light' ? '#d9c581' : '#735a40';
    ink.lineWidth = 0.05;
    ink.stroke();
  },
  spoilt: (ink, variant, look) => {
    openCell(ink, look);
    disc(ink, 0, 0, 0.36, 0.34, 'rgb(158 160 148 / 0.8)');
    disc(ink, -0.1 + variant * 0.06, 0.08, 0.14, 0.12, 'rgb(96 104 88 / 0.8)');
  },
  'sunken-lid': (ink, variant, look) => {
    lid(ink, mix([112, 78, 48], [60, 40, 24], look.age), mix([150, 114, 76], OLD_WAX, look.age * 0.7));
    disc(ink, 0.02, 0.03, 0.3, 0.27, 'rgb(28 16 8 / 0.55)');
    arc(ink, 0.3, 0.3 + variant * 0.2, 1.9 + variant * 0.2, 0.05, 'rgb(232 208 170 / 0.45)');
  },
  'pierced-lid': (ink, variant, look) => {
    lid(ink, mix([120, 84, 52], [64, 44, 26], look.age), mix([150, 114, 76], OLD_WAX, look.age * 0.7));
    disc(ink, 0, 0, 0.28, 0.25, 'rgb(40 24 12 / 0.5)');
    disc(ink, (variant - 1.5) * 0.06, 0.02, 0.11, 0.08, '#120b06', variant);
  },
  'bald-pupa': (ink, variant, look) => {
    openCell(ink, look);
    disc(ink, 0, 0, 0.34, 0.32, '#f4efe2');
    const eye = ['#e6cfc6', '#b98aa0', '#7a3f62', '#3a1f30'][variant]!;
    disc(ink, -0.16, -0.03, 0.07, 0.1, eye);
    disc(ink, 0.16, -0.03, 0.07, 0.1, eye);
  },
  'twisted-larva': (ink, variant, look) => {
    openCell(ink, look);
    ink.save();
    ink.rotate(variant * 1.4);
    ink.strokeStyle = '#8f7a3a';
    ink.lineWidth = 0.21;
    ink.lineCap = 'round';
    ink.beginPath();
    ink.moveTo(-0.24, -0.16);
    ink.bezierCurveTo(0.1, -0.3, -0.1, 0.28, 0.24, 0.14);
    ink.stroke();
    ink.strokeStyle = '#d8c37a';
    ink.lineWidth = 0.15;
    ink.stroke();
    ink.restore();
  },
  mummy: (ink, variant, look) => {
    openCell(ink, look);
    disc(ink, 0.01, 0.01, 0.29, 0.26, variant > 1 ? '#8d8f8c' : '#eceae2', variant);
    disc(ink, -0.07, -0.08, 0.09, 0.06, 'rgb(255 255 255 / 0.5)');
  },
  'domed-in-worker-cell': (ink, variant, look) => dome(ink, variant, look, 0.43),
};

/** A drone's lid stands up like a bullet: a bright crown and a dark rim. */
function dome(ink: Ink, variant: number, look: Look, radius: number): void {
  lid(ink, mix([112, 82, 52], OLD_WAX, look.age * 0.6), mix([128, 96, 62], OLD_WAX, look.age * 0.7));
  const shine = ink.createRadialGradient(-0.12, -0.16, 0.02, 0, 0, radius);
  const dull = look.light === 'dull-day' ? 0.3 : 0;
  shine.addColorStop(0, mix([236, 206, 160], [130, 100, 70], dull));
  shine.addColorStop(0.7, mix([180, 140, 98], [96, 68, 44], look.age * 0.6));
  shine.addColorStop(1, mix([120, 88, 58], OLD_WAX, look.age * 0.6));
  ink.fillStyle = shine;
  ink.beginPath();
  ink.arc(0, 0, radius * 0.97, 0, TURN);
  ink.fill();
  arc(ink, radius * 0.62, 3.4 + variant * 0.1, 4.6 + variant * 0.1, 0.06, 'rgb(255 240 212 / 0.75)');
}

function pollen(ink: Ink, variant: number, look: Look, colour: PollenColour): void {
  openCell(ink, look);
  hexagon(ink, FULL * 0.8);
  ink.fillStyle = POLLEN_COLOURS[colour];
  ink.fill();
  ink.fillStyle = 'rgb(0 0 0 / 0.2)';
  ink.beginPath();
  ink.moveTo(-0.2 + variant * 0.05, -0.04);
  ink.lineTo(0.02, -0.2);
  ink.lineTo(0.2, 0.02);
  ink.lineTo(0.04, 0.2 - variant * 0.03);
  ink.closePath();
  ink.fill();
  disc(ink, -0.12, -0.15, 0.07, 0.06, 'rgb(255 255 255 / 0.28)');
}

/** A canvas that nobody sees, with its ink; `null` where the browser draws nothing. */
export function canvas(
  width: number,
  height: number,
): { readonly sheet: CanvasImageSource & { readonly width: number }; readonly ink: Ink | null } {
  if (typeof OffscreenCanvas === 'undefined') {
    const sheet = Object.assign(document.createElement('canvas'), { width, height });
    return { sheet, ink: sheet.getContext('2d') };
  }
  const sheet = new OffscreenCanvas(width, height);
  return { sheet, ink: sheet.getContext('2d', { willReadFrequently: true }) };
}

/** What one sprite shows. */
export const spriteKey = (kind: CellKind, colour: PollenColour | null, variant: number): string =>
  `${kind}/${colour ?? ''}/${variant}`;

/** Every cell that a comb shows, each drawn once, as pixels. */
export interface Sprites {
  /** Pixels of each sprite by {@link spriteKey}, `step` by `step`, red first. */
  readonly pixels: ReadonlyMap<string, Uint8ClampedArray>;
  readonly step: number;
}

/** Cells lap over each other a little, so that whole pixels leave no lines between them. */
const LAP = 1.1;

/**
 * Draws the sprites of a comb.
 *
 * @param cells kinds and pollen colours that occur
 * @param look light, ground, age of the wax, width of a cell
 * @returns their pixels; nothing where the browser draws nothing
 */
export function drawSprites(
  cells: readonly { readonly kind: CellKind; readonly colour: PollenColour | null }[],
  look: Look,
): Sprites {
  const step = Math.ceil(look.size * 1.25);
  const [width, height] = [step * VARIANTS, step * cells.length];
  const pixels = new Map<string, Uint8ClampedArray>();
  const { ink } = canvas(width, height);
  if (!ink) return { pixels, step };
  cells.forEach(({ kind, colour }, row) => {
    for (let variant = 0; variant < VARIANTS; variant += 1) {
      ink.save();
      ink.translate((variant + 0.5) * step, (row + 0.5) * step);
      ink.scale(look.size * LAP, look.size * LAP);
      if (kind === 'pollen') pollen(ink, variant, look, colour ?? 'golden');
      else DRAW[kind](ink, variant, look);
      if (look.light === 'dull-day') {
        hexagon(ink, FULL);
        ink.fillStyle = 'rgb(30 38 46 / 0.3)';
        ink.fill();
      }
      ink.restore();
    }
  });
  const { data } = ink.getImageData(0, 0, width, height);
  cells.forEach(({ kind, colour }, row) => {
    for (let variant = 0; variant < VARIANTS; variant += 1) {
      const own = new Uint8ClampedArray(step * step * 4);
      for (let line = 0; line < step; line += 1) {
        const from = ((row * step + line) * width + variant * step) * 4;
        own.set(data.subarray(from, from + step * 4), line * step * 4);
      }
      pixels.set(spriteKey(kind, colour, variant), own);
    }
  });
  return { pixels, step };
}
