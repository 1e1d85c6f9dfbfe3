/** In the place of a list that is still fetched, or could not be. */
export const Looking = ({ isFailed }: { isFailed: boolean }) =>
  isFailed ? (
    <p role="alert">The list could not be fetched. Close this and open it again.</p>
  ) : (
    <p className="soft">Looking …</p>
  );
