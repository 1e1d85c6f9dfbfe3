import type { PacketHead } from '../../../core/schedule';

/** Whose page this is, and for whom. */
export function PhoneHead({ packet: { practice, firstName } }: { packet: PacketHead }) {
  return (
    <header>
      <span className="mark" aria-hidden="true" />
      <strong>{practice}</strong>
      <span className="soft">for {firstName}</span>
    </header>
  );
}
