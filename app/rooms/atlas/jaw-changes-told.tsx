import { type Changes, jawChanges } from './jaw-changes';

/** What an open jaw changes for points and muscles, beside the chart that shows it. */
export default function JawChanges({ openingMm }: { openingMm: number }) {
  const { points, muscles }: Changes = jawChanges(openingMm);
  return (
    <section className="jaw-changes" aria-label={`What a jaw open by ${openingMm} mm changes`}>
      <h2>With the jaw open {openingMm} mm</h2>
      <p>
        Points that go along with the jaw, on the drawn adult:{' '}
        {points.map(({ id, mm }, i) => (
          <span key={id}>
            {i > 0 && ', '}
            <strong>{id}</strong> {mm} mm
          </span>
        ))}
        . The others stay.
      </p>
      {openingMm > 10 && (
        <p>
          The head of the jaw slides forward: the hollow of <strong>ST7</strong> under the arch closes, the one before
          the ear (<strong>TE21</strong>, <strong>SI19</strong>, <strong>GB2</strong>) opens.
        </p>
      )}
      <table className="sites">
        <thead>
          <tr className="soft small">
            <th scope="col">Middle fibre, mm</th>
            <th scope="col">shut</th>
            <th scope="col">open</th>
          </tr>
        </thead>
        <tbody>
          {muscles.map((m) => (
            <tr key={m.id}>
              <th scope="row">{m.name}</th>
              <td className="num">{m.shutMm}</td>
              <td className="num">{m.openMm}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="soft small">
        Of an average adult; how a jaw moves is from memory. It says nothing about this or that client’s joint, and the
        teeth are only a hint.
      </p>
    </section>
  );
}
