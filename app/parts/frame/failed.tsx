/** Why something was not done, told at once; nothing where it was. */
export const Failed = ({ words }: { words: string | undefined }) =>
  words ? (
    <p className="caution" role="alert">
      {words}
    </p>
  ) : null;
