import type { BeeOnComb } from '@brave-comb/core/practice';
import { type Ink, type Light, canvas } from './comb-sprites';

const COATS = ['#7a5528', '#6a4822', '#8a6430', '#5c4020'] as const;

function paintBee(
  ink: Ink,
  { caste, mark }: Pick<BeeOnComb, 'caste' | 'mark'>,
  coat: string,
  unit: number,
  light: Light,
): void {
  const broad = { worker: 0.34, drone: 0.44, queen: 0.27 }[caste];
  const blob = (along: number, across: number, rx: number, ry: number, fill: string) => {
    ink.fillStyle = fill;
    ink.beginPath();
    ink.ellipse(along, across, rx, ry, 0, 0, 2 * Math.PI);
    ink.fill();
  };
  ink.scale(unit, unit);
  blob(-0.06, 0.08, 0.98, broad * 0.95, 'rgb(0 0 0 / 0.28)');
  ink.strokeStyle = '#2c1e10';
  ink.lineWidth = 0.05;
  ink.beginPath();
  for (const along of [0.12, 0.3, 0.46])
    for (const across of [-1, 1]) {
      ink.moveTo(along, 0);
      ink.lineTo(along - 0.1 + along * 0.3, across * (broad + 0.22));
    }
  ink.stroke();
  const abdomen = caste === 'queen' ? 0.62 : 0.5;
  blob(-0.98 + abdomen, 0, abdomen, broad, coat);
  ink.fillStyle = 'rgb(30 18 8 / 0.75)';
  const bands = caste === 'queen' ? [] : [-0.72, -0.5, -0.28];
  for (const band of bands) ink.fillRect(band, -broad * 0.92, 0.08, broad * 1.84);
  if (caste === 'queen') {
    ink.fillStyle = 'rgb(60 30 10 / 0.35)';
    for (const band of [-0.7, -0.45, -0.2]) ink.fillRect(band, -broad * 0.9, 0.05, broad * 1.8);
  }
  blob(0.36, 0, 0.26, broad * 0.92, caste === 'queen' ? '#6b3f1c' : '#57401f');
  blob(0.76, 0, 0.17, broad * (caste === 'drone' ? 0.86 : 0.66), '#2c1e10');
  if (caste === 'drone') {
    blob(0.8, -0.2, 0.12, 0.18, '#17110a');
    blob(0.8, 0.2, 0.12, 0.18, '#17110a');
  }
  const wings = caste === 'queen' ? 0.42 : 0.62;
  for (const across of [-1, 1]) {
    ink.save();
    ink.rotate(across * 0.22);
    blob(0.3 - wings, across * broad * 0.7, wings, 0.15, 'rgb(228 232 226 / 0.42)');
    ink.restore();
  }
  if (mark !== null) blob(0.36, 0, 0.14, 0.14, mark);
  if (light === 'dull-day') blob(0, 0, 1, broad, 'rgb(30 38 46 / 0.25)');
}

/** Headings that are drawn: bees turn by eleven degrees. */
const HEADINGS = 32;
/** Bees drawn before, by all that makes them look different. */
const drawn = new Map<string, CanvasImageSource & { readonly width: number }>();
const KEPT = 600;

/**
 * Draws a bee on a comb.
 *
 * @param ink where; its upper left corner is that of the comb
 * @param bee the bee
 * @param size width of a cell, px
 * @param light where the light comes from
 */
export function drawBee(ink: Ink, bee: BeeOnComb, size: number, light: Light): void {
  const { x, y, heading, caste, length, mark, tint } = bee;
  const coat = caste === 'queen' ? '#a8672c' : caste === 'drone' ? '#4a3620' : COATS[Math.floor(tint * COATS.length)]!;
  const turn = Math.round((heading / (2 * Math.PI)) * HEADINGS) % HEADINGS;
  const long = Math.round(length * size);
  const key = [caste, coat, mark, turn, long, light === 'dull-day'].join(' ');
  let sprite = drawn.get(key);
  if (!sprite) {
    if (drawn.size >= KEPT) drawn.clear();
    const side = Math.ceil(long * 1.3);
    const { sheet, ink: own } = canvas(side, side);
    own?.translate(side / 2, side / 2);
    own?.rotate((turn / HEADINGS) * 2 * Math.PI);
    if (own) paintBee(own, bee, coat, long / 2, light);
    sprite = sheet;
    drawn.set(key, sprite);
  }
  const half = sprite.width / 2;
  ink.drawImage(sprite, Math.round(x * size - half), Math.round((y + 0.15) * size - half));
}
