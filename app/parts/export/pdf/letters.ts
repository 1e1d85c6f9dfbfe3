import nextLatin from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url';
import nextLatinBold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url';
import nextExt from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url';
import nextExtBold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url';
import signs from 'dejavu-fonts-ttf/ttf/DejaVuSans.ttf?url';
import signsBold from 'dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf?url';
import { create, type Font } from 'fontkit';

/** The app's own letters first; arrows, marks and other alphabets from a wider one, fetched only when they are needed. */
const FACES = [
  { name: 'letters', normal: nextLatin, bold: nextLatinBold },
  { name: 'letters further', normal: nextExt, bold: nextExtBold },
  { name: 'signs', normal: signs, bold: signsBold },
] as const;
export const FIRST_FACE = FACES[0].name;

/** Some letters are in none of the faces, so that a file would show holes. */
export class LettersMissing extends Error {
  override name = 'LettersMissing';
  constructor(readonly letters: readonly string[]) {
    super(`No face has ${letters.join(' ')}`);
  }
}

export interface Letters {
  /** A text in pieces that one face can show each. */
  runs: (text: string) => { text: string; font: string }[];
  files: Record<string, Uint8Array>;
  fonts: Record<string, { normal: string; bold: string; italics: string; bolditalics: string }>;
}

/** What says how letters next to it are shown, and has no picture of its own. */
const UNSEEN = /[\p{Cf}\p{Cc}\uFE00-\uFE0F]/gu;
const written = (text: string) => text.normalize('NFC').replace(/\s+/g, ' ').replace(UNSEEN, '');

/**
 * The faces that a text needs.
 * @throws LettersMissing where no face has a letter of it.
 */
export async function lettersFor(whole: string): Promise<Letters> {
  const open: { name: string; has: (letter: string) => boolean }[] = [];
  const files: Letters['files'] = {};
  const fonts: Letters['fonts'] = {};
  let missing = [...new Set(written(whole))];
  for (const face of FACES) {
    if (!missing.length) break;
    const [normal, bold] = await Promise.all([bytesAt(face.normal), bytesAt(face.bold)]);
    files[`${face.name}.normal`] = normal;
    files[`${face.name}.bold`] = bold;
    const [upright, heavy] = [`${face.name}.normal`, `${face.name}.bold`];
    fonts[face.name] = { normal: upright, bold: heavy, italics: upright, bolditalics: heavy };
    // Every file here is one font, not a collection of several; bold ones hold fewer letters than upright ones.
    const both = [normal, bold].map((bytes) => create(bytes as Buffer) as Font);
    const has = (letter: string) => both.every((font) => font.hasGlyphForCodePoint(letter.codePointAt(0)!));
    open.push({ name: face.name, has });
    missing = missing.filter((letter) => !has(letter));
  }
  if (missing.length) throw new LettersMissing(missing);
  const faceOf = (letter: string) => open.find((face) => face.has(letter))!.name;
  return {
    files,
    fonts,
    runs(text) {
      const runs: { text: string; font: string }[] = [];
      for (const letter of written(text)) {
        const last = runs.at(-1);
        // A space goes on in the face before it.
        if (last && (letter === ' ' || faceOf(letter) === last.font)) last.text += letter;
        else runs.push({ text: letter, font: faceOf(letter) });
      }
      return runs;
    },
  };
}

async function bytesAt(url: string): Promise<Uint8Array> {
  const answer = await fetch(url);
  if (!answer.ok) throw new TypeError(`${url}: ${answer.status}`);
  return new Uint8Array(await answer.arrayBuffer());
}
