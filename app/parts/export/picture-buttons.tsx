import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { asPng, fileName, saveFile } from './picture';

/** A drawing of the page to take along: as lines that keep sharp at any size, or as a picture. */
export function PictureButtons({
  what,
  name,
  drawing,
}: {
  /** Of what: "Ribbon". */
  what: string;
  /** The file is called so. */
  name: string;
  /** It as SVG text, when it is asked for; null while it is not drawn. */
  drawing: () => string | null;
}) {
  const [told, setTold] = useState('');
  const take = async (as: 'svg' | 'png') => {
    const svg = drawing();
    const content = svg && (as === 'svg' ? new Blob([svg], { type: 'image/svg+xml' }) : await asPng(svg));
    setTold(content ? '' : 'It could not be drawn. Try again when it is on the page.');
    if (content) saveFile(fileName(`${name}.${as}`), content);
  };
  return (
    <>
      {(['svg', 'png'] as const).map((as) => (
        <Button key={as} size="sm" variant="outline-primary" onClick={() => void take(as)}>
          {what} as {as.toUpperCase()}
        </Button>
      ))}
      {told && <span role="alert">{told}</span>}
    </>
  );
}
