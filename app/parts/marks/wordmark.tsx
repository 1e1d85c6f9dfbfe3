import { Link } from 'react-router';

/** Four-point compass star; the north point is split. */
function Star({ size = 20 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 20 20" aria-hidden="true">
      <path d="M10 0 12 8 20 10 12 12 10 20 8 12 0 10 8 8z" fill="currentColor" />
      <path d="M10 0 8 8 10 10z" fill="var(--sheet)" fillOpacity="0.45" />
      <circle cx="10" cy="10" r="1.5" fill="var(--sheet)" />
    </svg>
  );
}

export function Wordmark() {
  return (
    <Link to="/today" className="wordmark">
      <Star /> Velvet Compass
    </Link>
  );
}
