import { notFound } from '../../server/access/session.server';

export const loader = () => notFound('page');
export default function Lost() {
  return null;
}
