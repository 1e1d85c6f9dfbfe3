/** Told of a link that opens nothing, whatever the reason. */
export function NotInUse({ isOurs = false, practice = '', contact = '' }) {
  return (
    <main className="phone plain">
      <h1>{isOurs ? 'Not to be reached just now' : 'This link is not in use'}</h1>
      <p>
        {isOurs
          ? 'Try again in a moment. What was kept on this phone is still here.'
          : `Ask ${practice || 'your practice'} for a new one${contact && `: ${contact}`}.`}
      </p>
    </main>
  );
}
