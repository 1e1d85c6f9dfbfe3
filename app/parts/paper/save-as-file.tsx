import { type RefObject, useState } from 'react';
import { Button } from 'react-bootstrap';
import { fileName, saveFile } from '../export/picture';
import type { PaperSize } from '../export/pdf/sheet-file';

const SIZES: Record<PaperSize, string> = { A4: 'A4', LETTER: 'Letter' };

/** The sheet as a file to send or to keep, in the size of paper that is chosen. */
export function SaveAsFile({ sheet, name }: { sheet: RefObject<HTMLElement | null>; name: string }) {
  const [busy, setBusy] = useState<PaperSize | null>(null);
  const [told, setTold] = useState('');
  const save = async (size: PaperSize) => {
    setBusy(size);
    setTold('');
    try {
      const { sheetFile, LettersMissing } = await import('../export/pdf/sheet-file');
      try {
        saveFile(fileName(`${name}.pdf`), await sheetFile(sheet.current!, size));
      } catch (error) {
        if (!(error instanceof LettersMissing)) throw error;
        setTold(`A file cannot hold ${error.letters.slice(0, 8).join(' ')}. Print it instead.`);
      }
    } catch {
      setTold('The file could not be made. Try again, or print it.');
    } finally {
      setBusy(null);
    }
  };
  return (
    <span className="paper-file">
      {told && <span role="alert">{told}</span>}
      {(['A4', 'LETTER'] as const).map((size) => (
        <Button key={size} variant="outline-primary" disabled={busy !== null} onClick={() => void save(size)}>
          {busy === size ? 'Making it …' : `PDF, ${SIZES[size]}`}
        </Button>
      ))}
    </span>
  );
}
