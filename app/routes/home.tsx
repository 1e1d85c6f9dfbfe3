import { redirect } from 'react-router';

export const loader = () => redirect('/today');
export default function Home() {
  return null;
}
