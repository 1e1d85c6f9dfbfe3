import { FIRST_FACE, type Letters } from './letters';

/**
 * A drawing of the page, as SVG text, in the faces of a file. A file paints the rim of a letter over it, where the page
 * paints it beneath: such letters are written twice, rim first.
 */
export function inFaces(text: string, letters: Letters): string {
  const drawing = new DOMParser().parseFromString(text, 'image/svg+xml');
  for (const words of drawing.querySelectorAll('text, tspan')) {
    words.removeAttribute('paint-order');
    words.setAttribute('font-family', faceOf(words.textContent, letters));
  }
  for (const words of drawing.querySelectorAll('text')) {
    const rim = words.getAttribute('stroke');
    if (!rim || rim === 'none') continue;
    const beneath = words.cloneNode(true) as Element;
    words.before(beneath);
    for (const part of [words, ...words.querySelectorAll('tspan')]) part.setAttribute('stroke', 'none');
    for (const part of [beneath, ...beneath.querySelectorAll('tspan')]) part.setAttribute('fill', rim);
  }
  return new XMLSerializer().serializeToString(drawing);
}

/** Words of a drawing are in one face: the widest that any of their letters needs. */
const faceOf = (words: string, letters: Letters): string =>
  letters
    .runs(words)
    .map((run) => run.font)
    .reduce(
      (a, b) => (Object.keys(letters.fonts).indexOf(b) > Object.keys(letters.fonts).indexOf(a) ? b : a),
      FIRST_FACE,
    );
