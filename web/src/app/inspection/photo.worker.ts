/** Scales a photo down and writes it anew: nothing of where and with what it was taken is left in it. */
const LONGEST = 1600;
const BYTES = 500_000;

async function scaled(photo: Blob): Promise<Blob> {
  const picture = await createImageBitmap(photo).catch(() => {
    throw new Error('This file is no picture that can be read. Take the photo again, or choose a JPEG or PNG.');
  });
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = new OffscreenCanvas(Math.round(picture.width * scale), Math.round(picture.height * scale));
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  for (const quality of [0.85, 0.7, 0.5, 0.3]) {
    const jpeg = await canvas.convertToBlob({ type: 'image/jpeg', quality });
    if (jpeg.size <= BYTES) return jpeg;
  }
  throw new Error('The photo stays too large. Take it from further away, or without flash.');
}

addEventListener('message', ({ data }: MessageEvent<Blob>) => {
  scaled(data).then(
    (jpeg) => postMessage({ jpeg }),
    (error: unknown) => postMessage({ problem: error instanceof Error ? error.message : 'This is no photo.' }),
  );
});
