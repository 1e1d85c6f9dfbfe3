import { redirect } from 'react-router';
import { signOut } from '../../server/access/session.server';
import type { Route } from './+types/sign-out';

export const action = ({ request }: Route.ActionArgs) => signOut(request);
export const loader = () => redirect('/today');
