import type { Letter, PollenColour } from '@brave-comb/core/inspection';
import { CELL_MM, type CellKind, type CombPicture, ROW_MM, middleOf, neighboursOf } from '@brave-comb/core/practice';
import { drawBee } from './bee-sprites';
import { type Ink, type Light, type Sprites, VARIANTS, drawSprites, spriteKey } from './comb-sprites';

/** Width and height of a comb in widths of a cell. */
export const combSize = ({ side: { grid } }: Pick<CombPicture, 'side'>): readonly [number, number] => [
  grid.columns + 0.5,
  grid.rows * (ROW_MM / CELL_MM) + 0.3,
];

/** Sprites of the looks drawn last: a change of light or a second look draws none anew. */
const drawn = new Map<string, Sprites>();
const KEPT = 8;

function spritesFor({ side: { kinds, pollens }, ground, age }: CombPicture, light: Light, size: number): Sprites {
  const cells = new Map<string, { readonly kind: CellKind; readonly colour: PollenColour | null }>();
  kinds.forEach((kind, cell) => {
    const colour = pollens[cell] ?? null;
    cells.set(spriteKey(kind, colour, 0), { kind, colour });
  });
  const key = [light, size, ground, age, ...[...cells.keys()].sort()].join(' ');
  const known = drawn.get(key);
  if (known) return known;
  if (drawn.size >= KEPT) drawn.delete(drawn.keys().next().value!);
  const sprites = drawSprites([...cells.values()], { light, ground, age, size });
  drawn.set(key, sprites);
  return sprites;
}

/** Lays a sprite over an image: solid pixels are copied, the others mixed. */
function lay(image: ImageData, sprite: Uint8ClampedArray, step: number, left: number, top: number): void {
  const { data, width, height } = image;
  for (let line = Math.max(0, -top); line < step && top + line < height; line += 1) {
    let to = ((top + line) * width + left) * 4;
    let from = line * step * 4;
    for (let column = 0; column < step; column += 1, to += 4, from += 4) {
      const alpha = sprite[from + 3]!;
      if (alpha === 0 || left + column < 0 || left + column >= width) continue;
      if (alpha === 255) {
        data[to] = sprite[from]!;
        data[to + 1] = sprite[from + 1]!;
        data[to + 2] = sprite[from + 2]!;
        continue;
      }
      const share = alpha / 255;
      data[to]! += (sprite[from]! - data[to]!) * share;
      data[to + 1]! += (sprite[from + 1]! - data[to + 1]!) * share;
      data[to + 2]! += (sprite[from + 2]! - data[to + 2]!) * share;
    }
  }
}

/**
 * Draws a comb with its bees.
 *
 * @param ink where; its upper left corner is that of the comb
 * @param picture the comb
 * @param light where the light comes from
 * @param size width of a cell, px
 */
export function paintComb(ink: Ink, picture: CombPicture, light: Light, size: number): void {
  const { side, ground, bees } = picture;
  const { grid, kinds, pollens, tints } = side;
  const [width, height] = combSize(picture).map((each) => Math.ceil(each * size)) as [number, number];
  const { pixels, step } = spritesFor(picture, light, size);
  const image = ink.createImageData(width, height);
  new Uint32Array(image.data.buffer).fill(ground === 'light' ? 0xff8ac4d8 : 0xff2f455a);
  for (let cell = 0; cell < kinds.length; cell += 1) {
    const [x, y] = middleOf(grid, cell);
    const sprite = pixels.get(spriteKey(kinds[cell]!, pollens[cell] ?? null, Math.floor(tints[cell]! * VARIANTS)));
    if (sprite) lay(image, sprite, step, Math.round(x * size - step / 2), Math.round((y + 0.15) * size - step / 2));
  }
  ink.putImageData(image, 0, 0);
  for (const bee of [...bees].reverse()) drawBee(ink, bee, size, light);
}

/** Where the middle of a cell is drawn, px. */
export const cellPoint = (
  { side: { grid } }: Pick<CombPicture, 'side'>,
  cell: number,
  size: number,
): readonly [number, number] => {
  const [x, y] = middleOf(grid, cell);
  return [x * size, (y + 0.15) * size];
};

/** Lines along the cell walls where one zone meets another. */
export function zoneWalls(picture: CombPicture, zones: readonly Letter[], size: number): Path2D {
  const { grid } = picture.side;
  const walls = new Path2D();
  const radius = size / Math.sqrt(3);
  for (let cell = 0; cell < zones.length; cell += 1) {
    const [x, y] = cellPoint(picture, cell, size);
    for (const other of neighboursOf(grid, cell)) {
      if (other < cell || zones[other] === zones[cell]) continue;
      const [ox, oy] = cellPoint(picture, other, size);
      const [mx, my] = [(x + ox) / 2, (y + oy) / 2];
      const [dx, dy] = [-(oy - y), ox - x];
      const half = radius / 2 / Math.hypot(dx, dy);
      walls.moveTo(mx - dx * half, my - dy * half);
      walls.lineTo(mx + dx * half, my + dy * half);
    }
  }
  return walls;
}

/** Where a zone's name stands: the cell of it that lies furthest inside. */
export function zoneMiddles(
  { grid }: CombPicture['side'],
  zones: readonly Letter[],
): readonly { readonly letter: Letter; readonly cell: number }[] {
  const depth = new Int16Array(zones.length);
  let rim = [...zones.keys()].filter((cell) => {
    const near = neighboursOf(grid, cell);
    return near.length < 6 || near.some((other) => zones[other] !== zones[cell]);
  });
  for (const cell of rim) depth[cell] = 1;
  while (rim.length > 0) {
    const next: number[] = [];
    for (const cell of rim)
      for (const other of neighboursOf(grid, cell))
        if (depth[other] === 0 && zones[other] === zones[cell]) {
          depth[other] = depth[cell]! + 1;
          next.push(other);
        }
    rim = next;
  }
  const best = new Map<Letter, number>();
  zones.forEach((letter, cell) => {
    const known = best.get(letter);
    if (known === undefined || depth[cell]! > depth[known]!) best.set(letter, cell);
  });
  return [...best].map(([letter, cell]) => ({ letter, cell }));
}
