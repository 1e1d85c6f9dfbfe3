import jsQR from 'jsqr';
import { renderToStaticMarkup } from 'react-dom/server';
import { expect, test } from 'vitest';
import Qr from './qr';

/** Pixels of one module: what a camera sees is larger than one dot. */
const PX = 4;

/** The drawing as pixels, by its own path alone. */
function pixels(markup: string) {
  const across = Number(/viewBox="0 0 (\d+) \d+"/.exec(markup)![1]);
  const data = new Uint8ClampedArray((across * PX) ** 2 * 4).fill(255);
  for (const [, x, y] of markup.matchAll(/M(\d+) (\d+)h1v1h-1z/g))
    for (let i = 0; i < PX * PX; i++) {
      const at = ((Number(y) * PX + Math.floor(i / PX)) * across * PX + Number(x) * PX + (i % PX)) * 4;
      data.fill(0, at, at + 3);
    }
  return { data, across: across * PX };
}

test.each([
  'https://studio.example/h/VmFaXC3qzk7Uz5PMgOp9q8rm3WG0dtB04rDX-B52cw0',
  'http://127.0.0.1:4318/h/______________________________-____________',
])('a private link is read back as it was written: %s', (address) => {
  const { data, across } = pixels(renderToStaticMarkup(<Qr text={address} label="The link" />));
  expect(jsQR(data, across, across)?.data).toBe(address);
});
