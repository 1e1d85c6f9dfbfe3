import { redirect } from 'react-router';
import { signOut } from '../session.server';
import type { Route } from './+types/sign-out';

export const action = ({ request }: Route.ActionArgs) => signOut(request);
export const loader = () => redirect('/today');
