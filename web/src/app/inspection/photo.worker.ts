/** Scales a photo down and writes it anew: nothing of where and with what it was taken is left in it. */
const LONGEST = 1600;
const BYTES = 500_000;

/** A photo as it is kept, or what is wrong with it. */
export type Scaled = { readonly jpeg: Blob } | { readonly problem: 'no-picture' | 'too-large' };

async function scaled(photo: Blob): Promise<Scaled> {
  const picture = await createImageBitmap(photo).catch(() => null);
  if (!picture) return { problem: 'no-picture' };
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = new OffscreenCanvas(Math.round(picture.width * scale), Math.round(picture.height * scale));
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  for (const quality of [0.85, 0.7, 0.5, 0.3]) {
    const jpeg = await canvas.convertToBlob({ type: 'image/jpeg', quality });
    if (jpeg.size <= BYTES) return { jpeg };
  }
  return { problem: 'too-large' };
}

addEventListener('message', ({ data }: MessageEvent<Blob>) => void scaled(data).then((done) => postMessage(done)));
