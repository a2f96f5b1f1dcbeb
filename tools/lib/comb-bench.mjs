// A comb of practice in the browser: how long it takes to be drawn, and how many frames a second it keeps while it is dragged.

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

/**
 * @param page on which somebody has signed in
 * @param address of the server
 */
export async function combBench(page, address) {
  await page.goto(`${address}/practice/comb-brood`);
  await page.locator('bc-comb-stage canvas').waitFor();
  const spans = (what) =>
    page.evaluate(async (which) => {
      const lights = [...document.querySelectorAll('bc-comb-stage [aria-label="Light"] button')].slice(0, 3);
      const found = [];
      for (let round = 0; round < 24; round += 1) {
        await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
        const began = performance.now();
        if (which === 'comb') lights[round % 3].click();
        await new Promise((done) => {
          requestAnimationFrame(() => {
            const { port1, port2 } = new MessageChannel();
            port1.onmessage = done;
            port2.postMessage(null);
          });
        });
        // The first of each light draws its sprites as well.
        if (round >= 3) found.push(performance.now() - began);
      }
      return found;
    }, what);
  const [drawn, nothing] = [await spans('comb'), await spans('nothing')];
  await page.getByRole('button', { name: 'closer' }).click();
  await page.getByRole('button', { name: 'closer' }).click();
  const frames = await page.evaluate(async () => {
    const canvas = document.querySelector('bc-comb-stage canvas');
    const box = canvas.getBoundingClientRect();
    const send = (type, x, y) =>
      canvas.dispatchEvent(new PointerEvent(type, { clientX: box.left + x, clientY: box.top + y, bubbles: true }));
    canvas.setPointerCapture = () => undefined;
    send('pointerdown', 400, 200);
    const found = [];
    let before = performance.now();
    for (let step = 0; step < 90; step += 1) {
      send('pointermove', 400 - 150 * Math.sin(step / 12), 200 - 80 * Math.cos(step / 9));
      await new Promise((done) => requestAnimationFrame(done));
      const now = performance.now();
      found.push(now - before);
      before = now;
    }
    send('pointerup', 400, 200);
    return found;
  });
  return { drawn: median(drawn), worst: Math.max(...drawn), empty: median(nothing), frame: median(frames) };
}
