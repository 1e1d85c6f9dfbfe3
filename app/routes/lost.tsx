import { notFound } from '../session.server';

export const loader = () => notFound('page');
export default function Lost() {
  return null;
}
