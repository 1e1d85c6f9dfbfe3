import { DOCTOR_FIRST, EMERGENCY, STOP_AND_ASK } from '../../../reference/facts/at-home';

const Items = ({ of }: { of: readonly string[] }) => (
  <ul>
    {of.map((words) => (
      <li key={words}>{words}</li>
    ))}
  </ul>
);

/** When to stop and whom to ask, and when a doctor comes first: on paper and on the phone the same. */
export function StopLists({ ask, contact, as: Head }: { ask: string; contact: string; as: 'h2' | 'h3' }) {
  return (
    <>
      <section>
        <Head>
          Stop, and ask {ask}
          {contact && ` (${contact})`}, if
        </Head>
        <Items of={STOP_AND_ASK} />
      </section>
      <section>
        <Head>See a doctor or dentist first, if</Head>
        <Items of={DOCTOR_FIRST} />
        <p>
          <strong>{EMERGENCY}</strong>
        </p>
      </section>
    </>
  );
}
